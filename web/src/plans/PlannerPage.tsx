import type { PlanView } from '@wainrope/contract';
import { type Case, type Edit, type GearFacts, type Rig, type ToldReport, usesOf } from '@wainrope/core';
import { lazy, memo, Suspense, startTransition, useCallback, useEffect, useMemo, useState } from 'react';
import { shallowEqual } from 'react-redux';
import { useParams } from 'react-router';
import { type RegisterPiece, useRegister } from '../register/use-register.ts';
import { Loading } from '../shell/Loading.tsx';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { useAppDispatch, useAppSelector } from '../store.ts';
import { TaskNote } from '../tasks/TaskNote.tsx';
import { edited, routeEnded } from './draft/planner-slice.ts';
import { HeldFollows, SheetPlanContext, useShownPlans } from './draft/shown-plans.ts';
import { useOpenPlan } from './draft/use-open-plan.ts';
import { usePlanCase } from './draft/use-plan-case.ts';
import { usePlanLock } from './draft/use-plan-lock.ts';
import { usePlannerShortcuts } from './draft/use-planner-shortcuts.ts';
import { useSavePlan } from './draft/use-save-plan.ts';
import { useServersReport } from './draft/use-servers-report.ts';
import type * as WorkplaceActs from './draft/workplace-edits.ts';
import type { Leg } from './findings/finding-groups.ts';
import { PlannerBody } from './PlannerBody.tsx';
import { PlannerHeader } from './PlannerHeader.tsx';
import { standingWords } from './plan-words.ts';
import { useJudgement } from './solver/use-judgement.ts';

/** Fetched when first wanted, so that the plan itself opens sooner. */
const Notice = lazy(async () => ({ default: (await import('./PlanNotes.tsx')).Notice }));
const OutOfDateNote = lazy(async () => ({ default: (await import('./PlanNotes.tsx')).OutOfDateNote }));
const PlanConflict = lazy(async () => ({ default: (await import('./PlanNotes.tsx')).PlanConflict }));
const LayLayout = lazy(async () => ({ default: (await import('./layouts/LayLayout.tsx')).LayLayout }));
const AnchorCompare = lazy(async () => ({ default: (await import('./site/AnchorCompare.tsx')).AnchorCompare }));
const OutlinePanel = lazy(async () => ({ default: (await import('./outline/OutlinePanel.tsx')).OutlinePanel }));
const PiecesPanel = lazy(async () => ({ default: (await import('./pieces/PiecesPanel.tsx')).PiecesPanel }));
const SitePanel = lazy(async () => ({ default: (await import('./site/SitePanel.tsx')).SitePanel }));
const SheetTools = lazy(async () => ({ default: (await import('./sheet/SheetTools.tsx')).SheetTools }));
const PiecePicker = lazy(async () => ({ default: (await import('./pieces/PiecePicker.tsx')).PiecePicker }));
const RecordPanel = lazy(async () => ({ default: (await import('./RecordPanel.tsx')).RecordPanel }));
const TakeAway = lazy(async () => ({ default: (await import('./documents/TakeAway.tsx')).TakeAway }));

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
  if (!plan || !register.pieces || !register.team || !register.policy) return <Loading what="the plan" className="p-5" />;
  const { pieces, team, policy } = register;
  return <Planner plan={plan} pieces={pieces} team={team} policy={policy} />;
}

type Register = { readonly [K in 'pieces' | 'team' | 'policy']: NonNullable<ReturnType<typeof useRegister>[K]> };

/** The verdict is seen before the rest of the page is drawn: false until the page's head stands. */
function useHeadFirst(): boolean {
  const [stands, setStands] = useState(false);
  useEffect(() => startTransition(() => setStands(true)), []);
  return stands;
}

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
  const dragging = useAppSelector((state) => state.planner.held !== undefined);
  const judgement = useJudgement(subject, dragging, useServersReport(plan, rig, subject));
  const { failure, pending } = judgement;
  const { onSheet, roundSheet } = useShownPlans({ rig, subject, facts }, judgement);
  const headStands = useHeadFirst();
  const saver = useSavePlan(plan.planId);
  usePlannerShortcuts(locked ? nothing : saver.save);
  if (!rig || !subject) return <Loading what="the plan" className="p-5" />;
  const outOfDate = plan.fresh.outOfDate.length > 0 && !dirty && plan.version === version;
  return (
    <div className="flex min-h-[36rem] flex-1 flex-col max-[1100px]:min-h-[44rem] max-[760px]:min-h-[30rem]">
      <PlannerHeader
        report={roundSheet?.report}
        pending={roundSheet?.pending ?? pending}
        standing={standingWords(plan)}
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
      <Suspense fallback={null}>
        {outOfDate && <OutOfDateNote plan={plan} accept={saver.save} />}
        {saver.conflict && <PlanConflict theirs={saver.conflict} settle={saver.settle} />}
      </Suspense>
      <TaskNote task={saver.task} isRunning={saver.saving} what="Judging and saving" />
      <ProblemNote error={saver.failure} />
      {failure && (
        <p role="alert" className="border-l-4 border-rust bg-rust-wash px-4 py-2">
          This rig could not be judged: {failure}
        </p>
      )}
      <HeldFollows ready={!pending} />
      {roundSheet && headStands && (
        <SheetPlanContext value={onSheet}>
          <Workplace
            plan={plan}
            rig={roundSheet.rig}
            subject={roundSheet.subject}
            report={roundSheet.report}
            facts={facts}
            register={register}
          />
        </SheetPlanContext>
      )}
    </div>
  );
}

