import type { Effort } from '../../effort/estimate-pull.ts';
import type { FitKind } from '../../gear/fit.ts';
import type { StartOnly } from '../../pull/act.ts';
import type { EndKind } from '../../pull/ends.ts';
import type { PullEvent } from '../../pull/events/event.ts';
import type { HandHaul } from '../../pull/hand-haul.ts';
import type { LeftLoaded } from '../../release/left.ts';
import type { BreakFigures } from '../../release/what-leaves.ts';
import type { LineZones } from '../../release/zones-of-rig.ts';
import type { RunUp } from '../../shock/run-at.ts';
import type { Subject } from '../ask/told.ts';
import type { LoadForce, PointLoad, PulleyAt, StrandAt } from './drawing-facts.ts';
import type { Finding } from './finding.ts';

/** Version of the rules and formulas: a saved report made by another is out of date. */
export const CORE_VERSION = '10';

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
  /** The worst that it meets on the way; the figures above are those of the start. */
  readonly worst?: WorstFigures | undefined;
}

/** What a place carries where its share of the limit is largest, and where its breaking ratio is least; metres of travel. */
export interface WorstFigures {
  readonly plannedN?: number | undefined;
  readonly wllN?: number | undefined;
  readonly utilisation?: number | undefined;
  readonly plannedAtM?: number | undefined;
  readonly greatestN?: number | undefined;
  readonly mbsN?: number | undefined;
  readonly breakingRatio?: number | undefined;
  readonly greatestAtM?: number | undefined;
}

/** How the act goes: how far, what ends it, and what happens on the way. */
export interface PullReport {
  /** How far the load has to go, metres; missing where nobody has said. */
  readonly askedM?: number | undefined;
  readonly reachedM: number;
  readonly end: EndKind;
  readonly events: readonly PullEvent[];
  /** How often grips are moved. */
  readonly resets: number;
  /** Every haul by hand. */
  readonly hands: readonly HandHaul[];
  /** Largest planned line pull, and where. */
  readonly plannedN?: number | undefined;
  readonly plannedAtM?: number | undefined;
  /** Largest pull across the way and downwards at the load, planned, and where. */
  readonly sidewaysN?: number | undefined;
  readonly sidewaysAtM?: number | undefined;
  readonly downwardN?: number | undefined;
  readonly downwardAtM?: number | undefined;
  /** The first drive's drum at the end. */
  readonly lastDrum: DrumFigures;
  /** Minutes of hauling and resting, by hand or where a motor is on record, and of rigging: a guess. */
  readonly haulMin?: number | undefined;
  readonly riggingMin: number;
}

/** One attempt of a run-up; newtons, metres, metres a second. */
export interface AttemptReport {
  readonly share: number;
  readonly speedMPerS: number;
  readonly slackM: number;
  readonly peakN: number;
  readonly greatestN: number;
  readonly peakS: number;
  readonly freed: boolean;
  readonly movedM: number;
  readonly utilisation?: number | undefined;
  readonly highestPlaceId?: string | undefined;
  readonly breakingRatio?: number | undefined;
  readonly weakestPlaceId?: string | undefined;
  readonly breaksPlaceId?: string | undefined;
  readonly breaksAtS?: number | undefined;
  readonly verdict: 'clear' | 'watch' | 'stop';
}

export interface RunUpReport {
  readonly chosen: boolean;
  readonly proposedMPerS?: number | undefined;
  readonly boundBy: 'limit' | 'breaking' | 'slack' | 'no-speed' | 'static';
  readonly accelerationMPerS2: number;
  readonly slackM: number;
  readonly neededSlackM: number;
  readonly mostSlackM: number;
  readonly offHeadingRad: number;
  readonly restMin: number;
  readonly attempts: readonly AttemptReport[];
  readonly beyond: AttemptReport;
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
  /** Set where only the start is known, and why. */
  readonly startOnly?: StartOnly | undefined;
  /** Over the whole way, and where on it. */
  readonly weakestPlaceId?: string | undefined;
  readonly weakestAtM?: number | undefined;
  readonly linePullLimit?: { readonly pullN: number; readonly placeId: string; readonly atM: number } | undefined;
  readonly pull: PullReport;
  readonly runUp?: RunUpReport | undefined;
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
  readonly left: readonly LeftLoaded[];
  /** At the start; and what is to be kept clear beside on the way. */
  readonly zones: readonly LineZones[];
  readonly swept: readonly LineZones[];
  readonly places: readonly PlaceReport[];
  readonly findings: readonly Finding[];
}

/** Where a body stands at a moment; metres, and how far it is turned clockwise from its heading as drawn. */
export interface MovedBody {
  readonly bodyId: string;
  readonly xM: number;
  readonly yM: number;
  readonly turnRad: number;
}

/** What a report says of its start, said of another moment of the same act. */
export interface MomentReport
  extends Pick<
    Report,
    'strands' | 'pulleys' | 'pointLoads' | 'loadForce' | 'places' | 'drum' | 'holds' | 'pullN' | 'plannedPullN' | 'greatestPullN'
  > {
  readonly travelM: number;
  /** The place that stands highest at this moment. */
  readonly highestPlaceId?: string | undefined;
  readonly moved: readonly MovedBody[];
}

/** Every attempt over time, and the tension of the line at which each place meets its limit, newtons. */
export interface RunUpCurves {
  readonly attempts: readonly RunUp[];
  readonly beyond: RunUp;
  /** The vehicle that tows, and the level way from the stuck one to it: a unit vector on the map. */
  readonly towingId: string;
  readonly way: { readonly xM: number; readonly yM: number };
  readonly limits: readonly { readonly placeId: string; readonly limitN: number }[];
}
