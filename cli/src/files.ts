import { RIG_FILE_VERSION } from '@wainrope/core';
import { type Answer, asJson, done, notUnderstood, type Options } from './answer.ts';
import { parseJson, readFileText } from './read-subject.ts';

/** Whether a rig file is one: its version, its name, how much it holds. */
export function validate(text: string, options: Options): Answer {
  const file = readFileText(text, options);
  if (!file.ok) return notUnderstood(file.faults, options.json);
  const { name, rig, gear, asOf } = file.value.case;
  const version = versionOf(text);
  const facts = { kind: 'valid', version, name, asOf, bodies: rig.bodies.length, lines: rig.lines.length, pieces: gear.length };
  if (options.json) return done(asJson(facts));
  const old = version === RIG_FILE_VERSION ? '' : ` (now ${RIG_FILE_VERSION}: convert writes it so)`;
  return done(
    `Valid rig file, version ${version}${old}: ${name}, ${facts.bodies} bodies, ${facts.lines} lines, ${facts.pieces} pieces, as of ${asOf}`,
  );
}

function versionOf(text: string): number {
  const parsed = parseJson(text);
  return 'value' in parsed ? (parsed.value as { readonly version: number }).version : RIG_FILE_VERSION;
}

/** The same file in the present version, with the day and the policy asked for. */
export function convert(text: string, options: Options): Answer {
  const file = readFileText(text, options);
  return file.ok ? done(JSON.stringify(file.value, null, 1)) : notUnderstood(file.faults, options.json);
}
