import { attributeFaults } from '@wainrope/contract';
import {
  CORE_VERSION,
  canonicalJson,
  type Fault,
  type GearClass,
  inspectionAnswersCodec,
  markCodec,
  type Policy,
  policyFaults,
  read,
  readCase,
  readPolicy,
  readRig,
} from '@wainrope/core';
import { judge } from '@wainrope/core/judging';
import { pictureOnly } from '../inspections/photo-bytes.ts';
import { policyHash } from '../team/team.service.ts';

/** The rows of a file by their tables. */
export type BundleRows = { readonly [table: string]: readonly object[] };
type Row = { readonly [column: string]: unknown };

/**
 * What the columns alone do not show: documents inside a row that cannot be read, and reports that do not follow from their case.
 * A verdict is never taken from a file: every report by this core version is worked out again.
 */
export function contentFaults(tables: BundleRows): readonly Fault[] {
  const each = (name: string, look: (row: Row) => readonly Fault[]) =>
    (tables[name] ?? []).flatMap((row, index) =>
      look(row as Row).map(({ path, message }) => ({ path: `tables.${name}[${index}].${path}`, message })),
    );
  return [
    ...((tables.policy_version ?? []).length > 0
      ? []
      : [{ path: 'tables.policy_version', message: 'a team has at least one version of its settings' }]),
    ...each('policy_version', policyRowFaults),
    ...inForceFaults(tables),
    ...each('gear', ({ kind, attributes }) => attributeFaults(kind as GearClass, attributes as object)),
    ...each('gear_mark', markFaults),
    ...each('team_layout', ({ rig }) => layoutFaults(rig)),
    ...standingFaults(tables),
    ...each('inspection', ({ answers }) => answersFaults(answers)),
    ...each('photo', ({ content, thumbnail }) => [...photoFaults('content', content), ...photoFaults('thumbnail', thumbnail)]),
    ...each('plan_version', planFaults),
    ...each('plan', variantFaults(tables)),
  ];
}

/** The settings that the team goes by decide nothing that no team may; older ones stand as they were. */
function inForceFaults({ policy_version: versions = [] }: BundleRows): readonly Fault[] {
  const days = versions.map((row) => String((row as Row).created_at));
  const newest = days.reduce((found, day, index) => (day > (days[found] ?? '') ? index : found), 0);
  const policy = readPolicy((versions[newest] as Row | undefined)?.content);
  return policy.ok ? policyFaults(policy.value, `tables.policy_version[${newest}].content`) : [];
}

function policyRowFaults({ content, content_hash: hash }: Row): readonly Fault[] {
  const policy = readPolicy(content);
  if (!policy.ok) return policy.faults.map(({ path, message }) => ({ path: `content.${path}`, message }));
  return policyHash(content as Policy) === hash
    ? []
    : [{ path: 'content_hash', message: 'The settings are not the ones that this hash names.' }];
}

function answersFaults(answers: unknown): readonly Fault[] {
  if (answers === undefined) return [];
  const result = read(inspectionAnswersCodec, answers, 'answers');
  return result.ok ? [] : result.faults;
}

function photoFaults(path: string, bytes: unknown): readonly Fault[] {
  const given = Buffer.from(String(bytes), 'base64');
  const picture = pictureOnly(given);
  if (!picture.ok) return [{ path, message: picture.message }];
  return picture.bytes.equals(given) ? [] : [{ path, message: 'The photo holds more than its picture; take it out of the team anew.' }];
}

function planFaults({ judged_case: kept, report, core_version: version }: Row): readonly Fault[] {
  const judged = readCase(kept);
  if (!judged.ok) return judged.faults.map(({ path, message }) => ({ path: `judged_case.${path}`, message }));
  if (version !== CORE_VERSION) return [];
  const same = canonicalJson(JSON.parse(JSON.stringify(judge(judged.value)))) === canonicalJson(report);
  return same ? [] : [{ path: 'report', message: 'The report does not follow from its case.' }];
}

/** A variant is one of a plan that is there and is none itself. */
const variantFaults = ({ plan: plans = [] }: BundleRows) => {
  const variantsById = new Map(plans.map((row) => [(row as Row).plan_id, (row as Row).variant_of]));
  return ({ variant_of: rootId }: Row): readonly Fault[] => {
    if (rootId === undefined) return [];
    if (!variantsById.has(rootId)) return [{ path: 'variant_of', message: `There is no plan ${rootId} in the file.` }];
    return variantsById.get(rootId) === undefined
      ? []
      : [{ path: 'variant_of', message: 'It names a plan that is a variant itself; name the plan of both.' }];
  };
};

function markFaults({
  as_written: asWritten,
  basis,
  source,
  setting_decided: settingDecided,
  confirmed_unit: confirmedUnit,
  readings,
}: Row): readonly Fault[] {
  const result = read(markCodec, {
    asWritten,
    basis,
    source,
    settingDecided,
    readings,
    ...(confirmedUnit !== undefined && { confirmedUnit }),
  });
  return result.ok ? [] : result.faults;
}

function layoutFaults(rig: unknown): readonly Fault[] {
  const result = readRig(rig, new Set());
  return result.ok ? [] : result.faults;
}

/** A plan stands at a version that is there; without it nobody would ever see the plan. */
function standingFaults({ plan = [], plan_version: versions = [] }: BundleRows): readonly Fault[] {
  const there = new Set(versions.map((row) => `${(row as Row).plan_id} ${(row as Row).version_no}`));
  return plan.flatMap((row, index) => {
    const { plan_id: id, version_no: version, name } = row as Row;
    return there.has(`${id} ${version}`)
      ? []
      : [{ path: `tables.plan[${index}].version_no`, message: `${name} stands at version ${version}, which is not in the file.` }];
  });
}
