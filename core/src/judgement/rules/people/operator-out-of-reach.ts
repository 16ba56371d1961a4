import { remoteReachM } from '../../../hazards/remote-reach.ts';
import type { Moment } from '../../../moment/moment.ts';
import { bodyPose } from '../../../moment/poses.ts';
import { length, rich } from '../../../quantity/format.ts';
import { leftBelow } from '../../../quantity/tolerance.ts';
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
    return reach.reachM === undefined ? undefined : leftBelow(reach.awayM, reach.reachM);
  },
  answer: (moment, subject) => {
    const reach = reachOf(moment, subject);
    const { winch } = subject.drive;
    if (reach === undefined || winch === undefined) return undefined;
    const data = { label: subject.operator.label, winch: pieceName(winch), awayM: reach.awayM, reachM: reach.reachM ?? 0 };
    return reach.reachM === undefined ? undecided(data, openPiece(winch, 'Enter the remote')) : found(data);
  },
  title: ({ label }) => rich`${label} is out of the remote’s reach`,
  detail: ({ awayM, reachM }) =>
    rich`${length(awayM)} from the winch, and the remote reaches ${length(reachM)}. Stand nearer, or in the cab.`,
  question: ({ winch }) => rich`How far does the remote of ${winch} reach?`,
});

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
