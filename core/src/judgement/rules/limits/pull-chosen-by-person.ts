import { force, rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { found, itself, wholeRig } from '../../ask/speak.ts';

export const pullChosenByPerson = rigRule({
  code: 'pull-chosen-by-person',
  severity: 'note',
  softenable: true,
  why: 'Somebody put a figure of their own in place of the estimate.',
  needs: ['pull.chosen'],
  subjects: wholeRig,
  about: itself,
  answer: ({ rig: { chosenPull } }) =>
    chosenPull &&
    found({ ...chosenPull }, [
      { kind: 'edits', label: 'Go back to the estimate', edits: [{ kind: 'choose-pull', chosenPull: undefined }] },
    ]),
  title: ({ person, pullN }) => rich`${person} chose a pull of ${force(pullN)}`,
  detail: ({ reason }) => rich`Reason given: ${reason}`,
});
