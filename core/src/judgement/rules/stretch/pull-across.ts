import { angle, rich } from '../../../quantity/format.ts';
import { exceeds } from '../../../quantity/tolerance.ts';
import { actRule } from '../../ask/rule.ts';
import { found } from '../../ask/speak.ts';
import { aboutTow, planOf, runUps } from './run-ups.ts';

export const pullAcross = actRule({
  code: 'pull-across',
  severity: 'stop',
  softenable: false,
  why: 'A jerk across its heading turns a vehicle over or tears its point out.',
  needs: ['line.way', 'body.heading', 'body.stands', 'policy'],
  subjects: runUps,
  about: aboutTow,
  answer: (judged) => {
    const plan = planOf(judged);
    if (plan === undefined) return undefined;
    const { offHeadingRad: offRad } = plan.setup;
    const policy = judged.rig.policy.runUp;
    const mostRad = (policy.offHeadingStopDeg.value * Math.PI) / 180;
    return exceeds(offRad, mostRad) ? found({ offRad, mostRad, label: judged.rig.load.body.label }) : undefined;
  },
  title: ({ offRad, label }) => rich`The run-up pulls ${angle(offRad)} off the way out of ${label}`,
  detail: ({ mostRad }) => rich`At most ${angle(mostRad)}. Move the towing vehicle into line, or winch with a redirect.`,
});
