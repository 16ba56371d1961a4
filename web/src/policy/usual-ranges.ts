import { policyPresets } from '@wainrope/core';
import { policyLeaves, typedLeaf } from './policy-leaves.ts';

/** What teams go by where they differ, beyond the tables that one can begin from. */
const AMONG_TEAMS: { readonly [path: string]: readonly [least: number, most: number] } = {
  'winch.reserveWrapsSynthetic': [5, 10],
  'winch.leastPullSmall': [2.5, 3],
  'electric.burstS': [30, 60],
  'electric.restS': [30, 60],
  'care.zoneFactor': [1, 1.5],
  'friction.flatPerPulley': [0.9, 1],
};

/** What the tables to begin from have for each figure. */
const OF_TABLES = new Map<string, number[]>();
for (const { path, value } of policyPresets.flatMap(policyLeaves))
  if (typeof value === 'number') OF_TABLES.set(path, [...(OF_TABLES.get(path) ?? []), value]);

/** Between which figures a setting usually lies: over the tables to begin from and what teams are known to go by; nothing where all agree. */
export function usualRange(path: string): string | undefined {
  const figures = [...(AMONG_TEAMS[path] ?? []), ...(OF_TABLES.get(path) ?? [])];
  const [least, most] = [Math.min(...figures), Math.max(...figures)];
  return figures.length > 0 && least < most ? `usually ${typedLeaf(least)} to ${typedLeaf(most)}` : undefined;
}
