import { rich } from '../../../quantity/format.ts';
import { groundPlace, isSheltered, standsInZone } from '../../../release/zones-of-rig.ts';
import { type Answer, notFound, type Rule, winchDrives } from '../../rule.ts';

export const operatorInZone: Rule = {
  code: 'operator-in-zone',
  severity: 'stop',
  softenable: false,
  why: 'Where the line flies nobody may stand; only the cab or a named shelter may be inside.',
  needs: 'the operator’s place, the danger zones',
  check: (assessment) => {
    const { rig } = assessment;
    const { zones } = assessment;
    const cab = winchDrives(assessment).find(({ body }) => body?.kind === 'vehicle')?.body;
    return rig.bodies.flatMap((body): readonly Answer[] => {
      if (body.kind !== 'person' || body.duty !== 'operator') return [];
      const subject = { kind: 'body', id: body.id } as const;
      if (isSheltered(body) || !standsInZone(zones, groundPlace(rig, body))) return [notFound(subject)];
      return [
        {
          kind: 'found',
          subject,
          title: rich`${body.label} would stand where the line flies`,
          detail: rich`Operate from the cab, from behind a thick tree, or from outside every circle and corridor.`,
          ...(cab && {
            fixes: [
              {
                kind: 'edits',
                label: `Into the cab of ${cab.label}`,
                edits: [{ kind: 'change-body', body: { ...body, inVehicleId: cab.id } }],
              },
            ],
          }),
        },
      ];
    });
  },
};
