import type { GearOf } from '../gear/gear-facts.ts';
import { isWinch } from '../gear/traits.ts';
import type { Depth, Surface } from '../policy/policy.ts';
import { DEGREE } from '../quantity/angles.ts';
import type { Edit } from '../rig/edits.ts';
import { usesOf } from '../rig/references.ts';
import type { Rig, TreeBody, VehicleBody } from '../rig/rig.ts';
import { type BagPiece, bestFor } from '../rigging/candidates.ts';
import { type LaidLines, layoutOf, laySelfRecovery, type SelfRecoveryLayout } from './winch-self-recovery.ts';

/** A vehicle of the register, as a plan begins with it. */
export interface PlanVehicle {
  readonly vehicleId: string;
  readonly name: string;
  readonly massKg: number;
  readonly lengthM: number;
  readonly widthM: number;
}

/** The winch on a vehicle, usable or not. */
export function winchOf(pieces: readonly BagPiece[], vehicleId: string): GearOf<'winch'> | undefined {
  return pieces.flatMap(({ facts, vehicleId: on }) => (isWinch(facts) && on === vehicleId ? [facts] : []))[0];
}

export function vehicleBody({ vehicleId, name, massKg, lengthM, widthM }: PlanVehicle, headingRad: number): VehicleBody {
  return { id: 'vehicle', kind: 'vehicle', label: name, vehicleId, xM: 0, yM: 0, headingRad, massKg, lengthM, widthM };
}

interface LayInput {
  readonly base: Omit<Rig, 'points' | 'chains' | 'lines'>;
  readonly pieces: readonly BagPiece[];
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
    const returnPoint = pieces.find(({ facts }) => facts.id === picked['return-point-piece'])?.facts;
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
  readonly pieces: readonly BagPiece[];
  readonly today: string;
  readonly vehicle: PlanVehicle;
  readonly layout: SelfRecoveryLayout;
  readonly depth: Depth;
  readonly surface: Surface;
  readonly distanceM: number;
  readonly trunkM: number;
}

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
    load: { bodyId: body.id, travel: 'ahead' },
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
  readonly pieces: readonly BagPiece[];
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
