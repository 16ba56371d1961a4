import { legsRule } from './trees.ts';

export const strapLegsTooWide = legsRule({
  code: 'strap-legs-too-wide',
  severity: 'stop',
  fromDeg: ({ judging }) => judging.legsStopDeg.value,
  toDeg: () => Number.POSITIVE_INFINITY,
});
