import type { Policy } from '../../../policy/policy.ts';
import { percent, rich } from '../../../quantity/format.ts';
import { exceeds, leftBelow } from '../../../quantity/tolerance.ts';
import type { ResolvedRig } from '../../../resolved/resolved-rig.ts';
import { momentRule, type RuleHead } from '../../ask/rule.ts';
import { aboutBody, found, undecided } from '../../ask/speak.ts';

interface TippingRow extends Pick<RuleHead, 'code' | 'severity' | 'why' | 'asks' | 'unless'> {
  /** Shares of what resists: above the one and at most the other. */
  readonly above: (policy: Policy) => number;
  readonly upTo: (policy: Policy) => number;
}

/** Every vehicle but one that is set upright: to turn that one over is what the pull is for. */
export const vehiclesToStayUp = ({ rig: { load }, vehicles }: Pick<ResolvedRig, 'rig' | 'vehicles'>) =>
  vehicles.filter(({ body }) => load.task?.kind !== 'right' || body.id !== load.bodyId);

/** The rule of vehicles whose side pull × height lies between two shares of what resists it, on the planned pull. */
export const tippingRule = ({ above, upTo, ...head }: TippingRow) =>
  momentRule({
    ...head,
    softenable: false,
    needs: ['vehicle.track', 'body.mass', 'body.size', 'point.mount', 'line.way'],
    subjects: vehiclesToStayUp,
    about: ({ body }) => aboutBody(body),
    margin: ({ holds, rig }, { index }) => {
      const share = holds[index]?.planned?.tipping ?? Number.NaN;
      return exceeds(share, upTo(rig.policy)) ? Number.POSITIVE_INFINITY : leftBelow(share, above(rig.policy));
    },
    answer: ({ holds }, { index, body: { label } }) => {
      const planned = holds[index]?.planned;
      if (planned === undefined) return undefined;
      const data = { label, share: planned.tipping };
      return planned.trackKnown ? found(data) : undecided(data);
    },
    title: ({ label }) => rich`The line may turn ${label} over`,
    detail: ({ share }) =>
      rich`Its side pull is ${percent(share)} of what it takes. Hook on lower, pull more in line, or hold it from the other side.`,
    question: ({ label, share }) =>
      rich`How wide is the track of ${label}? The line pulls it to one side with ${percent(share)} of what would turn it over, by a guess from its width.`,
  });
