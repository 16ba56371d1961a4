import type { GearFacts } from '../gear/gear-facts.ts';
import { mark, piece } from './example-case.ts';

const winch = (id: string, pull: string, extra: object = {}) =>
  piece({
    id,
    kind: 'winch',
    marks: [mark(pull, 'stamped', 'rated-pull')],
    attributes: {
      drive: 'electric',
      stallFactor: 1.2,
      drumDiameterM: 0.064,
      drumWidthM: 0.224,
      flangeDiameterM: 0.22,
      fairlead: 'hawse-aluminium',
      spoolState: 'under-tension',
      control: 'wireless',
      noLoadCurrentA: 70,
      fullLoadCurrentA: 420,
      noLoadSpeedMPerMin: 8,
      fullLoadSpeedMPerMin: 2,
      alternatorA: 120,
      batteryAh: 95,
      ...extra,
    },
  });
const line = (id: string, lengthM: number, strength = 'MBS 10.5 t', ropeDiameterM = 0.011) =>
  piece({
    id,
    kind: 'winch-line-synthetic',
    marks: [mark(strength)],
    attributes: { ropeDiameterM, lengthM, endTermination: 'makers-assembly', material: 'hmpe' },
  });
const soft = (id: string, strength = 'MBS 18 t', ropeDiameterM = 0.012) =>
  piece({ id, kind: 'soft-shackle', marks: [mark(strength)], attributes: { ropeDiameterM, reachM: 0.15, material: 'hmpe' } });
const ring = (id: string, strength = 'MBS 26 t') =>
  piece({
    id,
    kind: 'recovery-ring',
    marks: [mark(strength, 'stamped')],
    attributes: { boreDiameterM: 0.03, treadDiameterM: 0.09, grooveWidthM: 0.015, reachM: 0.03, massKg: 0.6 },
  });
const block = (id: string, strength = 'MBS 30 t') =>
  piece({
    id,
    kind: 'snatch-block',
    marks: [mark('WLL 9 t', 'stamped'), mark(strength, 'stamped')],
    attributes: {
      treadDiameterM: 0.1,
      grooveWidthM: 0.015,
      reachM: 0.12,
      eyeDiameterM: 0.032,
      eyeThicknessM: 0.02,
      ropeKind: 'synthetic',
      bearing: 'ball-or-roller',
      massKg: 2.6,
    },
  });
const treeStrap = (id: string, lengthM = 3, strength = 'MBS 16 t') =>
  piece({
    id,
    kind: 'tree-strap',
    marks: [mark(strength)],
    attributes: { lengthM, widthM: 0.08, thicknessM: 0.005, material: 'polyester' },
  });
const strap = (id: string, lengthM: number, strength = 'MBS 16 t') =>
  piece({
    id,
    kind: 'static-strap',
    marks: [mark(strength)],
    attributes: { lengthM, widthM: 0.06, thicknessM: 0.005, material: 'polyester' },
  });
const link = (id: string) =>
  piece({
    id,
    kind: 'closed-link',
    marks: [mark('WLL 5.5 t', 'stamped'), mark('MBS 22 t', 'stamped')],
    attributes: { boreDiameterM: 0.03, pinDiameterM: 0.022, thicknessM: 0.014, reachM: 0.1, massKg: 0.4 },
  });
const point = (id: string, extra: object = {}) =>
  piece({
    id,
    kind: 'recovery-point',
    marks: [mark('WLL 5 t', 'makers-paper'), mark('MBS 20 t', 'makers-paper')],
    attributes: { pointKind: 'maker-rated', boreDiameterM: 0.028, thicknessM: 0.02, edgeRadiusM: 0.005, ...extra },
  });
const shackle = (id: string) =>
  piece({
    id,
    kind: 'steel-shackle',
    marks: [mark('WLL 4.75 t', 'stamped'), mark('MBS 28.5 t', 'stamped')],
    attributes: { bowDiameterM: 0.019, pinDiameterM: 0.022, insideWidthM: 0.032, reachM: 0.06, massKg: 1.1 },
  });
