import type { ExposureKind } from '../policy/care-tables.ts';
import type { Policy } from '../policy/policy.ts';
import { addDays, daysBetween } from '../quantity/calendar.ts';

/** Something a piece met since it was last inspected, or its washing. */
export interface Exposure {
  readonly kind: ExposureKind | 'washed';
  readonly on: string;
}

export interface InspectionDue {
  readonly on: string;
  /** The exposure that brought the day forward, where one did. */
  readonly shortenedBy?: Exposure;
}

/**
 * The day on which the next inspection falls due: the inspector's own day, brought forward by what the piece met since and was not
 * washed off in time. An exposure leaves its share of the whole interval; the smallest share counts; never earlier than the
 * exposure itself. Days are `YYYY-MM-DD`. Nothing is due where the inspector set no day.
 */
export function inspectionDue(
  inspection: { readonly on: string; readonly nextDue?: string },
  exposures: readonly Exposure[],
  policy: Pick<Policy, 'exposure' | 'washing'>,
): InspectionDue | undefined {
  const { on, nextDue } = inspection;
  if (nextDue === undefined) return undefined;
  const interval = daysBetween(on, nextDue);
  const within = policy.washing.withinDays.value;
  const washed = exposures.filter(({ kind }) => kind === 'washed');
  const undone = ({ on: met }: Exposure) => washed.some(({ on: day }) => day >= met && daysBetween(met, day) <= within);
  return exposures.reduce<InspectionDue>(
    (due, exposure) => {
      if (exposure.kind === 'washed' || exposure.on < on || undone(exposure)) return due;
      const early = addDays(on, Math.round(interval * policy.exposure[exposure.kind].value));
      const day = early < exposure.on ? exposure.on : early;
      return day < due.on ? { on: day, shortenedBy: exposure } : due;
    },
    { on: nextDue },
  );
}

/** When something due on a day calls for somebody, seen from today. */
export const dueTimes = ['overdue', 'this-week', 'this-month', 'later'] as const;
export type DueTime = (typeof dueTimes)[number];

/** Overdue before today; this week within 7 days; this month within 31. */
export function dueTime(day: string, today: string): DueTime {
  const days = daysBetween(today, day);
  if (days < 0) return 'overdue';
  if (days <= 7) return 'this-week';
  return days <= 31 ? 'this-month' : 'later';
}
