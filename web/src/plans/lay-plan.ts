import {
  type Depth,
  type Edit,
  type GearOf,
  type LaidLines,
  layoutOf,
  laySelfRecovery,
  type PieceUse,
  pointOfChain,
  type Rig,
  type SelfRecoveryLayout,
  type Surface,
  type TreeBody,
  usesOf,
  type VehicleBody,
} from '@wainrope/core';
import type { RegisterPiece } from '../gear/use-register.ts';
import { bestFor } from './candidates.ts';

export interface PlanVehicle {
  readonly vehicleId: string;
  readonly name: string;
  readonly massKg: number;
  readonly lengthM: number;
  readonly widthM: number;
}

/** The winch on a vehicle, usable or not. */
export function winchOf(pieces: readonly RegisterPiece[], vehicleId: string): GearOf<'winch'> | undefined {
  const facts = pieces.find(({ gear }) => gear.kind === 'winch' && gear.vehicleId === vehicleId)?.facts;
  return facts?.kind === 'winch' ? facts : undefined;
}

export function vehicleBody({ vehicleId, name, massKg, lengthM, widthM }: PlanVehicle, headingRad: number): VehicleBody {
  return { id: 'vehicle', kind: 'vehicle', label: name, vehicleId, xM: 0, yM: 0, headingRad, massKg, lengthM, widthM };
}

interface LayInput {
  readonly base: Omit<Rig, 'points' | 'chains' | 'lines'>;
  readonly pieces: readonly RegisterPiece[];
  readonly today: string;
  readonly layout: SelfRecoveryLayout;
  readonly vehicle: VehicleBody;
  readonly tree: TreeBody;
  readonly winch: GearOf<'winch'>;
  readonly strapHeightM: number;
  readonly chosen: { readonly [useId: string]: string | undefined };
}

/** Lays a line and fills every place that has no piece yet with the best one the register offers. */
export function layPlan({ base, pieces, today, layout, vehicle, tree, winch, strapHeightM, chosen }: LayInput): LaidLines {
  const lay = (picked: LayInput['chosen']) => {
    const returnPoint = pieces.find(({ gear }) => gear.gearId === picked['return-point-piece'])?.facts;
    return laySelfRecovery({ layout, vehicle, tree, winch, returnPoint, strapHeightM, chosen: picked });
  };
  const picked: Record<string, string | undefined> = { ...chosen };
  for (const { use } of usesOf({ ...base, ...lay(picked) })) {
    if (use.gearId !== undefined) continue;
    const rig: Rig = { ...base, ...lay(picked) };
    picked[use.id] = bestFor(pieces, { rig, use, today, vehicleId: vehicle.vehicleId });
  }
  return lay(picked);
}

interface FirstRigInput {
  readonly pieces: readonly RegisterPiece[];
  readonly today: string;
  readonly vehicle: PlanVehicle;
  readonly layout: SelfRecoveryLayout;
  readonly depth: Depth;
  readonly surface: Surface;
  readonly distanceM: number;
  readonly trunkM: number;
}

const DEGREE = Math.PI / 180;
/** Where a new plan's vehicle looks and its tree stands, until somebody says: nearly east, a little apart. */
const FIRST_HEADING = 80 * DEGREE;
const FIRST_BEARING = 76 * DEGREE;

/** The rig a new plan begins with: every place filled from the register. Undefined where the vehicle has no winch. */
export function firstRig({ pieces, today, vehicle, layout, depth, surface, distanceM, trunkM }: FirstRigInput): Rig | undefined {
  const winch = winchOf(pieces, vehicle.vehicleId);
  if (!winch) return undefined;
  const body = vehicleBody(vehicle, FIRST_HEADING);
  const place = { xM: distanceM * Math.sin(FIRST_BEARING), yM: distanceM * Math.cos(FIRST_BEARING) };
  const tree: TreeBody = {
    id: 'tree',
    kind: 'tree',
    label: 'Tree',
    ...place,
    trunkDiameterM: trunkM,
    wood: 'softwood',
    footing: 'moist',
    state: 'live',
    leanRad: 0,
  };
  const base: LayInput['base'] = {
    ground: { slopeRad: 0, uphillRad: 0 },
    bodies: [body, tree],
    load: { bodyId: body.id, travel: 'ahead', travelM: 5 },
    situation: {
      surface,
      depth,
      soil: surface === 'bog' ? 'clay-or-bog' : 'loam',
      wet: true,
      lockedShare: 0,
      drivelineLocked: false,
      wheelsTurned: false,
    },
    dampers: [],
    answers: {},
  };
  return { ...base, ...layPlan({ base, pieces, today, layout, vehicle: body, tree, winch, strapHeightM: 0.3, chosen: {} }) };
}

