import { type Exposure, inspectionDue, nextDue, type Policy } from '@wainrope/core';
import { given } from '../database/rows.ts';

/** The day on which a piece falls due, and in words what has brought it forward. */
export interface DueDay {
  readonly nextDue?: string;
  readonly shortenedBy?: string;
}

/** A piece that was inspected, and what makes it due. */
export interface Dated {
  readonly last_inspected_on: string;
  readonly last_due_on: string | null;
  readonly wear_meets_on: string | null;
  readonly wear_measure: string | null;
}

/** The inspector's day, brought forward by what the piece met since, or by how it wears. */
export function dueDay(piece: Dated, exposures: readonly Exposure[], policy: Pick<Policy, 'exposure' | 'washing' | 'wear'>): DueDay {
  const { last_inspected_on: inspectedOn, last_due_on, wear_meets_on, wear_measure } = piece;
  const calendar = last_due_on === null ? undefined : inspectionDue({ on: inspectedOn, nextDue: last_due_on }, exposures, policy);
  const met = calendar?.shortenedBy;
  const due = nextDue({
    calendar: calendar && { on: calendar.on, exposed: met !== undefined },
    wear: wear_meets_on === null ? undefined : { on: wear_meets_on, leadDays: policy.wear.leadDays.value, inspectedOn },
  });
  if (!due) return {};
  const words = {
    wear: `wear (“${wear_measure}”, forecast to meet its limit on ${wear_meets_on})`,
    exposure: met && `${met.kind} on ${met.on}`,
  };
  return { nextDue: due.on, ...given('shortenedBy', due.why === 'wear' || due.why === 'exposure' ? words[due.why] : undefined) };
}
