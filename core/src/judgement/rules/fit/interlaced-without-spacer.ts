import { rich } from '../../../quantity/format.ts';
import { interlacedJoints } from '../../../resolved/eyes.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, found, ticked } from '../../ask/speak.ts';

export const interlacedWithoutSpacer = rigRule({
  code: 'interlaced-without-spacer',
  severity: 'fix',
  softenable: true,
  why: 'Loops drawn through each other with nothing between them saw at each other and weld together.',
  needs: ['use.piece', 'gear.class', 'line.way', 'tie.back', 'answers', 'policy'],
  asks: 'Is a soft spacer laid between the loops?',
  subjects: interlacedJoints,
  about: ({ second }) => ({ ...aboutUse(second), place: 'interlaced' }),
  answer: (rig, { first, second }) => {
    const data = { a: first.piece.tag, b: second.piece.tag, never: rig.policy.schools.stretchJoinedBy === 'soft-shackle' };
    return data.never ? found(data) : ticked(rig, `interlaced-without-spacer.${second.use.id}`, data);
  },
  title: ({ a, b, never }) =>
    never ? rich`${a} and ${b} are looped through each other` : rich`${a} and ${b} are looped through each other without a spacer`,
  detail: ({ never }) =>
    never
      ? rich`This team joins them with a soft shackle.`
      : rich`Lay a rolled cloth or a soft rod through the loops, so that they can be opened again, or join them with a soft shackle.`,
  question: ({ a, b }) => rich`Is a soft spacer laid between the loops of ${a} and ${b}?`,
});
