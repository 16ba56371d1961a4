import type { CycleBin } from './cycle-bins.ts';
import { BIN_SHARE } from './cycle-bins.ts';

/** Slope of the usual strength-against-cycles line by what a piece is made of; typical trade figures. */
export const USAGE_EXPONENTS = { steel: 5, fibre: 8 } as const;
export type UsageMaterial = keyof typeof USAGE_EXPONENTS;

/**
 * How much a piece has been used, Σ nᵢ·(Sᵢ/MBS)^m, each bin by its upper edge, which is the careful reading. Relative: it compares pieces
 * of one kind, and says nothing of how long one will last. 0 for a piece that carried nothing.
 */
export function usageIndex(bins: readonly CycleBin[], material: UsageMaterial): number {
  const exponent = USAGE_EXPONENTS[material];
  return bins.reduce((sum, { bin, cycles }) => sum + cycles * ((bin + 1) * BIN_SHARE) ** exponent, 0);
}
