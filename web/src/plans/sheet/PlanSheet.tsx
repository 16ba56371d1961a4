import { useDrag } from '@use-gesture/react';
import { length, type Rig } from '@wainrope/core';
import { Maximize, Minus, Plus } from 'lucide-react';
import { type KeyboardEvent, memo, type ReactNode, useCallback, useEffect, useLayoutEffect, useMemo, useRef, useState } from 'react';
import { useGetTeamQuery } from '../../api/wainrope-api.ts';
import { useFigures } from '../../shell/use-figures.ts';
import { useAppDispatch, useAppSelector } from '../../store.ts';
import { bodySelected, edited, placeSelected, toolChosen } from '../draft/planner-slice.ts';
import { type SheetPlan, useSheetPlan, useSlowedWhileDragging } from '../draft/shown-plans.ts';
import { addEdits, featureEdits } from '../site/body-edits.ts';
import { BodyHandles } from './BodyHandles.tsx';
import { FeatureHandles } from './FeatureHandles.tsx';
import { type SheetSize } from './layout/plan-sheet-layout.ts';
import { remoteReaches } from './layout/remote-reaches.ts';
import { besideBar, COMPACT, sheetLabels } from './layout/sheet-labels.ts';
import { RigDrawing } from './RigDrawing.tsx';
import { ArrowKey, Flights, RemoteRims, SweptZones, Zones } from './SheetDangers.tsx';
import { SheetFittings } from './SheetFittings.tsx';
import { SheetForces } from './SheetForces.tsx';
import { Ground, North, ScaleBar, Tufts } from './SheetGround.tsx';
import { Labels } from './SheetLabels.tsx';
import { Features, type MapPoint, Measured, RouteTrace } from './SheetMarks.tsx';
import { toMap, useSheetView } from './use-sheet-view.ts';
import { WayOnSheet } from './WayOnSheet.tsx';

/** What the sheet's words are about. */
type NamedPlan = Pick<SheetPlan, 'rig' | 'report'>;

/** What touching the ground does, by the tool in hand: adds a body, measures, draws a feature corner by corner. */
function useSheetTool(rig: Rig) {
  const dispatch = useAppDispatch();
  const tool = useAppSelector((state) => state.planner.tool);
  const locked = useAppSelector((state) => state.planner.locked);
  const { data: team } = useGetTeamQuery();
  const [points, setPoints] = useState<readonly MapPoint[]>([]);
  useEffect(() => {
    if (tool.kind !== 'measure' && tool.kind !== 'feature') setPoints([]);
  }, [tool]);
  const touchedAt = (at: MapPoint) => {
    if (tool.kind === 'add' && !locked) {
      dispatch(edited({ edits: addEdits(rig, tool.body, team?.vehicles ?? [], at) }));
      dispatch(toolChosen({ kind: 'move' }));
    } else if (tool.kind === 'measure') setPoints(points.length >= 3 ? [at] : [...points, at]);
    else if (tool.kind === 'feature') setPoints([...points, at]);
    else dispatch(bodySelected(undefined));
  };
  const cancel = () => void dispatch(toolChosen({ kind: 'move' }));
  const finishFeature = () => {
    if (tool.kind !== 'feature' || points.length < 2) return;
    dispatch(edited({ edits: featureEdits(rig, tool.feature, points) }));
    dispatch(toolChosen({ kind: 'move' }));
  };
  return { tool, points, touchedAt, cancel, finishFeature };
}

