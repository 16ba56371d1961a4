import { rich } from '../../../quantity/format.ts';
import { isSheltered, zoneRoomM } from '../../../release/zones-of-rig.ts';
import type { ResolvedRig } from '../../../resolved/resolved-rig.ts';
import type { Body } from '../../../rig/rig.ts';
import { momentRule } from '../../ask/rule.ts';
import { aboutBody, found } from '../../ask/speak.ts';

export const personInZone = momentRule({
  code: 'person-in-zone',
  severity: 'stop',
  softenable: false,
  why: 'Parts of a broken rig fly along the line and across its bends.',
  needs: ['person.duty', 'person.shelter', 'body.stands', 'line.way'],
  subjects: bystanders,
  about: aboutBody,
  margin: (moment, body) => (isSheltered(body) ? Number.POSITIVE_INFINITY : zoneRoomM(moment, body)),
  answer: (_, body) => found({ label: body.label, thing: body.kind === 'vehicle' }),
  title: ({ label }) => rich`${label} is inside a danger zone`,
  detail: ({ thing }) =>
    rich`Move ${thing ? 'it' : 'them'} out of every circle, corridor and bend, or into a cab or behind a named shelter, before tension comes on.`,
});

/** People but the operator, animals, and vehicles that no line pulls on. */
function bystanders({ bodies, load }: ResolvedRig): readonly Body[] {
  return bodies.flatMap((on): readonly Body[] => {
    const { body, points } = on;
    if (body.kind === 'person') return body.duty === 'operator' ? [] : [body];
    const parked = body.kind === 'vehicle' && points.length === 0 && on !== load.on;
    return body.kind === 'animal' || parked ? [body] : [];
  });
}
