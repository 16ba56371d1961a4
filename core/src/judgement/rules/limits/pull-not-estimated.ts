import { angle, length, rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { found, itself, wholeRig } from '../../ask/speak.ts';

export const pullNotEstimated = rigRule({
  code: 'pull-not-estimated',
  severity: 'stop',
  softenable: false,
  why: 'Outside their range the rules of thumb and the physics say nothing.',
  needs: ['ground.slope', 'body.heading', 'situation'],
  subjects: wholeRig,
  about: itself,
  answer: ({ effort }) => (effort.kind === 'estimated' ? undefined : found({ ...effort })),
  title: () => rich`The pull cannot be estimated`,
  detail: (effort) =>
    effort.kind === 'slope-out-of-range'
      ? rich`The slope along the pull is ${angle(effort.slopeRad)}; the estimate holds to 45° either way. Pull across the fall, or call a licensed operator.`
      : rich`The ledge of ${length(effort.heightM)} is as high as the wheel’s radius, ${length(effort.wheelRadiusM)}: no pull rolls the wheel over it. Ramp it first.`,
});
