import { invariant } from '../quantity/invariant.ts';
import { rainflowCount } from './count-rainflow-cycles.ts';

/** Width of a bin as a share of the nominal breaking strength: policy of the count, not of a team. */
export const BIN_SHARE = 0.02;

/** A bin of cycles: from `bin` × 2 % of the nominal breaking strength, that edge included, to the next. */
export interface CycleBin {
  readonly bin: number;
  /** Cycles in it, halves among them. */
  readonly cycles: number;
}

export interface BinnedCount {
  /** The next tension of the series, N. */
  readonly push: (tensionN: number) => void;
  /** Bins that hold something, the lowest first. The series has ended. */
  readonly end: () => readonly CycleBin[];
}

/**
 * Counts the cycles of a piece's series into bins of 2 % of its nominal breaking strength, lower edge closed. `mbsN` above 0.
 * Rounding must not decide in which bin a range lies that stands on an edge: a billionth of a bin is let off.
 */
export function binnedCount(mbsN: number): BinnedCount {
  invariant(mbsN > 0, 'bins need a breaking strength above zero');
  const width = BIN_SHARE * mbsN;
  const bins = new Map<number, number>();
  const count = rainflowCount((range, cycles) => {
    const bin = Math.floor(range / width + EDGE);
    bins.set(bin, (bins.get(bin) ?? 0) + cycles);
  });
  return {
    push: count.push,
    end: () => {
      count.end();
      return [...bins].map(([bin, cycles]) => ({ bin, cycles })).sort((a, b) => a.bin - b.bin);
    },
  };
}
const EDGE = 1e-9;

/** What a pull without a gauge counts as: one cycle from nothing to its load. `loadN` 0 or more, `mbsN` above 0, `pulls` whole. */
export function cyclesOfPulls(loadN: number, mbsN: number, pulls: number): readonly CycleBin[] {
  invariant(mbsN > 0, 'bins need a breaking strength above zero');
  if (loadN <= 0 || pulls <= 0) return [];
  return [{ bin: Math.floor(loadN / (BIN_SHARE * mbsN) + EDGE), cycles: pulls }];
}

/** Several counts together. */
export function addBins(counts: readonly (readonly CycleBin[])[]): readonly CycleBin[] {
  const bins = new Map<number, number>();
  for (const { bin, cycles } of counts.flat()) bins.set(bin, (bins.get(bin) ?? 0) + cycles);
  return [...bins].map(([bin, cycles]) => ({ bin, cycles })).sort((a, b) => a.bin - b.bin);
}
