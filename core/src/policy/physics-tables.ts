import { flag, numeric, text } from '../codec/scalars.ts';
import { list, record } from '../codec/structures.ts';
import { type RopeLawKind, ropeLaws } from '../gear/classes/materials.ts';
import { factorRow, row, table } from './rows.ts';
import { schoolsCodec } from './schools.ts';

/** Ground under braked wheels. */
export const holdGrounds = ['dry-gravel', 'dry-grass', 'wet-grass', 'mud', 'snow', 'ice'] as const;
/** Pickets in front, then behind them, line by line. */
export const picketPatterns = ['1', '1-1', '1-1-1', '2-1', '3-2-1'] as const;
export const picketSoils = ['loam', 'clay-or-gravel', 'wet-clay-or-sand'] as const;
/** Slope of the pull on a deadman, rise to run. */
export const pullSlopes = ['vertical', '1:1', '1:2', '1:3', '1:4'] as const;
export type PullSlope = (typeof pullSlopes)[number];
/** Surfaces of a site that are none of the grounds under braked wheels. */
export const otherSurfaces = ['hard-road', 'wet-hard-sand', 'gravel', 'soft-dry-sand'] as const;
export const anchorSoils = ['firm', 'loam', 'dry-sand', 'wet-sand-or-mud'] as const;

const deadmanRow = list(numeric({ min: 0, max: 1e7 }), { min: 2, max: 20 });
const lawRow = record({
  /** Elongation at break, 0…1, and the exponent of force against it. */
  elongation: numeric({ above: 0, max: 1 }),
  exponent: numeric({ min: 1, max: 4 }),
  /** Share of the energy that comes back. */
  recovery: numeric({ above: 0, max: 1 }),
  /** Mass of a metre for a square metre of diameter², kg/m³. */
  massPerDiameterSquared: numeric({ above: 0, max: 20_000 }),
  source: text({ maxLength: 120 }),
});

