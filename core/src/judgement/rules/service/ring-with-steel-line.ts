import { isClass, isWire } from '../../../gear/traits.ts';
import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chooseAnother, found, pieceName } from '../../ask/speak.ts';
import { ropesOnPulleys } from '../fit/ropes-on-pulleys.ts';

export const ringWithSteelLine = rigRule({
  code: 'ring-with-steel-line',
  severity: 'stop',
  softenable: false,
  why: 'Steel line saws through a ring’s coating and its soft shackle; a plain ring is for synthetic line only.',
  needs: ['use.piece', 'gear.class'],
  subjects: ropesOnPulleys,
  about: ({ pulley }) => aboutUse(pulley),
  answer: (_, { pulley, rope }) => {
    if (!isWire(rope) || isClass(pulley.piece, 'snatch-block')) return undefined;
    return found({ name: pieceName(pulley.piece), tag: rope.tag }, chooseAnother(pulley, 'Choose a block'));
  },
  title: ({ name }) => rich`${name} under a steel line`,
  detail: ({ tag }) => rich`${tag} is steel. Use a block made for steel line.`,
});
