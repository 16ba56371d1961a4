import type { GearView, PersonView, PlanSummary } from '@wainrope/contract';
import { standardSheets } from '@wainrope/core';
import { type Ask, allPages, wholeRegister } from '../api/whole-lists.ts';
import { deviceKeeps } from '../kept/keep-reads.ts';

/** What every page asks beside lists of several pages. */
const LISTS = [
  '/api/v1/team',
  '/api/v1/visit/reminders',
  '/api/v1/kits',
  '/api/v1/outings',
  '/api/v1/defects',
  '/api/v1/inspection-sheets',
  '/api/v1/policy',
  '/api/v1/vehicles',
  '/api/v1/hook-ups',
  '/api/v1/layouts',
];
/** What changed since the last visit: only some are shown it. */
const CHANGES = '/api/v1/visit';
/** So many plans go along, those saved last; a device is no archive. */
export const MOST_PLANS = 200;
const MOST_PEOPLE = 100;
/** Of so many pieces, those due first, go their earlier readings along: the bench asks about a typed one by them. */
const MOST_WEARING = 100;
/** An answer that nothing asked for in so long a time is let go. */
const FORGET_MS = 60 * 86_400_000;

interface Detail {
  readonly key: string;
  /** The state of which the list tells: while it stands, what is kept of the thing stands too. */
  readonly mark?: string;
}

/** What is read of each plan and person. A list tells nothing of what a person practised, so that is read anew each time. */
function detailsOf(plans: readonly PlanSummary[], people: readonly PersonView[], register: readonly GearView[]): readonly Detail[] {
  const newest = [...plans].sort((a, b) => b.savedAt.localeCompare(a.savedAt)).slice(0, MOST_PLANS);
  return [
    ...newest.flatMap((plan) =>
      ['', '/comments', '/versions'].map((part) => ({ key: `/api/v1/plans/${plan.planId}${part}`, mark: JSON.stringify(plan) })),
    ),
    ...dueFirst(register).map(({ gearId, inspection, factsRevision }) => ({
      key: `/api/v1/gear/${gearId}/wear`,
      mark: JSON.stringify([inspection, factsRevision]),
    })),
    ...people.slice(0, MOST_PEOPLE).map(({ personId }) => ({ key: `/api/v1/people/${personId}` })),
  ];
}

/** Pieces that were measured by their sheets before, those due first. */
function dueFirst(register: readonly GearView[]): readonly GearView[] {
  const measured = register.filter(
    ({ kind, state, inspection }) => state === 'in-use' && inspection && standardSheets[kind].measures.length > 0,
  );
  const dueOn = ({ inspection }: GearView) => inspection?.nextDue ?? '9999';
  return [...measured].sort((a, b) => dueOn(a).localeCompare(dueOn(b))).slice(0, MOST_WEARING);
}

class NotAnswered extends Error {}

/**
 * Reads everything that the pages show, one after the other and quietly, so that pages never opened open without a signal too. What
 * stands as it was is not read again, and what the person may not read is not asked for. Gives whether all of it was read.
 */
export async function takeAlong(ask: Ask, isOver: () => boolean, seesChanges: boolean): Promise<boolean> {
  const device = await deviceKeeps();
  if (!device) return false;
  const keep = async <T>(key: string, data: T, mark?: string): Promise<T> => {
    if (isOver()) throw new NotAnswered(key);
    await device.keepAnswer({ key, data, at: new Date().toISOString(), ...(mark !== undefined && { mark }) });
    return data;
  };
  const read = async <T>(key: string, mark?: string): Promise<T> => {
    const answer = await ask(key);
    if (answer.error) throw new NotAnswered(key);
    return keep(key, answer.data as T, mark);
  };
  const readWhole = async <T>(key: string, whole: PromiseLike<{ readonly data: T } | { readonly error: unknown }>): Promise<T> => {
    const answer = await whole;
    if ('error' in answer) throw new NotAnswered(key);
    return keep(key, answer.data);
  };
  try {
    for (const key of LISTS) await read(key);
    if (seesChanges) await read(CHANGES);
    const register = await readWhole('wholeRegister', wholeRegister(ask));
    const plans = await readWhole('allPlans', allPages<PlanSummary>('/api/v1/plans', {}, ask));
    const { items: people } = await read<{ readonly items: readonly PersonView[] }>('/api/v1/people');
    for (const { key, mark } of detailsOf(plans, people, register))
      if (mark === undefined || (await device.keptMark(key)) !== mark) await read(key, mark);
    await device.forgetBefore(new Date(Date.now() - FORGET_MS).toISOString());
    return true;
  } catch (error) {
    // Without a signal it is left for when there is one.
    if (error instanceof NotAnswered) return false;
    throw error;
  }
}
