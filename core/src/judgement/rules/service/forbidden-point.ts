import { refusedKind } from '../../../gear/vehicle-points.ts';
import { isTeamsLastResort } from '../../../policy/last-resorts.ts';
import { rich } from '../../../quantity/format.ts';
import type { ResolvedUse } from '../../../resolved/parts.ts';
import type { ResolvedRig } from '../../../resolved/resolved-rig.ts';
import { pointKindOf } from '../../../resolved/vehicle-point.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chooseAnother, found } from '../../ask/speak.ts';
import { pointName, pointUses } from '../../ask/vehicle-points.ts';

export const forbiddenPoint = rigRule({
  code: 'forbidden-point',
  severity: 'stop',
  softenable: false,
  why: 'Only points made and rated for recovery, tied to the frame, hold a stuck vehicle.',
  needs: ['use.piece', 'use.named', 'gear.pointKind', 'situation', 'policy'],
  subjects: pointUses,
  about: aboutUse,
  answer: (rig, use) => {
    const kind = pointKindOf(use);
    const reason = refusedHere(rig, use);
    if (reason === undefined || (kind === 'tie-down-eye' && isOnRollingLoad(rig, use))) return undefined;
    return found({ name: pointName(use), reason }, chooseAnother(use, 'Choose another point'));
  },
  title: ({ name }) => rich`${name} must not be pulled on`,
  detail: ({ reason }) => rich`Refused: ${reason}.`,
});

/** A tie-down eye holds a load that rolls: no depth, no wheel or driveline that does not turn, no ledge in its way. */
function isOnRollingLoad({ rig: { situation }, load }: ResolvedRig, { seat }: ResolvedUse): boolean {
  const on = seat.kind === 'chain' ? seat.chain.point?.on : undefined;
  const rolls =
    situation.depth === 'none' &&
    (situation.trailer?.depth ?? 'none') === 'none' &&
    situation.lockedShare === 0 &&
    !situation.drivelineLocked &&
    situation.ledge === undefined;
  return on === load.on && load.body.kind === 'vehicle' && rolls;
}

/** Why a point is refused by this team: a factory hook where it is for rolling vehicles only; not what it takes as a last resort. */
function refusedHere(rig: ResolvedRig, use: ResolvedUse): string | undefined {
  const kind = pointKindOf(use);
  if (isTeamsLastResort(kind, rig.policy.schools)) return undefined;
  const hook = kind === 'factory-hook' && rig.policy.schools.factoryHook === 'rolling-only' && !isOnRollingLoad(rig, use);
  return hook ? 'this team uses a factory hook for a rolling vehicle only' : refusedKind(kind);
}
