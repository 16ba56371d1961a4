import {
  type AdvantageAt,
  type AnchorOption,
  type BagPiece,
  type Case,
  type Figure,
  type GearFacts,
  type LetGo,
  type LetGoAsked,
  type LightestBag,
  type MomentReport,
  type PlaceExplanation,
  type RunUpCurves,
  type SparedRig,
  type Stand,
  type TagReading,
  type Term,
  type Timeline,
  type ToldFinding,
  type ToldReport,
  type Trial,
  told,
  withWords,
} from '@wainrope/core';
import {
  advantageAt,
  compareAnchors,
  explainPlace,
  figuresOf,
  type Judged,
  judgedCase,
  judgedStart,
  judgedSteps,
  letGoAt,
  lightestBag,
  momentReport,
  reportOf,
  runUpCurves,
  sparedRigs,
  tagReadings,
  timelineOf,
  tryPieces,
  whereToStand,
} from '@wainrope/core/judging';
import { expose } from 'comlink';

/** A figure of a report with its explanation, as it crosses to the page. */
export interface ShownFigure {
  readonly path: string;
  readonly label: string;
  readonly figure: Figure;
  readonly term: Term;
}

/** What a piece would be in its place, its findings with their words. */
export interface ToldTrial extends Omit<Trial, 'findings'> {
  readonly findings: readonly ToldFinding[];
}

/** An anchor that might take the place of another, what speaks against it with its words. */
export interface ToldAnchor extends Omit<AnchorOption, 'against'> {
  readonly against: readonly ToldFinding[];
}

/** A case as the page knows it by name, and how far it is judged. */
interface KnownCase {
  readonly subject: Case;
  start?: Judged;
  whole?: Judged;
}

/** So long it works on a pull at a stretch before it looks whether something newer has come, ms. */
const SLICE_MS = 12;

const breath = () => new Promise<void>((resume) => setTimeout(resume, 0));

const cases = new Map<string, KnownCase>();

function known(name: string): KnownCase {
  const found = cases.get(name);
  if (found === undefined) throw new Error(`the worker knows no case ${name}`);
  return found;
}

/** How many pulls were asked to be followed; only the newest is. */
let asked = 0;

/** Judges a case over its whole act, a slice at a time; nothing where a newer one overtook it. */
async function follow(name: string): Promise<ToldReport | undefined> {
  const subject = known(name);
  if (subject.whole) return withWords(reportOf(subject.whole));
  asked += 1;
  const own = asked;
  const steps = judgedSteps(subject.subject);
  let since = performance.now();
  for (;;) {
    const next = steps.next();
    if (next.done) {
      subject.whole = next.value;
      return withWords(reportOf(next.value));
    }
    if (performance.now() - since < SLICE_MS) continue;
    await breath();
    if (own !== asked) return undefined;
    since = performance.now();
  }
}

/** The lightest bag for a case, a rig at a time, so that newer questions are answered in between. */
async function lightest(name: string, pieces: readonly BagPiece[]): Promise<LightestBag> {
  const search = lightestBag(known(name).subject, pieces);
  for (;;) {
    const next = search.next();
    if (next.done) return next.value;
    await breath();
  }
}

/** The case judged over its whole act: as it was followed, else now. */
function whole(name: string): Judged {
  const subject = known(name);
  subject.whole ??= judgedCase(subject.subject);
  return subject.whole;
}

function start(name: string): Judged {
  const subject = known(name);
  subject.start ??= judgedStart(subject.subject);
  return subject.start;
}

/** Core, off the page's own thread: the same code as on the server and in the command line. A case crosses once and is named from then on; findings come back with their words, so that the page needs no rules. */
const solver = {
  know: (name: string, subject: Case): void => void cases.set(name, { subject }),
  forget: (name: string): void => void cases.delete(name),
  judge: (name: string): ToldReport => withWords(reportOf(whole(name))),
  judgeStart: (name: string): ToldReport => withWords(reportOf(start(name))),
  follow,
  /** Gives up the pull that is being followed. */
  overtake: (): void => {
    asked += 1;
  },
  /** The pull as it is played, and any moment of it. */
  timeline: (name: string): Timeline => timelineOf(whole(name)),
  momentReport: (name: string, travelM: number): MomentReport => momentReport(whole(name), travelM),
  letGo: (name: string, asked: LetGoAsked): LetGo | undefined => letGoAt(whole(name), asked),
  runUpCurves: (name: string): RunUpCurves | undefined => runUpCurves(whole(name)),
  explain: (name: string, placeId: string, when: 'start' | 'worst'): PlaceExplanation | undefined =>
    explainPlace(when === 'start' ? start(name) : whole(name), placeId, when),
  tryPieces: (name: string, useId: string, pieces: readonly GearFacts[]): readonly ToldTrial[] =>
    tryPieces(known(name).subject, useId, pieces).map((trial) => ({ ...trial, findings: told(trial.findings) })),
  compareAnchors: (name: string, lineId: string): readonly ToldAnchor[] =>
    compareAnchors(known(name).subject, lineId).map((option) => ({ ...option, against: told(option.against) })),
  lightestBag: lightest,
  whereToStand: (name: string): readonly Stand[] => whereToStand(whole(name)),
  sparedRigs: (name: string, lineId: string): readonly SparedRig[] => sparedRigs(known(name).subject, lineId),
  advantageAt: (name: string, realness: number): AdvantageAt | undefined => advantageAt(known(name).subject, realness),
  tagReadings: (name: string, gearId: string): readonly TagReading[] => tagReadings(known(name).subject, gearId),
  /** Every figure of the report but those of the places, each explained. */
  figures: (name: string): readonly ShownFigure[] =>
    figuresOf(whole(name))
      .filter(({ path }) => !path.startsWith('places['))
      .map(({ path, label, figure, explain }) => ({ path, label, figure, term: explain() })),
};

export type Solver = typeof solver;
expose(solver);
