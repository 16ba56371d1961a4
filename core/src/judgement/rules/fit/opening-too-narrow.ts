import { fitRule } from './fit-rule.ts';

export const openingTooNarrow = fitRule({
  code: 'opening-too-narrow',
  why: 'What does not go into its opening hangs on the tip.',
  needs: ['use.piece', 'gear.thicknessM', 'gear.eyeThicknessM', 'gear.insideWidthM'],
  asks: 'Does the fitting go into the opening?',
  kind: 'fitting-in-opening',
  inner: 'lug',
  opening: 'inside width',
});
