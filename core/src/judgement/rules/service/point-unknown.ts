import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, openPiece, pieceName, undecided, usesOfClass } from '../../ask/speak.ts';

export const pointUnknown = rigRule({
  code: 'point-unknown',
  severity: 'fix',
  softenable: false,
  why: 'A bracket under a vehicle may be a tie-down that tears out at walking pace.',
  needs: ['use.piece', 'use.named', 'gear.pointKind'],
  asks: 'What is this point?',
  subjects: (rig) => usesOfClass(rig, 'recovery-point'),
  about: aboutUse,
  answer: (_, { piece, use }) =>
    piece.attributes.pointKind === undefined && use.named?.pointKind === undefined
      ? undecided({ name: pieceName(piece) }, openPiece(piece, 'Enter what it is'))
      : undefined,
  title: ({ name }) => rich`What is ${name}: a rated recovery point, a factory hook, a tie-down?`,
  detail: () => rich``,
});
