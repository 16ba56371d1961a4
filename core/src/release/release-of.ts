import type { Act } from '../pull/act.ts';
import type { Track } from '../pull/margins.ts';
import { leftLoaded } from './left-loaded.ts';
import type { Release } from './release.ts';
import { breaksOf } from './what-leaves.ts';
import { zonesOf } from './zones-of-rig.ts';

/** What an act does if a line parts; `energies` are the tracks of `energyMargins`. */
export const releaseOf = (act: Act, energies: readonly Track[]): Release => ({
  breaks: breaksOf(act, energies),
  left: leftLoaded(act),
  zones: zonesOf(act.start),
  swept: act.samples.slice(1).flatMap(zonesOf),
});
