import type { Rig, ToldFinding, ToldReport } from '@wainrope/core';
import { Play, Unlink } from 'lucide-react';
import { lazy, type ReactNode, Suspense } from 'react';
import { useNavigate } from 'react-router';
import { Loading } from '../shell/Loading.tsx';
import { useAddress } from '../shell/use-address.ts';
import { useNarrow } from '../shell/use-media.ts';
import { useAppDispatch } from '../store.ts';
import { bodySelected, placeSelected, routeEnded, toolChosen } from './draft/planner-slice.ts';
import { PlannerFrame } from './frame/PlannerFrame.tsx';
import { Broken, LetGoHolder } from './letgo/LetGoHolder.tsx';
import { LoadPath } from './load-path/LoadPath.tsx';
import { PlannerSentence } from './PlannerHeader.tsx';
import { AtMoment, MomentHolder, Moved } from './play/MomentHolder.tsx';
import { SidePanels, type SidePanelsProps } from './SidePanels.tsx';
import { PlanSheet } from './sheet/PlanSheet.tsx';

/** Fetched when something is first broken, or a pull played. */
const LetGoAsker = lazy(async () => ({ default: (await import('./letgo/LetGoAsker.tsx')).LetGoAsker }));
const PlayBar = lazy(async () => ({ default: (await import('./play/PlayBar.tsx')).PlayBar }));
const RunUpBar = lazy(async () => ({ default: (await import('./play/RunUpBar.tsx')).RunUpBar }));

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
  const { params, put, putAll } = useAddress();
  // On a phone the panels come up when one of them is wanted.
  const narrow = useNarrow();
  const tab = params.get('show') ?? (narrow ? undefined : 'findings');
  const place =
    report.places.find(({ id }) => id === selectedPlaceId) ??
    report.places.find(({ id }) => id === report.weakestPlaceId) ??
    report.places[0];
  const select = (placeId: string) => {
    dispatch(placeSelected(placeId));
    // What is touched is what lets go.
    const touched = params.get('breaks') === null ? undefined : report.places.find(({ id }) => id === placeId)?.subject.id;
    putAll({
      ...(touched !== undefined && { breaks: touched }),
      ...(tab !== 'findings' && { show: narrow ? 'findings' : undefined }),
    });
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
  return { params, put, putAll, tab, place, select, show, fillIn };
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
  const { params, put, putAll, tab, place, select, show, fillIn } = useLookedAt({ report, rig, selectedPlaceId });
  const canPlay = report.startOnly === undefined && (report.runUp !== undefined || report.pull.reachedM > 0);
  const isPlayed = canPlay && params.get('at') !== null;
  const dispatch = useAppDispatch();
  const narrow = useNarrow();
  // Whatever tool was in hand is put down: nothing is laid while a pull is played.
  const startPlaying = () => {
    dispatch(routeEnded());
    dispatch(toolChosen({ kind: 'move' }));
    put('at', '0.00');
  };
  const breakIt = () => putAll({ breaks: 'first', show: narrow ? 'findings' : undefined });
  return (
    <MomentHolder>
      <LetGoHolder>
        {params.get('breaks') !== null && (
          <Suspense fallback={null}>
            <LetGoAsker {...{ subject, report, place }} />
          </Suspense>
        )}
        <PlannerFrame
          tools={isPlayed ? null : tools}
          playKey={
            <>
              {canPlay && !isPlayed && <PlayKey open={startPlaying} />}
              {report.places.length > 0 && params.get('breaks') === null && <BreakKey open={breakIt} />}
            </>
          }
          play={
            isPlayed && (
              <Suspense fallback={<Loading what="the pull" className="px-4 py-3" />}>
                {report.runUp ? (
                  <RunUpBar {...{ subject, report }} plan={report.runUp} close={() => putAll({ at: undefined, attempt: undefined })} />
                ) : (
                  <PlayBar subject={subject} report={report} close={() => put('at', undefined)} />
                )}
              </Suspense>
            )
          }
          sentence={
            <AtMoment report={report} isPlayed={isPlayed} afterMs={SENTENCE_AFTER_MS}>
              {(shown) => <PlannerSentence report={shown} brief={isPlayed} />}
            </AtMoment>
          }
          sheet={(over) => (
            <Moved isPlayed={isPlayed}>
              <Broken>
                <PlanSheet selectedSubjectId={place?.subject.id} over={over} />
              </Broken>
            </Moved>
          )}
          path={(fold) => (
            <AtMoment report={report} isPlayed={isPlayed} afterMs={PATH_AFTER_MS}>
              {(shown, atM) => (
                <LoadPath
                  report={shown}
                  atM={atM}
                  selectedSubjectId={place?.subject.id}
                  select={select}
                  order={params.get('path') === 'weakest' ? 'weakest' : 'rigging'}
                  setOrder={(order) => put('path', order === 'weakest' ? order : undefined)}
                  fold={fold}
                />
              )}
            </AtMoment>
          )}
          side={(fold) => (
            <SidePanels
              {...{ report, rig, subject, apply, choosePiece, hangDampers, locked, place, tab, select, show, fillIn, panels, fold }}
              isChosen={selectedPlaceId !== undefined}
              open={(next) => put('show', next)}
            />
          )}
        />
      </LetGoHolder>
    </MomentHolder>
  );
}

/** What stands round the sheet is drawn after its words, each in a frame of its own. */
const SENTENCE_AFTER_MS = 0;
const PATH_AFTER_MS = 70;

const KEY =
  'no-print flex min-h-11 items-center gap-1.5 border border-ink bg-sheet px-3 text-[16px] whitespace-nowrap max-[760px]:border-0 max-[760px]:border-l max-[760px]:border-rule';

/** On a phone its picture alone. */
function BreakKey({ open }: { readonly open: () => void }) {
  return (
    <button type="button" className={KEY} onClick={open} aria-label="Break it: what if it lets go?" title="Break it: what if it lets go?">
      <Unlink size={17} aria-hidden="true" /> <span className="max-[760px]:hidden">Break it</span>
    </button>
  );
}

function PlayKey({ open }: { readonly open: () => void }) {
  return (
    <button type="button" className={KEY} onClick={open}>
      <Play size={17} aria-hidden="true" />
      <span>
        Play<span className="max-[760px]:sr-only"> the pull</span>
      </span>
    </button>
  );
}
