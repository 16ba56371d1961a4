import { fitRule } from './fit-rule.ts';

export const throatTooNarrow = fitRule({
  code: 'throat-too-narrow',
  why: 'A bow that does not go into the throat hangs on the tip of the hook and springs off.',
  needs: ['use.piece', 'gear.bowDiameterM', 'gear.throatM'],
  asks: 'Does the bow go into the throat?',
  kind: 'bow-in-throat',
  inner: 'bow',
  opening: 'throat',
});
