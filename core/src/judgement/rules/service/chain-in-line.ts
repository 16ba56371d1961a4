import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chooseAnother, found, pieceName, usesOfClass } from '../../ask/speak.ts';

export const chainInLine = rigRule({
  code: 'chain-in-line',
  severity: 'stop',
  softenable: false,
  why: 'Chain gives no warning and flies far; it serves as a back-anchor only.',
  needs: ['use.piece', 'gear.class', 'policy'],
  subjects: (rig) => usesOfClass(rig, 'chain').filter(({ seat }) => seat.kind !== 'back-anchor' || rig.policy.schools.chain === 'never'),
  about: aboutUse,
  answer: ({ policy }, use) => found({ name: pieceName(use.piece), never: policy.schools.chain === 'never' }, chooseAnother(use)),
  title: ({ name, never }) => (never ? rich`${name}: this team uses no chain` : rich`${name}: chain in a tensioned line`),
  detail: () => rich`Use a strap or an extension here.`,
});
