import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutBody, found } from '../../ask/speak.ts';

export const deadmanLog = rigRule({
  code: 'deadman-log',
  severity: 'note',
  softenable: false,
  why: 'The soil is checked here, the log itself is not.',
  needs: ['body.name'],
  subjects: ({ rig }) => rig.bodies.filter(({ kind }) => kind === 'deadman'),
  about: aboutBody,
  answer: (_, { label }) => found({ label }),
  title: ({ label }) => rich`The log of ${label} is not checked`,
  detail: () => rich`The figure is what the soil holds; a log that bends or rots holds less. Take sound timber, thicker than a thigh.`,
});
