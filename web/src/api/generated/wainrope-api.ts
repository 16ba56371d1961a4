import type { AuditPage, BreakTestCreate, BreakTestList, BreakTestView, BundleAccept, CalendarLink, CommentCreate, CommentList, CounterCorrection, DefectClose, DefectList, DemoSignIn, DiaryCreate, DiaryView, ExposureCreate, FigureAdopt, FigureOf, FirstSteps, FirstStepsChange, FollowUpCreate, GearChange, GearCreate, GearPage, GearPageStarts, GearView, HookUpBook, HookUpCreate, IfHurt, ImportCommit, ImportPreview, ImportRequest, ImportResult, IncidentCreate, IncidentList, IncidentView, InspectionCreate, InspectionList, InspectionView, InvitationAccept, InvitationLink, InvitationLook, InvitationView, KitChange, KitContents, KitCreate, KitDetail, KitList, LayoutCreate, LayoutList, LifeView, LoadCreate, LoadList, LoadView, OutingClose, OutingCreate, OutingList, OutingPieces, OutingView, OverrideCreate, OwnFigureList, PasswordChange, PeopleList, PersonChange, PersonCreate, PersonListed, PersonPage, PhotoCreate, PhotoView, PieceCare, PlanCreate, PlanList, PlanSave, PlanStateChange, PlanVersionList, PlanVersionRig, PlanView, PolicyHistory, PolicyPreview, PolicyPreviewRequest, PolicySave, PracticeCreate, PullCreate, PullView, QuarantineRequest, Reminders, RetireRequest, RigFileView, RoundKeep, RoundList, RoundTake, RoundView, SeasonView, SeriesList, SeriesView, SessionView, SheetList, SheetSave, SheetView, SignIn, SinceVisit, TaskView, TeamView, VariantChoice, VehicleChange, VehicleCreate, VehicleDetail, VehicleList, VisitSeen, WearView } from '@wainrope/contract';
import { baseApi as api } from "../base-api.ts";
const injectedRtkApi = api.injectEndpoints({
  endpoints: (build) => ({
    getSession: build.query<GetSessionApiResponse, GetSessionApiArg>({
      query: () => ({ url: `/api/v1/session` }),
    }),
    signIn: build.mutation<SignInApiResponse, SignInApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/session`,
        method: "POST",
        body: queryArg.signIn,
      }),
    }),
    signOut: build.mutation<SignOutApiResponse, SignOutApiArg>({
      query: () => ({ url: `/api/v1/session`, method: "DELETE" }),
    }),
    signInToDemo: build.mutation<SignInToDemoApiResponse, SignInToDemoApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/session/demo`,
        method: "POST",
        body: queryArg.demoSignIn,
      }),
    }),
    signOutEverywhere: build.mutation<
      SignOutEverywhereApiResponse,
      SignOutEverywhereApiArg
    >({
      query: () => ({ url: `/api/v1/session/everywhere`, method: "DELETE" }),
    }),
    changePassword: build.mutation<
      ChangePasswordApiResponse,
      ChangePasswordApiArg
    >({
      query: (queryArg) => ({
        url: `/api/v1/session/password`,
        method: "PUT",
        body: queryArg.passwordChange,
      }),
    }),
    lookAtInvitation: build.mutation<
      LookAtInvitationApiResponse,
      LookAtInvitationApiArg
    >({
      query: (queryArg) => ({
        url: `/api/v1/invitations/look`,
        method: "POST",
        body: queryArg.invitationLook,
      }),
    }),
    acceptInvitation: build.mutation<
      AcceptInvitationApiResponse,
      AcceptInvitationApiArg
    >({
      query: (queryArg) => ({
        url: `/api/v1/invitations/accept`,
        method: "POST",
        body: queryArg.invitationAccept,
      }),
    }),
    acceptBundle: build.mutation<AcceptBundleApiResponse, AcceptBundleApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/invitations/bundle`,
        method: "POST",
        body: queryArg.bundleAccept,
      }),
    }),
    streamEvents: build.query<StreamEventsApiResponse, StreamEventsApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/events`,
        params: {
          agoMs: queryArg.agoMs,
        },
      }),
    }),
    getTeam: build.query<GetTeamApiResponse, GetTeamApiArg>({
      query: () => ({ url: `/api/v1/team` }),
    }),
    setIfHurt: build.mutation<SetIfHurtApiResponse, SetIfHurtApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/team/if-hurt`,
        method: "PUT",
        body: queryArg.ifHurt,
      }),
    }),
    listPeople: build.query<ListPeopleApiResponse, ListPeopleApiArg>({
      query: () => ({ url: `/api/v1/people` }),
    }),
    addPerson: build.mutation<AddPersonApiResponse, AddPersonApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/people`,
        method: "POST",
        body: queryArg.personCreate,
      }),
    }),
    getPerson: build.query<GetPersonApiResponse, GetPersonApiArg>({
      query: (queryArg) => ({ url: `/api/v1/people/${queryArg.personId}` }),
    }),
    changePerson: build.mutation<ChangePersonApiResponse, ChangePersonApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/people/${queryArg.personId}`,
        method: "PUT",
        body: queryArg.personChange,
      }),
    }),
    invitePerson: build.mutation<InvitePersonApiResponse, InvitePersonApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/people/${queryArg.personId}/invitation`,
        method: "POST",
      }),
    }),
    addPractice: build.mutation<AddPracticeApiResponse, AddPracticeApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/people/${queryArg.personId}/practice`,
        method: "POST",
        body: queryArg.practiceCreate,
      }),
    }),
    listAudit: build.query<ListAuditApiResponse, ListAuditApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/audit`,
        params: {
          before: queryArg.before,
          limit: queryArg.limit,
          kind: queryArg.kind,
          person: queryArg.person,
        },
      }),
    }),
    listAuditOf: build.query<ListAuditOfApiResponse, ListAuditOfApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/audit/${queryArg.subjectId}`,
        params: {
          before: queryArg.before,
          limit: queryArg.limit,
          kind: queryArg.kind,
          person: queryArg.person,
        },
      }),
    }),
    listGear: build.query<ListGearApiResponse, ListGearApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/gear`,
        params: {
          after: queryArg.after,
          upTo: queryArg.upTo,
          limit: queryArg.limit,
        },
      }),
    }),
    createGear: build.mutation<CreateGearApiResponse, CreateGearApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/gear`,
        method: "POST",
        body: queryArg.gearCreate,
      }),
    }),
    listGearPages: build.query<ListGearPagesApiResponse, ListGearPagesApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/gear/pages`,
        params: {
          after: queryArg.after,
          limit: queryArg.limit,
        },
      }),
    }),
    exportGear: build.query<ExportGearApiResponse, ExportGearApiArg>({
      query: () => ({ url: `/api/v1/gear/export.csv` }),
    }),
    getGear: build.query<GetGearApiResponse, GetGearApiArg>({
      query: (queryArg) => ({ url: `/api/v1/gear/${queryArg.gearId}` }),
    }),
    changeGear: build.mutation<ChangeGearApiResponse, ChangeGearApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/gear/${queryArg.gearId}`,
        method: "PUT",
        body: queryArg.gearChange,
      }),
    }),
    previewImport: build.mutation<
      PreviewImportApiResponse,
      PreviewImportApiArg
    >({
      query: (queryArg) => ({
        url: `/api/v1/gear/import/preview`,
        method: "POST",
        body: queryArg.importRequest,
        params: {
          task: queryArg.task,
        },
      }),
    }),
    importGear: build.mutation<ImportGearApiResponse, ImportGearApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/gear/import`,
        method: "POST",
        body: queryArg.importCommit,
        params: {
          task: queryArg.task,
        },
      }),
    }),
    getCare: build.query<GetCareApiResponse, GetCareApiArg>({
      query: (queryArg) => ({ url: `/api/v1/gear/${queryArg.gearId}/care` }),
    }),
    quarantine: build.mutation<QuarantineApiResponse, QuarantineApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/gear/${queryArg.gearId}/quarantine`,
        method: "POST",
        body: queryArg.quarantineRequest,
      }),
    }),
    retire: build.mutation<RetireApiResponse, RetireApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/gear/${queryArg.gearId}/retire`,
        method: "POST",
        body: queryArg.retireRequest,
      }),
    }),
    correctCounter: build.mutation<
      CorrectCounterApiResponse,
      CorrectCounterApiArg
    >({
      query: (queryArg) => ({
        url: `/api/v1/gear/${queryArg.gearId}/counters`,
        method: "POST",
        body: queryArg.counterCorrection,
      }),
    }),
    addExposure: build.mutation<AddExposureApiResponse, AddExposureApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/gear/${queryArg.gearId}/exposures`,
        method: "POST",
        body: queryArg.exposureCreate,
      }),
    }),
    listKits: build.query<ListKitsApiResponse, ListKitsApiArg>({
      query: () => ({ url: `/api/v1/kits` }),
    }),
    addKit: build.mutation<AddKitApiResponse, AddKitApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/kits`,
        method: "POST",
        body: queryArg.kitCreate,
      }),
    }),
    changeKit: build.mutation<ChangeKitApiResponse, ChangeKitApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/kits/${queryArg.kitId}`,
        method: "PUT",
        body: queryArg.kitChange,
      }),
    }),
    moveContents: build.mutation<MoveContentsApiResponse, MoveContentsApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/kits/${queryArg.kitId}/contents`,
        method: "POST",
        body: queryArg.kitContents,
      }),
    }),
    listOutings: build.query<ListOutingsApiResponse, ListOutingsApiArg>({
      query: () => ({ url: `/api/v1/outings` }),
    }),
    checkOut: build.mutation<CheckOutApiResponse, CheckOutApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/outings`,
        method: "POST",
        body: queryArg.outingCreate,
      }),
    }),
    getOuting: build.query<GetOutingApiResponse, GetOutingApiArg>({
      query: (queryArg) => ({ url: `/api/v1/outings/${queryArg.outingId}` }),
    }),
    addToOuting: build.mutation<AddToOutingApiResponse, AddToOutingApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/outings/${queryArg.outingId}/pieces`,
        method: "POST",
        body: queryArg.outingPieces,
      }),
    }),
    countBack: build.mutation<CountBackApiResponse, CountBackApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/outings/${queryArg.outingId}/count-back`,
        method: "POST",
        body: queryArg.outingPieces,
      }),
    }),
    closeOuting: build.mutation<CloseOutingApiResponse, CloseOutingApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/outings/${queryArg.outingId}/close`,
        method: "POST",
        body: queryArg.outingClose,
      }),
    }),
    getSinceVisit: build.query<GetSinceVisitApiResponse, GetSinceVisitApiArg>({
      query: () => ({ url: `/api/v1/visit` }),
    }),
    markSeen: build.mutation<MarkSeenApiResponse, MarkSeenApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/visit`,
        method: "POST",
        body: queryArg.visitSeen,
      }),
    }),
    getReminders: build.query<GetRemindersApiResponse, GetRemindersApiArg>({
      query: () => ({ url: `/api/v1/visit/reminders` }),
    }),
    getFirstSteps: build.query<GetFirstStepsApiResponse, GetFirstStepsApiArg>({
      query: () => ({ url: `/api/v1/visit/first-steps` }),
    }),
    putFirstStepsAway: build.mutation<
      PutFirstStepsAwayApiResponse,
      PutFirstStepsAwayApiArg
    >({
      query: (queryArg) => ({
        url: `/api/v1/visit/first-steps`,
        method: "PUT",
        body: queryArg.firstStepsChange,
      }),
    }),
    getBundle: build.query<GetBundleApiResponse, GetBundleApiArg>({
      query: () => ({ url: `/api/v1/bundle` }),
    }),
    getCalendarLink: build.query<
      GetCalendarLinkApiResponse,
      GetCalendarLinkApiArg
    >({
      query: () => ({ url: `/api/v1/calendar-link` }),
    }),
    makeCalendarLink: build.mutation<
      MakeCalendarLinkApiResponse,
      MakeCalendarLinkApiArg
    >({
      query: () => ({ url: `/api/v1/calendar-link`, method: "POST" }),
    }),
    revokeCalendarLink: build.mutation<
      RevokeCalendarLinkApiResponse,
      RevokeCalendarLinkApiArg
    >({
      query: () => ({ url: `/api/v1/calendar-link`, method: "DELETE" }),
    }),
    getCalendar: build.query<GetCalendarApiResponse, GetCalendarApiArg>({
      query: (queryArg) => ({ url: `/api/v1/calendar/${queryArg.token}` }),
    }),
    listInspections: build.query<
      ListInspectionsApiResponse,
      ListInspectionsApiArg
    >({
      query: (queryArg) => ({
        url: `/api/v1/inspections`,
        params: {
          gearId: queryArg.gearId,
          person: queryArg.person,
          limit: queryArg.limit,
        },
      }),
    }),
    addInspection: build.mutation<
      AddInspectionApiResponse,
      AddInspectionApiArg
    >({
      query: (queryArg) => ({
        url: `/api/v1/inspections`,
        method: "POST",
        body: queryArg.inspectionCreate,
      }),
    }),
    getInspection: build.query<GetInspectionApiResponse, GetInspectionApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/inspections/${queryArg.inspectionId}`,
      }),
    }),
    listDefects: build.query<ListDefectsApiResponse, ListDefectsApiArg>({
      query: () => ({ url: `/api/v1/defects` }),
    }),
    closeDefect: build.mutation<CloseDefectApiResponse, CloseDefectApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/defects/${queryArg.defectId}/closing`,
        method: "POST",
        body: queryArg.defectClose,
      }),
    }),
    addPhoto: build.mutation<AddPhotoApiResponse, AddPhotoApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/photos`,
        method: "POST",
        body: queryArg.photoCreate,
      }),
    }),
    getPhoto: build.query<GetPhotoApiResponse, GetPhotoApiArg>({
      query: (queryArg) => ({ url: `/api/v1/photos/${queryArg.photoId}` }),
    }),
    getThumbnail: build.query<GetThumbnailApiResponse, GetThumbnailApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/photos/${queryArg.photoId}/thumbnail`,
      }),
    }),
    listLoads: build.query<ListLoadsApiResponse, ListLoadsApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/gear/${queryArg.gearId}/loads`,
        params: {
          before: queryArg.before,
          limit: queryArg.limit,
        },
      }),
    }),
    addLoad: build.mutation<AddLoadApiResponse, AddLoadApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/loads`,
        method: "POST",
        body: queryArg.loadCreate,
      }),
    }),
    logPull: build.mutation<LogPullApiResponse, LogPullApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/plans/${queryArg.planId}/pulls`,
        method: "POST",
        body: queryArg.pullCreate,
      }),
    }),
    listSeries: build.query<ListSeriesApiResponse, ListSeriesApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/plans/${queryArg.planId}/series`,
        params: {
          before: queryArg.before,
          limit: queryArg.limit,
        },
      }),
    }),
    addSeries: build.mutation<AddSeriesApiResponse, AddSeriesApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/plans/${queryArg.planId}/series`,
        method: "POST",
        body: queryArg.body,
        params: {
          seriesId: queryArg.seriesId,
          version: queryArg.version,
          lineId: queryArg.lineId,
          strand: queryArg.strand,
          on: queryArg.on,
          fileName: queryArg.fileName,
          pulls: queryArg.pulls,
          tension: queryArg.tension,
          forceUnit: queryArg.forceUnit,
          timeUnit: queryArg.timeUnit,
          spikes: queryArg.spikes,
          note: queryArg.note,
          task: queryArg.task,
        },
      }),
    }),
    getSeries: build.query<GetSeriesApiResponse, GetSeriesApiArg>({
      query: (queryArg) => ({ url: `/api/v1/series/${queryArg.seriesId}` }),
    }),
    getSeriesFile: build.query<GetSeriesFileApiResponse, GetSeriesFileApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/series/${queryArg.seriesId}/file`,
      }),
    }),
    listIncidents: build.query<ListIncidentsApiResponse, ListIncidentsApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/incidents`,
        params: {
          gearId: queryArg.gearId,
          before: queryArg.before,
          limit: queryArg.limit,
        },
      }),
    }),
    addIncident: build.mutation<AddIncidentApiResponse, AddIncidentApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/incidents`,
        method: "POST",
        body: queryArg.incidentCreate,
      }),
    }),
    getIncident: build.query<GetIncidentApiResponse, GetIncidentApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/incidents/${queryArg.incidentId}`,
      }),
    }),
    addFollowUp: build.mutation<AddFollowUpApiResponse, AddFollowUpApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/incidents/${queryArg.incidentId}/follow-ups`,
        method: "POST",
        body: queryArg.followUpCreate,
      }),
    }),
    listOwnFigures: build.query<
      ListOwnFiguresApiResponse,
      ListOwnFiguresApiArg
    >({
      query: () => ({ url: `/api/v1/own-figures` }),
    }),
    getSeason: build.query<GetSeasonApiResponse, GetSeasonApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/season`,
        params: {
          from: queryArg["from"],
          to: queryArg.to,
        },
      }),
    }),
    getLife: build.query<GetLifeApiResponse, GetLifeApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/gear/${queryArg.gearId}/life`,
        params: {
          before: queryArg.before,
          limit: queryArg.limit,
        },
      }),
    }),
    listBreakTests: build.query<
      ListBreakTestsApiResponse,
      ListBreakTestsApiArg
    >({
      query: (queryArg) => ({
        url: `/api/v1/gear/${queryArg.gearId}/break-tests`,
        params: {
          before: queryArg.before,
          limit: queryArg.limit,
        },
      }),
    }),
    addBreakTest: build.mutation<AddBreakTestApiResponse, AddBreakTestApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/break-tests`,
        method: "POST",
        body: queryArg.breakTestCreate,
      }),
    }),
    listDiary: build.query<ListDiaryApiResponse, ListDiaryApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/gear/${queryArg.gearId}/diary`,
        params: {
          before: queryArg.before,
          limit: queryArg.limit,
        },
      }),
    }),
    addDiaryEntry: build.mutation<
      AddDiaryEntryApiResponse,
      AddDiaryEntryApiArg
    >({
      query: (queryArg) => ({
        url: `/api/v1/gear/${queryArg.gearId}/diary`,
        method: "POST",
        body: queryArg.diaryCreate,
      }),
    }),
    listRounds: build.query<ListRoundsApiResponse, ListRoundsApiArg>({
      query: () => ({ url: `/api/v1/rounds` }),
    }),
    keepRound: build.mutation<KeepRoundApiResponse, KeepRoundApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/rounds/${queryArg.roundId}`,
        method: "PUT",
        body: queryArg.roundKeep,
      }),
    }),
    putRoundAway: build.mutation<PutRoundAwayApiResponse, PutRoundAwayApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/rounds/${queryArg.roundId}`,
        method: "DELETE",
        params: {
          deviceId: queryArg.deviceId,
        },
      }),
    }),
    takeRoundOver: build.mutation<
      TakeRoundOverApiResponse,
      TakeRoundOverApiArg
    >({
      query: (queryArg) => ({
        url: `/api/v1/rounds/${queryArg.roundId}/holder`,
        method: "POST",
        body: queryArg.roundTake,
      }),
    }),
    listSheets: build.query<ListSheetsApiResponse, ListSheetsApiArg>({
      query: () => ({ url: `/api/v1/inspection-sheets` }),
    }),
    saveSheet: build.mutation<SaveSheetApiResponse, SaveSheetApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/inspection-sheets/${queryArg.gearClass}`,
        method: "PUT",
        body: queryArg.sheetSave,
      }),
    }),
    getWear: build.query<GetWearApiResponse, GetWearApiArg>({
      query: (queryArg) => ({ url: `/api/v1/gear/${queryArg.gearId}/wear` }),
    }),
    listPlans: build.query<ListPlansApiResponse, ListPlansApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/plans`,
        params: {
          after: queryArg.after,
        },
      }),
    }),
    createPlan: build.mutation<CreatePlanApiResponse, CreatePlanApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/plans`,
        method: "POST",
        body: queryArg.planCreate,
        params: {
          task: queryArg.task,
        },
      }),
    }),
    getPlan: build.query<GetPlanApiResponse, GetPlanApiArg>({
      query: (queryArg) => ({ url: `/api/v1/plans/${queryArg.planId}` }),
    }),
    savePlan: build.mutation<SavePlanApiResponse, SavePlanApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/plans/${queryArg.planId}`,
        method: "PUT",
        body: queryArg.planSave,
        params: {
          task: queryArg.task,
        },
      }),
    }),
    getRigFile: build.query<GetRigFileApiResponse, GetRigFileApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/plans/${queryArg.planId}/rig-file`,
      }),
    }),
    setPlanState: build.mutation<SetPlanStateApiResponse, SetPlanStateApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/plans/${queryArg.planId}/state`,
        method: "POST",
        body: queryArg.planStateChange,
        params: {
          task: queryArg.task,
        },
      }),
    }),
    chooseVariant: build.mutation<
      ChooseVariantApiResponse,
      ChooseVariantApiArg
    >({
      query: (queryArg) => ({
        url: `/api/v1/plans/${queryArg.planId}/choose`,
        method: "POST",
        body: queryArg.variantChoice,
        params: {
          task: queryArg.task,
        },
      }),
    }),
    overrideFinding: build.mutation<
      OverrideFindingApiResponse,
      OverrideFindingApiArg
    >({
      query: (queryArg) => ({
        url: `/api/v1/plans/${queryArg.planId}/overrides`,
        method: "POST",
        body: queryArg.overrideCreate,
      }),
    }),
    listComments: build.query<ListCommentsApiResponse, ListCommentsApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/plans/${queryArg.planId}/comments`,
      }),
    }),
    addComment: build.mutation<AddCommentApiResponse, AddCommentApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/plans/${queryArg.planId}/comments`,
        method: "POST",
        body: queryArg.commentCreate,
      }),
    }),
    listVersions: build.query<ListVersionsApiResponse, ListVersionsApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/plans/${queryArg.planId}/versions`,
        params: {
          limit: queryArg.limit,
        },
      }),
    }),
    getVersion: build.query<GetVersionApiResponse, GetVersionApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/plans/${queryArg.planId}/versions/${queryArg.version}`,
      }),
    }),
    listLayouts: build.query<ListLayoutsApiResponse, ListLayoutsApiArg>({
      query: () => ({ url: `/api/v1/layouts` }),
    }),
    keepLayout: build.mutation<KeepLayoutApiResponse, KeepLayoutApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/layouts`,
        method: "POST",
        body: queryArg.layoutCreate,
      }),
    }),
    putLayoutAway: build.mutation<
      PutLayoutAwayApiResponse,
      PutLayoutAwayApiArg
    >({
      query: (queryArg) => ({
        url: `/api/v1/layouts/${queryArg.layoutId}`,
        method: "DELETE",
      }),
    }),
    getPolicy: build.query<GetPolicyApiResponse, GetPolicyApiArg>({
      query: () => ({ url: `/api/v1/policy` }),
    }),
    savePolicy: build.mutation<SavePolicyApiResponse, SavePolicyApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/policy`,
        method: "POST",
        body: queryArg.policySave,
      }),
    }),
    previewPolicy: build.mutation<
      PreviewPolicyApiResponse,
      PreviewPolicyApiArg
    >({
      query: (queryArg) => ({
        url: `/api/v1/policy/preview`,
        method: "POST",
        body: queryArg.policyPreviewRequest,
        params: {
          task: queryArg.task,
        },
      }),
    }),
    previewFigure: build.mutation<
      PreviewFigureApiResponse,
      PreviewFigureApiArg
    >({
      query: (queryArg) => ({
        url: `/api/v1/policy/own-figures/preview`,
        method: "POST",
        body: queryArg.figureOf,
        params: {
          task: queryArg.task,
        },
      }),
    }),
    adoptFigure: build.mutation<AdoptFigureApiResponse, AdoptFigureApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/policy/own-figures`,
        method: "POST",
        body: queryArg.figureAdopt,
      }),
    }),
    listVehicles: build.query<ListVehiclesApiResponse, ListVehiclesApiArg>({
      query: () => ({ url: `/api/v1/vehicles` }),
    }),
    addVehicle: build.mutation<AddVehicleApiResponse, AddVehicleApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/vehicles`,
        method: "POST",
        body: queryArg.vehicleCreate,
      }),
    }),
    changeVehicle: build.mutation<
      ChangeVehicleApiResponse,
      ChangeVehicleApiArg
    >({
      query: (queryArg) => ({
        url: `/api/v1/vehicles/${queryArg.vehicleId}`,
        method: "PUT",
        body: queryArg.vehicleChange,
      }),
    }),
    getHookUpBook: build.query<GetHookUpBookApiResponse, GetHookUpBookApiArg>({
      query: () => ({ url: `/api/v1/hook-ups` }),
    }),
    writeHookUp: build.mutation<WriteHookUpApiResponse, WriteHookUpApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/hook-ups`,
        method: "POST",
        body: queryArg.hookUpCreate,
      }),
    }),
    getTask: build.query<GetTaskApiResponse, GetTaskApiArg>({
      query: (queryArg) => ({ url: `/api/v1/tasks/${queryArg.taskId}` }),
    }),
    stopTask: build.mutation<StopTaskApiResponse, StopTaskApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/tasks/${queryArg.taskId}`,
        method: "DELETE",
      }),
    }),
  }),
  overrideExisting: false,
});
export { injectedRtkApi as generatedApi };
export type GetSessionApiResponse = /** status 200  */ SessionView;
export type GetSessionApiArg = void;
export type SignInApiResponse = /** status 201  */ SessionView;
export type SignInApiArg = {
  signIn: SignIn;
};
export type SignOutApiResponse = unknown;
export type SignOutApiArg = void;
export type SignInToDemoApiResponse = /** status 201  */ SessionView;
export type SignInToDemoApiArg = {
  demoSignIn: DemoSignIn;
};
export type SignOutEverywhereApiResponse = unknown;
export type SignOutEverywhereApiArg = void;
export type ChangePasswordApiResponse = unknown;
export type ChangePasswordApiArg = {
  passwordChange: PasswordChange;
};
export type LookAtInvitationApiResponse = /** status 200  */ InvitationView;
export type LookAtInvitationApiArg = {
  invitationLook: InvitationLook;
};
export type AcceptInvitationApiResponse = /** status 201  */ SessionView;
export type AcceptInvitationApiArg = {
  invitationAccept: InvitationAccept;
};
export type AcceptBundleApiResponse = /** status 201  */ SessionView;
export type AcceptBundleApiArg = {
  bundleAccept: BundleAccept;
};
export type StreamEventsApiResponse = /** status 200  */ string;
export type StreamEventsApiArg = {
  agoMs?: number;
};
export type GetTeamApiResponse = /** status 200  */ TeamView;
export type GetTeamApiArg = void;
export type SetIfHurtApiResponse = /** status 200  */ TeamView;
export type SetIfHurtApiArg = {
  ifHurt: IfHurt;
};
export type ListPeopleApiResponse = /** status 200  */ PeopleList;
export type ListPeopleApiArg = void;
export type AddPersonApiResponse = /** status 201  */ PersonListed;
export type AddPersonApiArg = {
  personCreate: PersonCreate;
};
export type GetPersonApiResponse = /** status 200  */ PersonPage;
export type GetPersonApiArg = {
  personId: string;
};
export type ChangePersonApiResponse = /** status 200  */ PersonListed;
export type ChangePersonApiArg = {
  personId: string;
  personChange: PersonChange;
};
export type InvitePersonApiResponse = /** status 201  */ InvitationLink;
export type InvitePersonApiArg = {
  personId: string;
};
export type AddPracticeApiResponse = /** status 200  */ PersonPage;
export type AddPracticeApiArg = {
  personId: string;
  practiceCreate: PracticeCreate;
};
export type ListAuditApiResponse = /** status 200  */ AuditPage;
export type ListAuditApiArg = {
  before?: number;
  limit?: number;
  kind?:
    | "gear"
    | "inspection"
    | "load"
    | "incident"
    | "break-test"
    | "defect"
    | "kit"
    | "outing"
    | "plan"
    | "person"
    | "policy"
    | "template"
    | "vehicle"
    | "hook-up"
    | "round"
    | "team"
    | "account";
  person?: string;
};
export type ListAuditOfApiResponse = /** status 200  */ AuditPage;
export type ListAuditOfApiArg = {
  subjectId: string;
  before?: number;
  limit?: number;
  kind?:
    | "gear"
    | "inspection"
    | "load"
    | "incident"
    | "break-test"
    | "defect"
    | "kit"
    | "outing"
    | "plan"
    | "person"
    | "policy"
    | "template"
    | "vehicle"
    | "hook-up"
    | "round"
    | "team"
    | "account";
  person?: string;
};
export type ListGearApiResponse = /** status 200  */ GearPage;
export type ListGearApiArg = {
  after?: string;
  upTo?: string;
  limit?: number;
};
export type CreateGearApiResponse = /** status 201  */ GearView;
export type CreateGearApiArg = {
  gearCreate: GearCreate;
};
export type ListGearPagesApiResponse = /** status 200  */ GearPageStarts;
export type ListGearPagesApiArg = {
  after: string;
  limit: number;
};
export type ExportGearApiResponse = unknown;
export type ExportGearApiArg = void;
export type GetGearApiResponse = /** status 200  */ GearView;
export type GetGearApiArg = {
  gearId: string;
};
export type ChangeGearApiResponse = /** status 200  */ GearView;
export type ChangeGearApiArg = {
  gearId: string;
  gearChange: GearChange;
};
export type PreviewImportApiResponse = /** status 200  */ ImportPreview;
export type PreviewImportApiArg = {
  task?: string;
  importRequest: ImportRequest;
};
export type ImportGearApiResponse = /** status 200  */ ImportResult;
export type ImportGearApiArg = {
  task?: string;
  importCommit: ImportCommit;
};
export type GetCareApiResponse = /** status 200  */ PieceCare;
export type GetCareApiArg = {
  gearId: string;
};
export type QuarantineApiResponse = /** status 200  */ PieceCare;
export type QuarantineApiArg = {
  gearId: string;
  quarantineRequest: QuarantineRequest;
};
export type RetireApiResponse = /** status 200  */ PieceCare;
export type RetireApiArg = {
  gearId: string;
  retireRequest: RetireRequest;
};
export type CorrectCounterApiResponse = /** status 200  */ PieceCare;
export type CorrectCounterApiArg = {
  gearId: string;
  counterCorrection: CounterCorrection;
};
export type AddExposureApiResponse = /** status 200  */ PieceCare;
export type AddExposureApiArg = {
  gearId: string;
  exposureCreate: ExposureCreate;
};
export type ListKitsApiResponse = /** status 200  */ KitList;
export type ListKitsApiArg = void;
export type AddKitApiResponse = /** status 201  */ KitDetail;
export type AddKitApiArg = {
  kitCreate: KitCreate;
};
export type ChangeKitApiResponse = /** status 200  */ KitDetail;
export type ChangeKitApiArg = {
  kitId: string;
  kitChange: KitChange;
};
export type MoveContentsApiResponse = /** status 200  */ KitDetail;
export type MoveContentsApiArg = {
  kitId: string;
  kitContents: KitContents;
};
export type ListOutingsApiResponse = /** status 200  */ OutingList;
export type ListOutingsApiArg = void;
export type CheckOutApiResponse = /** status 201  */ OutingView;
export type CheckOutApiArg = {
  outingCreate: OutingCreate;
};
export type GetOutingApiResponse = /** status 200  */ OutingView;
export type GetOutingApiArg = {
  outingId: string;
};
export type AddToOutingApiResponse = /** status 200  */ OutingView;
export type AddToOutingApiArg = {
  outingId: string;
  outingPieces: OutingPieces;
};
export type CountBackApiResponse = /** status 200  */ OutingView;
export type CountBackApiArg = {
  outingId: string;
  outingPieces: OutingPieces;
};
export type CloseOutingApiResponse = /** status 200  */ OutingView;
export type CloseOutingApiArg = {
  outingId: string;
  outingClose: OutingClose;
};
export type GetSinceVisitApiResponse = /** status 200  */ SinceVisit;
export type GetSinceVisitApiArg = void;
export type MarkSeenApiResponse = /** status 200  */ SinceVisit;
export type MarkSeenApiArg = {
  visitSeen: VisitSeen;
};
export type GetRemindersApiResponse = /** status 200  */ Reminders;
export type GetRemindersApiArg = void;
export type GetFirstStepsApiResponse = /** status 200  */ FirstSteps;
export type GetFirstStepsApiArg = void;
export type PutFirstStepsAwayApiResponse = /** status 200  */ FirstSteps;
export type PutFirstStepsAwayApiArg = {
  firstStepsChange: FirstStepsChange;
};
export type GetBundleApiResponse = /** status 200  */ object;
export type GetBundleApiArg = void;
export type GetCalendarLinkApiResponse = /** status 200  */ CalendarLink;
export type GetCalendarLinkApiArg = void;
export type MakeCalendarLinkApiResponse = /** status 201  */ CalendarLink;
export type MakeCalendarLinkApiArg = void;
export type RevokeCalendarLinkApiResponse = /** status 200  */ CalendarLink;
export type RevokeCalendarLinkApiArg = void;
export type GetCalendarApiResponse = unknown;
export type GetCalendarApiArg = {
  token: string;
};
export type ListInspectionsApiResponse = /** status 200  */ InspectionList;
export type ListInspectionsApiArg = {
  gearId?: string;
  person?: string;
  limit?: number;
};
export type AddInspectionApiResponse = /** status 201  */ InspectionView;
export type AddInspectionApiArg = {
  inspectionCreate: InspectionCreate;
};
export type GetInspectionApiResponse = /** status 200  */ InspectionView;
export type GetInspectionApiArg = {
  inspectionId: string;
};
export type ListDefectsApiResponse = /** status 200  */ DefectList;
export type ListDefectsApiArg = void;
export type CloseDefectApiResponse = /** status 200  */ DefectList;
export type CloseDefectApiArg = {
  defectId: string;
  defectClose: DefectClose;
};
export type AddPhotoApiResponse = /** status 201  */ PhotoView;
export type AddPhotoApiArg = {
  photoCreate: PhotoCreate;
};
export type GetPhotoApiResponse = unknown;
export type GetPhotoApiArg = {
  photoId: string;
};
export type GetThumbnailApiResponse = unknown;
export type GetThumbnailApiArg = {
  photoId: string;
};
export type ListLoadsApiResponse = /** status 200  */ LoadList;
export type ListLoadsApiArg = {
  gearId: string;
  before?: string;
  limit?: number;
};
export type AddLoadApiResponse = /** status 201  */ LoadView;
export type AddLoadApiArg = {
  loadCreate: LoadCreate;
};
export type LogPullApiResponse = /** status 201  */ PullView;
export type LogPullApiArg = {
  planId: string;
  pullCreate: PullCreate;
};
export type ListSeriesApiResponse = /** status 200  */ SeriesList;
export type ListSeriesApiArg = {
  planId: string;
  before?: string;
  limit?: number;
};
export type AddSeriesApiResponse = /** status 201  */ SeriesView;
export type AddSeriesApiArg = {
  planId: string;
  seriesId: string;
  version: number;
  lineId: string;
  strand: number;
  on: string;
  fileName: string;
  pulls: number;
  tension?: string;
  forceUnit?:
    "N" | "daN" | "kN" | "kgf" | "lbf" | "tonne" | "short ton" | "long ton";
  timeUnit?: "s" | "ms" | "min";
  spikes?: "leave-out";
  note?: string;
  task?: string;
  body: string;
};
export type GetSeriesApiResponse = /** status 200  */ SeriesView;
export type GetSeriesApiArg = {
  seriesId: string;
};
export type GetSeriesFileApiResponse = /** status 200  */ string;
export type GetSeriesFileApiArg = {
  seriesId: string;
};
export type ListIncidentsApiResponse = /** status 200  */ IncidentList;
export type ListIncidentsApiArg = {
  gearId?: string;
  before?: string;
  limit?: number;
};
export type AddIncidentApiResponse = /** status 201  */ IncidentView;
export type AddIncidentApiArg = {
  incidentCreate: IncidentCreate;
};
export type GetIncidentApiResponse = /** status 200  */ IncidentView;
export type GetIncidentApiArg = {
  incidentId: string;
};
export type AddFollowUpApiResponse = /** status 201  */ IncidentView;
export type AddFollowUpApiArg = {
  incidentId: string;
  followUpCreate: FollowUpCreate;
};
export type ListOwnFiguresApiResponse = /** status 200  */ OwnFigureList;
export type ListOwnFiguresApiArg = void;
export type GetSeasonApiResponse = /** status 200  */ SeasonView;
export type GetSeasonApiArg = {
  from: string;
  to: string;
};
export type GetLifeApiResponse = /** status 200  */ LifeView;
export type GetLifeApiArg = {
  gearId: string;
  before?: string;
  limit?: number;
};
export type ListBreakTestsApiResponse = /** status 200  */ BreakTestList;
export type ListBreakTestsApiArg = {
  gearId: string;
  before?: string;
  limit?: number;
};
export type AddBreakTestApiResponse = /** status 201  */ BreakTestView;
export type AddBreakTestApiArg = {
  breakTestCreate: BreakTestCreate;
};
export type ListDiaryApiResponse = /** status 200  */ DiaryView;
export type ListDiaryApiArg = {
  gearId: string;
  before?: string;
  limit?: number;
};
export type AddDiaryEntryApiResponse = /** status 201  */ DiaryView;
export type AddDiaryEntryApiArg = {
  gearId: string;
  diaryCreate: DiaryCreate;
};
export type ListRoundsApiResponse = /** status 200  */ RoundList;
export type ListRoundsApiArg = void;
export type KeepRoundApiResponse = /** status 200  */ RoundView;
export type KeepRoundApiArg = {
  roundId: string;
  roundKeep: RoundKeep;
};
export type PutRoundAwayApiResponse = unknown;
export type PutRoundAwayApiArg = {
  roundId: string;
  deviceId: string;
};
export type TakeRoundOverApiResponse = /** status 200  */ RoundView;
export type TakeRoundOverApiArg = {
  roundId: string;
  roundTake: RoundTake;
};
export type ListSheetsApiResponse = /** status 200  */ SheetList;
export type ListSheetsApiArg = void;
export type SaveSheetApiResponse = /** status 200  */ SheetView;
export type SaveSheetApiArg = {
  gearClass:
    | "steel-shackle"
    | "soft-shackle"
    | "winch-line-synthetic"
    | "winch-line-steel"
    | "line-extension"
    | "snatch-block"
    | "recovery-ring"
    | "tree-strap"
    | "stretch-rope"
    | "static-strap"
    | "winch-extension-strap"
    | "bridle"
    | "chain"
    | "winch-hook"
    | "closed-link"
    | "rope-lock-plate"
    | "line-fitting"
    | "carabiner"
    | "prusik-loop"
    | "safety-lanyard"
    | "ground-anchor"
    | "receiver-mount"
    | "recovery-point"
    | "winch"
    | "lifting-jack"
    | "damper"
    | "chocks"
    | "gloves"
    | "eye-protection"
    | "shovel"
    | "traction-boards"
    | "tool"
    | "repair-strap"
    | "load-securing-strap";
  sheetSave: SheetSave;
};
export type GetWearApiResponse = /** status 200  */ WearView;
export type GetWearApiArg = {
  gearId: string;
};
export type ListPlansApiResponse = /** status 200  */ PlanList;
export type ListPlansApiArg = {
  after?: string;
};
export type CreatePlanApiResponse = /** status 201  */ PlanView;
export type CreatePlanApiArg = {
  task?: string;
  planCreate: PlanCreate;
};
export type GetPlanApiResponse = /** status 200  */ PlanView;
export type GetPlanApiArg = {
  planId: string;
};
export type SavePlanApiResponse = /** status 200  */ PlanView;
export type SavePlanApiArg = {
  planId: string;
  task?: string;
  planSave: PlanSave;
};
export type GetRigFileApiResponse = /** status 200  */ RigFileView;
export type GetRigFileApiArg = {
  planId: string;
};
export type SetPlanStateApiResponse = /** status 200  */ PlanView;
export type SetPlanStateApiArg = {
  planId: string;
  task?: string;
  planStateChange: PlanStateChange;
};
export type ChooseVariantApiResponse = /** status 200  */ PlanView;
export type ChooseVariantApiArg = {
  planId: string;
  task?: string;
  variantChoice: VariantChoice;
};
export type OverrideFindingApiResponse = /** status 201  */ PlanView;
export type OverrideFindingApiArg = {
  planId: string;
  overrideCreate: OverrideCreate;
};
export type ListCommentsApiResponse = /** status 200  */ CommentList;
export type ListCommentsApiArg = {
  planId: string;
};
export type AddCommentApiResponse = /** status 201  */ CommentList;
export type AddCommentApiArg = {
  planId: string;
  commentCreate: CommentCreate;
};
export type ListVersionsApiResponse = /** status 200  */ PlanVersionList;
export type ListVersionsApiArg = {
  planId: string;
  limit?: number;
};
export type GetVersionApiResponse = /** status 200  */ PlanVersionRig;
export type GetVersionApiArg = {
  planId: string;
  version: number;
};
export type ListLayoutsApiResponse = /** status 200  */ LayoutList;
export type ListLayoutsApiArg = void;
export type KeepLayoutApiResponse = /** status 201  */ LayoutList;
export type KeepLayoutApiArg = {
  layoutCreate: LayoutCreate;
};
export type PutLayoutAwayApiResponse = /** status 200  */ LayoutList;
export type PutLayoutAwayApiArg = {
  layoutId: string;
};
export type GetPolicyApiResponse = /** status 200  */ PolicyHistory;
export type GetPolicyApiArg = void;
export type SavePolicyApiResponse = /** status 201  */ PolicyHistory;
export type SavePolicyApiArg = {
  policySave: PolicySave;
};
export type PreviewPolicyApiResponse = /** status 200  */ PolicyPreview;
export type PreviewPolicyApiArg = {
  task?: string;
  policyPreviewRequest: PolicyPreviewRequest;
};
export type PreviewFigureApiResponse = /** status 200  */ PolicyPreview;
export type PreviewFigureApiArg = {
  task?: string;
  figureOf: FigureOf;
};
export type AdoptFigureApiResponse = /** status 201  */ PolicyHistory;
export type AdoptFigureApiArg = {
  figureAdopt: FigureAdopt;
};
export type ListVehiclesApiResponse = /** status 200  */ VehicleList;
export type ListVehiclesApiArg = void;
export type AddVehicleApiResponse = /** status 201  */ VehicleDetail;
export type AddVehicleApiArg = {
  vehicleCreate: VehicleCreate;
};
export type ChangeVehicleApiResponse = /** status 200  */ VehicleDetail;
export type ChangeVehicleApiArg = {
  vehicleId: string;
  vehicleChange: VehicleChange;
};
export type GetHookUpBookApiResponse = /** status 200  */ HookUpBook;
export type GetHookUpBookApiArg = void;
export type WriteHookUpApiResponse = /** status 201  */ HookUpBook;
export type WriteHookUpApiArg = {
  hookUpCreate: HookUpCreate;
};
export type GetTaskApiResponse = /** status 200  */ TaskView;
export type GetTaskApiArg = {
  taskId: string;
};
export type StopTaskApiResponse = unknown;
export type StopTaskApiArg = {
  taskId: string;
};
export const {
  useGetSessionQuery,
  useSignInMutation,
  useSignOutMutation,
  useSignInToDemoMutation,
  useSignOutEverywhereMutation,
  useChangePasswordMutation,
  useLookAtInvitationMutation,
  useAcceptInvitationMutation,
  useAcceptBundleMutation,
  useStreamEventsQuery,
  useGetTeamQuery,
  useSetIfHurtMutation,
  useListPeopleQuery,
  useAddPersonMutation,
  useGetPersonQuery,
  useChangePersonMutation,
  useInvitePersonMutation,
  useAddPracticeMutation,
  useListAuditQuery,
  useListAuditOfQuery,
  useListGearQuery,
  useCreateGearMutation,
  useListGearPagesQuery,
  useExportGearQuery,
  useGetGearQuery,
  useChangeGearMutation,
  usePreviewImportMutation,
  useImportGearMutation,
  useGetCareQuery,
  useQuarantineMutation,
  useRetireMutation,
  useCorrectCounterMutation,
  useAddExposureMutation,
  useListKitsQuery,
  useAddKitMutation,
  useChangeKitMutation,
  useMoveContentsMutation,
  useListOutingsQuery,
  useCheckOutMutation,
  useGetOutingQuery,
  useAddToOutingMutation,
  useCountBackMutation,
  useCloseOutingMutation,
  useGetSinceVisitQuery,
  useMarkSeenMutation,
  useGetRemindersQuery,
  useGetFirstStepsQuery,
  usePutFirstStepsAwayMutation,
  useGetBundleQuery,
  useGetCalendarLinkQuery,
  useMakeCalendarLinkMutation,
  useRevokeCalendarLinkMutation,
  useGetCalendarQuery,
  useListInspectionsQuery,
  useAddInspectionMutation,
  useGetInspectionQuery,
  useListDefectsQuery,
  useCloseDefectMutation,
  useAddPhotoMutation,
  useGetPhotoQuery,
  useGetThumbnailQuery,
  useListLoadsQuery,
  useAddLoadMutation,
  useLogPullMutation,
  useListSeriesQuery,
  useAddSeriesMutation,
  useGetSeriesQuery,
  useGetSeriesFileQuery,
  useListIncidentsQuery,
  useAddIncidentMutation,
  useGetIncidentQuery,
  useAddFollowUpMutation,
  useListOwnFiguresQuery,
  useGetSeasonQuery,
  useGetLifeQuery,
  useListBreakTestsQuery,
  useAddBreakTestMutation,
  useListDiaryQuery,
  useAddDiaryEntryMutation,
  useListRoundsQuery,
  useKeepRoundMutation,
  usePutRoundAwayMutation,
  useTakeRoundOverMutation,
  useListSheetsQuery,
  useSaveSheetMutation,
  useGetWearQuery,
  useListPlansQuery,
  useCreatePlanMutation,
  useGetPlanQuery,
  useSavePlanMutation,
  useGetRigFileQuery,
  useSetPlanStateMutation,
  useChooseVariantMutation,
  useOverrideFindingMutation,
  useListCommentsQuery,
  useAddCommentMutation,
  useListVersionsQuery,
  useGetVersionQuery,
  useListLayoutsQuery,
  useKeepLayoutMutation,
  usePutLayoutAwayMutation,
  useGetPolicyQuery,
  useSavePolicyMutation,
  usePreviewPolicyMutation,
  usePreviewFigureMutation,
  useAdoptFigureMutation,
  useListVehiclesQuery,
  useAddVehicleMutation,
  useChangeVehicleMutation,
  useGetHookUpBookQuery,
  useWriteHookUpMutation,
  useGetTaskQuery,
  useStopTaskMutation,
} = injectedRtkApi;
