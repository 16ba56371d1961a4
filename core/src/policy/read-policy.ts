import { type ReadResult, read } from '../codec/codec.ts';
import { careStandard } from './care-tables.ts';
import { physicsStandard } from './physics-standard.ts';
import { type Policy, policyCodec } from './policy.ts';
import { teamStandard } from './team-standard.ts';

/**
 * Reads a policy. One that was written before the tables of vehicle hold, anchors, motors, zones and exposure existed is completed
 * with the team standard's; nothing that it states is changed. Severities of rules that may not be softened are refused
 * where the rules are known (see policyFaults).
 */
export function readPolicy(value: unknown, path = ''): ReadResult<Policy> {
  return read(policyCodec, upgradePolicy(value), path);
}

/** A policy of the first version as one of the present version; anything else is given back as it is. */
export function upgradePolicy(value: unknown): unknown {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return value;
  return withLaterRows({ ...careStandard, ...physicsStandard, ownFigures: teamStandard.ownFigures, ...value });
}

interface Group {
  readonly [key: string]: unknown;
}
const isGroup = (value: unknown): value is Group => typeof value === 'object' && value !== null && !Array.isArray(value);

/** Rows that tables got after they were first written, by table: a policy of before takes the team standard's. */
const LATER_ROWS: { readonly [group: string]: readonly string[] } = {
  hold: ['surfaceFriction'],
  zones: ['slidePathM'],
  care: ['damperLeastKg'],
  effort: ['airedDown'],
  winch: ['smallMachineKg', 'leastPullSmall'],
  hand: ['haulMPerMin', 'resetMin', 'carryKg'],
  judging: ['legsFixDeg', 'legsStopDeg', 'askewDeg', 'leastThrowM'],
  schools: ['receiverPinAsLastResort', 'securingStrapAsLastResort'],
};

const standardGroups: Group = { ...teamStandard };

function withLaterRows(policy: Group): Group {
  const filled = Object.entries(LATER_ROWS).flatMap(([name, rows]) => {
    const [group, standard]: readonly unknown[] = [policy[name], standardGroups[name]];
    if (!isGroup(group) || !isGroup(standard)) return [];
    return [[name, { ...Object.fromEntries(rows.map((row) => [row, standard[row]])), ...group }]];
  });
  return { ...policy, ...Object.fromEntries(filled) };
}
