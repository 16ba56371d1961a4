import type { GearFacts } from './gear-facts.ts';

/** The length a piece adds to a chain when it hangs in line, metres; undefined where it is not known. */
export function inLineLengthM(piece: GearFacts): number | undefined {
  switch (piece.kind) {
    case 'tree-strap':
    case 'static-strap':
    case 'winch-extension-strap':
    case 'bridle':
    case 'stretch-rope':
    case 'chain':
    case 'safety-lanyard':
    case 'load-securing-strap':
    case 'line-extension':
      return piece.attributes.lengthM;
    case 'steel-shackle':
    case 'soft-shackle':
    case 'snatch-block':
    case 'recovery-ring':
    case 'winch-hook':
    case 'closed-link':
    case 'rope-lock-plate':
    case 'carabiner':
    case 'prusik-loop':
    case 'receiver-mount':
      return piece.attributes.reachM;
    case 'winch-line-synthetic':
    case 'winch-line-steel':
    case 'recovery-point':
    case 'winch':
    case 'ground-anchor':
    case 'line-fitting':
    case 'lifting-jack':
    case 'damper':
    case 'chocks':
    case 'gloves':
    case 'eye-protection':
    case 'shovel':
    case 'traction-boards':
    case 'tool':
    case 'repair-strap':
      return 0;
    default: {
      const never: never = piece;
      return never;
    }
  }
}
