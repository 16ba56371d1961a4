import { type BackAnchored, holdBack } from '../hold/back-anchor.ts';
import { type HoldFigures, holdUnder, type Standing, slidesFromShare, type VehiclePull } from '../hold/vehicle-hold.ts';
import type { PulledVehicle, ResolvedPoint, ResolvedTie } from '../resolved/parts.ts';
import type { ResolvedRig } from '../resolved/resolved-rig.ts';
import { dot, scale, subtract, unit, type Vec3, vec3, ZERO } from '../statics/vec3.ts';
import type { HoldState, LoadState, LoadStates, TieForces } from './moment.ts';

interface HoldsInput {
  readonly rig: ResolvedRig;
  readonly positions: readonly Vec3[];
  readonly states: LoadStates;
  /** The leg of the load's way that it has turned to; undefined while it stands as drawn. */
  readonly leg: number | undefined;
}

export interface Holds {
  readonly holds: readonly HoldState[];
  readonly ties: TieForces;
}

/** Every vehicle with points that something may pull on, each in the worst of the states looked at; and what its back-anchors take. */
export function holdsOf(input: HoldsInput): Holds {
  const { rig, states } = input;
  const none = { stands: states.stands.map(() => NOTHING), greatest: states.greatest.map(() => NOTHING) };
  const ways = rig.ties.map((tie) => tieWay(input, tie));
  let behind: Behind = none;
  let held = rig.vehicles.map((vehicle) => holdOf(input, vehicle, ways, behind));
  // What a back-anchor holds pulls at whatever holds the back-anchor, which may be tied back in its turn.
  if (rig.ties.some(({ anchor }) => anchor.on.body.kind === 'vehicle'))
    for (let round = 0; round < rig.vehicles.length; round++) {
      behind = pullsBehind(input, ways, tieForces(rig, held), none);
      held = rig.vehicles.map((vehicle) => holdOf(input, vehicle, ways, behind));
    }
  return { holds: held.map(({ hold }) => hold), ties: tieForces(rig, held) };
}

type Pulls = readonly { readonly vehicle: PulledVehicle; readonly pull: VehiclePull }[];
const NOTHING: Pulls = [];

/** Pulls on vehicles beside those of the lines, state by state. */
interface Behind {
  readonly stands: readonly Pulls[];
  readonly greatest: readonly Pulls[];
}

/** The unit direction in which a back-anchor pulls its vehicle. */
const tieWay = ({ positions }: HoldsInput, { vehicle, anchor }: ResolvedTie): Vec3 =>
  unit(subtract(positionOf(positions, anchor), positionOf(positions, vehicle))) ?? ZERO;

const positionOf = (positions: readonly Vec3[], { index }: ResolvedPoint): Vec3 => positions[index] ?? ZERO;

/** What the vehicles that are tied back pull at those that hold them. */
function pullsBehind({ rig }: HoldsInput, ways: readonly Vec3[], forces: TieForces, none: Behind): Behind {
  const holding = rig.ties.flatMap((tie) => {
    const vehicle = rig.vehicles.find(({ on }) => on === tie.anchor.on);
    const { place } = tie.anchor.point;
    return vehicle && place.kind === 'on-vehicle' ? [{ tie, vehicle, place }] : [];
  });
  const pulls = (tensions: readonly Float64Array[]): readonly Pulls[] =>
    tensions.map((own) =>
      holding.map(({ tie, vehicle, place }) => {
        const force = scale(ways[tie.index] ?? ZERO, -perTie(tie) * (own[tie.index] ?? 0));
        return { vehicle, pull: { force, forwardM: place.forwardM, heightM: place.heightM } };
      }),
    );
  return { ...none, stands: pulls(forces.planned), greatest: pulls(forces.greatest) };

  /** Like straps are one: each of them pulls with its part of it. */
  function perTie({ likeTie }: ResolvedTie): number {
    return 1 / Math.max(1, rig.ties.filter((other) => other.likeTie === likeTie).length);
  }
}

/** Tensions of all back-anchors, state by state; those that the planned check goes by with their margin. */
function tieForces(rig: ResolvedRig, held: readonly Held[]): TieForces {
  const margin = rig.policy.hold.backAnchorMargin.value;
  const collect = (check: 'stands' | 'greatest', factor: number): readonly Float64Array[] =>
    Array.from({ length: Math.max(0, ...held.map((own) => own.tensions[check].length)) }, (_, state) => {
      const all = new Float64Array(rig.ties.length);
      for (const own of held)
        own.hold.vehicle.ties.forEach((tie, order) => {
          all[tie.index] = factor * (own.tensions[check][state]?.[order] ?? 0);
        });
      return all;
    });
  return { planned: collect('stands', margin), greatest: collect('greatest', 1) };
}

interface Held {
  readonly hold: HoldState;
  /** Tensions of the vehicle's own back-anchors, state by state. */
  readonly tensions: { readonly stands: readonly (readonly number[])[]; readonly greatest: readonly (readonly number[])[] };
}

