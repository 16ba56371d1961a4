import {
  angle,
  type Body,
  type Figure,
  force,
  type LoadBody,
  legCalled,
  length,
  mass,
  pointPosition,
  type Report,
  type Rig,
  slopeAlong,
  smallLength,
  travelDirection,
  withoutUnit,
} from '@wainrope/core';
import { depthWords } from '../../../fields/situation-words.ts';
import { dutyBeside } from '../../duty-words.ts';
import { sheetMarks } from '../../findings/findings-at.ts';
import { type Box, type LabelWish, type PlacedLabel, type Point2, placeLabels, type Segment, sizeOf } from './place-labels.ts';
import {
  AWAY_PX,
  BAR_PX,
  bodyPoints,
  longestBar,
  type SheetSize,
  scaleBar,
  shownAt,
  standsAbout,
  toScreen,
  type View,
  vehicleCorners,
} from './plan-sheet-layout.ts';
import type { RemoteReach } from './remote-reaches.ts';

interface LabelInput {
  readonly rig: Rig;
  readonly report: Report;
  readonly view: View;
  readonly size: SheetSize;
  /** Room in the upper left corner that something stands on. */
  readonly covered?: SheetSize;
  readonly figure: (figure: Figure) => string;
  /** How far remotes reach, named at their rims. */
  readonly reaches?: readonly RemoteReach[];
}

/** Every label of the sheet, set by rule. */
export function sheetLabels({ rig, report, view, size, covered, figure, reaches = [] }: LabelInput): readonly PlacedLabel[] {
  const at = (point: { readonly x: number; readonly y: number }) => toScreen(view, point);
  const strands = report.strands.map(({ from, to }): Segment => ({ from: at(from), to: at(to) }));
  const sheet = { ...size, covered };
  const labelled = rig.bodies.filter((body) => !(body.kind === 'person' && body.inVehicleId !== undefined));
  const shown = labelled.map((body) => shownAt(body, view, sheet));
  const bodies = labelled.map((body, index) =>
    boxOf(standsAbout(body) ? shown.slice(index, index + 1) : bodyPoints(body).map(at), 'headingRad' in body ? 2 : 16),
  );
  const wishes = [
    ...report.strands.map((strand, index) =>
      strandWish(strand, strands[index] as Segment, { figure, id: `strand-${index}`, name: legCalled(rig, strand) }),
    ),
    ...report.pulleys.flatMap((pulley) => pulleyWish(pulley, at(pulley.at), figure)),
    ...labelled.map((body, index) => bodyWish({ body, rig, report, box: bodies[index] as Box, figure, offM: shown[index]?.offM })),
    ...reaches.flatMap((reach) => reachWish(reach, at(reach), { view, size, figure })),
  ];
  const chains = report.pulleys.map(({ root, at: tip }): Segment => ({ from: at(root), to: at(tip) }));
  const marks = sheetMarks(rig, report);
  const marked = wishes.map((wish) => ({ ...wish, mark: marks.get(wish.id) }));
  return placeLabels(size.width < COMPACT ? marked.map(shortened) : marked, {
    frame: { x: 6, y: 6, width: size.width - 12, height: size.height - 12 },
    controls: [
      { x: size.width - 146, y: size.height - 60, width: 146, height: 60 },
      ...(covered && covered.height > 0 ? [{ x: 0, y: 0, width: covered.width + 12, height: covered.height + 12 }] : []),
    ],
    boxes: [
      ...bodies,
      barBox(size),
      ...(size.width < COMPACT ? [] : [{ x: 0, y: size.height - 34, width: BAR_PX + longestBar(size) + KEY_PX, height: 34 }]),
      northBox(size),
    ],
    segments: [...strands, ...chains, ...tiedBack(rig, at), ...shown.flatMap(beyondArrow)],
    outlines: [
      ...rig.bodies.flatMap((body) => outlineOf(body, at)),
      ...[barBox(size), northBox(size)].flatMap((box) => amongThemselves(cornersOf(box))),
    ],
  });
}

