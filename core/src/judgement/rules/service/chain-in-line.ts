import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chooseAnother, found, pieceName, usesOfClass } from '../../ask/speak.ts';

export const chainInLine = rigRule({
  code: 'chain-in-line',
  severity: 'stop',
  softenable: false,
  why: 'Chain gives no warning and flies far; it serves as a back-anchor only.',
  needs: ['use.piece', 'gear.class'],
  subjects: (rig) => usesOfClass(rig, 'chain').filter(({ seat }) => seat.kind !== 'back-anchor'),
  about: aboutUse,
  answer: (_, use) => found({ name: pieceName(use.piece) }, chooseAnother(use)),
  title: ({ name }) => rich`${name}: chain in a tensioned line`,
  detail: () => rich`Use a strap or an extension here.`,
});
