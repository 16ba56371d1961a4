import { type ReadResult, read } from '../codec/codec.ts';
import { careStandard } from './care-tables.ts';
import { physicsStandard } from './physics-standard.ts';
import { type Policy, policyCodec } from './policy.ts';

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
  return { ...careStandard, ...physicsStandard, ...value };
}
