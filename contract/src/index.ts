/** The words that web and server exchange. */
import 'reflect-metadata';

export {
  BundleAccept,
  DemoSignIn,
  InvitationAccept,
  InvitationLink,
  InvitationLook,
  InvitationView,
  PASSWORD_MAX,
  PASSWORD_MIN,
  PasswordChange,
  SessionPerson,
  SessionTeam,
  SessionView,
  SignIn,
} from './access/access.dto.ts';
export { type Capability, capabilities, may, type PersonRole, personRoles } from './access/capabilities.ts';
export {
  HeldPiece,
  PeopleList,
  PersonChange,
  PersonCreate,
  PersonListed,
  PersonPage,
  PracticeCreate,
  PracticeView,
} from './access/people.dto.ts';
export { AuditChange, AuditEntryView, AuditPage, AuditQuery, type SubjectKind, subjectKinds } from './audit/audit.dto.ts';
export { DocumentField, type DocumentName, documentFieldsOf, documentNames } from './documents/document-field.ts';
export { documents } from './documents/documents.ts';
export { EventsQuery } from './events/events.dto.ts';
export { filled, nothingLeft, type OptionalOf } from './every-field.ts';
export { type DueFacts, dueOf, type PieceDue, wantsInspecting } from './gear/due-of.ts';
export {
  GearChange,
  GearCreate,
  GearInput,
  GearPage,
  GearPageQuery,
  GearPageStarts,
  GearPageStartsQuery,
  GearView,
  LastInspection,
  MarkInput,
  MarkReading,
  MarkView,
  PieceAway,
} from './gear/gear.dto.ts';
export { attributeFaults, gearFactsOf } from './gear/gear-facts-of.ts';
export {
  CounterCorrection,
  counters,
  DefectClose,
  DefectList,
  DefectView,
  DeviceStamp,
  ExposureCreate,
  ExposureView,
  exposureChoices,
  InspectionCreate,
  type InspectionKind,
  InspectionList,
  InspectionListed,
  InspectionQuery,
  InspectionView,
  inspectionKinds,
  isUseCheck,
  PHOTO_MAX_BYTES,
  PhotoCreate,
  type PhotoSubject,
  PhotoView,
  PieceCare,
  QuarantineRequest,
  RetireRequest,
  SheetList,
  SheetSave,
  SheetView,
  StateChangeView,
  THUMBNAIL_MAX_BYTES,
} from './inspections/inspection.dto.ts';
export {
  ROUND_MOST_DRAFTS,
  RoundDraft,
  RoundKeep,
  RoundList,
  RoundListed,
  RoundTake,
  RoundView,
} from './inspections/round.dto.ts';
export { WearReading, WearSeries, WearView } from './inspections/wear.dto.ts';
export {
  type HolderKind,
  holderKinds,
  KitChange,
  KitContents,
  KitCreate,
  KitDetail,
  KitList,
  OutingClose,
  OutingCreate,
  OutingList,
  OutingPiece,
  OutingPieces,
  OutingView,
  WantedView,
} from './kits/kit.dto.ts';
export { BreakTestCreate, BreakTestList, BreakTestView } from './logbook/break-test.dto.ts';
export {
  DiaryCreate,
  DiaryEntry,
  type DiaryKind,
  DiaryView,
  diaryKinds,
} from './logbook/diary.dto.ts';
export {
  FollowUpCreate,
  FollowUpView,
  IncidentCreate,
  type IncidentKind,
  IncidentList,
  IncidentPiece,
  IncidentPieceView,
  IncidentQuery,
  IncidentView,
  incidentKinds,
} from './logbook/incident.dto.ts';
export { LifeEvent, type LifeKind, LifeQuery, LifeView, lifeKinds } from './logbook/life.dto.ts';
export {
  CyclesOfShare,
  LOAD_MOST_N,
  LoadCreate,
  LoadList,
  LoadQuery,
  LoadSummary,
  LoadView,
  loadSources,
  overloadWords,
  PullCreate,
  PullView,
} from './logbook/load.dto.ts';
export { NewestQuery } from './logbook/newest.dto.ts';
export { OwnFigureList, OwnFigureView } from './logbook/own-figure.dto.ts';
export { SeasonLoad, SeasonQuery, SeasonView } from './logbook/season.dto.ts';
export {
  SERIES_MAX_BYTES,
  SeriesCreate,
  SeriesFound,
  SeriesList,
  SeriesListed,
  SeriesOutline,
  SeriesRefusedRow,
  SeriesView,
  seriesTimeUnits,
} from './logbook/series.dto.ts';
export {
  CommentCreate,
  CommentList,
  CommentView,
  FreshReport,
  LayoutCreate,
  LayoutList,
  LayoutView,
  OverrideCreate,
  OverrideView,
  PlanCreate,
  PlanList,
  PlanSave,
  type PlanState,
  PlanStateChange,
  PlanSummary,
  PlanVersionList,
  PlanVersionQuery,
  PlanVersionRig,
  PlanVersionView,
  PlanView,
  planStates,
  RigFileView,
  SavedReport,
  VariantChoice,
  VariantView,
} from './plans/plan.dto.ts';
export {
  FigureAdopt,
  FigureOf,
  PlanUnderPolicy,
  PolicyChange,
  PolicyHistory,
  PolicyPreview,
  PolicyPreviewRequest,
  PolicySave,
  PolicyVersionView,
  RuleView,
} from './policy/policy.dto.ts';
export { Problem, ProblemFault } from './problem.ts';
export { plainDecimal, readAttribute, writeAttribute } from './register/attribute-cells.ts';
export { exportColumns, registerColumns } from './register/columns.ts';
export { guardCell, unguardCell } from './register/guard-cell.ts';
export {
  CellMend,
  ColumnChoice,
  type FileEncoding,
  fileEncodings,
  IMPORT_MAX_ROWS,
  ImportCommit,
  ImportFault,
  ImportPreview,
  ImportQuestion,
  ImportRequest,
  ImportResult,
  ImportRowView,
  WordMeaning,
} from './register/import.dto.ts';
export { readRegisterRow, saidIn, type UntaggedRow } from './register/read-row.ts';
export { type RecognisedHeading, recogniseHeading } from './register/recognise-heading.ts';
export type { AskedAbout, CellFault, Cells, ReadRowSettings, RegisterRow, RowQuestion } from './register/register-row.ts';
export { broadWords } from './register/row-class.ts';
export { LONGEST_NOTE } from './register/single-columns.ts';
export { meaningKey, plainWord } from './register/word-meanings.ts';
export { writeRegisterRow } from './register/write-row.ts';
export { TaskQuery, TaskView } from './tasks/task.dto.ts';
export { CalendarLink, FirstSteps, FirstStepsChange, Reminders, SinceVisit, VisitSeen } from './team/board.dto.ts';
export { IfHurt, KitView, PersonView, PolicyView, TeamView, VehicleView } from './team/team.dto.ts';
export {
  HookUpBook,
  HookUpCreate,
  type HookUpKind,
  HookUpView,
  hookUpKinds,
  VehicleChange,
  VehicleCreate,
  VehicleDetail,
  VehicleList,
} from './vehicles/vehicle.dto.ts';
