import { force, ratio, rich } from '../../quantity/format.ts';
import { fallsShort } from '../../quantity/tolerance.ts';
import { STANDARD_GRAVITY } from '../../quantity/units.ts';
import { loadBody } from '../../rig/places.ts';
import { gearOf } from '../../rig/rig-network.ts';
import { driveLine } from '../assessment.ts';
import { notFound, type Rule, rigSubject } from '../rule.ts';

export const winchSmall: Rule = {
  code: 'winch-small',
  severity: 'caution',
  softenable: true,
  why: 'A winch should be rated for one and a half times the vehicle’s weight.',
  needs: 'rated pull of the winch, mass of the vehicle',
  check: ({ rig, gear, policy }) => {
    const winch = gearOf(driveLine(rig).drive.use, gear);
    const ratedN = winch
      ? Math.min(...winch.marks.flatMap(({ readings }) => readings.map(({ forceN }) => forceN)))
      : Number.POSITIVE_INFINITY;
    const weightN = loadBody(rig).massKg * STANDARD_GRAVITY;
    const least = policy.winch.leastPullPerWeight.value;
    if (!Number.isFinite(ratedN) || !fallsShort(ratedN, least * weightN)) return [notFound(rigSubject)];
    return [
      {
        kind: 'found',
        subject: rigSubject,
        title: rich`The winch is small for this vehicle`,
        detail: rich`Rated ${force(ratedN)}, ${ratio(ratedN / weightN)} × the weight of ${force(weightN)}; ${ratio(least)} × is asked for.`,
      },
    ];
  },
};
