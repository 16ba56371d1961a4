import type { GearFacts } from '../gear/gear-facts.ts';
import { isPulley } from '../gear/pulleys.ts';
import { invariant } from '../invariant.ts';
import type { End } from '../layouts/scene.ts';
import type { Chain, Line, PieceUse, Role } from '../rig/rig.ts';

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

interface LineParts {
  readonly id?: string;
  readonly drive: Line['drive'];
  readonly ropes: readonly string[];
  readonly via?: readonly (string | Line['via'][number])[];
  readonly to: End;
  readonly role?: Role;
}

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
