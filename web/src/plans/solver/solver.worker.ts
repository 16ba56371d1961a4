import {
  type AdvantageAt,
  type AnchorOption,
  type Case,
  type Figure,
  type GearFacts,
  type PlaceExplanation,
  type Report,
  type SparedRig,
  type TagReading,
  type Term,
  type Trial,
} from '@wainrope/core';
import {
  advantageAt,
  compareAnchors,
  explainPlace,
  figuresOf,
  judge,
  judgeStart,
  judgeSteps,
  sparedRigs,
  tagReadings,
  tryPieces,
} from '@wainrope/core/judging';
import { expose } from 'comlink';

/** A figure of a report with its explanation, as it crosses to the page. */
export interface ShownFigure {
  readonly path: string;
  readonly label: string;
  readonly figure: Figure;
  readonly term: Term;
}

/** So long it works on a pull at a stretch before it looks whether something newer has come, ms. */
const SLICE_MS = 12;

const breath = () => new Promise<void>((resume) => setTimeout(resume, 0));

/** The case whose start was judged last: what is to be followed need not cross to the worker twice. */
let begun: Case | undefined;

function start(subject: Case): Report {
  begun = subject;
  return judgeStart(subject);
}

/** How many pulls were asked to be followed; only the newest is. */
let asked = 0;

/** Judges the case begun last over its whole act, a slice at a time; nothing where a newer one overtook it. */
async function follow(): Promise<Report | undefined> {
  if (begun === undefined) throw new Error('no case was begun');
  asked += 1;
  const own = asked;
  const steps = judgeSteps(begun);
  let since = performance.now();
  for (;;) {
    const next = steps.next();
    if (next.done) return next.value;
    if (performance.now() - since < SLICE_MS) continue;
    await breath();
    if (own !== asked) return undefined;
    since = performance.now();
  }
}

/** Core, off the page's own thread: the same code as on the server and in the command line. */
const solver = {
  judge: (subject: Case): Report => judge(subject),
  judgeStart: start,
  follow,
  /** Gives up the pull that is being followed. */
  overtake: (): void => {
    asked += 1;
  },
  explain: (subject: Case, placeId: string, when: 'start' | 'worst'): PlaceExplanation | undefined => explainPlace(subject, placeId, when),
  tryPieces: (subject: Case, useId: string, pieces: readonly GearFacts[]): readonly Trial[] => tryPieces(subject, useId, pieces),
  compareAnchors: (subject: Case, lineId: string): readonly AnchorOption[] => compareAnchors(subject, lineId),
  sparedRigs: (subject: Case, lineId: string): readonly SparedRig[] => sparedRigs(subject, lineId),
  advantageAt: (subject: Case, realness: number): AdvantageAt | undefined => advantageAt(subject, realness),
  tagReadings: (subject: Case, gearId: string): readonly TagReading[] => tagReadings(subject, gearId),
  /** Every figure of the report but those of the places, each explained. */
  figures: (subject: Case): readonly ShownFigure[] =>
    figuresOf(subject)
      .filter(({ path }) => !path.startsWith('places['))
      .map(({ path, label, figure, explain }) => ({ path, label, figure, term: explain() })),
};

export type Solver = typeof solver;
expose(solver);
