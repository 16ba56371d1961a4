import type { Term } from '../../explanation/term.ts';
import type { GearOf } from '../../gear/gear-facts.ts';
import type { DriveState } from '../../moment/moment.ts';
import { count, current, type Figure, force, length, percent, ratio, speed, temperature, time } from '../../quantity/format.ts';
import { drumState, layerDiameterM, ropeOnLayerM } from '../../winch/drum-layers.ts';
import type { Judged } from '../ask/judged.ts';
import { greatestTerm, plannedLinePull, ratedTerm } from './pull-terms.ts';
import { explained, measured, type ReportFigure } from './report-figure.ts';

/** The figures of every drive: pulls, drum, the work to do. The first drive's drum stands in the report once more. */
export function driveFiguresExplained(judged: Judged): readonly ReportFigure[] {
  const { drives } = judged.start;
  const own = drives.flatMap((state) => {
    const at = `drives[${state.drive.line.line.id}]`;
    return [...pullsOf(judged, state, at), ...drumOf(state, at), ...workOf(judged, state, `${at}.work`)];
  });
  const [first] = drives;
  const drum = first && first.drum.kind !== 'no-winch' ? [...rated(first, 'drum'), ...drumOf(first, 'drum')] : [];
  return [...own, ...drum];
}

function rated(drive: DriveState, at: string): readonly ReportFigure[] {
  const figures: ReportFigure[] = [];
  if (drive.ratedN !== undefined) figures.push(explained(`${at}.ratedN`, 'Rated pull', force(drive.ratedN), () => ratedTerm(drive)));
  if (drive.greatestN !== undefined)
    figures.push(explained(`${at}.greatestN`, 'Greatest pull', force(drive.greatestN), () => greatestTerm(drive)));
  return figures;
}

function pullsOf({ start: moment, limit }: Judged, drive: DriveState, at: string): readonly ReportFigure[] {
  const { plannedPullN, states, rig } = moment;
  const share: Term = {
    label: '× this drive’s share',
    figure: ratio(drive.share),
    reason: rig.rig.sharing ? `stated by ${rig.rig.sharing.statedBy}` : 'by rated pulls on the working layers',
  };
  const figures: ReportFigure[] = [...rated(drive, at), explained(`${at}.share`, 'Share of the pull', ratio(drive.share), () => share)];
  const most = states.planned.find(({ scale }) => scale === plannedPullN);
  if (plannedPullN !== undefined && most) {
    const figure = force(plannedPullN * drive.share);
    figures.push(
      explained(`${at}.plannedN`, 'Planned line pull', figure, () => ({
        label: 'Planned line pull',
        figure,
        how: { operation: 'product', of: [plannedLinePull(moment, most), share] },
      })),
    );
  }
  if (limit) {
    const figure = force(limit.pullN * drive.share);
    const of: Term[] = [{ label: 'Line-pull limit of the first drive', figure: force(limit.pullN) }, share];
    figures.push(
      explained(`${at}.linePullLimitN`, 'Line-pull limit', figure, () => ({
        label: 'Line-pull limit',
        figure,
        how: { operation: 'product', of },
      })),
    );
  }
  return figures;
}

function drumOf({ drum }: DriveState, at: string): readonly ReportFigure[] {
  if (drum.kind === 'no-winch') return [];
  const figures: ReportFigure[] = [];
  if (drum.lineOutM !== undefined)
    figures.push(measured(`${at}.lineOutM`, 'Line out', length(drum.lineOutM), 'length of the path, less the extensions'));
  if (drum.kind !== 'known') return figures;
  return [
    ...figures,
    measured(`${at}.layer`, 'Working layer', count(drum.layer), 'the lowest layer that holds the rope left'),
    measured(`${at}.wrapsWanted`, 'Wraps to leave', count(drum.wrapsWanted), 'the maker’s number, else the team’s'),
    explained(`${at}.wrapsLeft`, 'Wraps left', ratio(drum.wrapsLeft), () => wrapsTerm(drum)),
    explained(`${at}.usableM`, 'Line that may be out', length(drum.usableM), () => usableTerm(drum)),
  ];
}

type KnownDrum = Extract<DriveState['drum'], { kind: 'known' }>;

const difference = (label: string, figure: Figure, of: readonly Term[]): Term => ({ label, figure, how: { operation: 'difference', of } });

