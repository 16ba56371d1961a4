import { type Rule } from '../../rule.ts';
import { tippingOf } from './tipping.ts';

export const tips: Rule = {
  code: 'tips',
  severity: 'stop',
  softenable: false,
  why: 'The line’s side pull is enough to turn the vehicle over.',
  needs: 'side force and height at every vehicle, track, mass',
  check: (assessment) => tippingOf(assessment, assessment.policy.hold.tipStop.value, Number.POSITIVE_INFINITY),
};
