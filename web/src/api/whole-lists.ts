import type { FetchBaseQueryError, QueryReturnValue } from '@reduxjs/toolkit/query';
import type { GearPageStarts, GearView } from '@wainrope/contract';

type Asked<T> = QueryReturnValue<T, FetchBaseQueryError, object>;
/** Asks the server for an address. */
export type Ask = (url: string) => Asked<unknown> | PromiseLike<Asked<unknown>>;
type Answer<T> = { readonly data: T } | { readonly error: FetchBaseQueryError };

interface Page<T> {
  readonly items: readonly T[];
  readonly next?: string;
}

/** Small enough that the server answers others between two. */
const PAGE = 500;

async function pageOf<T>(ask: Ask, address: string, query: Readonly<Record<string, string>>): Promise<Answer<Page<T>>> {
  const answer = await ask(`${address}?${new URLSearchParams(query)}`);
  return answer.error ? { error: answer.error } : { data: answer.data as Page<T> };
}

/** Follows a list's `next` from where a query begins until it ends. */
export async function allPages<T>(address: string, query: Readonly<Record<string, string>>, ask: Ask): Promise<Answer<readonly T[]>> {
  const items: T[] = [];
  for (let from = query; ; ) {
    const page = await pageOf<T>(ask, address, from);
    if ('error' in page) return page;
    items.push(...page.data.items);
    if (page.data.next === undefined) return { data: items };
    from = { ...query, after: page.data.next };
  }
}

/** The whole register: its first page, and the others, where there are any, side by side. */
export async function wholeRegister(ask: Ask): Promise<Answer<readonly GearView[]>> {
  const address = '/api/v1/gear';
  const limit = String(PAGE);
  const first = await pageOf<GearView>(ask, address, { limit });
  if ('error' in first) return first;
  const { items, next } = first.data;
  if (next === undefined) return { data: items };
  const told = await ask(`${address}/pages?${new URLSearchParams({ after: next, limit })}`);
  if (told.error) return { error: told.error };
  const { starts } = told.data as GearPageStarts;
  const parts = await Promise.all(
    starts.map((after, index) => {
      const upTo = starts[index + 1];
      return allPages<GearView>(address, { limit, after, ...(upTo !== undefined && { upTo }) }, ask);
    }),
  );
  const failed = parts.find((part) => 'error' in part);
  return failed ?? { data: [items, ...parts.map((part) => ('data' in part ? part.data : []))].flat() };
}
