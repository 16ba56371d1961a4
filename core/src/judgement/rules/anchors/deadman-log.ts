import { rich } from '../../../quantity/format.ts';
import { type Answer, type Rule } from '../../rule.ts';

export const deadmanLog: Rule = {
  code: 'deadman-log',
  severity: 'note',
  softenable: false,
  why: 'The soil is checked here, the log itself is not.',
  needs: 'kind of every anchor',
  check: ({ rig }) =>
    rig.bodies
      .filter(({ kind }) => kind === 'deadman')
      .map(
        ({ id, label }): Answer => ({
          kind: 'found',
          subject: { kind: 'body', id },
          title: rich`The log of ${label} is not checked`,
          detail: rich`The figure is what the soil holds; a log that bends or rots holds less. Take sound timber, thicker than a thigh.`,
        }),
      ),
};
