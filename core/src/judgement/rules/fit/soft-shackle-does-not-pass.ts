import { fitRule } from './fit-rule.ts';

export const softShackleDoesNotPass = fitRule({
  code: 'soft-shackle-does-not-pass',
  why: 'A soft shackle forced through a hole is cut by it.',
  needs: ['use.piece', 'gear.ropeDiameterM', 'gear.boreDiameterM', 'gear.eyeDiameterM'],
  asks: 'Does the soft shackle pass through the hole?',
  kind: 'soft-shackle-through-bore',
  inner: 'doubled rope',
  opening: 'hole',
});
