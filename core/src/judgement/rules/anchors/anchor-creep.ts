import { rich } from '../../../quantity/format.ts';
import { type Answer, type Rule } from '../../rule.ts';

export const anchorCreep: Rule = {
  code: 'anchor-creep',
  severity: 'note',
  softenable: true,
  why: 'A ground anchor that creeps at first tension lets go at the next.',
  needs: 'kind of every anchor',
  check: ({ rig }) =>
    rig.bodies
      .filter(({ kind }) => kind === 'ground-anchor')
      .map(
        ({ id, label }): Answer => ({
          kind: 'found',
          subject: { kind: 'body', id },
          title: rich`Watch ${label} for creep`,
          detail: rich`At first tension stop, mark the ground beside it, and look again before pulling on.`,
        }),
      ),
};
