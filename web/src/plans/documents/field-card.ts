import {
  apartFrom,
  type Body,
  type Case,
  drivingSpeed,
  endWords,
  type Figure,
  FOOT_M,
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
import { directionWords } from '../site/directions.ts';
import { type CardGroup, cardPieces } from './card-pieces.ts';
import { cardSteps } from './card-steps.ts';
import { drawingSvg } from './drawing-svg.ts';

export interface CardInput {
  readonly name: string;
  /** The saved version, and whether what is printed differs from it. */
  readonly version: number;
  readonly changed: boolean;
  readonly teamName: string;
  /** Whom the team calls if somebody is hurt, in its own words; empty where nobody has set it. */
  readonly callIfHurt: string;
  /** Who is trained in first aid, by name. */
  readonly firstAiders: readonly string[];
  readonly subject: Case;
  readonly report: ToldReport;
  readonly gear: ReadonlyMap<string, GearFacts>;
  readonly imperial: boolean;
  /** Pace of whoever prints it, metres. */
  readonly paceM: number;
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
  /** Height of the drawing, points. */
  readonly drawingPt: number;
}

/** Nothing on a card is smaller: it is read at arm's length, in rain. */
export const LEAST_PT = 11;
/** Width of what is printed, points; and points a pixel of the drawing, whose smallest words are 14 pixels high. */
const PRINTED_PT = 549;
const PT_PER_PIXEL = LEAST_PT / 14;

/** From the roomiest down: a card is printed in the first setting in which it takes no more than two pages. */
export const cardSettings: readonly CardSetting[] = [
  { textPt: 13, apart: true, drawingPt: 300 },
  { textPt: 12, apart: true, drawingPt: 300 },
  { textPt: 12, apart: false, drawingPt: 280 },
  { textPt: LEAST_PT, apart: false, drawingPt: 280 },
  { textPt: LEAST_PT, apart: false, drawingPt: 240 },
  { textPt: LEAST_PT, apart: false, drawingPt: 200 },
];

/** The card for the field as a document, readable at arm’s length. */
export function fieldCard(input: CardInput, { textPt, apart, drawingPt }: CardSetting): object {
  const { name, version, changed, teamName, report, subject } = input;
  const which = changed ? `version ${version} with changes that are not saved` : `version ${version}`;
  const { rig } = subject;
  const svg = drawingSvg({
    rig,
    report,
    size: { width: Math.floor(PRINTED_PT / PT_PER_PIXEL), height: Math.round(drawingPt / PT_PER_PIXEL) },
    imperial: input.imperial,
    figure: input.figure,
  });
  return {
    pageSize: 'A4',
    pageMargins: [23, 20, 23, 26],
    info: { title: name },
    defaultStyle: { fontSize: textPt, lineHeight: 1.05 },
    styles: { head: { fontSize: textPt + 2.5, bold: true, margin: [0, textPt / 3, 0, 1] } },
    footer: (page: number, pages: number) => ({
      text: `${teamName} · ${name}, ${which} · ${day(subject.asOf)} · page ${page} of ${pages}`,
      fontSize: LEAST_PT,
      margin: [23, 4],
    }),
    content: [
      {
        columns: [
          { text: name, fontSize: 22, bold: true },
          { text: verdictWords[report.verdict].toUpperCase(), fontSize: 26, bold: true, alignment: 'right', width: 'auto' },
        ],
      },
      limitBlock(input),
      { svg, width: PRINTED_PT, margin: [0, 4] },
      ...openWarnings(input),
      {
        columnGap: 18,
        columns: [
          [
            { text: `To pace out, ${paceWords(input)} a pace`, style: 'head' },
            table(['strand', 'length', 'paces', 'carries'], pacedStrands(input)),
          ],
          [{ text: 'Signals', style: 'head' }, table(['say', 'show'], SIGNALS)],
        ],
      },
      { text: 'Who stands where', style: 'head' },
      ...whoStands(input),
      { text: 'Pieces, in the order of rigging', style: 'head', ...(apart && { pageBreak: 'before' }) },
      piecesTable(cardPieces({ rig, gear: input.gear, figure: input.figure })),
      ...onTheWay(input),
      { text: 'Steps', style: 'head' },
      { ol: [...cardSteps({ rig, report, schools: input.subject.policy.schools, figure: input.figure })] },
      { text: 'If somebody is hurt', style: 'head' },
      ...ifHurt(input),
      { text: 'Cautions', style: 'head' },
      { ul: CAUTIONS },
    ],
  };
}

/** One table of all pieces, numbered through, with a row for each place. */
function piecesTable(groups: readonly CardGroup[]): object {
  let number = 0;
  const body = groups.flatMap(({ title, pieces }) => [
    [{ text: title, colSpan: 4, bold: true }, '', '', ''],
    ...pieces.map(({ tag, name, way }) => {
      number += 1;
      return [String(number), { text: tag, bold: true }, name, way];
    }),
  ]);
  return {
    layout: { hLineWidth: () => 0.5, vLineWidth: () => 0, hLineColor: () => '#8d8577', paddingTop: () => 1.5, paddingBottom: () => 1 },
    table: { widths: ['auto', 'auto', 'auto', '*'], dontBreakRows: true, body },
  };
}

/** What happens on the way, with its metres; of a run-up, its attempts. */
function onTheWay(input: CardInput): readonly object[] {
  const { report, figure, text } = input;
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
        fontSize: LEAST_PT,
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
    ...byHand(input),
  ];
}

