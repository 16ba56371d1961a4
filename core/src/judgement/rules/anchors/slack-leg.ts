import { rich } from '../../../quantity/format.ts';
import { momentRule } from '../../ask/rule.ts';
import { aboutUse, found } from '../../ask/speak.ts';

export const slackLeg = momentRule({
  code: 'slack-leg',
  severity: 'fix',
  softenable: true,
  why: 'A slack leg shares nothing: the other carries all.',
  needs: ['line.way', 'gear.lengthM'],
  subjects: ({ chains }) =>
    chains.flatMap(({ chain, link, first }) => (chain.to?.kind === 'joint' && first && link >= 0 ? [{ link, first }] : [])),
  about: ({ first }) => aboutUse(first),
  margin: ({ shown }, { link }) => (shown?.balance.equilibrium.slackLinks.includes(link) ? -1 : 1),
  answer: () => found({}),
  title: () => rich`One leg hangs slack`,
  detail: () => rich`The other carries all. Even the lengths out, or leave this leg off.`,
});
