import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { found, itself, wholeRig } from '../../ask/speak.ts';

export const oneCheckOnly = rigRule({
  code: 'one-check-only',
  severity: 'note',
  softenable: false,
  why: 'A load that only one of the two checks looks at may be too much by the other.',
  needs: ['policy'],
  subjects: ({ policy }) => (policy.schools.check === 'both' ? [] : wholeRig()),
  about: itself,
  answer: ({ policy }) => found({ estimate: policy.schools.check === 'estimate' }),
  title: ({ estimate }) =>
    estimate
      ? rich`Only the estimate is checked, not the winch’s greatest pull`
      : rich`Only the winch’s greatest pull is checked, not the estimate`,
  detail: () => rich`The team’s settings leave the other check out; what it would find is not shown.`,
});
