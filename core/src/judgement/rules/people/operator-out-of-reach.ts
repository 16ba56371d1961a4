import { remoteReachM } from '../../../hazards/remote-reach.ts';
import type { Policy } from '../../../policy/policy.ts';
import { length, rich } from '../../../quantity/format.ts';
import { exceeds } from '../../../quantity/tolerance.ts';
import type { PersonBody } from '../../../rig/bodies.ts';
import { type Answer, notFound, openPiece, pieceName, type Rule, type WinchDrive, winchDrives } from '../../rule.ts';

export const operatorOutOfReach: Rule = {
  code: 'operator-out-of-reach',
  severity: 'fix',
  softenable: true,
  why: 'Whoever cannot reach the remote cannot stop the winch.',
  needs: 'the operator’s place, the winch’s lead or wireless remote',
  asks: 'How long is the lead of the remote?',
  check: (assessment) => {
    const people = assessment.rig.bodies.filter((body) => body.kind === 'person').filter(({ duty }) => duty === 'operator');
    return winchDrives(assessment).flatMap((winch) => people.map((operator) => reach(winch, operator, assessment.policy)));
  },
};

function reach({ winch, body: vehicle }: WinchDrive, operator: PersonBody, policy: Policy): Answer {
  const subject = { kind: 'body', id: operator.id } as const;
  if (!winch || !vehicle || operator.inVehicleId === vehicle.id) return notFound(subject);
  const reachM = remoteReachM(winch, policy);
  if (reachM === undefined) {
    const fixes = [openPiece(winch, 'Enter the remote')];
    return { kind: 'undecided', subject, question: rich`How far does the remote of ${pieceName(winch)} reach?`, fixes };
  }
  const awayM = Math.hypot(operator.xM - vehicle.xM, operator.yM - vehicle.yM);
  if (!exceeds(awayM, reachM)) return notFound(subject);
  return {
    kind: 'found',
    subject,
    title: rich`${operator.label} is out of the remote’s reach`,
    detail: rich`${length(awayM)} from the winch, and the remote reaches ${length(reachM)}. Stand nearer, or in the cab.`,
  };
}
