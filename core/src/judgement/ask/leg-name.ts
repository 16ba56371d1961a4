import type { Approach } from '../../pull/stops.ts';
import type { ResolvedRig } from '../../resolved/resolved-rig.ts';
import { legWords } from '../../rig/line-words.ts';

/** A leg of a line, in words. */
export interface LegNamed {
  readonly leg: string;
}

export const legNamed = ({ subject: { rig } }: ResolvedRig, { line, span }: Approach): LegNamed => ({
  leg: legWords(rig, { lineId: line.line.id, index: span }),
});
