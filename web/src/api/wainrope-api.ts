import type { FetchBaseQueryError, FetchBaseQueryMeta, QueryReturnValue } from '@reduxjs/toolkit/query';
import type { GearView, PlanSummary, Problem } from '@wainrope/contract';
import { generatedApi } from './generated/wainrope-api.ts';

const PAGE = 1000;

type Ask = (
  url: string,
) =>
  | QueryReturnValue<unknown, FetchBaseQueryError, FetchBaseQueryMeta>
  | PromiseLike<QueryReturnValue<unknown, FetchBaseQueryError, FetchBaseQueryMeta>>;

/** Follows a list's `next` until it ends. */
async function allPages<T>(
  address: string,
  query: Record<string, string>,
  ask: Ask,
): Promise<{ data: readonly T[] } | { error: FetchBaseQueryError }> {
  const items: T[] = [];
  for (let after: string | undefined; ; ) {
    const answer = await ask(`${address}?${new URLSearchParams({ ...query, ...(after !== undefined && { after }) })}`);
    if (answer.error) return { error: answer.error };
    const page = answer.data as { readonly items: readonly T[]; readonly next?: string };
    items.push(...page.items);
    after = page.next;
    if (after === undefined) return { data: items };
  }
}

/** The generated client with what a cache needs to know: who invalidates whom, and the whole register in one query. */
export const wainropeApi = generatedApi
  .enhanceEndpoints({
    addTagTypes: ['Team', 'Gear', 'Plan'],
    endpoints: {
      getTeam: { providesTags: ['Team'] },
      getGear: { providesTags: ['Gear'] },
      createGear: { invalidatesTags: ['Gear'] },
      changeGear: { invalidatesTags: ['Gear', 'Plan'] },
      importGear: { invalidatesTags: ['Gear', 'Team', 'Plan'] },
      getPlan: { providesTags: ['Plan'] },
      createPlan: { invalidatesTags: ['Plan'] },
    },
  })
  .injectEndpoints({
    endpoints: (build) => ({
      /** The whole register, page after page. */
      wholeRegister: build.query<readonly GearView[], void>({
        providesTags: ['Gear'],
        queryFn: (_arg, _api, _extra, ask) => allPages<GearView>('/api/v1/gear', { limit: String(PAGE) }, ask),
      }),
      /** Every plan, page after page. */
      allPlans: build.query<readonly PlanSummary[], void>({
        providesTags: ['Plan'],
        queryFn: (_arg, _api, _extra, ask) => allPages<PlanSummary>('/api/v1/plans', {}, ask),
      }),
    }),
  });

export const {
  useGetTeamQuery,
  useWholeRegisterQuery,
  useGetGearQuery,
  useCreateGearMutation,
  useChangeGearMutation,
  usePreviewImportMutation,
  useImportGearMutation,
  useAllPlansQuery,
  useGetPlanQuery,
  useCreatePlanMutation,
  useSavePlanMutation,
} = wainropeApi;

/** The problem document of a failed request; a made one where the server did not answer at all. */
export function problemOf(error: unknown): Problem {
  const { status, data } = (error ?? {}) as FetchBaseQueryError & { data?: unknown };
  if (typeof data === 'object' && data !== null && 'title' in data) return data as Problem;
  const offline = status === 'FETCH_ERROR';
  return {
    type: 'about:blank',
    status: typeof status === 'number' ? status : 0,
    title: offline ? 'The server does not answer' : 'Something went wrong',
    detail: offline ? 'Nothing was sent. Check that Wainrope runs, then try again.' : 'The answer was not understood.',
  };
}
