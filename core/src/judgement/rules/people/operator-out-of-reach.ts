import { remoteReachM } from '../../../hazards/remote-reach.ts';
import { length, rich } from '../../../quantity/format.ts';
import { exceeds } from '../../../quantity/tolerance.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutBody, found, openPiece, pieceName, undecided, winchDrives } from '../../ask/speak.ts';
import { operators } from './operators.ts';

export const operatorOutOfReach = rigRule({
  code: 'operator-out-of-reach',
  severity: 'fix',
  softenable: true,
  why: 'Whoever cannot reach the remote cannot stop the winch.',
  needs: ['person.duty', 'person.shelter', 'body.stands', 'gear.control', 'gear.leadLengthM', 'policy'],
  asks: 'How long is the lead of the remote?',
  subjects: (rig) => winchDrives(rig).flatMap((drive) => operators(rig).map((operator) => ({ drive, operator }))),
  about: ({ drive, operator }) => ({ ...aboutBody(operator), place: drive.use.use.id }),
  answer: ({ policy }, { drive: { winch, on }, operator }) => {
    if (!winch || !on || operator.inVehicleId === on.body.id) return undefined;
    const reachM = remoteReachM(winch, policy);
    const awayM = Math.hypot(operator.xM - on.body.xM, operator.yM - on.body.yM);
    const data = { label: operator.label, winch: pieceName(winch), awayM, reachM: reachM ?? 0 };
    if (reachM === undefined) return undecided(data, openPiece(winch, 'Enter the remote'));
    return exceeds(awayM, reachM) ? found(data) : undefined;
  },
  title: ({ label }) => rich`${label} is out of the remote’s reach`,
  detail: ({ awayM, reachM }) =>
    rich`${length(awayM)} from the winch, and the remote reaches ${length(reachM)}. Stand nearer, or in the cab.`,
  question: ({ winch }) => rich`How far does the remote of ${winch} reach?`,
});
