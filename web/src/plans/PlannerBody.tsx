import type { Rig, ToldFinding, ToldReport } from '@wainrope/core';
import type { ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import { useAddress } from '../shell/use-address.ts';
import { useNarrow, useUpright } from '../shell/use-media.ts';
import { useAppDispatch } from '../store.ts';
import { bodySelected, placeSelected } from './draft/planner-slice.ts';
import { LoadPath } from './load-path/LoadPath.tsx';
import { SidePanels, type SidePanelsProps } from './SidePanels.tsx';
import { PlanSheet } from './sheet/PlanSheet.tsx';

interface PlannerBodyProps
  extends Pick<SidePanelsProps, 'report' | 'rig' | 'subject' | 'apply' | 'choosePiece' | 'hangDampers' | 'locked' | 'panels'> {
  readonly selectedPlaceId: string | undefined;
  readonly tools: ReactNode;
}

/** What is asked where the pull is told. */
const STATED_WITH_THE_PULL: { readonly [code: string]: true } = {
  'travel-not-said': true,
  'start-only': true,
  'path-not-drawn': true,
};

interface LookedAt {
  readonly report: ToldReport;
  readonly rig: Rig;
  readonly selectedPlaceId: string | undefined;
}

/** Which tab and which place is looked at, and the ways from one to another. */
function useLookedAt({ report, rig, selectedPlaceId }: LookedAt) {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const { params, put } = useAddress();
  const tab = params.get('show') ?? 'findings';
  const place =
    report.places.find(({ id }) => id === selectedPlaceId) ??
    report.places.find(({ id }) => id === report.weakestPlaceId) ??
    report.places[0];
  const select = (placeId: string) => {
    dispatch(placeSelected(placeId));
    if (tab !== 'findings') put('show', undefined);
  };
  const show = ({ subject: about }: ToldFinding) => {
    const found = report.places.find((entry) => entry.subject.id === about.id);
    if (found) select(found.id);
  };
  /** What a body lacks is said in the outline, what a piece lacks on its own page. */
  const fillIn = ({ code, subject: { kind, id } }: ToldFinding) => {
    if (code in STATED_WITH_THE_PULL) return put('show', 'pull');
    const bodyId = kind === 'point' ? rig.points.find((point) => point.id === id)?.bodyId : kind === 'body' ? id : undefined;
    const gearId = report.places.find((entry) => entry.subject.id === id)?.gearId;
    if (bodyId !== undefined) dispatch(bodySelected(bodyId));
    if (bodyId === undefined && gearId !== undefined) return navigate(`/gear/${gearId}/edit`);
    put('show', bodyId === undefined ? 'pieces' : 'outline');
  };
  return { params, put, tab, place, select, show, fillIn };
}

/** The plan, its load path and the panels beside them, by how much room there is. */
export function PlannerBody({
  report,
  rig,
  subject,
  apply,
  choosePiece,
  hangDampers,
  locked,
  selectedPlaceId,
  panels,
  tools,
}: PlannerBodyProps) {
  const { params, put, tab, place, select, show, fillIn } = useLookedAt({ report, rig, selectedPlaceId });
  const side = (
    <SidePanels
      {...{ report, rig, subject, apply, choosePiece, hangDampers, locked, place, tab, select, show, fillIn, panels }}
      isChosen={selectedPlaceId !== undefined}
      open={(next) => put('show', next)}
    />
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
  return <Arranged sheet={sheet} path={path} side={side} tools={tools} />;
}

interface Parts {
  readonly sheet: ReactNode;
  readonly path: ReactNode;
  readonly side: ReactNode;
  readonly tools: ReactNode;
}

/** Where each stands, by how much room there is. */
function Arranged({ sheet, path, side, tools }: Parts) {
  const narrow = useNarrow();
  const upright = useUpright();
  if (narrow)
    return (
      <>
        {path}
        {tools}
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
        {tools}
        <div className="h-[44dvh] min-h-80 border-b border-rule">{sheet}</div>
        <div className="bg-sheet">{path}</div>
        <div className="border-t border-ink">{side}</div>
      </>
    );
  return (
    <>
      <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_minmax(330px,425px)]">
        <div className="flex min-h-0 min-w-0 flex-col">
          {tools}
          <div className="min-h-0 flex-1">{sheet}</div>
        </div>
        {side}
      </div>
      <div className="shrink-0 border-t border-ink bg-sheet">{path}</div>
    </>
  );
}
