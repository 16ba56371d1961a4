import {
  ahead,
  type Body,
  type Chain,
  FOOT_M,
  type GearFacts,
  type LoadBody,
  type Report,
  type Rig,
  strapBasket,
  type TreeBody,
  type Vec3,
} from '@wainrope/core';
import type { Point2, Segment } from './place-labels.ts';

/** Metres to pixels: x east to the right, y north to the top. */
export interface View {
  readonly scale: number;
  readonly originX: number;
  readonly originY: number;
}

export interface SheetSize {
  readonly width: number;
  readonly height: number;
}

/** A sheet with something standing on its upper left corner. */
export interface CoveredSheet extends SheetSize {
  readonly covered?: SheetSize | undefined;
}

export const toScreen = ({ scale, originX, originY }: View, { x, y }: { readonly x: number; readonly y: number }): Point2 => ({
  x: originX + x * scale,
  y: originY - y * scale,
});

/** Room round the rig for labels, pixels. */
const MARGIN = { x: 96, y: 64 };
const CLOSEST_SCALE = 70;

/** The four corners of a vehicle or a loose load on the map, metres. */
export function vehicleCorners({ xM, yM, headingRad, lengthM, widthM }: LoadBody): readonly Point2[] {
  const forward = ahead(headingRad);
  return [
    [1, 1],
    [1, -1],
    [-1, -1],
    [-1, 1],
  ].map(([f = 0, l = 0]) => ({
    x: xM + (forward.x * f * lengthM - forward.y * l * widthM) / 2,
    y: yM + (forward.y * f * lengthM + forward.x * l * widthM) / 2,
  }));
}

/** Whether a body only stands about: the view is not drawn out for it, and it is shown at the edge when it is further off. */
export const standsAbout = ({ kind }: Body): boolean => kind === 'person' || kind === 'animal';

/** Room that an edge mark keeps from the frame, pixels. */
const EDGE = { x: 70, top: 96, bottom: 60 };

/** How far from its middle a mark that points beyond the edge reaches, with a little room, pixels. */
export const AWAY_PX = 38;

/**
 * Where a body is drawn; where it really stands outside the sheet, also how far off and which way on the screen, its mark clear of what
 * covers the corner.
 */
export function shownAt(
  body: Body,
  view: View,
  { width, height, covered = BARE }: CoveredSheet,
): Point2 & { readonly offM?: number; readonly awayRad?: number } {
  const at = toScreen(view, { x: body.xM, y: body.yM });
  if (!standsAbout(body)) return at;
  const x = Math.min(Math.max(at.x, EDGE.x), width - EDGE.x);
  const y = Math.min(Math.max(at.y, EDGE.top), height - EDGE.bottom);
  const off = Math.hypot(at.x - x, at.y - y) / view.scale;
  if (off < 0.5) return at;
  const clear = covered.height + AWAY_PX;
  const free = x < covered.width + AWAY_PX && y < clear && clear < height - EDGE.bottom ? clear : y;
  return { x, y: free, offM: off, awayRad: Math.atan2(at.y - free, at.x - x) };
}

export function bodyPoints(body: Body): readonly Point2[] {
  if (body.kind === 'vehicle' || body.kind === 'load') return vehicleCorners(body);
  const r = body.kind === 'tree' ? body.trunkDiameterM : 0.5;
  return [
    { x: body.xM - r, y: body.yM - r },
    { x: body.xM + r, y: body.yM + r },
  ];
}

/** A place that is only being drawn shows what lies round the load, metres. */
const ROOM = { x: 20, y: 10 };

function roomAround({ bodies, load }: Rig): readonly Point2[] {
  const { xM = 0, yM = 0 } = bodies.find(({ id }) => id === load.bodyId) ?? {};
  return [
    { x: xM - ROOM.x, y: yM - ROOM.y },
    { x: xM + ROOM.x, y: yM + ROOM.y },
  ];
}

/** Nothing stands over the sheet. */
const BARE: SheetSize = { width: 0, height: 0 };

/**
 * The view that fits the rig, with those who stand about where it is asked for, not its zones. Where the rig would reach under what
 * covers the upper left corner of the sheet, it is drawn below that.
 */
export function fitView(
  rig: Rig,
  report: Report | undefined,
  size: SheetSize,
  covered: SheetSize = BARE,
  whom: 'rig' | 'everybody' = 'rig',
): View {
  const points = [
    ...rig.bodies.filter((body) => whom === 'everybody' || !standsAbout(body)).flatMap(bodyPoints),
    ...(report?.strands.flatMap(({ from, to }) => [from, to]) ?? []),
    ...(rig.lines.length === 0 ? roomAround(rig) : []),
  ];
  const whole = fitted(points, size, 0);
  const isUnder = points.some((point) => {
    const { x, y } = toScreen(whole, point);
    return x < covered.width + UNDER_PX && y < covered.height + UNDER_PX;
  });
  return isUnder && covered.height < size.height * MOST_COVERED ? fitted(points, size, covered.height) : whole;
}

/** Of a sheet that is covered by more than this share of its height, all is used. */
const MOST_COVERED = 0.4;
/** How near to what covers the corner a rig may come, pixels. */
const UNDER_PX = 30;

