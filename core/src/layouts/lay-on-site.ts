import type { Body, Rig, RigPoint, VehicleBody } from '../rig/rig.ts';
import { pointOfChain, pointPosition } from '../rig/site-geometry.ts';
import { withoutPieces } from '../rig/without-pieces.ts';
import type { Layout } from './layout.ts';

/** A body of a layout's scene and the kind of thing on a site that can take its place. */
export interface SceneBody {
  readonly id: string;
  readonly label: string;
  readonly kind: Body['kind'];
  readonly isLoad: boolean;
}

/** What a layout needs to stand on a site, the one that is to move first. */
export function bodiesOfLayout({ build }: Pick<Layout, 'build'>): readonly SceneBody[] {
  const { rig } = build();
  const bodies = rig.bodies.map(({ id, label, kind }) => ({ id, label, kind, isLoad: id === rig.load.bodyId }));
  return [...bodies.filter(({ isLoad }) => isLoad), ...bodies.filter(({ isLoad }) => !isLoad)];
}

/** What a strap goes round: these stand for each other, since the same pieces hold at them. A ground anchor is a piece of its own. */
const STRAPPED: readonly Body['kind'][] = ['tree', 'rock', 'structure'];
const ANCHORS: readonly Body['kind'][] = [...STRAPPED, 'ground-anchor', 'pickets', 'deadman'];

/** Whether a body on a site may take the place of one in a scene. */
export function mayStandFor(body: Pick<Body, 'kind'>, wanted: Pick<SceneBody, 'kind'>): boolean {
  if (body.kind === wanted.kind) return true;
  return STRAPPED.includes(body.kind) && STRAPPED.includes(wanted.kind);
}

export type Assignment = { readonly [sceneBodyId: string]: string };

/** Bodies of a site for those of a layout, each once: the load for the load, then kind by kind in the order in which they were drawn. */
export function assignBodies(layout: Pick<Layout, 'build'>, site: Pick<Rig, 'bodies' | 'load'>): Assignment {
  const taken = new Set<string>();
  const pairs: [string, string][] = [];
  for (const wanted of bodiesOfLayout(layout)) {
    const fitting = site.bodies.filter((body) => !taken.has(body.id) && mayStandFor(body, wanted));
    const found = wanted.isLoad
      ? (fitting.find(({ id }) => id === site.load.bodyId) ?? fitting[0])
      : (fitting.find(({ id, kind }) => id !== site.load.bodyId && kind === wanted.kind) ??
        fitting.find(({ id }) => id !== site.load.bodyId));
    if (!found) continue;
    taken.add(found.id);
    pairs.push([wanted.id, found.id]);
  }
  return Object.fromEntries(pairs);
}

/**
 * A layout laid on a site: its points and lines on the site's own bodies, where they stand; bodies that the site lacks are added
 * as the scene has them. No piece is chosen anywhere. Held ropes grow with the distances.
 */
export function layOnSite(layout: Pick<Layout, 'build'>, site: Rig | undefined, assignment: Assignment): Rig {
  const { rig: scene } = layout.build();
  const { bodies, nameOf, turn } = standBodies(scene, site?.bodies ?? [], assignment);
  const bodyOf = new Map(bodies.map((body) => [body.id, body]));
  const stretch = site ? stretchOf(scene, (id) => bodyOf.get(nameOf.get(id) ?? '')) : 1;
  const { bodies: _bodies, ground, situation, load, features: _features, origin: _origin, ...lines } = withoutPieces(scene);
  const points = tiedOnNearSide(
    scene.points.map((point) => moved(point, scene, nameOf, bodyOf)),
    lines.backAnchors ?? [],
    bodyOf,
  );
  const placed: Rig = { ...lines, bodies, points, ground: site?.ground ?? ground, situation: site?.situation ?? situation, load };
  return {
    ...lines,
    ground: site?.ground ?? ground,
    situation: site?.situation ?? situation,
    bodies,
    points,
    lines: lines.lines.map((line) =>
      line.drive.kind === 'held' ? { ...line, drive: { ...line.drive, lengthM: line.drive.lengthM * stretch } } : line,
    ),
    ...(lines.grips && {
      grips: lines.grips.map((grip) => ({ ...grip, toEndM: Math.max(0.5, grip.toEndM + heldFrom(placed, grip) - heldFrom(scene, grip)) })),
    }),
    load: {
      ...saidOf(site, load),
      ...turnedTask(load.task, turn, pullOf(scene), pullOf(placed)),
      bodyId: nameOf.get(load.bodyId) ?? load.bodyId,
    },
    dampers: [],
    answers: {},
    ...keptOf(site, nameOf.get(load.bodyId)),
  };
}

/** How far a load has to go is for people to say: a layout knows it of its own scene alone. */
function saidOf(site: Rig | undefined, { travelM: ofScene, ...load }: Rig['load']): Rig['load'] {
  const travelM = site ? site.load.travelM : ofScene;
  return travelM === undefined ? load : { ...load, travelM };
}

