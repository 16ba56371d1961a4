import type { DesignUse } from '../gear/classes/gear-class.ts';
import { type GearClass, gearClasses } from '../gear/classes/gear-classes.ts';
import type { FactoredUse } from '../policy/policy.ts';

/** The use that a class's limit is shown for on its page; undefined where a class has no such limit. */
export function usualUse(kind: GearClass): FactoredUse | undefined {
  return factored(gearClasses[kind].use);
}

function factored(use: DesignUse): FactoredUse | undefined {
  switch (use) {
    case 'anchor':
    case 'winch':
    case 'none':
      return undefined;
    default:
      return use;
  }
}

export const useWords: { readonly [U in FactoredUse]: string } = {
  'steel-hardware': 'steel hardware',
  'snatch-block': 'snatch block',
  'ring-carabiner-plate': 'ring, carabiner or plate',
  'soft-good': 'strap, soft shackle or extension',
  'winch-line-synthetic': 'winch line on its own winch',
  'winch-line-steel': 'steel winch line on its own winch',
  stretch: 'stretch rope',
  chain: 'chain',
};
