import type { PlanState, PlanView } from '@wainrope/contract';

export const planStateWords: { readonly [S in PlanState]: string } = {
  draft: 'Draft',
  ready: 'Ready',
  used: 'Used',
  archived: 'Put away',
};

/** What a plan is to its reader: its state, or that it is another way of doing one, not chosen yet. */
export const standingWords = ({ state, variantOf }: Pick<PlanView, 'state' | 'variantOf'>): string =>
  variantOf !== undefined && state === 'draft' ? 'Variant' : planStateWords[state];
