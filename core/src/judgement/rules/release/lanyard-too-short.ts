import { length, rich } from '../../../quantity/format.ts';
import { exceeds } from '../../../quantity/tolerance.ts';
import { lanyardsOf } from '../../../release/lanyards.ts';
import { type Answer, notFound, type Rule, useSubject } from '../../rule.ts';

export const lanyardTooShort: Rule = {
  code: 'lanyard-too-short',
  severity: 'fix',
  softenable: true,
  why: 'A lanyard that comes tight carries the line’s load.',
  needs: 'lanyards, the load’s travel',
  asks: 'How long is this lanyard?',
  check: (assessment) =>
    lanyardsOf(assessment).map(({ use, name, lengthM, needsM, fixed, travels }): Answer => {
      const subject = useSubject(use);
      if (fixed && travels) return notFound(subject);
      if (lengthM === undefined)
        return {
          kind: 'undecided',
          subject,
          question: rich`How long is the lanyard of ${name}? It has to stay slack through the whole travel.`,
        };
      if (!exceeds(needsM, lengthM)) return notFound(subject);
      return {
        kind: 'found',
        subject,
        title: rich`The lanyard of ${name} comes tight`,
        detail: rich`It is ${length(lengthM)} long and spans ${length(needsM)}. Take a longer one, or tie it nearer.`,
      };
    }),
};
