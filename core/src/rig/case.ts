import { type Fault, type ReadResult, read, type TypeOf } from '../codec/codec.ts';
import { choice, day, numeric, text } from '../codec/scalars.ts';
import { list, optional, record, tagged } from '../codec/structures.ts';
import { gearFactsCodec } from '../gear/gear-facts.ts';
import { policyCodec } from '../policy/policy.ts';
import { upgradePolicy } from '../policy/read-policy.ts';
import { referenceFaults } from './references.ts';
import { rigCodec } from './rig.ts';

const rigCase = record({
  kind: choice(['rig']),
  name: text(),
  /** The day on which states, dues and ages are read. */
  asOf: day,
  rig: rigCodec,
  /** The facts of every piece the rig uses. */
  gear: list(gearFactsCodec, { max: 500 }),
  policy: policyCodec,
});

/** What core judges; how a rig's lines are driven and what it is for say which kind of act it is. */
export const caseCodec = tagged({ rig: rigCase });
export type Case = TypeOf<typeof caseCodec>;

export const RIG_FILE_FORMAT = 'wainrope.rig';
export const RIG_FILE_VERSION = 8;
const EARLIER_VERSIONS: readonly unknown[] = [1, 2, 3, 4, 5, 6, 7];

export const rigFileCodec = record({
  format: choice([RIG_FILE_FORMAT]),
  version: numeric({ min: RIG_FILE_VERSION, max: RIG_FILE_VERSION, integer: true }),
  case: caseCodec,
  note: optional(text({ maxLength: 2000 })),
});
export type RigFile = TypeOf<typeof rigFileCodec>;

/**
 * Brings a rig file of an earlier version to the present one. Version 1 had one line and vehicles and trees alone, all of
 * which still reads as it is; its policy lacked the tables that version 2 brought, and takes the team standard's. Version 2 had
 * no features and no origin, and at least one line: all of it reads as it is. Version 3 had no path, no run-up and always a
 * travel; its policy lacked the tables of the pull and of run-ups. Version 4 always had ground and brakes of a stance together; its policy
 * lacked the usual ranges of what is not on record. Version 5 lacked the policy's figures of wear, version 6
 * the figures of the team's own, version 7 the pace of a haul by hand and what one person carries.
 */
export function migrateRigFile(value: unknown): unknown {
  if (!isObject(value) || !EARLIER_VERSIONS.includes(value.version) || !isObject(value.case)) return value;
  return {
    ...value,
    version: RIG_FILE_VERSION,
    case: { ...value.case, rig: upgradeRig(value.case.rig), policy: upgradePolicy(value.case.policy) },
  };
}

/** Reads a case that was kept by this or an earlier version. */
export function readCase(value: unknown): ReadResult<Case> {
  return read(caseCodec, isObject(value) ? { ...value, rig: upgradeRig(value.rig), policy: upgradePolicy(value.policy) } : value);
}

/** Whether the engine runs was an answer among others before it was a fact of the rig. */
const ENGINE_ANSWER = 'engine-off.rig';

function upgradeRig(value: unknown): unknown {
  if (!isObject(value) || !isObject(value.answers) || !(ENGINE_ANSWER in value.answers)) return value;
  const { [ENGINE_ANSWER]: given, ...answers } = value.answers;
  return { ...value, answers, ...(value.engine === undefined && { engine: { running: given === 'yes' } }) };
}

function isObject(value: unknown): value is { readonly [key: string]: unknown } {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

/** Reads a rig file from parsed JSON: fields first, then that every id named in it exists and is used as what it is. */
export function readRigFile(value: unknown): ReadResult<RigFile> {
  const result = read(rigFileCodec, migrateRigFile(value));
  if (!result.ok) return result;
  const faults = referenceFaults(result.value.case.rig, new Set(result.value.case.gear.map(({ id }) => id)), 'case');
  return faults.length > 0 ? { ok: false, faults } : result;
}

/** Reads a rig by itself, whatever it names; `readRig` looks that up too. */
export const readRigDocument = (value: unknown, path = 'rig'): ReadResult<TypeOf<typeof rigCodec>> =>
  read(rigCodec, upgradeRig(value), path);

/** Reads a rig alone, as an editor keeps it; `known` holds the ids of the pieces it may use. */
export function readRig(value: unknown, known: ReadonlySet<string>, path = 'rig'): ReadResult<TypeOf<typeof rigCodec>> {
  const result = readRigDocument(value, path);
  if (!result.ok) return result;
  const faults: readonly Fault[] = referenceFaults(result.value, known, path === 'rig' ? '' : path.replace(/\.?rig$/, ''));
  return faults.length > 0 ? { ok: false, faults } : result;
}