const stretch = (id: string, lengthM: number, strength = 'MBS 11 t') =>
  piece({
    id,
    kind: 'stretch-rope',
    marks: [mark(strength)],
    attributes: {
      form: 'rope',
      lengthM,
      ropeDiameterM: 0.024,
      material: 'polyamide',
      elongationAtBreak: 0.3,
      pullsAllowed: 50,
      pullsUsed: 12,
    },
  });
const prusik = (id: string, slipLoadN: number) =>
  piece({
    id,
    kind: 'prusik-loop',
    marks: [mark('MBS 6 t')],
    attributes: { ropeDiameterM: 0.008, wraps: 5, hostDiameterMinM: 0.01, hostDiameterMaxM: 0.014, slipLoadN, reachM: 0.3 },
  });

/** A bag of gear for layouts of every kind; all of it invented. */
export const kitGear: readonly GearFacts[] = [
  winch('W-A', '45 kN'),
  winch('W-B', '34 kN', { drumDiameterM: 0.058, drumWidthM: 0.19, control: 'lead', leadLengthM: 4 }),
  winch('W-C', '14 kN', { drumDiameterM: 0.05, drumWidthM: 0.16, control: 'lead', leadLengthM: 4 }),
  line('L-A', 30),
  line('L-B', 26, 'MBS 8.6 t', 0.01),
  line('L-C', 45),
  line('L-D', 34, 'MBS 5.2 t', 0.008),
  line('HR-1', 60, 'MBS 4.2 t', 0.012),
  line('HR-2', 40, 'MBS 4.2 t', 0.012),
  piece({
    id: 'LX-1',
    kind: 'line-extension',
    marks: [mark('MBS 14 t')],
    attributes: { ropeDiameterM: 0.012, lengthM: 12, endTermination: 'makers-assembly', material: 'hmpe' },
  }),
  piece({
    id: 'LX-2',
    kind: 'line-extension',
    marks: [mark('MBS 12 t')],
    attributes: { ropeDiameterM: 0.012, lengthM: 3.2, endTermination: 'makers-assembly', material: 'hmpe' },
  }),
  ...['SS-A', 'SS-B', 'SS-C', 'SS-D', 'SS-E', 'SS-F'].map((id) => soft(id)),
  ring('RR-A'),
  ring('RR-B'),
  block('SB-A'),
  block('SB-B'),
  treeStrap('TS-A'),
  treeStrap('TS-B', 3.4),
  treeStrap('TS-C', 2.8),
  strap('ST-A', 4),
  strap('ST-B', 4.6),
  strap('ST-C', 2.2),
  strap('ST-D', 2.2),
  strap('TR-1', 8, 'MBS 14 t'),
  piece({
    id: 'BR-1',
    kind: 'bridle',
    marks: [mark('MBS 16 t')],
    attributes: { lengthM: 3.2, widthM: 0.06, thicknessM: 0.005, material: 'polyester' },
  }),
  ...['CL-A', 'CL-B', 'CL-C', 'CL-D'].map(link),
  ...['VP-A', 'VP-B', 'VP-C', 'VP-D', 'VP-E'].map((id) => point(id)),
  ...['SH-A', 'SH-B'].map(shackle),
  stretch('KR-A', 9),
  stretch('KR-B', 6),
  prusik('PL-A', 9000),
  prusik('PL-B', 9000),
  piece({ id: 'GA-1', kind: 'ground-anchor', marks: [mark('WLL 40 kN', 'makers-paper')], attributes: { ratedSoil: 'firm', massKg: 22 } }),
  piece({
    id: 'CH-1',
    kind: 'chain',
    marks: [mark('WLL 5.3 t', 'stamped')],
    attributes: { linkDiameterM: 0.013, lengthM: 3, chainGrade: '8', massKg: 11 },
  }),
  piece({ id: 'LY-1', kind: 'safety-lanyard', marks: [mark('MBS 9 t')], attributes: { lengthM: 2.5, ropeDiameterM: 0.008 } }),
  ...['D-A', 'D-B', 'D-C', 'D-D', 'D-E', 'D-F'].map((id) =>
    piece({ id, kind: 'damper', marks: [], attributes: { massKg: 2, damperKind: 'made' } }),
  ),
];
