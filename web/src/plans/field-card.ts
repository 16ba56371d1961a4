import { type Case, type Figure, force, type GearFacts, length, type Report, type RichText, type Rig, roleWords } from '@wainrope/core';
import { verdictWords } from '../shell/VerdictMark.tsx';
import { cardSteps } from './card-steps.ts';
import { drawingSvg, paces } from './drawing-svg.ts';
import { legName } from './plan-sheet-layout.ts';

export interface CardInput {
  readonly name: string;
  /** The saved version, and whether what is printed differs from it. */
  readonly version: number;
  readonly changed: boolean;
  readonly teamName: string;
  readonly subject: Case;
  readonly report: Report;
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

/** The card for the field as a document: two pages, readable at arm’s length. */
export function fieldCard(input: CardInput): object {
  const { name, version, changed, teamName, report, subject } = input;
  const which = changed ? `version ${version} with changes that are not saved` : `version ${version}`;
  const { rig } = subject;
  const svg = drawingSvg({ rig, report, size: { width: 760, height: 400 }, imperial: input.imperial, figure: input.figure });
  return {
    pageSize: 'A4',
    pageMargins: [28, 26, 28, 30],
    info: { title: name },
    defaultStyle: { fontSize: 12, lineHeight: 1.1 },
    styles: { head: { fontSize: 15, bold: true, margin: [0, 8, 0, 2] } },
    footer: (page: number, pages: number) => ({
      text: `${teamName} · ${name}, ${which} · ${subject.asOf} · page ${page} of ${pages}`,
      fontSize: 9,
      margin: [28, 8],
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
      { text: 'To pace out', style: 'head' },
      table(
        ['strand', 'length', 'paces', 'carries'],
        paces(report, (lineId, index) => strandName(rig, lineId, index), input.figure),
      ),
      { text: 'Who stands where', style: 'head' },
      ...whoStands(input),
      { text: 'Pieces, in the order of rigging', style: 'head', pageBreak: 'before' },
      table(['', 'tag', 'piece', 'as', 'from its body outward'], pieceRows(input)),
      { text: 'Steps', style: 'head' },
      { ol: [...cardSteps({ rig, report, figure: input.figure })], fontSize: 12.5 },
      { text: 'Signals', style: 'head' },
      table(['say', 'show'], SIGNALS),
      ...openWarnings(input),
      { text: 'Cautions', style: 'head' },
      { ul: CAUTIONS, fontSize: 10.5 },
    ],
  };
}

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
function zoneWords(report: Report, figure: CardInput['figure']): string {
  return report.zones.length === 0 ? 'not known' : figure(length(zoneRadius(report)));
}

export const zoneRadius = ({ zones }: Pick<Report, 'zones'>): number =>
  Math.max(0, ...zones.flatMap(({ circles }) => circles.map(({ radiusM }) => radiusM)));

function strandName(rig: Rig, lineId: string, index: number): string {
  const leg = legName(rig, { lineId, index });
  return rig.lines.length > 1 ? `${leg} of ${lineId.replaceAll('-', ' ')}` : leg;
}

function whoStands({ subject: { rig } }: CardInput): readonly object[] {
  const people = rig.bodies.filter((body) => body.kind === 'person');
  if (people.length === 0)
    return [{ text: 'Nobody is placed on the plan yet: settle operator, signaller and drum watcher before the line is connected.' }];
  return [
    table(
      ['who', 'duty', 'where'],
      people.map(({ label, duty, inVehicleId, shelter, xM, yM }) => {
        const cab = rig.bodies.find(({ id }) => id === inVehicleId)?.label;
        const load = rig.bodies.find(({ id }) => id === rig.load.bodyId);
        const off = load ? `${Math.hypot(xM - load.xM, yM - load.yM).toFixed(0)} m from ${load.label}` : '';
        return [label, duty.replaceAll('-', ' '), cab ? `in the cab of ${cab}` : shelter ? `behind ${shelter}` : off];
      }),
    ),
  ];
}

interface Placed {
  readonly gearId: string | undefined;
  readonly role: string;
  readonly where: string;
}

function pieceRows({ subject: { rig }, gear }: CardInput): readonly (readonly string[])[] {
  const inOrder: readonly Placed[] = [
    ...(rig.backAnchors ?? []).flatMap(({ pieces, id }) =>
      pieces.map(({ gearId, role }) => ({ gearId, role: roleWords[role], where: id.replaceAll('-', ' ') })),
    ),
    ...rig.chains.flatMap((chain) =>
      chain.pieces.map(({ gearId, role }) => ({ gearId, role: roleWords[role], where: chainPlace(rig, chain) })),
    ),
    ...rig.lines.flatMap(({ drive }) =>
      drive.kind === 'winch' ? [{ gearId: drive.use.gearId, role: 'winch', where: 'pull out by hand in free spool' }] : [],
    ),
    ...rig.lines.flatMap(({ ropes, id }) =>
      ropes.map(({ gearId, role }) => ({ gearId, role: roleWords[role], where: `${id.replaceAll('-', ' ')}, to its end` })),
    ),
    ...rig.dampers.map(({ gearId, lineId, strand }) => ({ gearId, role: 'damper', where: `on the ${strandName(rig, lineId, strand)}` })),
  ];
  return inOrder.map(({ gearId, role, where }, index) => {
    const piece = gear.get(gearId ?? '');
    return [String(index + 1), piece?.tag ?? '–', piece?.name ?? 'not chosen', role, where];
  });
}

function chainPlace(rig: Rig, { from }: Rig['chains'][number]): string {
  if (from.kind === 'joint') return 'in the air, at a joint';
  const bodyId = rig.points.find(({ id }) => id === from.pointId)?.bodyId;
  return rig.bodies.find(({ id }) => id === bodyId)?.label ?? '';
}

/** What still stands against the plan is printed on the card too. */
function openWarnings({ report, text }: CardInput): readonly object[] {
  const open = report.findings.filter(({ severity, undecided }) => undecided || severity === 'stop' || severity === 'fix');
  if (open.length === 0) return [];
  return [
    { text: 'Still open', style: 'head' },
    { ul: open.slice(0, 12).map(({ title }) => text(title)), fontSize: 11 },
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
