import { rich } from '../../../quantity/format.ts';
import type { StaticsOutcome } from '../../../statics/network.ts';
import { notFound, type Rule, rigSubject } from '../../rule.ts';

const WORDS: { readonly [K in Exclude<StaticsOutcome['kind'], 'solved'>]: string } = {
  mechanism: 'part of it can move without resistance',
  redundant: 'more pieces hold it than a balance of forces can tell apart',
  slack: 'part of it hangs without tension',
  'not-a-number': 'a place or a length is no number',
  coincident: 'two of its points stand on one spot',
  'not-converged': 'no balance of forces was found',
};

export const notSolved: Rule = {
  code: 'not-solved',
  severity: 'stop',
  softenable: false,
  why: 'A load that cannot be worked out cannot be trusted.',
  needs: 'the geometry of the rig',
  check: ({ failure }) => {
    if (failure === undefined) return [notFound(rigSubject)];
    return [
      {
        kind: 'found',
        subject: rigSubject,
        title: rich`The loads in this rig cannot be worked out`,
        detail: rich`${WORDS[failure.kind]}: ${failure.nodes.join(', ')}. Move the anchor or change the layout.`,
      },
    ];
  },
};
