/** What a pull put on one piece, as far as it is known; newtons, 0 or more. */
export interface LoadFigures {
  readonly plannedN: number;
  /** With the winch at its greatest: what was possible, not what happened. */
  readonly greatestN?: number;
  /** Measured. */
  readonly peakN?: number;
  /** A person says that the winch stalled, so that the greatest did happen. */
  readonly stalled: boolean;
}

/** What a piece may carry on the day of the pull. */
export interface LoadLimits {
  /** Working limit with the derates of its condition and role then. */
  readonly wllEffN: number;
  /** Working limit and breaking strength by its marks alone. */
  readonly wllN: number;
  readonly mbsN: number;
}

/** The load that counts as having happened: the measured peak; else the greatest where the winch stalled; else what was planned. */
export function happenedN({ plannedN, greatestN, peakN, stalled }: LoadFigures): number {
  if (peakN !== undefined) return peakN;
  return stalled && greatestN !== undefined ? Math.max(plannedN, greatestN) : plannedN;
}

/** `inspect`: over the working limit, an inspection is due now. `quarantine`: far over, it is out of use at once. */
export const overloads = ['none', 'inspect', 'quarantine'] as const;
export type Overload = (typeof overloads)[number];

/** Figures that differ by rounding alone are the same: a billionth. */
const ROUNDING = 1 + 1e-9;

/** Above this a piece goes into quarantine: half its breaking strength, or 1.25 times its working limit where that is more; no derates. */
export const quarantineAboveN = ({ wllN, mbsN }: Pick<LoadLimits, 'wllN' | 'mbsN'>): number => Math.max(0.5 * mbsN, 1.25 * wllN);

/** Whether a load was an overload. At a bound exactly it was none. All limits above 0. */
export function overloadOf(loadN: number, limits: LoadLimits): Overload {
  if (loadN > quarantineAboveN(limits) * ROUNDING) return 'quarantine';
  return loadN > limits.wllEffN * ROUNDING ? 'inspect' : 'none';
}
