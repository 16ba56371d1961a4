import {
  type Case,
  drivingSpeed,
  endWords,
  type Figure,
  force,
  type GearFacts,
  keyWords,
  legWords,
  length,
  type RichText,
  type ToldReport,
} from '@wainrope/core';
import { day } from '../../shell/days.ts';
import { verdictWords } from '../../shell/VerdictMark.tsx';
import { pullRows } from '../pull/pull-rows.ts';
import { type CardGroup, cardPieces } from './card-pieces.ts';
import { cardSteps } from './card-steps.ts';
import { drawingSvg, paces } from './drawing-svg.ts';

export interface CardInput {
  readonly name: string;
  /** The saved version, and whether what is printed differs from it. */
  readonly version: number;
  readonly changed: boolean;
  readonly teamName: string;
  readonly subject: Case;
  readonly report: ToldReport;
  readonly gear: ReadonlyMap<string, GearFacts>;
  readonly imperial: boolean;
  readonly figure: (figure: Figure) => string;
  readonly text: (text: RichText) => string;
}

const SIGNALS = [
  ['Pull', 'Arm up, forearm circling'],
  ['Slowly', 'The same, with a flat hand over it'],
  ['Stop', 'Both arms wide: anybody may give it'],
  ['Slack', 'Arm down, forearm circling'],
] as const;

const CAUTIONS = [
  'Wainrope computes; it does not make a recovery safe. Figures are estimates.',
  'The lowest marked limit and the maker’s instructions win. A rated load cell and a trained person beat any estimate.',
  'The line is live from the moment it is connected: nobody crosses it or stands inside a bend.',
  'Local rules on recovery, payment, trees and land apply; where a licensed operator is needed, call one.',
];

/** How tightly a card is set: size of its text in points, and whether pieces and steps begin on a page of their own. */
export interface CardSetting {
  readonly textPt: number;
  readonly apart: boolean;
}

/** From the roomiest down: a card is printed in the first setting in which it takes no more than two pages. */
export const cardSettings: readonly CardSetting[] = [
  { textPt: 13, apart: true },
  { textPt: 12, apart: true },
  { textPt: 12, apart: false },
  { textPt: 11, apart: false },
  { textPt: 10, apart: false },
  { textPt: 9, apart: false },
];

/** The card for the field as a document, readable at arm’s length. */
export function fieldCard(input: CardInput, { textPt, apart }: CardSetting): object {
  const { name, version, changed, teamName, report, subject } = input;
  const which = changed ? `version ${version} with changes that are not saved` : `version ${version}`;
  const { rig } = subject;
  const svg = drawingSvg({ rig, report, size: { width: 760, height: 400 }, imperial: input.imperial, figure: input.figure });
  const strands = paces(report, (lineId, index) => legWords(rig, { lineId, index }), input.figure);
  return {
    pageSize: 'A4',
    pageMargins: [28, 24, 28, 28],
    info: { title: name },
    defaultStyle: { fontSize: textPt, lineHeight: 1.1 },
    styles: { head: { fontSize: textPt + 2.5, bold: true, margin: [0, textPt / 2, 0, 2] } },
    footer: (page: number, pages: number) => ({
      text: `${teamName} · ${name}, ${which} · ${day(subject.asOf)} · page ${page} of ${pages}`,
      fontSize: 9,
      margin: [28, 6],
    }),
    content: [
      {
        columns: [
          { text: name, fontSize: 22, bold: true },
          { text: verdictWords[report.verdict].toUpperCase(), fontSize: 26, bold: true, alignment: 'right', width: 'auto' },
        ],
      },
      limitBlock(input),
      { svg, width: 538, margin: [0, 4] },
      ...openWarnings(input),
      {
        columnGap: 18,
        columns: [
          [{ text: 'To pace out', style: 'head' }, table(['strand', 'length', 'paces', 'carries'], strands)],
          [{ text: 'Signals', style: 'head' }, table(['say', 'show'], SIGNALS)],
        ],
      },
      { text: 'Who stands where', style: 'head' },
      ...whoStands(input),
      { text: 'Pieces, in the order of rigging', style: 'head', ...(apart && { pageBreak: 'before' }) },
      piecesTable(cardPieces({ rig, gear: input.gear, figure: input.figure }), textPt),
      ...onTheWay(input),
      { text: 'Steps', style: 'head' },
      { ol: [...cardSteps({ rig, report, schools: input.subject.policy.schools, figure: input.figure })] },
      { text: 'Cautions', style: 'head' },
      { ul: CAUTIONS, fontSize: Math.min(10.5, textPt) },
    ],
  };
}

