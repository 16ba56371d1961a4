import { pinOf, ropeDiameterOf, traitsOf } from '../../../gear/traits.ts';
import { rich, smallLength } from '../../../quantity/format.ts';
import { fallsShort } from '../../../quantity/tolerance.ts';
import { eyesOnPins } from '../../../resolved/eyes.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chooseAnother, found, openPiece, pieceName, undecided } from '../../ask/speak.ts';

export const thinPin = rigRule({
  code: 'thin-pin',
  severity: 'fix',
  softenable: true,
  why: 'A rope’s eye on a pin thinner than the rope loses about a third of its strength.',
  needs: ['use.piece', 'gear.pinDiameterM', 'gear.ropeDiameterM', 'gear.treadDiameterM', 'line.way'],
  asks: 'How thick are the rope and the pin that takes its eye?',
  subjects: eyesOnPins,
  about: ({ rope, pin }) => ({ ...aboutUse(rope), place: pin.use.id }),
  answer: (_, { rope, pin }) => {
    if (traitsOf(pin.piece).pin === 'none') return undefined;
    const [ropeM, pinM] = [ropeDiameterOf(rope.piece), pinOf(pin.piece)];
    const names = { thin: pieceName(pin.piece), rope: pieceName(rope.piece) };
    if (ropeM === undefined || pinM === undefined)
      return undecided({ ...names, pinM: 0, ropeM: 0 }, openPiece(pinM === undefined ? pin.piece : rope.piece, 'Enter the diameter'));
    return fallsShort(pinM, ropeM) ? found({ ...names, pinM, ropeM }, chooseAnother(pin)) : undefined;
  },
  title: ({ thin, rope }) => rich`${thin} is thinner than ${rope}`,
  detail: ({ pinM, ropeM }) => rich`Pin ${smallLength(pinM)}, rope ${smallLength(ropeM)}. Use a thicker connector.`,
  question: ({ thin, rope }) => rich`Is ${thin} as thick as ${rope}? One of the two diameters is not on record.`,
});
