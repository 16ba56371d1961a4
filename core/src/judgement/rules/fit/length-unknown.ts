import { joinedLengthM } from '../../../gear/traits.ts';
import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chosenUses, openPiece, pieceName, undecided } from '../../ask/speak.ts';

export const lengthUnknown = rigRule({
  code: 'length-unknown',
  severity: 'caution',
  softenable: false,
  why: 'A rope or strap of unknown length is drawn as if it had none; the line out, its layer and its wraps shift by as much.',
  needs: ['use.piece', 'use.hitch', 'gear.lengthM'],
  asks: 'How long is it?',
  // A shackle’s hardly counts; a strap round a trunk and what ties back are asked for by rules of their own.
  subjects: (rig) =>
    chosenUses(rig).filter(({ seat, use, round }) => seat.kind === 'chain' && !(use.hitch === 'basket' && round !== undefined)),
  about: aboutUse,
  answer: (_, { piece, lengthUnknown: unknown }) =>
    unknown && joinedLengthM(piece) === undefined ? undecided({ name: pieceName(piece) }, openPiece(piece, 'Enter its length')) : undefined,
  title: ({ name }) => rich`How long is ${name}? Until somebody says it counts as nothing in the layout.`,
  detail: () => rich``,
});