/** Full layers below, and what lies on the working one. */
function wrapsTerm({ drum: sizes, lineOutM, layer, wrapsLeft }: KnownDrum): Term {
  const leftM = drumState(sizes, lineOutM)?.ropeLeftM ?? 0;
  const left = difference('Rope left on the drum', length(leftM), [
    { label: 'Rope', figure: length(sizes.ropeLengthM) },
    { label: '− line out', figure: length(lineOutM) },
  ]);
  const below = Array.from(
    { length: layer - 1 },
    (_, index): Term => ({ label: `Layer ${index + 1}`, figure: length(ropeOnLayerM(sizes, index + 1)) }),
  );
  const onItM = leftM - below.reduce((sum, term) => sum + term.figure.si, 0);
  const perWrap = Math.PI * layerDiameterM(sizes, layer);
  const onTop: Term = {
    label: `Wraps on layer ${layer}`,
    figure: ratio(onItM / perWrap),
    how: {
      operation: 'quotient',
      of: [
        difference('Rope on it', length(onItM), [left, ...below]),
        { label: '÷ rope in a wrap', figure: length(perWrap), reason: 'π × its diameter' },
      ],
    },
  };
  const full: Term = { label: 'Wraps on the full layers below', figure: ratio(wrapsLeft - onItM / perWrap) };
  return { label: 'Wraps left', figure: ratio(wrapsLeft), how: { operation: 'sum', of: [full, onTop] } };
}

function usableTerm({ drum: sizes, usableM, wrapsWanted }: KnownDrum): Term {
  return difference('Line that may be out', length(usableM), [
    { label: 'Rope', figure: length(sizes.ropeLengthM) },
    {
      label: '− what stays on the drum',
      figure: length(sizes.ropeLengthM - usableM),
      reason: `${wrapsWanted} wraps, or from the line’s own mark on where that comes first`,
    },
  ]);
}

function workOf({ work: all }: Judged, drive: DriveState, at: string): readonly ReportFigure[] {
  const work = all.find((entry) => entry.state === drive);
  if (!work || !('plan' in work) || drive.drive.kind !== 'winch' || drive.drive.winch === undefined) return [];
  const { plan, ropeM } = work;
  const motor = drive.drive.winch.attributes;
  const load = plan.loadShare;
  const figures: ReportFigure[] = [
    measured(`${at}.ropeM`, 'Rope to haul', length(ropeM), 'what the path shortens or grows by on the way'),
    explained(`${at}.currentA`, 'Current', current(plan.currentA), () => currentTerm(motor, load, plan.currentA)),
  ];
  if (plan.kind !== 'planned') return figures;
  const byRun = 'by running the heat and charge model burst by burst';
  return [
    ...figures,
    explained(`${at}.speedMPerS`, 'Line speed', speed(plan.speedMPerS), () => speedTerm(motor, load, plan.speedMPerS)),
    measured(`${at}.bursts`, 'Bursts', count(plan.bursts), byRun),
    measured(`${at}.minutes`, 'Minutes', count(plan.minutes), byRun),
    measured(
      `${at}.firstBurstS`,
      'First burst',
      time(plan.firstBurstS),
      plan.endedByHeat ? 'ended by heat' : 'by the team’s burst time, or done',
    ),
    measured(`${at}.hottestC`, 'Hottest', temperature(plan.hottestC), byRun),
    ...(plan.lowestChargeShare === undefined
      ? []
      : [measured(`${at}.lowestChargeShare`, 'Lowest charge', percent(plan.lowestChargeShare), byRun)]),
  ];
}

type Motor = GearOf<'winch'>['attributes'];

function currentTerm({ noLoadCurrentA = 0, fullLoadCurrentA = 0 }: Motor, load: number, currentA: number): Term {
  const rise = fullLoadCurrentA - noLoadCurrentA;
  const forLoad: Term = {
    label: 'Current for the load',
    figure: current(rise * load),
    how: {
      operation: 'product',
      of: [
        { label: 'Rise to the rated pull', figure: current(rise) },
        { label: '× line pull ÷ rated pull', figure: ratio(load) },
      ],
    },
  };
  const of = [{ label: 'Current without load', figure: current(noLoadCurrentA) }, forLoad];
  return { label: 'Current under this load', figure: current(currentA), how: { operation: 'sum', of } };
}

function speedTerm({ noLoadSpeedMPerMin = 0, fullLoadSpeedMPerMin = 0 }: Motor, load: number, speedMPerS: number): Term {
  const onFirst = (noLoadSpeedMPerMin - (noLoadSpeedMPerMin - fullLoadSpeedMPerMin) * load) / 60;
  const of: Term[] = [
    { label: 'Speed on the first layer', figure: speed(onFirst) },
    { label: '× layer’s diameter ÷ first layer’s', figure: ratio(speedMPerS / Math.max(1e-12, onFirst)) },
  ];
  return { label: 'Line speed', figure: speed(speedMPerS), how: { operation: 'product', of } };
}
