import { type RainflowCount, rainflowCount } from '../fatigue/count-rainflow-cycles.ts';
import { BIN_SHARE, type CycleBin } from '../fatigue/cycle-bins.ts';
import { invariant } from '../quantity/invariant.ts';

/** What a piece of a rig carries for each newton of the line where the gauge was. */
export interface PieceShare {
  readonly gearId: string;
  /** Breaking strength as marked, N, where it is known: cycles are counted into bins of it. */
  readonly mbsN?: number | undefined;
  /** At each metre of `travelM`; 0 or more. */
  readonly shares: readonly number[];
}

/** Shares of all pieces along the way of the load; `travelM` from 0 on, rising, at least one. */
export interface LineShares {
  readonly travelM: readonly number[];
  readonly pieces: readonly PieceShare[];
}

/** What a series did to one piece. */
export interface PieceSeries {
  readonly gearId: string;
  readonly peakN: number;
  readonly cycles: readonly CycleBin[];
}

export interface PiecesCount {
  /** The next reading; without the metre the largest share of the way counts. */
  readonly push: (tensionN: number, travelM: number | undefined) => void;
  readonly end: () => readonly PieceSeries[];
}

const EDGE = 1e-9;
/** So many values are gathered before they are counted. */
const GATHERED = 1024;

/** Counts many values at once, which takes less than one by one. */
function gathering(count: RainflowCount): Pick<RainflowCount, 'push' | 'end'> {
  const values = new Float64Array(GATHERED);
  let held = 0;
  return {
    push(value) {
      values[held++] = value;
      if (held < values.length) return;
      count.pushAll(values);
      held = 0;
    },
    end() {
      count.pushAll(values, held);
      count.end();
    },
  };
}

/**
 * Gives each piece its own series from the one that a gauge on a line read: tension times the piece's share as the rig stood at that
 * metre, linear between two; where nobody recorded the metre, times the largest share of the whole way, which is the careful reading.
 */
export function seriesOfPieces({ travelM, pieces }: LineShares): PiecesCount {
  invariant(travelM.length > 0, 'shares want a metre at least');
  return travelM.length === 1 ? alike(pieces) : alongTheWay({ travelM, pieces });
}

/** Shares for a series of which nobody recorded the metre: each piece's largest of the whole way. */
export const withoutMetres = ({ pieces }: LineShares): LineShares => ({
  travelM: [0],
  pieces: pieces.map((piece) => ({ ...piece, shares: [Math.max(...piece.shares)] })),
});

/** With one share for good a piece's ranges are the line's, times that share: they are counted once for all. */
function alike(pieces: readonly PieceShare[]): PiecesCount {
  const bins = pieces.map(() => new Map<number, number>());
  let peakN = Number.NEGATIVE_INFINITY;
  const widths = pieces.map(({ mbsN, shares }) => (mbsN === undefined || mbsN <= 0 ? undefined : (BIN_SHARE * mbsN) / (shares[0] ?? 0)));
  const count = gathering(
    rainflowCount((range, cycles) => {
      for (const [index, width] of widths.entries()) if (width !== undefined) add(bins[index], Math.floor(range / width + EDGE), cycles);
    }),
  );
  return {
    push(tensionN) {
      if (tensionN > peakN) peakN = tensionN;
      count.push(tensionN);
    },
    end() {
      count.end();
      return pieces.map(({ gearId, shares }, index) => ({
        gearId,
        peakN: Math.max(0, peakN) * (shares[0] ?? 0),
        cycles: sorted(bins[index]),
      }));
    },
  };
}

function alongTheWay({ travelM, pieces }: LineShares): PiecesCount {
  const each = pieces.map(({ gearId, mbsN, shares }) => {
    const bins = new Map<number, number>();
    const width = mbsN === undefined || mbsN <= 0 ? undefined : BIN_SHARE * mbsN;
    const count = gathering(
      rainflowCount((range, cycles) => {
        if (width !== undefined) add(bins, Math.floor(range / width + EDGE), cycles);
      }),
    );
    return { gearId, shares, largest: Math.max(...shares), bins, count, most: new Float64Array(1) };
  });
  return {
    push(tensionN, metre) {
      const at = metre === undefined ? undefined : between(travelM, metre);
      for (const { shares, largest, count, most } of each) {
        const share =
          at === undefined ? largest : (shares[at.index] ?? 0) + ((shares[at.index + 1] ?? 0) - (shares[at.index] ?? 0)) * at.part;
        const loadN = tensionN * share;
        if (loadN > (most[0] ?? 0)) most[0] = loadN;
        count.push(loadN);
      }
    },
    end: () =>
      each.map(({ gearId, count, bins, most }) => {
        count.end();
        return { gearId, peakN: most[0] ?? 0, cycles: sorted(bins) };
      }),
  };
}

/** Between which two metres one lies, and how far; before the first and behind the last it counts as there. */
function between(travelM: readonly number[], metre: number): { readonly index: number; readonly part: number } {
  let [low, high] = [0, travelM.length - 1];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if ((travelM[middle] ?? 0) <= metre) low = middle;
    else high = middle;
  }
  const [from, to] = [travelM[low] ?? 0, travelM[high] ?? 0];
  return { index: low, part: to > from ? Math.min(1, Math.max(0, (metre - from) / (to - from))) : 0 };
}

function add(bins: Map<number, number> | undefined, bin: number, cycles: number): void {
  bins?.set(bin, (bins.get(bin) ?? 0) + cycles);
}

const sorted = (bins: ReadonlyMap<number, number> | undefined): readonly CycleBin[] =>
  [...(bins ?? [])].map(([bin, cycles]) => ({ bin, cycles })).sort((a, b) => a.bin - b.bin);
