import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chooseAnother, found, pieceName, usesOfClass } from '../../ask/speak.ts';

export const carabinerMinorAxis = rigRule({
  code: 'carabiner-minor-axis',
  severity: 'stop',
  softenable: false,
  why: 'Across its gate a carabiner has a fraction of its strength.',
  needs: ['use.piece', 'use.axis'],
  subjects: (rig) => usesOfClass(rig, 'carabiner'),
  about: aboutUse,
  answer: (_, use) => (use.use.axis === 'minor' ? found({ name: pieceName(use.piece) }, chooseAnother(use)) : undefined),
  title: ({ name }) => rich`${name} is loaded across its gate`,
  detail: () => rich`Turn it so that the load runs along its spine.`,
});
