import type { Rig, SelfRecoveryLayout, Situation, TreeBody } from '@wainrope/core';

/** A self-recovery of the demo team, by the tags of its register. */
export interface Scene {
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
  'cut-off-out-of-reach.rig': 'yes',
  'operator-not-placed.rig': 'yes',
} as const;
export const scenes: readonly Scene[] = [
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
    answers: {
      'strap-twisted.tree-strap': 'yes',
      'cut-off-out-of-reach.rig': 'yes',
      'operator-not-placed.rig': 'yes',
    },
  },
];
