import { tippingRule } from './tipping.ts';

export const tips = tippingRule({
  code: 'tips',
  severity: 'stop',
  why: 'The line’s side pull is enough to turn the vehicle over.',
  above: ({ hold }) => hold.tipStop.value,
  upTo: () => Number.POSITIVE_INFINITY,
});
