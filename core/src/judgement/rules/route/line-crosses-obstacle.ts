import { rich } from '../../../quantity/format.ts';
import { momentRule } from '../../ask/rule.ts';
import { found } from '../../ask/speak.ts';
import { aboutCrossing, crossingMargin, spansAndFeatures } from './strands-over-features.ts';

export const lineCrossesObstacle = momentRule({
  code: 'line-crosses-obstacle',
  severity: 'fix',
  softenable: false,
  why: 'A line that lies against something is cut by it, pulls it along, or is turned where nobody expected it.',
  needs: ['line.way', 'features', 'body.stands'],
  subjects: spansAndFeatures('obstacle'),
  about: aboutCrossing,
  margin: crossingMargin,
  answer: (_, { feature }) => found({ label: feature.label }),
  title: ({ label }) => rich`The line crosses ${label}`,
  detail: () => rich`Lead it round by a redirect, choose another anchor, or clear the way.`,
});