/** How a haul by hand goes: who, how often, and what holds the load meanwhile. */
function byHand({ report, figure }: CardInput): readonly object[] {
  return report.pull.hands.flatMap(({ people, neededPeople, throws, heldBy }) => {
    const need = neededPeople === undefined ? '' : `, ${neededPeople} needed`;
    const ends = throws.map(({ toM }) => figure(length(toM))).join(', ');
    const held = report.places.filter(({ subject }) => heldBy.includes(subject.id)).map(({ tag, name }) => tag ?? name);
    const goes =
      throws.length > 1 ? ` ${throws.length} throws, to ${ends}: hold the load, move the grips back, take up the rope again.` : '';
    const holds = held.length > 0 ? ` ${held.join(', ')} holds it when hands let go.` : ' Nothing holds it when hands let go.';
    return [{ text: `By hand: ${people} at the rope${need}.${goes}${holds}`, margin: [0, 3, 0, 0] }];
  });
}

/** What is said to those who help: where it is, and what is written in before the line is connected. */
function ifHurt({ subject: { rig }, callIfHurt, firstAiders }: CardInput): readonly object[] {
  const { origin } = rig;
  const people = rig.bodies.filter((body) => body.kind === 'person').map(({ label }) => label);
  // Those who are on the plan are there; of the others nobody knows.
  const there = firstAiders.filter((name) => people.includes(name));
  const where = origin
    ? `Position: ${origin.latitudeDeg.toFixed(5)}, ${origin.longitudeDeg.toFixed(5)} (latitude, longitude).`
    : `Position: ${BLANK} (none is on the plan: write it in before you begin).`;
  return [
    {
      text: 'Stop. Ease the tension. Nobody goes in before the line is slack and what can roll is chocked. Then one helps, one calls, one meets whoever comes.',
    },
    { text: where, margin: [0, 2, 0, 0] },
    {
      text: [
        'Call: ',
        { text: callIfHurt || `${BLANK} (write it in before you begin)`, bold: callIfHurt !== '' },
        '. First aid: ',
        { text: there.join(', ') || `${BLANK} (nobody on the plan is known to be trained)`, bold: there.length > 0 },
        '.',
      ],
    },
  ];
}

/** A line to write on. */
const BLANK = '______________________';

/** Rows that a card has room for. */
const MOST_ON_THE_WAY = 10;

function limitBlock({ report, figure }: CardInput): object {
  const limit = report.linePullLimit?.pullN;
  return {
    margin: [0, 4, 0, 0],
    columns: [
      [
        { text: 'Line pull: never more than', fontSize: LEAST_PT },
        { text: limit === undefined ? 'not known' : figure(force(limit)), fontSize: 30, bold: true },
      ],
      [
        { text: 'Expected at the drum', fontSize: LEAST_PT },
        { text: report.plannedPullN === undefined ? 'not known' : figure(force(report.plannedPullN)), fontSize: 22, bold: true },
      ],
      [
        { text: 'Keep everyone out within', fontSize: LEAST_PT },
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

const paceWords = ({ paceM, imperial }: CardInput) => (imperial ? `${(paceM / FOOT_M).toFixed(1)} ft` : `${paceM.toFixed(2)} m`);
function pacesWords(lengthM: number, paceM: number): string {
  const paces = Math.round(lengthM / paceM);
  return paces === 1 ? '1 pace' : `${paces} paces`;
}

/** How far it is between what is paced out, strand by strand. */
const pacedStrands = ({ subject: { rig }, report, figure, paceM }: CardInput): readonly (readonly string[])[] =>
  report.strands.map(({ lineId, index, lengthM, plannedN }) => [
    legWords(rig, { lineId, index }),
    figure(length(lengthM)),
    pacesWords(lengthM, paceM),
    plannedN === undefined ? '–' : figure(force(plannedN)),
  ]);

/** How far from what is to be moved somebody stands, and which way. */
function farFrom(load: Body, person: Body, { figure, paceM }: CardInput): string {
  const { gapM } = apartFrom(load, person);
  return `${figure(length(gapM))} (${pacesWords(gapM, paceM)}) from ${load.label}, ${directionWords(load, person)}`;
}

function whoStands(input: CardInput): readonly object[] {
  const { rig } = input.subject;
  const people = rig.bodies.filter((body) => body.kind === 'person');
  const load = rig.bodies.find(({ id }) => id === rig.load.bodyId);
  if (people.length === 0)
    return [{ text: 'Nobody is placed on the plan yet: settle operator, signaller and drum watcher before the line is connected.' }];
  return [
    table(
      ['who', 'duty', 'where'],
      people.map((person) => {
        const { label, duty, inVehicleId, shelter } = person;
        const cab = rig.bodies.find(({ id }) => id === inVehicleId)?.label;
        const where = [shelter && `behind ${shelter}`, load && farFrom(load, person, input)].filter(Boolean).join(', ');
        return [label, keyWords(duty), cab ? `in the cab of ${cab}` : where];
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
    { ul: open.slice(0, 12).map((finding) => text(finding.title)), fontSize: LEAST_PT },
  ];
}

function table(heads: readonly string[], rows: readonly (readonly string[])[]): object {
  return {
    layout: 'lightHorizontalLines',
    table: {
      headerRows: 1,
      widths: heads.map((_, index) => (index === heads.length - 1 ? '*' : 'auto')),
      body: [heads.map((head) => ({ text: head, fontSize: LEAST_PT })), ...rows],
    },
  };
}
