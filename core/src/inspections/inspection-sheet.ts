import type { TypeOf } from '../codec/codec.ts';
import { choice, flag, numeric, text } from '../codec/scalars.ts';
import { list, optional, record } from '../codec/structures.ts';

/** What a measured value is: lengths in metres, angles in degrees, counts and shares as they are. */
export const measuredQuantities = ['length', 'small-length', 'angle-deg', 'count', 'share'] as const;

/**
 * When a measured value ends a piece's use. `loss`: smaller than new by more than this share; `growth`: larger than new by more
 * than this share; `at-most`: more than this, in the quantity's own unit.
 */
export const limitKinds = ['loss', 'growth', 'at-most'] as const;

const slug = text({ maxLength: 60 });

/** A thing to look at. Immediate: a fault there takes the piece out of use whatever else is found. */
const pointCodec = record({ id: slug, look: text({ maxLength: 160 }), immediate: flag });

const measureCodec = record({
  id: slug,
  label: text({ maxLength: 120 }),
  quantity: choice(measuredQuantities),
  limit: record({ kind: choice(limitKinds), value: numeric({ min: 0, max: 1000 }) }),
  /** The attribute of the register that holds the value when new. */
  newFrom: optional(text({ maxLength: 60 })),
  source: text({ maxLength: 120 }),
});

/** What inspectors look at and measure on one class of gear, and how often. */
export const inspectionSheetCodec = record({
  everyMonths: numeric({ min: 1, max: 120, integer: true }),
  points: list(pointCodec, { min: 1, max: 40 }),
  measures: list(measureCodec, { max: 12 }),
});
export type InspectionSheet = TypeOf<typeof inspectionSheetCodec>;
export type SheetPoint = InspectionSheet['points'][number];
export type SheetMeasure = InspectionSheet['measures'][number];

/** Faults of a sheet that its shape alone does not show: every id stands for one thing. */
export function sheetFaults({ points, measures }: InspectionSheet): readonly { readonly path: string; readonly message: string }[] {
  const seen = new Set<string>();
  return [
    ...points.map(({ id }, index) => ({ id, path: `points[${index}].id` })),
    ...measures.map(({ id }, index) => ({ id, path: `measures[${index}].id` })),
  ].flatMap(({ id, path }) => {
    const twice = seen.has(id);
    seen.add(id);
    return twice ? [{ path, message: `“${id}” stands twice; give each point and measure its own name.` }] : [];
  });
}
