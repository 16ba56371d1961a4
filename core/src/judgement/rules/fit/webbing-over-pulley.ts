import { isStrap } from '../../../gear/traits.ts';
import { rich } from '../../../quantity/format.ts';
import { momentRule } from '../../ask/rule.ts';
import { chooseAnother, found, pieceName } from '../../ask/speak.ts';
import { aboutPulley, foundWhereItLies, ropesOnPulleys } from './ropes-on-pulleys.ts';

export const webbingOverPulley = momentRule({
  code: 'webbing-over-pulley',
  severity: 'stop',
  softenable: false,
  why: 'Webbing folds in a groove, carries its load on one edge and is cut by the sides.',
  needs: ['use.piece', 'gear.class', 'line.way', 'load.travel'],
  subjects: (rig) => ropesOnPulleys(rig).filter(({ rope }) => isStrap(rope.piece)),
  about: aboutPulley,
  margin: (moment, subject) => foundWhereItLies(moment, subject, true),
  answer: (_, { pulley, rope }) => found({ tag: rope.piece.tag, name: pieceName(pulley.piece) }, chooseAnother(rope, 'Choose a rope')),
  title: ({ tag, name }) => rich`${tag} runs over ${name}`,
  detail: () => rich`Only rope may run over a pulley or in a ring. Use a rope here, or a strap that ends before it.`,
});
