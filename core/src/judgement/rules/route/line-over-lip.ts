import { rich } from '../../../quantity/format.ts';
import { momentRule } from '../../ask/rule.ts';
import { ticked } from '../../ask/speak.ts';
import { aboutCrossing, crossingMargin, spansAndFeatures } from './strands-over-features.ts';

export const lineOverLip = momentRule({
  code: 'line-over-lip',
  severity: 'fix',
  softenable: true,
  why: 'A lip takes the skin off a rope and turns it without a pulley.',
  needs: ['line.way', 'features', 'answers'],
  asks: 'Does the line hang clear of the lip, or run over a roller or padding there?',
  subjects: spansAndFeatures('edge'),
  about: aboutCrossing,
  margin: crossingMargin,
  answer: ({ rig }, { feature, line, span }) => ticked(rig, `line-over-lip.${line.line.id}.${span}`, { label: feature.label }),
  title: ({ label }) => rich`The line lies on ${label}`,
  detail: () => rich`Raise it by a high pulley, or put a roller or thick padding under it and draw that as a bend of the line.`,
  question: ({ label }) => rich`The line passes over ${label}: does it hang clear of it, or run over a roller or padding?`,
});
