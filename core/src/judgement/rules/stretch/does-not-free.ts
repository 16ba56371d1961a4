import { force, length, rich } from '../../../quantity/format.ts';
import { exceeds } from '../../../quantity/tolerance.ts';
import { actRule } from '../../ask/rule.ts';
import { found } from '../../ask/speak.ts';
import { aboutTow, planOf, runUps } from './run-ups.ts';

export const doesNotFree = actRule({
  code: 'does-not-free',
  severity: 'fix',
  softenable: true,
  why: 'An attempt that frees nothing only wears the rope and tempts people to go faster.',
  needs: ['tow.run-up', 'situation', 'body.mass', 'load.drives', 'gear.lengthM', 'policy'],
  subjects: runUps,
  about: aboutTow,
  answer: (judged) => {
    const plan = planOf(judged);
    const last = plan?.attempts.at(-1);
    if (plan === undefined || last === undefined || last.freed || !plan.setup.stretches) return undefined;
    const { stuck, offHeadingRad } = plan.setup;
    return found({
      peakN: last.peakN,
      holdsN: stuck.breaksAwayN,
      movedM: last.movedM,
      rope: plan.boundBy === 'slack',
      askew: exceeds((offHeadingRad * 180) / Math.PI, judged.start.rig.policy.judging.askewDeg.value),
    });
  },
  title: () => rich`The fastest attempt would not free it`,
  detail: ({ peakN, holdsN, movedM, rope, askew }) => {
    const more = rope ? 'lay out more rope, ' : '';
    const straight = askew ? 'pull more in line with it, ' : '';
    return rich`It pulls ${force(peakN)} at its peak against the ${force(holdsN)} that hold it, and moves it ${length(movedM)}. First ${more}${straight}dig, lay boards or air down.`;
  },
});
