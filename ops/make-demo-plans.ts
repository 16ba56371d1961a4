// Lays the demo plans out from the demo register and writes them as rig files. Run: npm run generate
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { type GearView, gearFactsOf, readRegisterRow, recogniseHeading } from '@wainrope/contract';
import {
  type Case,
  type GearFacts,
  gearIdsOf,
  judge,
  laySelfRecovery,
  type Rig,
  readRigFile,
  type SelfRecoveryLayout,
  type Situation,
  type TreeBody,
  teamStandard,
} from '@wainrope/core';
import { parse } from 'csv-parse/sync';

const demo = resolve(import.meta.dirname, '../demo');
const team = JSON.parse(readFileSync(join(demo, 'team.json'), 'utf8')) as {
  baseDate: string;
  vehicles: { name: string; massKg: number; lengthM: number; widthM: number }[];
};
const [head = [], ...rows] = parse(readFileSync(join(demo, 'register.csv'), 'utf8')) as string[][];
const columns = head.map((heading) => recogniseHeading(heading)?.column ?? heading);

const register = new Map<string, GearFacts>();
for (const cells of rows) {
  const { row, faults } = readRegisterRow(Object.fromEntries(columns.map((column, index) => [column, cells[index] ?? ''])), {
    decimal: '.',
    units: {},
  });
  if (!row) throw new Error(JSON.stringify(faults));
  const view = { ...row, gearId: row.tag, rowVersion: 1, factsRevision: 1 } as unknown as GearView;
  register.set(row.tag, gearFactsOf(view));
}

interface Scene {
  readonly file: string;
  readonly name: string;
  readonly vehicle: string;
  readonly layout: SelfRecoveryLayout;
  readonly winch: string;
  readonly returnPoint?: string;
  readonly tree: Omit<TreeBody, 'id' | 'kind' | 'leanRad' | 'state'>;
  readonly headingDeg: number;
  readonly slopeDeg: number;
  readonly uphillDeg: number;
  readonly situation: Partial<Situation>;
  readonly travelM: number;
  readonly strapHeightM: number;
  readonly chosen: { readonly [use: string]: string };
  readonly dampers: readonly string[];
  readonly answers: Rig['answers'];
}

const answered = {
  'strap-twisted.tree-strap': 'yes',
  'knot-placement.anchor-connector': 'yes',
  'knot-placement.return-connector': 'yes',
} as const;
const scenes: readonly Scene[] = [
  {
    file: 'bog-below-tarn-quarry.json',
    name: 'Bog below Tarn Quarry',
    vehicle: 'Heron',
    layout: 'doubled-back',
    winch: 'W-01',
    returnPoint: 'VP-HRL',
    tree: { label: 'Larch', xM: 14.6, yM: 4.1, trunkDiameterM: 0.38, wood: 'softwood', footing: 'moist' },
    headingDeg: 75,
    slopeDeg: 4,
    uphillDeg: 60,
    situation: { surface: 'shallow-mud', depth: 'hubs', soil: 'clay-or-bog', wet: true },
    travelM: 7,
    strapHeightM: 0.3,
    chosen: {
      'winch-line': 'WL-01',
      'tree-strap': 'TS-03',
      'anchor-connector': 'SS-01',
      pulley: 'RR-01',
      'return-connector': 'SS-04',
      'line-end': 'CL-01',
    },
    dampers: ['D-01'],
    answers: answered,
  },
  {
    file: 'plantation-ride-self-recovery.json',
    name: 'Plantation ride, out over the drain',
    vehicle: 'Heron',
    layout: 'doubled-back',
    winch: 'W-01',
    returnPoint: 'VP-HRR',
    tree: { label: 'Beech', xM: 13.2, yM: -2.6, trunkDiameterM: 0.52, wood: 'hardwood', footing: 'firm' },
    headingDeg: 100,
    slopeDeg: 3,
    uphillDeg: 100,
    situation: { surface: 'shallow-mud', depth: 'none', soil: 'loam', wet: true },
    travelM: 6,
    strapHeightM: 0.25,
    chosen: {
      'winch-line': 'WL-01',
      'tree-strap': 'TS-01',
      'anchor-connector': 'SS-02',
      pulley: 'RR-01',
      'return-connector': 'SS-09',
      'line-end': 'CL-01',
    },
    dampers: ['D-01', 'D-02'],
    answers: answered,
  },
  {
    file: 'otter-at-the-ford.json',
    name: 'Otter at the ford',
    vehicle: 'Otter',
    layout: 'doubled-back',
    winch: 'W-02',
    returnPoint: 'VP-OTL',
    tree: { label: 'Alder', xM: -2.2, yM: 12.3, trunkDiameterM: 0.34, wood: 'hardwood', footing: 'wet' },
    headingDeg: -8,
    slopeDeg: 6,
    uphillDeg: 0,
    situation: { surface: 'gravel', depth: 'none', soil: 'sand', wet: true, wheelsTurned: true },
    travelM: 5,
    strapHeightM: 0.4,
    chosen: {
      'winch-line': 'WL-02',
      'tree-strap': 'TS-02',
      'anchor-connector': 'SS-07',
      pulley: 'SB-02',
      'return-connector': 'SS-03',
      'line-end': 'CL-02',
    },
    dampers: ['D-01'],
    answers: answered,
  },
  {
    file: 'badger-on-peat-track.json',
    name: 'Badger on the peat track',
    vehicle: 'Badger',
    layout: 'straight',
    winch: 'W-03',
    tree: { label: 'Scots pine', xM: 19.5, yM: 8.4, trunkDiameterM: 0.46, wood: 'softwood', footing: 'moist' },
    headingDeg: 66,
    slopeDeg: 2,
    uphillDeg: 20,
    situation: { surface: 'bog', depth: 'none', soil: 'clay-or-bog', wet: true },
    travelM: 9,
    strapHeightM: 0.3,
    chosen: { 'winch-line': 'WL-03', 'tree-strap': 'TS-05', 'anchor-connector': 'SS-07', 'line-end': 'CL-01' },
    dampers: ['D-02'],
    answers: { 'strap-twisted.tree-strap': 'yes' },
  },
];

