import { careStandard } from './care-tables.ts';
import { physicsStandard } from './physics-standard.ts';
import type { Policy } from './policy.ts';

const TYPICAL = 'usual trade figure; the maker’s figure wins';
const HOUSE = 'team standard';
const HANDBOOK = 'handbook figure';
const t = (value: number, source = TYPICAL) => ({ value, source });
const points = (...pairs: readonly (readonly [number, number])[]) => pairs.map(([ratio, value]) => ({ ratio, value }));
/** Weight of one tonne, newtons. */
const TONNE_FORCE_N = 9806.65;

/** The careful reading of every question where practitioners disagree. */
export const teamStandard: Policy = {
  id: 'team-standard',
  name: 'Team standard',
  designFactors: {
    'steel-hardware': t(4, HOUSE),
    'snatch-block': t(2, HOUSE),
    'ring-carabiner-plate': t(3, HOUSE),
    'soft-good': t(3, HOUSE),
    'winch-line-synthetic': t(2, HOUSE),
    'winch-line-steel': t(2, HOUSE),
    stretch: t(2, HOUSE),
    chain: t(4, HOUSE),
  },
  makerFactors: {
    'steel-hardware': t(4),
    'snatch-block': t(2),
    'ring-carabiner-plate': t(2),
    'soft-good': t(2),
    'winch-line-synthetic': t(1.5),
    'winch-line-steel': t(1.5),
    stretch: t(2),
    chain: t(4),
  },
  trustMarkedWll: false,
  condition: { A: t(1, HOUSE), B: t(0.9, HOUSE), C: t(0.75, HOUSE), noneYoung: t(0.9, HOUSE), noneOld: t(0.75, HOUSE) },
  wetPolyamide: t(0.85),
  terminations: {
    'makers-assembly': t(1),
    'long-tapered-bury': t(0.95),
    'thimble-pressed-sleeve': t(0.95),
    'wire-rope-grips': t(0.8),
    'short-or-blunt-bury': t(0.5),
    'figure-eight': t(0.7),
    bowline: t(0.65),
    'other-knot': t(0.5),
    unknown: t(0.8),
  },
  hmpeTermination: { anyKnot: t(0.4) },
  strapThroughStrap: t(0.7),
  bends: {
    fibre: { points: points([1, 0.5], [2, 0.65], [3, 0.75], [5, 0.9], [8, 1]), source: TYPICAL },
    steelWire: {
      points: points([1, 0.5], [2, 0.65], [4, 0.75], [6, 0.79], [8, 0.83], [10, 0.86], [15, 0.89], [20, 0.91], [25, 0.93]),
      source: TYPICAL,
    },
    eyeOnTightPin: t(0.7),
    fullFromWrapDeg: 30,
  },
  friction: {
    school: 'by-wrap',
    flatPerPulley: t(0.9),
    pulleyEfficiency: { 'ball-or-roller-block': t(0.96), 'plain-bush-block': t(0.92), ring: t(0.88), carabiner: t(0.6) },
    plainBendFriction: {
      'synthetic-on-aluminium': t(0.12),
      'synthetic-on-steel': t(0.15),
      'synthetic-on-bark': t(0.35),
      'wire-on-rollers': t(0.05),
    },
  },
  effort: {
    surfaceFraction: {
      'hard-road': t(1 / 25),
      grass: t(1 / 7),
      'wet-hard-sand': t(1 / 6),
      gravel: t(1 / 5),
      'soft-dry-sand': t(1 / 4),
      'shallow-mud': t(1 / 3),
      bog: t(1 / 2),
    },
    mireMultiple: { hubs: t(1), sills: t(2), roof: t(3) },
    rollingResistance: {
      'hard-road': t(0.02),
      grass: t(0.08),
      'wet-hard-sand': t(0.1),
      gravel: t(0.1),
      'soft-dry-sand': t(0.25),
      'shallow-mud': t(0.2),
      bog: t(0.35),
    },
    suctionPa: { sand: t(0), loam: t(2000), silt: t(5000), 'clay-or-bog': t(10_000) },
    lockedWheelFriction: {
      'hard-road': t(0.6),
      grass: t(0.5),
      'wet-hard-sand': t(0.5),
      gravel: t(0.6),
      'soft-dry-sand': t(0.6),
      'shallow-mud': t(0.6),
      bog: t(0.6),
    },
    turnedWheels: t(0.05),
    planningMargin: t(1.25, HOUSE),
    hubsContactM2: t(0.5),
    airedDown: t(0.8, 'team standard, judged'),
    bellyShare: t(0.6),
  },
  winch: {
    stallFactor: t(1.2),
    reserveWrapsSteel: t(5, HOUSE),
    reserveWrapsSynthetic: t(10, HOUSE),
    leastPullPerWeight: t(1.5),
    smallMachineKg: t(600, HOUSE),
    leastPullSmall: t(2.5),
    fairleadRollerMaxDeg: t(15, HOUSE),
    fairleadHawseMaxDeg: t(30, HOUSE),
  },
  limits: {
    nearLimit: t(0.8, HOUSE),
    breakingMargin: t(1.25, HOUSE),
    ownLineMargin: t(1, HOUSE),
    nearBreaking: t(1.5, HOUSE),
    ownLineNear: t(1.25, HOUSE),
  },
  tree: {
    bendingStrengthPa: { hardwood: t(40e6, HANDBOOK), softwood: t(33e6, HANDBOOK) },
    footing: { firm: t(1, HOUSE), moist: t(0.7, HOUSE), wet: t(0.4, HOUSE) },
    safetyFactor: t(3, HOUSE),
    capAt400mmN: t(12 * TONNE_FORCE_N, HOUSE),
    capN: t(15 * TONNE_FORCE_N, HOUSE),
    leastHeightM: t(0.2, HOUSE),
    highStrapM: t(0.6, HOUSE),
    thinM: t(0.2, HOUSE),
    tooThinM: t(0.15, HOUSE),
    maxLeanDeg: t(15, HOUSE),
    chokedFactor: t(0.75),
  },
  care: {
    softGoodsYears: t(10, HOUSE),
    youngMonths: t(12, HOUSE),
    damperExemptM: t(3, HOUSE),
    damperLeastKg: t(1, HOUSE),
    zoneFactor: t(1.5, HOUSE),
  },
  ...careStandard,
  ...physicsStandard,
};