function fitted(points: readonly Point2[], { width, height }: SheetSize, top: number): View {
  const xs = points.map(({ x }) => x);
  const ys = points.map(({ y }) => y);
  const [left, right, bottom, most] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const margin = { x: Math.min(MARGIN.x, width * 0.14), y: Math.min(MARGIN.y, height * 0.16) };
  const free = height - top;
  const scale = Math.min(
    CLOSEST_SCALE,
    (width - 2 * margin.x) / Math.max(1, right - left),
    (free - 2 * margin.y) / Math.max(1, most - bottom),
  );
  return { scale, originX: width / 2 - (scale * (left + right)) / 2, originY: top + free / 2 + (scale * (bottom + most)) / 2 };
}

/** Where the scale bar begins, and how long it may be on a sheet, pixels. */
export const BAR_PX = 22;
export const longestBar = ({ width }: SheetSize): number => Math.min(230, width / 4);

/** A round length for the scale bar, at most `most` pixels long. */
export function scaleBar(
  { scale }: View,
  most: number,
  imperial: boolean,
): { readonly metres: number; readonly label: string; readonly pixels: number } {
  const unit = imperial ? FOOT_M : 1;
  const steps = [100, 50, 20, 10, 5, 2, 1, 0.5];
  const count = steps.find((step) => step * unit * scale <= most) ?? 0.5;
  return { metres: count * unit, label: `${count} ${imperial ? 'ft' : 'm'}`, pixels: count * unit * scale };
}

/** Contour lines of the ground's plane across the sheet; every fifth one stronger. */
export function contours(
  { slopeRad, uphillRad }: Rig['ground'],
  view: View,
  { width, height }: SheetSize,
): readonly { readonly from: Point2; readonly to: Point2; readonly strong: boolean }[] {
  const gradient = Math.tan(slopeRad);
  if (gradient < 0.008) return [];
  const rise = [0.1, 0.2, 0.5, 1, 2, 5].find((step) => (step / gradient) * view.scale >= 26) ?? 5;
  const spacing = (rise / gradient) * view.scale;
  const uphill = ahead(uphillRad);
  const [ux, uy] = [uphill.x, -uphill.y];
  const reach = Math.hypot(width, height);
  const offset = (width / 2 - view.originX) * ux + (height / 2 - view.originY) * uy;
  const first = Math.ceil((offset - reach) / spacing);
  const last = Math.floor((offset + reach) / spacing);
  return Array.from({ length: Math.max(0, last - first + 1) }, (_, index) => first + index).map((step) => {
    const [cx, cy] = [width / 2 + (step * spacing - offset) * ux, height / 2 + (step * spacing - offset) * uy];
    return { from: { x: cx - uy * reach, y: cy + ux * reach }, to: { x: cx + uy * reach, y: cy - ux * reach }, strong: step % 5 === 0 };
  });
}

/** Outline of a strap round a trunk, from where its legs meet; undefined where it does not go round. */
export function strapOutline(
  tree: TreeBody,
  chain: Chain,
  { root, tip }: { readonly root: Vec3; readonly tip: Vec3 },
  gear: ReadonlyMap<string, GearFacts>,
): { readonly apex: Point2; readonly touches: readonly [Point2, Point2] } | undefined {
  const strap = gear.get(chain.pieces[0]?.gearId ?? '');
  const lengthM = strap && 'lengthM' in strap.attributes ? strap.attributes.lengthM : undefined;
  const basket = lengthM === undefined ? undefined : strapBasket(lengthM, tree.trunkDiameterM);
  const span = Math.hypot(tip.x - root.x, tip.y - root.y);
  if (!basket || span === 0) return undefined;
  const [dx, dy] = [(tip.x - root.x) / span, (tip.y - root.y) / span];
  const r = tree.trunkDiameterM / 2;
  // The legs touch the trunk where a radius stands square on them.
  const turn = (Math.PI - basket.legAngleRad) / 2;
  const touch = (sign: number): Point2 => ({
    x: root.x + r * (dx * Math.cos(turn) - sign * dy * Math.sin(turn)),
    y: root.y + r * (dy * Math.cos(turn) + sign * dx * Math.sin(turn)),
  });
  return { apex: { x: root.x + dx * basket.reachM, y: root.y + dy * basket.reachM }, touches: [touch(1), touch(-1)] };
}

/** Tufts for wet ground, on a jittered grid that repeats from draw to draw, away from the rig. */
export function tufts({ width, height }: SheetSize, keepOff: readonly Segment[]): readonly Point2[] {
  const places: Point2[] = [];
  for (let row = 0; row * 74 < height; row++) {
    for (let column = 0; column * 118 < width; column++) {
      const x = column * 118 + 30 + ((row * 53 + column * 29) % 61);
      const y = row * 74 + 26 + ((column * 37 + row * 17) % 41);
      if (keepOff.every(({ from, to }) => distanceToSegment({ x, y }, from, to) > 46)) places.push({ x, y });
    }
  }
  return places;
}

function distanceToSegment(p: Point2, a: Point2, b: Point2): number {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const share = Math.max(0, Math.min(1, ((p.x - a.x) * dx + (p.y - a.y) * dy) / Math.max(1e-9, dx * dx + dy * dy)));
  return Math.hypot(p.x - a.x - share * dx, p.y - a.y - share * dy);
}
