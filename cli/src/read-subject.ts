import {
  type Case,
  type Fault,
  isDay,
  type Policy,
  policyFaults,
  type ReadResult,
  type RigFile,
  readPolicy,
  readRigFile,
} from '@wainrope/core';
import type { Options } from './answer.ts';

export function parseJson(text: string): { readonly value: unknown } | { readonly message: string } {
  try {
    return { value: JSON.parse(text.replace(/^\uFEFF/, '')) };
  } catch (error) {
    return { message: `not JSON: ${error instanceof Error ? error.message : String(error)}` };
  }
}

/** Reads a policy file: the tables, and that it softens nothing that may not be softened. */
export function readPolicyText(text: string, path = 'policy'): ReadResult<Policy> {
  const parsed = parseJson(text);
  if ('message' in parsed) return { ok: false, faults: [{ path, message: parsed.message }] };
  const result = readPolicy(parsed.value, path);
  if (!result.ok) return result;
  const faults: readonly Fault[] = policyFaults(result.value, path);
  return faults.length > 0 ? { ok: false, faults } : result;
}

/** Reads a rig file and puts the day and the policy asked for in place of its own. */
export function readFileText(text: string, { asOf, policyText }: Options): ReadResult<RigFile> {
  if (asOf !== undefined && !isDay(asOf))
    return { ok: false, faults: [{ path: '--as-of', message: `“${asOf}” is not a day; expected for example 2026-05-31` }] };
  const parsed = parseJson(text);
  if ('message' in parsed) return { ok: false, faults: [{ path: '', message: parsed.message }] };
  const file = readRigFile(parsed.value);
  if (!file.ok) return file;
  const policy = policyText === undefined ? undefined : readPolicyText(policyText, '--policy');
  if (policy && !policy.ok) return policy;
  const subject: Case = { ...file.value.case, ...(asOf !== undefined && { asOf }), ...(policy && { policy: policy.value }) };
  return { ok: true, value: { ...file.value, case: subject } };
}
