import { legsRule } from './trees.ts';

export const strapLegsWide = legsRule({
  code: 'strap-legs-wide',
  severity: 'fix',
  fromDeg: ({ judging }) => judging.legsFixDeg.value,
  toDeg: ({ judging }) => judging.legsStopDeg.value,
});
