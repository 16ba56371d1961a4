import { stopAt } from '../../../moment/forces.ts';
import type { Moment } from '../../../moment/moment.ts';
import { length, rich } from '../../../quantity/format.ts';
import { LIMIT_TOLERANCE } from '../../../quantity/tolerance.ts';
import type { WinchDrive } from '../../../resolved/parts.ts';
import type { ResolvedRig } from '../../../resolved/resolved-rig.ts';
import { dot, subtract, unit } from '../../../statics/vec3.ts';
import { momentRule } from '../../ask/rule.ts';
import { aboutDrive, found, winchDrives } from '../../ask/speak.ts';

/** Rope that must stay between the fairlead and the first pulley or the line's end when the vehicle is free, metres. */
const LEAST_LEFT_M = 1;

export const hookReachesFairlead = momentRule({
  code: 'hook-reaches-fairlead',
  severity: 'stop',
  softenable: false,
  why: 'A hook or ring drawn into the fairlead breaks something at full pull.',
  needs: ['load.travel', 'line.way', 'body.stands'],
  subjects: (rig) => winchDrives(rig).filter((drive) => comesNearer(rig, drive)),
  about: aboutDrive,
  margin: (moment, drive) => firstSpan(moment, drive).leftM - LEAST_LEFT_M * (1 - LIMIT_TOLERANCE),
  answer: (moment, drive) =>
    found({
      travelM: moment.rig.rig.load.travelM,
      roomM: Math.max(0, firstSpan(moment, drive).nowM - LEAST_LEFT_M),
    }),
  title: () => rich`The anchor is too near for this pull`,
  detail: ({ travelM, roomM }) =>
    rich`The vehicle has to move ${length(travelM)}, but the line ends at the fairlead after about ${length(roomM)}. Take an anchor further on, or re-rig half-way.`,
});

/** Whether the winch's own vehicle goes towards where its line leads first; a pulley on the vehicle itself comes along with the fairlead. */
function comesNearer({ load, rig }: ResolvedRig, { line, on }: WinchDrive): boolean {
  const comesAlong = line.stops[1]?.chain?.point?.on === load.on;
  return on === load.on && !comesAlong && rig.purpose !== 'lower';
}

/** The line's first span along itself: as it stands, and foretold for when the load has gone its way straight on. NaN without a balance. */
function firstSpan({ balances, rig, travel }: Moment, { line }: WinchDrive): { readonly nowM: number; readonly leftM: number } {
  if (balances === undefined) return { nowM: Number.NaN, leftM: Number.NaN };
  const span = subtract(stopAt(line, 1, balances.hauling), stopAt(line, 0, balances.hauling));
  const along = unit(span) ?? travel;
  const nowM = dot(span, along);
  return { nowM, leftM: nowM - rig.rig.load.travelM * dot(travel, along) };
}
