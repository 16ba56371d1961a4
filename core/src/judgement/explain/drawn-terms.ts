import type { Term } from '../../explanation/term.ts';
import type { Assessment, LoadState } from '../../moment/assessment.ts';
import { worstState } from '../../moment/place-check.ts';
import { angle, force, length } from '../../quantity/format.ts';
import { loadForce, pointLoads, pulleysAt, strandsAt } from '../report/drawing-facts.ts';
import { advantageTerm } from './advantage-term.ts';
import { linePullOf } from './explain-place.ts';
import { plannedLinePull } from './pull-terms.ts';
import { explained, measured, type ReportFigure } from './report-figure.ts';
import { sourceTerm } from './span-terms.ts';

const GEOMETRY = 'from the solved geometry';

/** Strands, pulleys, points, zones and joints: what the drawing shows. */
export function drawnFigures(assessment: Assessment): readonly ReportFigure[] {
  return [
    ...strandFigures(assessment),
    ...pulleysAt(assessment).flatMap(({ chainId, strandAngleRad }) =>
      strandAngleRad === undefined
        ? []
        : [measured(`pulleys[${chainId}].strandAngleRad`, 'Angle between the strands', angle(strandAngleRad), GEOMETRY)],
    ),
    ...pointLoads(assessment).map(({ pointId, sizeN }) =>
      measured(`pointLoads[${pointId}].sizeN`, `Load on ${pointId}`, force(sizeN), 'sum of the strands and chains that pull there'),
    ),
    ...loadFigures(assessment),
    ...assessment.zones.flatMap(({ lineId, circles }) =>
      circles.map(({ radiusM }, index) =>
        measured(
          `zones[${lineId}].circles[${index}].radiusM`,
          'Radius to keep clear',
          length(radiusM),
          `${assessment.policy.care.zoneFactor.value} × the longer strand that meets there`,
        ),
      ),
    ),
    ...assessment.joints.flatMap(({ sizeM, openingM, kind }, index) => [
      ...(sizeM === undefined ? [] : [measured(`fits[${index}].sizeM`, `${kind}: what goes in`, length(sizeM), 'from the register')]),
      ...(openingM === undefined ? [] : [measured(`fits[${index}].openingM`, `${kind}: opening`, length(openingM), 'from the register')]),
    ]),
  ];
}

function strandFigures(assessment: Assessment): readonly ReportFigure[] {
  return strandsAt(assessment).flatMap(({ lineId, index, lengthM, plannedN, greatestN }) => {
    const walk = assessment.network.lines.find(({ line }) => line.id === lineId);
    const at = `strands[${lineId}.${index}]`;
    const source = { kind: 'span', line: walk?.index ?? 0, span: index } as const;
    const term = (list: readonly LoadState[], check: 'planned' | 'greatest') => (): Term => {
      const worst = worstState(assessment, source, list);
      const figure = force((check === 'planned' ? plannedN : greatestN) ?? 0);
      return worst ? sourceTerm(assessment, source, worst.state, linePullOf(assessment, worst.state, check)) : { label: 'Tension', figure };
    };
    return [
      measured(`${at}.lengthM`, 'Length of the strand', length(lengthM), GEOMETRY),
      ...(plannedN === undefined
        ? []
        : [explained(`${at}.plannedN`, 'Planned tension', force(plannedN), term(assessment.states.planned, 'planned'))]),
      ...(greatestN === undefined
        ? []
        : [explained(`${at}.greatestN`, 'Greatest tension', force(greatestN), term(assessment.states.greatest, 'greatest'))]),
    ];
  });
}

function loadFigures(assessment: Assessment): readonly ReportFigure[] {
  const load = loadForce(assessment);
  const [shown] = assessment.states.planned;
  if (load === undefined || shown === undefined) return [];
  const back = assessment.rig.purpose === 'lower' || assessment.rig.purpose === 'hold';
  const along: Term = {
    label: 'Along its travel',
    figure: force(load.alongN),
    how: {
      operation: 'product',
      of: [
        plannedLinePull(assessment, shown),
        { ...advantageTerm(assessment, shown.motion), label: '× what one newton gives at the load' },
        ...(back ? [{ label: '× against its travel', figure: { si: -1, as: 'ratio' } as const }] : []),
      ],
    },
  };
  return [
    explained('loadForce.alongN', 'Force on the load along its travel', force(load.alongN), () => along),
    measured('loadForce.sidewaysN', 'Force on the load across its travel', force(load.sidewaysN), GEOMETRY),
    measured('loadForce.upwardN', 'Force on the load upwards', force(load.upwardN), GEOMETRY),
  ];
}