/** What people have said or drawn that does not hang on the lines: it stays. A pull that somebody chose is that of one load. */
function keptOf(site: Rig | undefined, loadId: string | undefined): Pick<Rig, 'features' | 'origin' | 'tools' | 'chosenPull'> {
  if (!site) return {};
  const { features, origin, tools, chosenPull } = site;
  return {
    ...(features && { features }),
    ...(origin && { origin }),
    ...(tools && { tools }),
    ...(chosenPull && site.load.bodyId === loadId && { chosenPull }),
  };
}

interface Stood {
  readonly bodies: readonly Body[];
  /** What a body of the scene is called on the site. */
  readonly nameOf: ReadonlyMap<string, string>;
  readonly turn: Turn;
}

/** The site's bodies, and after them those of the scene that it lacks, set round the load as they stood round the scene's. */
function standBodies(scene: Rig, site: readonly Body[], assignment: Assignment): Stood {
  const standing = new Map(site.map((body) => [body.id, body]));
  const used = new Set(standing.keys());
  const nameOf = new Map<string, string>();
  const own = standing.get(assignment[scene.load.bodyId] ?? '');
  const before = scene.bodies.find(({ id }) => id === scene.load.bodyId);
  const turn = turnTo(before, own);
  const added: Body[] = [];
  for (const body of scene.bodies) {
    const there = assignment[body.id];
    if (there !== undefined && standing.has(there)) nameOf.set(body.id, there);
    else {
      const id = freeId(body.id, used);
      used.add(id);
      nameOf.set(body.id, id);
      added.push({ ...movedAlong(body, turn), id });
    }
  }
  return { bodies: [...site, ...added], nameOf, turn };
}

/** From the scene's load to the site's: where it stood, where it stands, and by how much it looks another way. */
interface Turn {
  readonly from: { readonly xM: number; readonly yM: number };
  readonly to: { readonly xM: number; readonly yM: number };
  readonly byRad: number;
}

const ORIGIN = { xM: 0, yM: 0 };

function turnTo(before: Body | undefined, now: Body | undefined): Turn {
  if (!before || !now) return { from: ORIGIN, to: ORIGIN, byRad: 0 };
  const byRad = 'headingRad' in before && 'headingRad' in now ? now.headingRad - before.headingRad : 0;
  return { from: before, to: now, byRad };
}

const wrapped = (rad: number): number => Math.atan2(Math.sin(rad), Math.cos(rad));

/** A body of the scene where it stands from the site's load as it stood from the scene's. */
function movedAlong(body: Body, { from, to, byRad }: Turn): Body {
  if (byRad === 0 && from.xM === to.xM && from.yM === to.yM) return body;
  const [dx, dy] = [body.xM - from.xM, body.yM - from.yM];
  // Bearings run clockwise: east turns to south.
  const [sin, cos] = [Math.sin(byRad), Math.cos(byRad)];
  const round = (metres: number) => Math.round(metres * 100) / 100;
  const at = { xM: round(to.xM + dx * cos + dy * sin), yM: round(to.yM + dy * cos - dx * sin) };
  return 'headingRad' in body ? { ...body, ...at, headingRad: wrapped(body.headingRad + byRad) } : { ...body, ...at };
}

/** What is dragged goes as far off the line as in the scene; what is set upright turns over its own edge, to the side that the line is on. */
function turnedTask(
  task: Rig['load']['task'],
  { byRad }: Turn,
  before: number | undefined,
  now: number | undefined,
): Pick<Rig['load'], 'task'> {
  if (task?.kind !== 'drag' && task?.kind !== 'right') return {};
  if (task.kind === 'drag') {
    const turnRad = before === undefined || now === undefined ? byRad : now - before;
    return { task: { ...task, bearingRad: wrapped(task.bearingRad + turnRad) } };
  }
  const along = wrapped(task.bearingRad + byRad);
  const away = now !== undefined && Math.cos(along - now) < 0;
  return { task: { ...task, bearingRad: away ? wrapped(along + Math.PI) : along } };
}

/** The bearing from the load to where its line goes next, towards the drive; undefined where no line ends at it. */
function pullOf(rig: Rig): number | undefined {
  const pointOf = (chainId: string) => {
    const chain = rig.chains.find(({ id }) => id === chainId);
    return chain && pointOfChain(rig, chain);
  };
  for (const { drive, via, to } of rig.lines) {
    if (to.kind !== 'chain') continue;
    const own = pointOf(to.chainId);
    const last = via.at(-1);
    const passed = last?.kind === 'pulley' ? pointOf(last.chainId)?.id : last?.pointId;
    const driven =
      drive.kind === 'winch' || drive.kind === 'hand' ? drive.pointId : drive.kind === 'tow' ? pointOf(drive.chainId)?.id : undefined;
    const next = rig.points.find(({ id }) => id === (passed ?? driven));
    if (own?.bodyId !== rig.load.bodyId || !next) continue;
    const [from, towards] = [pointPosition(rig, own), pointPosition(rig, next)];
    return Math.atan2(towards.x - from.x, towards.y - from.y);
  }
  return undefined;
}

function freeId(wanted: string, used: ReadonlySet<string>): string {
  if (!used.has(wanted)) return wanted;
  for (let number = 2; ; number++) if (!used.has(`${wanted}-${number}`)) return `${wanted}-${number}`;
}

