import { gearClasses } from '../../../gear/gear-classes.ts';
import { roleClasses, roleWords } from '../../../gear/role-classes.ts';
import { rich } from '../../../quantity/format.ts';
import { answerUses, chooseAnother, chosenUses, pieceName, type Rule } from '../../rule.ts';

/** Classes that have a rule of their own say it there. */
const SPOKEN_FOR = ['stretch-rope', 'load-securing-strap', 'chain'];

export const cannotServeHere: Rule = {
  code: 'cannot-serve-here',
  severity: 'stop',
  softenable: false,
  why: 'A piece used for what it was not made for has no limit anybody knows.',
  needs: 'class of every piece, the role of its place',
  check: (assessment) =>
    answerUses(chosenUses(assessment), ({ use, piece }) => {
      if (roleClasses[use.role].includes(piece.kind) || SPOKEN_FOR.includes(piece.kind)) return undefined;
      return {
        title: rich`${pieceName(piece)} cannot serve as ${roleWords[use.role]}`,
        detail: rich`It is a ${gearClasses[piece.kind].label.toLowerCase()}.`,
        fixes: [chooseAnother(use)],
      };
    }),
};
