// Lays the demo plans out from the demo register and writes them as rig files. Run: npm run generate
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { type GearView, gearFactsOf, readRegisterRow, recogniseHeading } from '@wainrope/contract';
import {
  type Case,
  type GearFacts,
  gearIdsOf,
  laySelfRecovery,
  RIG_FILE_FORMAT,
  RIG_FILE_VERSION,
  type Rig,
  readRigFile,
  type TreeBody,
  teamStandard,
  type VehicleBody,
} from '@wainrope/core';
import { judge } from '@wainrope/core/judging';
import { parse } from 'csv-parse/sync';
import { rigKit } from '../core/src/testing/rig-kit.ts';
import { type Scene, scenes } from './demo-scenes.ts';

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
    isOwn: true,
  });
  if (row?.tag === undefined) throw new Error(JSON.stringify(faults));
  const view = { ...row, gearId: row.tag, rowVersion: 1, factsRevision: 1 } as unknown as GearView;
  register.set(row.tag, gearFactsOf(view));
}

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
    engine: { running: true },
    answers: scene.answers,
  };
}

const kit = rigKit([...register.values()]);

function registered(
  id: string,
  name: string,
  place: { xM: number; yM: number; headingDeg: number },
  extra: Partial<VehicleBody> = {},
): VehicleBody {
  const facts = team.vehicles.find((entry) => entry.name === name);
  if (!facts) throw new Error(`no vehicle ${name}`);
  const { massKg, lengthM, widthM } = facts;
  const { xM, yM, headingDeg } = place;
  return {
    id,
    kind: 'vehicle',
    label: name,
    vehicleId: name,
    xM,
    yM,
    headingRad: rad(headingDeg),
    massKg,
    lengthM,
    widthM,
    trackM: widthM - 0.3,
    wheelbaseM: lengthM * 0.6,
    ...extra,
  };
}

const wetMud = {
  surface: 'shallow-mud',
  depth: 'hubs',
  soil: 'clay-or-bog',
  wet: true,
  lockedShare: 0,
  drivelineLocked: false,
  wheelsTurned: false,
} as const;
const seenTo = (...ids: readonly string[]): Rig['answers'] => Object.fromEntries(ids.map((id) => [id, 'yes']));

