import { distance } from 'fastest-levenshtein';

/** Slips between two words: letters left out, put in or mistaken; two that have changed places count as one. */
function slipsBetween(word: string, other: string): number {
  const slips = distance(word, other);
  return slips === 2 && word.length === other.length && changedPlaces(word, other) ? 1 : slips;
}

function changedPlaces(word: string, other: string): boolean {
  const at = [...word].findIndex((letter, index) => letter !== other[index]);
  return word[at] === other[at + 1] && word[at + 1] === other[at] && word.slice(at + 2) === other.slice(at + 2);
}

/** Shorter words are too close to one another. */
const SHORTEST = 5;
/** From so many letters on two slips are taken for slips. */
const LONG = 8;

/**
 * The spelling of words that are almost one of a vocabulary: one slip from five letters on, two from eight. A word that is as near to two
 * of them stays as it is.
 */
export function spellingOf(vocabulary: readonly string[]): (word: string) => string {
  const known = new Set(vocabulary);
  const kept = new Map<string, string>();
  return (word) => {
    if (word.length < SHORTEST || known.has(word)) return word;
    const before = kept.get(word);
    if (before !== undefined) return before;
    const mended = nearest(word, vocabulary);
    kept.set(word, mended);
    return mended;
  };
}

function nearest(word: string, vocabulary: readonly string[]): string {
  const most = word.length >= LONG ? 2 : 1;
  const near = vocabulary
    .filter((other) => other.length >= SHORTEST - 1 && Math.abs(other.length - word.length) <= most && other[0] === word[0])
    .map((other) => ({ other, slips: slipsBetween(word, other) }))
    .filter(({ slips }) => slips <= most)
    .sort((a, b) => a.slips - b.slips);
  const [first, second] = near;
  return first && first.slips !== second?.slips ? first.other : word;
}
