import { stopAt } from '../../../moment/rig-forces.ts';
import { length, rich } from '../../../quantity/format.ts';
import { bodyOfChain } from '../../../rig/site-geometry.ts';
import { dot, scale, subtract, unit } from '../../../statics/vec3.ts';
import { answerWinches, type Rule } from '../../rule.ts';

/** Rope that must stay between the fairlead and the first pulley or the line's end when the vehicle is free, metres. */
const LEAST_LEFT_M = 1;

export const hookReachesFairlead: Rule = {
  code: 'hook-reaches-fairlead',
  severity: 'stop',
  softenable: false,
  why: 'A hook or ring drawn into the fairlead breaks something at full pull.',
  needs: 'how far the vehicle must travel, the layout',
  check: (assessment) =>
    answerWinches(assessment, ({ drive, pointId }) => {
      const { rig, solved, travel } = assessment;
      const point = rig.points.find(({ id }) => id === pointId);
      const first = rig.chains.find(({ id }) => id === drive.walk.stops[1]?.chainId);
      // A pulley on the vehicle itself comes along with the fairlead.
      const comesAlong = first !== undefined && bodyOfChain(rig, first)?.id === rig.load.bodyId;
      if (!solved || comesAlong || rig.purpose === 'lower' || point?.bodyId !== rig.load.bodyId) return undefined;
      const span = subtract(stopAt(drive.walk, 1, solved.hauling), stopAt(drive.walk, 0, solved.hauling));
      const along = unit(span) ?? travel;
      const left = dot(subtract(span, scale(travel, rig.load.travelM)), along);
      if (left >= LEAST_LEFT_M * (1 - 1e-9)) return undefined;
      const room = Math.max(0, dot(span, along) - LEAST_LEFT_M);
      return {
        title: rich`The anchor is too near for this pull`,
        detail: rich`The vehicle has to move ${length(rig.load.travelM)}, but the line ends at the fairlead after about ${length(room)}. Take an anchor further on, or re-rig half-way.`,
      };
    }),
};
