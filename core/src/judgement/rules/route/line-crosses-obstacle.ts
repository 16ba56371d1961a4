import { rich } from '../../../quantity/format.ts';
import type { Rule } from '../../rule.ts';
import { strandsOver } from '../../strands-over-features.ts';

export const lineCrossesObstacle: Rule = {
  code: 'line-crosses-obstacle',
  severity: 'fix',
  softenable: false,
  why: 'A line that lies against something is cut by it, pulls it along, or is turned where nobody reckoned with it.',
  needs: 'the line’s path, obstacles drawn on the site',
  check: (assessment) =>
    strandsOver(assessment, 'obstacle').map(({ feature, lineId, strand }) => ({
      kind: 'found',
      subject: { kind: 'strand', id: `${lineId}.${strand}` },
      title: rich`The line crosses ${feature.label}`,
      detail: rich`Lead it round by a redirect, choose another anchor, or clear the way.`,
    })),
};
