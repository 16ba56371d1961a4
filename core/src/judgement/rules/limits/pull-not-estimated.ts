import { angle, length, rich } from '../../../quantity/format.ts';
import { notFound, type Rule, rigSubject } from '../../rule.ts';

export const pullNotEstimated: Rule = {
  code: 'pull-not-estimated',
  severity: 'stop',
  softenable: false,
  why: 'Outside their range the rules of thumb and the physics say nothing.',
  needs: 'slope along the pull, ledge and wheel radius',
  check: ({ effort }) => {
    if (effort.kind === 'estimated') return [notFound(rigSubject)];
    const detail =
      effort.kind === 'slope-out-of-range'
        ? rich`The slope along the pull is ${angle(effort.slopeRad)}; the estimate holds to 45° either way. Pull across the fall, or call a licensed operator.`
        : rich`The ledge of ${length(effort.heightM)} is as high as the wheel’s radius, ${length(effort.wheelRadiusM)}: no pull rolls the wheel over it. Ramp it first.`;
    return [{ kind: 'found', subject: rigSubject, title: rich`The pull cannot be estimated`, detail }];
  },
};
