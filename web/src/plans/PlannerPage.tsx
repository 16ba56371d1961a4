import { type PlanView } from '@wainrope/contract';
import { type Case, type Edit, type Finding, type GearFacts, gearIdsOf, loadBody, type Report, type Rig, usesOf } from '@wainrope/core';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { problemOf, useGetPlanQuery, useSavePlanMutation, wainropeApi } from '../api/wainrope-api.ts';
import { useRegister } from '../gear/use-register.ts';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { useNarrow } from '../shell/use-media.ts';
import { useAppDispatch, useAppSelector } from '../store.ts';
import { draftOf, dropDraft, keepDraft } from './drafts.ts';
import { FindingsPanel } from './FindingsPanel.tsx';
import { LoadPath } from './LoadPath.tsx';
import { choosePieceEdits } from './lay-plan.ts';
import { PiecePicker } from './PiecePicker.tsx';
import { PiecesPanel } from './PiecesPanel.tsx';
import { OutOfDateNote, PlanConflict } from './PlanNotes.tsx';
import { PlannerHeader, PlannerSentence } from './PlannerHeader.tsx';
import { PlanSheet } from './PlanSheet.tsx';
import { edited, placeSelected, planOpened, rebased, redone, saved, undone } from './planner-slice.ts';
import { SitePanel } from './SitePanel.tsx';
import { useJudgement } from './use-judgement.ts';
import { WorkedOut } from './WorkedOut.tsx';

export function PlannerPage() {
  const { planId = '' } = useParams();
  const { data, error, refetch } = useGetPlanQuery({ planId }, { refetchOnMountOrArgChange: true });
  const opened = useAppSelector((state) => state.planner.planId);
  const dispatch = useAppDispatch();
  const plan = data as unknown as PlanView | undefined;
  useEffect(() => {
    if (!plan || plan.planId !== planId || opened === planId) return;
    const draft = draftOf(planId, plan.version);
    dispatch(
      planOpened({
        planId,
        version: plan.version,
        name: draft?.name ?? plan.name,
        rig: draft?.rig ?? (plan.rig as Rig),
        dirty: draft !== undefined,
      }),
    );
  }, [plan, planId, opened, dispatch]);
  if (error)
    return (
      <div className="p-5">
        <ProblemNote error={error} retry={refetch} />
      </div>
    );
  if (!plan || opened !== planId) return <p className="p-5">Opening the plan…</p>;
  return <Planner plan={plan} />;
}

