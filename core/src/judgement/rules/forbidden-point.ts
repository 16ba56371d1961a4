import { rich } from '../../quantity/format.ts';
import { answerUses, chooseAnother, pieceName, type Rule, usesOfClass } from '../rule.ts';

const REFUSED: { readonly [kind: string]: string } = {
  'tow-ball': 'a tow ball shears off and flies',
  'safety-chain-hole': 'safety-chain holes tear out',
  'bumper-or-bar-hole': 'bumper skins and bar holes tear out',
  'axle-tube': 'an axle tube carries brake lines and bends',
  'thin-arm': 'thin arms and links bend and crack',
  'tie-down-eye': 'a tie-down eye holds a rolling vehicle only',
};

export const forbiddenPoint: Rule = {
  code: 'forbidden-point',
  severity: 'stop',
  softenable: false,
  why: 'Only points made and rated for recovery, tied to the frame, hold a stuck vehicle.',
  needs: 'what each vehicle point is',
  check: (assessment) =>
    answerUses(usesOfClass(assessment, 'recovery-point'), ({ use, piece }) => {
      const reason = REFUSED[piece.attributes.pointKind ?? ''];
      return reason === undefined
        ? undefined
        : {
            title: rich`${pieceName(piece)} must not be pulled on`,
            detail: rich`Refused: ${reason}.`,
            fixes: [chooseAnother(use, 'Choose another point')],
          };
    }),
};
