import type { Situation } from '../effort/situation.ts';
import type { GearFacts } from '../gear/gear-facts.ts';
import type { Mark, MarkBasis, MarkSource } from '../gear/mark.ts';
import { parseMark } from '../gear/parse-mark.ts';
import { laySelfRecovery, type SelfRecoveryLayout } from '../layouts/winch-self-recovery.ts';
import { teamStandard } from '../policy/team-standard.ts';
import type { Case } from '../rig/case.ts';
import type { TreeBody, VehicleBody } from '../rig/rig.ts';

/** A mark as a person would type it. */
export function mark(text: string, source: MarkSource = 'label', basis?: MarkBasis): Mark {
  const parsed = parseMark(text, { source, decimal: '.', ...(basis && { basis }) });
  if (parsed.kind === 'fault') throw new Error(parsed.message);
  return parsed.mark;
}

type Loose = {
  readonly id: string;
  readonly kind: GearFacts['kind'];
  readonly marks: readonly Mark[];
  readonly attributes: object;
} & Partial<Omit<GearFacts, 'attributes' | 'kind' | 'marks'>>;

/** A piece in good order, inspected this spring, unless told otherwise. */
export function piece(facts: Loose): GearFacts {
  return {
    tag: facts.id,
    name: facts.kind.replaceAll('-', ' '),
    state: 'in-use',
    inspection: { on: '2026-03-01', grade: 'A', nextDue: '2027-03-01' },
    madeOn: '2024-01-01',
    overloadsSinceInspection: 0,
    ...facts,
  } as unknown as GearFacts;
}

export const vehicle: VehicleBody = {
  id: 'truck',
  kind: 'vehicle',
  label: 'Carrier',
  xM: 0,
  yM: 0,
  headingRad: Math.PI / 2,
  massKg: 2600,
  lengthM: 4.4,
  widthM: 1.8,
};
export const tree: TreeBody = {
  id: 'larch',
  kind: 'tree',
  label: 'Larch',
  xM: 14,
  yM: 1,
  trunkDiameterM: 0.4,
  wood: 'softwood',
  footing: 'firm',
  state: 'live',
  leanRad: 0,
};

export const gear: readonly GearFacts[] = [
  piece({
    id: 'W-1',
    kind: 'winch',
    marks: [mark('42 kN', 'stamped', 'rated-pull')],
    attributes: {
      drive: 'electric',
      stallFactor: 1.2,
      drumDiameterM: 0.064,
      drumWidthM: 0.224,
      flangeDiameterM: 0.2,
      fairlead: 'hawse-aluminium',
      forwardM: 2.2,
      leftM: 0,
      heightM: 0.75,
      spoolState: 'under-tension',
      control: 'wireless',
      noLoadCurrentA: 70,
      fullLoadCurrentA: 420,
      noLoadSpeedMPerMin: 8,
      fullLoadSpeedMPerMin: 2,
      alternatorA: 120,
      batteryAh: 95,
    },
  }),
  piece({
    id: 'L-1',
    kind: 'winch-line-synthetic',
    marks: [mark('MBS 9.5 t')],
    attributes: { ropeDiameterM: 0.01, lengthM: 28, endTermination: 'long-tapered-bury', material: 'hmpe' },
  }),
  piece({
    id: 'RR-1',
    kind: 'recovery-ring',
    marks: [mark('MBS 18 t', 'stamped')],
    attributes: { boreDiameterM: 0.03, treadDiameterM: 0.08, grooveWidthM: 0.014, reachM: 0.03 },
  }),
  piece({
    id: 'SS-1',
    kind: 'soft-shackle',
    marks: [mark('MBS 17 t')],
    attributes: { ropeDiameterM: 0.012, reachM: 0.15, material: 'hmpe' },
  }),
  piece({
    id: 'SS-2',
    kind: 'soft-shackle',
    marks: [mark('MBS 15 t')],
    attributes: { ropeDiameterM: 0.011, reachM: 0.14, material: 'hmpe' },
  }),
  piece({
    id: 'TS-heavy',
    kind: 'tree-strap',
    marks: [mark('MBS 14 t')],
    attributes: { lengthM: 3, widthM: 0.075, material: 'polyester' },
  }),
  piece({
    id: 'TS-light',
    kind: 'tree-strap',
    marks: [mark('MBS 3 t')],
    attributes: { lengthM: 2.4, widthM: 0.05, material: 'polyester' },
  }),
  piece({
    id: 'CL-1',
    kind: 'closed-link',
    marks: [mark('WLL 5 t', 'stamped'), mark('MBS 20 t', 'stamped')],
    attributes: { boreDiameterM: 0.03, pinDiameterM: 0.02, reachM: 0.1 },
  }),
  piece({
    id: 'VP-1',
    kind: 'recovery-point',
    marks: [mark('WLL 5 t', 'makers-paper'), mark('MBS 20 t', 'makers-paper')],
    attributes: { pointKind: 'maker-rated', forwardM: 2.15, leftM: 0.45, heightM: 0.55, boreDiameterM: 0.025, edgeRadiusM: 0.004 },
  }),
  piece({ id: 'D-1', kind: 'damper', marks: [], attributes: { massKg: 2 } }),
  piece({ id: 'D-2', kind: 'damper', marks: [], attributes: { massKg: 2 } }),
];

const chosen = {
  'anchor-connector': 'SS-1',
  pulley: 'RR-1',
  'return-connector': 'SS-2',
  'line-end': 'CL-1',
  'winch-line': 'L-1',
};
const situation: Situation = {
  surface: 'shallow-mud',
  depth: 'hubs',
  soil: 'loam',
  wet: true,
  lockedShare: 0,
  drivelineLocked: false,
  wheelsTurned: false,
};
const dampers = [
  { id: 'd1', lineId: 'line', strand: 0, gearId: 'D-1' },
  { id: 'd2', lineId: 'line', strand: 1, gearId: 'D-2' },
];
const answers = {
  'strap-twisted.tree-strap': 'yes',
  'knot-placement.anchor-connector': 'yes',
  'knot-placement.return-connector': 'yes',
  'cut-off-out-of-reach.rig': 'yes',
  'operator-not-placed.rig': 'yes',
} as const;

interface ExampleOptions {
  readonly layout?: SelfRecoveryLayout;
  readonly strap?: string;
  readonly answered?: boolean;
}

/** The self-recovery that much of the suite is held against: 2,600 kg, to its hubs in mud. */
export function exampleCase({ layout = 'doubled-back', strap = 'TS-heavy', answered = true }: ExampleOptions = {}): Case {
  const winch = gear.find((entry) => entry.kind === 'winch');
  if (winch?.kind !== 'winch') throw new Error('example gear lacks its winch');
  const returnPoint = gear.find(({ id }) => id === 'VP-1');
  const laid = laySelfRecovery({
    layout,
    vehicle,
    tree,
    winch,
    returnPoint,
    strapHeightM: 0.25,
    chosen: { ...chosen, 'tree-strap': strap },
  });
  return {
    kind: 'rig',
    name: 'Example',
    asOf: '2026-06-01',
    rig: {
      ground: { slopeRad: 0, uphillRad: 0 },
      bodies: [vehicle, tree],
      ...laid,
      load: { bodyId: 'truck', travel: 'ahead', travelM: 6 },
      situation,
      dampers,
      ...(answered && { engine: { running: true } }),
      answers: answered ? answers : {},
    },
    gear,
    policy: teamStandard,
  };
}
