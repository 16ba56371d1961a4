import type { PlanView } from '@wainrope/contract';
import { type Case, type Edit, type Finding, type GearFacts, gearIdsOf, type Report, type Rig, usesOf } from '@wainrope/core';
import { lazy, memo, Suspense, useCallback, useMemo, useState } from 'react';
import { shallowEqual } from 'react-redux';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { type RegisterPiece, useRegister } from '../gear/use-register.ts';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { useNarrow, useUpright } from '../shell/use-media.ts';
import { useAppDispatch, useAppSelector } from '../store.ts';
import { consentEdits } from './book-points.ts';
import { FindingsPanel } from './FindingsPanel.tsx';
import { applied, withPieces } from './fill-pieces.ts';
import { LoadPath } from './LoadPath.tsx';
import { choosePieceEdits } from './lay-plan.ts';
import { HeldFollows, type JudgedPlan, type LivePlan, LivePlanContext, useCalm } from './live-plan.ts';
import { Notice, OutOfDateNote, PlanConflict } from './PlanNotes.tsx';
import { PlannerHeader, PlannerSentence } from './PlannerHeader.tsx';
import { PlanSheet } from './PlanSheet.tsx';
import { bodySelected, edited, placeSelected, routeEnded } from './planner-slice.ts';
import { draftEdits } from './route-words.ts';
import { SheetTools } from './SheetTools.tsx';
import { TagMeaning } from './TagMeaning.tsx';
import { Unlocked } from './Unlocked.tsx';
import { useJudgement } from './use-judgement.ts';
import { useOpenPlan } from './use-open-plan.ts';
import { usePlanCase } from './use-plan-case.ts';
import { usePlanLock } from './use-plan-lock.ts';
import { usePlannerShortcuts } from './use-planner-shortcuts.ts';
import { useSavePlan } from './use-save-plan.ts';
import { WorkedOut } from './WorkedOut.tsx';

/** Fetched when first wanted, so that the plan itself opens sooner. */
const LayLayout = lazy(async () => ({ default: (await import('./LayLayout.tsx')).LayLayout }));
const AnchorCompare = lazy(async () => ({ default: (await import('./AnchorCompare.tsx')).AnchorCompare }));
const FiguresPanel = lazy(async () => ({ default: (await import('./FiguresPanel.tsx')).FiguresPanel }));
const HonestAdvantage = lazy(async () => ({ default: (await import('./HonestAdvantage.tsx')).HonestAdvantage }));
const OutlinePanel = lazy(async () => ({ default: (await import('./OutlinePanel.tsx')).OutlinePanel }));
const PiecesPanel = lazy(async () => ({ default: (await import('./PiecesPanel.tsx')).PiecesPanel }));
const SitePanel = lazy(async () => ({ default: (await import('./SitePanel.tsx')).SitePanel }));
const PiecePicker = lazy(async () => ({ default: (await import('./PiecePicker.tsx')).PiecePicker }));
const RecordPanel = lazy(async () => ({ default: (await import('./RecordPanel.tsx')).RecordPanel }));
const SideView = lazy(async () => ({ default: (await import('./SideView.tsx')).SideView }));
const TakeAway = lazy(async () => ({ default: (await import('./TakeAway.tsx')).TakeAway }));

export function PlannerPage() {
  const { planId = '' } = useParams();
  const { plan, error, refetch } = useOpenPlan(planId);
  const register = useRegister();
  const failed = error ?? register.error;
  if (failed)
    return (
      <div className="p-5">
        <ProblemNote
          error={failed}
          retry={() => {
            refetch();
            register.refetch();
          }}
        />
      </div>
    );
  if (!plan || !register.pieces || !register.team || !register.policy) return <p className="p-5">Opening the plan…</p>;
  const { pieces, team, policy } = register;
  return <Planner plan={plan} pieces={pieces} team={team} policy={policy} />;
}

type Register = { readonly [K in 'pieces' | 'team' | 'policy']: NonNullable<ReturnType<typeof useRegister>[K]> };

/** Whoever only reads saves nothing. */
const nothing = () => undefined;

