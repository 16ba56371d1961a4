import { gearClasses } from '../../../gear/gear-classes.ts';
import type { GearFacts } from '../../../gear/gear-facts.ts';
import type { Policy } from '../../../policy/policy.ts';
import { addMonths } from '../../../quantity/calendar.ts';
import { rich } from '../../../quantity/format.ts';
import { answerUses, chooseAnother, chosenUses, pieceName, type Rule } from '../../rule.ts';

/** The day on which a soft good comes of age: made (else first used) plus the policy's years, or a person's renewal where later. */
export function ageLimitDay(piece: GearFacts, policy: Policy): string | undefined {
  const born = piece.madeOn ?? piece.firstUsedOn;
  if (!gearClasses[piece.kind].soft || born === undefined) return undefined;
  const limit = addMonths(born, policy.care.softGoodsYears.value * 12);
  return piece.renewedUntil !== undefined && piece.renewedUntil > limit ? piece.renewedUntil : limit;
}

export const softGoodTooOld: Rule = {
  code: 'soft-good-too-old',
  severity: 'fix',
  softenable: true,
  why: 'Fibre loses strength with years and light in ways that do not show.',
  needs: 'date made or first used, renewals',
  check: (assessment) =>
    answerUses(chosenUses(assessment), ({ use, piece }) => {
      const limit = ageLimitDay(piece, assessment.policy);
      if (limit === undefined || limit >= assessment.subject.asOf) return undefined;
      return {
        title: rich`${pieceName(piece)} is past its age limit`,
        detail: rich`Soft goods go out of use after ${String(assessment.policy.care.softGoodsYears.value)} years; this one reached that on ${limit}.`,
        fixes: [chooseAnother(use)],
      };
    }),
};