/** The arrow from a mark at the edge towards where it really stands. */
function beyondArrow({ awayRad, x, y }: ReturnType<typeof shownAt>): readonly Segment[] {
  if (awayRad === undefined) return [];
  return [{ from: { x, y }, to: { x: x + AWAY_PX * Math.cos(awayRad), y: y + AWAY_PX * Math.sin(awayRad) } }];
}

/** The edges of a vehicle or a load and its diagonals, so that words amid it lie on it too. */
export function outlineOf(body: Body, at: (point: Point2) => Point2): readonly Segment[] {
  if (body.kind !== 'vehicle' && body.kind !== 'load') return [];
  return amongThemselves(vehicleCorners(body).map(at));
}

const amongThemselves = (corners: readonly Point2[]): readonly Segment[] =>
  corners.flatMap((from, index) => corners.slice(index + 1).map((to): Segment => ({ from, to })));

const cornersOf = ({ x, y, width, height }: Box): readonly Point2[] => [
  { x, y },
  { x: x + width, y },
  { x: x + width, y: y + height },
  { x, y: y + height },
];

/** Where the scale bar stands, and where north is shown. */
export const barBox = (size: SheetSize): Box => ({ x: 0, y: size.height - 62, width: BAR_PX + longestBar(size) + 10, height: 62 });
const northBox = (size: SheetSize): Box => ({ x: size.width - 60, y: 0, width: 60, height: 74 });

/** What ties vehicles back, on the screen. */
function tiedBack(rig: Rig, at: (point: Point2) => Point2): readonly Segment[] {
  const place = (pointId: string) => {
    const point = rig.points.find(({ id }) => id === pointId);
    return point && at(pointPosition(rig, point));
  };
  return (rig.backAnchors ?? []).flatMap(({ vehiclePointId, anchorPointId }) => {
    const [from, to] = [place(anchorPointId), place(vehiclePointId)];
    return from && to ? [{ from, to }] : [];
  });
}

/** Sheets narrower than this have room for names and tensions alone, pixels. */
export const COMPACT = 480;
/** Room that the key to the arrows takes beside the scale bar, pixels. */
const KEY_PX = 210;

/** Where the key to the arrows begins: beside the scale bar, however long that is. */
export const besideBar = (view: View, size: SheetSize, imperial: boolean): number =>
  BAR_PX + scaleBar(view, longestBar(size), imperial).pixels + 40;

const shortened = (wish: LabelWish): LabelWish => ({ ...wish, lines: wish.lines.slice(0, 1) });

function boxOf(points: readonly Point2[], grow: number): Box {
  const xs = points.map(({ x }) => x);
  const ys = points.map(({ y }) => y);
  const [x, y] = [Math.min(...xs) - grow, Math.min(...ys) - grow];
  return { x, y, width: Math.max(...xs) + grow - x, height: Math.max(...ys) + grow - y };
}

/** Room between a rope and the words beside it, pixels. */
const BESIDE_PX = 8;

interface StrandWish {
  readonly figure: LabelInput['figure'];
  readonly id: string;
  readonly name: string;
}

function strandWish(strand: Report['strands'][number], { from, to }: Segment, { figure, id, name }: StrandWish): LabelWish {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const size = Math.max(1, Math.hypot(dx, dy));
  const [nx, ny] = [-dy / size, dx / size];
  const greatest = strand.greatestN === undefined ? '' : ` · greatest ${figure(force(strand.greatestN))}`;
  const lines = [
    { text: strand.plannedN === undefined ? '–' : figure(force(strand.plannedN)), strong: true },
    { text: `${name} ${figure(length(strand.lengthM))}${greatest}`, strong: false },
  ];
  const label = sizeOf({ lines });
  // As far off as its words need to stand clear of the rope.
  const away = (Math.abs(nx) * label.width + Math.abs(ny) * label.height) / 2 + BESIDE_PX;
  const centres = [0.5, 0.36, 0.64, 0.25, 0.75].flatMap((share) =>
    [1, -1].flatMap((side) =>
      [away, away + 24].map((off) => ({ x: from.x + dx * share + nx * off * side, y: from.y + dy * share + ny * off * side })),
    ),
  );
  return { id, lines, centres };
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
      about: at,
    },
  ];
}

