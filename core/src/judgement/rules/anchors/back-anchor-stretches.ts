import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chooseAnother, found, pieceName, usesOfClass } from '../../ask/speak.ts';

export const backAnchorStretches = rigRule({
  code: 'back-anchor-stretches',
  severity: 'stop',
  softenable: false,
  why: 'A back-anchor that stretches lets the vehicle slide and then throws it back.',
  needs: ['use.piece', 'gear.class', 'tie.back'],
  subjects: (rig) => usesOfClass(rig, 'stretch-rope').filter(({ seat }) => seat.kind === 'back-anchor'),
  about: aboutUse,
  answer: (_, use) => found({ name: pieceName(use.piece) }, chooseAnother(use, 'Choose a static strap')),
  title: ({ name }) => rich`${name} stretches: not in a back-anchor`,
  detail: () => rich`Use a static strap or a chain.`,
});
