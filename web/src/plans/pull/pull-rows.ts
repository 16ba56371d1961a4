import { eventWords, isDone, type RichText, type Severity, type ToldFinding, type ToldReport } from '@wainrope/core';

/** Something that happens at one metre of the pull, in words. */
export interface PullRow {
  readonly key: string;
  readonly atM: number;
  readonly words: RichText;
  /** What it counts as, where a rule found it. */
  readonly severity?: Severity | undefined;
  readonly finding?: ToldFinding | undefined;
}

/** A finding begins on the way if it is not there at the start: from this metre on, metres. */
const ON_THE_WAY_M = 1e-6;

const begins = ({ fromM, undecided }: ToldFinding): boolean => !undecided && (fromM ?? 0) > ON_THE_WAY_M;

/** Everything that happens on the way, in the order in which it happens: events, and what begins to be wrong. */
export function pullRows({ pull, findings }: Pick<ToldReport, 'pull' | 'findings'>): readonly PullRow[] {
  const found = findings.filter(begins).map(
    (finding): PullRow => ({
      key: finding.id,
      atM: finding.fromM ?? 0,
      words: finding.title,
      severity: finding.severity,
      finding,
    }),
  );
  const events = pull.events.map((event, index): PullRow => ({ key: `${event.kind}-${index}`, atM: event.atM, words: eventWords(event) }));
  return [...found, ...events].sort((a, b) => a.atM - b.atM);
}

/** Whether a pull ends before the load is where it has to go. */
export const endsEarly = ({ pull, runUp, startOnly }: Pick<ToldReport, 'pull' | 'runUp' | 'startOnly'>): boolean =>
  runUp === undefined && startOnly === undefined && !isDone(pull.end);
