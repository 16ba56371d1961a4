import { rich } from '../../../quantity/format.ts';
import { type Rule, ticked } from '../../rule.ts';
import { strandsOver } from '../../strands-over-features.ts';

export const lineOverLip: Rule = {
  code: 'line-over-lip',
  severity: 'fix',
  softenable: true,
  why: 'A lip takes the skin off a rope and turns it without a pulley.',
  needs: 'the line’s path, edges and lips drawn on the site',
  asks: 'Does the line hang clear of the lip, or run over a roller or padding there?',
  check: (assessment) =>
    strandsOver(assessment, 'edge').map(({ feature, lineId, strand }) =>
      ticked(assessment, {
        code: 'line-over-lip',
        subject: { kind: 'strand', id: `${lineId}.${strand}` },
        question: rich`The line passes over ${feature.label}: does it hang clear of it, or run over a roller or padding?`,
        ifNo: {
          title: rich`The line lies on ${feature.label}`,
          detail: rich`Raise it by a high pulley, or put a roller or thick padding under it and draw that as a bend of the line.`,
        },
      }),
    ),
};