/** One table of all pieces, numbered through, with a row for each place. */
function piecesTable(groups: readonly CardGroup[], textPt: number): object {
  let number = 0;
  const body = groups.flatMap(({ title, pieces }) => [
    [{ text: title, colSpan: 4, bold: true, fontSize: textPt - 1 }, '', '', ''],
    ...pieces.map(({ tag, name, way }) => {
      number += 1;
      return [String(number), { text: tag, bold: true }, name, { text: way, fontSize: textPt - 1 }];
    }),
  ]);
  return {
    layout: { hLineWidth: () => 0.5, vLineWidth: () => 0, hLineColor: () => '#8d8577', paddingTop: () => 1.5, paddingBottom: () => 1 },
    table: { widths: ['auto', 'auto', 'auto', '*'], dontBreakRows: true, body },
  };
}

/** What happens on the way, with its metres; of a run-up, its attempts. */
function onTheWay({ report, figure, text }: CardInput): readonly object[] {
  const { runUp, pull } = report;
  if (runUp) {
    const rows = runUp.attempts.map(({ speedMPerS, slackM, peakN, freed }, index) => [
      String(index + 1),
      figure(drivingSpeed(speedMPerS)),
      figure(length(slackM)),
      figure(force(peakN)),
      freed ? 'comes free' : 'stays stuck',
    ]);
    return [
      { text: 'Attempts', style: 'head' },
      table(['', 'speed', 'slack and run-up', 'peak', 'by the reckoning'], rows),
      {
        text: `Never faster than the last. Between two pulls ${runUp.restMin} minutes of rest; stop for good if nothing moves.`,
        fontSize: 11,
      },
    ];
  }
  if (report.startOnly) return [{ text: 'Only the start of this pull has been checked.', bold: true, margin: [0, 4, 0, 0] }];
  const rows = pullRows(report)
    .slice(0, MOST_ON_THE_WAY)
    .map(({ atM, words }) => [figure(length(atM)), text(words)]);
  return [
    { text: 'On the way', style: 'head' },
    table(['after', 'what happens'], [...rows, [figure(length(pull.reachedM)), endWords[pull.end]]]),
  ];
}

/** Rows that a card has room for. */
const MOST_ON_THE_WAY = 10;

function limitBlock({ report, figure }: CardInput): object {
  const limit = report.linePullLimit?.pullN;
  return {
    margin: [0, 4, 0, 0],
    columns: [
      [
        { text: 'Line pull: never more than', fontSize: 11 },
        { text: limit === undefined ? 'not known' : figure(force(limit)), fontSize: 30, bold: true },
      ],
      [
        { text: 'Expected at the drum', fontSize: 11 },
        { text: report.plannedPullN === undefined ? 'not known' : figure(force(report.plannedPullN)), fontSize: 22, bold: true },
      ],
      [
        { text: 'Keep everyone out within', fontSize: 11 },
        { text: zoneWords(report, figure), fontSize: 22, bold: true },
      ],
    ],
  };
}

/** A rig that cannot be worked out has no zone on record: that is said, never 0. */
function zoneWords(report: ToldReport, figure: CardInput['figure']): string {
  return report.zones.length === 0 ? 'not known' : figure(length(zoneRadius(report)));
}

export const zoneRadius = ({ zones, swept }: Pick<ToldReport, 'zones' | 'swept'>): number =>
  Math.max(0, ...[...zones, ...swept].flatMap(({ circles }) => circles.map(({ radiusM }) => radiusM)));

function whoStands({ subject: { rig }, figure }: CardInput): readonly object[] {
  const people = rig.bodies.filter((body) => body.kind === 'person');
  if (people.length === 0)
    return [{ text: 'Nobody is placed on the plan yet: settle operator, signaller and drum watcher before the line is connected.' }];
  return [
    table(
      ['who', 'duty', 'where'],
      people.map(({ label, duty, inVehicleId, shelter, xM, yM }) => {
        const cab = rig.bodies.find(({ id }) => id === inVehicleId)?.label;
        const load = rig.bodies.find(({ id }) => id === rig.load.bodyId);
        const off = load ? `${figure(length(Math.hypot(xM - load.xM, yM - load.yM)))} from ${load.label}` : '';
        return [label, keyWords(duty), cab ? `in the cab of ${cab}` : shelter ? `behind ${shelter}` : off];
      }),
    ),
  ];
}

/** What still stands against the plan is printed on the card too. */
function openWarnings({ report, text }: CardInput): readonly object[] {
  const open = report.findings.filter(({ severity, undecided }) => undecided || severity === 'stop' || severity === 'fix');
  if (open.length === 0) return [];
  return [
    { text: 'Still open', style: 'head' },
    { ul: open.slice(0, 12).map((finding) => text(finding.title)), fontSize: 11 },
  ];
}

function table(heads: readonly string[], rows: readonly (readonly string[])[]): object {
  return {
    layout: 'lightHorizontalLines',
    table: {
      headerRows: 1,
      widths: heads.map((_, index) => (index === heads.length - 1 ? '*' : 'auto')),
      body: [heads.map((head) => ({ text: head, fontSize: 10 })), ...rows],
    },
  };
}
