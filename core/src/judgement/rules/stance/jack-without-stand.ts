import { rich } from '../../../quantity/format.ts';
import { type Rule, rigSubject, ticked } from '../../rule.ts';

export const jackWithoutStand: Rule = {
  code: 'jack-without-stand',
  severity: 'stop',
  softenable: false,
  why: 'A jack that slips drops the vehicle on whoever is under it.',
  needs: 'tools used, a look at the jack',
  asks: 'Does a stand take the weight wherever a jack lifts?',
  check: (assessment) =>
    (assessment.rig.tools ?? []).some((id) => assessment.gear.get(id)?.kind === 'lifting-jack')
      ? [
          ticked(assessment, {
            code: 'jack-without-stand',
            subject: rigSubject,
            question: rich`Does a stand take the weight wherever a jack lifts?`,
            ifNo: {
              title: rich`A jack lifts without a stand`,
              detail: rich`Nobody goes under the vehicle until a stand or packing takes the weight.`,
            },
          }),
        ]
      : [],
};
