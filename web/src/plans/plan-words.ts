import type { PlanState } from '@wainrope/contract';

export const planStateWords: { readonly [S in PlanState]: string } = {
  draft: 'Draft',
  ready: 'Ready',
  used: 'Used',
  archived: 'Put away',
};
