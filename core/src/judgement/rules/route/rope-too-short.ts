import type { Moment } from '../../../moment/moment.ts';
import { type Reach, reachesOf, reachWayM, usualLengthM } from '../../../moment/reach.ts';
import { length, rich } from '../../../quantity/format.ts';
import { leftBelow } from '../../../quantity/tolerance.ts';
import { isChosen } from '../../../resolved/parts.ts';
import { momentRule } from '../../ask/rule.ts';
import { aboutUse, chooseAnother, found, openPiece, pieceName, undecided } from '../../ask/speak.ts';

export const ropeTooShort = momentRule({
  code: 'rope-too-short',
  severity: 'stop',
  softenable: false,
  why: 'What does not reach gets lengthened in a hurry, with whatever is at hand.',
  needs: ['use.piece', 'gear.lengthM', 'gear.reachM', 'line.way', 'tie.back', 'body.stands', 'point.mount', 'load.travel', 'policy'],
  asks: 'How long is it?',
  subjects: reachesOf,
  about: (reach) => ({ ...aboutUse(reach.about), place: placeOf(reach) }),
  margin: (moment, reach) => {
    const wayM = reachWayM(moment, reach);
    if (reach.unknown.length === 0) return leftBelow(wayM, reach.knownM);
    const { least, most } = usualOf(moment, reach);
    const [short, long] = [leftBelow(wayM, reach.knownM + least), leftBelow(wayM, reach.knownM + most)];
    // Only where its usual lengths do not end alike does it matter how long it is.
    return short >= 0 ? short : long < 0 ? long : undefined;
  },
  answer: (moment, reach) => {
    const [unknown] = reach.unknown;
    const wayM = reachWayM(moment, reach);
    const { most } = usualOf(moment, reach);
    const longM = reach.knownM + most;
    const name = isChosen(reach.about) ? pieceName(reach.about.piece) : 'the rope';
    const data = { name, legs: reach.kind === 'legs', wayM, longM, shortM: wayM - longM };
    if (isChosen(unknown) && leftBelow(wayM, longM) >= 0)
      return undecided({ ...data, name: pieceName(unknown.piece) }, openPiece(unknown.piece, 'Enter its length'));
    return found(data, chooseAnother(reach.about, 'Choose a longer one'));
  },
  title: ({ name, legs, shortM }) =>
    legs ? rich`The legs of the bridle do not meet: ${length(shortM)} too short` : rich`${name} is too short by ${length(shortM)}`,
  detail: ({ legs, wayM, longM }) =>
    legs
      ? rich`Their points are ${length(wayM)} apart, and the two together are ${length(longM)} long. Take longer legs.`
      : rich`It has to reach ${length(wayM)}, and with all that is joined to it there is ${length(longM)}. Take a longer one, join another to it, or move nearer.`,
  question: ({ name, wayM }) => rich`How long is ${name}? It has to reach ${length(wayM)}.`,
});

const placeOf = (reach: Reach): string => (reach.kind === 'legs' ? `meets ${reach.to.chain.id}` : 'reach');

function usualOf({ rig: { policy } }: Moment, { unknown }: Reach): { readonly least: number; readonly most: number } {
  return unknown.reduce(
    (total, use) => {
      const { least, most } = usualLengthM(use, policy);
      return { least: total.least + least, most: total.most + most };
    },
    { least: 0, most: 0 },
  );
}
