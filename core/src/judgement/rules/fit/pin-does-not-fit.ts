import { fitRule } from './fit-rule.ts';

export const pinDoesNotFit = fitRule({
  code: 'pin-does-not-fit',
  why: 'A pin that does not go through its hole gets replaced by something weaker.',
  needs: ['use.piece', 'gear.pinDiameterM', 'gear.boreDiameterM', 'gear.eyeDiameterM'],
  asks: 'Does the pin go through the hole?',
  kind: 'pin-in-hole',
  inner: 'pin',
  opening: 'hole',
});
