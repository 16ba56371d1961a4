import {
  type Case,
  counted,
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
    ...(weakest ? [`Weakest: ${label(weakest)}`] : []),
    ...(sentence ? [write(sentence, units)] : []),
    ...(report.linePullLimit && limitBy ? [`Line-pull limit ${figure(report.linePullLimit.pullN)}, set by ${label(limitBy)}`] : []),
    ...(drum.lineOutM === undefined
      ? []
      : [
          `Line out ${formatFigure(length(drum.lineOutM), units)}${drum.layer === undefined ? '' : `, layer ${drum.layer}, ${drum.wrapsLeft?.toFixed(1)} wraps left (${drum.wrapsWanted} asked for)`}`,
        ]),
  ];
}

function label({ tag, name, where }: PlaceReport): string {
  return [tag, name, where && `(${where})`].filter(Boolean).join(' ');
}

function path(report: Report, units: ReaderUnits): readonly string[] {
  const cell = (value: number | undefined, as = force) => (value === undefined ? '–' : formatFigure(as(value), units));
  const rows = report.places.map((place) => [
    `${place.id === report.weakestPlaceId ? '>' : ' '} ${label(place)}`,
    cell(place.plannedN),
    cell(place.wllN),
    cell(place.utilisation, percent),
    cell(place.greatestN),
    cell(place.mbsN),
    cell(place.breakingRatio, ratio),
  ]);
  const table = [['  Load path', 'planned', 'limit', 'used', 'greatest', 'breaks', '×'], ...rows];
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
    return [`${head}: ${write(words.title, units)} [${finding.code}]`, ...(detail ? [`    ${detail}`] : []), `    ${words.why}`];
  });
}
