import type { Act } from '../moment/act.ts';
import { type BreakFigures, breaksOf } from './what-leaves.ts';
import { type LineZones, zonesOf } from './zones-of-rig.ts';

/** What happens if a line parts: what every line lets go, and what is to be kept clear. */
export interface Release {
  readonly breaks: readonly BreakFigures[];
  readonly zones: readonly LineZones[];
}

export const releaseOf = ({ start }: Act): Release => ({ breaks: breaksOf(start), zones: zonesOf(start) });
