import type { FetchBaseQueryError } from '@reduxjs/toolkit/query';
import type { GearView, Problem } from '@wainrope/contract';
import { type GearPage, generatedApi } from './generated/wainrope-api.ts';

const PAGE = 1000;

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
      listPlans: { providesTags: ['Plan'] },
      getPlan: { providesTags: ['Plan'] },
      createPlan: { invalidatesTags: ['Plan'] },
    },
  })
  .injectEndpoints({
    endpoints: (build) => ({
      /** The whole register, page after page. */
      wholeRegister: build.query<readonly GearView[], void>({
        providesTags: ['Gear'],
        queryFn: async (_arg, _api, _extra, baseQuery) => {
          const items: GearView[] = [];
          for (let after: string | undefined; ; ) {
            const query = new URLSearchParams({ limit: String(PAGE), ...(after !== undefined && { after }) });
            const answer = await baseQuery(`/api/v1/gear?${query}`);
            if (answer.error) return { error: answer.error };
            const page = answer.data as GearPage;
            items.push(...(page.items as GearView[]));
            after = page.next;
            if (after === undefined) return { data: items };
          }
        },
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
  useListPlansQuery,
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
