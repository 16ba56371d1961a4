import type { Term } from '../../explanation/term.ts';
import { breakingRatioAt, type LinePullLimit, stopRatio, utilisationAt } from '../../moment/margins.ts';
import type { Moment } from '../../moment/moment.ts';
import { worstState } from '../../moment/places.ts';
import { count, type Figure, force, length, percent, ratio } from '../../quantity/format.ts';
import type { Place } from '../../resolved/place.ts';
import type { ResolvedRig } from '../../resolved/resolved-rig.ts';
import type { Judged } from '../ask/judged.ts';
import { bracketed, ownerName } from '../ask/speak.ts';
import { whereOf } from '../report/report-figures.ts';
import { actFigures } from './act-terms.ts';
import { advantageTerm } from './advantage-term.ts';
import { breakFigures } from './break-terms.ts';
import { drawnFigures } from './drawn-terms.ts';
import { driveFiguresExplained } from './drive-terms.ts';
import { explainPlaceOf, limitsOfPlace, loadTerm } from './explain-place.ts';
import { holdFigures } from './hold-terms.ts';
import { effortTermOf, greatestPullTerm, methodTerm, plannedEffortTerm, plannedLinePull, pullTerm } from './pull-terms.ts';
import { explained, measured, type ReportFigure } from './report-figure.ts';
import { sourceTerm } from './span-terms.ts';

/** Every figure of a judged case's report. Nothing is worked out until one is asked to explain itself, and nothing solved again. */
export function figuresOf(judged: Judged): readonly ReportFigure[] {
  const { rig, start } = judged;
  return [
    ...pullFigures(start),
    ...limitFigures(judged),
    ...actFigures(judged),
    ...effortFigures(rig),
    ...driveFiguresExplained(judged),
    ...drawnFigures(judged),
    ...holdFigures(start),
    ...breakFigures(judged),
    ...rig.places.flatMap((place) => (isTold(judged, place) ? [...placeFigures(start, place, ''), ...worstFigures(judged, place)] : [])),
  ];
}

/** How one figure of a case's report was worked out; undefined where the report has no such figure. */
export function explainFigure(judged: Judged, path: string): Term | undefined {
  return figuresOf(judged)
    .find((entry) => entry.path === path)
    ?.explain();
}

function pullFigures(moment: Moment): readonly ReportFigure[] {
  const { rig, plannedPullN, greatestPullN, advantage, states, drives } = moment;
  const { pullN } = rig;
  const figures: ReportFigure[] = [];
  if (pullN !== undefined) figures.push(explained('pullN', 'Pull needed', force(pullN), () => pullTerm(rig)));
  const most = states.planned.find(({ scale }) => scale === plannedPullN);
  if (plannedPullN !== undefined && most)
    figures.push(explained('plannedPullN', 'Planned line pull', force(plannedPullN), () => plannedLinePull(moment, most)));
  const [first] = drives;
  if (greatestPullN !== undefined && first)
    figures.push(explained('greatestPullN', 'Greatest line pull', force(greatestPullN), () => greatestPullTerm(moment, first)));
  for (const motion of ['hauling', 'frictionless', 'lowering'] as const) {
    const gain = advantage?.[motion];
    if (gain !== undefined)
      figures.push(explained(`advantage.${motion}`, `Advantage, ${motion}`, ratio(gain), () => advantageTerm(moment, motion)));
  }
  if (advantage) {
    const shares = Math.max(
      1,
      drives.reduce((sum, { share }) => sum + share, 0),
    );
    const figure = ratio(advantage.frictionless / shares);
    figures.push(
      explained('ropePerTravel', 'Rope hauled for a metre of travel', figure, () => ({
        label: 'Rope hauled for a metre of travel',
        figure,
        reason: 'by virtual work',
        how: {
          operation: 'quotient',
          of: [advantageTerm(moment, 'frictionless'), { label: '÷ shares of all drives', figure: ratio(shares) }],
        },
      })),
    );
  }
  return figures;
}

function limitFigures({ limit }: Judged): readonly ReportFigure[] {
  if (limit === undefined) return [];
  return [
    explained('linePullLimit.pullN', 'Line-pull limit', force(limit.pullN), () => lineLimitTerm(limit.moment, limit)),
    measured('linePullLimit.atM', 'Where on the way it is least', length(limit.moment.travelM), 'the moment with the least limit'),
  ];
}

/** The largest line pull: the working limit of the place that sets it ÷ what a newton of line pull puts on it. */
function lineLimitTerm(moment: Moment, { pullN, place }: LinePullLimit): Term {
  const worst = worstState(moment, place.load, moment.states.unit);
  const one: Term = { label: 'one newton of line pull', figure: force(1) };
  const { limit } = keptTo(moment, place);
  const per: Term = worst
    ? { ...sourceTerm(moment, place.load, worst, one), label: `÷ load on it for a newton of line pull, ${worst.balance.motion}` }
    : one;
  return {
    label: 'Line-pull limit',
    reason: `set by ${ownerName(place)}`,
    figure: force(pullN),
    how: {
      operation: 'quotient',
      of: [
        limit ?? { label: 'Working limit', figure: force(moment.places.wllN[place.index] ?? 0) },
        { ...per, figure: ratio(per.figure.si) },
      ],
    },
  };
}

/** What a place keeps to in the line-pull limit. */
function keptTo(moment: Moment, place: LinePullLimit['place']): { readonly limit?: Term | undefined } {
  const { limitN, wllN } = moment.places;
  const own = limitN[place.index];
  if (own === undefined || own === wllN[place.index]) return limitsOfPlace(moment, place);
  const slips = place.slipsN !== undefined;
  return { limit: { label: slips ? 'Load at which it slips' : 'Nothing on record says what it carries', figure: force(own) } };
}

