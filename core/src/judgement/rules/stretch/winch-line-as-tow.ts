import { servesAs } from '../../../gear/traits.ts';
import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chooseAnother, found, pieceName } from '../../ask/speak.ts';
import { towRopes } from './tow-ropes.ts';

export const winchLineAsTow = rigRule({
  code: 'winch-line-as-tow',
  severity: 'stop',
  softenable: false,
  why: 'A winch line has no give: driving with it hooked breaks it or the drum.',
  needs: ['use.piece', 'gear.class', 'line.way'],
  subjects: towRopes,
  about: ({ rope }) => aboutUse(rope),
  answer: (_, { rope }) =>
    servesAs(rope.piece, 'winch-line') ? found({ name: pieceName(rope.piece) }, chooseAnother(rope, 'Choose a tow strap')) : undefined,
  title: ({ name }) => rich`${name} must not be towed with`,
  detail: () => rich`Use a strap for a steady tow, or pull with the winch and the vehicle standing.`,
});
