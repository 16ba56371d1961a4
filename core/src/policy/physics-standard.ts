import { FOOT_M, POUND_FORCE_N } from '../quantity/units.ts';
import type { Policy } from './policy.ts';
import { carefulSchools } from './schools.ts';

const TYPICAL = 'usual trade figure; the maker’s figure wins';
const HOUSE = 'team standard';
const HANDBOOK = 'handbook figure';
const FIELD = 'engineer field-manual values, loam';
const DIN = 'engineer field-manual values, ordinary earth';
const t = (value: number, source = TYPICAL) => ({ value, source });
const law = (elongation: number, exponent: number, recovery: number, massPerDiameterSquared: number) => ({
  elongation,
  exponent,
  recovery,
  massPerDiameterSquared,
  source: TYPICAL,
});
/** A pound-force on a square foot, pascals. */
const PSF_PA = POUND_FORCE_N / (FOOT_M * FOOT_M);
const psf = (...values: readonly number[]) => values.map((value) => value * PSF_PA);
const pounds = (value: number) => t(value * POUND_FORCE_N, FIELD);
/** 1 000 lb, what a line is spooled under. */
const SPOOLING_KGF = 450;

type PhysicsGroups = Pick<
  Policy,
  | 'hold'
  | 'anchors'
  | 'electric'
  | 'hand'
  | 'loads'
  | 'sharing'
  | 'stretch'
  | 'pull'
  | 'usual'
  | 'judging'
  | 'schools'
  | 'runUp'
  | 'respool'
  | 'zones'
  | 'ownFigures'
  | 'severities'
>;

