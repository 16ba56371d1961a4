import { randomUUID } from 'node:crypto';
import type { GearView, InspectionCreate } from '@wainrope/contract';
import { addMonths, type Grade, type InspectionSheet, type PointAnswer, standardSheets } from '@wainrope/core';

export const HISTORY_MONTHS = 36;
/** Every so many pieces one has something worth a remark. */
const WORN_EVERY = 4;

/** An inspection as it may have been found: wear grows with the months, by a pattern of the piece's place in the list. */
export interface PastInspection {
  readonly on: string;
  /** Months since the history began. */
  readonly age: number;
  readonly index: number;
  readonly nextDue: string;
  /** What it was graded; without, as the findings speak. */
  readonly grade?: Grade;
  readonly note?: string;
  /** The point that failed. */
  readonly fails?: string;
  /** How much of what each measure allows is used up at the last one; without, a little. */
  readonly worn?: number;
}

/** Days of the yearly inspections before the last one, eldest first, none before the piece was first used. */
export function daysBefore(last: string, everyMonths: number, born: string): readonly { readonly on: string; readonly age: number }[] {
  const step = Math.max(everyMonths, 12);
  const backs = Array.from({ length: Math.floor(HISTORY_MONTHS / step) }, (_, count) => (count + 1) * step).reverse();
  return backs.map((back) => ({ on: addMonths(last, -back), age: HISTORY_MONTHS - back })).filter(({ on }) => on > born);
}

export function pastInspection(piece: GearView, past: PastInspection): InspectionCreate {
  const { on, age, index, nextDue, grade, note, fails } = past;
  const sheet = standardSheets[piece.kind];
  const isWorn = grade === undefined ? index % WORN_EVERY === 0 && age > HISTORY_MONTHS / 3 : grade !== 'A';
  // A sheet that asks no more than whether a thing is there and works has no worn.
  const soft = sheet.points.length > 2 ? sheet.points.find(({ immediate }) => !immediate) : undefined;
  const answer = (id: string): PointAnswer => {
    if (id === fails) return 'fails';
    return isWorn && fails === undefined && id === soft?.id ? 'worn' : 'ok';
  };
  const points = pointsOf(sheet, answer);
  const attributes = piece.attributes as { readonly [key: string]: unknown };
  const measures = Object.fromEntries(
    sheet.measures.flatMap(({ id, limit, newFrom }) => {
      const whenNew = newFrom === undefined ? undefined : attributes[newFrom];
      if (typeof whenNew !== 'number') return [];
      const share = limit.value * (age / HISTORY_MONTHS) * (past.worn ?? 0.4 * ((index % 5) / 4));
      const value = limit.kind === 'loss' ? whenNew * (1 - share) : whenNew * (1 + share);
      return [[id, { value: Math.round(value * 1e5) / 1e5 }]];
    }),
  );
  return {
    inspectionId: randomUUID(),
    gearId: piece.gearId,
    kind: 'calendar',
    on,
    sheetVersion: 0,
    answers: { points, measures, notes: isWorn && soft && fails === undefined ? { [soft.id]: 'a little; keep an eye on it' } : {} },
    grade: grade ?? (isWorn && soft ? 'B' : 'A'),
    nextDue,
    ...(note !== undefined && { note }),
  };
}

export function pointsOf(sheet: InspectionSheet, answer: (id: string) => PointAnswer): Record<string, PointAnswer> {
  return Object.fromEntries(sheet.points.map(({ id }) => [id, answer(id)]));
}
