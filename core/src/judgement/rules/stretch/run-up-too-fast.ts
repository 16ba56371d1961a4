import { drivingSpeed, rich } from '../../../quantity/format.ts';
import { exceeds } from '../../../quantity/tolerance.ts';
import { actRule } from '../../ask/rule.ts';
import { found } from '../../ask/speak.ts';
import { type Fix } from '../../ask/told.ts';
import { aboutTow, planOf, runUps } from './run-ups.ts';

export const runUpTooFast = actRule({
  code: 'run-up-too-fast',
  severity: 'fix',
  softenable: false,
  why: 'The force of a run-up grows faster than its speed; a little more breaks something.',
  needs: ['tow.run-up', 'gear.marks', 'gear.lengthM', 'body.mass', 'vehicle.stance', 'situation'],
  subjects: runUps,
  about: aboutTow,
  answer: (judged, { line: { line } }) => {
    const plan = planOf(judged);
    const last = plan?.attempts.at(-1);
    if (plan === undefined || last === undefined || !plan.chosen || plan.proposedMPerS === undefined) return undefined;
    if (!exceeds(last.speedMPerS, plan.proposedMPerS) || line.drive.kind !== 'tow') return undefined;
    const { runUp: _chosen, ...drive } = line.drive;
    const fix: Fix = {
      kind: 'edits',
      label: 'Take the proposed speed',
      edits: [{ kind: 'put', list: 'lines', entry: { ...line, drive } }],
    };
    return found({ speedMPerS: last.speedMPerS, mostMPerS: plan.proposedMPerS }, [fix]);
  },
  title: ({ speedMPerS, mostMPerS }) =>
    rich`${drivingSpeed(speedMPerS)} is faster than the ${drivingSpeed(mostMPerS)} that keeps every piece in order`,
  detail: () => rich`Run up more slowly, or lower the pull first: dig, lay boards, air down.`,
});
