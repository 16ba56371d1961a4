import { rich } from '../../../quantity/format.ts';
import { type Rule, rigSubject, ticked } from '../../rule.ts';

export const noChocks: Rule = {
  code: 'no-chocks',
  severity: 'fix',
  softenable: true,
  why: 'A brake that slips on a slope leaves only the chocks.',
  needs: 'slope, a look at the wheels',
  asks: 'Are the wheels of the winching vehicle chocked?',
  check: (assessment) =>
    assessment.holds.some(({ isLoad }) => !isLoad)
      ? [
          ticked(assessment, {
            code: 'no-chocks',
            subject: rigSubject,
            question: rich`Are the wheels of the winching vehicle chocked?`,
            ifNo: { title: rich`The winching vehicle is not chocked`, detail: rich`Chock its wheels on the side towards the load.` },
          }),
        ]
      : [],
};
