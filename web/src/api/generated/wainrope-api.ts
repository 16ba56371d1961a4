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
      query: () => ({ url: `/api/v1/events` }),
    }),
    getTeam: build.query<GetTeamApiResponse, GetTeamApiArg>({
      query: () => ({ url: `/api/v1/team` }),
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
      }),
    }),
    importGear: build.mutation<ImportGearApiResponse, ImportGearApiArg>({
      query: (queryArg) => ({
        url: `/api/v1/gear/import`,
        method: "POST",
        body: queryArg.importCommit,
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
export type StreamEventsApiResponse = unknown;
export type StreamEventsApiArg = void;
export type GetTeamApiResponse = /** status 200  */ TeamView;
export type GetTeamApiArg = void;
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
    | "defect"
    | "kit"
    | "outing"
    | "plan"
    | "person"
    | "policy"
    | "template"
    | "vehicle"
    | "hook-up"
    | "team";
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
    | "defect"
    | "kit"
    | "outing"
    | "plan"
    | "person"
    | "policy"
    | "template"
    | "vehicle"
    | "hook-up"
    | "team";
  person?: string;
};
export type ListGearApiResponse = /** status 200  */ GearPage;
export type ListGearApiArg = {
  after?: string;
  limit?: number;
};
export type CreateGearApiResponse = /** status 201  */ GearView;
export type CreateGearApiArg = {
  gearCreate: GearCreate;
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
  importRequest: ImportRequest;
};
export type ImportGearApiResponse = /** status 200  */ ImportResult;
export type ImportGearApiArg = {
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
export type ListPlansApiResponse = /** status 200  */ PlanList;
export type ListPlansApiArg = {
  after?: string;
};
export type CreatePlanApiResponse = /** status 201  */ PlanView;
export type CreatePlanApiArg = {
  planCreate: PlanCreate;
};
export type GetPlanApiResponse = /** status 200  */ PlanView;
export type GetPlanApiArg = {
  planId: string;
};
export type SavePlanApiResponse = /** status 200  */ PlanView;
export type SavePlanApiArg = {
  planId: string;
  planSave: PlanSave;
};
export type GetRigFileApiResponse = /** status 200  */ RigFileView;
export type GetRigFileApiArg = {
  planId: string;
};
export type SetPlanStateApiResponse = /** status 200  */ PlanView;
export type SetPlanStateApiArg = {
  planId: string;
  planStateChange: PlanStateChange;
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
  policyPreviewRequest: PolicyPreviewRequest;
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
export type SessionPerson = {
  personId: string;
  name: string;
  role: "coordinator" | "gear-keeper" | "member" | "reader";
};
export type SessionTeam = {
  teamId: string;
  name: string;
};
export type SessionView = {
  signedIn: boolean;
  needsSetUp: boolean;
  person?: SessionPerson;
  team?: SessionTeam;
  demo?: string;
  demoPeople: SessionPerson[];
};
export type SignIn = {
  login: string;
  password: string;
};
export type DemoSignIn = {
  personId: string;
};
export type PasswordChange = {
  current: string;
  next: string;
};
export type InvitationView = {
  foundsTeam: boolean;
  teamName?: string;
  personName?: string;
  role?: "coordinator" | "gear-keeper" | "member" | "reader";
  login?: string;
  expiresAt: string;
};
export type InvitationLook = {
  token: string;
};
export type InvitationAccept = {
  token: string;
  login: string;
  password: string;
  teamName?: string;
  personName?: string;
};
export type BundleAccept = {
  token: string;
  login: string;
  password: string;
  personId: string;
  bundle: {
    [key: string]: unknown;
  };
};
export type PersonView = {
  personId: string;
  name: string;
  role: "coordinator" | "gear-keeper" | "member" | "reader";
};
export type KitView = {
  kitId: string;
  name: string;
};
export type VehicleView = {
  vehicleId: string;
  name: string;
  model: string;
  massKg: number;
  lengthM: number;
  widthM: number;
};
export type PolicyView = {
  policyVersionId: string;
  contentHash: string;
  content: {
    [key: string]: unknown;
  };
};
export type TeamView = {
  teamId: string;
  name: string;
  decimalMark: "." | ",";
  today: string;
  actor: PersonView;
  kits: KitView[];
  vehicles: VehicleView[];
  policy: PolicyView;
  demo?: string;
};
export type PersonListed = {
  personId: string;
  left: boolean;
  login?: string;
  name: string;
  role: "coordinator" | "gear-keeper" | "member" | "reader";
};
export type PeopleList = {
  items: PersonListed[];
};
export type PersonCreate = {
  personId: string;
  name: string;
  role: "coordinator" | "gear-keeper" | "member" | "reader";
};
export type PracticeView = {
  practiceId: string;
  layout: string;
  on: string;
  seenBy: string;
  note?: string;
};
export type HeldPiece = {
  gearId: string;
  tag: string;
  name: string;
  since: string;
};
export type InspectionListed = {
  inspectionId: string;
  gearId: string;
  tag: string;
  name: string;
  kind:
    | "before-use"
    | "after-use"
    | "calendar"
    | "after-overload"
    | "on-receipt"
    | "after-repair"
    | "on-record";
  on: string;
  by: string;
  grade?: "A" | "B" | "C" | "D";
  nextDue?: string;
  faults: number;
  photos: number;
  corrects?: string;
};
export type PersonPage = {
  person: PersonListed;
  practised: PracticeView[];
  holds: HeldPiece[];
  inspected: InspectionListed[];
  inspections: number;
};
export type PersonChange = {
  left: boolean;
  name: string;
  role: "coordinator" | "gear-keeper" | "member" | "reader";
};
export type InvitationLink = {
  path: string;
  expiresAt: string;
};
export type PracticeCreate = {
  practiceId: string;
  layout: string;
  on: string;
  seenBy: string;
  note?: string;
};
export type AuditChange = {
  field: string;
  before?: string;
  after?: string;
};
export type AuditEntryView = {
  entryNo: number;
  at: string;
  by: string;
  action: string;
  subjectKind:
    | "gear"
    | "inspection"
    | "defect"
    | "kit"
    | "outing"
    | "plan"
    | "person"
    | "policy"
    | "template"
    | "vehicle"
    | "hook-up"
    | "team";
  subjectId: string;
  subjectName: string;
  changes: AuditChange[];
  note?: string;
  corrects?: number;
};
export type AuditPage = {
  items: AuditEntryView[];
  next?: number;
};
export type MarkReading = {
  unit: string;
  forceN: number;
};
export type MarkView = {
  asWritten: string;
  basis: "wll" | "mbs" | "proof" | "basket-mbs" | "rated-pull" | "unstated";
  source: "stamped" | "label" | "makers-paper" | "advert" | "team-test";
  settingDecided: boolean;
  confirmedUnit?: "short ton" | "tonne" | "long ton";
  readings: MarkReading[];
};
export type LastInspection = {
  on: string;
  grade: "A" | "B" | "C" | "D";
  nextDue?: string;
  by?: string;
  shortenedBy?: string;
};
export type PieceAway = {
  outingId: string;
  holder: string;
  since: string;
  dueBackOn?: string;
};
export type GearView = {
  tag: string;
  kind:
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
  name: string;
  state: "in-use" | "quarantined" | "retired";
  marks: MarkView[];
  attributes: {
    [key: string]: unknown;
  };
  overloadsSinceInspection: number;
  maker?: string;
  model?: string;
  owner?: string;
  kitId?: string;
  vehicleId?: string;
  madeOn?: string;
  boughtOn?: string;
  firstUsedOn?: string;
  renewedUntil?: string;
  note?: string;
  gearId: string;
  rowVersion: number;
  factsRevision: number;
  inspection?: LastInspection;
  away?: PieceAway;
};
export type GearPage = {
  items: GearView[];
  next?: string;
};
export type MarkInput = {
  asWritten: string;
  basis?: "wll" | "mbs" | "proof" | "basket-mbs" | "rated-pull" | "unstated";
  source: "stamped" | "label" | "makers-paper" | "advert" | "team-test";
  confirmedUnit?: "short ton" | "tonne" | "long ton";
};
export type GearCreate = {
  gearId: string;
  tag: string;
  kind:
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
  name: string;
  state: "in-use" | "quarantined" | "retired";
  marks: MarkInput[];
  attributes: {
    [key: string]: unknown;
  };
  overloadsSinceInspection: number;
  maker?: string;
  model?: string;
  owner?: string;
  kitId?: string;
  vehicleId?: string;
  madeOn?: string;
  boughtOn?: string;
  firstUsedOn?: string;
  renewedUntil?: string;
  note?: string;
};
export type GearChange = {
  rowVersion: number;
  tag: string;
  kind:
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
  name: string;
  state: "in-use" | "quarantined" | "retired";
  marks: MarkInput[];
  attributes: {
    [key: string]: unknown;
  };
  overloadsSinceInspection: number;
  maker?: string;
  model?: string;
  owner?: string;
  kitId?: string;
  vehicleId?: string;
  madeOn?: string;
  boughtOn?: string;
  firstUsedOn?: string;
  renewedUntil?: string;
  note?: string;
};
export type ColumnChoice = {
  heading: string;
  column?: string;
  unit?: string;
};
export type ImportFault = {
  column: string;
  message: string;
};
export type ImportRowView = {
  row: number;
  outcome: "new" | "changed" | "unchanged" | "faulty" | "empty";
  tag?: string;
  name?: string;
  kind?: string;
  changes: string[];
  faults: ImportFault[];
  understood: string[];
};
export type ImportPreview = {
  encoding: string;
  separator: string;
  columns: ColumnChoice[];
  rows: ImportRowView[];
};
export type ImportRequest = {
  fileName: string;
  contentBase64: string;
  columns?: ColumnChoice[];
};
export type ImportResult = {
  created: number;
  changed: number;
  unchanged: number;
  inspections: number;
};
export type ImportCommit = {
  rows: number[];
  fileName: string;
  contentBase64: string;
  columns?: ColumnChoice[];
};
export type StateChangeView = {
  at: string;
  by: string;
  from: string;
  to: string;
  reason: string;
  destroyed?: string;
  inspectionId?: string;
};
export type ExposureView = {
  exposureId: string;
  kind: "mud" | "sand" | "salt" | "wet" | "sun" | "washed";
  on: string;
  by: string;
  note?: string;
};
export type DefectView = {
  defectId: string;
  gearId: string;
  tag: string;
  name: string;
  inspectionId: string;
  point: string;
  words: string;
  failed: boolean;
  openedOn: string;
  openedBy: string;
  closedOn?: string;
  closedBy?: string;
  how?: string;
};
export type PieceCare = {
  inspections: InspectionListed[];
  states: StateChangeView[];
  exposures: ExposureView[];
  defects: DefectView[];
};
export type QuarantineRequest = {
  reason: string;
};
export type RetireRequest = {
  reason: string;
  destroyed: string;
};
export type ExposureCreate = {
  exposureId: string;
  kind: "mud" | "sand" | "salt" | "wet" | "sun" | "washed";
  on: string;
  note?: string;
};
export type WantedView = {
  kind:
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
  count: number;
  leastWllN?: number;
};
export type KitDetail = {
  kitId: string;
  rowVersion: number;
  name: string;
  terrain?: "sand" | "snow" | "woods" | "open-ground" | "small-machines";
  vehicleId?: string;
  note?: string;
  wanted: WantedView[];
};
export type KitList = {
  items: KitDetail[];
};
export type KitCreate = {
  kitId: string;
  name: string;
  terrain?: "sand" | "snow" | "woods" | "open-ground" | "small-machines";
  vehicleId?: string;
  note?: string;
  wanted: WantedView[];
};
export type KitChange = {
  rowVersion: number;
  name: string;
  terrain?: "sand" | "snow" | "woods" | "open-ground" | "small-machines";
  vehicleId?: string;
  note?: string;
  wanted: WantedView[];
};
export type KitContents = {
  add: string[];
  remove: string[];
};
export type OutingPiece = {
  gearId: string;
  tag: string;
  name: string;
  outAt: string;
  outBy: string;
  backAt?: string;
  backBy?: string;
};
export type OutingView = {
  outingId: string;
  name: string;
  holderKind: "person" | "vehicle" | "outside";
  holderId?: string;
  holder: string;
  outAt: string;
  outBy: string;
  dueBackOn?: string;
  closedAt?: string;
  closedBy?: string;
  missingNote?: string;
  pieces: OutingPiece[];
};
export type OutingList = {
  items: OutingView[];
};
export type OutingCreate = {
  outingId: string;
  name: string;
  holderKind: "person" | "vehicle" | "outside";
  holderId?: string;
  holderName?: string;
  dueBackOn?: string;
  gearIds: string[];
};
export type OutingPieces = {
  gearIds: string[];
};
export type OutingClose = {
  missingNote?: string;
};
export type SinceVisit = {
  since?: string;
  newest: number;
  count: number;
  entries: AuditEntryView[];
};
export type VisitSeen = {
  upTo: number;
};
export type Reminders = {
  overdue: number;
  lateBack: number;
};
export type CalendarLink = {
  active: boolean;
  path?: string;
  madeAt?: string;
};
export type InspectionList = {
  items: InspectionListed[];
};
export type InspectionView = {
  inspectionId: string;
  gearId: string;
  tag: string;
  name: string;
  kind:
    | "before-use"
    | "after-use"
    | "calendar"
    | "after-overload"
    | "on-receipt"
    | "after-repair"
    | "on-record";
  on: string;
  by: string;
  grade?: "A" | "B" | "C" | "D";
  nextDue?: string;
  faults: number;
  photos: number;
  corrects?: string;
  gearKind:
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
  sheetVersion: number;
  sheet?: {
    [key: string]: unknown;
  };
  answers?: {
    [key: string]: unknown;
  };
  proposedGrade?: "A" | "B" | "C" | "D";
  note?: string;
  photoIds: string[];
};
export type InspectionCreate = {
  inspectionId: string;
  gearId: string;
  kind:
    | "before-use"
    | "after-use"
    | "calendar"
    | "after-overload"
    | "on-receipt"
    | "after-repair";
  on: string;
  sheetVersion: number;
  answers: {
    [key: string]: unknown;
  };
  grade?: "A" | "B" | "C" | "D";
  nextDue?: string;
  note?: string;
  returnsToUse?: boolean;
  corrects?: string;
  spoolState?: "under-tension" | "slack" | "stacked";
  pullsUsed?: number;
};
export type DefectList = {
  items: DefectView[];
};
export type DefectClose = {
  how: string;
};
export type PhotoView = {
  photoId: string;
};
export type PhotoCreate = {
  photoId: string;
  subjectId: string;
  subjectKind: "inspection" | "vehicle" | "hook-up";
  contentBase64: string;
  thumbnailBase64: string;
};
export type SheetView = {
  kind:
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
  version: number;
  sheet: {
    [key: string]: unknown;
  };
  reason?: string;
  savedBy?: string;
  savedAt?: string;
};
export type SheetList = {
  items: SheetView[];
};
export type SheetSave = {
  baseVersion: number;
  sheet: {
    [key: string]: unknown;
  };
  reason: string;
};
export type PlanSummary = {
  planId: string;
  name: string;
  version: number;
  state: "draft" | "ready" | "used" | "archived";
  savedAt: string;
  savedBy: string;
  savedVerdict: "clear" | "clear-judged" | "watch" | "stop";
  verdict: "clear" | "clear-judged" | "watch" | "stop";
  outOfDate: string[];
  weakest?: string;
};
export type PlanList = {
  items: PlanSummary[];
  next?: string;
};
export type OverrideView = {
  findingId: string;
  covers: "finding" | "rule-and-subject";
  finding: string;
  reason: string;
  by: string;
  at: string;
};
export type SavedReport = {
  report: {
    [key: string]: unknown;
  };
  asOf: string;
  savedAt: string;
  savedBy: string;
  policyHash: string;
  coreVersion: string;
};
export type FreshReport = {
  report: {
    [key: string]: unknown;
  };
  asOf: string;
  outOfDate: string[];
};
export type PlanView = {
  planId: string;
  name: string;
  version: number;
  rig: {
    [key: string]: unknown;
  };
  state: "draft" | "ready" | "used" | "archived";
  stateBy?: string;
  stateAt?: string;
  overrides: OverrideView[];
  saved: SavedReport;
  fresh: FreshReport;
};
export type PlanCreate = {
  planId: string;
  name: string;
  rig: {
    [key: string]: unknown;
  };
};
export type PlanSave = {
  baseVersion: number;
  name: string;
  rig: {
    [key: string]: unknown;
  };
};
export type RigFileView = {
  format: string;
  version: number;
  case: {
    [key: string]: unknown;
  };
};
export type PlanStateChange = {
  state: "draft" | "ready" | "used" | "archived";
  version: number;
};
export type OverrideCreate = {
  overrideId: string;
  version: number;
  findingId: string;
  reason: string;
};
export type CommentView = {
  commentId: string;
  version: number;
  words: string;
  by: string;
  at: string;
};
export type CommentList = {
  items: CommentView[];
};
export type CommentCreate = {
  commentId: string;
  words: string;
};
export type PlanVersionView = {
  version: number;
  name: string;
  savedAt: string;
  savedBy: string;
  verdict: "clear" | "clear-judged" | "watch" | "stop";
  changes: string[];
};
export type PlanVersionList = {
  items: PlanVersionView[];
};
export type PlanVersionRig = {
  version: number;
  rig: {
    [key: string]: unknown;
  };
};
export type LayoutView = {
  layoutId: string;
  name: string;
  rig: {
    [key: string]: unknown;
  };
  by: string;
};
export type LayoutList = {
  items: LayoutView[];
};
export type LayoutCreate = {
  layoutId: string;
  name: string;
  rig: {
    [key: string]: unknown;
  };
};
export type PolicyVersionView = {
  policyVersionId: string;
  contentHash: string;
  name: string;
  reason: string;
  by: string;
  at: string;
  inForce: boolean;
};
export type RuleView = {
  code: string;
  severity: "stop" | "fix" | "caution" | "note";
  softenable: boolean;
  why: string;
};
export type PolicyHistory = {
  contentHash: string;
  content: {
    [key: string]: unknown;
  };
  versions: PolicyVersionView[];
  rules: RuleView[];
};
export type PolicySave = {
  baseHash: string;
  content: {
    [key: string]: unknown;
  };
  reason: string;
};
export type PolicyChange = {
  path: string;
  from?: string;
  to?: string;
};
export type PlanUnderPolicy = {
  planId: string;
  name: string;
  before: string;
  after: string;
};
export type PolicyPreview = {
  changes: PolicyChange[];
  plans: PlanUnderPolicy[];
};
export type PolicyPreviewRequest = {
  content: {
    [key: string]: unknown;
  };
};
export type VehicleDetail = {
  vehicleId: string;
  rowVersion: number;
  photoIds: string[];
  name: string;
  model: string;
  massKg: number;
  lengthM: number;
  widthM: number;
};
export type VehicleList = {
  items: VehicleDetail[];
};
export type VehicleCreate = {
  vehicleId: string;
  name: string;
  model: string;
  massKg: number;
  lengthM: number;
  widthM: number;
};
export type VehicleChange = {
  rowVersion: number;
  name: string;
  model: string;
  massKg: number;
  lengthM: number;
  widthM: number;
};
export type HookUpView = {
  entryId: string;
  model: string;
  kind: "used" | "last-resort" | "refused" | "touched";
  place: string;
  forwardM?: number;
  leftM?: number;
  heightM?: number;
  loadN?: number;
  radiusM?: number;
  note?: string;
  corrects?: string;
  by: string;
  on: string;
  photoIds: string[];
};
export type HookUpBook = {
  items: HookUpView[];
};
export type HookUpCreate = {
  entryId: string;
  model: string;
  kind: "used" | "last-resort" | "refused" | "touched";
  place: string;
  forwardM?: number;
  leftM?: number;
  heightM?: number;
  loadN?: number;
  radiusM?: number;
  note?: string;
  corrects?: string;
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
  useExportGearQuery,
  useGetGearQuery,
  useChangeGearMutation,
  usePreviewImportMutation,
  useImportGearMutation,
  useGetCareQuery,
  useQuarantineMutation,
  useRetireMutation,
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
  useListSheetsQuery,
  useSaveSheetMutation,
  useListPlansQuery,
  useCreatePlanMutation,
  useGetPlanQuery,
  useSavePlanMutation,
  useGetRigFileQuery,
  useSetPlanStateMutation,
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
  useListVehiclesQuery,
  useAddVehicleMutation,
  useChangeVehicleMutation,
  useGetHookUpBookQuery,
  useWriteHookUpMutation,
} = injectedRtkApi;
