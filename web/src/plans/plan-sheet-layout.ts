import {
  ahead,
  angle,
  type Body,
  type Chain,
  type Figure,
  force,
  type GearFacts,
  type LoadBody,
  length,
  mass,
  type Report,
  type Rig,
  slopeAlong,
  strapBasket,
  type TreeBody,
  travelDirection,
  type Vec3,
} from '@wainrope/core';
import { type Box, type LabelWish, type PlacedLabel, type Point2, placeLabels, type Segment } from './place-labels.ts';

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
const standsAbout = ({ kind }: Body): boolean => kind === 'person' || kind === 'animal';

/** Room that an edge mark keeps from the frame, pixels. */
const EDGE = { x: 70, top: 76, bottom: 60 };

/** Where a body is drawn, and how far off it really stands where that is outside the sheet. */
export function shownAt(body: Body, view: View, { width, height }: SheetSize): Point2 & { readonly offM?: number } {
  const at = toScreen(view, { x: body.xM, y: body.yM });
  if (!standsAbout(body)) return at;
  const x = Math.min(Math.max(at.x, EDGE.x), width - EDGE.x);
  const y = Math.min(Math.max(at.y, EDGE.top), height - EDGE.bottom);
  const off = Math.hypot(at.x - x, at.y - y) / view.scale;
  return off < 0.5 ? at : { x, y, offM: off };
}