interface WorkplaceProps {
  readonly plan: PlanView;
  readonly rig: Rig;
  readonly subject: Case;
  readonly report: ToldReport;
  readonly facts: ReadonlyMap<string, GearFacts>;
  readonly register: Register;
}

type WorkplaceEdits = typeof WorkplaceActs;

/** What can be done to the rig from round the sheet, each as edits. */
function useWorkplaceActs(rig: Rig, { pieces, team }: Pick<Register, 'pieces' | 'team'>) {
  const dispatch = useAppDispatch();
  const route = useAppSelector((state) => state.planner.route);
  const [choosing, setChoosing] = useState<string>();
  const [notice, setNotice] = useState<string>();
  const apply = useCallback(
    (edits: readonly Edit[], merge?: string) => void dispatch(edited({ edits, ...(merge && { merge }) })),
    [dispatch],
  );
  const notLoaded = () => setNotice('This part of the page could not be loaded, so nothing was changed. Try again, or reload the page.');
  /** Hangs a damper on each leg that has none, as far as there are any. */
  const hangDampers = (legs: readonly Leg[]) =>
    void import('./dampers.ts').then(({ hungDampers }) => {
      const { edits, lacking } = hungDampers(rig, legs, pieces);
      if (edits.length > 0) apply(edits);
      if (lacking) setNotice(lacking);
    }, notLoaded);
  const addDamper = (lineId: string, strand: number) => hangDampers([{ lineId, strand }]);
  const use = usesOf(rig).find((entry) => entry.use.id === choosing)?.use;
  /** Acts that are seldom the first thing wanted, fetched when one of them is. */
  const acting = (act: (acts: WorkplaceEdits) => readonly Edit[]) =>
    void import('./draft/workplace-edits.ts').then((acts) => apply(act(acts)), notLoaded);
  const choose = (piece: RegisterPiece, consent?: string) => {
    const said = { person: team.actor.name, on: team.today };
    if (use) acting(({ chosenEdits }) => chosenEdits(rig, use, { piece, consent, said }));
    setChoosing(undefined);
  };
  const lay = (edits: readonly Edit[]) => acting(({ laidEdits }) => laidEdits(rig, edits, { pieces, today: team.today }));
  const endRoute = () => {
    if (route) acting(({ laidEdits, runEdits }) => laidEdits(rig, runEdits(rig, route), { pieces, today: team.today }));
    dispatch(routeEnded());
  };
  return { notice, setNotice, apply, addDamper, hangDampers, use, choose, setChoosing, lay, endRoute };
}

/** All but the head of the page: the sheet live, what stands round it from the calmer copy. */
const Workplace = memo(function Workplace({ plan, rig, subject, report, facts, register: { pieces, team, policy } }: WorkplaceProps) {
  const selectedPlaceId = useAppSelector((state) => state.planner.selectedPlaceId);
  const locked = useAppSelector((state) => state.planner.locked);
  const [laying, setLaying] = useState(false);
  const { notice, setNotice, apply, addDamper, hangDampers, use, choose, setChoosing, lay, endRoute } = useWorkplaceActs(rig, {
    pieces,
    team,
  });
  const shared = { rig, pieces, apply };
  const layLayout = () => setLaying(true);
  return (
    <>
      <Suspense fallback={null}>{notice && <Notice text={notice} dismiss={() => setNotice(undefined)} />}</Suspense>
      <PlannerBody
        report={report}
        rig={rig}
        subject={subject}
        apply={apply}
        choosePiece={setChoosing}
        hangDampers={hangDampers}
        locked={locked !== undefined}
        selectedPlaceId={selectedPlaceId}
        panels={{
          site: (
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
          ),
          parts: <PiecesPanel {...shared} choosePiece={setChoosing} addDamper={addDamper} />,
          outline: <OutlinePanel {...shared} lay={lay} choosePiece={setChoosing} layLayout={layLayout} />,
          record: (
            <>
              <TakeAway rig={rig} subject={subject} facts={facts} apply={apply} />
              <RecordPanel {...{ plan, rig, subject, facts, report, apply }} />
            </>
          ),
          compare: <AnchorCompare {...shared} subject={subject} today={team.today} />,
        }}
        tools={
          locked ? null : (
            <Suspense fallback={<span className="h-11" />}>
              <SheetTools rig={rig} endRoute={endRoute} layLayout={layLayout} />
            </Suspense>
          )
        }
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
