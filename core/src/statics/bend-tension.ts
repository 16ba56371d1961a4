import type { BendFriction, Motion } from './network.ts';

/**
 * ln of the share of tension that passes a bend of wrap φ (rad, 0…π), and its slope against φ.
 * Hauling takes, lowering gives. Sources: the capstan equation for plain bends; for pulleys the half-turn efficiency
 * spread over the wrap, η₁₈₀^(φ/π), a simplification of this project.
 */
export function logShare(friction: BendFriction, motion: Motion, wrapRad: number): { readonly value: number; readonly slope: number } {
  const sign = motion === 'lowering' ? -1 : 1;
  if (motion === 'frictionless') return { value: 0, slope: 0 };
  switch (friction.kind) {
    case 'by-wrap': {
      const slope = (sign * Math.log(friction.efficiency180)) / Math.PI;
      return { value: slope * wrapRad, slope };
    }
    case 'flat':
      return { value: sign * Math.log(friction.efficiency), slope: 0 };
    case 'plain':
      return { value: -sign * friction.friction * wrapRad, slope: -sign * friction.friction };
    case 'frictionless':
      return { value: 0, slope: 0 };
    default: {
      const never: never = friction;
      return never;
    }
  }
}

/** The same bend passed the other way: what it took it gives. */
export function otherWay(friction: BendFriction): BendFriction {
  switch (friction.kind) {
    case 'by-wrap':
      return { kind: 'by-wrap', efficiency180: 1 / friction.efficiency180 };
    case 'flat':
      return { kind: 'flat', efficiency: 1 / friction.efficiency };
    case 'plain':
      return { kind: 'plain', friction: -friction.friction };
    case 'frictionless':
      return friction;
    default: {
      const never: never = friction;
      return never;
    }
  }
}
