import { legsRule } from './trees.ts';

export const strapLegsTooWide = legsRule({
  code: 'strap-legs-too-wide',
  severity: 'stop',
  fromDeg: 120,
  toDeg: Number.POSITIVE_INFINITY,
});
