import { chainLoad } from '../../../moment/rig-forces.ts';
import { force, ratio, rich } from '../../../quantity/format.ts';
import { exceeds } from '../../../quantity/tolerance.ts';
import { shownState } from '../../report/drawing-facts.ts';
import { type Answer, notFound, type Rule } from '../../rule.ts';

export const unequalBridle: Rule = {
  code: 'unequal-bridle',
  severity: 'caution',
  softenable: true,
  why: 'One leg of the bridle carries far more than the other.',
  needs: 'tensions of the legs',
  check: (assessment) => {
    const shown = shownState(assessment);
    if (shown === undefined) return [];
    const { network, rig, policy, states } = assessment;
    return (rig.joints ?? []).flatMap(({ id, label }): readonly Answer[] => {
      const legs = network.chains.filter(
        ({ chain }) => chain.to?.kind === 'joint' && chain.to.jointId === id && chain.from.kind === 'point',
      );
      const taut = legs.filter(({ link }) => !shown.state.slackLinks.includes(link));
      const subject = { kind: 'rig', id } as const;
      if (taut.length < 2) return [];
      const loads = taut.map((leg) => chainLoad(network, leg, shown.state) * (states.planned.length > 0 ? shown.scale : 1));
      const [most, least] = [Math.max(...loads), Math.min(...loads)];
      const limit = policy.sharing.unequalLegs.value;
      if (!exceeds(most, limit * least)) return [notFound(subject)];
      return [
        {
          kind: 'found',
          subject,
          title: rich`The legs at ${label} share unevenly`,
          detail: rich`${force(most)} and ${force(least)}: ${ratio(most / least)} ×, at most ${ratio(limit)} × is asked for. Even the legs out, or pull more in line.`,
        },
      ];
    });
  },
};