function Planner({ plan, pieces, team, policy }: Register & { readonly plan: PlanView }) {
  const { rig, version, dirty, locked } = useAppSelector(
    ({ planner: { rig, version, dirty, locked } }) => ({ rig, version, dirty, locked }),
    shallowEqual,
  );
  const register = useMemo(() => ({ pieces, team, policy }), [pieces, team, policy]);
  const { takeOver } = usePlanLock(plan.planId);
  const { facts, subject } = usePlanCase(register);
  const { report, judged, failure, pending } = useJudgement(subject);
  const saver = useSavePlan(plan.planId);
  usePlannerShortcuts(locked ? nothing : saver.save);
  const settled = useMemo(
    (): JudgedPlan | undefined =>
      judged?.kind === 'rig' && report ? { rig: judged.rig, subject: judged, report, pending: false } : undefined,
    [judged, report],
  );
  const dragging = useAppSelector((state) => state.planner.held !== undefined);
  /** While something is dragged the sheet keeps to what was judged last, all of one moment; what is held is drawn ahead of it. */
  const shown = useMemo(
    (): JudgedPlan | undefined => (dragging || !rig || !subject || !settled ? settled : { ...settled, rig, subject, pending }),
    [dragging, rig, subject, settled, pending],
  );
  const live = useMemo(
    (): LivePlan | undefined => (shown && settled ? { ...shown, facts, judged: settled } : undefined),
    [shown, settled, facts],
  );
  const calm = useCalm<JudgedPlan | undefined>(live, settled);
  if (!rig || !subject) return <p className="p-5">Opening the plan…</p>;
  const outOfDate = plan.fresh.outOfDate.length > 0 && !dirty && plan.version === version;
  return (
    <div className="flex min-h-0 flex-1 flex-col min-[1100px]:h-[calc(100dvh-3.25rem)] min-[1100px]:flex-none">
      <PlannerHeader
        report={calm?.report}
        pending={calm?.pending ?? pending}
        planId={plan.planId}
        save={saver.save}
        saving={saver.saving}
      />
      {locked === 'other-tab' && (
        <p role="status" className="flex flex-wrap items-center gap-3 bg-signal px-3 py-1.5 text-on-signal sm:px-5" data-locked>
          This plan is being worked on in another tab of this browser; here it can be read.
          <button type="button" className="action" onClick={takeOver}>
            Go on here
          </button>
        </p>
      )}
      {outOfDate && <OutOfDateNote plan={plan} accept={saver.save} />}
      {saver.conflict && <PlanConflict theirs={saver.conflict} settle={saver.settle} />}
      <ProblemNote error={saver.failure} />
      {failure && (
        <p role="alert" className="border-l-4 border-rust bg-rust-wash px-4 py-2">
          This rig could not be judged: {failure}
        </p>
      )}
      <HeldFollows ready={!pending} />
      {calm && <PlannerSentence report={calm.report} />}
      {calm && (
        <LivePlanContext value={live}>
          <Workplace plan={plan} rig={calm.rig} subject={calm.subject} report={calm.report} facts={facts} register={register} />
        </LivePlanContext>
      )}
    </div>
  );
}

interface WorkplaceProps {
  readonly plan: PlanView;
  readonly rig: Rig;
  readonly subject: Case;
  readonly report: Report;
  readonly facts: ReadonlyMap<string, GearFacts>;
  readonly register: Register;
}

/** A damper of the register that this rig does not use yet. */
function freeDamper(pieces: readonly RegisterPiece[], rig: Rig): string | undefined {
  const used = new Set(gearIdsOf(rig));
  return pieces.find(({ gear }) => gear.kind === 'damper' && gear.state === 'in-use' && !used.has(gear.gearId))?.gear.gearId;
}

