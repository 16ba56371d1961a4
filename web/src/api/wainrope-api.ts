import type { FetchBaseQueryError } from '@reduxjs/toolkit/query';
import type { GearView, PlanSummary, Problem, SeriesCreate, SeriesView } from '@wainrope/contract';
import { keptRead, NEVER_KEPT, NOT_READ_HERE } from '../kept/keep-reads.ts';
import { tagTypes } from './base-api.ts';
import { generatedApi } from './generated/wainrope-api.ts';
import { allPages, wholeRegister } from './whole-lists.ts';

type Tag = (typeof tagTypes)[number];

/** What is asked again once a change was made; a change that failed changed nothing. */
const after =
  (tags: readonly Tag[]) =>
  (_result: unknown, error: unknown): Tag[] =>
    error === undefined ? [...tags] : [];

/** Another person sees another world. */
const forEverything = [...tagTypes];
/** What happens to a piece is seen in the register, in plans and in kits. */
const afterOuting = ['Outing', 'Gear', 'Kit', 'Audit', 'People'] as const;
const afterCare = ['Inspection', 'Gear', 'Plan', 'Kit', 'Audit', 'People'] as const;

/** The generated client with what a cache needs to know: who invalidates whom, and the whole register in one query. */
export const wainropeApi = generatedApi
  .enhanceEndpoints({
    endpoints: {
      getSession: { providesTags: ['Session'] },
      signIn: { invalidatesTags: after(forEverything) },
      signInToDemo: { invalidatesTags: after(forEverything) },
      acceptInvitation: { invalidatesTags: after(forEverything) },
      signOut: { invalidatesTags: after(['Session']) },
      signOutEverywhere: { invalidatesTags: after(['Session']) },
      getTeam: { providesTags: ['Team'] },
      listPeople: { providesTags: ['People'] },
      getPerson: { providesTags: ['People'] },
      addPerson: { invalidatesTags: after(['People']) },
      changePerson: { invalidatesTags: after(['People', 'Session']) },
      invitePerson: { invalidatesTags: after(['Audit']) },
      addPractice: { invalidatesTags: after(['People']) },
      listAudit: { providesTags: ['Audit'] },
      listAuditOf: { providesTags: ['Audit'] },
      listVehicles: { providesTags: ['Vehicle'] },
      addVehicle: { invalidatesTags: after(['Vehicle', 'Team', 'Audit']) },
      changeVehicle: { invalidatesTags: after(['Vehicle', 'Team', 'Audit']) },
      getHookUpBook: { providesTags: ['Vehicle'] },
      writeHookUp: { invalidatesTags: after(['Vehicle', 'Audit']) },
      getPolicy: { providesTags: ['Policy'] },
      adoptFigure: { invalidatesTags: after(['Policy', 'Team', 'Plan', 'Gear', 'Kit', 'Audit']) },
      savePolicy: { invalidatesTags: after(['Policy', 'Team', 'Plan', 'Gear', 'Kit', 'Audit']) },
      listKits: { providesTags: ['Kit'] },
      addKit: { invalidatesTags: after(['Kit', 'Team', 'Audit']) },
      changeKit: { invalidatesTags: after(['Kit', 'Team', 'Audit']) },
      moveContents: { invalidatesTags: after(['Kit', 'Gear', 'Audit']) },
      listOutings: { providesTags: ['Outing'] },
      getOuting: { providesTags: ['Outing'] },
      checkOut: { invalidatesTags: after(afterOuting) },
      addToOuting: { invalidatesTags: after(afterOuting) },
      countBack: { invalidatesTags: after(afterOuting) },
      closeOuting: { invalidatesTags: after(afterOuting) },
      listLayouts: { providesTags: ['Layout'] },
      keepLayout: { invalidatesTags: after(['Layout', 'Audit']) },
      putLayoutAway: { invalidatesTags: after(['Layout', 'Audit']) },
      listVersions: { providesTags: ['Plan'] },
      listComments: { providesTags: ['Plan'] },
      addComment: { invalidatesTags: after(['Plan', 'Audit']) },
      overrideFinding: { invalidatesTags: after(['Plan', 'Audit']) },
      setPlanState: { invalidatesTags: after(['Plan', 'Audit']) },
      getReminders: { providesTags: ['Gear', 'Inspection', 'Outing'] },
      acceptBundle: { invalidatesTags: after(forEverything) },
      getSinceVisit: { providesTags: ['Audit'] },
      markSeen: { invalidatesTags: after(['Audit']) },
      getFirstSteps: { providesTags: ['People', 'Gear', 'Kit', 'Vehicle', 'Plan'] },
      putFirstStepsAway: { invalidatesTags: after(['People']) },
      getCalendarLink: { providesTags: ['Calendar'] },
      makeCalendarLink: { invalidatesTags: after(['Calendar']) },
      revokeCalendarLink: { invalidatesTags: after(['Calendar']) },
      listRounds: { providesTags: ['Round'] },
      takeRoundOver: { invalidatesTags: after(['Round', 'Audit']) },
      putRoundAway: { invalidatesTags: after(['Round']) },
      listLoads: { providesTags: ['Load'] },
      addLoad: { invalidatesTags: after(['Load', ...afterCare]) },
      listDiary: { providesTags: ['Inspection', 'Gear'] },
      addDiaryEntry: { invalidatesTags: after(afterCare) },
      listBreakTests: { providesTags: ['BreakTest', 'Gear'] },
      addBreakTest: { invalidatesTags: after(['BreakTest', 'Audit']) },
      listIncidents: { providesTags: ['Incident'] },
      getIncident: { providesTags: ['Incident'] },
      addIncident: { invalidatesTags: after(['Incident', ...afterCare]) },
      addFollowUp: { invalidatesTags: after(['Incident', 'Audit']) },
      listOwnFigures: { providesTags: ['Load'] },
      getSeason: { providesTags: ['Incident', 'Load', 'Inspection', 'Outing'] },
      listSeries: { providesTags: ['Load'] },
      getSeries: { providesTags: ['Load'] },
      logPull: { invalidatesTags: after(['Load', ...afterCare]) },
      listSheets: { providesTags: ['Template'] },
      saveSheet: { invalidatesTags: after(['Template', 'Audit']) },
      listInspections: { providesTags: ['Inspection'] },
      getInspection: { providesTags: ['Inspection'] },
      addInspection: { invalidatesTags: after(afterCare) },
      getCare: { providesTags: ['Inspection'] },
      getLife: { providesTags: ['Inspection', 'Load', 'Incident', 'Outing'] },
      getWear: { providesTags: ['Inspection'] },
      quarantine: { invalidatesTags: after(afterCare) },
      retire: { invalidatesTags: after(afterCare) },
      correctCounter: { invalidatesTags: after(afterCare) },
      addExposure: { invalidatesTags: after(afterCare) },
      listDefects: { providesTags: ['Inspection'] },
      closeDefect: { invalidatesTags: after(['Inspection', 'Audit']) },
      addPhoto: { invalidatesTags: after(['Inspection', 'Vehicle', 'Incident']) },
      getGear: { providesTags: ['Gear'] },
      createGear: { invalidatesTags: after(['Gear', 'Audit']) },
      changeGear: { invalidatesTags: after(['Gear', 'Plan', 'Audit']) },
      importGear: { invalidatesTags: after(['Gear', 'Team', 'Plan', 'Audit']) },
      getPlan: { providesTags: ['Plan'] },
      createPlan: { invalidatesTags: after(['Plan', 'Audit']) },
    },
  })
  .injectEndpoints({
    endpoints: (build) => ({
      /** A recorder's file is the body itself: the browser reads it as it sends it. */
      bringSeries: build.mutation<SeriesView, { readonly planId: string; readonly series: SeriesCreate; readonly file: Blob }>({
        invalidatesTags: after(['Load', ...afterCare]),
        query: ({ planId, series, file }) => ({
          url: `/api/v1/plans/${planId}/series`,
          method: 'POST',
          params: series,
          body: new Blob([file], { type: 'text/csv' }),
        }),
      }),
      /** The whole register: its first page, and the others, where there are any, side by side. */
      wholeRegister: build.query<readonly GearView[], void>({
        providesTags: ['Gear'],
        queryFn: (_arg, api, _extra, ask) => keptRead('wholeRegister', api, () => wholeRegister(ask)),
      }),
      /** Every plan, page after page. */
      allPlans: build.query<readonly PlanSummary[], void>({
        providesTags: ['Plan'],
        queryFn: (_arg, api, _extra, ask) => keptRead('allPlans', api, () => allPages<PlanSummary>('/api/v1/plans', {}, ask)),
      }),
    }),
  });

