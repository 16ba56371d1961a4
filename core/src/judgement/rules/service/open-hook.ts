import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chooseAnother, found, pieceName, usesOfClass } from '../../ask/speak.ts';

export const openHook = rigRule({
  code: 'open-hook',
  severity: 'fix',
  softenable: true,
  why: 'An open hook lets go as soon as the line goes slack.',
  needs: ['use.piece', 'gear.latch'],
  subjects: (rig) => usesOfClass(rig, 'winch-hook'),
  about: aboutUse,
  answer: (_, use) => (use.piece.attributes.latch === 'none' ? found({ name: pieceName(use.piece) }, chooseAnother(use)) : undefined),
  title: ({ name }) => rich`${name} has no latch`,
  detail: () => rich`Use a closed link with a shackle, or a hook whose latch a pin locks.`,
});
