import { force, rich } from '../../../quantity/format.ts';
import { notFound, type Rule, rigSubject } from '../../rule.ts';

export const pullChosenByPerson: Rule = {
  code: 'pull-chosen-by-person',
  severity: 'note',
  softenable: true,
  why: 'Somebody put a figure of their own in place of the estimate.',
  needs: 'the chosen pull and its reason',
  check: ({ rig: { chosenPull } }) => {
    if (chosenPull === undefined) return [notFound(rigSubject)];
    return [
      {
        kind: 'found',
        subject: rigSubject,
        title: rich`${chosenPull.person} chose a pull of ${force(chosenPull.pullN)}`,
        detail: rich`Reason given: ${chosenPull.reason}`,
        fixes: [{ kind: 'edits', label: 'Back to the estimate', edits: [{ kind: 'choose-pull', chosenPull: undefined }] }],
      },
    ];
  },
};
