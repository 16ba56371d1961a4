import type { Term } from '../../explanation/term.ts';
import { assess } from '../../moment/assess.ts';
import type { Assessment } from '../../moment/assessment.ts';
import { linePullLimit, type PlaceCheck, worstState } from '../../moment/place-check.ts';
import { count, type Figure, force, percent, ratio } from '../../quantity/format.ts';
import type { Case } from '../../rig/case.ts';
import { ownerName } from '../rule.ts';
import { advantageTerm } from './advantage-term.ts';
import { breakFigures } from './break-terms.ts';
import { drawnFigures } from './drawn-terms.ts';
import { driveFiguresExplained } from './drive-terms.ts';
import { explainPlaceOf, limitsOfPlace, loadTerm } from './explain-place.ts';
import { holdFigures } from './hold-terms.ts';
import { effortTermOf, greatestTerm, methodTerm, plannedEffortTerm, plannedLinePull, pullTerm } from './pull-terms.ts';
import { explained, type ReportFigure } from './report-figure.ts';
import { sourceTerm } from './span-terms.ts';

/** Every figure of a case's report. Nothing is worked out until one is asked to explain itself. */
export function figuresOf(subject: Case): readonly ReportFigure[] {
  const assessment = assess(subject);
  return [
    ...pullFigures(assessment),
    ...effortFigures(assessment),
    ...driveFiguresExplained(assessment),
    ...drawnFigures(assessment),
    ...holdFigures(assessment),
    ...breakFigures(assessment),
    ...assessment.checks.flatMap((check) => placeFigures(assessment, check)),
  ];
}

/** How one figure of a case's report was worked out; undefined where the report has no such figure. */
export function explainFigure(subject: Case, path: string): Term | undefined {
  return figuresOf(subject)
    .find((entry) => entry.path === path)
    ?.explain();
}

function pullFigures(assessment: Assessment): readonly ReportFigure[] {
  const { pullN, plannedPullN, greatestPullN, advantage, states, drives, checks } = assessment;
  const figures: ReportFigure[] = [];
  if (pullN !== undefined) figures.push(explained('pullN', 'Pull needed', force(pullN), () => pullTerm(assessment)));
  const most = states.planned.find(({ scale }) => scale === plannedPullN);
  if (plannedPullN !== undefined && most)
    figures.push(explained('plannedPullN', 'Planned line pull', force(plannedPullN), () => plannedLinePull(assessment, most)));
  const [first] = drives;
  if (greatestPullN !== undefined && first)
    figures.push(explained('greatestPullN', 'Greatest line pull', force(greatestPullN), () => greatestTerm(first)));
  for (const motion of ['hauling', 'frictionless', 'lowering'] as const) {
    const gain = advantage?.[motion];
    if (gain !== undefined)
      figures.push(explained(`advantage.${motion}`, `Advantage, ${motion}`, ratio(gain), () => advantageTerm(assessment, motion)));
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
          of: [advantageTerm(assessment, 'frictionless'), { label: '÷ shares of all drives', figure: ratio(shares) }],
        },
      })),
    );
  }
  const limit = linePullLimit(checks);
  if (limit) figures.push(explained('linePullLimit.pullN', 'Line-pull limit', force(limit.pullN), () => lineLimitTerm(assessment, limit)));
  return figures;
}

/** The largest line pull: the working limit of the place that sets it ÷ what a newton of line pull puts on it. */
export function lineLimitTerm(assessment: Assessment, { pullN, place }: NonNullable<ReturnType<typeof linePullLimit>>): Term {
  const worst = worstState(assessment, place.load, assessment.states.unit);
  const one: Term = { label: 'one newton of line pull', figure: force(1) };
  const { limit } = limitsOfPlace(assessment, place);
  const per: Term = worst
    ? { ...sourceTerm(assessment, place.load, worst.state, one), label: `÷ load on it for a newton of line pull, ${worst.state.motion}` }
    : one;
  return {
    label: 'Line-pull limit',
    reason: `set by ${ownerName(place)}`,
    figure: force(pullN),
    how: {
      operation: 'quotient',
      of: [limit ?? { label: 'Working limit', figure: force(place.capacity?.wllN ?? 0) }, { ...per, figure: ratio(per.figure.si) }],
    },
  };
}

function effortFigures(assessment: Assessment): readonly ReportFigure[] {
  const { effort } = assessment;
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
    explained('effort.plannedN', 'Planned by the estimate', force(effort.plannedN), () => plannedEffortTerm(assessment)),
    ...effort.methods.flatMap((method) => [
      explained(`effort.methods[${method.id}].pullN`, method.id, force(method.pullN), () => methodTerm(method)),
      ...method.terms.map((term, index) =>
        explained(`effort.methods[${method.id}].terms[${index}].pullN`, term.label, force(term.pullN), () => effortTermOf(term)),
      ),
    ]),
  ];
}

function placeFigures(assessment: Assessment, check: PlaceCheck): readonly ReportFigure[] {
  const { place, plannedN, greatestN, utilisation, breakingRatio, stopRatio } = check;
  const at = (field: string) => `places[${place.id}].${field}`;
  const name = `${ownerName(place)}${place.where ? ` (${place.where})` : ''}`;
  const missing = (label: string): Term => ({ label, figure: force(Number.NaN) });
  const whole = () => explainPlaceOf(assessment, place);
  const figures: ReportFigure[] = [
    explained(at('stopRatio'), `${name}: least margin`, ratio(stopRatio), () => stopTerm(assessment, check)),
  ];
  const add = (field: string, label: string, figure: Figure, explain: () => Term | undefined) =>
    figures.push(explained(at(field), `${name}: ${label}`, figure, () => explain() ?? missing(label)));
  if (plannedN !== undefined) add('plannedN', 'planned load', force(plannedN), () => loadTerm(assessment, place, 'planned'));
  if (greatestN !== undefined) add('greatestN', 'greatest load', force(greatestN), () => loadTerm(assessment, place, 'greatest'));
  if (place.capacity) add('wllN', 'working limit', force(place.capacity.wllN), () => limitsOfPlace(assessment, place).limit);
  if (place.capacity && place.kind !== 'drum')
    add('mbsN', 'breaking strength', force(place.capacity.mbsN), () => limitsOfPlace(assessment, place).breaking);
  if (utilisation !== undefined)
    add('utilisation', 'share used', percent(utilisation), () =>
      quotient('Planned load ÷ working limit', percent(utilisation), whole().planned, whole().limit),
    );
  if (breakingRatio !== undefined)
    add('breakingRatio', 'breaking strength ÷ greatest load', ratio(breakingRatio), () =>
      quotient('Breaking strength ÷ greatest load', ratio(breakingRatio), whole().breaking, whole().greatest),
    );
  return figures;
}

function quotient(label: string, figure: Figure, above: Term | undefined, below: Term | undefined): Term | undefined {
  return above && below ? { label, figure, how: { operation: 'quotient', of: [above, below] } } : undefined;
}

function stopTerm({ policy }: Assessment, { place, stopRatio }: PlaceCheck): Term {
  const row = place.ownLine ? policy.limits.ownLineMargin : policy.limits.breakingMargin;
  return { label: 'Least breaking strength ÷ greatest load', figure: ratio(stopRatio), source: row.source };
}
