import { isClass } from '../../../gear/traits.ts';
import { rich } from '../../../quantity/format.ts';
import { isChosen } from '../../../resolved/parts.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chooseAnother, found, pieceName, usesOfClass } from '../../ask/speak.ts';

export const ringOnMetal = rigRule({
  code: 'ring-on-metal',
  severity: 'stop',
  softenable: false,
  why: 'A ring turns on its soft shackle; on metal it galls, heats and wears through.',
  needs: ['use.piece', 'gear.class'],
  subjects: (rig) => usesOfClass(rig, 'recovery-ring'),
  about: aboutUse,
  answer: (_, { piece, inner }) => {
    if (!isChosen(inner) || isClass(inner.piece, 'soft-shackle')) return undefined;
    return found({ name: pieceName(piece), on: pieceName(inner.piece) }, chooseAnother(inner, 'Choose a soft shackle'));
  },
  title: ({ name, on }) => rich`${name} hangs on ${on}`,
  detail: () => rich`Hang it on a soft shackle.`,
});
