import { remoteReachM } from '../../../hazards/remote-reach.ts';
import type { Moment } from '../../../moment/moment.ts';
import { bodyPose } from '../../../moment/poses.ts';
import type { Policy } from '../../../policy/policy.ts';
import { length, rich } from '../../../quantity/format.ts';
import { exceeds, leftBelow } from '../../../quantity/tolerance.ts';
import type { WinchDrive } from '../../../resolved/parts.ts';
import type { PersonBody } from '../../../rig/bodies.ts';
import { momentRule } from '../../ask/rule.ts';
import { aboutBody, found, openPiece, pieceName, undecided, winchDrives } from '../../ask/speak.ts';
import { operators } from './operators.ts';

export const operatorOutOfReach = momentRule({
  code: 'operator-out-of-reach',
  severity: 'fix',
  softenable: true,
  why: 'Whoever cannot reach the remote cannot stop the winch.',
  needs: ['person.duty', 'person.shelter', 'body.stands', 'gear.control', 'gear.leadLengthM', 'policy'],
  asks: 'How long is the lead of the remote?',
  subjects: (rig) => winchDrives(rig).flatMap((drive) => operators(rig).map((operator) => ({ drive, operator }))),
  about: ({ drive, operator }) => ({ ...aboutBody(operator), place: drive.use.use.id }),
  margin: (moment, subject) => {
    const reach = reachOf(moment, subject);
    if (reach === undefined) return Number.POSITIVE_INFINITY;
    if (reach.reachM !== undefined) return leftBelow(reach.awayM, reach.reachM);
    // Only between the shortest and the longest that is usual does it matter how far it reaches.
    const { leastM, mostM } = usualReachM(subject.drive, moment.rig.policy);
    if (!exceeds(reach.awayM, leastM)) return Number.POSITIVE_INFINITY;
    return exceeds(reach.awayM, mostM) ? leftBelow(reach.awayM, mostM) : undefined;
  },
  answer: (moment, subject) => {
    const reach = reachOf(moment, subject);
    const { winch } = subject.drive;
    if (reach === undefined || winch === undefined) return undefined;
    const { mostM } = usualReachM(subject.drive, moment.rig.policy);
    const data = { label: subject.operator.label, winch: pieceName(winch), awayM: reach.awayM, reachM: reach.reachM ?? mostM };
    const open = reach.reachM === undefined && !exceeds(reach.awayM, mostM);
    return open ? undecided(data, openPiece(winch, 'Enter the remote')) : found(data);
  },
  title: ({ label }) => rich`${label} is out of the remote’s reach`,
  detail: ({ awayM, reachM }) =>
    rich`${length(awayM)} from the winch, and the remote reaches ${length(reachM)}. Stand nearer, or in the cab.`,
  question: ({ winch }) => rich`How far does the remote of ${winch} reach?`,
});

/** How far the remote of a winch usually reaches, where its register does not say: a lead, or by radio where it may have one. */
function usualReachM({ winch }: WinchDrive, { usual, zones }: Policy): { readonly leastM: number; readonly mostM: number } {
  const radio = winch?.attributes.control === undefined ? zones.wirelessReachM.value : 0;
  return { leastM: usual.leadLeastM.value, mostM: Math.max(usual.leadMostM.value, radio) };
}

interface Operated {
  readonly drive: WinchDrive;
  readonly operator: PersonBody;
}

/** How far an operator is from the winch at a moment, and how far its remote reaches; nothing where they sit in its vehicle. */
function reachOf(moment: Moment, { drive: { winch, on }, operator }: Operated) {
  if (winch === undefined || on === undefined || operator.inVehicleId === on.body.id) return undefined;
  const { xM, yM } = bodyPose(moment, on);
  return { awayM: Math.hypot(operator.xM - xM, operator.yM - yM), reachM: remoteReachM(winch, moment.rig.policy) };
}