/** The default of every table of physics-tables.ts. */
export const physicsStandard: PhysicsGroups = {
  hold: {
    friction: { 'dry-gravel': t(0.6), 'dry-grass': t(0.5), 'wet-grass': t(0.35), mud: t(0.25), snow: t(0.2), ice: t(0.1) },
    surfaceFriction: { 'hard-road': t(0.6), 'wet-hard-sand': t(0.5), gravel: t(0.5), 'soft-dry-sand': t(0.5) },
    parkingShare: t(0.45),
    backAnchorMargin: t(1.25, HOUSE),
    tipCaution: t(0.5, HOUSE),
    tipStop: t(1, HOUSE),
  },
  anchors: {
    picketsFailingN: { '1': pounds(700), '1-1': pounds(1400), '1-1-1': pounds(1800), '2-1': pounds(2000), '3-2-1': pounds(4000) },
    picketSoil: { loam: t(1, HANDBOOK), 'clay-or-gravel': t(0.9, HANDBOOK), 'wet-clay-or-sand': t(0.5, HANDBOOK) },
    groundDivisor: t(1.5, HOUSE),
    deadman: {
      depthsM: [3, 4, 5, 6, 7].map((feet) => feet * FOOT_M),
      failingPa: {
        vertical: psf(600, 1050, 1700, 2400, 3200),
        '1:1': psf(950, 1750, 2800, 3800, 5100),
        '1:2': psf(1300, 2200, 3600, 5100, 7000),
        '1:3': psf(1450, 2600, 4000, 5800, 8000),
        '1:4': psf(1500, 2700, 4100, 6000, 8400),
      },
      source: DIN,
    },
    groundAnchorSoil: { firm: t(1), loam: t(0.8), 'dry-sand': t(0.5), 'wet-sand-or-mud': t(0.3) },
    judgedFailing: t(2, HOUSE),
    factoryHookWorking: t(1, HOUSE),
    factoryHookFailing: t(2.5, HOUSE),
    tieDownWorking: t(0.25, HOUSE),
    tieDownFailing: t(0.5, HOUSE),
  },
  electric: {
    burstS: t(30, HOUSE),
    restS: t(60, HOUSE),
    windingOhm: t(0.012),
    heatCapacityJPerK: t(4500),
    thermalResistanceKPerW: t(0.6),
    ambientC: t(20, HOUSE),
    hottestC: t(120),
    restartC: t(60, HOUSE),
    alternatorIdleShare: t(0.55),
    startChargeShare: t(0.85, HOUSE),
    leastChargeShare: t(0.5, HOUSE),
  },
  hand: { pullPerPersonN: t(500, HOUSE), haulMPerMin: t(5, HOUSE), resetMin: t(2, HOUSE), carryKg: t(15, HOUSE) },
  loads: { dragFriction: t(0.6) },
  sharing: { parallelStraps: t(0.6, HOUSE), unequalLegs: t(1.5, HOUSE) },
  stretch: {
    allowed: true,
    laws: {
      'stretch-rope': law(0.3, 1.5, 0.7, 650),
      'stretch-strap': law(0.2, 1.3, 0.7, 700),
      'static-polyester': law(0.08, 1.2, 0.9, 800),
      hmpe: law(0.035, 1.1, 0.9, 600),
      'steel-wire': law(0.02, 1, 0.9, 3900),
      chain: law(0.01, 1, 0.9, 20_000),
    },
    weakestMatch: t(2),
    stiffestMatch: t(5),
    pullsAllowed: t(50),
    restMin: t(5),
  },
  pull: {
    breakawayM: t(1, HOUSE),
    fairleadRoomM: t(1, HOUSE),
    sheaveRoomM: t(0.3, HOUSE),
    rimGapM: t(0.3, HOUSE),
    damperRoomM: t(1, HOUSE),
    sharpAngleDeg: t(60),
    pathAskedDeg: t(10, HOUSE),
    rigMin: t(10, HOUSE),
    partMin: t(3, HOUSE),
    pieceMin: t(0.5, HOUSE),
  },
  schools: carefulSchools,
  judging: {
    tightBend: t(0.75, HOUSE),
    offCentreShare: t(0.15, HOUSE),
    underShare: t(0.8, HOUSE),
    edgePerRope: t(0.25, HOUSE),
    receiverPlayM: t(0.001, HOUSE),
    legsFixDeg: t(90, HOUSE),
    legsStopDeg: t(120, HOUSE),
    askewDeg: t(15, HOUSE),
    leastThrowM: t(0.2, HOUSE),
    bowAskedDeg: t(15, HOUSE),
    leftTold: t(0.5, HOUSE),
    wheelbaseShare: t(0.6, HOUSE),
    trackShare: t(0.8, HOUSE),
  },
  usual: {
    strapLeastM: t(2, HOUSE),
    strapMostM: t(30, HOUSE),
    stretchLeastM: t(5, HOUSE),
    stretchMostM: t(15, HOUSE),
    webbingLeastM: t(0.003, HOUSE),
    webbingMostM: t(0.008, HOUSE),
    leadLeastM: t(3, HOUSE),
    leadMostM: t(9, HOUSE),
    damperMostKg: t(4, HOUSE),
  },
  runUp: {
    mostAccelerationMPerS2: t(1.5, HOUSE),
    breakawayM: t(0.1, HOUSE),
    greatestFactor: t(1.25, HOUSE),
    breakingMargin: t(1.5, HOUSE),
    leftOutM: t(1, HOUSE),
    staticSlackM: t(1, HOUSE),
    offHeadingFixDeg: t(30, HOUSE),
    offHeadingStopDeg: t(60, HOUSE),
    rolling: {
      'dry-gravel': t(0.1),
      'dry-grass': t(0.08),
      'wet-grass': t(0.08),
      mud: t(0.2),
      snow: t(0.25),
      ice: t(0.02),
    },
  },
  respool: { tensionN: t(SPOOLING_KGF * 9.80665, HOUSE) },
  zones: { corridorM: t(1.5, HOUSE), wirelessReachM: t(15, HOUSE), slidePathM: t(12, HOUSE) },
  ownFigures: [],
  severities: {},
};
