import { isClass, isWire } from '../../../gear/traits.ts';
import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chooseAnother, found, openPiece, pieceName, undecided } from '../../ask/speak.ts';
import { ropesOnPulleys } from '../fit/ropes-on-pulleys.ts';

export const blockForOtherRope = rigRule({
  code: 'block-for-other-rope',
  severity: 'stop',
  softenable: false,
  why: 'A sheave that has carried steel line is burred and cuts fibre; one made for fibre is crushed by steel.',
  needs: ['use.piece', 'gear.ropeKind', 'gear.class'],
  asks: 'Which kind of rope is this block made for?',
  subjects: ropesOnPulleys,
  about: ({ pulley }) => aboutUse(pulley),
  answer: (_, { pulley, rope }) => {
    const { piece } = pulley;
    if (!isClass(piece, 'snatch-block')) return undefined;
    const made = piece.attributes.ropeKind;
    const here = isWire(rope) ? 'steel' : 'synthetic';
    const data = { name: pieceName(piece), made, here };
    if (made === undefined) return undecided(data, openPiece(piece, 'Enter its rope kind'));
    return made === 'both' || made === here ? undefined : found(data, chooseAnother(pulley));
  },
  title: ({ name, made }) => rich`${name} is made for ${made ?? 'other'} line`,
  detail: ({ here }) => rich`The line here is ${here}.`,
  question: ({ name }) => rich`Is ${name} made for synthetic line, for steel, or for both?`,
});
