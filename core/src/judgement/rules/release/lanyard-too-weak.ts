import { force, rich } from '../../../quantity/format.ts';
import { exceeds } from '../../../quantity/tolerance.ts';
import { lanyardsOf } from '../../../release/lanyards.ts';
import { type Answer, notFound, type Rule, useSubject } from '../../rule.ts';

export const lanyardTooWeak: Rule = {
  code: 'lanyard-too-weak',
  severity: 'fix',
  softenable: true,
  why: 'A lanyard that breaks adds to what flies.',
  needs: 'lanyards, energy of the line, masses',
  asks: 'What may this lanyard carry, and what is the mass of what it holds?',
  check: (assessment) =>
    lanyardsOf(assessment).map(({ use, name, arrestN, breaksN }): Answer => {
      const subject = useSubject(use);
      if (arrestN === undefined || breaksN === undefined)
        return {
          kind: 'undecided',
          subject,
          question: rich`Would the lanyard of ${name} hold? Its strength, its length or the mass of what it holds is not on record.`,
        };
      if (!exceeds(arrestN, breaksN)) return notFound(subject);
      return {
        kind: 'found',
        subject,
        title: rich`The lanyard of ${name} would break`,
        detail: rich`Stopping what flies there would load it with ${force(arrestN)}; it breaks at ${force(breaksN)}. Take a stronger or a longer one, and keep clear all the same.`,
      };
    }),
};
