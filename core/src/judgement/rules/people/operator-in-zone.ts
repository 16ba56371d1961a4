import { rich } from '../../../quantity/format.ts';
import { isSheltered, zoneRoomM } from '../../../release/zones-of-rig.ts';
import { momentRule } from '../../ask/rule.ts';
import { aboutBody, found, vehicleOf, winchDrives } from '../../ask/speak.ts';
import { operators } from './operators.ts';

export const operatorInZone = momentRule({
  code: 'operator-in-zone',
  severity: 'stop',
  softenable: false,
  why: 'Where the line flies nobody may stand; only the cab or a named shelter may be inside.',
  needs: ['person.duty', 'person.shelter', 'body.stands', 'line.way'],
  subjects: operators,
  about: aboutBody,
  margin: (moment, operator) => (isSheltered(operator) ? Number.POSITIVE_INFINITY : zoneRoomM(moment, operator)),
  answer: ({ rig }, operator) => {
    const cab = winchDrives(rig).flatMap(({ on }) => vehicleOf(on) ?? [])[0];
    const into = cab && { kind: 'change-body' as const, body: { ...operator, inVehicleId: cab.id } };
    return found({ label: operator.label }, into && [{ kind: 'edits', label: `Into the cab of ${cab.label}`, edits: [into] }]);
  },
  title: ({ label }) => rich`${label} would stand where the line flies`,
  detail: () => rich`Operate from the cab, from behind a thick tree, or from outside every circle and corridor.`,
});
