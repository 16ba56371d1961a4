import type { Role } from '../gear/classes/roles.ts';
import type { GearFacts } from '../gear/gear-facts.ts';
import { isPulley } from '../gear/traits.ts';
import { riggingBy } from '../layouts/scene.ts';
import { invariant } from '../quantity/invariant.ts';

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

/** Builders of uses, chains and lines from one bag of gear, each piece in its usual role. */
export function rigKit(bag: readonly GearFacts[]) {
  return riggingBy((gearId) => {
    const piece = bag.find(({ id }) => id === gearId);
    invariant(piece !== undefined, `no ${gearId} in the bag`);
    return isPulley(piece) ? 'pulley' : (ROLES[piece.kind] ?? 'connector');
  });
}