function Planner({ plan }: { readonly plan: PlanView }) {
  const { pieces, team, policy, error, refetch } = useRegister();
  const { rig, name, version, dirty, selectedPlaceId } = useAppSelector((state) => state.planner);
  const dispatch = useAppDispatch();
  const [savePlan, saving] = useSavePlanMutation();
  const [conflict, setConflict] = useState<PlanView>();
  const [choosing, setChoosing] = useState<string>();
  const [notice, setNotice] = useState<string>();
  const facts = useMemo(() => new Map((pieces ?? []).map((piece) => [piece.gear.gearId, piece.facts])), [pieces]);
  const subject = useMemo((): Case | undefined => {
    if (!rig || !policy || !team || facts.size === 0) return undefined;
    const gear = gearIdsOf(rig)
      .map((id) => facts.get(id))
      .filter((piece): piece is GearFacts => piece !== undefined);
    return { kind: 'rig', name: name.trim() || 'Plan', asOf: team.today, rig, gear, policy };
  }, [rig, policy, team, facts, name]);
  const { report, failure, pending } = useJudgement(subject);
  useEffect(() => {
    if (dirty && rig) keepDraft(plan.planId, version, { name, rig });
  }, [dirty, rig, name, version, plan.planId]);

  const apply = useCallback(
    (edits: readonly Edit[], merge?: string) => void dispatch(edited({ edits, ...(merge && { merge }) })),
    [dispatch],
  );
  const save = useCallback(async () => {
    if (!rig) return;
    const answer = await savePlan({ planId: plan.planId, planSave: { name: name.trim(), rig: rig as never, baseVersion: version } });
    if (answer.data) {
      dropDraft(plan.planId, version);
      dispatch(saved({ version: answer.data.version }));
      dispatch(wainropeApi.util.upsertQueryData('getPlan', { planId: plan.planId }, answer.data));
      dispatch(wainropeApi.util.invalidateTags(['Plan']));
      setConflict(undefined);
      return;
    }
    const problem = problemOf(answer.error);
    if (problem.status === 409) setConflict(problem.current as PlanView);
  }, [rig, name, version, plan.planId, savePlan, dispatch]);
  useShortcuts(save);

  if (error)
    return (
      <div className="p-5">
        <ProblemNote error={error} retry={refetch} />
      </div>
    );
  if (!rig || !pieces || !team || !policy || !subject) return <p className="p-5">Opening the plan…</p>;
  const vehicleId = loadBody(rig).vehicleId;
  const addDamper = (lineId: string, strand: number) => {
    if (rig.dampers.some((damper) => damper.lineId === lineId && damper.strand === strand)) return;
    const used = new Set(gearIdsOf(rig));
    const free = pieces.find(({ gear }) => gear.kind === 'damper' && gear.state === 'in-use' && !used.has(gear.gearId));
    if (!free)
      return setNotice(
        'Every damper of the register is in this rig already. Make one from a coat or a blanket and add it to the register.',
      );
    apply([{ kind: 'place-dampers', dampers: [...rig.dampers, { id: `damper-${strand + 1}`, lineId, strand, gearId: free.gear.gearId }] }]);
  };
  const use = usesOf(rig).find((entry) => entry.use.id === choosing)?.use;
  const conflictProblem = saving.error && problemOf(saving.error).status !== 409;
  return (
    <div className="flex min-h-0 flex-1 flex-col lg:h-[calc(100dvh-3.25rem)] lg:flex-none">
      <PlannerHeader report={report} pending={pending} planId={plan.planId} save={save} saving={saving.isLoading} />
      {plan.fresh.outOfDate.length > 0 && !dirty && plan.version === version && <OutOfDateNote plan={plan} accept={save} />}
      {conflict && (
        <PlanConflict
          theirs={conflict}
          takeTheirs={() => {
            dispatch(planOpened({ planId: conflict.planId, version: conflict.version, name: conflict.name, rig: conflict.rig as Rig }));
            setConflict(undefined);
          }}
          keepMine={() => {
            dispatch(rebased({ version: conflict.version }));
            setConflict(undefined);
          }}
        />
      )}
      {conflictProblem && <ProblemNote error={saving.error} />}
      {notice && (
        <p role="status" className="border-l-4 border-signal bg-amber-wash px-4 py-2">
          {notice}{' '}
          <button type="button" className="underline" onClick={() => setNotice(undefined)}>
            Dismiss
          </button>
        </p>
      )}
      {failure && (
        <p role="alert" className="border-l-4 border-rust bg-rust-wash px-4 py-2">
          This rig could not be judged: {failure}
        </p>
      )}
      {report && <PlannerSentence report={report} />}
      {report && (
        <Body
          report={report}
          rig={rig}
          subject={subject}
          facts={facts}
          apply={apply}
          choosePiece={setChoosing}
          addDamper={addDamper}
          selectedPlaceId={selectedPlaceId}
          site={
            <SitePanel
              rig={rig}
              report={report}
              policy={policy}
              pieces={pieces}
              vehicles={team.vehicles}
              today={team.today}
              decimal={team.decimalMark}
              actor={team.actor.name}
              apply={apply}
            />
          }
          parts={<PiecesPanel rig={rig} pieces={pieces} choosePiece={setChoosing} addDamper={addDamper} apply={apply} />}
        />
      )}
      <PiecePicker
        rig={rig}
        use={use}
        pieces={pieces}
        today={team.today}
        vehicleId={vehicleId}
        close={() => setChoosing(undefined)}
        choose={(piece) => {
          if (use) apply(choosePieceEdits(rig, use, piece));
          setChoosing(undefined);
        }}
      />
    </div>
  );
}

