import { standingOf } from '../hold/vehicle-hold.ts';
import { invariant } from '../quantity/invariant.ts';
import type { Case } from '../rig/case.ts';
import { loadWay } from '../rig/load-way.ts';
import type { Rig, VehicleBody } from '../rig/rig.ts';
import { loadBody, pointPosition } from '../rig/site-geometry.ts';
import { ZERO } from '../statics/vec3.ts';
import { resolveDampers } from './dampers.ts';
import { resolveFits } from './fits.ts';
import { type GearIndex, gearIndexOf } from './gear-index.ts';
import { limitUses } from './limits-of-uses.ts';
import {
  isChosen,
  type PulledVehicle,
  type ResolvedBody,
  type ResolvedLanyard,
  type ResolvedPoint,
  type ResolvedTie,
  type ResolvedUse,
} from './parts.ts';
import type { Place } from './place.ts';
import { placesOfRig } from './places-of-rig.ts';
import { planPull } from './plan-pull.ts';
import { chainLengthM, LIKE, resolveChains } from './resolve-chains.ts';
import { resolveLines } from './resolve-lines.ts';
import { resolveUses } from './resolve-uses.ts';
import type { Lookup, ResolvedRig, RigParts } from './resolved-rig.ts';

/** Follows every reference of a document whose references hold, once: pieces, limits, chains, lines, fits, places, equations. */
export function resolveRig(subject: Case): ResolvedRig {
  const { rig, policy, asOf } = subject;
  const gear = gearIndexOf(subject.gear);
  const { bodies, points } = resolveBodies(rig);
  const uses = resolveUses(rig, gear);
  const { chains, equations: ofChains } = resolveChains({ rig, policy, points, uses });
  const dampers = resolveDampers(rig, gear, policy);
  const { lines, drives, equations } = resolveLines({ rig, policy, points, uses, chains, equations: ofChains, dampers });
  const ties = resolveTies({ rig, policy, points }, uses);
  limitUses(subject, uses);
  const chosen = uses.all.filter(isChosen);
  const parts: RigParts = { subject, rig, policy, asOf, bodies, points, uses: uses.all, chosen, chains, lines, drives, ties, equations };
  const places = placesOfRig(parts);
  const { effort, pullN, legs } = planPull(rig, policy);
  const load = loadBody(rig);
  const way = loadWay(rig, load);
  return {
    subject,
    rig,
    policy,
    asOf,
    bodies,
    points,
    uses: uses.all,
    chosen,
    chains,
    lines,
    drives,
    winches: drives.filter((drive) => drive.kind === 'winch'),
    ties,
    vehicles: pulledVehicles({ rig, policy, bodies, ties }),
    load: { on: bodyOf(bodies, rig.load.bodyId), body: load },
    start: rig.points.map((point) => pointPosition(rig, point)),
    travel: way.legs[0]?.along ?? ZERO,
    way,
    legs: way.legs.map(({ turnRad }, index) => ({
      pull: legs[index],
      standing:
        load.kind === 'vehicle'
          ? standingOf({ ...load, headingRad: load.headingRad + turnRad }, rig.ground, policy, rig.situation)
          : undefined,
    })),
    people: rig.bodies.filter((body) => body.kind === 'person'),
    lanyards: resolveLanyards(rig, { gear, points, uses: uses.byId }),
    dampers,
    tools: (rig.tools ?? []).flatMap((id) => gear.get(id) ?? []),
    fits: resolveFits(parts),
    places,
    equations,
    effort,
    pullN,
    byId: lookup(uses.byId, places),
  };
}

const lookup = (uses: ReadonlyMap<string, ResolvedUse>, places: readonly Place[]): Lookup => ({
  use: (id) => uses.get(id),
  place: (id) => places.find((place) => place.id === id),
});