/** All but the head of the page: the sheet live, what stands round it from the calmer copy. */
const Workplace = memo(function Workplace({ plan, rig, subject, report, facts, register: { pieces, team, policy } }: WorkplaceProps) {
  const dispatch = useAppDispatch();
  const selectedPlaceId = useAppSelector((state) => state.planner.selectedPlaceId);
  const route = useAppSelector((state) => state.planner.route);
  const locked = useAppSelector((state) => state.planner.locked);
  const [laying, setLaying] = useState(false);
  const [choosing, setChoosing] = useState<string>();
  const [notice, setNotice] = useState<string>();
  const apply = useCallback(
    (edits: readonly Edit[], merge?: string) => void dispatch(edited({ edits, ...(merge && { merge }) })),
    [dispatch],
  );
  const addDamper = (lineId: string, strand: number) => {
    if (rig.dampers.some((damper) => damper.lineId === lineId && damper.strand === strand)) return;
    const gearId = freeDamper(pieces, rig);
    if (gearId === undefined)
      return setNotice(
        'Every damper of the register is in this rig already. Make one from a coat or a blanket and add it to the register.',
      );
    apply([{ kind: 'put', list: 'dampers', entry: { id: `damper-${lineId}-${strand + 1}`, lineId, strand, gearId } }]);
  };
  const use = usesOf(rig).find((entry) => entry.use.id === choosing)?.use;
  const choose = (piece: RegisterPiece, consent?: string) => {
    const edits = use ? choosePieceEdits(rig, use, piece) : [];
    apply(use && consent ? [...edits, ...consentEdits(applied(rig, edits), use, consent)] : edits);
    setChoosing(undefined);
  };
  const shared = { rig, pieces, apply };
  const lay = (edits: readonly Edit[]) => apply(withPieces(rig, edits, { pieces, today: team.today }));
  const endRoute = () => {
    if (route) lay(draftEdits(rig, route));
    dispatch(routeEnded());
  };
  const layLayout = () => setLaying(true);
  return (
    <>
      {notice && <Notice text={notice} dismiss={() => setNotice(undefined)} />}
      <Body
        report={report}
        rig={rig}
        subject={subject}
        apply={apply}
        choosePiece={setChoosing}
        addDamper={addDamper}
        selectedPlaceId={selectedPlaceId}
        site={
          <SitePanel
            {...shared}
            subject={subject}
            report={report}
            policy={policy}
            vehicles={team.vehicles}
            today={team.today}
            decimal={team.decimalMark}
            actor={team.actor.name}
          />
        }
        parts={<PiecesPanel {...shared} choosePiece={setChoosing} addDamper={addDamper} />}
        outline={<OutlinePanel {...shared} lay={lay} choosePiece={setChoosing} layLayout={layLayout} />}
        record={
          <>
            <TakeAway rig={rig} subject={subject} facts={facts} apply={apply} />
            <RecordPanel plan={plan} rig={rig} report={report} apply={apply} />
          </>
        }
        compare={<AnchorCompare {...shared} subject={subject} today={team.today} />}
        tools={locked ? null : <SheetTools rig={rig} endRoute={endRoute} layLayout={layLayout} />}
      />
      {laying && (
        <Suspense fallback={null}>
          <LayLayout {...shared} today={team.today} close={() => setLaying(false)} />
        </Suspense>
      )}
      {use && (
        <Suspense fallback={null}>
          <PiecePicker
            rig={rig}
            subject={subject}
            use={use}
            pieces={pieces}
            today={team.today}
            choose={choose}
            apply={apply}
            close={() => setChoosing(undefined)}
          />
        </Suspense>
      )}
    </>
  );
});

interface BodyProps {
  readonly report: Report;
  readonly rig: Rig;
  readonly subject: Case;
  readonly apply: (edits: readonly Edit[], merge?: string) => void;
  readonly choosePiece: (useId: string) => void;
  readonly addDamper: (lineId: string, strand: number) => void;
  readonly selectedPlaceId: string | undefined;
  readonly site: React.ReactNode;
  readonly parts: React.ReactNode;
  readonly outline: React.ReactNode;
  readonly record: React.ReactNode;
  readonly compare: React.ReactNode;
  readonly tools: React.ReactNode;
}

const TABS = [
  ['findings', 'Findings'],
  ['outline', 'Outline'],
  ['site', 'Site'],
  ['pieces', 'Pieces'],
  ['figures', 'Figures'],
  ['record', 'Record'],
] as const;

