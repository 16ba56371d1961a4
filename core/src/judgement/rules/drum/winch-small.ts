import { force, ratio, rich } from '../../../quantity/format.ts';
import { exceeds, fallsShort } from '../../../quantity/tolerance.ts';
import { STANDARD_GRAVITY } from '../../../quantity/units.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutDrive, found, winchDrives } from '../../ask/speak.ts';

export const winchSmall = rigRule({
  code: 'winch-small',
  severity: 'caution',
  softenable: true,
  why: 'A winch should be rated for one and a half times the vehicle’s weight.',
  needs: ['gear.marks', 'body.mass', 'policy', 'purpose'],
  // A line that is only spooled asks no more of its winch than the spooling.
  subjects: (rig) => (rig.rig.purpose === 'respool' ? [] : winchDrives(rig)),
  about: aboutDrive,
  answer: ({ load: { body }, policy }, { winch }) => {
    const ratedN = Math.min(...(winch?.marks.flatMap((mark) => mark.readings.map(({ forceN }) => forceN)) ?? []));
    const weightN = body.massKg * STANDARD_GRAVITY;
    const { smallMachineKg, leastPullSmall, leastPullPerWeight } = policy.winch;
    const least = (exceeds(body.massKg, smallMachineKg.value) ? leastPullPerWeight : leastPullSmall).value;
    if (body.kind !== 'vehicle' || !Number.isFinite(ratedN) || !fallsShort(ratedN, least * weightN)) return undefined;
    return found({ ratedN, weightN, least });
  },
  title: () => rich`The winch is small for this vehicle`,
  detail: ({ ratedN, weightN, least }) =>
    rich`Rated ${force(ratedN)}, ${ratio(ratedN / weightN)} × the weight of ${force(weightN)}; ${ratio(least)} × is asked for.`,
});
