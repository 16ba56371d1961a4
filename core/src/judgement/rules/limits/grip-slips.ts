import type { GearOf } from '../../../gear/gear-facts.ts';
import { isClass } from '../../../gear/traits.ts';
import type { PlaceLoads } from '../../../moment/moment.ts';
import { force, rich } from '../../../quantity/format.ts';
import { leftBelow } from '../../../quantity/tolerance.ts';
import { ownerPiece, type Place } from '../../../resolved/place.ts';
import { momentRule } from '../../ask/rule.ts';
import { aboutPlace, chooseAnother, found, openPiece, pieceName, undecided } from '../../ask/speak.ts';

export const gripSlips = momentRule({
  code: 'grip-slips',
  severity: 'stop',
  softenable: false,
  why: 'A grip past its slip load melts on the rope and lets go.',
  needs: ['use.piece', 'gear.slipLoadN', 'line.way', 'situation'],
  asks: 'At what load does this grip slip?',
  subjects: (rig) => rig.places.filter((place) => place.kind === 'body' && gripOf(place) !== undefined),
  about: aboutPlace,
  margin: ({ places }, place) => {
    if (places.present[place.index] !== 1) return Number.POSITIVE_INFINITY;
    const slips = gripOf(place)?.attributes.slipLoadN;
    return slips === undefined ? undefined : leftBelow(mostOf(places, place), slips);
  },
  answer: ({ places }, place) => {
    const grip = gripOf(place);
    if (grip === undefined || place.owner.kind !== 'use') return undefined;
    const slipsN = grip.attributes.slipLoadN;
    const name = pieceName(grip);
    if (slipsN === undefined) return undecided({ name, mostN: 0, slipsN: 0 }, openPiece(grip, 'Enter its slip load'));
    return found({ name, mostN: mostOf(places, place), slipsN }, chooseAnother(place.owner.use));
  },
  title: ({ name }) => rich`${name} would slip`,
  detail: ({ mostN, slipsN }) =>
    rich`It would carry ${force(mostN)} and slips at ${force(slipsN)}. Use a second grip beside it, or a knot and a connector.`,
  question: ({ name }) => rich`At what load does ${name} slip?`,
});

function gripOf(place: Place): GearOf<'prusik-loop'> | undefined {
  const piece = ownerPiece(place);
  return isClass(piece, 'prusik-loop') ? piece : undefined;
}

/** The larger of the two checks' loads, newtons. */
function mostOf({ plannedN, greatestN }: PlaceLoads, { index }: Place): number {
  return Math.max(plannedN[index] || 0, greatestN[index] || 0);
}
