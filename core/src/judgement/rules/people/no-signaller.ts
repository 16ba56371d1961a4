import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { found, itself, wholeRig } from '../../ask/speak.ts';

export const noSignaller = rigRule({
  code: 'no-signaller',
  severity: 'note',
  softenable: true,
  why: 'When everyone signals, nobody is obeyed.',
  needs: ['person.duty'],
  subjects: wholeRig,
  about: itself,
  answer: ({ people }) => (people.length === 0 || people.some(({ duty }) => duty === 'signaller') ? undefined : found({})),
  title: () => rich`Nobody is named to signal`,
  detail: () => rich`One person signals, seen by the operator and the driver; anybody may call a stop.`,
});
