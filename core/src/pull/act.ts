import type { LinePullLimit } from '../moment/margins.ts';
import type { Moment } from '../moment/moment.ts';
import type { At } from '../moment/poses.ts';
import type { WinchWork } from '../moment/winch-work.ts';
import type { Place } from '../resolved/place.ts';
import type { ResolvedRig } from '../resolved/resolved-rig.ts';
import type { RunUpOutcome } from '../shock/attempts.ts';
import type { EndKind } from './ends.ts';
import type { PullEvent } from './events/event.ts';
import type { Track } from './margins.ts';

/** Why an act is known no further than its start. */
export type StartOnly =
  /** Nobody has said how far the load has to go. */
  | 'travel-not-said'
  /** The rest is still being worked out. */
  | 'not-yet-run'
  /** Something that a run-up is reckoned from is not on record. */
  | 'run-up-unknown';

/** The worst that a place meets on the way, and when. */
export interface WorstOfPlace {
  /** The moments of its largest utilisation and of its least breaking ratio; missing where it never has one. */
  readonly planned: Moment | undefined;
  readonly greatest: Moment | undefined;
}

/** Figures along the way, one entry a moment; the travel may stand twice where something changes at a stroke. */
export interface Curves {
  readonly travelM: readonly number[];
  /** What the load asks for, what the first drive is planned to pull, and what it can get to. Newtons; NaN where not known. */
  readonly pullN: readonly number[];
  readonly linePullN: readonly number[];
  readonly greatestPullN: readonly number[];
  /** Largest utilisation and least breaking ratio over stop ratio of all places but drums. */
  readonly utilisation: readonly number[];
  readonly breaking: readonly number[];
  /** Largest utilisation of all places, drums among them. */
  readonly highestShare: readonly number[];
  /** What the ropes do to the load as planned, newtons: level and square to its way, to the left; downwards and square to both. */
  readonly sidewaysN: readonly number[];
  readonly downwardN: readonly number[];
  /** For every drive: line out, metres, and the layer it works on; NaN where not known. */
  readonly lineOutM: readonly (readonly number[])[];
  readonly layers: readonly (readonly number[])[];
  /** For every line: length of its path from drive to end, metres. */
  readonly pathM: readonly (readonly number[])[];
  /** For every drive: planned pull ÷ rated pull on its layer. */
  readonly loadShares: readonly (readonly number[])[];
}

/** The whole of an act: its worst values with when they are met, its events, its end. */
export interface Act {
  readonly rig: ResolvedRig;
  readonly start: Moment;
  /** The moment it ends with. */
  readonly last: Moment;
  /** Missing where the whole act is known. */
  readonly startOnly: StartOnly | undefined;
  readonly end: { readonly kind: EndKind; readonly atM: number };
  /** A few moments spread over the travel, first and last among them, for what is drawn of it. */
  readonly samples: readonly Moment[];
  /** What was kept of one of the sets of margins that were asked, by its number. */
  readonly tracks: (set: number) => readonly Track[];
  readonly places: readonly WorstOfPlace[];
  readonly weakest: { readonly place: Place; readonly moment: Moment } | undefined;
  readonly limit: (LinePullLimit & { readonly moment: Moment }) | undefined;
  readonly events: readonly PullEvent[];
  readonly curves: Curves;
  /** Which moment each entry of the curves is of. */
  readonly stations: readonly At[];
  /** How many times grips were moved. */
  readonly resets: number;
  /** What every electric winch has to do. */
  readonly work: readonly WinchWork[];
  /** Where the load is freed with a run-up; `start` is then its peak. */
  readonly runUp: RunUpOutcome | undefined;
}