function holdOf(input: HoldsInput, vehicle: PulledVehicle, ways: readonly Vec3[], behind: Behind): Held {
  const { rig, states, leg } = input;
  const { policy } = rig;
  const standing = (leg !== undefined && vehicle.isLoad && rig.legs[leg]?.standing) || vehicle.standing;
  const anchored = anchoring(vehicle, standing, ways);
  const planned = worst({ vehicle, standing, anchored }, states.stands, behind.stands);
  const greatest = worst({ vehicle, standing, anchored }, states.greatest, behind.greatest);
  // A back-anchor's pull is taken to grow along with the line's; it begins later, so that the share found is on the careful side.
  const slidesFrom = greatest && !vehicle.isLoad && anchored === undefined ? slidesFromShare(standing, greatest.pulls) : undefined;
  const stop = policy.hold.tipStop.value;
  const tipsFrom = greatest && greatest.figures.tipping > stop ? stop / greatest.figures.tipping : undefined;
  return {
    hold: {
      vehicle,
      ...(planned && { planned: planned.figures, plannedStays: planned.stays }),
      ...(greatest && { greatest: greatest.figures, greatestStays: greatest.stays }),
      ...(slidesFrom !== undefined && { slidesFrom }),
      ...(tipsFrom !== undefined && { tipsFrom }),
    },
    tensions: { stands: planned?.tensions ?? [], greatest: greatest?.tensions ?? [] },
  };
}

/** What straps would hold of a push, tie by tie of the vehicle. */
type Anchoring = (demand: Vec3, holdN: number | undefined) => BackAnchored;

/** The back-anchors of a vehicle; like straps between the same points as one. Undefined where there are none. */
function anchoring({ ties }: PulledVehicle, { up }: Standing, ways: readonly Vec3[]): Anchoring | undefined {
  if (ties.length === 0) return undefined;
  const groups = [...new Set(ties.map(({ likeTie }) => likeTie))];
  const along = groups.map((index) => {
    const pull = ways[index] ?? ZERO;
    // What the strap holds pushes the other way, along the ground.
    return scale(subtract(pull, scale(up, dot(pull, up))), -1);
  });
  return (demand, holdN) => {
    const { tensionsN, acrossN } = holdBack(demand, along, holdN);
    return { acrossN, tensionsN: ties.map(({ likeTie }) => tensionsN[groups.indexOf(likeTie)] ?? 0) };
  };
}

interface Worst {
  /** Of the state in which it is pushed hardest beyond its hold; how far it tips is that of the state in which it tips most. */
  readonly figures: HoldFigures;
  /** The least that it has in hand over the states, its back-anchors counted; undefined where nobody knows what holds it. */
  readonly stays: HoldState['plannedStays'];
  readonly pulls: readonly VehiclePull[];
  readonly tensions: readonly (readonly number[])[];
}

interface WorstOf {
  readonly vehicle: PulledVehicle;
  readonly standing: Standing;
  readonly anchored: Anchoring | undefined;
}

function worst({ vehicle, standing, anchored }: WorstOf, list: readonly LoadState[], behind: readonly Pulls[]): Worst | undefined {
  const all = list.map(({ balance, scale: factor }, state) => {
    const pulls = pullsOn(vehicle, balance.forces.points, factor, behind[state] ?? NOTHING);
    const figures = holdUnder(standing, pulls);
    const held = anchored?.(scale(figures.towards, figures.demandN), figures.holdN);
    return { figures, pulls, held, stays: { acrossN: held?.acrossN ?? figures.demandN, holdN: figures.holdN } };
  });
  const [first] = all;
  if (first === undefined) return undefined;
  const most = (by: (own: (typeof all)[number]) => number) => all.reduce((worst, own) => (by(own) > by(worst) ? own : worst), first);
  const slides = most(({ figures: { slidesByN, demandN } }) => slidesByN ?? demandN);
  const { tipping, sideForceN } = most(({ figures }) => figures.tipping).figures;
  const { stays } = most(({ stays: { acrossN, holdN } }) => acrossN - (holdN ?? 0));
  return {
    figures: { ...slides.figures, tipping, sideForceN },
    stays,
    pulls: slides.pulls,
    tensions: all.flatMap(({ held }) => (held ? [held.tensionsN] : [])),
  };
}

function pullsOn({ mounts, on }: PulledVehicle, points: Float64Array, factor: number, behind: Pulls): readonly VehiclePull[] {
  const pulls = mounts.map(({ point, forwardM, heightM }): VehiclePull => {
    const at = 3 * point;
    const force = vec3(factor * (points[at] ?? 0), factor * (points[at + 1] ?? 0), factor * (points[at + 2] ?? 0));
    return { force, forwardM, heightM };
  });
  const own = behind.filter(({ vehicle }) => vehicle.on === on);
  return own.length === 0 ? pulls : [...pulls, ...own.map(({ pull }) => pull)];
}
