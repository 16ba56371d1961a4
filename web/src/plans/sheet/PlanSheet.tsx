import { useDrag } from '@use-gesture/react';
import { length, type Report, type Rig } from '@wainrope/core';
import { Maximize, Minus, Plus } from 'lucide-react';
import {
  type KeyboardEvent,
  lazy,
  memo,
  type ReactNode,
  type RefObject,
  Suspense,
  useCallback,
  useEffect,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
} from 'react';
import { useGetTeamQuery } from '../../api/wainrope-api.ts';
import { useFigures } from '../../shell/use-figures.ts';
import { useSize } from '../../shell/use-size.ts';
import { useAppDispatch, useAppSelector } from '../../store.ts';
import { bodySelected, edited, placeSelected, toolChosen } from '../draft/planner-slice.ts';
import { type NamedPlan, useSheetPlan, useSlowedWhileDragging } from '../draft/shown-plans.ts';
import type { SheetSize } from './layout/plan-sheet-layout.ts';
import { remoteReaches } from './layout/remote-reaches.ts';
import { sheetLabels } from './layout/sheet-labels.ts';
import { RigDrawing } from './RigDrawing.tsx';
import { Endangered, Flights } from './SheetDangers.tsx';
import { SheetFittings } from './SheetFittings.tsx';
import { SheetGestures } from './SheetGestures.ts';
import { GroundLayer, WordsLayer, ZonesLayer } from './SheetLayers.tsx';
import type { MapPoint } from './SheetMarks.tsx';
import { toMap, useSheetView } from './use-sheet-view.ts';

/** Fetched with the tools, of which one has to be in hand before this is asked for. */
const bodyEdits = () => import('../site/body-edits.ts');
/** Fetched behind the drawing, which is looked at first. */
const SheetForces = lazy(async () => ({ default: (await import('./SheetForces.tsx')).SheetForces }));
const SheetHandles = lazy(async () => ({ default: (await import('./SheetHandles.tsx')).SheetHandles }));

/** What touching the ground does, by the tool in hand: adds a body, measures, draws a feature corner by corner. */
function useSheetTool(rig: Rig, isPlayed: true | undefined) {
  const dispatch = useAppDispatch();
  const tool = useAppSelector((state) => state.planner.tool);
  const locked = useAppSelector((state) => state.planner.locked) !== undefined || isPlayed;
  const { data: team } = useGetTeamQuery();
  const [points, setPoints] = useState<readonly MapPoint[]>([]);
  useEffect(() => {
    if (tool.kind !== 'measure' && tool.kind !== 'feature') setPoints([]);
  }, [tool]);
  const touchedAt = (at: MapPoint) => {
    if (tool.kind === 'add' && !locked) {
      const { body } = tool;
      void bodyEdits().then(({ addEdits }) => dispatch(edited({ edits: addEdits(rig, body, team?.vehicles ?? [], at) })));
      dispatch(toolChosen({ kind: 'move' }));
    } else if (tool.kind === 'measure') setPoints(points.length >= 3 ? [at] : [...points, at]);
    else if (tool.kind === 'feature') setPoints([...points, at]);
    else dispatch(bodySelected(undefined));
  };
  const cancel = () => void dispatch(toolChosen({ kind: 'move' }));
  const finishFeature = () => {
    if (tool.kind !== 'feature' || points.length < 2 || locked) return;
    const { feature } = tool;
    void bodyEdits().then(({ featureEdits }) => dispatch(edited({ edits: featureEdits(rig, feature, points) })));
    dispatch(toolChosen({ kind: 'move' }));
  };
  return { tool, points, touchedAt, cancel, finishFeature };
}

const UNMEASURED: SheetSize = { width: 800, height: 420 };
const NOTHING_COVERED: SheetSize = { width: 0, height: 0 };

interface PlanSheetProps {
  readonly selectedSubjectId: string | undefined;
  /** What stands over the drawing, in its upper left corner. */
  readonly over: ReactNode;
}

