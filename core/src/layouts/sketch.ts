import type { Body, Rig } from '../rig/rig.ts';
import { pointPosition, travelDirection } from '../rig/site-geometry.ts';

/** On the screen: to the right and down, pixels; on the map: east and north, metres. */
interface Point2 {
  readonly x: number;
  readonly y: number;
}

/** A rig as a small drawing: what stands where, which way lines run and the load goes. Pixels of `SKETCH_SIZE`. */
export interface Sketch {
  readonly bodies: readonly {
    readonly id: string;
    readonly kind: Body['kind'];
    readonly at: Point2;
    readonly turnDeg: number;
    readonly long: number;
    readonly wide: number;
    readonly isLoad: boolean;
  }[];
  readonly ropes: readonly (readonly Point2[])[];
  /** Straps: of chains in the air, back-anchors. */
  readonly straps: readonly (readonly Point2[])[];
  readonly pulleys: readonly (Point2 & { readonly isHigh: boolean })[];
  /** Where two ropes are joined. */
  readonly joins: readonly Point2[];
  /** Grips by which one rope works as two. */
  readonly grips: readonly Point2[];
  /** Lanyards that catch what lets go. */
  readonly lanyards: readonly (readonly Point2[])[];
  /** Which way the load goes, from its end on; what is held goes nowhere, what is set upright comes over. */
  readonly way: { readonly kind: 'goes' | 'held' | 'upright'; readonly at: Point2; readonly turnDeg: number };
  readonly isStretched: boolean;
  /** Where a drum is spooled anew. */
  readonly spool: Point2 | undefined;
  /** The vehicle on whose deck the load is drawn. */
  readonly deck: string | undefined;
  /** Degrees on the screen, downhill; undefined on level ground. */
  readonly downhillDeg: number | undefined;
}

/** Width and height of a sketch, pixels. */
export const SKETCH_SIZE = { width: 168, height: 92 };

