import type { TypeOf } from '../codec/codec.ts';
import { choice, flag, numeric, text } from '../codec/scalars.ts';
import { list, optional, record } from '../codec/structures.ts';
import { endKinds } from '../pull/ends.ts';
import { eventWords } from '../pull/events/event-list.ts';
import { write } from '../quantity/format.ts';
import type { Case } from '../rig/case.ts';
import type { RunUpPlan } from '../shock/attempts.ts';
import { bodiesAt, plannedDriveN } from '../shock/run-up-plan.ts';
import { runTwoBodies, type ShockSample } from '../shock/two-bodies.ts';
import type { Judged } from './ask/judged.ts';
import { judgedCase } from './judge.ts';
import type { Report } from './report/report.ts';
import { reportOf } from './report/write-report.ts';

const any = numeric({ min: -1e12, max: 1e12 });
const positive = numeric({ min: 0, max: 1e12 });

const pullRow = record({
  travelM: positive,
  /** What the load asks for, and what the first drive is planned to pull and can get to. */
  pullN: optional(any),
  linePullN: optional(any),
  greatestPullN: optional(any),
  /** Largest share of a working limit, and largest stop ratio ÷ breaking ratio, of all places but drums. */
  utilisation: optional(positive),
  breaking: optional(positive),
  /** Planned pull on the load across its way, to the left, and downwards. */
  sidewaysN: optional(any),
  downwardN: optional(any),
  drives: list(record({ lineId: text(), lineOutM: optional(any), layer: optional(positive), loadShare: optional(any) }), { max: 20 }),
});

export const PULL_FORMAT = 'wainrope.pull';
/** A pull over time as a file: how it ends, what happens on the way, and its figures moment by moment. */
export const pullFileCodec = record({
  format: choice([PULL_FORMAT]),
  version: numeric({ min: 1, max: 1, integer: true }),
  name: text({ maxLength: 400 }),
  coreVersion: text({ maxLength: 20 }),
  verdict: choice(['clear', 'clear-judged', 'watch', 'stop']),
  startOnly: optional(choice(['travel-not-said', 'not-yet-run', 'run-up-unknown'])),
  askedM: optional(positive),
  reachedM: positive,
  end: choice(endKinds),
  resets: positive,
  events: list(record({ atM: positive, kind: text(), words: text({ maxLength: 400 }) }), { max: 10_000 }),
  rows: list(pullRow, { max: 1_000_000 }),
});
export type PullFile = TypeOf<typeof pullFileCodec>;

const sample = record({ timeS: positive, tensionN: positive, towingMPerS: any, stuckMPerS: any, movedM: any });
const attemptFile = record({
  share: positive,
  speedMPerS: positive,
  slackM: positive,
  peakN: positive,
  greatestN: positive,
  peakS: positive,
  freed: flag,
  movedM: positive,
  verdict: choice(['clear', 'watch', 'stop']),
  /** The run as planned, and the greatest check, from first tension on. */
  planned: list(sample, { max: 100_000 }),
  greatest: list(sample, { max: 100_000 }),
});

export const RUN_UP_FORMAT = 'wainrope.run-up';
/** A pull with a run-up as a file: its attempts, each with tension and motion over time. */
export const runUpFileCodec = record({
  format: choice([RUN_UP_FORMAT]),
  version: numeric({ min: 1, max: 1, integer: true }),
  name: text({ maxLength: 400 }),
  coreVersion: text({ maxLength: 20 }),
  verdict: choice(['clear', 'clear-judged', 'watch', 'stop']),
  chosen: flag,
  proposedMPerS: optional(positive),
  attempts: list(attemptFile, { min: 1, max: 6 }),
});
export type RunUpFile = TypeOf<typeof runUpFileCodec>;

