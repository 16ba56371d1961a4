import { isClass } from '../../../gear/traits.ts';
import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chooseAnother, found, pieceName } from '../../ask/speak.ts';
import { towRopes } from './tow-ropes.ts';

export const staticWithRunUp = rigRule({
  code: 'static-with-run-up',
  severity: 'stop',
  softenable: false,
  why: 'A strap that does not stretch turns a run-up into a blow.',
  needs: ['use.piece', 'gear.class', 'line.way'],
  subjects: (rig) => towRopes(rig).filter(({ runUp }) => runUp),
  about: ({ rope }) => aboutUse(rope),
  answer: (_, { rope }) =>
    isClass(rope.piece, 'stretch-rope') ? undefined : found({ name: pieceName(rope.piece) }, chooseAnother(rope, 'Choose a stretch rope')),
  title: ({ name }) => rich`${name} does not stretch: no run-up`,
  detail: () => rich`Tow steadily from a tight strap, or take a stretch rope.`,
});