/** A rig’s sketch, without solving it: chains are drawn to their bodies, joints in the midst of what they join. */
export function sketchOf(rig: Rig): Sketch {
  const { width, height } = SKETCH_SIZE;
  const places = new Map(rig.points.map((point) => [point.id, pointPosition(rig, point)]));
  const joints = jointPlaces(rig, places);
  const chainEnd = (chainId: string): Point2 | undefined => {
    const chain = rig.chains.find(({ id }) => id === chainId);
    const from = chain?.from;
    if (!from) return undefined;
    const root = from.kind === 'point' ? places.get(from.pointId) : joints.get(from.jointId);
    // A chain with a rope in it hangs far out from where it is fixed.
    return root && chain.pieces.length >= WITH_A_ROPE ? towards(root, driveAt(rig, places), ROPE_SHARE) : root;
  };
  const endOf = (end: Rig['lines'][number]['to']) => (end.kind === 'chain' ? chainEnd(end.chainId) : joints.get(end.jointId));
  const ropes = rig.lines.map(({ drive, via, to }) => [
    drive.kind === 'tow' ? chainEnd(drive.chainId) : drive.kind === 'held' ? endOf(drive.end) : places.get(drive.pointId),
    ...via.map((bend) => (bend.kind === 'pulley' ? chainEnd(bend.chainId) : places.get(bend.pointId))),
    endOf(to),
  ]);
  const straps = [
    ...(rig.backAnchors ?? []).map(({ vehiclePointId, anchorPointId }) => [places.get(vehiclePointId), places.get(anchorPointId)]),
    ...rig.chains.flatMap((chain) => (chain.to?.kind === 'joint' ? [[chainEnd(chain.id), joints.get(chain.to.jointId)]] : [])),
    ...rig.chains.flatMap((chain) =>
      chain.from.kind === 'point' && chain.pieces.length >= WITH_A_ROPE ? [[places.get(chain.from.pointId), chainEnd(chain.id)]] : [],
    ),
  ];
  const lanyards = (rig.lanyards ?? []).map(({ useId, to }) => {
    const caught = rig.chains.find(({ pieces }) => pieces.some(({ id }) => id === useId));
    const strand = to.kind === 'strand' ? ropes[rig.lines.findIndex(({ id }) => id === to.lineId)]?.slice(to.strand, to.strand + 2) : [];
    const [from, end] = strand ?? [];
    return [caught && chainEnd(caught.id), to.kind === 'point' ? places.get(to.pointId) : from && towards(from, end, 0.5)];
  });
  const bodies = rig.bodies.filter(({ kind }) => kind !== 'person' && kind !== 'animal');
  const fit = fitTo(bodies, { width, height });
  const drawn = (path: readonly (Point2 | undefined)[]) => path.filter((point) => point !== undefined).map(fit.place);
  return {
    bodies: bodies.map((body) => ({
      id: body.id,
      kind: body.kind,
      at: fit.place({ x: body.xM, y: body.yM }),
      turnDeg: 'headingRad' in body ? (body.headingRad * 180) / Math.PI - 90 : 0,
      long: fit.scale * ('lengthM' in body ? body.lengthM : 1),
      wide: fit.scale * ('widthM' in body ? body.widthM : 1),
      isLoad: body.id === rig.load.bodyId,
    })),
    ropes: ropes.map(drawn),
    straps: straps.map(drawn),
    pulleys: rig.lines.flatMap(({ via }) =>
      via.flatMap((bend) => {
        const at = bend.kind === 'pulley' ? chainEnd(bend.chainId) : undefined;
        return at && bend.kind === 'pulley' ? [{ ...fit.place(at), isHigh: heightOf(rig, bend.chainId) > HIGH_M }] : [];
      }),
    ),
    joins: rig.lines.flatMap(({ ropes: own }, index) => (own.length > 1 ? middleOfLast(drawn(ropes[index] ?? [])) : [])),
    lanyards: lanyards.map((ends) => asLoop(drawn(ends))),
    grips: drawn(rig.lines.flatMap((line) => (line.drive.kind === 'held' && sharesRope(rig, line) ? [endOf(line.drive.end)] : []))),
    way: wayOf(rig, fit.place),
    isStretched: rig.lines.some(({ drive }) => drive.kind === 'tow' && drive.manner === 'run-up'),
    spool: rig.purpose === 'respool' ? drawn([driveAt(rig, places)])[0] : undefined,
    deck: rig.load.task?.kind === 'deck' ? rig.bodies.find(({ kind, id }) => kind === 'vehicle' && id !== rig.load.bodyId)?.id : undefined,
    downhillDeg: rig.ground.slopeRad > SLOPE_RAD ? screenDegrees(rig.ground.uphillRad + Math.PI) : undefined,
  };
}

/** A chain of so many pieces has a rope between its ends. */
const WITH_A_ROPE = 5;
const ROPE_SHARE = 0.35;
/** A pulley higher than this is one that somebody climbs to, metres. */
const HIGH_M = 2;
/** Ground steeper than this is drawn as a slope. */
const SLOPE_RAD = 0.12;

const towards = (from: Point2, to: Point2 | undefined, share: number): Point2 =>
  to ? { x: from.x + (to.x - from.x) * share, y: from.y + (to.y - from.y) * share } : from;

/** Where the first line begins. */
function driveAt(rig: Rig, places: ReadonlyMap<string, Point2>): Point2 | undefined {
  const drive = rig.lines[0]?.drive;
  return drive && 'pointId' in drive ? places.get(drive.pointId) : undefined;
}

function heightOf(rig: Rig, chainId: string): number {
  const from = rig.chains.find(({ id }) => id === chainId)?.from;
  const point = from?.kind === 'point' ? rig.points.find(({ id }) => id === from.pointId) : undefined;
  return point?.place.kind === 'on-trunk' ? point.place.heightM : 0;
}

function middleOfLast(path: readonly Point2[]): readonly Point2[] {
  const [from, to] = path.slice(-2);
  return from && to ? [towards(from, to, 0.5)] : [];
}