/** How far a grip's holding point is from where the line ends, metres; 0 where either hangs in the air. */
function heldFrom(rig: Rig, { id, lineId }: NonNullable<Rig['grips']>[number]): number {
  const line = rig.lines.find((entry) => entry.id === lineId);
  const end = line?.to.kind === 'chain' ? line.to.chainId : undefined;
  const positionOf = (chain: Rig['chains'][number] | undefined) => {
    const point = chain && pointOfChain(rig, chain);
    return point && pointPosition(rig, point);
  };
  const from = positionOf(rig.chains.find((chain) => chain.id === end));
  const to = positionOf(rig.chains.find((chain) => chain.to?.kind === 'grip' && chain.to.gripId === id));
  return from && to ? Math.hypot(to.x - from.x, to.y - from.y, to.z - from.z) : 0;
}

/** How much further apart the bodies of a site stand than those of the scene, the load as the measure. */
function stretchOf(scene: Rig, placed: (id: string) => Body | undefined): number {
  const from = scene.bodies.find(({ id }) => id === scene.load.bodyId);
  const to = placed(scene.load.bodyId);
  const far = (a: Body, b: Body) => Math.hypot(a.xM - b.xM, a.yM - b.yM);
  const ratios = scene.bodies.flatMap((body) => {
    const here = placed(body.id);
    if (!from || !to || !here || body === from || !ANCHORS.includes(body.kind)) return [];
    const before = far(from, body);
    return before > 0 ? [far(to, here) / before] : [];
  });
  return ratios.length > 0 ? Math.max(...ratios) : 1;
}

function moved(point: RigPoint, scene: Rig, nameOf: ReadonlyMap<string, string>, bodyOf: ReadonlyMap<string, Body>): RigPoint {
  const before = scene.bodies.find(({ id }) => id === point.bodyId);
  const bodyId = nameOf.get(point.bodyId) ?? point.bodyId;
  const body = bodyOf.get(bodyId);
  return { ...point, bodyId, place: placeOn(point.place, before, body) };
}

function placeOn(place: RigPoint['place'], before: Body | undefined, body: Body | undefined): RigPoint['place'] {
  if (body === undefined) return place;
  if (place.kind === 'on-vehicle' && before && 'lengthM' in before && 'widthM' in before && 'headingRad' in body) {
    const [long, wide] = [body.lengthM / before.lengthM, body.widthM / before.widthM];
    return { ...place, forwardM: place.forwardM * long, leftM: place.leftM * wide };
  }
  if (place.kind === 'on-vehicle') return place;
  return { kind: body.kind === 'tree' ? 'on-trunk' : 'at-height', heightM: place.heightM };
}

/** Points that a vehicle is held back by go over to its other side where their anchor stands there and no other point is in the way. */
function tiedOnNearSide(
  points: readonly RigPoint[],
  ties: NonNullable<Rig['backAnchors']>,
  bodyOf: ReadonlyMap<string, Body>,
): readonly RigPoint[] {
  return ties.reduce<readonly RigPoint[]>((now, { vehiclePointId, anchorPointId }) => {
    const [tied, anchor] = [vehiclePointId, anchorPointId].map((id) => now.find((point) => point.id === id));
    const [vehicle, there] = [tied, anchor].map((point) => bodyOf.get(point?.bodyId ?? ''));
    if (tied?.place.kind !== 'on-vehicle' || !vehicle || !('headingRad' in vehicle) || !there) return now;
    const { forwardM, leftM } = tied.place;
    const anchorLeftM = leftOf(vehicle, there);
    const half = 'widthM' in vehicle ? vehicle.widthM / 2 : 0;
    if (anchorLeftM * leftM >= 0 || Math.abs(anchorLeftM) <= half) return now;
    const across = { ...tied, place: { ...tied.place, leftM: -leftM } };
    const occupied = now.some(
      ({ id, bodyId, place }) =>
        id !== tied.id &&
        bodyId === tied.bodyId &&
        place.kind === 'on-vehicle' &&
        Math.hypot(place.forwardM - forwardM, place.leftM + leftM) < 0.2,
    );
    return occupied ? now : now.map((point) => (point.id === tied.id ? across : point));
  }, points);
}

/** How far a body stands to the left of another's middle line, metres. */
const leftOf = ({ xM, yM, headingRad }: Body & { readonly headingRad: number }, there: Body): number =>
  (there.yM - yM) * Math.sin(headingRad) - (there.xM - xM) * Math.cos(headingRad);

/** A vehicle of the register as a body, in the place of another or at the origin. */
export function vehicleAt(
  {
    vehicleId,
    name,
    massKg,
    lengthM,
    widthM,
  }: { readonly vehicleId: string; readonly name: string; readonly massKg: number; readonly lengthM: number; readonly widthM: number },
  { id, xM, yM, headingRad }: Pick<VehicleBody, 'id' | 'xM' | 'yM' | 'headingRad'>,
): VehicleBody {
  return { id, kind: 'vehicle', label: name, vehicleId, xM, yM, headingRad, massKg, lengthM, widthM };
}
