import { type Rule } from '../../rule.ts';
import { tippingOf } from './tipping.ts';

export const mayTip: Rule = {
  code: 'may-tip',
  severity: 'caution',
  softenable: false,
  why: 'A line that pulls a vehicle to one side high up may turn it over.',
  needs: 'side force and height at every vehicle, track, mass',
  asks: 'How wide is the track of this vehicle?',
  check: (assessment) => tippingOf(assessment, assessment.policy.hold.tipCaution.value, assessment.policy.hold.tipStop.value),
};
