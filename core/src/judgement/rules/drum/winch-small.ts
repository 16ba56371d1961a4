import { force, ratio, rich } from '../../../quantity/format.ts';
import { fallsShort } from '../../../quantity/tolerance.ts';
import { STANDARD_GRAVITY } from '../../../quantity/units.ts';
import { loadBody } from '../../../rig/site-geometry.ts';
import { answerWinches, type Rule } from '../../rule.ts';

export const winchSmall: Rule = {
  code: 'winch-small',
  severity: 'caution',
  softenable: true,
  why: 'A winch should be rated for one and a half times the vehicle’s weight.',
  needs: 'rated pull of the winch, mass of the vehicle',
  check: (assessment) =>
    answerWinches(assessment, ({ winch }) => {
      const { rig, policy } = assessment;
      const readings = winch?.marks.flatMap((mark) => mark.readings.map(({ forceN }) => forceN)) ?? [];
      const ratedN = Math.min(...readings);
      const load = loadBody(rig);
      const weightN = load.massKg * STANDARD_GRAVITY;
      const least = policy.winch.leastPullPerWeight.value;
      if (load.kind !== 'vehicle' || !Number.isFinite(ratedN) || !fallsShort(ratedN, least * weightN)) return undefined;
      return {
        title: rich`The winch is small for this vehicle`,
        detail: rich`Rated ${force(ratedN)}, ${ratio(ratedN / weightN)} × the weight of ${force(weightN)}; ${ratio(least)} × is asked for.`,
      };
    }),
};
