import { drivingSpeed, length, rich } from '../../../quantity/format.ts';
import { actRule } from '../../ask/rule.ts';
import { found } from '../../ask/speak.ts';
import { aboutTow, planOf, runUps } from './run-ups.ts';

export const runUpProposed = actRule({
  code: 'run-up-proposed',
  severity: 'note',
  softenable: true,
  why: 'A run-up is judged at a speed; where nobody has chosen one it is the greatest that keeps every piece in order.',
  needs: ['tow.run-up', 'gear.marks', 'gear.lengthM', 'body.mass', 'vehicle.stance'],
  subjects: runUps,
  about: aboutTow,
  answer: (judged) => {
    const plan = planOf(judged);
    if (plan === undefined || plan.chosen || plan.proposedMPerS === undefined) return undefined;
    return found({ speedMPerS: plan.proposedMPerS, slackM: plan.neededSlackM, attempts: plan.attempts.length });
  },
  title: ({ speedMPerS }) => rich`Judged as proposed: ${drivingSpeed(speedMPerS)} at most`,
  detail: ({ slackM, attempts }) =>
    rich`Nobody has chosen a speed. In ${String(attempts)} rising attempt${attempts === 1 ? '' : 's'}, the last with ${length(slackM)} of slack laid back. Stop after each and look at every piece.`,
});
