import { tippingRule } from './tipping.ts';

export const mayTip = tippingRule({
  code: 'may-tip',
  severity: 'caution',
  unless: ['tips'],
  why: 'A line that pulls a vehicle to one side high up may turn it over.',
  asks: 'How wide is the track of this vehicle?',
  above: ({ hold }) => hold.tipCaution.value,
  upTo: ({ hold }) => hold.tipStop.value,
});
