import { drivingSpeed, endWords, force, formatFigure, length, percent, type Report, ratio, wordsOf, write } from '@wainrope/core';
import { type PullFile, type RunUpFile, simulatePull, simulateRunUp } from '@wainrope/core/judging';
import { type Answer, asJson, CODES, done, notUnderstood, type Options, refused } from './answer.ts';
import { readFileText } from './read-subject.ts';

/** Runs the pull of a rig file from first tension to the last metre. */
export function simulate(text: string, options: Options): Answer {
  const file = readFileText(text, options);
  if (!file.ok) return notUnderstood(file.faults, options.json);
  const { report, file: pull } = simulatePull(file.value.case);
  if (options.csv) return done(pullCsv(pull), CODES[report.verdict]);
  return done(options.json ? asJson(pull) : pullText(report, pull, options), CODES[report.verdict]);
}

/** Runs the attempts of a pull with a run-up. */
export function shock(text: string, options: Options): Answer {
  const file = readFileText(text, options);
  if (!file.ok) return notUnderstood(file.faults, options.json);
  const { report, file: runUp } = simulateRunUp(file.value.case);
  if (runUp === undefined) return refused(noRunUp(report), options);
  if (options.csv) return done(runUpCsv(runUp), CODES[report.verdict]);
  return done(options.json ? asJson(runUp) : runUpText(report, runUp, options), CODES[report.verdict]);
}

function noRunUp({ findings }: Report): string {
  const why = findings.find(({ code }) => code === 'run-up-unknown');
  return why
    ? write(wordsOf(why).title)
    : 'This rig has no run-up: no line of it is drawn by a towing vehicle that runs up. Use “simulate”.';
}

/** What happens on the way, with its metres, then the worst of every piece. */
function pullText(report: Report, { name, askedM, reachedM, end, events, startOnly }: PullFile, { units }: Options): string {
  const metres = (value: number) => formatFigure(length(value), units).padStart(10);
  const found = report.findings
    .filter(({ fromM, undecided }) => !undecided && (fromM ?? 0) > 0)
    .map((finding) => ({ atM: finding.fromM ?? 0, words: `${write(wordsOf(finding).title, units)} [${finding.code}]` }));
  const rows = [...found, ...events].sort((a, b) => a.atM - b.atM);
  const asked = askedM === undefined ? '' : ` of ${formatFigure(length(askedM), units)}`;
  return [
    `${report.verdict.toUpperCase()}  ${name}`,
    startOnly
      ? 'Only the start has been checked: nobody has said how far the load has to go.'
      : `Goes ${formatFigure(length(reachedM), units)}${asked}: ${endWords[end].toLowerCase()}.`,
    '',
    ...rows.map(({ atM, words }) => `${metres(atM)}  ${words}`),
    ...(rows.length > 0 ? [''] : []),
    ...report.places.flatMap(({ tag, name: own, where, utilisation, worst, id }) => {
      if (worst?.utilisation === undefined) return [];
      const label = [tag, own, where && `(${where})`].filter(Boolean).join(' ');
      const start = utilisation === undefined ? '–' : formatFigure(percent(utilisation), units);
      const breaks =
        worst.breakingRatio === undefined
          ? ''
          : `, breaks at ${formatFigure(ratio(worst.breakingRatio), units)} × at ${formatFigure(length(worst.greatestAtM ?? 0), units)}`;
      const mark = id === report.weakestPlaceId ? '>' : ' ';
      return [
        `${mark} ${label}: ${formatFigure(percent(worst.utilisation), units)} at ${formatFigure(length(worst.plannedAtM ?? 0), units)} (start ${start})${breaks}`,
      ];
    }),
  ].join('\n');
}

const cell = (value: number | undefined): string => (value === undefined ? '' : String(value));
const csv = (head: readonly string[], rows: readonly (readonly (number | undefined)[])[]): string =>
  [head.join(','), ...rows.map((row) => row.map(cell).join(','))].join('\r\n');

/** One row a moment; units in the headings. */
function pullCsv({ rows }: PullFile): string {
  const lines = (rows[0]?.drives ?? []).map(({ lineId }) => lineId);
  const head = [
    ...['travel_m', 'pull_N', 'line_pull_N', 'greatest_pull_N', 'utilisation', 'breaking', 'sideways_N', 'downward_N'],
    ...lines.flatMap((id) => [`${id}_line_out_m`, `${id}_layer`, `${id}_load_share`]),
  ];
  return csv(
    head,
    rows.map(({ travelM, pullN, linePullN, greatestPullN, utilisation, breaking, sidewaysN, downwardN, drives }) => [
      ...[travelM, pullN, linePullN, greatestPullN, utilisation, breaking, sidewaysN, downwardN],
      ...drives.flatMap(({ lineOutM, layer, loadShare }) => [lineOutM, layer, loadShare]),
    ]),
  );
}

function runUpText(report: Report, { name, chosen, proposedMPerS, attempts }: RunUpFile, { units }: Options): string {
  const proposed = proposedMPerS === undefined ? 'No speed is safe here.' : `At most ${formatFigure(drivingSpeed(proposedMPerS), units)}.`;
  return [
    `${report.verdict.toUpperCase()}  ${name}`,
    `${proposed} ${chosen ? 'The speed was chosen.' : 'Nobody has chosen a speed: the proposal is judged.'}`,
    '',
    ...attempts.map(({ speedMPerS, slackM, peakN, greatestN, freed, movedM, verdict }, index) =>
      [
        `${index + 1}. ${formatFigure(drivingSpeed(speedMPerS), units)}, ${formatFigure(length(slackM), units)} of slack and run-up: ${verdict}`,
        `   peak ${formatFigure(force(peakN), units)}, greatest check ${formatFigure(force(greatestN), units)}`,
        `   ${freed ? `comes free and moves ${formatFigure(length(movedM), units)}` : 'does not come free'}`,
      ].join('\n'),
    ),
  ].join('\n');
}

/** All attempts one under the other; `check` 0 as planned, 1 the greatest. */
function runUpCsv({ attempts }: RunUpFile): string {
  const rows = attempts.flatMap(({ planned, greatest }, attempt) =>
    [planned, greatest].flatMap((samples, check) =>
      samples.map(({ timeS, tensionN, towingMPerS, stuckMPerS, movedM }) => [
        attempt + 1,
        check,
        timeS,
        tensionN,
        towingMPerS,
        stuckMPerS,
        movedM,
      ]),
    ),
  );
  return csv(['attempt', 'check', 'time_s', 'tension_N', 'towing_m_per_s', 'stuck_m_per_s', 'moved_m'], rows);
}
