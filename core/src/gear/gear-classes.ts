import { type FieldTable, long, pick, plain, position, small, tension, weight, whole, words, yesNo } from './fields.ts';

/** Which row of the design-factor table a class takes in its usual use. `none`: carries no load. `refused`: never in a rig. */
export type DesignUse =
  | 'steel-hardware'
  | 'snatch-block'
  | 'ring-carabiner-plate'
  | 'soft-good'
  | 'winch-line-synthetic'
  | 'winch-line-steel'
  | 'stretch'
  | 'chain'
  | 'anchor'
  | 'winch'
  | 'none'
  | 'refused';

interface GearClassTable {
  readonly [kind: string]: {
    readonly label: string;
    readonly plural: string;
    /** Two or three letters that begin the team's tag codes of this class. */
    readonly prefix: string;
    readonly use: DesignUse;
    /** Fibre that ages, cuts and is inspected as a soft good. */
    readonly soft: boolean;
    readonly fields: FieldTable;
  };
}

const fibres = ['hmpe', 'polyester', 'polyamide', 'aramid'] as const;
const terminations = [
  'makers-assembly',
  'long-tapered-bury',
  'thimble-pressed-sleeve',
  'wire-rope-grips',
  'short-or-blunt-bury',
  'figure-eight',
  'bowline',
  'other-knot',
  'unknown',
] as const;
const webbing = {
  lengthM: long('Length'),
  widthM: small('Width'),
  thicknessM: small('Thickness'),
  material: pick('Material', fibres),
  sleeves: whole('Movable sleeves', 10),
} as const;
const tool = { pieces: whole('Count', 1000), massKg: weight('Mass') } as const;
const line = {
  ropeDiameterM: small('Rope diameter'),
  lengthM: long('Length'),
  endTermination: pick('Made up at the end', terminations),
  reachM: small('End fitting adds'),
} as const;

