import { rich } from '../../../quantity/format.ts';
import { actRule } from '../../ask/rule.ts';
import { found, itself, wholeRig } from '../../ask/speak.ts';

export const startOnly = actRule({
  code: 'start-only',
  severity: 'caution',
  softenable: false,
  why: 'Most pulls that go wrong look fine at the first metre.',
  needs: ['load.travel', 'tow.run-up'],
  subjects: wholeRig,
  about: itself,
  answer: ({ startOnly: reason }) => (reason === undefined ? undefined : found({ reason })),
  title: () => rich`Only the start of the pull has been checked`,
  detail: ({ reason }) =>
    reason === 'not-yet-run'
      ? rich`The rest of the way is being worked out; nothing can be said about it yet.`
      : reason === 'run-up-unknown'
        ? rich`The run-up cannot be worked out until what is missing is on record; what is shown is a steady pull.`
        : rich`Say how far the load has to go, and the whole way is checked.`,
});