/** A vehicle in the beck, drawn out by another that is tied back to a tree; everybody in their place. */
const beck: Rig = {
  ground: { slopeRad: rad(5), uphillRad: rad(250) },
  bodies: [
    registered('otter', 'Otter', { xM: 13, yM: 3.6, headingDeg: 255 }),
    registered(
      'heron',
      'Heron',
      { xM: 0, yM: 0, headingDeg: 75 },
      { stance: { ground: 'wet-grass', brakes: 'all', extra: { holdN: 3000, person: 'Isla Wrenfell', reason: 'chocks on both axles' } } },
    ),
    {
      id: 'alder',
      kind: 'tree',
      label: 'Alder',
      xM: -6.6,
      yM: -2.3,
      trunkDiameterM: 0.42,
      wood: 'hardwood',
      footing: 'firm',
      state: 'live',
      leanRad: 0,
    },
    { id: 'isla', kind: 'person', label: 'Isla Wrenfell', xM: -0.4, yM: 0.4, duty: 'operator', inVehicleId: 'heron', practised: true },
    { id: 'tomas', kind: 'person', label: 'Tomas Aldbrook', xM: 5, yM: -26, duty: 'signaller' },
  ],
  points: [
    { id: 'fairlead', bodyId: 'heron', label: 'fairlead', place: { kind: 'on-vehicle', forwardM: 2.25, leftM: 0, heightM: 0.78 } },
    {
      id: 'otter-left',
      bodyId: 'otter',
      label: 'front point, left',
      place: { kind: 'on-vehicle', forwardM: 2, leftM: 0.45, heightM: 0.5 },
    },
    {
      id: 'heron-right',
      bodyId: 'heron',
      label: 'front point, right',
      place: { kind: 'on-vehicle', forwardM: 2.15, leftM: -0.45, heightM: 0.55 },
    },
    { id: 'heron-tail', bodyId: 'heron', label: 'receiver', place: { kind: 'on-vehicle', forwardM: -2.3, leftM: 0, heightM: 0.5 } },
    { id: 'on-alder', bodyId: 'alder', label: 'strap on the alder', place: { kind: 'on-trunk', heightM: 0.3 } },
  ],
  chains: [
    kit.chainOf('at-otter', 'otter-left', ['VP-OTL', 'SS-01', 'RR-01']),
    kit.chainOf('at-heron', 'heron-right', ['VP-HRR', 'SS-04', 'CL-01']),
  ],
  lines: [kit.lineOf({ drive: kit.winchAt('fairlead', 'W-01'), ropes: ['WL-01'], via: ['at-otter'], to: 'at-heron' })],
  load: { bodyId: 'otter', travel: 'ahead', travelM: 5 },
  situation: wetMud,
  backAnchors: [
    {
      id: 'back',
      vehiclePointId: 'heron-tail',
      anchorPointId: 'on-alder',
      pieces: ['TS-04', 'SS-02', 'ST-02', 'SH-01', 'RM-01'].map((tag, order) => kit.useOf('back', tag, order)),
    },
  ],
  dampers: [
    { id: 'damper-1', lineId: 'line', strand: 0, gearId: 'D-01' },
    { id: 'damper-2', lineId: 'line', strand: 1, gearId: 'D-02' },
  ],
  engine: { running: true },
  answers: seenTo(
    'knot-placement.at-otter.1',
    'knot-placement.at-heron.1',
    'knot-placement.back.1',
    'strap-twisted.back.0',
    'pin-side.back.3',
    'cut-off-out-of-reach.rig',
    'held-on-park.rig',
    'no-chocks.rig',
    'owner-not-told.rig',
  ),
};

/** Two winches on one heavy vehicle, each with its own line. */
const together: Rig = {
  ground: { slopeRad: rad(3), uphillRad: rad(270) },
  bodies: [
    registered('badger', 'Badger', { xM: 16.5, yM: 1.2, headingDeg: 264 }),
    registered('heron', 'Heron', { xM: 0, yM: 2.6, headingDeg: 92 }, { stance: { ground: 'dry-gravel', brakes: 'all' } }),
    registered('otter', 'Otter', { xM: 1, yM: -3.2, headingDeg: 76 }, { stance: { ground: 'dry-gravel', brakes: 'all' } }),
    { id: 'mirren', kind: 'person', label: 'Mirren Quaile', xM: 2, yM: -28, duty: 'signaller' },
  ],
  points: [
    {
      id: 'heron-lead',
      bodyId: 'heron',
      label: 'fairlead of Heron',
      place: { kind: 'on-vehicle', forwardM: 2.25, leftM: 0, heightM: 0.78 },
    },
    {
      id: 'otter-lead',
      bodyId: 'otter',
      label: 'fairlead of Otter',
      place: { kind: 'on-vehicle', forwardM: 2.1, leftM: 0, heightM: 0.72 },
    },
    {
      id: 'badger-left',
      bodyId: 'badger',
      label: 'front point, left',
      place: { kind: 'on-vehicle', forwardM: 2.5, leftM: 0.45, heightM: 0.6 },
    },
    {
      id: 'badger-right',
      bodyId: 'badger',
      label: 'front point, right',
      place: { kind: 'on-vehicle', forwardM: 2.5, leftM: -0.45, heightM: 0.6 },
    },
  ],
  chains: [
    kit.chainOf('at-right', 'badger-right', ['VP-BDR', 'SS-01', 'CL-01']),
    kit.chainOf('at-left', 'badger-left', ['VP-BDL', 'SS-02', 'CL-02']),
  ],
  lines: [
    kit.lineOf({ id: 'from-heron', drive: kit.winchAt('heron-lead', 'W-01'), ropes: ['WL-01'], to: 'at-right' }),
    kit.lineOf({ id: 'from-otter', drive: kit.winchAt('otter-lead', 'W-02'), ropes: ['WL-02'], to: 'at-left' }),
  ],
  load: { bodyId: 'badger', travel: 'ahead', travelM: 4 },
  situation: { ...wetMud, soil: 'loam' },
  dampers: [
    { id: 'damper-1', lineId: 'from-heron', strand: 0, gearId: 'D-01' },
    { id: 'damper-2', lineId: 'from-otter', strand: 0, gearId: 'D-02' },
  ],
  engine: { running: true },
  answers: seenTo('knot-placement.at-right.1', 'knot-placement.at-left.1', 'cut-off-out-of-reach.rig', 'owner-not-told.rig'),
};

