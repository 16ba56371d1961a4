import { counted, endWords, isDone, rich, type Severity, type ToldReport, type Verdict } from '@wainrope/core';
import { type PullRow, pullRows } from '../pull/pull-rows.ts';

/** Something that happens while a pull is played, in words. */
export interface PlayEvent extends Omit<PullRow, 'finding'> {
  /** What the verdict becomes here, where nothing before it was as grave. */
  readonly worsens?: Verdict | undefined;
}

/** How grave what is found makes a verdict. */
const graveOf = (severity: Severity): number => (severity === 'stop' ? 2 : severity === 'note' ? 0 : 1);
const VERDICTS: readonly (Verdict | undefined)[] = [undefined, 'watch', 'stop'];

/** Metres: what is found no further on than this is found at the start. */
const START_M = 1e-6;

/** Everything that happens on the way, in order, the end at last; where the verdict worsens it is said. */
export function playEvents(report: Pick<ToldReport, 'pull' | 'findings'>): readonly PlayEvent[] {
  const { pull, findings } = report;
  let worst = Math.max(0, ...findings.filter(({ fromM = 0 }) => fromM <= START_M).map((finding) => graveOf(counted(finding))));
  const rows = pullRows(report).map((row): PlayEvent => {
    const grave = row.severity === undefined ? 0 : graveOf(row.severity);
    const { key, atM, words, severity } = row;
    if (grave <= worst) return { key, atM, words, severity };
    worst = grave;
    return { key, atM, words, severity, worsens: VERDICTS[grave] };
  });
  const early = !isDone(pull.end);
  return [...rows, { key: 'end', atM: pull.reachedM, words: rich`${endWords[pull.end]}`, severity: early ? 'stop' : undefined }];
}

/** Events nearer than this are stepped to together, metres. */
const SAME_M = 1e-3;

/** The metre of the next event ahead, or of the one before. */
export function steppedTo(events: readonly PlayEvent[], atM: number, step: 'next' | 'before'): number | undefined {
  const ahead = events.filter((event) => event.atM > atM + SAME_M);
  const behind = events.filter((event) => event.atM < atM - SAME_M);
  return step === 'next' ? ahead[0]?.atM : (behind.at(-1)?.atM ?? (atM > SAME_M ? 0 : undefined));
}

/** What happens at a metre. */
export const eventsAt = (events: readonly PlayEvent[], atM: number): readonly PlayEvent[] =>
  events.filter((event) => Math.abs(event.atM - atM) <= SAME_M);
