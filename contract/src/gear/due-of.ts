import { type DueTime, dueTime } from '@wainrope/core';
import type { GearView, LastInspection } from './gear.dto.ts';

export interface PieceDue {
  /** `never`: has not been inspected on record; `none`: no day is set. */
  readonly time: DueTime | 'never' | 'none';
  readonly on?: string;
  readonly why: string;
}

/** What tells when a piece wants inspecting. */
export interface DueFacts extends Pick<GearView, 'overloadsSinceInspection'> {
  readonly inspection?: Pick<LastInspection, 'nextDue' | 'shortenedBy'> | undefined;
}

/** When a piece wants inspecting, and why then. */
export function dueOf({ inspection, overloadsSinceInspection }: DueFacts, today: string): PieceDue {
  if (overloadsSinceInspection > 0) return { time: 'overdue', on: today, why: 'overloaded since it was last inspected' };
  if (!inspection) return { time: 'never', why: 'never inspected on record' };
  if (inspection.nextDue === undefined) return { time: 'none', why: 'no day set' };
  const why = inspection.shortenedBy ? `brought forward by ${inspection.shortenedBy}` : 'by the calendar';
  return { time: dueTime(inspection.nextDue, today), on: inspection.nextDue, why };
}

/** Whether a piece wants inspecting now: overdue, overloaded, or never inspected on record. A retired piece never does. */
export function wantsInspecting(piece: DueFacts & Pick<GearView, 'state'>, today: string): boolean {
  const { time } = dueOf(piece, today);
  return piece.state !== 'retired' && (time === 'overdue' || time === 'never');
}
