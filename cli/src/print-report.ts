import {
  type Case,
  counted,
  drivingSpeed,
  endWords,
  force,
  formatFigure,
  length,
  type PlaceReport,
  percent,
  type ReaderUnits,
  type Report,
  ratio,
  type Severity,
  strandSentence,
  wordsOf,
  write,
} from '@wainrope/core';

const VERDICTS: { readonly [V in Report['verdict']]: string } = {
  clear: 'CLEAR',
  'clear-judged': 'CLEAR, judged',
  watch: 'WATCH',
  stop: 'STOP',
};
const SEVERITIES: { readonly [S in Severity]: string } = { stop: 'Stop', fix: 'Fix', caution: 'Caution', note: 'Note' };

/** A report for a person at a terminal. */
export function printReport(subject: Case, report: Report, units: ReaderUnits): string {
  return [...head(subject, report, units), '', ...path(report, units), '', ...findings(report, units), '', ...CAUTIONS].join('\n');
}

const CAUTIONS = [
  'Figures are estimates. The lowest marked limit and the maker’s instructions win. Keep everyone clear of the line.',
  'A rated load cell and a trained person beat any estimate; where a licensed operator is needed, call one.',
];

function head(subject: Case, report: Report, units: ReaderUnits): readonly string[] {
  const figure = (value: number | undefined) => (value === undefined ? 'not known' : formatFigure(force(value), units));
  const weakest = report.places.find(({ id }) => id === report.weakestPlaceId);
  const sentence = weakest && strandSentence(report, weakest);
  const limitBy = report.places.find(({ id }) => id === report.linePullLimit?.placeId);
  const { drum } = report;
  return [
    `${VERDICTS[report.verdict]}  ${subject.name}  (as of ${report.asOf}${report.goodUntil ? `, good until ${report.goodUntil}` : ''})`,
    `Pull needed ${figure(report.pullN)}; line pull ${figure(report.plannedPullN)} planned, ${figure(report.greatestPullN)} at the greatest`,
    ...extent(report, units),
    ...(weakest
      ? [`Weakest: ${label(weakest)}${report.weakestAtM ? `, at ${formatFigure(length(report.weakestAtM), units)} of the way` : ''}`]
      : []),
    ...(sentence ? [write(sentence, units)] : []),
    ...(report.linePullLimit && limitBy ? [`Line-pull limit ${figure(report.linePullLimit.pullN)}, set by ${label(limitBy)}`] : []),
    ...(drum.lineOutM === undefined
      ? []
      : [
          `Line out ${formatFigure(length(drum.lineOutM), units)}${drum.layer === undefined ? '' : `, layer ${drum.layer}, ${drum.wrapsLeft?.toFixed(1)} wraps left (${drum.wrapsWanted} asked for)`}`,
        ]),
  ];
}

/** Over how much of the act the verdict is. */
function extent({ startOnly, pull, runUp }: Report, units: ReaderUnits): readonly string[] {
  const metres = (value: number) => formatFigure(length(value), units);
  if (startOnly) return ['Only the start of the pull was checked.'];
  if (runUp)
    return [
      `Over the peak of the run-up, ${formatFigure(drivingSpeed(runUp.attempts.at(-1)?.speedMPerS ?? 0), units)}${runUp.chosen ? '' : ' as proposed'}.`,
    ];
  const asked = pull.askedM === undefined ? '' : ` of ${metres(pull.askedM)}`;
  return [`Over ${metres(pull.reachedM)}${asked} of pull: ${endWords[pull.end].toLowerCase()}.`];
}

function label({ tag, name, where }: PlaceReport): string {
  return [tag, name, where && `(${where})`].filter(Boolean).join(' ');
}

function path(report: Report, units: ReaderUnits): readonly string[] {
  const cell = (value: number | undefined, as = force) => (value === undefined ? '–' : formatFigure(as(value), units));
  const rows = report.places.map((place) => [
    `${place.id === report.weakestPlaceId ? '>' : ' '} ${label(place)}`,
    cell(place.utilisation, percent),
    cell(place.worst?.plannedN ?? place.plannedN),
    cell(place.worst?.wllN ?? place.wllN),
    cell(place.worst?.utilisation, percent),
    cell(place.worst?.plannedAtM, length),
    cell(place.worst?.greatestN),
    cell(place.worst?.mbsN),
    cell(place.worst?.breakingRatio, ratio),
  ]);
  const table = [['  Load path', 'start', 'planned', 'limit', 'worst', 'at', 'greatest', 'breaks', '×'], ...rows];
  const widths = (table[0] ?? []).map((_, column) => Math.max(...table.map((row) => (row[column] ?? '').length)));
  return table.map((row) =>
    row.map((text, column) => (column === 0 ? text.padEnd(widths[0] ?? 0) : text.padStart(widths[column] ?? 0))).join('  '),
  );
}

function findings(report: Report, units: ReaderUnits): readonly string[] {
  if (report.findings.length === 0) return ['No findings.'];
  return report.findings.flatMap((finding) => {
    const head = finding.undecided ? 'Question' : SEVERITIES[counted(finding)];
    const words = wordsOf(finding);
    const detail = write(words.detail, units);
    const from = (finding.fromM ?? 0) > 0 ? `, from ${formatFigure(length(finding.fromM ?? 0), units)} of the way` : '';
    return [`${head}: ${write(words.title, units)}${from} [${finding.code}]`, ...(detail ? [`    ${detail}`] : []), `    ${words.why}`];
  });
}