/** A vehicle in a sand hollow, snatched out by another with the stretch rope. */
const hollow: Rig = {
  ground: { slopeRad: rad(2), uphillRad: rad(80) },
  bodies: [
    registered('otter', 'Otter', { xM: 0, yM: 0, headingDeg: 78 }),
    registered('heron', 'Heron', { xM: 13.3, yM: 2.55, headingDeg: 79 }, { stance: { ground: 'dry-grass', brakes: 'none' } }),
    { id: 'mirren', kind: 'person', label: 'Mirren Quaile', xM: 6, yM: 27, duty: 'signaller' },
  ],
  points: [
    { id: 'heron-tail', bodyId: 'heron', label: 'receiver', place: { kind: 'on-vehicle', forwardM: -2.3, leftM: 0, heightM: 0.5 } },
    {
      id: 'otter-right',
      bodyId: 'otter',
      label: 'front point, right',
      place: { kind: 'on-vehicle', forwardM: 2, leftM: -0.45, heightM: 0.5 },
    },
  ],
  chains: [kit.chainOf('at-heron', 'heron-tail', ['RM-01', 'SH-01']), kit.chainOf('at-otter', 'otter-right', ['VP-OTR', 'SS-02'])],
  lines: [kit.lineOf({ drive: { kind: 'tow', chainId: 'at-heron', manner: 'run-up' }, ropes: ['KR-01'], to: 'at-otter' })],
  load: { bodyId: 'otter', travel: 'ahead' },
  situation: { ...wetMud, surface: 'soft-dry-sand', soil: 'sand', depth: 'none', wet: false },
  dampers: [{ id: 'damper-1', lineId: 'line', strand: 0, gearId: 'D-01' }],
  answers: seenTo('knot-placement.at-otter.1', 'rest-too-short.rig', 'owner-not-told.rig', 'no-chocks.rig'),
};

const plans = [
  ...scenes.map((scene) => ({ file: scene.file, name: scene.name, rig: rigOf(scene) })),
  { file: 'beck-crossing.json', name: 'Beck crossing, one tied back', rig: beck },
  { file: 'gate-two-winches.json', name: 'Gate below the crag, two winches', rig: together },
  { file: 'sand-hollow-stretch-pull.json', name: 'Sand hollow, stretch pull', rig: hollow },
];
mkdirSync(join(demo, 'plans'), { recursive: true });
for (const { file: fileName, name, rig } of plans) {
  const gear = gearIdsOf(rig)
    .map((id) => register.get(id))
    .filter((piece) => piece !== undefined);
  const subject: Case = { kind: 'rig', name, asOf: team.baseDate, rig, gear, policy: teamStandard };
  const file = { format: RIG_FILE_FORMAT, version: RIG_FILE_VERSION, case: subject };
  const checked = readRigFile(JSON.parse(JSON.stringify(file)));
  if (!checked.ok) throw new Error(JSON.stringify(checked.faults));
  writeFileSync(join(demo, 'plans', fileName), `${JSON.stringify(file, null, 1)}\n`);
  const report = judge(subject);
  console.log(
    fileName,
    report.verdict,
    report.weakestPlaceId,
    report.findings.map(({ code, undecided }) => (undecided ? `${code}?` : code)).join(' '),
  );
}
