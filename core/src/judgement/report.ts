import type { Effort } from '../effort/estimate-pull.ts';
import type { RichText } from '../quantity/format.ts';
import type { PulleyAt, StrandAt } from './drawing-facts.ts';
import type { Fix, Severity, Subject } from './rule.ts';

/** Version of the rules and formulas: a saved report made by another is out of date. */
export const CORE_VERSION = '1';

export type Verdict = 'clear' | 'clear-judged' | 'watch' | 'stop';

export interface Finding {
  /** `<code>@<subject>`, stable while the rig keeps its ids. */
  readonly id: string;
  readonly code: string;
  readonly severity: Severity;
  /** Undecided: counts as a caution (a note stays a note) until the question is answered. */
  readonly undecided: boolean;
  readonly subject: Subject;
  readonly title: RichText;
  readonly detail: RichText;
  readonly why: string;
  readonly questionId?: string;
  readonly fixes: readonly Fix[];
}

/** One place of the load path with its figures; forces in newtons. */
export interface PlaceFigures {
  readonly id: string;
  readonly kind: string;
  readonly subject: Subject;
  readonly gearId?: string;
  readonly tag?: string;
  readonly name: string;
  readonly where: string;
  readonly plannedN?: number;
  readonly greatestN?: number;
  readonly wllN?: number;
  readonly mbsN?: number;
  readonly utilisation?: number;
  readonly breakingRatio?: number;
  readonly stopRatio: number;
  readonly judged: boolean;
  readonly strands: readonly number[];
}

export interface DrumFigures {
  readonly layer?: number;
  readonly lineOutM?: number;
  readonly usableM?: number;
  readonly wrapsLeft?: number;
  readonly wrapsWanted?: number;
  readonly ratedN?: number;
  readonly greatestN?: number;
  readonly limitedBy?: string;
}

export interface Report {
  readonly kind: 'rig';
  readonly coreVersion: string;
  readonly verdict: Verdict;
  readonly asOf: string;
  /** The last day on which nothing that is judged will have changed by the calendar alone; missing where nothing will. */
  readonly goodUntil?: string;
  readonly weakestPlaceId?: string;
  readonly linePullLimit?: { readonly pullN: number; readonly placeId: string };
  readonly pullN?: number;
  readonly plannedPullN?: number;
  readonly greatestPullN?: number;
  readonly advantage?: { readonly hauling: number; readonly frictionless: number };
  readonly effort?: Effort;
  readonly drum: DrumFigures;
  readonly strands: readonly StrandAt[];
  readonly pulleys: readonly PulleyAt[];
  readonly places: readonly PlaceFigures[];
  readonly findings: readonly Finding[];
}
