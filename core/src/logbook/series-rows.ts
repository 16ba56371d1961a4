import { clockSeconds, type SeriesColumns, seriesNumber } from './series-columns.ts';

/** One reading of a gauge: time since the first, s; line tension, N; how far the load had come, m, where that is recorded. */
export type SampleSeen = (timeS: number, tensionN: number, travelM: number | undefined) => void;

/** A row that was not taken, by its line in the file, and why. */
export interface RefusedRow {
  readonly line: number;
  readonly why: string;
}

/** What a series is, once it has ended. */
export interface SeriesSummary {
  readonly rows: number;
  readonly durationS: number;
  /** The largest and the smallest tension, N, and when they were. */
  readonly peakN: number;
  readonly peakS: number;
  readonly lowestN: number;
  /** The first of the rows that were not taken, and how many there are. */
  readonly refused: readonly RefusedRow[];
  readonly refusedCount: number;
  /** Rows that have the time of the row before them; they count in their order. */
  readonly repeated: number;
  /** Times without a reading, the longest of them. */
  readonly gaps: number;
  readonly longestGapS: number;
  /** Single readings far from both of their neighbours, the first of them by line; they count unless a person leaves them out. */
  readonly spikes: number;
  readonly spikeLines: readonly number[];
}

export interface SeriesRows {
  /** The next row of figures, by its line in the file. */
  readonly push: (cells: readonly string[], line: number) => void;
  readonly end: () => SeriesSummary;
}

interface Settings {
  readonly columns: SeriesColumns;
  readonly leavesOutSpikes: boolean;
  readonly seen: SampleSeen;
}

/** So many are named; the rest is counted. */
const NAMED = 50;
/** More than any rig of people and vehicles carries, N. */
const MOST_N = 2_000_000;
/** A recording is no longer, s: thirty days. */
const MOST_S = 30 * 86_400;
/** No load is hauled further in one recording, m. */
const MOST_M = 10_000;
/** A time without readings is a gap from so many mean steps, and never shorter than this, s. */
const GAP_STEPS = 10;
const GAP_S = 2;
/** A lone reading is a spike where it is beyond both neighbours by this, N, and by more than the larger of them. */
const SPIKE_N = 5000;

/**
 * Reads the rows of a recorder's file one after the other, in memory that does not grow with them. What is no reading is refused by its
 * line: no number, a time that runs backwards or is more than 30 days after the first, a tension beyond 2,000 kN, a distance beyond 10 km. Nothing else is left out or altered: a repeated time counts, a
 * negative tension (a gauge that is not at zero) stays what it is, a spike counts unless a person says that it is none.
 */
export function seriesRows({ columns, leavesOutSpikes, seen }: Settings): SeriesRows {
  const refused: RefusedRow[] = [];
  const spikeLines: number[] = [];
  const tally = { rows: 0, refusedCount: 0, repeated: 0, gaps: 0, longestGapS: 0, spikes: 0 };
  const most = { peakN: Number.NEGATIVE_INFINITY, peakS: 0, lowestN: Number.POSITIVE_INFINITY };
  /** The two last readings: the newest waits for its neighbour before it is told. */
  let firstS = Number.NaN;
  let lastS = Number.NaN;
  let before = Number.NaN;
  let held: { readonly s: number; readonly n: number; readonly m: number | undefined; readonly line: number } | undefined;

  const refuse = (line: number, why: string): void => {
    tally.refusedCount++;
    if (refused.length < NAMED) refused.push({ line, why });
  };
  const tell = (s: number, n: number, m: number | undefined): void => {
    tally.rows++;
    if (n > most.peakN) {
      most.peakN = n;
      most.peakS = s;
    }
    if (n < most.lowestN) most.lowestN = n;
    seen(s, n, m);
  };
  const settle = (next: number): void => {
    if (!held) return;
    const { s, n, m, line } = held;
    const isSpike = isAlone(before, n, next);
    if (isSpike) {
      tally.spikes++;
      if (spikeLines.length < NAMED) spikeLines.push(line);
    }
    if (isSpike && leavesOutSpikes) return;
    tell(s, n, m);
    before = n;
  };

  /** What the time since the last row says: the same again, or a gap. */
  const pause = (s: number): void => {
    const stepS = s - lastS;
    if (stepS === 0) tally.repeated++;
    if (!(stepS > GAP_S) || tally.rows <= GAP_STEPS || stepS <= (GAP_STEPS * lastS) / tally.rows) return;
    tally.gaps++;
    tally.longestGapS = Math.max(tally.longestGapS, stepS);
  };

  return {
    push(cells, line) {
      const reading = readRow(cells, columns);
      if (typeof reading === 'string') return refuse(line, reading);
      if (Number.isNaN(firstS)) firstS = reading.at;
      const s = reading.at - firstS;
      if (s < lastS) return refuse(line, `its time, ${seconds(s)} s after the first, runs behind the row before it, ${seconds(lastS)} s`);
      if (s > MOST_S) return refuse(line, `its time, ${seconds(s)} s after the first, is beyond the 30 days that can be read`);
      pause(s);
      lastS = s;
      settle(reading.n);
      held = { s, n: reading.n, m: reading.m, line };
    },
    end() {
      settle(Number.NaN);
      const none = tally.rows === 0;
      return {
        ...tally,
        durationS: none ? 0 : lastS,
        peakN: none ? 0 : most.peakN,
        peakS: most.peakS,
        lowestN: none ? 0 : most.lowestN,
        refused,
        spikeLines,
      };
    },
  };
}

interface RowReading {
  readonly at: number;
  readonly n: number;
  readonly m: number | undefined;
}

/** A row as a reading, or why it is none. */
function readRow(cells: readonly string[], columns: SeriesColumns): RowReading | string {
  const { time, timeS, tension, tensionN, travel, travelM = 1, decimal } = columns;
  const at = timeOf(cells[time] ?? '', timeS, decimal);
  if (!Number.isFinite(at)) return `“${short(cells[time])}” is not a time`;
  const n = seriesNumber(cells[tension] ?? '', decimal) * tensionN;
  if (Number.isNaN(n)) return `“${short(cells[tension])}” is not a tension`;
  if (Math.abs(n) > MOST_N) return `${Math.round(n / 1000)} kN is beyond the 2,000 kN that can be read`;
  if (travel === undefined) return { at, n, m: undefined };
  const m = seriesNumber(cells[travel] ?? '', decimal) * travelM;
  if (Number.isNaN(m)) return `“${short(cells[travel])}” is not a distance`;
  return Math.abs(m) > MOST_M ? `“${short(cells[travel])}” is beyond the 10 km that can be read` : { at, n, m };
}

const timeOf = (cell: string, unit: SeriesColumns['timeS'], decimal: SeriesColumns['decimal']): number =>
  unit === 'clock' ? clockSeconds(cell) : seriesNumber(cell, decimal) * unit;

/** Whether a reading stands alone between its neighbours: beyond both, the same way. */
function isAlone(before: number, n: number, next: number): boolean {
  if (Number.isNaN(before) || Number.isNaN(next)) return false;
  const [up, down] = [n - Math.max(before, next), Math.min(before, next) - n];
  return up > Math.max(SPIKE_N, Math.abs(before), Math.abs(next)) || down > Math.max(SPIKE_N, Math.abs(n));
}

const short = (cell: string | undefined): string => (cell ?? '').trim().slice(0, 30);
const seconds = (s: number): string => String(Math.round(s * 1000) / 1000);
