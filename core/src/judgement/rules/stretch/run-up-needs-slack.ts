import { drivingSpeed, length, rich } from '../../../quantity/format.ts';
import { exceeds } from '../../../quantity/tolerance.ts';
import { actRule } from '../../ask/rule.ts';
import { found } from '../../ask/speak.ts';
import { aboutTow, planOf, runUps } from './run-ups.ts';

export const runUpNeedsSlack = actRule({
  code: 'run-up-needs-slack',
  severity: 'fix',
  softenable: true,
  why: 'Slack and run-up are one length: without it the speed is not reached, and more slack than there is rope cannot be laid back.',
  needs: ['tow.run-up', 'gear.lengthM', 'body.mass', 'vehicle.stance'],
  subjects: runUps,
  about: aboutTow,
  answer: (judged) => {
    const plan = planOf(judged);
    const last = plan?.attempts.at(-1);
    if (plan === undefined || last === undefined || !plan.chosen) return undefined;
    const { slackM, neededSlackM, mostSlackM } = plan;
    const short = exceeds(neededSlackM, slackM);
    if (!short && !exceeds(slackM, mostSlackM)) return undefined;
    return found({ speedMPerS: last.speedMPerS, slackM, neededSlackM, mostSlackM, short });
  },
  title: ({ short, speedMPerS, slackM }) =>
    short
      ? rich`${length(slackM)} of slack does not give ${drivingSpeed(speedMPerS)}`
      : rich`There is not enough rope for ${length(slackM)} of slack`,
  detail: ({ neededSlackM, mostSlackM }) =>
    rich`That speed asks for ${length(neededSlackM)}; at most ${length(mostSlackM)} can be laid back. It is judged at the speed as chosen.`,
});
