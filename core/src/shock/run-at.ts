/** An instant of a run-up; newtons, metres along the line, seconds from first tension, below 0 before it. */
export interface RunInstant {
  readonly timeS: number;
  readonly tensionN: number;
  /** How far the towing vehicle is past where it brings the ropes tight; below 0 short of it. */
  readonly towedM: number;
  /** How far the stuck vehicle has moved. */
  readonly movedM: number;
}

/** A run-up from standing: the speed it gets to, over as much way as there is slack, and what comes of it from first tension on. */
export interface RunUp {
  readonly speedMPerS: number;
  /** Missing where the wheels give no acceleration, so that there is no run-up to speak of. */
  readonly slackM?: number;
  /** In order, the first at first tension; never empty. */
  readonly planned: readonly RunInstant[];
}

/** How long a run-up takes before the ropes come tight, evenly faster from standing: 2s/v, seconds. */
export const runUpTakesS = ({ speedMPerS, slackM }: Pick<RunUp, 'speedMPerS' | 'slackM'>): number =>
  slackM !== undefined && speedMPerS > 0 ? (2 * slackM) / speedMPerS : 0;

/**
 * A run-up at an instant, held within it. Before first tension the towing vehicle goes evenly faster from standing, x = vt + v²t²/(4s);
 * after it, between the two instants that are known.
 */
export function runAt(run: RunUp, timeS: number): RunInstant {
  const { speedMPerS, slackM = 0, planned } = run;
  const takesS = runUpTakesS(run);
  if (timeS < 0 && takesS > 0) {
    const t = Math.max(timeS, -takesS);
    return { timeS: t, tensionN: 0, towedM: speedMPerS * t + (speedMPerS * speedMPerS * t * t) / (4 * slackM), movedM: 0 };
  }
  const after = planned.findIndex((instant) => instant.timeS >= timeS);
  const to = planned[after < 0 ? planned.length - 1 : after];
  const from = planned[after < 0 ? planned.length - 1 : Math.max(0, after - 1)];
  if (from === undefined || to === undefined) throw new Error('Broken invariant: a run-up has no instant');
  const span = to.timeS - from.timeS;
  const share = span > 0 ? (timeS - from.timeS) / span : 0;
  const between = (key: keyof RunInstant) => from[key] + (to[key] - from[key]) * share;
  return { timeS: between('timeS'), tensionN: between('tensionN'), towedM: between('towedM'), movedM: between('movedM') };
}
