import type { LoadView } from '@wainrope/contract';

export const overloadWords: { readonly [O in Exclude<LoadView['overload'], 'none'>]: string } = {
  inspect: 'Over its limit: inspect it before it is used again.',
  quarantine: 'Far over its limit: out of use until a full inspection.',
  unknown: 'No limit was known to hold it against.',
};

/** How a load is known, in a word or two. */
export function knownWords({ known, peakN, stalled }: Pick<LoadView, 'known' | 'peakN' | 'stalled'>): string {
  if (peakN !== undefined) return known === 'plan' ? 'from a gauge on the line, by the plan' : 'measured';
  if (stalled) return 'the winch stalled: its greatest';
  return known === 'plan' ? 'as planned' : 'as planned, typed';
}
