import { offHeadingRule } from './off-heading.ts';

export const pullAcross = offHeadingRule({
  code: 'pull-across',
  severity: 'stop',
  softenable: false,
  why: 'A jerk across its heading turns a vehicle over or tears its point out.',
  aboveDeg: ({ runUp }) => runUp.offHeadingStopDeg.value,
  upToDeg: () => Number.POSITIVE_INFINITY,
});
