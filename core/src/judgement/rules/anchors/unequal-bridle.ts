import type { Moment } from '../../../moment/moment.ts';
import { force, ratio, rich } from '../../../quantity/format.ts';
import { leftBelow } from '../../../quantity/tolerance.ts';
import type { ResolvedChain } from '../../../resolved/parts.ts';
import { momentRule } from '../../ask/rule.ts';
import { found } from '../../ask/speak.ts';

export const unequalBridle = momentRule({
  code: 'unequal-bridle',
  severity: 'caution',
  softenable: true,
  why: 'One leg of the bridle carries far more than the other.',
  needs: ['line.way', 'gear.lengthM', 'point.mount', 'policy'],
  subjects: ({ rig, chains }) =>
    (rig.joints ?? []).map(({ id, label }) => ({
      id,
      label,
      legs: chains.filter(({ chain: { to, from } }) => to?.kind === 'joint' && to.jointId === id && from.kind === 'point'),
    })),
  about: ({ id }) => ({ subject: { kind: 'rig', id } }),
  margin: (moment, { legs }) => {
    const { mostN, leastN } = legLoads(moment, legs);
    return leftBelow(mostN, moment.rig.policy.sharing.unequalLegs.value * leastN);
  },
  answer: (moment, { label, legs }) => found({ label, ...legLoads(moment, legs), most: moment.rig.policy.sharing.unequalLegs.value }),
  title: ({ label }) => rich`The legs at ${label} share unevenly`,
  detail: ({ mostN, leastN, most }) =>
    rich`${force(mostN)} and ${force(leastN)}: ${ratio(mostN / leastN)} ×, at most ${ratio(most)} × is asked for. Even the legs out, or pull more in line.`,
});

/** The largest and the least load of the taut legs of a bridle, newtons; NaN where fewer than two are taut. */
function legLoads({ shown, states }: Moment, legs: readonly ResolvedChain[]): { readonly mostN: number; readonly leastN: number } {
  let [taut, mostN, leastN] = [0, 0, Number.POSITIVE_INFINITY];
  if (shown === undefined) return { mostN: Number.NaN, leastN: Number.NaN };
  const { equilibrium, forces } = shown.balance;
  const scale = states.planned.length > 0 ? shown.scale : 1;
  for (const { link, index } of legs) {
    if (equilibrium.slackLinks.includes(link)) continue;
    const loadN = (forces.chainSizes[index] ?? 0) * scale;
    taut++;
    mostN = Math.max(mostN, loadN);
    leastN = Math.min(leastN, loadN);
  }
  return taut < 2 ? { mostN: Number.NaN, leastN: Number.NaN } : { mostN, leastN };
}
