import type { BenchDraft } from './bench-store.ts';

/**
 * The device's store takes some milliseconds to keep a letter; a tab that is killed in between would take the last ones along. They
 * are laid down beside it at once, and taken away when the store has them.
 */
const keyOf = ({ roundId, gearId }: Pick<BenchDraft, 'roundId' | 'gearId'>) => `wainrope.bench.${roundId}.${gearId}`;

export function layDown(draft: BenchDraft): void {
  try {
    localStorage.setItem(keyOf(draft), JSON.stringify(draft));
  } catch (error) {
    // Full or forbidden: what matters goes into the device's store, which says so where it cannot keep it.
    console.warn('The last letters are not laid down beside the store:', error);
  }
}

/** Takes away what the store has meanwhile; what was typed after it stays. */
export function takeAway(kept: BenchDraft): void {
  const left = lastLetters(kept);
  if (left && left.changedAt <= kept.changedAt) localStorage.removeItem(keyOf(kept));
}

/** What was typed last of a piece's inspection, where a tab went before it was kept. */
export function lastLetters(of: Pick<BenchDraft, 'roundId' | 'gearId'>): BenchDraft | undefined {
  try {
    const text = localStorage.getItem(keyOf(of));
    return text === null ? undefined : (JSON.parse(text) as BenchDraft);
  } catch {
    // Cut short while it was written: the store has all before it.
    return undefined;
  }
}