/** The tables of vehicle hold, anchors, winch motor, hands, rope laws and zones. */
export const physicsTables = {
  hold: record({
    friction: table(holdGrounds, row(0, 2)),
    /** On the other surfaces of a site, for what nobody has said stands elsewhere, and for wheels pushed sideways. */
    surfaceFriction: table(otherSurfaces, row(0, 2)),
    /** Share of the weight on the parked axle where it is not known. */
    parkingShare: factorRow,
    backAnchorMargin: row(1, 5),
    tipCaution: factorRow,
    tipStop: row(0.1, 2),
  }),
  anchors: record({
    picketsFailingN: table(picketPatterns, row(0, 1e6)),
    picketSoil: table(picketSoils, factorRow),
    /** Failing number ÷ working number of pickets and deadmen. */
    groundDivisor: row(1, 10),
    deadman: record({
      depthsM: deadmanRow,
      failingPa: record({ vertical: deadmanRow, '1:1': deadmanRow, '1:2': deadmanRow, '1:3': deadmanRow, '1:4': deadmanRow }),
      source: text({ maxLength: 120 }),
    }),
    groundAnchorSoil: table(anchorSoils, factorRow),
    /** Failing ÷ working number of trees, rocks, structures and ground anchors. */
    judgedFailing: row(1, 10),
    factoryHookWorking: row(0, 10),
    factoryHookFailing: row(0, 10),
    tieDownWorking: row(0, 10),
    tieDownFailing: row(0, 10),
  }),
  electric: record({
    burstS: row(1, 600),
    restS: row(0, 3600),
    windingOhm: row(1e-4, 10),
    heatCapacityJPerK: row(1, 1e6),
    thermalResistanceKPerW: row(1e-3, 100),
    ambientC: row(-40, 60),
    hottestC: row(40, 300),
    restartC: row(0, 200),
    alternatorIdleShare: factorRow,
    startChargeShare: factorRow,
    leastChargeShare: factorRow,
  }),
  hand: record({
    pullPerPersonN: row(50, 2000),
    /** Rope that people haul in a minute. */
    haulMPerMin: row(0.5, 60),
    /** Minutes to hold the load, move the grips back and take up the rope again. */
    resetMin: row(0, 60),
    /** What one person carries to the place, kg. */
    carryKg: row(1, 60),
  }),
  loads: record({ dragFriction: row(0, 2) }),
  sharing: record({ parallelStraps: factorRow, unequalLegs: row(1, 10) }),
  stretch: record({
    /** Whether the team uses stretch ropes at all. */
    allowed: flag,
    laws: record(Object.fromEntries(ropeLaws.map((kind) => [kind, lawRow])) as { readonly [K in RopeLawKind]: typeof lawRow }),
    weakestMatch: row(0.5, 20),
    stiffestMatch: row(1, 50),
    pullsAllowed: row(1, 10_000),
    restMin: row(0, 240),
  }),
  respool: record({ tensionN: row(0, 1e5) }),
  /** The pull from first tension to free. */
  pull: record({
    /** Way over which what holds a stuck load falls from breaking away to rolling, metres. */
    breakawayM: row(0.01, 10),
    /** Rope left between the fairlead and whatever is hauled towards it; between a sheave's rim and that; between two rims. Metres. */
    fairleadRoomM: row(0, 5),
    sheaveRoomM: row(0, 2),
    rimGapM: row(0, 2),
    /** Left between a damper and the fairlead, pulley or hook that it comes to, metres. */
    damperRoomM: row(0, 5),
    /** A pulley whose strands close to less than this is told, degrees. */
    sharpAngleDeg: row(1, 180),
    /** Net force this far off the heading asks for the path, degrees. */
    pathAskedDeg: row(0, 90),
    /** Minutes of rigging beside the pull itself: for the rig, for every line part, and for every piece. */
    rigMin: row(0, 120),
    partMin: row(0, 60),
    pieceMin: row(0, 30),
  }),
  /** Figures by which rules and guesses tell one thing from another. */
  judging: record({
    /** Share of strength left at a bend below which it is called tight. */
    tightBend: factorRow,
    /** Share of its width that a point may sit off a vehicle's centre line. */
    offCentreShare: factorRow,
    /** Share of a vehicle's outline that a line has to cross to run under it. */
    underShare: factorRow,
    /** Least radius of an edge ÷ diameter of the fibre on it. */
    edgePerRope: row(0, 10),
    /** Receivers and mounts whose sizes differ by no more are alike, metres. */
    receiverPlayM: row(0, 0.1),
    /** Legs of a strap in basket may stand so far apart, degrees; and beyond the larger never. */
    legsFixDeg: row(0, 180),
    legsStopDeg: row(0, 180),
    /** A stretch pull so far off the stuck vehicle's heading is told to pull more in line, degrees. */
    askewDeg: row(0, 90),
    /** A haul with grips that gains less than this in a throw has come to its end, metres. */
    leastThrowM: row(0, 5),
    /** A shackle may be so far off its bow where nobody says how its point lets it swing, degrees. */
    bowAskedDeg: row(0, 90),
    /** Share of its breaking strength from which a place is told when a line parts. */
    leftTold: factorRow,
    /** Wheelbase ÷ length and track ÷ width of a vehicle whose papers are not at hand. */
    wheelbaseShare: factorRow,
    trackShare: factorRow,
  }),
  /** The usual range of what is not on record: where both ends of it end alike, nobody is asked. */
  usual: record({
    strapLeastM: row(0, 200),
    strapMostM: row(0, 200),
    stretchLeastM: row(0, 200),
    stretchMostM: row(0, 200),
    /** Thickness of webbing, metres. */
    webbingLeastM: row(0, 0.1),
    webbingMostM: row(0, 0.1),
    /** Lead of a remote, metres. */
    leadLeastM: row(0, 100),
    leadMostM: row(0, 100),
    /** Mass of a damper, kg. */
    damperMostKg: row(0, 100),
  }),
  /** A pull with a run-up. */
  runUp: record({
    mostAccelerationMPerS2: row(0.1, 5),
    /** Way over which breakaway falls to rolling, metres. */
    breakawayM: row(0.01, 10),
    /** Speed of the greatest check ÷ speed of the attempt. */
    greatestFactor: row(1, 3),
    /** Breaking strength ÷ peak of the greatest check, at least, for the greatest speed. */
    breakingMargin: row(1, 5),
    /** Rope that must stay laid out when the slack is laid back, metres. */
    leftOutM: row(0, 5),
    /** Slack after which gear that does not stretch is reckoned, where nobody chose a speed, metres. */
    staticSlackM: row(0.1, 10),
    /** Angle of the pull off the stuck vehicle's heading, degrees. */
    offHeadingFixDeg: row(1, 90),
    offHeadingStopDeg: row(1, 90),
    /** Rolling resistance of the towing vehicle ÷ its weight on the ground. */
    rolling: table(holdGrounds, row(0, 1)),
  }),
  schools: schoolsCodec,
  zones: record({
    corridorM: row(0, 20),
    wirelessReachM: row(0, 200),
    /** How far a vehicle that slides under its line is reckoned to go, metres. */
    slidePathM: row(0, 200),
  }),
} as const;
