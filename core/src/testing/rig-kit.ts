import type { GearFacts } from '../gear/gear-facts.ts';
import { isPulley } from '../gear/pulleys.ts';
import { invariant } from '../invariant.ts';
import { teamStandard } from '../policy/team-standard.ts';
import type { Case } from '../rig/case.ts';
import { gearIdsOf } from '../rig/references.ts';
import type { Body, Chain, Line, PieceUse, Rig, RigPoint, Role, Situation, VehicleBody } from '../rig/rig.ts';
import { kitGear } from './kit-gear.ts';

const degrees = (value: number) => (value * Math.PI) / 180;

export function truck(id: string, xM: number, yM: number, headingDeg: number, extra: Partial<VehicleBody> = {}): VehicleBody {
  return {
    id,
    kind: 'vehicle',
    label: id[0]?.toUpperCase() + id.slice(1),
    xM,
    yM,
    headingRad: degrees(headingDeg),
    massKg: 2600,
    lengthM: 4.6,
    widthM: 1.85,
    wheelbaseM: 2.8,
    trackM: 1.5,
    ...extra,
  };
}

/** A vehicle that holds well: on dry gravel, all brakes on. */
export const held = { stance: { ground: 'dry-gravel', brakes: 'all' } } as const satisfies Partial<VehicleBody>;

export function treeAt(id: string, xM: number, yM: number, trunkDiameterM = 0.5): Body {
  const label = id[0]?.toUpperCase() + id.slice(1);
  return { id, kind: 'tree', label, xM, yM, trunkDiameterM, wood: 'hardwood', footing: 'firm', state: 'live', leanRad: 0 };
}

/** A point on a vehicle or a loose load. */
export function onFrame(id: string, bodyId: string, forwardM: number, leftM: number, heightM: number): RigPoint {
  return { id, bodyId, label: id, place: { kind: 'on-vehicle', forwardM, leftM, heightM } };
}

export function onTrunk(id: string, bodyId: string, heightM = 0.3): RigPoint {
  return { id, bodyId, label: id, place: { kind: 'on-trunk', heightM } };
}

export function atHeight(id: string, bodyId: string, heightM: number): RigPoint {
  return { id, bodyId, label: id, place: { kind: 'at-height', heightM } };
}

const ROLES: { readonly [kind: string]: Role } = {
  'tree-strap': 'tree-strap',
  'static-strap': 'strap',
  'winch-extension-strap': 'strap',
  bridle: 'strap',
  'line-extension': 'extension',
  'winch-hook': 'line-end',
  'closed-link': 'line-end',
  'recovery-point': 'point',
  'receiver-mount': 'point',
  'prusik-loop': 'grip',
  'ground-anchor': 'anchor',
  chain: 'chain',
  winch: 'winch',
};

export type End = string | { readonly joint: string };

interface LineParts {
  readonly id?: string;
  readonly drive: Line['drive'];
  readonly ropes: readonly string[];
  readonly via?: readonly (string | Line['via'][number])[];
  readonly to: End;
  readonly role?: Role;
}

export const toJoint = (jointId: string): Chain['to'] => ({ kind: 'joint', jointId });

/** Builders of uses, chains and lines from one bag of gear. */
export function rigKit(bag: readonly GearFacts[]) {
  /** A use of a piece in its usual role; tree straps go round in basket. */
  const useOf = (owner: string, gearId: string, order: number, role?: Role): PieceUse => {
    const piece = bag.find(({ id }) => id === gearId);
    invariant(piece !== undefined, `no ${gearId} in the bag`);
    const usual = role ?? (isPulley(piece) ? 'pulley' : (ROLES[piece.kind] ?? 'connector'));
    return { id: `${owner}.${order}`, role: usual, gearId, ...(usual === 'tree-strap' && { hitch: 'basket' as const }) };
  };
  /** A chain from a point (by its id) or a joint, outward. */
  const chainOf = (id: string, from: End, gearIds: readonly string[], to?: Chain['to']): Chain => ({
    id,
    from: typeof from === 'string' ? { kind: 'point', pointId: from } : { kind: 'joint', jointId: from.joint },
    ...(to && { to }),
    pieces: gearIds.map((gearId, order) => useOf(id, gearId, order)),
  });
  /** What joins two tow ropes is a connector. */
  const ropeRole = (gearId: string, role: Role): Role => {
    const kind = bag.find(({ id }) => id === gearId)?.kind;
    return kind === 'soft-shackle' || kind === 'steel-shackle' ? 'connector' : role;
  };
  /** A line over chains (by id) and edges to a chain or a joint. */
  const lineOf = ({ id = 'line', drive, ropes, via = [], to, role }: LineParts): Line => {
    const first = role ?? (drive.kind === 'winch' ? 'winch-line' : drive.kind === 'tow' ? 'tow-rope' : 'rope');
    return {
      id,
      drive,
      ropes: ropes.map((gearId, order) =>
        useOf(`${id}.rope`, gearId, order, order === 0 || drive.kind === 'tow' ? ropeRole(gearId, first) : undefined),
      ),
      via: via.map((bend) => (typeof bend === 'string' ? { kind: 'pulley', chainId: bend } : bend)),
      to: typeof to === 'string' ? { kind: 'chain', chainId: to } : { kind: 'joint', jointId: to.joint },
    };
  };
  const winchAt = (pointId: string, gearId: string): Line['drive'] => ({
    kind: 'winch',
    pointId,
    use: useOf(`winch-${pointId}`, gearId, 0),
  });
  return { useOf, chainOf, lineOf, winchAt };
}

export const { useOf, chainOf, lineOf, winchAt } = rigKit(kitGear);

interface CaseParts {
  readonly name: string;
  readonly rig: Pick<Rig, 'bodies' | 'points' | 'chains' | 'lines' | 'load'> & Partial<Rig>;
  readonly situation?: Partial<Situation>;
  readonly slopeDeg?: number;
  readonly uphillDeg?: number;
}

/** A case on level wet grass unless told otherwise, with the gear it uses and the standard policy. */
export function caseOf({ name, rig, situation = {}, slopeDeg = 0, uphillDeg = 0 }: CaseParts): Case {
  const whole: Rig = {
    ground: { slopeRad: degrees(slopeDeg), uphillRad: degrees(uphillDeg) },
    situation: {
      surface: 'grass',
      depth: 'none',
      soil: 'loam',
      wet: true,
      lockedShare: 0,
      drivelineLocked: false,
      wheelsTurned: false,
      ...situation,
    },
    dampers: [],
    answers: {},
    ...rig,
  };
  const used = new Set(gearIdsOf(whole));
  return { kind: 'rig', name, asOf: '2026-06-01', rig: whole, gear: kitGear.filter(({ id }) => used.has(id)), policy: teamStandard };
}
