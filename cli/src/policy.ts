import { type Policy, policyDifferences, policyPresets, teamStandard } from '@wainrope/core';
import { type Answer, asJson, done, notUnderstood, type Options } from './answer.ts';
import { readPolicyText } from './read-subject.ts';

/** The presets a team may begin from. */
export function listPresets({ json }: Options): Answer {
  const presets = policyPresets.map((policy) => ({
    id: policy.id,
    name: policy.name,
    differs: policyDifferences(teamStandard, policy).length,
  }));
  if (json) return done(asJson(presets));
  const lines = presets.map(
    ({ id, name, differs }) => `${id.padEnd(16)} ${name}${differs === 0 ? ' (the default)' : `, ${differs} figures unlike the default`}`,
  );
  return done(lines.join('\n'));
}

/** A preset by name, or a policy file: what in it differs from the default; with --json the whole of it. */
export function showPolicy(source: { readonly preset: Policy } | { readonly text: string }, { json }: Options): Answer {
  const read = 'preset' in source ? { ok: true as const, value: source.preset } : readPolicyText(source.text);
  if (!read.ok) return notUnderstood(read.faults, json, 'This policy');
  if (json) return done(asJson(read.value));
  const differences = policyDifferences(teamStandard, read.value);
  const shown = (value: unknown) => (value === undefined ? 'nothing' : JSON.stringify(value));
  const lines = differences.map(({ path, from, to }) => `  ${path.replace(/\.value$/, '')}: ${shown(to)} (default ${shown(from)})`);
  return done([`${read.value.name}`, ...(lines.length > 0 ? lines : ['  as the default in every figure'])].join('\n'));
}

export const presetCalled = (name: string): Policy | undefined => policyPresets.find(({ id }) => id === name);
