import { length, rich } from '../../quantity/format.ts';
import { loadBody } from '../../rig/places.ts';
import { dot, scale, subtract, unit, type Vec3 } from '../../statics/vec3.ts';
import { driveLine } from '../assessment.ts';
import { notFound, type Rule, rigSubject } from '../rule.ts';

/** Rope that must stay between the fairlead and the first pulley or the line's end when the vehicle is free, metres. */
const LEAST_LEFT_M = 1;

export const hookReachesFairlead: Rule = {
  code: 'hook-reaches-fairlead',
  severity: 'stop',
  softenable: false,
  why: 'A hook or ring drawn into the fairlead breaks something at full pull.',
  needs: 'how far the vehicle must travel, the layout',
  check: ({ rig, network, solved, travel }) => {
    const [from, to] = network.network.ropes[0]?.nodes ?? [];
    const point = rig.points.find(({ id }) => id === driveLine(rig).drive.pointId);
    if (!solved || from === undefined || to === undefined || point?.bodyId !== loadBody(rig).id) return [notFound(rigSubject)];
    const span = subtract(solved.hauling.positions[to] as Vec3, solved.hauling.positions[from] as Vec3);
    const after = subtract(span, scale(travel, rig.load.travelM));
    const left = dot(after, unit(span) ?? travel);
    if (left >= LEAST_LEFT_M * (1 - 1e-9)) return [notFound(rigSubject)];
    const room = Math.max(0, dot(span, unit(span) ?? travel) - LEAST_LEFT_M);
    return [
      {
        kind: 'found',
        subject: rigSubject,
        title: rich`The anchor is too near for this pull`,
        detail: rich`The vehicle has to move ${length(rig.load.travelM)}, but the line ends at the fairlead after about ${length(room)}. Take an anchor further on, or re-rig half-way.`,
      },
    ];
  },
};
