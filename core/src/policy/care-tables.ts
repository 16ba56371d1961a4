import { record } from '../codec/structures.ts';
import { factorRow, row, table } from './rows.ts';

/** What a piece may be exposed to between inspections. */
export const exposureKinds = ['mud', 'sand', 'salt', 'wet', 'sun'] as const;
export type ExposureKind = (typeof exposureKinds)[number];

/** How exposure shortens the time to the next inspection, and how soon washing undoes it. */
export const careTables = {
  /** Share of the interval that is left after the exposure; the smallest counts. */
  exposure: table(exposureKinds, factorRow),
  washing: table(['withinDays'], row(0, 60)),
  /** How long before a forecast end a piece is looked at, and by which share of its value when new two readings may differ. */
  wear: record({ leadDays: row(0, 365), toleranceShare: row(0, 0.5) }),
};

const HOUSE = 'team standard';

export const careStandard = {
  exposure: {
    mud: { value: 0.75, source: HOUSE },
    sand: { value: 0.75, source: HOUSE },
    salt: { value: 0.5, source: HOUSE },
    wet: { value: 0.9, source: HOUSE },
    sun: { value: 0.9, source: HOUSE },
  },
  washing: { withinDays: { value: 3, source: HOUSE } },
  wear: { leadDays: { value: 30, source: HOUSE }, toleranceShare: { value: 0.02, source: HOUSE } },
} as const;