/** The remote's reach is named where its rim lies on the sheet. */
function reachWish(
  { lineId, radiusM }: RemoteReach,
  centre: Point2,
  { view, size, figure }: Pick<LabelInput, 'view' | 'size' | 'figure'>,
): readonly LabelWish[] {
  const rim = Array.from({ length: 16 }, (_, index) => (index * Math.PI) / 8).map((turn) => ({
    x: centre.x + Math.sin(turn) * radiusM * view.scale,
    y: centre.y - Math.cos(turn) * radiusM * view.scale,
  }));
  const centres = rim.filter(({ x, y }) => x > 0 && x < size.width && y > 0 && y < size.height);
  const text = `remote reaches ${figure(length(radiusM))}`;
  return centres.length === 0 ? [] : [{ id: `reach-${lineId}`, lines: [{ text, strong: false }], centres }];
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
  const lines =
    body.kind === 'vehicle' || body.kind === 'load'
      ? movingLines({ body, rig, figure })
      : standingLines({ body, rig, report, figure, offM });
  const half = sizeOf({ lines }).width / 2 + 8;
  const beside = [1, 1.3, 1.7].flatMap((far) => [
    { x: centre.x, y: box.y + box.height + 26 * far },
    { x: centre.x, y: box.y - 26 * far },
    { x: box.x + box.width + half * far, y: centre.y },
    { x: box.x - half * far, y: centre.y },
    ...[-90, 90].flatMap((shift) => [
      { x: centre.x + shift, y: box.y - 26 * far },
      { x: centre.x + shift, y: box.y + box.height + 26 * far },
    ]),
  ]);
  // A vehicle's label stands beside its whole length; only what is small is pointed at.
  return { id: body.id, lines, centres: beside, about: 'headingRad' in body ? undefined : centre };
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
  const size = body.kind === 'tree' ? `, ${figure(smallLength(body.trunkDiameterM))}` : '';
  const detail = [
    anchor?.wllN === undefined ? undefined : heldWords(anchor, figure),
    height === undefined ? undefined : `strap ${figure(length(height))} up`,
    body.kind === 'person' ? dutyBeside(body) : undefined,
    body.kind === 'crew' ? `${body.people} people hauling` : undefined,
    offM === undefined ? undefined : `${figure(length(offM))} beyond the edge`,
  ].filter((entry) => entry !== undefined);
  return [{ text: `${body.label}${size}`, strong: true }, ...(detail.length > 0 ? [{ text: detail.join(' · '), strong: false }] : [])];
}

/** What pulls on an anchor, of what it is trusted with. */
function heldWords({ plannedN, wllN = 0, judged }: Report['places'][number], figure: LabelInput['figure']): string {
  const trusted = `${figure(force(wllN))}${judged ? ' judged' : ''}`;
  return plannedN === undefined ? trusted : `${withoutUnit(figure(force(plannedN)))} of ${trusted}`;
}

/** What stands beside a vehicle or a load: its mass, and for the one that is to move how it sits. */
function movingLines({ body, rig, figure }: LinesInput<LoadBody>): LabelWish['lines'] {
  const head = { text: `${body.label}, ${figure(mass(body.massKg))}`, strong: true };
  const inside = rig.bodies.find((entry) => entry.kind === 'person' && entry.inVehicleId === body.id);
  if (body.id !== rig.load.bodyId) return [head, ...(inside ? [{ text: `${inside.label} in the cab`, strong: false }] : [])];
  const slope = slopeAlong(rig.ground, travelDirection(rig));
  const tilt = Math.abs(slope) < 0.004 ? 'level' : `${figure(angle(Math.abs(slope)))} ${slope > 0 ? 'up' : 'down'}`;
  const sunk = body.kind === 'vehicle' && !rig.load.task ? `${depthWords(rig.situation.depth)} · ` : '';
  return [head, { text: `${sunk}${tilt}`, strong: false }];
}
