import type { Candidate, Trial } from '@wainrope/core';
import type { RegisterPiece } from '../../register/use-register.ts';

/** Candidates as trying them ranks them, best first; those that are not offered last; untried ones as they were. */
export function ranked(
  candidates: readonly Candidate<RegisterPiece>[],
  trials: ReadonlyMap<string, Trial> | undefined,
): readonly Candidate<RegisterPiece>[] {
  if (!trials) return candidates;
  const order = new Map([...trials.keys()].map((gearId, index) => [gearId, index]));
  const rank = ({ piece }: Candidate<RegisterPiece>) => order.get(piece.gear.gearId) ?? order.size;
  return [...candidates].sort((a, b) => rank(a) - rank(b));
}

/** Names of kits as they were kept on the device; nothing where what was kept is no list of names. */
export function keptKits(text: string | null): readonly string[] {
  try {
    const kept: unknown = JSON.parse(text ?? '[]');
    return Array.isArray(kept) ? kept.filter((entry) => typeof entry === 'string') : [];
  } catch {
    return [];
  }
}
