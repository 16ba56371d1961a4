import type { Policy } from '../../../policy/policy.ts';
import { force, rich } from '../../../quantity/format.ts';
import { exceeds, leftBelow } from '../../../quantity/tolerance.ts';
import type { PulledVehicle } from '../../../resolved/parts.ts';
import { momentRule } from '../../ask/rule.ts';
import { aboutBody, found, undecided } from '../../ask/speak.ts';
import { standingVehicles } from './standing-vehicles.ts';

export const vehicleSlides = momentRule({
  code: 'vehicle-slides',
  severity: 'fix',
  softenable: true,
  why: 'A vehicle that slides takes its line, its load and whoever stands behind it along.',
  needs: ['body.mass', 'vehicle.stance', 'vehicle.axles', 'ground.slope', 'line.way', 'tie.back', 'situation'],
  asks: 'What ground does this vehicle stand on, and what holds it?',
  subjects: standingVehicles,
  about: ({ body }) => aboutBody(body),
  margin: ({ holds, rig }, { index, ties, standing }) => {
    const stays = holds[index]?.plannedStays;
    if (stays === undefined) return Number.POSITIVE_INFINITY;
    if (stays.holdN !== undefined) return leftBelow(stays.acrossN, stays.holdN);
    // Straps that leave no more than its wheels would hold at their best do not ask how it is held.
    return ties.length > 0 && !exceeds(stays.acrossN, bestHoldN(standing, rig.policy)) ? Number.POSITIVE_INFINITY : undefined;
  },
  answer: ({ holds, rig }, { index, body: { label }, ties }) => {
    const { planned, plannedStays: stays } = holds[index] ?? {};
    if (planned === undefined || stays === undefined) return undefined;
    const { demandN, holdN = 0, slidesByN = 0 } = planned;
    const data = { label, demandN, holdN, tieN: 0, acrossN: ties.length > 0 ? stays.acrossN : undefined };
    if (stays.holdN === undefined) return undecided(data);
    return found({ ...data, tieN: slidesByN * rig.policy.hold.backAnchorMargin.value });
  },
  title: ({ label }) => rich`${label} slides before the load moves`,
  detail: ({ demandN, holdN, tieN, acrossN }) =>
    acrossN === undefined
      ? rich`${force(demandN)} pulls at it, and ${force(holdN)} holds it. Tie it back to an anchor good for ${force(tieN)}, dig its wheels in, or find better ground.`
      : rich`${force(demandN)} pulls at it. Its back-anchors lead too far to one side: however tight, they leave ${force(acrossN)}, and its wheels hold ${force(holdN)}. Tie it back straight behind, or on both sides.`,
  question: ({ label }) => rich`What ground does ${label} stand on, and what holds it?`,
});

/** The most that wheels hold on any ground of the table, all brakes on; newtons. */
const bestHoldN = ({ pressN }: PulledVehicle['standing'], { hold }: Policy): number =>
  pressN * Math.max(...Object.values(hold.friction).map(({ value }) => value));