/** The site from above, to scale: north is up. */
export function PlanSheet({ selectedSubjectId, over }: PlanSheetProps) {
  const { rig, report, facts, lastJudged, subject, isPlayed, named: calmly, endangered } = useSheetPlan();
  const holder = useRef<HTMLDivElement>(null);
  const size = useSize(holder, UNMEASURED);
  const corner = useRef<HTMLDivElement>(null);
  const covered = useSize(corner, NOTHING_COVERED);
  const sheet = useMemo(() => ({ ...size, covered }), [size, covered]);
  const { units, figure } = useFigures();
  const dispatch = useAppDispatch();
  const shown = useSheetView({ ...(isPlayed ? lastJudged : { rig, report }), size, covered }, holder);
  const { view, zoom, pan, fit, freeze, within } = shown;
  const { tool, points, touchedAt, cancel, finishFeature } = useSheetTool(rig, isPlayed);
  const acts = { ...shown, tapped: (x: number, y: number) => touchedAt(toMap(view, within(x, y))) };
  const newest = useRef(acts);
  useLayoutEffect(() => {
    newest.current = acts;
  });
  const zoomBy = useCallback((factor: number) => newest.current.zoom(factor), []);
  const fitAll = useCallback(() => newest.current.fit(), []);
  const named = useSlowedWhileDragging<NamedPlan>(calmly ?? { rig, report }, lastJudged);
  const reaches = useMemo(() => remoteReaches(named.rig, facts, subject.policy), [named.rig, facts, subject.policy]);
  const labels = useMemo(
    () => sheetLabels({ rig: named.rig, report: named.report, view, size, covered, figure, reaches }),
    [named.rig, named.report, view, size, covered, figure, reaches],
  );
  const keys = sheetKeys({ zoom, pan, fit, cancel, finish: finishFeature });
  const select = useCallback((placeId: string) => void dispatch(placeSelected(placeId)), [dispatch]);
  const strands =
    report.strands.length === 0 ? 'No line is laid' : report.strands.length === 1 ? 'One strand' : `${report.strands.length} strands`;
  // Painted after all that stands round it (`z-1`): each time that anything moves, the browser compares what is painted after a layer
  // with that layer, which took a third of a frame while a body was dragged. What has levels of its own round it is isolated for that.
  return (
    <div
      ref={holder}
      className="relative z-1 h-full min-h-40 w-full touch-none overflow-hidden bg-map"
      data-plan-sheet
      data-scale={view.scale}
    >
      <GroundLayer
        ground={rig.ground}
        surface={rig.situation.surface}
        features={rig.features}
        strands={named.report.strands}
        {...{ view, size, labels }}
      />
      <ZonesLayer report={named.report} rig={isPlayed ? lastJudged.rig : named.rig} {...{ reaches, view, size }} />
      <svg
        width={size.width}
        height={size.height}
        className="absolute inset-0 select-none will-change-transform"
        role="group"
        tabIndex={0}
        onKeyDown={keys}
        aria-label={`Plan from above. ${strands}; bodies can be moved with the arrow keys, the sheet by plus, minus and 0.`}
      >
        <GroundTouch size={size} isMoving={tool.kind === 'move'} newest={newest} />
        <RigDrawing {...{ rig, report, view, selectedSubjectId, select, isPlayed }} size={sheet} gear={facts} />
        <SheetFittings rig={rig} report={report} view={view} />
        <Suspense fallback={null}>
          <SheetForces rig={rig} pulleys={report.pulleys} strands={report.strands} pointLoads={report.pointLoads} view={view} />
        </Suspense>
        <Flights breaks={report.breaks} view={view} far={endangered !== undefined} />
        {endangered && <Endangered ids={endangered} rig={rig} view={view} />}
        <Suspense fallback={null}>
          {!isPlayed && <SheetHandles {...{ rig, report, view, freeze, points }} size={sheet} isClosed={tool.kind === 'feature'} />}
        </Suspense>
      </svg>
      <WordsLayer {...{ labels, view, size }} imperial={units === 'lbf'} hasArrows={report.strands.length > 0} />
      <div
        ref={corner}
        className="pointer-events-none absolute top-2 left-2 flex w-fit max-w-[calc(100%-5rem)] flex-col items-start gap-1 [&>*]:pointer-events-auto"
      >
        {over}
        <KeepOut report={named.report} />
        {tool.kind === 'feature' && (
          <button type="button" className="action-main" disabled={points.length < 2} onClick={finishFeature}>
            Done, {points.length} corners
          </button>
        )}
      </div>
      <ZoomKeys zoom={zoomBy} fit={fitAll} />
      <SheetGestures target={holder} newest={newest} />
    </div>
  );
}