/** Runs the pull of a case and writes it down, moment by moment, beside its report. */
export function simulatePull(subject: Case): { readonly report: Report; readonly file: PullFile } {
  const judged = judgedCase(subject);
  const report = reportOf(judged);
  const { pull } = report;
  return {
    report,
    file: {
      format: PULL_FORMAT,
      version: 1,
      name: subject.name,
      coreVersion: report.coreVersion,
      verdict: report.verdict,
      ...(report.startOnly && { startOnly: report.startOnly }),
      ...(pull.askedM !== undefined && { askedM: pull.askedM }),
      reachedM: pull.reachedM,
      end: pull.end,
      resets: pull.resets,
      events: pull.events.map((event) => ({ atM: event.atM, kind: event.kind, words: write(eventWords(event)) })),
      rows: rowsOf(judged),
    },
  };
}

const known = <K extends string>(key: K, value: number | undefined): { readonly [P in K]?: number } =>
  (value === undefined || Number.isNaN(value) ? {} : { [key]: value }) as { readonly [P in K]?: number };

function rowsOf({ curves, rig }: Judged): PullFile['rows'] {
  return curves.travelM.map((travelM, index) => ({
    travelM,
    ...known('pullN', curves.pullN[index]),
    ...known('linePullN', curves.linePullN[index]),
    ...known('greatestPullN', curves.greatestPullN[index]),
    ...known('utilisation', curves.utilisation[index]),
    ...known('breaking', curves.breaking[index]),
    ...known('sidewaysN', curves.sidewaysN[index]),
    ...known('downwardN', curves.downwardN[index]),
    drives: rig.drives.map(({ line }, drive) => ({
      lineId: line.line.id,
      ...known('lineOutM', curves.lineOutM[drive]?.[index]),
      ...known('layer', curves.layers[drive]?.[index]),
      ...known('loadShare', curves.loadShares[drive]?.[index]),
    })),
  }));
}

/** Seconds between two entries of a history. */
const HISTORY_S = 0.01;

/** Tension and motion over time of a run-up at a speed, as planned and in the greatest check, by the reading of the marks that pulls hardest. */
export function historiesOf({ rig }: Judged, { setup, accelerationMPerS2 }: RunUpPlan) {
  const factor = rig.policy.runUp.greatestFactor.value;
  const history = (speedMPerS: number, driveN: number, stuckDrives: boolean): readonly ShockSample[] => {
    const runs = setup.trains.map((train) =>
      runTwoBodies({ ...bodiesAt(setup, train, { speedMPerS, driveN, stuckDrives }), historyS: HISTORY_S }),
    );
    const most = Math.max(...runs.map(({ peakN }) => peakN));
    return runs.find(({ peakN }) => peakN === most)?.history ?? [];
  };
  return {
    planned: (speedMPerS: number) => history(speedMPerS, plannedDriveN(setup, accelerationMPerS2), setup.stuck.driveN > 0),
    greatest: (speedMPerS: number) => history(speedMPerS * factor, setup.towing.tractionN, false),
  };
}

/** What the file has of an instant. */
const written = ({ timeS, tensionN, towingMPerS, stuckMPerS, movedM }: ShockSample) => ({
  timeS,
  tensionN,
  towingMPerS,
  stuckMPerS,
  movedM,
});

/** Runs the attempts of a pull with a run-up and writes each down over time; nothing where the case has none, or it cannot be reckoned. */
export function simulateRunUp(subject: Case): { readonly report: Report; readonly file: RunUpFile | undefined } {
  const judged = judgedCase(subject);
  const report = reportOf(judged);
  if (judged.runUp?.kind !== 'planned') return { report, file: undefined };
  const { plan } = judged.runUp;
  const histories = historiesOf(judged, plan);
  const attempts = plan.attempts.map(({ share, speedMPerS, slackM, peakN, greatestN, peakS, freed, movedM, verdict }) => ({
    share,
    speedMPerS,
    slackM: Math.min(slackM, 1e6),
    peakN,
    greatestN,
    peakS,
    freed,
    movedM,
    verdict,
    planned: histories.planned(speedMPerS).map(written),
    greatest: histories.greatest(speedMPerS).map(written),
  }));
  const { chosen, proposedMPerS } = plan;
  const file: RunUpFile = {
    format: RUN_UP_FORMAT,
    version: 1,
    name: subject.name,
    coreVersion: report.coreVersion,
    verdict: report.verdict,
    chosen,
    ...(proposedMPerS !== undefined && { proposedMPerS }),
    attempts,
  };
  return { report, file };
}
