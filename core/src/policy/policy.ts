import type { TypeOf } from '../codec/codec.ts';
import { choice, flag, id, numeric, text } from '../codec/scalars.ts';
import { dictionary, list, record } from '../codec/structures.ts';
import { pulleyKinds, terminationKinds } from '../gear/classes/materials.ts';
import { adoptedFigures } from './adopted-figures.ts';
import { careTables } from './care-tables.ts';
import { soils, surfaces } from './grounds.ts';
import { physicsTables } from './physics-tables.ts';
import { factorRow, row, table } from './rows.ts';

export { type Depth, depths, type Surface, soils, surfaces } from './grounds.ts';
export { anchorSoils, holdGrounds, type PullSlope, picketPatterns, picketSoils } from './physics-tables.ts';

/** Uses that have a design factor. */
export const factoredUses = [
  'steel-hardware',
  'snatch-block',
  'ring-carabiner-plate',
  'soft-good',
  'winch-line-synthetic',
  'winch-line-steel',
  'stretch',
  'chain',
] as const;
export type FactoredUse = (typeof factoredUses)[number];

export const plainBends = ['synthetic-on-aluminium', 'synthetic-on-steel', 'synthetic-on-bark', 'wire-on-rollers'] as const;
export const frictionSchools = ['by-wrap', 'flat', 'none'] as const;
export const footings = ['firm', 'moist', 'wet'] as const;
export const woods = ['hardwood', 'softwood'] as const;

/** Points of a curve: ratio D/d to the share of strength that stays; rising, linear between, clamped outside. */
const curve = record({
  points: list(record({ ratio: numeric({ above: 0, max: 1000 }), value: numeric({ above: 0, max: 1 }) }), { min: 2, max: 40 }),
  source: text({ maxLength: 120 }),
});

/** A team's tables and schools: immutable once used, replaced by a new version. */
export const policyCodec = record({
  id,
  name: text(),
  designFactors: table(factoredUses, row(1, 20)),
  makerFactors: table(factoredUses, row(1, 20)),
  trustMarkedWll: flag,
  condition: table(['A', 'B', 'C', 'noneYoung', 'noneOld'], factorRow),
  wetPolyamide: factorRow,
  terminations: table(terminationKinds, factorRow),
  hmpeTermination: record({ anyKnot: factorRow }),
  strapThroughStrap: factorRow,
  bends: record({ fibre: curve, steelWire: curve, eyeOnTightPin: factorRow, fullFromWrapDeg: numeric({ above: 0, max: 180 }) }),
  friction: record({
    school: choice(frictionSchools),
    flatPerPulley: factorRow,
    pulleyEfficiency: table(pulleyKinds, factorRow),
    plainBendFriction: table(plainBends, row(0, 2)),
  }),
  effort: record({
    surfaceFraction: table(surfaces, factorRow),
    mireMultiple: table(['hubs', 'sills', 'roof'], row(0, 10)),
    rollingResistance: table(surfaces, factorRow),
    suctionPa: table(soils, row(0, 1e6)),
    lockedWheelFriction: table(surfaces, row(0, 2)),
    turnedWheels: factorRow,
    planningMargin: row(1, 5),
    hubsContactM2: row(0, 100),
    /** Share that is left of the multiple of weight once the tyres are let down, in sand and shallow mud. */
    airedDown: factorRow,
    bellyShare: factorRow,
  }),
  winch: record({
    stallFactor: row(1, 3),
    reserveWrapsSteel: row(1, 50),
    reserveWrapsSynthetic: row(1, 50),
    leastPullPerWeight: row(0, 10),
    /** Machines up to this mass sink more than they weigh, kg, and what a winch for them should pull ÷ their weight. */
    smallMachineKg: row(0, 100_000),
    leastPullSmall: row(0, 10),
    fairleadRollerMaxDeg: row(1, 90),
    fairleadHawseMaxDeg: row(1, 90),
  }),
  limits: record({
    nearLimit: factorRow,
    breakingMargin: row(1, 10),
    ownLineMargin: row(1, 10),
    nearBreaking: row(1, 10),
    ownLineNear: row(1, 10),
  }),
  tree: record({
    bendingStrengthPa: table(woods, row(1e6, 1e9)),
    footing: table(footings, factorRow),
    safetyFactor: row(1, 10),
    capAt400mmN: row(0, 1e7),
    capN: row(0, 1e7),
    leastHeightM: row(0.01, 5),
    highStrapM: row(0.1, 5),
    thinM: row(0.01, 2),
    tooThinM: row(0.01, 2),
    maxLeanDeg: row(0, 90),
    chokedFactor: factorRow,
  }),
  care: record({
    softGoodsYears: row(1, 50),
    youngMonths: row(1, 60),
    damperExemptM: row(0, 50),
    /** A lighter one counts as none, kg. */
    damperLeastKg: row(0, 50),
    zoneFactor: row(1, 5),
  }),
  ...careTables,
  ...physicsTables,
  /** What the team plans by in place of a method, from pulls of its own. */
  ownFigures: adoptedFigures,
  /** Severities a team has set by rule code; a rule says whether it lets itself be softened. */
  severities: dictionary(choice(['stop', 'fix', 'caution', 'note'])),
});
export type Policy = TypeOf<typeof policyCodec>;