export const {
  useGetSessionQuery,
  useSignInMutation,
  useSignInToDemoMutation,
  useSignOutMutation,
  useSignOutEverywhereMutation,
  useChangePasswordMutation,
  useLookAtInvitationMutation,
  useAcceptInvitationMutation,
  useListPeopleQuery,
  useGetPersonQuery,
  useAddPersonMutation,
  useChangePersonMutation,
  useInvitePersonMutation,
  useAddPracticeMutation,
  useListAuditQuery,
  useListAuditOfQuery,
  useListVehiclesQuery,
  useAddVehicleMutation,
  useChangeVehicleMutation,
  useGetHookUpBookQuery,
  useWriteHookUpMutation,
  useGetPolicyQuery,
  usePreviewPolicyMutation,
  useSavePolicyMutation,
  usePreviewFigureMutation,
  useAdoptFigureMutation,
  useListKitsQuery,
  useAddKitMutation,
  useChangeKitMutation,
  useMoveContentsMutation,
  useListOutingsQuery,
  useGetOutingQuery,
  useCheckOutMutation,
  useCountBackMutation,
  useCloseOutingMutation,
  useListLayoutsQuery,
  useKeepLayoutMutation,
  usePutLayoutAwayMutation,
  useListVersionsQuery,
  useLazyGetVersionQuery,
  useListCommentsQuery,
  useAddCommentMutation,
  useOverrideFindingMutation,
  useSetPlanStateMutation,
  useGetRemindersQuery,
  useAcceptBundleMutation,
  useGetSinceVisitQuery,
  useMarkSeenMutation,
  useGetFirstStepsQuery,
  usePutFirstStepsAwayMutation,
  useGetCalendarLinkQuery,
  useMakeCalendarLinkMutation,
  useRevokeCalendarLinkMutation,
  useListRoundsQuery,
  useKeepRoundMutation,
  useTakeRoundOverMutation,
  usePutRoundAwayMutation,
  useListLoadsQuery,
  useAddLoadMutation,
  useLogPullMutation,
  useListSheetsQuery,
  useSaveSheetMutation,
  useGetInspectionQuery,
  useAddInspectionMutation,
  useBringSeriesMutation,
  useAddDiaryEntryMutation,
  useListDiaryQuery,
  useAddBreakTestMutation,
  useListBreakTestsQuery,
  useAddIncidentMutation,
  useAddFollowUpMutation,
  useGetIncidentQuery,
  useListIncidentsQuery,
  useGetSeasonQuery,
  useListOwnFiguresQuery,
  useGetCareQuery,
  useGetSeriesQuery,
  useListSeriesQuery,
  useGetLifeQuery,
  useGetWearQuery,
  useQuarantineMutation,
  useRetireMutation,
  useAddExposureMutation,
  useCorrectCounterMutation,
  useListDefectsQuery,
  useCloseDefectMutation,
  useAddPhotoMutation,
  useGetTeamQuery,
  useWholeRegisterQuery,
  useGetGearQuery,
  useCreateGearMutation,
  useChangeGearMutation,
  useGetTaskQuery,
  useStopTaskMutation,
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
  const { error: why = '' } = (error ?? {}) as { readonly error?: string };
  if (offline && [NOT_READ_HERE, NEVER_KEPT].includes(why))
    return { type: 'about:blank', status: 0, title: 'No signal', detail: `${why} It opens as soon as there is one again.` };
  return {
    type: 'about:blank',
    status: typeof status === 'number' ? status : 0,
    title: offline ? 'The server does not answer' : 'Something went wrong',
    detail: offline ? 'Nothing was sent. Check that Wainrope runs, then try again.' : 'The answer was not understood.',
  };
}
