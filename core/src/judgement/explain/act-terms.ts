import type { HandHaul } from '../../pull/hand-haul.ts';
import { angle, count, drivingSpeed, type Figure, force, length, percent, ratio, time } from '../../quantity/format.ts';
import type { Judged } from '../ask/judged.ts';
import { pullReport, runUpReport } from '../report/pull-report.ts';
import type { AttemptReport } from '../report/report.ts';
import { measured, type ReportFigure } from './report-figure.ts';

const BY_RUN = 'by running the pull step by step';
const BY_TWO_BODIES = 'by running two bodies and the ropes between them over time; never below the closed form';

/** The figures of the act as a whole: those that a run gives stand for themselves, each with how they were found. */
export function actFigures(judged: Judged): readonly ReportFigure[] {
  return [...pullFigures(judged), ...runUpFigures(judged), ...leftFigures(judged)];
}

type Row = readonly [string, string, ((value: number) => Figure) | undefined, string];

/** The entries of a record that are numbers, by rows of field, label, unit and reason. */
function told(at: string, record: object, rows: readonly Row[]): readonly ReportFigure[] {
  const fields: { readonly [key: string]: unknown } = { ...record };
  return rows.flatMap(([field, label, unit, reason]) => {
    const value = fields[field];
    return typeof value === 'number' && unit ? [measured(`${at}.${field}`, label, unit(value), reason)] : [];
  });
}

function pullFigures(judged: Judged): readonly ReportFigure[] {
  const pull = pullReport(judged);
  const weakest = judged.weakest?.moment.travelM;
  const GUESS = 'a guess by the team’s table';
  return [
    ...(weakest === undefined ? [] : [measured('weakestAtM', 'Where on the way the weakest piece is worst', length(weakest), BY_RUN)]),
    ...told('pull', pull, [
      ['askedM', 'How far the load has to go', length, 'stated'],
      ['reachedM', 'How far it comes', length, BY_RUN],
      ['resets', 'Times the grip is moved', count, BY_RUN],
      ['plannedN', 'Largest planned line pull on the way', force, BY_RUN],
      ['plannedAtM', 'Where that is', length, BY_RUN],
      ['sidewaysN', 'Largest pull across the way', force, BY_RUN],
      ['sidewaysAtM', 'Where that is', length, BY_RUN],
      ['downwardN', 'Largest downward pull at the load', force, BY_RUN],
      ['downwardAtM', 'Where that is', length, BY_RUN],
      ['haulMin', 'Minutes of hauling and resting', count, 'by running the heat and charge model burst by burst'],
      ['riggingMin', 'Minutes of rigging', count, GUESS],
    ]),
    ...told('pull.lastDrum', pull.lastDrum, [
      ['ratedN', 'Rated pull at the end', force, 'by the layer then worked'],
      ['greatestN', 'Greatest pull at the end', force, 'by the layer then worked'],
      ['lineOutM', 'Line out at the end', length, BY_RUN],
      ['layer', 'Layer at the end', count, BY_RUN],
      ['usableM', 'Line that may be out', length, 'rope less the wraps to leave, or the line’s own mark where that comes first'],
      ['wrapsLeft', 'Wraps left at the end', ratio, BY_RUN],
      ['wrapsWanted', 'Wraps to leave', count, 'the maker’s number, else the team’s'],
    ]),
    ...pull.hands.flatMap((haul) => handFigures(`pull.hands[${haul.lineId}]`, haul)),
    ...pull.events.flatMap((event, index) => [
      measured(`pull.events[${index}].atM`, event.kind, length(event.atM), BY_RUN),
      ...told(`pull.events[${index}].data`, event.data, [
        ['layer', 'layer', count, BY_RUN],
        ['count', 'how many', count, BY_RUN],
        ['angleRad', 'angle', angle, 'the team’s table'],
        ['seconds', 'seconds', time, BY_RUN],
      ]),
    ]),
  ];
}

