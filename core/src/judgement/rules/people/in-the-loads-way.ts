import { fromPointM, loadOutline } from '../../../pull/outlines.ts';
import { rich } from '../../../quantity/format.ts';
import { momentRule } from '../../ask/rule.ts';
import { aboutBody, found } from '../../ask/speak.ts';

export const inTheLoadsWay = momentRule({
  code: 'in-the-loads-way',
  severity: 'stop',
  softenable: false,
  why: 'A load that comes free does not stop for anybody.',
  needs: ['load.travel', 'load.path', 'body.stands', 'body.size', 'person.shelter'],
  subjects: ({ bodies, rig }) =>
    (rig.load.travelM ?? 0) > 0 && rig.load.task?.kind !== 'right'
      ? bodies.flatMap(({ body }) =>
          body.kind === 'animal' || body.kind === 'crew' || (body.kind === 'person' && body.inVehicleId === undefined) ? [body] : [],
        )
      : [],
  about: aboutBody,
  margin: (moment, { xM, yM }) =>
    moment.travelM > 0 ? fromPointM(loadOutline(moment), xM, yM) - moment.rig.policy.zones.corridorM.value : Number.POSITIVE_INFINITY,
  answer: ({ rig }, { label }) => found({ label, load: rig.load.body.label }),
  title: ({ label, load }) => rich`${load} passes over where ${label} stands`,
  detail: ({ load }) => rich`Keep well to one side of the whole way of ${load}, and uphill of it on a slope.`,
});
