import type { Policy } from '../../../policy/policy.ts';
import { angle, rich } from '../../../quantity/format.ts';
import { exceeds } from '../../../quantity/tolerance.ts';
import { actRule, type RuleHead } from '../../ask/rule.ts';
import { found } from '../../ask/speak.ts';
import { aboutTow, planOf, runUps } from './run-ups.ts';

interface OffHeadingRow extends Pick<RuleHead, 'code' | 'severity' | 'softenable' | 'why'> {
  /** Off the heading by more than the one and at most the other, degrees. */
  readonly aboveDeg: (policy: Policy) => number;
  readonly upToDeg: (policy: Policy) => number;
}

/** The rule of run-ups that pull the load off its heading by an angle between two limits. */
export const offHeadingRule = ({ aboveDeg, upToDeg, ...head }: OffHeadingRow) =>
  actRule({
    ...head,
    needs: ['line.way', 'body.heading', 'body.stands', 'policy'],
    subjects: runUps,
    about: aboutTow,
    answer: (judged) => {
      const plan = planOf(judged);
      if (plan === undefined) return undefined;
      const { offHeadingRad: offRad } = plan.setup;
      const { policy, load } = judged.rig;
      const mostRad = (aboveDeg(policy) * Math.PI) / 180;
      if (!exceeds(offRad, mostRad) || exceeds(offRad, (upToDeg(policy) * Math.PI) / 180)) return undefined;
      return found({ offRad, mostRad, label: load.body.label });
    },
    title: ({ offRad, label }) => rich`The run-up pulls ${angle(offRad)} off the way out of ${label}`,
    detail: ({ mostRad }) => rich`At most ${angle(mostRad)}. Move the towing vehicle into line, or winch with a redirect.`,
  });