function Body({ report, rig, subject, apply, choosePiece, addDamper, selectedPlaceId, ...panels }: BodyProps) {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const narrow = useNarrow();
  const upright = useUpright();
  const [params, setParams] = useSearchParams();
  const tab = params.get('show') ?? 'findings';
  const place =
    report.places.find(({ id }) => id === selectedPlaceId) ??
    report.places.find(({ id }) => id === report.weakestPlaceId) ??
    report.places[0];
  /** What a link to this view opens: the tab and the order of the load path, each only where it is not the usual one. */
  const put = (key: 'show' | 'path', value: string | undefined) =>
    setParams(
      (now) => {
        const next = new URLSearchParams(now);
        if (value === undefined) next.delete(key);
        else next.set(key, value);
        return next;
      },
      { replace: true },
    );
  const select = (placeId: string) => {
    dispatch(placeSelected(placeId));
    if (tab !== 'findings') put('show', undefined);
  };
  const show = ({ subject: about }: Finding) => {
    const found = report.places.find((entry) => entry.subject.id === about.id);
    if (found) select(found.id);
  };
  /** What a body lacks is said in the outline, what a piece lacks on its own page. */
  const fillIn = ({ subject: { kind, id } }: Finding) => {
    const bodyId = kind === 'point' ? rig.points.find((point) => point.id === id)?.bodyId : kind === 'body' ? id : undefined;
    const gearId = report.places.find((entry) => entry.subject.id === id)?.gearId;
    if (bodyId !== undefined) dispatch(bodySelected(bodyId));
    if (bodyId === undefined && gearId !== undefined) return navigate(`/gear/${gearId}/edit`);
    put('show', bodyId === undefined ? 'pieces' : 'outline');
  };
  const side = (
    <aside className="flex min-h-0 flex-col border-rule bg-sheet min-[1100px]:border-l">
      <div role="tablist" aria-label="Plan" className="flex shrink-0 overflow-x-auto border-b border-rule px-1">
        {TABS.map(([id, label]) => (
          <button
            key={id}
            type="button"
            role="tab"
            id={`tab-${id}`}
            aria-selected={tab === id}
            aria-controls="plan-panel"
            className="relative min-h-11 px-2.5 text-[16px] whitespace-nowrap aria-selected:font-semibold"
            onClick={() => put('show', id === 'findings' ? undefined : id)}
          >
            {label}
            {id === 'findings' && report.findings.length > 0 && ` ${report.findings.length}`}
            {tab === id && <span aria-hidden="true" className="rope-bar absolute inset-x-2 bottom-0 h-[5px]" />}
          </button>
        ))}
      </div>
      <div role="tabpanel" id="plan-panel" aria-labelledby={`tab-${tab}`} tabIndex={0} className="min-h-0 flex-1 overflow-y-auto px-4 pb-4">
        {tab === 'findings' && (
          <>
            <FindingsPanel
              report={report}
              here={selectedPlaceId === undefined ? undefined : place}
              apply={apply}
              choosePiece={choosePiece}
              addDamper={addDamper}
              show={show}
              fillIn={fillIn}
              leave={() => dispatch(placeSelected(undefined))}
            />
            {place && <TagMeaning subject={subject} gearId={place.gearId} />}
            {place && <WorkedOut subject={subject} report={report} place={place} select={select} choosePiece={choosePiece} />}
            <p className="mt-4 border-t border-rule pt-2 text-[14px] text-quiet">
              Wainrope computes; it does not make a recovery safe. Figures are estimates: the lowest marked limit and the maker’s
              instructions win, and a rated load cell and a trained person beat any estimate. Local rules apply; where a licensed operator
              is needed, call one.
            </p>
          </>
        )}
        <Suspense fallback={<p className="py-3 text-quiet">Loading…</p>}>
          {tab === 'outline' && panels.outline}
          {tab === 'site' && (
            <>
              <Unlocked>
                {panels.site}
                {panels.compare}
              </Unlocked>
              <SideView rig={rig} report={report} />
            </>
          )}
          {tab === 'pieces' && <Unlocked>{panels.parts}</Unlocked>}
          {tab === 'record' && panels.record}
          {tab === 'figures' && (
            <>
              <HonestAdvantage subject={subject} report={report} />
              <FiguresPanel subject={subject} />
            </>
          )}
        </Suspense>
      </div>
    </aside>
  );
  const sheet = <PlanSheet selectedSubjectId={place?.subject.id} />;
  const path = (
    <LoadPath
      report={report}
      selectedSubjectId={place?.subject.id}
      select={select}
      order={params.get('path') === 'weakest' ? 'weakest' : 'rigging'}
      setOrder={(order) => put('path', order === 'weakest' ? order : undefined)}
    />
  );
  if (narrow)
    return (
      <>
        {path}
        {panels.tools}
        <div className="h-[70vw] min-h-72 border-y border-rule">{sheet}</div>
        {side}
        <Link className="m-3 underline" to="/plans">
          All plans
        </Link>
      </>
    );
  if (upright)
    return (
      <>
        {panels.tools}
        <div className="h-[44dvh] min-h-80 border-b border-rule">{sheet}</div>
        <div className="bg-sheet">{path}</div>
        <div className="border-t border-ink">{side}</div>
      </>
    );
  return (
    <>
      <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_minmax(330px,425px)]">
        <div className="flex min-h-0 min-w-0 flex-col">
          {panels.tools}
          <div className="min-h-0 flex-1">{sheet}</div>
        </div>
        {side}
      </div>
      <div className="shrink-0 border-t border-ink bg-sheet">{path}</div>
    </>
  );
}