function handFigures(at: string, haul: HandHaul): readonly ReportFigure[] {
  return [
    ...told(at, haul, [
      ['people', 'People at the rope', count, 'stated'],
      ['neededPeople', 'People that it takes', count, 'largest planned pull ÷ what one person pulls, up to the next whole one'],
      ['eachN', 'Pull of each of them, at most', force, 'largest planned pull ÷ people at the rope'],
      ['neededM', 'Rope needed, at most', length, BY_RUN],
      ['ropeM', 'Rope in the line', length, 'the lengths on record'],
      ['minutes', 'Minutes of hauling', count, 'rope taken in and grips moved back, each by the team’s table'],
    ]),
    ...haul.throws.flatMap((one, index) =>
      told(`${at}.throws[${index}]`, one, [
        ['fromM', 'A throw begins', length, BY_RUN],
        ['toM', 'It ends', length, BY_RUN],
        ['ropeM', 'Rope taken in by it', length, BY_RUN],
      ]),
    ),
  ];
}

function runUpFigures(judged: Judged): readonly ReportFigure[] {
  const plan = runUpReport(judged);
  if (plan === undefined) return [];
  return [
    ...told('runUp', plan, [
      ['proposedMPerS', 'Greatest speed in order', drivingSpeed, 'the fastest whose two checks keep every piece in order'],
      ['accelerationMPerS2', 'Acceleration of the run-up', ratio, 'the team’s, or what the wheels give'],
      ['slackM', 'Slack laid back', length, 'stated, else speed² ÷ twice the acceleration'],
      ['neededSlackM', 'Slack that the speed asks for', length, 'speed² ÷ twice the acceleration'],
      ['mostSlackM', 'Slack that can be laid back', length, 'length of the ropes less what stays out'],
      ['offHeadingRad', 'Angle off the heading', angle, 'in plan, between the line and the way out'],
      ['restMin', 'Minutes of rest between pulls', count, 'the team’s table'],
    ]),
    ...plan.attempts.flatMap((attempt, index) => attemptFigures(`runUp.attempts[${index}]`, attempt)),
    ...attemptFigures('runUp.beyond', plan.beyond),
  ];
}

const attemptFigures = (at: string, attempt: AttemptReport): readonly ReportFigure[] =>
  told(at, attempt, [
    ['share', 'Share of the fastest', ratio, 'rising evenly from a half'],
    ['speedMPerS', 'Speed', drivingSpeed, 'share × the fastest'],
    ['slackM', 'Slack and run-up', length, 'speed² ÷ twice the acceleration'],
    ['peakN', 'Peak as planned', force, BY_TWO_BODIES],
    ['greatestN', 'Peak of the greatest check', force, BY_TWO_BODIES],
    ['peakS', 'When it peaks', time, BY_TWO_BODIES],
    ['movedM', 'How far it moves the load', length, BY_TWO_BODIES],
    ['utilisation', 'Largest share of a limit', percent, 'peak on the place ÷ its limit'],
    ['breakingRatio', 'Least breaking strength ÷ peak', ratio, 'of the greatest check'],
    ['breaksAtS', 'When it breaks', time, BY_TWO_BODIES],
  ]);

function leftFigures({ release: { left } }: Judged): readonly ReportFigure[] {
  return left.flatMap((entry, index) => [
    ...told(`left[${index}]`, entry, [
      ['atM', 'Looked at here', length, 'start and end of the way'],
      ['runsByN', 'By how much it runs', force, 'its weight down the slope less what holds it'],
    ]),
    ...entry.strained.flatMap((place, order) =>
      told(`left[${index}].strained[${order}]`, place, [
        ['loadN', 'Load at rest', force, 'the rest of the rig in balance with the load on the slope'],
        ['mbsN', 'Breaking strength', force, 'as it stands here'],
      ]),
    ),
  ]);
}