function bodyPoints(body: Body): readonly Point2[] {
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

/** The view that fits the rig, not its zones. */
export function fitView(rig: Rig, report: Report | undefined, { width, height }: SheetSize): View {
  const points = [
    ...rig.bodies.filter((body) => !standsAbout(body)).flatMap(bodyPoints),
    ...(report?.strands.flatMap(({ from, to }) => [from, to]) ?? []),
    ...(rig.lines.length === 0 ? roomAround(rig) : []),
  ];
  const xs = points.map(({ x }) => x);
  const ys = points.map(({ y }) => y);
  const [left, right, bottom, top] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const margin = { x: Math.min(MARGIN.x, width * 0.14), y: Math.min(MARGIN.y, height * 0.16) };
  const scale = Math.min(
    CLOSEST_SCALE,
    (width - 2 * margin.x) / Math.max(1, right - left),
    (height - 2 * margin.y) / Math.max(1, top - bottom),
  );
  return { scale, originX: width / 2 - (scale * (left + right)) / 2, originY: height / 2 + (scale * (bottom + top)) / 2 };
}

/** A round length for the scale bar, at most `most` pixels long. */
export function scaleBar(
  { scale }: View,
  most: number,
  imperial: boolean,
): { readonly metres: number; readonly label: string; readonly pixels: number } {
  const unit = imperial ? 0.3048 : 1;
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
  const turn = Math.acos(Math.min(1, r / basket.reachM));
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

interface LabelInput {
  readonly rig: Rig;
  readonly report: Report;
  readonly view: View;
  readonly size: SheetSize;
  readonly figure: (figure: Figure) => string;
}

const DEPTH_WORDS = { none: 'not sunk in', hubs: 'to the hubs', sills: 'to the sills', roof: 'to the roof line' } as const;

/** Every label of the sheet, set by rule. */
export function sheetLabels({ rig, report, view, size, figure }: LabelInput): readonly PlacedLabel[] {
  const at = (point: { readonly x: number; readonly y: number }) => toScreen(view, point);
  const strands = report.strands.map(({ from, to }): Segment => ({ from: at(from), to: at(to) }));
  const labelled = rig.bodies.filter((body) => !(body.kind === 'person' && body.inVehicleId !== undefined));
  const bodies = labelled.map((body) =>
    boxOf(standsAbout(body) ? [shownAt(body, view, size)] : bodyPoints(body).map(at), 'headingRad' in body ? 2 : 16),
  );
  const wishes = [
    ...report.strands.map((strand, index) =>
      strandWish(strand, strands[index] as Segment, { figure, id: `strand-${index}`, name: legName(rig, strand) }),
    ),
    ...report.pulleys.flatMap((pulley) => pulleyWish(pulley, at(pulley.at), figure)),
    ...labelled.map((body, index) =>
      bodyWish({ body, rig, report, box: bodies[index] as Box, figure, offM: shownAt(body, view, size).offM }),
    ),
  ];
  const chains = report.pulleys.map(({ root, at: tip }): Segment => ({ from: at(root), to: at(tip) }));
  return placeLabels(size.width < COMPACT ? wishes.map(shortened) : wishes, {
    frame: { x: 6, y: 6, width: size.width - 12, height: size.height - 12 },
    controls: [{ x: size.width - 146, y: size.height - 60, width: 146, height: 60 }],
    boxes: [
      ...bodies,
      { x: 0, y: 0, width: Math.min(size.width * 0.7, 470), height: 30 },
      { x: 0, y: size.height - 62, width: 210, height: 62 },
      { x: size.width - 60, y: 0, width: 60, height: 74 },
    ],
    segments: [...strands, ...chains],
  });
}

/** Sheets narrower than this have room for names and tensions alone, pixels. */
const COMPACT = 480;

const shortened = (wish: LabelWish): LabelWish => ({ ...wish, lines: wish.lines.slice(0, 1) });

function boxOf(points: readonly Point2[], grow: number): Box {
  const xs = points.map(({ x }) => x);
  const ys = points.map(({ y }) => y);
  const [x, y] = [Math.min(...xs) - grow, Math.min(...ys) - grow];
  return { x, y, width: Math.max(...xs) + grow - x, height: Math.max(...ys) + grow - y };
}

/** What a strand is called on the sheet: the winch's own leg, the one that comes back, else its number. */
export function legName(rig: Rig, { lineId, index }: Pick<Report['strands'][number], 'lineId' | 'index'>): string {
  const line = rig.lines.find(({ id }) => id === lineId);
  if (index === 0 && line?.drive.kind === 'winch') return 'winch leg';
  if (index === 0 && line?.drive.kind === 'hand') return 'hand leg';
  if (index === 1 && line?.via.length === 1 && line.drive.kind === 'winch') return 'return leg';
  return `leg ${index + 1}`;
}

interface StrandWish {
  readonly figure: LabelInput['figure'];
  readonly id: string;
  readonly name: string;
}

function strandWish(strand: Report['strands'][number], { from, to }: Segment, { figure, id, name }: StrandWish): LabelWish {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const size = Math.max(1, Math.hypot(dx, dy));
  const [nx, ny] = [-dy / size, dx / size];
  // The wider a strand runs across the sheet, the less its label must stand off.
  const away = 26 + 46 * Math.abs(nx);
  const centres = [0.5, 0.36, 0.64, 0.25, 0.75].flatMap((share) =>
    [1, -1].flatMap((side) =>
      [away, away + 26].map((off) => ({ x: from.x + dx * share + nx * off * side, y: from.y + dy * share + ny * off * side })),
    ),
  );
  const greatest = strand.greatestN === undefined ? '' : ` · greatest ${figure(force(strand.greatestN))}`;
  return {
    id,
    lines: [
      { text: strand.plannedN === undefined ? '–' : figure(force(strand.plannedN)), strong: true },
      { text: `${name} ${figure(length(strand.lengthM))}${greatest}`, strong: false },
    ],
    centres,
  };
}

const around = ({ x, y }: Point2, reach: number): readonly Point2[] =>
  [1, 1.35, 1.8].flatMap((far) =>
    [
      [0, -1],
      [0, 1],
      [1.6, -0.6],
      [-1.6, -0.6],
      [1.6, 0.6],
      [-1.6, 0.6],
      [2, 0],
      [-2, 0],
    ].map(([dx = 0, dy = 0]) => ({ x: x + dx * reach * far, y: y + dy * reach * far })),
  );

function pulleyWish(
  { strandAngleRad, forceN, chainId }: Report['pulleys'][number],
  at: Point2,
  figure: LabelInput['figure'],
): readonly LabelWish[] {
  if (strandAngleRad === undefined || forceN === undefined) return [];
  const total = Math.hypot(forceN.x, forceN.y, forceN.z);
  return [
    {
      id: `pulley-${chainId}`,
      lines: [
        { text: figure(force(total)), strong: true },
        { text: `both strands, ${figure(angle(strandAngleRad))} apart`, strong: false },
      ],
      centres: around(at, 44),
    },
  ];
}

interface BodyWishInput {
  readonly body: Body;
  readonly rig: Rig;
  readonly report: Report;
  readonly box: Box;
  readonly figure: LabelInput['figure'];
  readonly offM: number | undefined;
}

function bodyWish({ body, rig, report, box, figure, offM }: BodyWishInput): LabelWish {
  const centre = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  const beside = [1, 1.3, 1.7].flatMap((far) => [
    { x: centre.x, y: box.y + box.height + 26 * far },
    { x: centre.x, y: box.y - 26 * far },
    { x: box.x + box.width + 74 * far, y: centre.y },
    { x: box.x - 74 * far, y: centre.y },
    ...[-90, 90].flatMap((shift) => [
      { x: centre.x + shift, y: box.y - 26 * far },
      { x: centre.x + shift, y: box.y + box.height + 26 * far },
    ]),
  ]);
  const lines =
    body.kind === 'vehicle' || body.kind === 'load'
      ? movingLines({ body, rig, figure })
      : standingLines({ body, rig, report, figure, offM });
  return { id: body.id, lines, centres: beside };
}

interface LinesInput<B> {
  readonly body: B;
  readonly rig: Rig;
  readonly figure: LabelInput['figure'];
}

/** What stands beside an anchor or a person: what it is, what it is trusted with, how high the strap sits. */
function standingLines({
  body,
  rig,
  report,
  figure,
  offM,
}: LinesInput<Body> & { readonly report: Report; readonly offM: number | undefined }): LabelWish['lines'] {
  const anchor = report.places.find(({ kind, subject }) => kind === 'anchor' && subject.id === body.id);
  const height = rig.points.find((point) => point.bodyId === body.id && point.place.kind === 'on-trunk')?.place.heightM;
  const size = body.kind === 'tree' ? `, ${body.trunkDiameterM.toFixed(2)} m` : '';
  const detail = [
    anchor?.wllN === undefined ? undefined : `judged ${figure(force(anchor.wllN))}`,
    height === undefined ? undefined : `strap ${height.toFixed(1)} m up`,
    body.kind === 'person' ? body.duty.replaceAll('-', ' ') : undefined,
    body.kind === 'crew' ? `${body.people} people hauling` : undefined,
    offM === undefined ? undefined : `${figure(length(offM))} beyond the edge`,
  ].filter((entry) => entry !== undefined);
  return [{ text: `${body.label}${size}`, strong: true }, ...(detail.length > 0 ? [{ text: detail.join(' · '), strong: false }] : [])];
}

/** What stands beside a vehicle or a load: its mass, and for the one that is to move how it sits. */
function movingLines({ body, rig, figure }: LinesInput<LoadBody>): LabelWish['lines'] {
  const head = { text: `${body.label}, ${figure(mass(body.massKg))}`, strong: true };
  const inside = rig.bodies.find((entry) => entry.kind === 'person' && entry.inVehicleId === body.id);
  if (body.id !== rig.load.bodyId) return [head, ...(inside ? [{ text: `${inside.label} in the cab`, strong: false }] : [])];
  const slope = slopeAlong(rig.ground, travelDirection(rig));
  const tilt = Math.abs(slope) < 0.004 ? 'level' : `${figure(angle(Math.abs(slope)))} ${slope > 0 ? 'up' : 'down'}`;
  const sunk = body.kind === 'vehicle' && !rig.load.task ? `${DEPTH_WORDS[rig.situation.depth]} · ` : '';
  return [head, { text: `${sunk}${tilt}`, strong: false }];
}
