import type { Situation } from '../effort/situation.ts';
import type { Role } from '../gear/classes/roles.ts';
import { invariant } from '../quantity/invariant.ts';
import type { Body, Chain, Line, PieceUse, Rig, RigPoint, VehicleBody } from '../rig/rig.ts';

/**
 * A layout as a rig to begin with: a typical place, the lines laid, and at every place of a piece a slot, written where the
 * piece's id will stand. A slot says by its first letters what kind of piece is wanted there, `SS-A` a connector, `TS-A` a tree
 * strap; equal slots would be the same piece.
 */
export interface Scene {
  readonly name: string;
  readonly rig: Rig;
}

const degrees = (value: number) => (value * Math.PI) / 180;

const titled = (id: string) => `${id[0]?.toUpperCase() ?? ''}${id.slice(1)}`;

export function truck(id: string, xM: number, yM: number, headingDeg: number, extra: Partial<VehicleBody> = {}): VehicleBody {
  return {
    id,
    kind: 'vehicle',
    label: titled(id),
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
  return { id, kind: 'tree', label: titled(id), xM, yM, trunkDiameterM, wood: 'hardwood', footing: 'firm', state: 'live', leanRad: 0 };
}

/** What people call a point: the words of its id, without the name that its body has in the scene. */
const pointLabel = (id: string, bodyId: string, body: string): string =>
  id.startsWith(`${bodyId}-`) ? spaced(id.slice(bodyId.length + 1)) : spaced(id.replace(bodyId, body));

const spaced = (id: string) => id.replaceAll('-', ' ');

/** A point on a vehicle or a loose load. */
export function onFrame(id: string, bodyId: string, forwardM: number, leftM: number, heightM: number): RigPoint {
  return { id, bodyId, label: pointLabel(id, bodyId, 'the load'), place: { kind: 'on-vehicle', forwardM, leftM, heightM } };
}

export function onTrunk(id: string, bodyId: string, heightM = 0.3): RigPoint {
  return { id, bodyId, label: pointLabel(id, bodyId, 'the trunk'), place: { kind: 'on-trunk', heightM } };
}

export function atHeight(id: string, bodyId: string, heightM: number): RigPoint {
  return { id, bodyId, label: pointLabel(id, bodyId, 'the anchor'), place: { kind: 'at-height', heightM } };
}

/** What a slot wants, by the letters before its dash. */
const ROLE_OF_SLOT: { readonly [letters: string]: Role } = {
  TS: 'tree-strap',
  ST: 'strap',
  BR: 'strap',
  LX: 'extension',
  CL: 'line-end',
  VP: 'point',
  PL: 'grip',
  GA: 'anchor',
  CH: 'chain',
  W: 'winch',
  RR: 'pulley',
  SB: 'pulley',
  SS: 'connector',
  SH: 'connector',
  L: 'winch-line',
  HR: 'rope',
  TR: 'tow-rope',
  KR: 'tow-rope',
};

export type End = string | { readonly joint: string };

export interface LineParts {
  readonly id?: string;
  readonly drive: Line['drive'];
  readonly ropes: readonly string[];
  readonly via?: readonly (string | Line['via'][number])[];
  readonly to: End;
  readonly role?: Role;
}

export const toJoint = (jointId: string): Chain['to'] => ({ kind: 'joint', jointId });

function roleOfSlot(slot: string): Role {
  const role = ROLE_OF_SLOT[slot.split('-')[0] ?? ''];
  invariant(role !== undefined, `the slot ${slot} says nothing`);
  return role;
}

/** Builders of uses, chains and lines, where the name of a piece or slot gives its usual role. Tree straps go round in basket. */
export function riggingBy(roleOf: (name: string) => Role) {
  const useOf = (owner: string, name: string, order: number, role: Role = roleOf(name)): PieceUse => ({
    id: `${owner}.${order}`,
    role,
    gearId: name,
    ...(role === 'tree-strap' && { hitch: 'basket' as const }),
  });
  /** A chain from a point (by its id) or a joint, outward. */
  const chainOf = (id: string, from: End, names: readonly string[], to?: Chain['to']): Chain => ({
    id,
    from: typeof from === 'string' ? { kind: 'point', pointId: from } : { kind: 'joint', jointId: from.joint },
    ...(to && { to }),
    pieces: names.map((name, order) => useOf(id, name, order)),
  });
  /** A line over chains (by id) and edges to a chain or a joint. What joins two tow ropes is a connector. */
  const lineOf = ({ id = 'line', drive, ropes, via = [], to, role }: LineParts): Line => {
    const first = role ?? (drive.kind === 'winch' ? 'winch-line' : drive.kind === 'tow' ? 'tow-rope' : 'rope');
    const ropeRole = (name: string, order: number): Role | undefined => {
      if (order === 0) return first;
      return drive.kind === 'tow' && roleOf(name) !== 'connector' ? first : undefined;
    };
    return {
      id,
      drive,
      ropes: ropes.map((name, order) => useOf(`${id}.rope`, name, order, ropeRole(name, order))),
      via: via.map((bend) => (typeof bend === 'string' ? { kind: 'pulley', chainId: bend } : bend)),
      to: typeof to === 'string' ? { kind: 'chain', chainId: to } : { kind: 'joint', jointId: to.joint },
    };
  };
  const winchAt = (pointId: string, name: string): Extract<Line['drive'], { kind: 'winch' }> => ({
    kind: 'winch',
    pointId,
    use: useOf(`winch-${pointId}`, name, 0),
  });
  return { useOf, chainOf, lineOf, winchAt };
}

export const { useOf, chainOf, lineOf, winchAt } = riggingBy(roleOfSlot);

interface SceneParts {
  readonly name: string;
  readonly rig: Pick<Rig, 'bodies' | 'points' | 'chains' | 'lines' | 'load'> & Partial<Rig>;
  readonly situation?: Partial<Situation>;
  readonly slopeDeg?: number;
  readonly uphillDeg?: number;
}

/** A scene on level wet grass unless told otherwise. */
export function sceneOf({ name, rig, situation = {}, slopeDeg = 0, uphillDeg = 0 }: SceneParts): Scene {
  return {
    name,
    rig: {
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
    },
  };
}