const rad = (degrees: number) => (degrees * Math.PI) / 180;

function rigOf(scene: Scene): Rig {
  const facts = team.vehicles.find(({ name }) => name === scene.vehicle);
  const winch = register.get(scene.winch);
  if (!facts || winch?.kind !== 'winch') throw new Error(`scene ${scene.file} names an unknown vehicle or winch`);
  const vehicle = {
    id: 'vehicle',
    kind: 'vehicle',
    label: facts.name,
    vehicleId: facts.name,
    xM: 0,
    yM: 0,
    headingRad: rad(scene.headingDeg),
    massKg: facts.massKg,
    lengthM: facts.lengthM,
    widthM: facts.widthM,
  } as const;
  const tree: TreeBody = { id: 'tree', kind: 'tree', state: 'live', leanRad: 0, ...scene.tree };
  const returnPoint = scene.returnPoint === undefined ? undefined : register.get(scene.returnPoint);
  return {
    ground: { slopeRad: rad(scene.slopeDeg), uphillRad: rad(scene.uphillDeg) },
    bodies: [vehicle, tree],
    ...laySelfRecovery({ layout: scene.layout, vehicle, tree, winch, returnPoint, strapHeightM: scene.strapHeightM, chosen: scene.chosen }),
    load: { bodyId: 'vehicle', travel: 'ahead', travelM: scene.travelM },
    situation: {
      surface: 'grass',
      depth: 'none',
      soil: 'loam',
      wet: false,
      lockedShare: 0,
      drivelineLocked: false,
      wheelsTurned: false,
      ...scene.situation,
    },
    dampers: scene.dampers.map((gearId, strand) => ({ id: `damper-${strand + 1}`, lineId: 'line', strand, gearId })),
    answers: scene.answers,
  };
}

mkdirSync(join(demo, 'plans'), { recursive: true });
for (const scene of scenes) {
  const rig = rigOf(scene);
  const gear = gearIdsOf(rig)
    .map((id) => register.get(id))
    .filter((piece) => piece !== undefined);
  const subject: Case = { kind: 'rig', name: scene.name, asOf: team.baseDate, rig, gear, policy: teamStandard };
  const file = { format: 'wainrope.rig', version: 1, case: subject };
  const checked = readRigFile(JSON.parse(JSON.stringify(file)));
  if (!checked.ok) throw new Error(JSON.stringify(checked.faults));
  writeFileSync(join(demo, 'plans', scene.file), `${JSON.stringify(file, null, 1)}\n`);
  const report = judge(subject);
  console.log(
    scene.file,
    report.verdict,
    report.weakestPlaceId,
    report.findings.map(({ code, undecided }) => (undecided ? `${code}?` : code)).join(' '),
  );
}
