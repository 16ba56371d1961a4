import { rich } from '../../../quantity/format.ts';
import { groundPlace, isSheltered, standsInZone } from '../../../release/zones-of-rig.ts';
import { type Answer, notFound, type Rule } from '../../rule.ts';

export const personInZone: Rule = {
  code: 'person-in-zone',
  severity: 'stop',
  softenable: false,
  why: 'Parts of a broken rig fly along the line and across its bends.',
  needs: 'people, animals and vehicles on the site, the danger zones',
  check: (assessment) => {
    const { rig } = assessment;
    const zones = assessment.zones;
    const pulled = new Set(rig.points.map(({ bodyId }) => bodyId));
    return rig.bodies.flatMap((body): readonly Answer[] => {
      const operator = body.kind === 'person' && body.duty === 'operator';
      const bystander = body.kind === 'vehicle' && !pulled.has(body.id) && body.id !== rig.load.bodyId;
      if (operator || !(body.kind === 'person' || body.kind === 'animal' || bystander)) return [];
      const subject = { kind: 'body', id: body.id } as const;
      if (isSheltered(body) || !standsInZone(zones, groundPlace(rig, body))) return [notFound(subject)];
      return [
        {
          kind: 'found',
          subject,
          title: rich`${body.label} is inside a danger zone`,
          detail: rich`Move ${body.kind === 'vehicle' ? 'it' : 'them'} out of every circle, corridor and bend, or into a cab or behind a named shelter, before tension comes on.`,
        },
      ];
    });
  },
};
