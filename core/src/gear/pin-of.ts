import type { GearFacts } from './gear-facts.ts';

/** Diameter of what an eye sits on, metres; undefined where the class has no pin or its size is not on record. */
export function pinOf(piece: GearFacts | undefined): number | undefined {
  switch (piece?.kind) {
    case 'steel-shackle':
    case 'closed-link':
      return piece.attributes.pinDiameterM;
    case 'soft-shackle':
      return piece.attributes.ropeDiameterM;
    case 'carabiner':
      return piece.attributes.treadDiameterM;
    default:
      return undefined;
  }
}
