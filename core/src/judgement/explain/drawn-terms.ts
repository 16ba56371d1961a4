import type { Term } from '../../explanation/term.ts';
import type { LoadState, Moment } from '../../moment/moment.ts';
import { worstState } from '../../moment/places.ts';
import { angle, force, length } from '../../quantity/format.ts';
import { keyWords } from '../../quantity/key-words.ts';
import { pointWords } from '../../rig/line-words.ts';
import { holdsBack } from '../../rig/site-geometry.ts';
import type { Judged } from '../ask/judged.ts';
import { loadForce, pointLoads, pulleysAt, strandsAt } from '../report/drawing-facts.ts';
import { advantageTerm } from './advantage-term.ts';
import { linePullOf } from './explain-place.ts';
import { plannedLinePull } from './pull-terms.ts';
import { explained, measured, type ReportFigure } from './report-figure.ts';
import { sourceTerm } from './span-terms.ts';

const GEOMETRY = 'from the solved geometry';

/** Strands, pulleys, points, zones and joints: what the drawing shows. */
export function drawnFigures({ rig, start, release }: Judged): readonly ReportFigure[] {
  return [
    ...strandFigures(start),
    ...pulleysAt(start).flatMap(({ chainId, strandAngleRad }) =>
      strandAngleRad === undefined
        ? []
        : [measured(`pulleys[${chainId}].strandAngleRad`, 'Angle between the strands', angle(strandAngleRad), GEOMETRY)],
    ),
    ...pointLoads(start).map(({ pointId, sizeN }) =>
      measured(
        `pointLoads[${pointId}].sizeN`,
        `Load on ${pointWords(rig.subject.rig, pointId)}`,
        force(sizeN),
        'sum of the strands and chains that pull there',
      ),
    ),
    ...loadFigures(start),
    ...release.zones.flatMap(({ lineId, circles }) =>
      circles.map(({ radiusM }, index) =>
        measured(
          `zones[${lineId}].circles[${index}].radiusM`,
          'Radius to keep clear',
          length(radiusM),
          `${rig.policy.care.zoneFactor.value} × the longer strand that meets there`,
        ),
      ),
    ),
    ...rig.fits.flatMap(({ sizeM, openingM, kind }, index) => [
      ...(sizeM === undefined
        ? []
        : [measured(`fits[${index}].sizeM`, `${keyWords(kind)}: what goes in`, length(sizeM), 'from the register')]),
      ...(openingM === undefined
        ? []
        : [measured(`fits[${index}].openingM`, `${keyWords(kind)}: opening`, length(openingM), 'from the register')]),
    ]),
  ];
}

function strandFigures(moment: Moment): readonly ReportFigure[] {
  const { states, rig } = moment;
  const lines = rig.lines.map(({ line }) => line.id);
  return strandsAt(moment).flatMap(({ lineId, index, lengthM, plannedN, greatestN }) => {
    const at = `strands[${lineId}.${index}]`;
    const source = { kind: 'span', line: lines.indexOf(lineId), span: index } as const;
    const term = (list: readonly LoadState[], check: 'planned' | 'greatest') => (): Term => {
      const worst = worstState(moment, source, list);
      const figure = force((check === 'planned' ? plannedN : greatestN) ?? 0);
      return worst ? sourceTerm(moment, source, worst, linePullOf(moment, worst, check)) : { label: 'Tension', figure };
    };
    return [
      measured(`${at}.lengthM`, 'Length of the strand', length(lengthM), GEOMETRY),
      ...(plannedN === undefined ? [] : [explained(`${at}.plannedN`, 'Planned tension', force(plannedN), term(states.planned, 'planned'))]),
      ...(greatestN === undefined
        ? []
        : [explained(`${at}.greatestN`, 'Greatest tension', force(greatestN), term(states.greatest, 'greatest'))]),
    ];
  });
}

function loadFigures(moment: Moment): readonly ReportFigure[] {
  const load = loadForce(moment);
  const [shown] = moment.states.planned;
  if (load === undefined || shown === undefined) return [];
  const back = holdsBack(moment.rig.rig);
  const along: Term = {
    label: 'Along its travel',
    figure: force(load.alongN),
    how: {
      operation: 'product',
      of: [
        plannedLinePull(moment, shown),
        { ...advantageTerm(moment, shown.balance.motion), label: '× what one newton gives at the load' },
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
