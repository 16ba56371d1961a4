import type { GearOf } from '../gear/gear-facts.ts';
import type { Policy } from '../policy/policy.ts';

/**
 * How far from the winch its remote works, metres: the length of its lead, or the policy's reach of a wireless one. Undefined
 * where the register does not say which it is or how long its lead is.
 */
export function remoteReachM({ attributes }: GearOf<'winch'>, { zones }: Pick<Policy, 'zones'>): number | undefined {
  const { control, leadLengthM } = attributes;
  if (control === 'lead') return leadLengthM;
  return control === 'wireless' ? zones.wirelessReachM.value : undefined;
}