/** The site from above, to scale: north is up. */
export function PlanSheet({ selectedSubjectId }: { readonly selectedSubjectId: string | undefined }) {
  const { rig, report, facts, lastJudged, subject } = useSheetPlan();
  const holder = useRef<HTMLDivElement>(null);
  const size = useSize(holder);
  const { units, figure } = useFigures();
  const dispatch = useAppDispatch();
  const { view, zoom, pan, fit, freeze, within } = useSheetView(rig, report, size, holder);
  const newest = useRef({ zoom, fit });
  useLayoutEffect(() => {
    newest.current = { zoom, fit };
  });
  const zoomBy = useCallback((factor: number) => newest.current.zoom(factor), []);
  const fitAll = useCallback(() => newest.current.fit(), []);
  const { tool, points, touchedAt, cancel, finishFeature } = useSheetTool(rig);
  const named = useSlowedWhileDragging<NamedPlan>({ rig, report }, lastJudged);
  const reaches = useMemo(() => remoteReaches(named.rig, facts, subject.policy), [named.rig, facts, subject.policy]);
  const labels = useMemo(
    () => sheetLabels({ rig: named.rig, report: named.report, view, size, figure, reaches }),
    [named.rig, named.report, view, size, figure, reaches],
  );
  const ground = useDrag(
    ({ tap, delta: [dx, dy], event }) => {
      const { clientX, clientY } = event as PointerEvent;
      if (tap) touchedAt(toMap(view, within(clientX, clientY)));
      else pan(dx, dy);
    },
    { filterTaps: true },
  );
  const keys = sheetKeys({ zoom, pan, fit, cancel, finish: finishFeature });
  const select = useCallback((placeId: string) => void dispatch(placeSelected(placeId)), [dispatch]);
  const circles = [...report.zones, ...report.swept].flatMap((zone) => zone.circles);
  const strands =
    report.strands.length === 0 ? 'No line is laid' : report.strands.length === 1 ? 'One strand' : `${report.strands.length} strands`;
  return (
    <div ref={holder} className="relative h-full min-h-64 w-full touch-none overflow-hidden bg-map" data-plan-sheet data-scale={view.scale}>
      <Layer size={size}>
        <Ground ground={rig.ground} view={view} size={size} />
        <Tufts surface={rig.situation.surface} strands={named.report.strands} view={view} size={size} labels={labels} />
        <Features features={rig.features} view={view} />
      </Layer>
      <svg
        width={size.width}
        height={size.height}
        className="absolute inset-0 select-none"
        role="group"
        tabIndex={0}
        onKeyDown={keys}
        aria-label={`Plan from above. ${strands}; bodies can be moved with the arrow keys, the sheet by plus, minus and 0.`}
      >
        <rect
          {...ground()}
          data-ground
          width={size.width}
          height={size.height}
          fill="transparent"
          className={tool.kind === 'move' ? 'touch-none' : 'cursor-crosshair touch-none'}
        />
        <SweptZones swept={report.swept} view={view} />
        <Zones zones={report.zones} view={view} />
        <WayOnSheet rig={rig} report={report} view={view} />
        <RemoteRims reaches={reaches} view={view} />
        <RigDrawing rig={rig} report={report} view={view} gear={facts} size={size} selectedSubjectId={selectedSubjectId} select={select} />
        <SheetFittings rig={rig} report={report} view={view} />
        <SheetForces rig={rig} pulleys={report.pulleys} strands={report.strands} pointLoads={report.pointLoads} view={view} />
        <Flights breaks={report.breaks} view={view} />
        <FeatureHandles features={rig.features} view={view} />
        <BodyHandles bodies={rig.bodies} places={report.places} view={view} size={size} freeze={freeze} />
        <RouteTrace rig={rig} view={view} />
        <Measured points={points} view={view} closed={tool.kind === 'feature'} />
      </svg>
      <Layer size={size}>
        <Labels labels={labels} />
        <North x={size.width - 34} />
        <ScaleBar view={view} size={size} imperial={units === 'lbf'} />
        {report.strands.length > 0 && size.width >= COMPACT && <ArrowKey x={besideBar(view, size, units === 'lbf')} y={size.height - 15} />}
      </Layer>
      {circles.length > 0 && (
        <p className="pointer-events-none absolute top-1.5 left-3 max-w-[70%] text-[14px] text-rust">
          Keep everyone out within {figure(length(Math.max(0, ...circles.map(({ radiusM }) => radiusM))))} of every end and pulley, and
          inside every bend.
        </p>
      )}
      <ZoomKeys zoom={zoomBy} fit={fitAll} />
      {tool.kind === 'feature' && (
        <p className="absolute top-9 left-3 flex items-center gap-2">
          <button type="button" className="action-main" disabled={points.length < 2} onClick={finishFeature}>
            Done, {points.length} corners
          </button>
        </p>
      )}
    </div>
  );
}

/** What lies under or over what is touched. */
function Layer({ size, children }: { readonly size: SheetSize; readonly children: ReactNode }) {
  return (
    <svg width={size.width} height={size.height} className="pointer-events-none absolute inset-0 select-none" aria-hidden="true">
      {children}
    </svg>
  );
}

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
      <button type="button" className={`${key} border-x border-rule`} onClick={fit} aria-label="Show the whole rig">
        <Maximize size={17} />
      </button>
      <button type="button" className={key} onClick={() => zoom(1.25)} aria-label="Nearer">
        <Plus size={18} />
      </button>
    </div>
  );
});

function useSize(holder: React.RefObject<HTMLDivElement | null>): SheetSize {
  const [size, setSize] = useState<SheetSize>({ width: 800, height: 420 });
  useLayoutEffect(() => {
    const element = holder.current;
    if (!element) return;
    const measure = () => setSize({ width: element.clientWidth, height: element.clientHeight });
    measure();
    const observer = new ResizeObserver(measure);
    observer.observe(element);
    return () => observer.disconnect();
  }, [holder]);
  return size;
}
