import type { Effort } from '../../effort/estimate-pull.ts';
import type { FitKind } from '../../gear/fit.ts';
import type { BreakFigures } from '../../release/what-leaves.ts';
import type { LineZones } from '../../release/zones-of-rig.ts';
import type { Subject } from '../ask/rule.ts';
import type { LoadForce, PointLoad, PulleyAt, StrandAt } from './drawing-facts.ts';
import type { Finding } from './finding.ts';

/** Version of the rules and formulas: a saved report made by another is out of date. */
export const CORE_VERSION = '5';

export type Verdict = 'clear' | 'clear-judged' | 'watch' | 'stop';

/** One place of the load path with its figures; forces in newtons. */
export interface PlaceReport {
  readonly id: string;
  /** The line or back-anchor that it is part of. */
  readonly part: string;
  readonly kind: string;
  readonly subject: Subject;
  readonly gearId?: string | undefined;
  readonly tag?: string | undefined;
  readonly name: string;
  readonly where: string;
  readonly plannedN?: number | undefined;
  readonly greatestN?: number | undefined;
  readonly wllN?: number | undefined;
  readonly mbsN?: number | undefined;
  readonly utilisation?: number | undefined;
  readonly breakingRatio?: number | undefined;
  readonly stopRatio: number;
  readonly judged: boolean;
  readonly strands: readonly number[];
}

export interface DrumFigures {
  readonly layer?: number | undefined;
  readonly lineOutM?: number | undefined;
  readonly usableM?: number | undefined;
  readonly wrapsLeft?: number | undefined;
  readonly wrapsWanted?: number | undefined;
  readonly ratedN?: number | undefined;
  readonly greatestN?: number | undefined;
  readonly limitedBy?: string | undefined;
}

/** What one drive is asked for and can do, newtons. */
export interface DriveFigures extends DrumFigures {
  readonly lineId: string;
  readonly kind: 'winch' | 'hand' | 'tow';
  /** Its tension as a share of the first drive's. */
  readonly share: number;
  readonly plannedN?: number | undefined;
  readonly linePullLimitN?: number | undefined;
  /** The pull itself: bursts, minutes, the first burst in s, motor temperature in °C, lowest charge of the battery, 0…1. */
  readonly work?: WorkFigures | undefined;
}

export interface WorkFigures {
  readonly ropeM: number;
  readonly currentA: number;
  readonly bursts?: number | undefined;
  readonly minutes?: number | undefined;
  readonly firstBurstS?: number | undefined;
  readonly speedMPerS?: number | undefined;
  readonly hottestC?: number | undefined;
  readonly lowestChargeShare?: number | undefined;
}

/** How a vehicle stands; newtons. `slidesByN` below 0: it holds. */
export interface HoldReport {
  readonly bodyId: string;
  readonly isLoad: boolean;
  readonly plannedDemandN?: number | undefined;
  readonly plannedHoldN?: number | undefined;
  readonly plannedSlidesByN?: number | undefined;
  readonly greatestSlidesByN?: number | undefined;
  /** Line pull of the first drive from which it slides, and from which it tips. */
  readonly slidesFromN?: number | undefined;
  readonly tipsFromN?: number | undefined;
  readonly plannedTipping?: number | undefined;
  readonly greatestTipping?: number | undefined;
  readonly backAnchored: boolean;
}

export interface FitReport {
  readonly kind: FitKind;
  readonly innerUseId: string;
  readonly outerUseId?: string | undefined;
  readonly sizeM?: number | undefined;
  readonly openingM?: number | undefined;
  readonly fits?: boolean | undefined;
}

export interface Report {
  readonly kind: 'rig';
  readonly coreVersion: string;
  readonly verdict: Verdict;
  readonly asOf: string;
  /** The last day on which nothing that is judged will have changed by the calendar alone; missing where nothing will. */
  readonly goodUntil?: string | undefined;
  readonly weakestPlaceId?: string | undefined;
  readonly linePullLimit?: { readonly pullN: number; readonly placeId: string } | undefined;
  readonly pullN?: number | undefined;
  readonly plannedPullN?: number | undefined;
  readonly greatestPullN?: number | undefined;
  readonly advantage?: { readonly hauling: number; readonly frictionless: number; readonly lowering?: number } | undefined;
  /** Rope hauled in for every metre the load travels, without friction. */
  readonly ropePerTravel?: number | undefined;
  readonly loadForce?: LoadForce | undefined;
  readonly effort?: Effort | undefined;
  readonly drum: DrumFigures;
  readonly strands: readonly StrandAt[];
  readonly pulleys: readonly PulleyAt[];
  readonly drives: readonly DriveFigures[];
  readonly pointLoads: readonly PointLoad[];
  readonly holds: readonly HoldReport[];
  readonly fits: readonly FitReport[];
  readonly breaks: readonly BreakFigures[];
  readonly zones: readonly LineZones[];
  readonly places: readonly PlaceReport[];
  readonly findings: readonly Finding[];
}
