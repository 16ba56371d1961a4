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
import { advantageAt, compareAnchors, explainPlace, figuresOf, judge, sparedRigs, tagReadings, tryPieces } from '@wainrope/core/judging';
import { expose } from 'comlink';

/** A figure of a report with its explanation, as it crosses to the page. */
export interface ShownFigure {
  readonly path: string;
  readonly label: string;
  readonly figure: Figure;
  readonly term: Term;
}

/** Core, off the page's own thread: the same code as on the server and in the command line. */
const solver = {
  judge: (subject: Case): Report => judge(subject),
  explain: (subject: Case, placeId: string): PlaceExplanation | undefined => explainPlace(subject, placeId),
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
