import type { Moment } from '../moment/moment.ts';

/**
 * Numbers that are asked at every step of an act: above 0 in order, 0 just so, below 0 the fault is there. Undefined where a fact is
 * missing, NaN where there is nothing to compare.
 */
export interface Margins {
  readonly count: number;
  readonly at: (moment: Moment, index: number) => number | undefined;
}

/** What an act keeps of one margin. */
export interface Track {
  /** The least, and the moment it was met; infinite and missing where there never was one. */
  readonly least: number;
  readonly moment: Moment | undefined;
  /** Metres of travel from which it is below 0; missing where it never is. */
  readonly fromM: number | undefined;
  /** The first moment at which a fact was missing. */
  readonly unknown: Moment | undefined;
}
