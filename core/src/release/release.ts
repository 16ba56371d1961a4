import type { LeftLoaded } from './left.ts';
import type { BreakFigures } from './what-leaves.ts';
import type { LineZones } from './zones-of-rig.ts';

/** What happens if a line parts: what every line lets go, what is loaded then, and what is to be kept clear. */
export interface Release {
  readonly breaks: readonly BreakFigures[];
  readonly left: readonly LeftLoaded[];
  /** At the start, and what is to be kept clear beside on the way. */
  readonly zones: readonly LineZones[];
  readonly swept: readonly LineZones[];
}
