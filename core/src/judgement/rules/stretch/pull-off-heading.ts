import { offHeadingRule } from './off-heading.ts';

export const pullOffHeading = offHeadingRule({
  code: 'pull-off-heading',
  severity: 'fix',
  softenable: true,
  why: 'Off its heading much of the pull goes into its side, and into nothing that frees it.',
  aboveDeg: ({ runUp }) => runUp.offHeadingFixDeg.value,
  upToDeg: ({ runUp }) => runUp.offHeadingStopDeg.value,
});
