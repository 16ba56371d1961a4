import { type DangerZones, dangerZones } from '../hazards/danger-zones.ts';
import { pathOf, spanLengthM, stopAt } from '../moment/forces.ts';
import type { Moment } from '../moment/moment.ts';
import type { ResolvedLine, ResolvedTie } from '../resolved/parts.ts';
import type { Body, VehicleBody } from '../rig/rig.ts';
import { ahead } from '../statics/ground.ts';
import { distance, type Vec3, vec3, ZERO } from '../statics/vec3.ts';

/** The danger zones of one line or one back-anchor. */
export interface LineZones extends DangerZones {
  readonly lineId: string;
}

export function zonesOf(moment: Moment): readonly LineZones[] {
  const { rig, shown } = moment;
  if (shown === undefined) return [];
  const sizes = { factor: rig.policy.care.zoneFactor.value, corridorM: rig.policy.zones.corridorM.value };
  return [
    ...rig.lines.map((line) => ({ lineId: line.line.id, ...dangerZones(pathOf(line, shown), sizes) })),
    ...rig.ties.filter((tie) => isLoaded(moment, tie)).map((tie) => ({ lineId: tie.id, ...dangerZones(tiePath(moment, tie), sizes) })),
  ];
}

/** Whether a back-anchor takes anything at all in this moment. */
const isLoaded = ({ ties: { planned, greatest } }: Moment, { index }: ResolvedTie): boolean =>
  [...planned, ...greatest].some((tensions) => (tensions[index] ?? 0) > 0);

const tiePath = ({ positions }: Moment, { anchor, vehicle }: ResolvedTie): readonly [Vec3, Vec3] => [
  positions[anchor.index] ?? ZERO,
  positions[vehicle.index] ?? ZERO,
];

/** Whether somebody who stands in a zone may: in a cab or behind a named shelter. */
export function isSheltered(body: Body): boolean {
  return body.kind === 'person' && (body.inVehicleId !== undefined || body.shelter !== undefined);
}

/**
 * Room between a place on the map and the danger zones of every line and loaded back-anchor at one moment, metres: below 0 inside a circle, a corridor or a
 * bend, 0 on its border. Infinite without lines, NaN without a balance.
 */
export function zoneRoomM(moment: Moment, { xM, yM }: Pick<Body, 'xM' | 'yM'>): number {
  const { rig, shown } = moment;
  if (shown === undefined) return Number.NaN;
  const at = { x: xM, y: yM };
  let room = Number.POSITIVE_INFINITY;
  for (const line of rig.lines) room = Math.min(room, lineRoomM(moment, line, at));
  for (const tie of rig.ties) if (isLoaded(moment, tie)) room = Math.min(room, roomAtTie(moment, tie, at));
  // On the border counts as inside.
  return room - 1e-9 * Math.max(1, Math.abs(room));
}

/** The same of one line alone. */
export function lineRoomM(moment: Moment, line: ResolvedLine, at: Level): number {
  let room = Number.POSITIVE_INFINITY;
  for (let stop = 0; stop < line.stops.length; stop++) room = Math.min(room, roomAtStop(moment, line, stop, at));
  return room;
}

/** Room to the circles round both ends of a back-anchor, and to the corridor along it. */
export function roomAtTie(moment: Moment, tie: ResolvedTie, at: Level): number {
  const { care, zones } = moment.rig.policy;
  const [from, to] = tiePath(moment, tie);
  const radius = care.zoneFactor.value * distance(from, to);
  const circles = [from, to].map((end) => Math.hypot(at.x - end.x, at.y - end.y) - radius);
  return Math.min(...circles, besideM(at, from, to) - zones.corridorM.value);
}

/** Room to the circle round one stop of a line, to the inside of its bend, and to the corridor of the strand behind it. */
function roomAtStop({ rig: { policy }, shown }: Moment, line: ResolvedLine, stop: number, at: Level): number {
  if (shown === undefined) return Number.NaN;
  const { balance } = shown;
  const last = line.stops.length - 1;
  const apex = stopAt(line, stop, balance);
  const before = stop > 0 ? spanLengthM(line, stop - 1, balance) : 0;
  const after = stop < last ? spanLengthM(line, stop, balance) : 0;
  const radius = policy.care.zoneFactor.value * Math.max(before, after);
  const circle = Math.hypot(at.x - apex.x, at.y - apex.y) - radius;
  if (stop === last) return circle;
  const to = stopAt(line, stop + 1, balance);
  const room = Math.min(circle, besideM(at, apex, to) - policy.zones.corridorM.value);
  if (stop === 0) return room;
  return insideBend(at, { apex, from: stopAt(line, stop - 1, balance), to, radius }) ? Math.min(room, -1e-9) : room;
}

interface Level {
  readonly x: number;
  readonly y: number;
}

/** Distance of a place from a strand to one side of it; infinite beyond its ends. */
function besideM({ x, y }: Level, from: Level, to: Level): number {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const long = Math.hypot(dx, dy);
  if (!(long > 0)) return Number.POSITIVE_INFINITY;
  const along = ((x - from.x) * dx + (y - from.y) * dy) / long;
  return along < 0 || along > long ? Number.POSITIVE_INFINITY : Math.abs((x - from.x) * dy - (y - from.y) * dx) / long;
}

/** Whether a place lies in the triangle inside a bend, out to its radius along both strands. */
function insideBend(
  { x, y }: Level,
  { apex, from, to, radius }: { readonly apex: Level; readonly from: Level; readonly to: Level; readonly radius: number },
): boolean {
  const arm = (end: Level) => {
    const long = Math.hypot(end.x - apex.x, end.y - apex.y);
    return long > 0 ? { x: ((end.x - apex.x) * radius) / long, y: ((end.y - apex.y) * radius) / long } : { x: 0, y: 0 };
  };
  const [a, b] = [arm(from), arm(to)];
  const area = a.x * b.y - a.y * b.x;
  if (Math.abs(area) < 1e-9 * radius * radius) return false;
  const [px, py] = [x - apex.x, y - apex.y];
  const [s, t] = [(px * b.y - py * b.x) / area, (a.x * py - a.y * px) / area];
  return s >= -1e-9 && t >= -1e-9 && s + t <= 1 + 1e-9;
}

/** The outline of a vehicle seen from above, corner by corner. */
export function outlineOf({ xM, yM, headingRad, lengthM, widthM }: VehicleBody): readonly Vec3[] {
  const forward = ahead(headingRad);
  return [
    [0.5, 0.5],
    [0.5, -0.5],
    [-0.5, -0.5],
    [-0.5, 0.5],
  ].map(([f = 0, l = 0]) =>
    vec3(xM + forward.x * f * lengthM - forward.y * l * widthM, yM + forward.y * f * lengthM + forward.x * l * widthM, 0),
  );
}
