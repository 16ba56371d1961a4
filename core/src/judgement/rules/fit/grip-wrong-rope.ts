import { numberAt, ropeDiameterOf } from '../../../gear/traits.ts';
import { rich, smallLength } from '../../../quantity/format.ts';
import { exceeds, fallsShort } from '../../../quantity/tolerance.ts';
import { gripsOnRopes } from '../../../resolved/grips.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chooseAnother, found, openPiece, pieceName, undecided } from '../../ask/speak.ts';

export const gripWrongRope = rigRule({
  code: 'grip-wrong-rope',
  severity: 'stop',
  softenable: false,
  why: 'A grip on a rope that is too thin slides along it, and on one that is too thick it never sets.',
  needs: ['use.piece', 'gear.hostDiameterMinM', 'gear.hostDiameterMaxM', 'gear.ropeDiameterM', 'grip.place', 'line.way'],
  asks: 'Which ropes is this grip made for?',
  subjects: gripsOnRopes,
  about: ({ grip, host }) => ({ ...aboutUse(grip), place: `on ${host.use.id}` }),
  answer: (_, { grip, host }) => {
    const [leastM, mostM] = [numberAt(grip.piece, 'hostDiameterMinM'), numberAt(grip.piece, 'hostDiameterMaxM')];
    const ropeM = ropeDiameterOf(host.piece);
    const names = { name: pieceName(grip.piece), tag: host.piece.tag };
    if (leastM === undefined || mostM === undefined || ropeM === undefined)
      return undecided(
        { ...names, leastM: 0, mostM: 0, ropeM: 0 },
        openPiece(ropeM === undefined ? host.piece : grip.piece, 'Enter the diameters'),
      );
    return fallsShort(ropeM, leastM) || exceeds(ropeM, mostM) ? found({ ...names, leastM, mostM, ropeM }, chooseAnother(grip)) : undefined;
  },
  title: ({ name, tag }) => rich`${name} is not made for ${tag}`,
  detail: ({ leastM, mostM, ropeM }) =>
    rich`It grips ropes of ${smallLength(leastM)} to ${smallLength(mostM)}; this one has ${smallLength(ropeM)}.`,
  question: ({ name, tag }) => rich`Does ${name} grip ${tag}? One of their diameters is not on record.`,
});
