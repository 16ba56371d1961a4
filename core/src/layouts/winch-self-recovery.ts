import type { Role } from '../gear/classes/roles.ts';
import type { GearFacts, GearOf } from '../gear/gear-facts.ts';
import { isRecoveryPoint } from '../gear/traits.ts';
import type { Chain, Line, PieceUse, Rig, RigPoint, TreeBody, VehicleBody } from '../rig/rig.ts';

/** Where the line of a self-recovery ends: at the tree, or back on the vehicle after a pulley at the tree. */
export type SelfRecoveryLayout = 'straight' | 'doubled-back';

export interface SelfRecoveryInput {
  readonly layout: SelfRecoveryLayout;
  readonly vehicle: VehicleBody;
  readonly tree: TreeBody;
  readonly winch: GearOf<'winch'>;
  /** The vehicle's point that takes the line's end when it is doubled back. */
  readonly returnPoint: GearFacts | undefined;
  readonly strapHeightM: number;
  /** Pieces already chosen, by the id of their place; places that the layout lacks are ignored. */
  readonly chosen: { readonly [useId: string]: string | undefined };
}

/** The part of a rig that a layout decides. */
export type LaidLines = Pick<Rig, 'points' | 'chains' | 'lines'>;

/** Lays the lines of a self-recovery as plain points, chains and one line; what it builds carries no trace of which layout it was. */
export function laySelfRecovery(input: SelfRecoveryInput): LaidLines {
  const { layout, winch, chosen } = input;
  const use = (id: string, role: Role, extra: Partial<PieceUse> = {}): PieceUse => {
    const gearId = chosen[id];
    return { id, role, ...extra, ...(gearId === undefined ? {} : { gearId }) };
  };
  const strap = use('tree-strap', 'tree-strap', { hitch: 'basket' });
  const anchorShackle = use('anchor-connector', 'connector');
  const ends = layout === 'straight';
  const atTree: Chain = {
    id: 'at-tree',
    from: { kind: 'point', pointId: 'strap-on-tree' },
    pieces: ends ? [strap, anchorShackle, use('line-end', 'line-end')] : [strap, anchorShackle, use('pulley', 'pulley')],
  };
  const atPoint: Chain = {
    id: 'at-return-point',
    from: { kind: 'point', pointId: 'return-point' },
    pieces: [pointUse(input), use('return-connector', 'connector'), use('line-end', 'line-end')],
  };
  const line: Line = {
    id: 'line',
    drive: { kind: 'winch', pointId: 'fairlead', use: { id: 'winch', role: 'winch', gearId: winch.id } },
    ropes: [use('winch-line', 'winch-line')],
    via: ends ? [] : [{ kind: 'pulley', chainId: atTree.id }],
    to: { kind: 'chain', chainId: ends ? atTree.id : atPoint.id },
  };
  const points = [fairlead(input), strapPoint(input), ...(ends ? [] : [returnPoint(input)])];
  return { points, chains: ends ? [atTree] : [atTree, atPoint], lines: [line] };
}

function pointUse({ returnPoint: point }: SelfRecoveryInput): PieceUse {
  return { id: 'return-point-piece', role: 'point', ...(point && { gearId: point.id }) };
}

function fairlead({ vehicle, winch }: SelfRecoveryInput): RigPoint {
  const { forwardM, leftM, heightM } = winch.attributes;
  return {
    id: 'fairlead',
    bodyId: vehicle.id,
    label: 'fairlead',
    place: { kind: 'on-vehicle', forwardM: forwardM ?? vehicle.lengthM / 2, leftM: leftM ?? 0, heightM: heightM ?? 0.7 },
  };
}

function strapPoint({ tree, strapHeightM }: SelfRecoveryInput): RigPoint {
  return { id: 'strap-on-tree', bodyId: tree.id, label: `strap on ${tree.label}`, place: { kind: 'on-trunk', heightM: strapHeightM } };
}

function returnPoint({ vehicle, returnPoint: point }: SelfRecoveryInput): RigPoint {
  const { forwardM, leftM, heightM } = isRecoveryPoint(point) ? point.attributes : {};
  return {
    id: 'return-point',
    bodyId: vehicle.id,
    label: point?.name ?? 'return point',
    place: { kind: 'on-vehicle', forwardM: forwardM ?? vehicle.lengthM / 2, leftM: leftM ?? vehicle.widthM / 3, heightM: heightM ?? 0.6 },
  };
}

/** Whether a rig's line is doubled back: it runs over something on its way. */
export function layoutOf(rig: Rig): SelfRecoveryLayout {
  return (rig.lines[0]?.via.length ?? 0) > 0 ? 'doubled-back' : 'straight';
}

/** Whether a rig is one that this layout lays: one winch line of the load's own, round one tree and perhaps back to the load. */
export function isSelfRecovery(rig: Rig): boolean {
  const [line, ...others] = rig.lines;
  const trees = rig.bodies.filter(({ kind }) => kind === 'tree');
  const drive = line?.drive.kind === 'winch' ? line.drive.pointId : undefined;
  const own = rig.points.find(({ id }) => id === drive)?.bodyId === rig.load.bodyId;
  return others.length === 0 && own && trees.length === 1 && (line?.via.length ?? 0) < 2 && rig.points.every(({ id }) => LAID.includes(id));
}

/** The points that the layout lays. */
const LAID = ['fairlead', 'strap-on-tree', 'return-point'];