function effortFigures(rig: ResolvedRig): readonly ReportFigure[] {
  const { effort } = rig;
  if (effort.kind !== 'estimated') return [];
  const sorted = [...effort.methods].sort((a, b) => a.pullN - b.pullN).map(methodTerm);
  const middle = Math.floor(sorted.length / 2);
  const pair = sorted.length % 2 === 1 ? sorted.slice(middle, middle + 1) : sorted.slice(middle - 1, middle + 1);
  const median: Term = {
    label: 'Median of the methods',
    figure: force(effort.medianN),
    how: {
      operation: 'quotient',
      of: [
        { label: 'Sum of the middle ones', figure: force(effort.medianN * pair.length), how: { operation: 'sum', of: pair } },
        { label: '÷ how many', figure: count(pair.length) },
      ],
    },
  };
  const edge = (label: string, figure: Figure, operation: 'least' | 'greatest') => (): Term => ({
    label,
    figure,
    how: { operation, of: sorted },
  });
  return [
    explained('effort.lowN', 'Lowest method', force(effort.lowN), edge('Lowest method', force(effort.lowN), 'least')),
    explained('effort.medianN', 'Median of the methods', force(effort.medianN), () => median),
    explained('effort.highN', 'Highest method', force(effort.highN), edge('Highest method', force(effort.highN), 'greatest')),
    explained('effort.plannedN', 'Planned by the estimate', force(effort.plannedN), () => plannedEffortTerm(rig)),
    ...effort.methods.flatMap((method) => [
      explained(`effort.methods[${method.id}].pullN`, method.id, force(method.pullN), () => methodTerm(method)),
      ...method.terms.map((term, index) =>
        explained(`effort.methods[${method.id}].terms[${index}].pullN`, term.label, force(term.pullN), () => effortTermOf(term)),
      ),
    ]),
  ];
}

/** Whether a place is in the report: there at the start, or at some other moment. */
const isTold = ({ start, places }: Judged, { index }: Place): boolean =>
  start.places.present[index] === 1 || places[index]?.planned !== undefined || places[index]?.greatest !== undefined;

/** A place where it is worst on the way. */
function worstFigures({ places }: Judged, place: Place): readonly ReportFigure[] {
  const { planned, greatest } = places[place.index] ?? {};
  const at = `places[${place.id}].worst`;
  const fields = (list: readonly string[]) => (figure: ReportFigure) => list.some((field) => figure.path === `${at}.${field}`);
  const own = (moment: Moment | undefined, list: readonly string[], metre: string) =>
    moment === undefined
      ? []
      : [
          ...placeFigures(moment, place, '.worst').filter(fields(list)),
          measured(`${at}.${metre}`, 'Where on the way it is worst', length(moment.travelM), 'the moment in which it is worst'),
        ];
  return [
    ...own(planned, ['plannedN', 'wllN', 'utilisation'], 'plannedAtM'),
    ...own(greatest, ['greatestN', 'mbsN', 'breakingRatio'], 'greatestAtM'),
  ];
}

function placeFigures(moment: Moment, place: Place, which: '' | '.worst'): readonly ReportFigure[] {
  const { places, rig } = moment;
  const at = (field: string) => `places[${place.id}]${which}.${field}`;
  const name = `${ownerName(place)}${bracketed(whereOf(moment, place))}`;
  const missing = (label: string): Term => ({ label, figure: force(Number.NaN) });
  const whole = () => explainPlaceOf(moment, place);
  const figures: ReportFigure[] = [
    explained(at('stopRatio'), `${name}: least margin`, ratio(stopRatio(rig, place)), () => stopTerm(rig, place)),
  ];
  const add = (field: string, label: string, figure: Figure, explain: () => Term | undefined) => {
    if (!Number.isNaN(figure.si)) figures.push(explained(at(field), `${name}: ${label}`, figure, () => explain() ?? missing(label)));
  };
  const figureOf = (list: Float64Array) => force(list[place.index] ?? Number.NaN);
  const [utilisation, breakingRatio] = [utilisationAt(moment, place), breakingRatioAt(moment, place)];
  add('plannedN', 'planned load', figureOf(places.plannedN), () => loadTerm(moment, place, 'planned'));
  add('greatestN', 'greatest load', figureOf(places.greatestN), () => loadTerm(moment, place, 'greatest'));
  add('wllN', 'working limit', figureOf(places.wllN), () => limitsOfPlace(moment, place).limit);
  add('mbsN', 'breaking strength', figureOf(places.mbsN), () => limitsOfPlace(moment, place).breaking);
  add('utilisation', 'share used', percent(utilisation), () =>
    quotient('Planned load ÷ working limit', percent(utilisation), whole().planned, whole().limit),
  );
  add('breakingRatio', 'breaking strength ÷ greatest load', ratio(breakingRatio), () =>
    quotient('Breaking strength ÷ greatest load', ratio(breakingRatio), whole().breaking, whole().greatest),
  );
  return figures;
}

function quotient(label: string, figure: Figure, above: Term | undefined, below: Term | undefined): Term | undefined {
  return above && below ? { label, figure, how: { operation: 'quotient', of: [above, below] } } : undefined;
}

function stopTerm({ policy }: ResolvedRig, place: Place): Term {
  const row = place.ownLine ? policy.limits.ownLineMargin : policy.limits.breakingMargin;
  return { label: 'Least breaking strength ÷ greatest load', figure: ratio(row.value), source: row.source };
}
