import { type DueTime, dueTime, nextDue } from '@wainrope/core';
import type { GearView, LastInspection } from './gear.dto.ts';

export interface PieceDue {
  /** `never`: has not been inspected on record; `none`: no day is set. */
  readonly time: DueTime | 'never' | 'none';
  readonly on?: string;
  readonly why: string;
}

/** What tells when a piece wants inspecting. */
export interface DueFacts extends Pick<GearView, 'overloadsSinceInspection' | 'pullsUsedUpOn'> {
  readonly inspection?: Pick<LastInspection, 'nextDue' | 'shortenedBy'> | undefined;
}

/** When a piece wants inspecting, and why then. */
export function dueOf({ inspection, overloadsSinceInspection, pullsUsedUpOn }: DueFacts, today: string): PieceDue {
  if (overloadsSinceInspection > 0) return { time: 'overdue', on: today, why: 'overloaded since it was last inspected' };
  if (!inspection) return { time: 'never', why: 'never inspected on record' };
  const { nextDue: kept, shortenedBy } = inspection;
  const due = nextDue({
    calendar: kept === undefined ? undefined : { on: kept, exposed: shortenedBy !== undefined },
    pullsOn: pullsUsedUpOn,
  });
  if (!due) return { time: 'none', why: 'no day set' };
  const usedUp = due.on <= today ? 'its pulls are used up' : `its pulls are used up by ${due.on}, at the pace of the last year`;
  const by = shortenedBy === undefined ? 'by the calendar' : `brought forward by ${shortenedBy}`;
  // Used up is used up: such a rope is no more fit on the day itself.
  const time = due.why === 'pulls' && due.on <= today ? 'overdue' : dueTime(due.on, today);
  return { time, on: due.on, why: due.why === 'pulls' ? usedUp : by };
}

/** Whether a piece wants inspecting now: overdue, overloaded, or never inspected on record. A retired piece never does. */
export function wantsInspecting(piece: DueFacts & Pick<GearView, 'state'>, today: string): boolean {
  const { time } = dueOf(piece, today);
  return piece.state !== 'retired' && (time === 'overdue' || time === 'never');
}