interface Touch {
  readonly tapped: (clientX: number, clientY: number) => void;
  readonly pan: (dx: number, dy: number) => void;
}

interface GroundTouchProps {
  readonly size: SheetSize;
  readonly isMoving: boolean;
  readonly newest: RefObject<Touch>;
}

/** The ground that is touched and dragged, where nothing else stands on it. */
const GroundTouch = memo(function GroundTouch({ size, isMoving, newest }: GroundTouchProps) {
  const drag = useDrag(
    ({ tap, delta: [dx, dy], event }) => {
      const { clientX, clientY } = event as PointerEvent;
      if (tap) newest.current.tapped(clientX, clientY);
      else newest.current.pan(dx, dy);
    },
    { filterTaps: true },
  );
  return (
    <rect
      {...drag()}
      data-ground
      width={size.width}
      height={size.height}
      fill="transparent"
      className={isMoving ? 'touch-none' : 'cursor-crosshair touch-none'}
    />
  );
});

/** How far everybody keeps away. */
const KeepOut = memo(function KeepOut({ report }: { readonly report: Report }) {
  const { figure } = useFigures();
  const circles = [...report.zones, ...report.swept].flatMap((zone) => zone.circles);
  if (circles.length === 0) return null;
  return (
    <p className="pointer-events-none! bg-map/80 px-1 text-[14px] text-rust">
      Keep everyone out within {figure(length(Math.max(0, ...circles.map(({ radiusM }) => radiusM))))} of every end and pulley, and inside
      every bend.
    </p>
  );
});

interface SheetKeys {
  readonly zoom: (factor: number) => void;
  readonly pan: (dx: number, dy: number) => void;
  readonly fit: () => void;
  readonly cancel: () => void;
  readonly finish: () => void;
}

/** Pixels by which an arrow key moves the sheet. */
const PAN_PX = 60;

const sheetKeys = ({ zoom, pan, fit, cancel, finish }: SheetKeys) => {
  const acts: { readonly [key: string]: () => void } = {
    '+': () => zoom(1.25),
    '=': () => zoom(1.25),
    '-': () => zoom(0.8),
    '0': fit,
    ArrowUp: () => pan(0, PAN_PX),
    ArrowDown: () => pan(0, -PAN_PX),
    ArrowLeft: () => pan(PAN_PX, 0),
    ArrowRight: () => pan(-PAN_PX, 0),
    Escape: cancel,
    Enter: finish,
  };
  return (event: KeyboardEvent) => {
    const act = event.currentTarget === event.target ? acts[event.key] : undefined;
    if (!act) return;
    event.preventDefault();
    act();
  };
};

const ZoomKeys = memo(function ZoomKeys({ zoom, fit }: { readonly zoom: (factor: number) => void; readonly fit: () => void }) {
  const key = 'grid size-11 place-items-center bg-sheet/90 hover:bg-paper';
  return (
    <div className="absolute right-2 bottom-2 flex border-[1.5px] border-ink">
      <button type="button" className={key} onClick={() => zoom(0.8)} aria-label="Further away">
        <Minus size={18} />
      </button>
      <button
        type="button"
        className={`${key} border-x border-rule`}
        onClick={fit}
        aria-label="Show the whole rig"
        title="Show the whole rig; once more, everybody round it too"
      >
        <Maximize size={17} />
      </button>
      <button type="button" className={key} onClick={() => zoom(1.25)} aria-label="Nearer">
        <Plus size={18} />
      </button>
    </div>
  );
});
