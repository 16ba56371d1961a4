import type { MotorAt } from '../winch/burst-plan.ts';
import type { Act, Curves } from './act.ts';

/** The figures of an act at one instant; newtons, shares 0…1 and above. What is not known is missing. */
export interface TimelinePoint {
  readonly atM: number;
  readonly timeS?: number;
  /** What the first drive is planned to pull, and what it can get to. */
  readonly linePullN?: number;
  readonly greatestPullN?: number;
  /** What it may pull on the layer that works. */
  readonly ratedN?: number;
  /** Largest share of a working limit. */
  readonly share?: number;
  /** Largest stop ratio ÷ breaking ratio at the greatest pull, of all places but drums: above 1 something may break. */
  readonly breakingShare?: number;
  readonly heatC?: number;
  readonly chargeShare?: number;
  /** Whether a rest of the motor ends here. */
  readonly rested?: true;
}

/** An act from first tension to its end, as it is played. */
export interface Timeline {
  readonly points: readonly TimelinePoint[];
  /** The metres that were looked at, in order, each once: between them the moment of the nearest is shown. */
  readonly stationsM: readonly number[];
  /** The winch whose motor is followed, by its tag where it has one: that of the first line. */
  readonly motorTag?: string;
  /** Hottest that the motor may run by the policy, °C. */
  readonly hottestC: number;
}

/** More points than this are thinned out; rests, jumps and ends stay. */
const MOST_POINTS = 400;

/** The whole of an act as a line of instants, in order. With a motor on record they have their time, rests among them. */
export function timelineOf(act: Act): Timeline {
  const { curves, work, rig } = act;
  const [first] = work.filter((entry) => 'plan' in entry && entry.state.drive.index === 0);
  const plan = first && 'plan' in first && first.plan.kind === 'planned' ? first.plan : undefined;
  const drive = rig.drives[0];
  const tag = drive?.kind === 'winch' ? drive.winch?.tag : undefined;
  const trace = act.startOnly === undefined ? plan?.trace : undefined;
  const points = trace
    ? timed(curves, trace, rig.policy.electric.ambientC.value)
    : curves.travelM.map((_, index) => pointAt(curves, index, 0));
  return {
    points: thinned(points),
    stationsM: [...new Set(act.stations.map(({ travelM }) => travelM))],
    ...(trace && tag !== undefined && { motorTag: tag }),
    hottestC: rig.policy.electric.hottestC.value,
  };
}

function timed(curves: Curves, trace: readonly MotorAt[], ambientC: number): readonly TimelinePoint[] {
  const begins = trace[0]?.chargeShare;
  const cold = { ...pointAt(curves, 0, 0), timeS: 0, heatC: ambientC };
  return [
    begins === undefined ? cold : { ...cold, chargeShare: begins },
    ...trace.map(({ stretch, share, clockS, heatC, chargeShare, rested }) => ({
      ...pointAt(curves, stretch, share),
      timeS: clockS,
      heatC,
      ...(chargeShare !== undefined && { chargeShare }),
      ...(rested && { rested }),
    })),
  ];
}

/** The figures some share of the way from one entry of the curves to the next. */
function pointAt(
  { travelM, linePullN, greatestPullN, highestShare, breaking, loadShares }: Curves,
  index: number,
  share: number,
): TimelinePoint {
  const between = (list: readonly number[]): number => {
    const from = list[index] ?? Number.NaN;
    return share === 0 ? from : from + ((list[index + 1] ?? from) - from) * share;
  };
  const linePull = between(linePullN);
  return {
    atM: between(travelM),
    ...known('linePullN', linePull),
    ...known('greatestPullN', between(greatestPullN)),
    ...known('ratedN', linePull / between(loadShares[0] ?? [])),
    ...known('share', between(highestShare)),
    ...known('breakingShare', between(breaking)),
  };
}

const known = <K extends string>(key: K, value: number): { readonly [P in K]?: number } =>
  (Number.isFinite(value) ? { [key]: value } : {}) as { readonly [P in K]?: number };

/** Metres nearer than this are one. */
const SAME_M = 1e-9;

function thinned(points: readonly TimelinePoint[]): readonly TimelinePoint[] {
  const every = Math.ceil(points.length / MOST_POINTS);
  if (every <= 1) return points;
  const most = points.reduce((best, { share = 0 }, index) => (share > (points[best]?.share ?? 0) ? index : best), 0);
  const isAt = (index: number, atM: number) => Math.abs((points[index]?.atM ?? Number.NaN) - atM) < SAME_M;
  const stands = (index: number, { atM }: TimelinePoint) => isAt(index - 1, atM) || isAt(index + 1, atM);
  return points.filter((point, index) => index % every === 0 || index === points.length - 1 || index === most || stands(index, point));
}
