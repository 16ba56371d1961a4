import { handAndTowLayouts } from './hand-and-tow-layouts.ts';
import type { Layout } from './layout.ts';
import { winchLayouts } from './winch-layouts.ts';

/** Every layout of the work. */
export const layouts: readonly Layout[] = [...winchLayouts, ...handAndTowLayouts];
