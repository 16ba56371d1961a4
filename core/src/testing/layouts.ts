import { handAndTowLayouts } from './layouts-of-hands-and-tows.ts';
import { type LayoutCase, winchLayouts } from './layouts-of-winches.ts';

/** Every layout of the work, each as a case. */
export const layouts: readonly LayoutCase[] = [...winchLayouts, ...handAndTowLayouts];