/** Pieces by the id of their place. */
export function chosenPieces(rig: Rig): { readonly [useId: string]: string | undefined } {
  return Object.fromEntries(usesOf(rig).map(({ use }) => [use.id, use.gearId]));
}

interface RelayInput {
  readonly rig: Rig;
  readonly pieces: readonly RegisterPiece[];
  readonly today: string;
  readonly layout?: SelfRecoveryLayout;
  readonly vehicle?: PlanVehicle;
}

/** Edits that lay the plan again for another layout or another vehicle, keeping every piece that still has its place. Undefined without a winch. */
export function relayEdits({ rig, pieces, today, layout = layoutOf(rig), vehicle }: RelayInput): readonly Edit[] | undefined {
  const before = rig.bodies.find((body) => body.kind === 'vehicle');
  const tree = rig.bodies.find((body) => body.kind === 'tree');
  if (before?.kind !== 'vehicle' || tree?.kind !== 'tree') return undefined;
  const body: VehicleBody = vehicle ? { ...vehicleBody(vehicle, before.headingRad), xM: before.xM, yM: before.yM } : before;
  const winch = winchOf(pieces, body.vehicleId ?? '');
  if (!winch) return undefined;
  const { winch: _winch, 'winch-line': line, 'return-point-piece': point, ...loose } = chosenPieces(rig);
  const kept = vehicle ? loose : { ...loose, 'winch-line': line, 'return-point-piece': point };
  const strap = rig.points.find(({ place }) => place.kind === 'on-trunk');
  const base = { ...rig, bodies: rig.bodies.map((entry) => (entry.id === body.id ? body : entry)) };
  const laid = layPlan({
    base,
    pieces,
    today,
    layout,
    vehicle: body,
    tree,
    winch,
    strapHeightM: strap?.place.heightM ?? 0.3,
    chosen: kept,
  });
  const strands = layout === 'straight' ? 1 : 2;
  return [
    { kind: 'change-body', body },
    { kind: 'lay-lines', ...laid },
    { kind: 'place-dampers', dampers: rig.dampers.filter(({ strand }) => strand < strands) },
  ];
}

/** A winch brings its fairlead's place on the vehicle along. */
function fairleadEdits(rig: Rig, use: PieceUse, { attributes }: GearOf<'winch'>): readonly Edit[] {
  const line = rig.lines.find(({ drive }) => drive.kind === 'winch' && drive.use.id === use.id);
  const pointId = line?.drive.kind === 'winch' ? line.drive.pointId : undefined;
  const point = rig.points.find(({ id }) => id === pointId);
  if (point?.place.kind !== 'on-vehicle') return [];
  const { forwardM = point.place.forwardM, leftM = point.place.leftM, heightM = point.place.heightM } = attributes;
  return [{ kind: 'change-point', point: { ...point, place: { kind: 'on-vehicle', forwardM, leftM, heightM } } }];
}

/** Edits that choose a piece for a place; a winch's fairlead and a recovery point go to where they sit on the vehicle. */
export function choosePieceEdits(rig: Rig, use: PieceUse, piece: RegisterPiece): readonly Edit[] {
  // What somebody judged was the point that was there before.
  const { judged: _before, ...bare } = use;
  if (use.judged) return [{ kind: 'change-use', useId: use.id, use: bare }, ...choosePieceEdits(rig, bare, piece)];
  const choose: Edit = { kind: 'choose-piece', useId: use.id, gearId: piece.gear.gearId };
  if (piece.facts.kind === 'winch') return [choose, ...fairleadEdits(rig, use, piece.facts)];
  const chain = rig.chains.find(({ pieces }) => pieces.some(({ id }) => id === use.id));
  const point = chain && pointOfChain(rig, chain);
  if (piece.facts.kind !== 'recovery-point' || point?.place.kind !== 'on-vehicle') return [choose];
  const { forwardM = point.place.forwardM, leftM = point.place.leftM, heightM = point.place.heightM } = piece.facts.attributes;
  return [
    choose,
    { kind: 'change-point', point: { ...point, label: piece.gear.name, place: { kind: 'on-vehicle', forwardM, leftM, heightM } } },
  ];
}
