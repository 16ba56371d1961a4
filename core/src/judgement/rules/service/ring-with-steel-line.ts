import { isClass, isWire } from '../../../gear/traits.ts';
import { rich } from '../../../quantity/format.ts';
import { momentRule } from '../../ask/rule.ts';
import { chooseAnother, found, pieceName } from '../../ask/speak.ts';
import { aboutPulley, foundWhereItLies, ropesOnPulleys } from '../fit/ropes-on-pulleys.ts';

export const ringWithSteelLine = momentRule({
  code: 'ring-with-steel-line',
  severity: 'stop',
  softenable: false,
  why: 'Steel line saws through a ring’s coating and its soft shackle; a plain ring is for synthetic line only.',
  needs: ['use.piece', 'gear.class', 'line.way'],
  subjects: (rig) => ropesOnPulleys(rig).filter(({ rope, pulley }) => isWire(rope.piece) && !isClass(pulley.piece, 'snatch-block')),
  about: aboutPulley,
  margin: (moment, subject) => foundWhereItLies(moment, subject, true),
  answer: (_, { pulley, rope }) => found({ name: pieceName(pulley.piece), tag: rope.piece.tag }, chooseAnother(pulley, 'Choose a block')),
  title: ({ name }) => rich`${name} under a steel line`,
  detail: ({ tag }) => rich`${tag} is steel. Use a block made for steel line.`,
});
