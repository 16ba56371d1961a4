import type { Act } from '../pull/act.ts';
import type { Track } from '../pull/margins.ts';
import { type LeftLoaded, leftLoaded } from './left-loaded.ts';
import { type BreakFigures, breaksOf } from './what-leaves.ts';
import { type LineZones, zonesOf } from './zones-of-rig.ts';

export { energyMargins } from './what-leaves.ts';

/** What happens if a line parts: what every line lets go, what is loaded then, and what is to be kept clear. */
export interface Release {
  readonly breaks: readonly BreakFigures[];
  readonly left: readonly LeftLoaded[];
  /** At the start, and what is to be kept clear beside on the way. */
  readonly zones: readonly LineZones[];
  readonly swept: readonly LineZones[];
}

/** What an act does if a line parts; `energies` are the tracks of `energyMargins`. */
export const releaseOf = (act: Act, energies: readonly Track[]): Release => ({
  breaks: breaksOf(act, energies),
  left: leftLoaded(act),
  zones: zonesOf(act.start),
  swept: act.samples.slice(1).flatMap(zonesOf),
});