/** Every class of gear and the attributes that a rule, the solver or a drawing reads. */
export const gearClasses = {
  'steel-shackle': {
    label: 'Steel shackle',
    plural: 'Steel shackles',
    prefix: 'SH',
    use: 'steel-hardware',
    soft: false,
    fields: {
      bowDiameterM: small('Bow diameter'),
      pinDiameterM: small('Pin diameter'),
      insideWidthM: small('Inside width at the pin'),
      reachM: small('Inside length'),
      pinKind: pick('Pin', ['screw-pin', 'bolt-and-nut'] as const),
      massKg: weight('Mass'),
    },
  },
  'soft-shackle': {
    label: 'Soft shackle',
    plural: 'Soft shackles',
    prefix: 'SS',
    use: 'soft-good',
    soft: true,
    fields: {
      ropeDiameterM: small('Rope diameter'),
      reachM: small('Inside length when closed'),
      material: pick('Material', fibres),
      sheath: yesNo('Has a sheath'),
    },
  },
  'winch-line-synthetic': {
    label: 'Winch line, synthetic',
    plural: 'Winch lines, synthetic',
    prefix: 'WL',
    use: 'winch-line-synthetic',
    soft: true,
    fields: { ...line, material: pick('Material', fibres), heatSleeve: yesNo('Heat sleeve at the drum') },
  },
  'winch-line-steel': {
    label: 'Winch line, steel',
    plural: 'Winch lines, steel',
    prefix: 'WS',
    use: 'winch-line-steel',
    soft: false,
    fields: { ...line, construction: words('Construction') },
  },
  'line-extension': {
    label: 'Line extension',
    plural: 'Line extensions',
    prefix: 'LX',
    use: 'soft-good',
    soft: true,
    fields: { ...line, material: pick('Material', fibres) },
  },
  'snatch-block': {
    label: 'Snatch block',
    plural: 'Snatch blocks',
    prefix: 'SB',
    use: 'snatch-block',
    soft: false,
    fields: {
      treadDiameterM: small('Sheave tread diameter'),
      grooveWidthM: small('Groove width'),
      eyeDiameterM: small('Eye bore'),
      eyeThicknessM: small('Thickness at the eye'),
      ropeKind: pick('Rope kind', ['synthetic', 'steel', 'both'] as const),
      bearing: pick('Bearing', ['ball-or-roller', 'plain-bush'] as const),
      reachM: small('Eye to sheave centre'),
      massKg: weight('Mass'),
    },
  },
  'recovery-ring': {
    label: 'Recovery ring',
    plural: 'Recovery rings',
    prefix: 'RR',
    use: 'ring-carabiner-plate',
    soft: false,
    fields: {
      boreDiameterM: small('Bore'),
      treadDiameterM: small('Tread diameter'),
      grooveWidthM: small('Groove width'),
      reachM: small('Shackle seat to centre'),
      massKg: weight('Mass'),
    },
  },
  'tree-strap': { label: 'Tree strap', plural: 'Tree straps', prefix: 'TS', use: 'soft-good', soft: true, fields: webbing },
  'stretch-rope': {
    label: 'Stretch rope or strap',
    plural: 'Stretch ropes and straps',
    prefix: 'KR',
    use: 'stretch',
    soft: true,
    fields: {
      form: pick('Form', ['rope', 'strap'] as const),
      lengthM: long('Length'),
      ropeDiameterM: small('Rope diameter'),
      widthM: small('Width'),
      material: pick('Material', fibres),
      elongationAtBreak: plain('Elongation at break (fraction)', 1),
      ratedVehicleMassKg: weight('Rated vehicle mass'),
      pullsAllowed: whole('Pulls allowed'),
      pullsUsed: whole('Pulls used'),
    },
  },
  'static-strap': { label: 'Static strap', plural: 'Static straps', prefix: 'ST', use: 'soft-good', soft: true, fields: webbing },
  'winch-extension-strap': {
    label: 'Winch extension strap',
    plural: 'Winch extension straps',
    prefix: 'XS',
    use: 'soft-good',
    soft: true,
    fields: webbing,
  },
  bridle: { label: 'Bridle', plural: 'Bridles', prefix: 'BR', use: 'soft-good', soft: true, fields: webbing },
  chain: {
    label: 'Chain',
    plural: 'Chains',
    prefix: 'CH',
    use: 'chain',
    soft: false,
    fields: { linkDiameterM: small('Link diameter'), lengthM: long('Length'), chainGrade: words('Chain grade'), massKg: weight('Mass') },
  },
  'winch-hook': {
    label: 'Winch hook',
    plural: 'Winch hooks',
    prefix: 'HK',
    use: 'steel-hardware',
    soft: false,
    fields: {
      throatM: small('Throat'),
      reachM: small('Length'),
      latch: pick('Latch', ['pin-locked', 'sprung', 'none'] as const),
      massKg: weight('Mass'),
    },
  },
  'closed-link': {
    label: 'Closed link or thimble end',
    plural: 'Closed links and thimble ends',
    prefix: 'CL',
    use: 'steel-hardware',
    soft: false,
    fields: {
      boreDiameterM: small('Bore'),
      pinDiameterM: small('Pin diameter'),
      thicknessM: small('Thickness at the bore'),
      reachM: small('Length'),
      massKg: weight('Mass'),
    },
  },
  'rope-lock-plate': {
    label: 'Rope-lock plate',
    plural: 'Rope-lock plates',
    prefix: 'RP',
    use: 'ring-carabiner-plate',
    soft: false,
    fields: { boreDiameterM: small('Bore'), reachM: small('Length'), massKg: weight('Mass') },
  },
  'line-fitting': {
    label: 'Line stopper or pull tab',
    plural: 'Line stoppers and pull tabs',
    prefix: 'PT',
    use: 'none',
    soft: true,
    fields: { massKg: weight('Mass') },
  },
  carabiner: {
    label: 'Carabiner',
    plural: 'Carabiners',
    prefix: 'CB',
    use: 'ring-carabiner-plate',
    soft: false,
    fields: {
      treadDiameterM: small('Bar diameter'),
      reachM: small('Inside length'),
      minorAxisBreakingN: tension('Breaking, minor axis'),
      gateOpenBreakingN: tension('Breaking, gate open'),
      gate: pick('Gate', ['screw', 'auto-lock', 'plain'] as const),
      massKg: weight('Mass'),
    },
  },
  'prusik-loop': {
    label: 'Prusik loop or grip',
    plural: 'Prusik loops and grips',
    prefix: 'PL',
    use: 'soft-good',
    soft: true,
    fields: {
      ropeDiameterM: small('Cord diameter'),
      wraps: whole('Wraps', 10),
      hostDiameterMinM: small('Host rope from'),
      hostDiameterMaxM: small('Host rope to'),
      slipLoadN: tension('Slip load'),
      reachM: small('Length'),
    },
  },
  'safety-lanyard': {
    label: 'Safety lanyard',
    plural: 'Safety lanyards',
    prefix: 'LY',
    use: 'soft-good',
    soft: true,
    fields: { lengthM: long('Length'), ropeDiameterM: small('Rope diameter') },
  },
  'ground-anchor': {
    label: 'Ground anchor',
    plural: 'Ground anchors',
    prefix: 'GA',
    use: 'anchor',
    soft: false,
    fields: { ratedSoil: words('Soil the rating is for'), massKg: weight('Mass') },
  },
  'receiver-mount': {
    label: 'Hitch-receiver mount',
    plural: 'Hitch-receiver mounts',
    prefix: 'RM',
    use: 'steel-hardware',
    soft: false,
    fields: {
      receiverM: small('Receiver size'),
      pinDiameterM: small('Cross-pin diameter'),
      boreDiameterM: small('Shackle bore'),
      thicknessM: small('Lug thickness'),
      reachM: small('Length'),
      edgeRadiusM: small('Edge radius'),
      massKg: weight('Mass'),
    },
  },
  'recovery-point': {
    label: 'Vehicle recovery point',
    plural: 'Vehicle recovery points',
    prefix: 'VP',
    use: 'steel-hardware',
    soft: false,
    fields: {
      pointKind: pick('What it is', [
        'maker-rated',
        'factory-hook',
        'tie-down-eye',
        'tow-ball',
        'safety-chain-hole',
        'bumper-or-bar-hole',
        'axle-tube',
        'thin-arm',
        'thick-suspension-arm',
        'frame-cross-member',
        'frame-slot',
      ] as const),
      forwardM: position('Ahead of the vehicle’s middle'),
      leftM: position('Left of the centre line'),
      heightM: small('Height above ground'),
      boreDiameterM: small('Bore'),
      thicknessM: small('Plate thickness'),
      edgeRadiusM: small('Edge radius'),
    },
  },
  winch: {
    label: 'Winch',
    plural: 'Winches',
    prefix: 'W',
    use: 'winch',
    soft: false,
    fields: {
      drive: pick('Drive', ['electric', 'hydraulic'] as const),
      stallFactor: plain('Stall factor', 3),
      drumDiameterM: small('Drum core diameter'),
      drumWidthM: small('Drum width'),
      flangeDiameterM: small('Flange diameter'),
      fairlead: pick('Fairlead', ['roller', 'hawse-aluminium', 'hawse-steel'] as const),
      forwardM: position('Fairlead ahead of the middle'),
      leftM: position('Fairlead left of the centre line'),
      heightM: small('Fairlead height'),
      reserveWraps: whole('Wraps to leave, by the maker', 30),
      spoolState: pick('Spooled', ['under-tension', 'slack', 'stacked'] as const),
      control: pick('Control', ['wireless', 'lead'] as const),
      leadLengthM: long('Lead length'),
      noLoadCurrentA: plain('Current without load (A)', 2000),
      fullLoadCurrentA: plain('Current at rated pull (A)', 5000),
      noLoadSpeedMPerMin: plain('Line speed without load (m/min)', 200),
      fullLoadSpeedMPerMin: plain('Line speed at rated pull (m/min)', 200),
      alternatorA: plain('Alternator of its vehicle (A)', 2000),
      batteryAh: plain('Battery of its vehicle (Ah)', 5000),
    },
  },
  'lifting-jack': {
    label: 'Lifting jack',
    plural: 'Lifting jacks',
    prefix: 'JK',
    use: 'none',
    soft: false,
    fields: { ...tool, liftM: small('Lift') },
  },
  damper: {
    label: 'Damper',
    plural: 'Dampers',
    prefix: 'D',
    use: 'none',
    soft: true,
    fields: { massKg: weight('Mass'), damperKind: pick('Made or improvised', ['made', 'improvised'] as const) },
  },
  chocks: { label: 'Wheel chocks', plural: 'Wheel chocks', prefix: 'CK', use: 'none', soft: false, fields: tool },
  gloves: { label: 'Gloves', plural: 'Gloves', prefix: 'GL', use: 'none', soft: true, fields: tool },
  'eye-protection': { label: 'Eye protection', plural: 'Eye protection', prefix: 'EP', use: 'none', soft: false, fields: tool },
  shovel: { label: 'Shovel', plural: 'Shovels', prefix: 'SV', use: 'none', soft: false, fields: tool },
  'traction-boards': { label: 'Traction boards', plural: 'Traction boards', prefix: 'TB', use: 'none', soft: false, fields: tool },
  tool: {
    label: 'Pump, saw, pin bar, tools',
    plural: 'Pumps, saws, pin bars, tools',
    prefix: 'TL',
    use: 'none',
    soft: false,
    fields: tool,
  },
  'repair-strap': { label: 'Repair strap', plural: 'Repair straps', prefix: 'RS', use: 'none', soft: true, fields: tool },
  'load-securing-strap': {
    label: 'Load-securing strap',
    plural: 'Load-securing straps',
    prefix: 'LS',
    use: 'refused',
    soft: true,
    fields: webbing,
  },
} as const satisfies GearClassTable;

export type GearClass = keyof typeof gearClasses;
export const gearClassNames = Object.keys(gearClasses) as readonly GearClass[];
export const terminationKinds = terminations;
