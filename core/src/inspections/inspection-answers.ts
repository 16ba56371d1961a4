import type { TypeOf } from '../codec/codec.ts';
import { choice, numeric, text } from '../codec/scalars.ts';
import { dictionary, optional, record } from '../codec/structures.ts';
import { invariant } from '../quantity/invariant.ts';
import type { InspectionSheet, SheetMeasure } from './inspection-sheet.ts';

/** What the inspector says of one point. `worn`: to be watched; `fails`: out of use. */
export const pointAnswers = ['ok', 'worn', 'fails'] as const;
export type PointAnswer = (typeof pointAnswers)[number];

/** What was found: an answer for each point, a value for each measure that was taken. */
export const inspectionAnswersCodec = record({
  points: dictionary(choice(pointAnswers), 60),
  /** Measured values and, where the register does not know it, the value when new; units by the measure's quantity. */
  measures: dictionary(record({ value: numeric({ min: 0, max: 100_000 }), whenNew: optional(numeric({ above: 0, max: 100_000 })) }), 20),
  notes: dictionary(text({ maxLength: 500 }), 60),
});
export type InspectionAnswers = TypeOf<typeof inspectionAnswersCodec>;

/** How much of what a measure allows is used up: 0 as new, 1 at the limit; and whether it is over. */
export interface MeasuredShare {
  /** Loss or growth against new as a fraction; for `at-most` the value itself. */
  readonly change: number;
  /** Share of the allowance that is used, 0 or more; infinite for anything over an allowance of nothing. */
  readonly used: number;
  readonly over: boolean;
}

/**
 * A measured value against its limit. `undefined` where the value when new is needed and unknown.
 * `loss`: 1 − value/new; `growth`: value/new − 1; a change the harmless way counts as none. At the limit exactly it still passes.
 */
export function measuredShare({ limit }: SheetMeasure, value: number, whenNew: number | undefined): MeasuredShare | undefined {
  const change = changeOf(limit.kind, value, whenNew);
  if (change === undefined) return undefined;
  const over = change > limit.value + SHARE_TOLERANCE;
  if (limit.value === 0) return { change, used: over ? Number.POSITIVE_INFINITY : 0, over };
  return { change, used: change / limit.value, over };
}

/** Rounding of typed decimals must not decide: a ten-millionth of new. */
const SHARE_TOLERANCE = 1e-7;

function changeOf(kind: SheetMeasure['limit']['kind'], value: number, whenNew: number | undefined): number | undefined {
  if (kind === 'at-most') return value;
  if (whenNew === undefined) return undefined;
  invariant(whenNew > 0, 'a value when new is above zero');
  return Math.max(0, kind === 'loss' ? 1 - value / whenNew : value / whenNew - 1);
}

/** The value when new that counts: the register's, else what the inspector gave. */
export function newValueOf(
  measure: SheetMeasure,
  attributes: { readonly [key: string]: unknown },
  answers: InspectionAnswers,
): number | undefined {
  const known = measure.newFrom === undefined ? undefined : attributes[measure.newFrom];
  return typeof known === 'number' ? known : answers.measures[measure.id]?.whenNew;
}

/** Points that have no answer yet, in the sheet's order. */
export function openPoints({ points }: InspectionSheet, { points: answered }: InspectionAnswers): readonly string[] {
  return points.filter(({ id }) => answered[id] === undefined).map(({ id }) => id);
}
