import { rich } from '../../../quantity/format.ts';
import type { StaticsFailure } from '../../../statics/network.ts';
import { momentRule } from '../../ask/rule.ts';
import { found, itself, wholeRig } from '../../ask/speak.ts';

const WORDS: { readonly [K in StaticsFailure['kind']]: string } = {
  mechanism: 'part of it can move without resistance',
  redundant: 'more pieces hold it than a balance of forces can tell apart',
  slack: 'part of it hangs without tension',
  'not-a-number': 'a place or a length is no number',
  coincident: 'two of its points stand on one spot',
  'not-converged': 'no balance of forces was found',
};

export const notSolved = momentRule({
  code: 'not-solved',
  severity: 'stop',
  softenable: false,
  why: 'A load that cannot be worked out cannot be trusted.',
  needs: ['line.way', 'body.stands', 'point.mount'],
  subjects: wholeRig,
  about: itself,
  margin: ({ failure }) => (failure === undefined ? 1 : -1),
  answer: ({ failure }) => failure && found({ failure: failure.kind, nodes: failure.nodes }),
  title: () => rich`The loads in this rig cannot be worked out`,
  detail: ({ failure, nodes }) => rich`${WORDS[failure]}: ${nodes.join(', ')}. Move the anchor or change the layout.`,
});
