import type { Case, Edit, Finding, Report, Rig } from '@wainrope/core';
import { lazy, Suspense } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { useNarrow, useUpright } from '../shell/use-media.ts';
import { useAppDispatch } from '../store.ts';
import { bodySelected, placeSelected } from './draft/planner-slice.ts';
import { Unlocked } from './draft/Unlocked.tsx';
import { FindingsPanel } from './findings/FindingsPanel.tsx';
import { LoadPath } from './load-path/LoadPath.tsx';
import { PlanSheet } from './sheet/PlanSheet.tsx';

/** Fetched when first wanted, so that the plan itself opens sooner. */
const TagMeaning = lazy(async () => ({ default: (await import('./findings/TagMeaning.tsx')).TagMeaning }));
const WorkedOut = lazy(async () => ({ default: (await import('./findings/WorkedOut.tsx')).WorkedOut }));
const PullPanel = lazy(async () => ({ default: (await import('./pull/PullPanel.tsx')).PullPanel }));
const FiguresPanel = lazy(async () => ({ default: (await import('./findings/FiguresPanel.tsx')).FiguresPanel }));
const HonestAdvantage = lazy(async () => ({ default: (await import('./findings/HonestAdvantage.tsx')).HonestAdvantage }));
const SideView = lazy(async () => ({ default: (await import('./sheet/SideView.tsx')).SideView }));

interface PlannerBodyProps {
  readonly report: Report;
  readonly rig: Rig;
  readonly subject: Case;
  readonly apply: (edits: readonly Edit[], merge?: string) => void;
  readonly choosePiece: (useId: string) => void;
  readonly addDamper: (lineId: string, strand: number) => void;
  readonly locked: boolean;
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
  ['pull', 'Pull'],
  ['outline', 'Outline'],
  ['site', 'Site'],
  ['pieces', 'Pieces'],
  ['figures', 'Figures'],
  ['record', 'Record'],
] as const;

/** What is asked where the pull is told. */
const STATED_WITH_THE_PULL: { readonly [code: string]: true } = {
  'travel-not-said': true,
  'start-only': true,
  'path-not-drawn': true,
};

/** The plan, its load path and the panels beside them, by how much room there is. */
export function PlannerBody({ report, rig, subject, apply, choosePiece, addDamper, locked, selectedPlaceId, ...panels }: PlannerBodyProps) {
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
  const fillIn = ({ code, subject: { kind, id } }: Finding) => {
    if (code in STATED_WITH_THE_PULL) return put('show', 'pull');
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
            className="relative min-h-11 px-2 text-[16px] whitespace-nowrap aria-selected:font-semibold"
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
            {place && (
              <Suspense fallback={null}>
                <TagMeaning subject={subject} gearId={place.gearId} />
                <WorkedOut subject={subject} report={report} place={place} select={select} choosePiece={choosePiece} />
              </Suspense>
            )}
            <p className="mt-4 border-t border-rule pt-2 text-[14px] text-quiet">
              Wainrope computes; it does not make a recovery safe. Figures are estimates: the lowest marked limit and the maker’s
              instructions win, and a rated load cell and a trained person beat any estimate. Local rules apply; where a licensed operator
              is needed, call one.
            </p>
          </>
        )}
        <Suspense fallback={<p className="py-3 text-quiet">Loading…</p>}>
          {tab === 'pull' && <PullPanel rig={rig} report={report} apply={apply} show={show} locked={locked} />}
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