function resolveBodies(rig: Rig): { readonly bodies: readonly ResolvedBody[]; readonly points: readonly ResolvedPoint[] } {
  const own = rig.bodies.map((body, index) => ({ index, body, points: [] as ResolvedPoint[] }));
  const byId = new Map(own.map((entry) => [entry.body.id, entry]));
  const points = rig.points.map((point, index): ResolvedPoint => {
    const on = byId.get(point.bodyId);
    invariant(on !== undefined, `point ${point.id} has no body`);
    const resolved = { index, point, on };
    on.points.push(resolved);
    return resolved;
  });
  return { bodies: own, points };
}

function bodyOf(bodies: readonly ResolvedBody[], id: string): ResolvedBody {
  const found = bodies.find(({ body }) => body.id === id);
  invariant(found !== undefined, `no body ${id}`);
  return found;
}

interface TieInput {
  readonly rig: Rig;
  readonly policy: ResolvedRig['policy'];
  readonly points: readonly ResolvedPoint[];
}

function resolveTies({ rig, policy, points }: TieInput, { tied }: ReturnType<typeof resolveUses>): readonly ResolvedTie[] {
  const at = (id: string): ResolvedPoint => {
    const found = points.find(({ point }) => point.id === id);
    invariant(found !== undefined, `no point ${id}`);
    return found;
  };
  const own = (rig.backAnchors ?? []).map(({ id, vehiclePointId, anchorPointId }, index) => {
    const uses = tied[index] ?? [];
    const anchor = at(anchorPointId);
    return { index, id, vehicle: at(vehiclePointId), anchor, uses, lengthM: chainLengthM(uses, anchor) };
  });
  const isLike = (a: (typeof own)[number], b: (typeof own)[number]) =>
    a.vehicle === b.vehicle && a.anchor === b.anchor && Math.abs(a.lengthM - b.lengthM) <= LIKE * Math.max(a.lengthM, b.lengthM);
  return own.map((parts) => {
    const like = own.filter((other) => isLike(parts, other));
    const share = like.length > 1 ? policy.sharing.parallelStraps.value : 1;
    const tie: ResolvedTie = { ...parts, likeTie: like[0]?.index ?? parts.index, share };
    parts.uses.forEach((use, order) => {
      use.seat = { kind: 'back-anchor', tie, order };
    });
    return tie;
  });
}

function pulledVehicles({ rig, policy, bodies, ties }: Pick<ResolvedRig, 'rig' | 'policy' | 'bodies' | 'ties'>): readonly PulledVehicle[] {
  const vehicles = bodies.flatMap((on): readonly { readonly on: ResolvedBody; readonly body: VehicleBody }[] =>
    on.body.kind === 'vehicle' && on.points.length > 0 ? [{ on, body: on.body }] : [],
  );
  return vehicles.map(({ on, body }, index) => ({
    index,
    on,
    body,
    isLoad: rig.load.bodyId === body.id,
    ties: ties.filter(({ vehicle }) => vehicle.on === on),
    standing: standingOf(body, rig.ground, policy, rig.situation),
    mounts: on.points.flatMap(({ index: at, point: { place } }) =>
      place.kind === 'on-vehicle' ? [{ point: at, forwardM: place.forwardM, heightM: place.heightM }] : [],
    ),
  }));
}

interface LanyardParts {
  readonly gear: GearIndex;
  readonly points: readonly ResolvedPoint[];
  readonly uses: ReadonlyMap<string, ResolvedUse>;
}

function resolveLanyards(rig: Rig, { gear, points, uses }: LanyardParts): readonly ResolvedLanyard[] {
  return (rig.lanyards ?? []).flatMap((lanyard) => {
    const use = uses.get(lanyard.useId);
    if (use === undefined) return [];
    const { to } = lanyard;
    const point = to.kind === 'point' ? points.find((entry) => entry.point.id === to.pointId) : undefined;
    return [{ lanyard, use, piece: lanyard.gearId === undefined ? undefined : gear.get(lanyard.gearId), point }];
  });
}
