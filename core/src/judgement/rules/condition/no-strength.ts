import type { Moment } from '../../../moment/moment.ts';
import { weakestAnchor } from '../../../moment/places.ts';
import { rich } from '../../../quantity/format.ts';
import type { Place } from '../../../resolved/place.ts';
import { momentRule } from '../../ask/rule.ts';
import { aboutPlace, allPlaces, found, ownerName, stronger } from '../../ask/speak.ts';

export const noStrength = momentRule({
  code: 'no-strength',
  severity: 'stop',
  softenable: false,
  why: 'In its present state this counts for nothing, whatever is marked on it.',
  needs: ['use.piece', 'gear.inspection', 'tree.stands', 'anchor.log'],
  subjects: allPlaces,
  about: aboutPlace,
  margin: ({ places }, { index }) => (places.present[index] === 1 && (places.wllN[index] ?? Number.NaN) <= 0 ? -1 : 1),
  answer: (moment, place) => {
    const refused = refusedAnchor(moment, place);
    const limit = place.owner.kind === 'use' ? place.owner.use.limit : undefined;
    const why = limit?.kind === 'rated' ? limit.condition.derate.reason : 'its limit is zero';
    return found({ name: ownerName(place), why: refused ? `the tree is ${refused}` : why, anchor: refused !== undefined }, stronger(place));
  },
  title: ({ name }) => rich`${name} must not be loaded`,
  detail: ({ why, anchor }) => rich`Its limit is zero: ${why}. ${anchor ? 'Take another anchor.' : 'Take another piece.'}`,
});

/** Why an anchor counts for nothing; undefined where the place is no anchor. */
function refusedAnchor({ rig, balances }: Moment, { strength }: Place): string | undefined {
  if (strength.kind !== 'anchor' || balances === undefined) return undefined;
  return String(weakestAnchor({ points: strength.points, hauling: balances.hauling, rig })?.capacity.refusedFor);
}
