import type { pulleyKinds } from '../policy/policy.ts';
import type { GearFacts, GearOf } from './gear-facts.ts';

export type Pulley = GearOf<'snatch-block'> | GearOf<'recovery-ring'> | GearOf<'carabiner'>;

/** Whether a rope may run over this piece. */
export function isPulley(piece: GearFacts | undefined): piece is Pulley {
  return piece?.kind === 'snatch-block' || piece?.kind === 'recovery-ring' || piece?.kind === 'carabiner';
}

/** The row of the efficiency table; a block whose bearing is unknown counts as plain-bushed, the lossier kind. */
export function pulleyKind(pulley: Pulley): (typeof pulleyKinds)[number] {
  switch (pulley.kind) {
    case 'recovery-ring':
      return 'ring';
    case 'carabiner':
      return 'carabiner';
    case 'snatch-block':
      return pulley.attributes.bearing === 'ball-or-roller' ? 'ball-or-roller-block' : 'plain-bush-block';
    default: {
      const never: never = pulley;
      return never;
    }
  }
}
