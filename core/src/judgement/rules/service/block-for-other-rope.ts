import { isClass, isRope, isWire } from '../../../gear/traits.ts';
import { rich } from '../../../quantity/format.ts';
import { momentRule } from '../../ask/rule.ts';
import { chooseAnother, found, openPiece, pieceName, undecided } from '../../ask/speak.ts';
import { aboutPulley, foundWhereItLies, type RopeOnPulley, ropesOnPulleys } from '../fit/ropes-on-pulleys.ts';

/** What kind of rope a block is made for, and what runs over it here; the first undefined where it is not on record. */
function kindsOf({ pulley, rope }: RopeOnPulley) {
  const made = isClass(pulley.piece, 'snatch-block') ? pulley.piece.attributes.ropeKind : 'both';
  return { made, here: isWire(rope.piece) ? 'steel' : 'synthetic' };
}

export const blockForOtherRope = momentRule({
  code: 'block-for-other-rope',
  severity: 'stop',
  softenable: false,
  why: 'A sheave that has carried steel line is burred and cuts fibre; one made for fibre is crushed by steel.',
  needs: ['use.piece', 'gear.ropeKind', 'gear.class', 'line.way'],
  asks: 'Which kind of rope is this block made for?',
  subjects: (rig) => ropesOnPulleys(rig).filter(({ rope }) => isRope(rope.piece)),
  about: aboutPulley,
  margin: (moment, subject) => {
    const { made, here } = kindsOf(subject);
    return foundWhereItLies(moment, subject, made === undefined ? undefined : made !== 'both' && made !== here);
  },
  answer: (_, subject) => {
    const { piece } = subject.pulley;
    const { made, here } = kindsOf(subject);
    const data = { name: pieceName(piece), made, here };
    return made === undefined ? undecided(data, openPiece(piece, 'Enter its rope kind')) : found(data, chooseAnother(subject.pulley));
  },
  title: ({ name, made }) => rich`${name} is made for ${made ?? 'other'} line`,
  detail: ({ here }) => rich`The line here is ${here}.`,
  question: ({ name }) => rich`Is ${name} made for synthetic line, for steel, or for both?`,
});
