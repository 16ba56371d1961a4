import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutBody, found } from '../../ask/speak.ts';

export const anchorCreep = rigRule({
  code: 'anchor-creep',
  severity: 'note',
  softenable: true,
  why: 'A ground anchor that creeps at first tension lets go at the next.',
  needs: ['body.name'],
  subjects: ({ rig }) => rig.bodies.filter(({ kind }) => kind === 'ground-anchor'),
  about: aboutBody,
  answer: (_, { label }) => found({ label }),
  title: ({ label }) => rich`Watch ${label} for creep`,
  detail: () => rich`At first tension stop, mark the ground beside it, and look again before pulling on.`,
});
