import type { RopeLawKind } from '../gear/classes/materials.ts';
import type { Policy } from '../policy/policy.ts';

export type RopeLaw = Policy['stretch']['laws'][RopeLawKind];

/** Elongation of a rope under a force, 0 or more: ε_b·(F ÷ MBS)^(1/p). `mbsN` is the nominal strength, never a derated one. */
export function elongationAt(law: RopeLaw, mbsN: number, forceN: number): number {
  return law.elongation * (Math.max(0, forceN) / mbsN) ** (1 / law.exponent);
}

/**
 * Energy in a rope of a length under a force, joules: E = MBS·L·ε_b/(p + 1)·(ε/ε_b)^(p+1), from F(ε) = MBS·(ε/ε_b)^p.
 * Metres and newtons, above 0. Source: the integral of the rope law; its figures by the policy.
 */
export function ropeEnergyJ(law: RopeLaw, mbsN: number, lengthM: number, forceN: number): number {
  const share = elongationAt(law, mbsN, forceN) / law.elongation;
  return ((mbsN * lengthM * law.elongation) / (law.exponent + 1)) * share ** (law.exponent + 1);
}

/** Mass of a rope, kg, from its diameter and length in metres. */
export function ropeMassKg(law: RopeLaw, diameterM: number, lengthM: number): number {
  return law.massPerDiameterSquared * diameterM * diameterM * lengthM;
}

/** Momentum √(2Em) in N·s and upper-bound speed √(2E/m) in m/s of a mass that takes up all of an energy. */
export function flightOf(energyJ: number, massKg: number): { readonly momentumNs: number; readonly speedMPerS: number } {
  return { momentumNs: Math.sqrt(2 * energyJ * massKg), speedMPerS: Math.sqrt((2 * energyJ) / massKg) };
}
