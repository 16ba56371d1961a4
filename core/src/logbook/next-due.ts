import { addDays, daysBetween } from '../quantity/calendar.ts';
import { lastDay } from '../quantity/partial-date.ts';

/** Why a piece is due on a day. */
export const dueReasons = ['calendar', 'exposure', 'pulls', 'wear', 'overload'] as const;
export type DueReason = (typeof dueReasons)[number];

export interface NextDue {
  readonly on: string;
  readonly why: DueReason;
}

/** A rope that is counted by its pulls. */
export interface PullCount {
  readonly used: number;
  /** Above 0. */
  readonly allowed: number;
  /** Pulls of the last 365 days. */
  readonly lately: number;
  /** First day of use, or of the record where that is not known; of a year or a month its last day counts. */
  readonly firstUsedOn: string;
}

const YEAR = 365;
/** A rope that is new has no pace yet: it is reckoned over at least so many days. */
const LEAST_DAYS = 30;

/** The day on which the pulls of a rope will be used up at the pace of the last year; today where they are; nothing without a pace. */
export function pullsUsedUpOn({ used, allowed, lately, firstUsedOn }: PullCount, today: string): string | undefined {
  if (used >= allowed) return today;
  const days = Math.min(YEAR, Math.max(LEAST_DAYS, daysBetween(lastDay(firstUsedOn), today)));
  if (lately <= 0) return undefined;
  return addDays(today, Math.floor(((allowed - used) * days) / lately));
}

interface DueSources {
  /** By the inspector's day, brought forward by what the piece met. */
  readonly calendar?: { readonly on: string; readonly exposed: boolean } | undefined;
  /** The day on which the pulls will be used up. */
  readonly pullsOn?: string | undefined;
  /** The earliest day on which a measure is forecast to meet its limit, so many days ahead of which it is looked at again. */
  readonly wear?: WearDue | undefined;
  /** The day of an overload that no full inspection has followed. */
  readonly overloadedOn?: string | undefined;
}

interface WearDue {
  readonly on: string;
  readonly leadDays: number;
  readonly inspectedOn: string;
}

/** The forecast less its lead, and never on the day of the inspection that it was made by, which would be due while it is being made. */
export function wearDueOn({ on, leadDays, inspectedOn }: WearDue): string {
  const [early, next] = [addDays(on, -leadDays), addDays(inspectedOn, 1)];
  return early < next ? next : early;
}

/** The earliest of what makes a piece due; nothing where nothing does. Of one day an overload is named before wear, pulls and calendar. */
export function nextDue({ calendar, pullsOn, wear, overloadedOn }: DueSources): NextDue | undefined {
  const sources: readonly (NextDue | undefined)[] = [
    overloadedOn === undefined ? undefined : { on: overloadedOn, why: 'overload' },
    wear && { on: wearDueOn(wear), why: 'wear' },
    pullsOn === undefined ? undefined : { on: pullsOn, why: 'pulls' },
    calendar && { on: calendar.on, why: calendar.exposed ? 'exposure' : 'calendar' },
  ];
  return sources.reduce((first, next) => (next === undefined || (first !== undefined && first.on <= next.on) ? first : next), undefined);
}
