import { rich } from '../../../quantity/format.ts';
import { interlacedJoints } from '../../../resolved/eyes.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, ticked } from '../../ask/speak.ts';

export const interlacedWithoutSpacer = rigRule({
  code: 'interlaced-without-spacer',
  severity: 'fix',
  softenable: true,
  why: 'Loops drawn through each other with nothing between them saw at each other and weld together.',
  needs: ['use.piece', 'gear.class', 'line.way', 'tie.back', 'answers'],
  asks: 'Is a soft spacer laid between the loops?',
  subjects: interlacedJoints,
  about: ({ second }) => ({ ...aboutUse(second), place: 'interlaced' }),
  answer: (rig, { first, second }) =>
    ticked(rig, `interlaced-without-spacer.${second.use.id}`, { a: first.piece.tag, b: second.piece.tag }),
  title: ({ a, b }) => rich`${a} and ${b} are looped through each other without a spacer`,
  detail: () => rich`Lay a rolled cloth or a soft rod through the loops, so that they can be opened again, or join them by a soft shackle.`,
  question: ({ a, b }) => rich`Is a soft spacer laid between the loops of ${a} and ${b}?`,
});
