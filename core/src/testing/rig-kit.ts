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

/** A use of a kit piece in its usual role; tree straps go round in basket. */
export function useOf(owner: string, gearId: string, order: number, role?: Role): PieceUse {
  const piece = kitGear.find(({ id }) => id === gearId);
  invariant(piece !== undefined, `no ${gearId} in the kit`);
  const usual = role ?? (isPulley(piece) ? 'pulley' : (ROLES[piece.kind] ?? 'connector'));
  return { id: `${owner}.${order}`, role: usual, gearId, ...(usual === 'tree-strap' && { hitch: 'basket' as const }) };
}

type End = string | { readonly joint: string };

/** A chain from a point (by its id) or a joint, outward. */
export function chainOf(id: string, from: End, gearIds: readonly string[], to?: Chain['to']): Chain {
  return {
    id,
    from: typeof from === 'string' ? { kind: 'point', pointId: from } : { kind: 'joint', jointId: from.joint },
    ...(to && { to }),
    pieces: gearIds.map((gearId, order) => useOf(id, gearId, order)),
  };
}

export const toJoint = (jointId: string): Chain['to'] => ({ kind: 'joint', jointId });

interface LineParts {
  readonly id?: string;
  readonly drive: Line['drive'];
  readonly ropes: readonly string[];
  readonly via?: readonly (string | Line['via'][number])[];
  readonly to: End;
  readonly role?: Role;
}

/** A line over chains (by id) and edges to a chain or a joint. */
export function lineOf({ id = 'line', drive, ropes, via = [], to, role }: LineParts): Line {
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
}

/** What joins two tow ropes is a connector. */
function ropeRole(gearId: string, role: Role): Role {
  const kind = kitGear.find(({ id }) => id === gearId)?.kind;
  return kind === 'soft-shackle' || kind === 'steel-shackle' ? 'connector' : role;
}

export function winchAt(pointId: string, gearId: string): Line['drive'] {
  return { kind: 'winch', pointId, use: useOf(`winch-${pointId}`, gearId, 0) };
}

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

/** Every leg with a damper, from the kit's own. */
export function dampered(subject: Case, strands: readonly (readonly [string, number])[]): Case {
  const spare = ['D-A', 'D-B', 'D-C', 'D-D', 'D-E', 'D-F'];
  const dampers = strands.map(([lineId, strand], order) => ({ id: `damper-${order}`, lineId, strand, gearId: spare[order] as string }));
  const gear = [...subject.gear, ...kitGear.filter(({ id }) => dampers.some(({ gearId }) => gearId === id))];
  return { ...subject, rig: { ...subject.rig, dampers }, gear };
}

/** Every question that only needs a tick answered with yes. */
export function ticked(subject: Case, questionIds: readonly string[]): Case {
  const answers = { ...subject.rig.answers, ...Object.fromEntries(questionIds.map((id) => [id, 'yes' as const])) };
  return { ...subject, rig: { ...subject.rig, answers } };
}