/** Ctrl+Z, Ctrl+Shift+Z, Ctrl+S, outside text fields for undo. */
function useShortcuts(save: () => void): void {
  const dispatch = useAppDispatch();
  useEffect(() => {
    const typing = ({ target }: KeyboardEvent) => target instanceof HTMLInputElement && target.type !== 'checkbox';
    const actions: { readonly [key: string]: (event: KeyboardEvent) => void } = {
      s: save,
      z: (event) => dispatch(event.shiftKey ? redone() : undone()),
    };
    const press = (event: KeyboardEvent) => {
      const key = event.key.toLowerCase();
      const action = event.ctrlKey || event.metaKey ? actions[key] : undefined;
      if (!action || (key === 'z' && typing(event))) return;
      event.preventDefault();
      action(event);
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, [dispatch, save]);
}

interface BodyProps {
  readonly report: Report;
  readonly rig: Rig;
  readonly subject: Case;
  readonly facts: ReadonlyMap<string, GearFacts>;
  readonly apply: (edits: readonly Edit[], merge?: string) => void;
  readonly choosePiece: (useId: string) => void;
  readonly addDamper: (lineId: string, strand: number) => void;
  readonly selectedPlaceId: string | undefined;
  readonly site: React.ReactNode;
  readonly parts: React.ReactNode;
}

const TABS = [
  ['findings', 'Findings'],
  ['site', 'Site'],
  ['pieces', 'Pieces'],
] as const;

function Body({ report, rig, subject, facts, apply, choosePiece, addDamper, selectedPlaceId, site, parts }: BodyProps) {
  const dispatch = useAppDispatch();
  const narrow = useNarrow();
  const [params, setParams] = useSearchParams();
  const tab = params.get('show') ?? 'findings';
  const place =
    report.places.find(({ id }) => id === selectedPlaceId) ??
    report.places.find(({ id }) => id === report.weakestPlaceId) ??
    report.places[0];
  const select = (placeId: string) => {
    dispatch(placeSelected(placeId));
    if (tab !== 'findings') setParams({}, { replace: true });
  };
  const show = ({ subject: about }: Finding) => {
    const found = report.places.find((entry) => entry.subject.id === about.id);
    if (found) select(found.id);
  };
  const side = (
    <aside className="flex min-h-0 flex-col border-rule bg-sheet lg:border-l">
      <div role="tablist" aria-label="Plan" className="flex shrink-0 border-b border-rule px-2">
        {TABS.map(([id, label]) => (
          <button
            key={id}
            type="button"
            role="tab"
            id={`tab-${id}`}
            aria-selected={tab === id}
            aria-controls="plan-panel"
            className="relative min-h-11 px-3 text-[16px] aria-selected:font-semibold"
            onClick={() => setParams(id === 'findings' ? {} : { show: id }, { replace: true })}
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
            <FindingsPanel report={report} apply={apply} choosePiece={choosePiece} addDamper={addDamper} show={show} />
            {place && <WorkedOut subject={subject} report={report} place={place} select={select} choosePiece={choosePiece} />}
            <p className="mt-4 border-t border-rule pt-2 text-[14px] text-quiet">
              Wainrope computes; it does not make a recovery safe. Figures are estimates: the lowest marked limit and the maker’s
              instructions win, and a rated load cell and a trained person beat any estimate. Local rules apply; where a licensed operator
              is needed, call one.
            </p>
          </>
        )}
        {tab === 'site' && site}
        {tab === 'pieces' && parts}
      </div>
    </aside>
  );
  const sheet = <PlanSheet rig={rig} report={report} gear={facts} policy={subject.policy} selectedSubjectId={place?.subject.id} />;
  const path = <LoadPath report={report} selectedSubjectId={place?.subject.id} select={select} />;
  if (narrow)
    return (
      <>
        {path}
        <div className="h-[70vw] min-h-72 border-y border-rule">{sheet}</div>
        {side}
        <Link className="m-3 underline" to="/plans">
          All plans
        </Link>
      </>
    );
  return (
    <>
      <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_minmax(360px,425px)] max-lg:min-h-[480px]">
        {sheet}
        {side}
      </div>
      <div className="shrink-0 border-t border-ink bg-sheet">{path}</div>
    </>
  );
}