/** A lanyard to the very place that it starts from is drawn as a loop beside it, pixels. */
const LOOP: readonly Point2[] = [
  { x: -9, y: 4 },
  { x: -13, y: 14 },
  { x: -3, y: 13 },
];

function asLoop(ends: readonly Point2[]): readonly Point2[] {
  const [from, to] = ends;
  if (!from || !to || Math.hypot(from.x - to.x, from.y - to.y) > 8) return ends;
  return [from, ...LOOP.map(({ x, y }) => ({ x: from.x + x, y: from.y + y })), from];
}

/** Whether a line runs in a rope that another line runs in too. */
const sharesRope = (rig: Rig, line: Rig['lines'][number]): boolean =>
  rig.lines.some((other) => other !== line && other.ropes.some(({ gearId }) => line.ropes.some((rope) => rope.gearId === gearId)));

/** A bearing as degrees on the screen: 0 to the right, clockwise. */
const screenDegrees = (bearingRad: number): number => (bearingRad * 180) / Math.PI - 90;

/** From the middle of the load along its way, past its end. */
function wayOf(rig: Rig, place: (point: Point2) => Point2): Sketch['way'] {
  const body = rig.bodies.find(({ id }) => id === rig.load.bodyId);
  const direction = travelDirection(rig);
  const bearingRad = Math.atan2(direction.x, direction.y);
  const reachM = body && 'lengthM' in body ? body.lengthM / 2 : 0;
  const at = place({ x: (body?.xM ?? 0) + direction.x * reachM, y: (body?.yM ?? 0) + direction.y * reachM });
  const kind = rig.load.task?.kind === 'right' ? 'upright' : rig.purpose === 'hold' ? 'held' : 'goes';
  return { kind, at, turnDeg: screenDegrees(bearingRad) };
}

function jointPlaces(rig: Rig, places: ReadonlyMap<string, Point2>): ReadonlyMap<string, Point2> {
  return new Map(
    (rig.joints ?? []).map(({ id }) => {
      const near = [
        ...rig.chains.flatMap(({ from, to }) =>
          to?.kind === 'joint' && to.jointId === id && from.kind === 'point' ? [places.get(from.pointId)] : [],
        ),
        ...rig.lines.flatMap(({ drive, to, via }) => {
          const touches =
            (to.kind === 'joint' && to.jointId === id) || (drive.kind === 'held' && drive.end.kind === 'joint' && drive.end.jointId === id);
          const other = via.map((bend) =>
            bend.kind === 'pulley' ? rig.chains.find((chain) => chain.id === bend.chainId)?.from : undefined,
          );
          return touches ? other.map((from) => (from?.kind === 'point' ? places.get(from.pointId) : undefined)) : [];
        }),
        rig.bodies.filter((body) => body.id === rig.load.bodyId).map((body) => ({ x: body.xM, y: body.yM }))[0],
      ].filter((point) => point !== undefined);
      const mean = (key: 'x' | 'y') => near.reduce((sum, point) => sum + point[key], 0) / Math.max(1, near.length);
      // Off the body, so that the legs to it are seen.
      return [id, towards({ x: mean('x'), y: mean('y') }, driveAt(rig, places), JOINT_SHARE)] as const;
    }),
  );
}

/** How far out towards the drive a joint is drawn. */
const JOINT_SHARE = 0.3;

/** Room at the rim of a diagram, pixels. */
const RIM = 20;

function fitTo(bodies: readonly Body[], { width, height }: { readonly width: number; readonly height: number }) {
  const [xs, ys] = [bodies.map(({ xM }) => xM), bodies.map(({ yM }) => yM)];
  const [left, right, bottom, top] = [Math.min(...xs) - 2.5, Math.max(...xs) + 2.5, Math.min(...ys) - 2, Math.max(...ys) + 2];
  const scale = Math.min((width - 2 * RIM) / (right - left), (height - 2 * RIM) / (top - bottom));
  const place = ({ x, y }: Point2): Point2 => ({
    x: width / 2 + (x - (left + right) / 2) * scale,
    y: height / 2 - (y - (bottom + top) / 2) * scale,
  });
  return { scale, place };
}
