import { force, rich } from '../../../quantity/format.ts';
import { actRule } from '../../ask/rule.ts';
import { found } from '../../ask/speak.ts';
import { aboutTow, planOf, runUps } from './run-ups.ts';

export const noSafeRunUp = actRule({
  code: 'no-safe-run-up',
  severity: 'stop',
  softenable: false,
  why: 'Where even a walking pace overloads a piece, no speed is slow enough.',
  needs: ['tow.run-up', 'gear.marks', 'gear.lengthM', 'body.mass', 'vehicle.stance', 'situation', 'ground.slope'],
  subjects: runUps,
  about: aboutTow,
  answer: (judged) => {
    const plan = planOf(judged);
    const last = plan?.attempts.at(-1);
    if (plan === undefined || last === undefined || plan.proposedMPerS !== undefined || !plan.setup.stretches) return undefined;
    return found({ peakN: last.peakN, grip: plan.boundBy === 'slack' });
  },
  title: () => rich`There is no safe run-up here`,
  detail: ({ peakN, grip }) =>
    grip
      ? rich`The towing vehicle has no grip, or no rope, to run up with. Find better ground, lay out more rope, or winch.`
      : rich`Even at a walking pace some piece is over its limit; what is shown, ${force(peakN)}, is after a metre of slack. Use stronger pieces, a longer rope, or winch.`,
});
