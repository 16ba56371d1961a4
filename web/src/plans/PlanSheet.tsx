import { useDrag } from '@use-gesture/react';
import { length, type Report, type Rig } from '@wainrope/core';
import { Maximize, Minus, Plus } from 'lucide-react';
import { type KeyboardEvent, memo, type ReactNode, useCallback, useEffect, useLayoutEffect, useMemo, useRef, useState } from 'react';
import { useGetTeamQuery } from '../api/wainrope-api.ts';
import { useFigures } from '../shell/use-figures.ts';
import { useAppDispatch, useAppSelector } from '../store.ts';
import { BodyHandles } from './BodyHandles.tsx';
import { addEdits, featureEdits } from './body-edits.ts';
import { type LivePlan, useCalm, useLivePlan } from './live-plan.ts';
import type { PlacedLabel, Segment } from './place-labels.ts';
import { contours, type SheetSize, scaleBar, sheetLabels, toScreen, tufts, type View } from './plan-sheet-layout.ts';
import { bodySelected, edited, placeSelected, toolChosen } from './planner-slice.ts';
import { RigDrawing } from './RigDrawing.tsx';
import { Features, type MapPoint, Measured, RouteTrace } from './SheetMarks.tsx';
import { toMap, useSheetView } from './use-sheet-view.ts';

/** What the sheet's words are about. */
type NamedPlan = Pick<LivePlan, 'rig' | 'report'>;

/** The site from above, to scale: north is up. */
export function PlanSheet({ selectedSubjectId }: { readonly selectedSubjectId: string | undefined }) {
  const { rig, report, facts, judged } = useLivePlan();
  const holder = useRef<HTMLDivElement>(null);
  const size = useSize(holder);
  const { units, figure } = useFigures();
  const dispatch = useAppDispatch();
  const tool = useAppSelector((state) => state.planner.tool);
  const locked = useAppSelector((state) => state.planner.locked);
  const { data: team } = useGetTeamQuery();
  const { view, zoom, pan, fit, freeze, within } = useSheetView(rig, report, size, holder);
  const [points, setPoints] = useState<readonly MapPoint[]>([]);
  const named = useCalm<NamedPlan>({ rig, report }, judged);
  const labels = useMemo(
    () => sheetLabels({ rig: named.rig, report: named.report, view, size, figure }),
    [named.rig, named.report, view, size, figure],
  );
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
  const ground = useDrag(
    ({ tap, delta: [dx, dy], event }) => {
      const { clientX, clientY } = event as PointerEvent;
      if (tap) touchedAt(toMap(view, within(clientX, clientY)));
      else pan(dx, dy);
    },
    { filterTaps: true },
  );
  const finishFeature = () => {
    if (tool.kind !== 'feature' || points.length < 2) return;
    dispatch(edited({ edits: featureEdits(rig, tool.feature, points) }));
    dispatch(toolChosen({ kind: 'move' }));
  };
  const keys = sheetKeys({ zoom, pan, fit, cancel: () => dispatch(toolChosen({ kind: 'move' })), finish: finishFeature });
  const select = useCallback((placeId: string) => void dispatch(placeSelected(placeId)), [dispatch]);
  const circles = report.zones.flatMap((zone) => zone.circles);
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
        <Zones zones={report.zones} view={view} />
        <RigDrawing rig={rig} report={report} view={view} gear={facts} size={size} selectedSubjectId={selectedSubjectId} select={select} />
        <Flights breaks={report.breaks} view={view} />
        <BodyHandles bodies={rig.bodies} places={report.places} view={view} size={size} freeze={freeze} />
        <RouteTrace rig={rig} view={view} />
        <Measured points={points} view={view} closed={tool.kind === 'feature'} />
      </svg>
      <Layer size={size}>
        <Labels labels={labels} />
        <North x={size.width - 34} />
        <ScaleBar view={view} size={size} imperial={units === 'lbf'} />
      </Layer>
      {circles.length > 0 && (
        <p className="pointer-events-none absolute top-1.5 left-3 max-w-[70%] text-[14px] text-rust">
          Keep everyone out within {figure(length(Math.max(0, ...circles.map(({ radiusM }) => radiusM))))} of every end and pulley, and
          inside every bend.
        </p>
      )}
      <ZoomKeys zoom={zoom} fit={fit} />
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

function ZoomKeys({ zoom, fit }: { readonly zoom: (factor: number) => void; readonly fit: () => void }) {
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
}

/** Washes with dotted rims round every end and pulley, a band along every strand, a wash inside every bend. */
const Zones = memo(function Zones({ zones, view }: { readonly zones: Report['zones']; readonly view: View }) {
  const outline = (points: readonly { readonly x: number; readonly y: number }[]) =>
    points
      .map((point) => toScreen(view, point))
      .map(({ x, y }) => `${x},${y}`)
      .join(' ');
  return (
    <g pointerEvents="none">
      {zones.flatMap(({ lineId, circles, corridors, bends }) => [
        ...bends.map(({ apex, a, b }, index) => (
          <polygon key={`${lineId}-bend-${index}`} data-zone="bend" points={outline([apex, a, b])} fill="var(--rust)" fillOpacity="0.03" />
        )),
        ...corridors.map(({ corners }, index) => (
          <polygon
            key={`${lineId}-corridor-${index}`}
            data-zone="corridor"
            points={outline(corners)}
            fill="var(--rust)"
            fillOpacity="0.06"
            stroke="var(--rust)"
            strokeOpacity="0.28"
          />
        )),
        ...circles.map(({ centre, radiusM }, index) => {
          const { x, y } = toScreen(view, centre);
          return (
            <circle
              key={`${lineId}-circle-${index}`}
              data-zone="circle"
              cx={x}
              cy={y}
              r={radiusM * view.scale}
              fill="var(--rust)"
              fillOpacity="0.022"
              stroke="var(--rust)"
              strokeOpacity="0.7"
              strokeWidth="1.3"
              strokeDasharray="1.5 6"
              strokeLinecap="round"
            />
          );
        }),
      ])}
    </g>
  );
});

/** Where parts would leave to if what holds them let go. */
const Flights = memo(function Flights({ breaks, view }: { readonly breaks: Report['breaks']; readonly view: View }) {
  return (
    <g pointerEvents="none">
      {breaks.flatMap(({ lineId, flights }) =>
        flights.map(({ chainId, from, along }) => (
          <Flight key={`${lineId}-${chainId}`} from={toScreen(view, from)} dx={along.x} dy={-along.y} />
        )),
      )}
    </g>
  );
});

/** Length of the arrow that shows where a part would fly, pixels. */
const FLIGHT_PX = 46;

/** Which way a part leaves if what holds it lets go. */
function Flight({ from, dx, dy }: { readonly from: { readonly x: number; readonly y: number }; readonly dx: number; readonly dy: number }) {
  const size = Math.hypot(dx, dy);
  if (size < 0.05) return null;
  const [ux, uy] = [dx / size, dy / size];
  const [start, tip] = [
    { x: from.x + 14 * ux, y: from.y + 14 * uy },
    { x: from.x + FLIGHT_PX * ux, y: from.y + FLIGHT_PX * uy },
  ];
  const barb = (side: number) => `${tip.x - 9 * ux + side * 5 * -uy} ${tip.y - 9 * uy + side * 5 * ux}`;
  return (
    <path
      data-flight
      d={`M${start.x} ${start.y}L${tip.x} ${tip.y}M${barb(1)}L${tip.x} ${tip.y}L${barb(-1)}`}
      fill="none"
      stroke="var(--rust)"
      strokeWidth="2"
      strokeLinecap="round"
    />
  );
}

interface TuftsProps {
  readonly surface: Rig['situation']['surface'];
  readonly strands: Report['strands'];
  readonly view: View;
  readonly size: SheetSize;
  readonly labels: readonly PlacedLabel[];
}

/** Wet ground, as maps draw it. */
const Tufts = memo(function Tufts({ surface, strands, view, size, labels }: TuftsProps) {
  if (surface !== 'bog' && surface !== 'shallow-mud') return null;
  const lines = strands.map(({ from, to }): Segment => ({ from: toScreen(view, from), to: toScreen(view, to) }));
  return tufts(size, lines)
    .filter((tuft) => clearOfLabels(tuft, labels))
    .map(({ x, y }) => (
      <path
        key={`${x}-${y}`}
        d={`M${x - 8} ${y}h16M${x - 4} ${y}v-6M${x} ${y}v-9M${x + 4} ${y}v-6`}
        stroke="var(--tuft)"
        strokeWidth="1.3"
        fill="none"
      />
    ));
});

function ScaleBar({ view, size, imperial }: { readonly view: View; readonly size: SheetSize; readonly imperial: boolean }) {
  const bar = scaleBar(view, Math.min(230, size.width / 4), imperial);
  return (
    <g transform={`translate(22 ${size.height - 20})`}>
      <path
        data-scale-bar
        data-metres={bar.metres}
        d={`M0 -7v7h${bar.pixels}v-7M${bar.pixels / 2} 0v-4`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth="1.6"
      />
      <text y={-12} fontSize="14" fill="var(--ink)">
        0
      </text>
      <text x={bar.pixels} y={-12} fontSize="14" textAnchor="end" fill="var(--ink)">
        {bar.label}
      </text>
    </g>
  );
}

/** Tufts stay out from under words. */
function clearOfLabels({ x, y }: { readonly x: number; readonly y: number }, labels: readonly PlacedLabel[]): boolean {
  return (
    y > 44 &&
    labels.every((label) => x < label.x - 10 || x > label.x + label.width + 10 || y < label.y - 2 || y > label.y + label.height + 12)
  );
}

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

const Ground = memo(function Ground({
  ground,
  view,
  size,
}: {
  readonly ground: Rig['ground'];
  readonly view: View;
  readonly size: SheetSize;
}) {
  const step = 5 * view.scale;
  const columns = Array.from(
    { length: Math.ceil(size.width / step) + 1 },
    (_, index) => (((view.originX % step) + step) % step) + (index - 1) * step,
  );
  const rows = Array.from(
    { length: Math.ceil(size.height / step) + 1 },
    (_, index) => (((view.originY % step) + step) % step) + (index - 1) * step,
  );
  return (
    <g fill="none">
      {columns.map((x) => (
        <path key={`x${x}`} d={`M${x} 0V${size.height}`} stroke="var(--contour)" strokeOpacity="0.35" />
      ))}
      {rows.map((y) => (
        <path key={`y${y}`} d={`M0 ${y}H${size.width}`} stroke="var(--contour)" strokeOpacity="0.35" />
      ))}
      {contours(ground, view, size).map(({ from, to, strong }) => (
        <path
          key={`${from.x}${from.y}`}
          d={`M${from.x} ${from.y}L${to.x} ${to.y}`}
          stroke="var(--contour)"
          strokeWidth={strong ? 2 : 1.1}
        />
      ))}
    </g>
  );
});

const Labels = memo(function Labels({ labels }: { readonly labels: readonly PlacedLabel[] }) {
  return (
    <g>
      {labels.map((label) => (
        <SheetLabel key={label.id} label={label} />
      ))}
    </g>
  );
});

function SheetLabel({ label }: { readonly label: PlacedLabel }) {
  return (
    <text
      data-sheet-label={label.id}
      textAnchor="middle"
      fontSize="15"
      fill="var(--ink)"
      style={{ paintOrder: 'stroke' }}
      stroke="var(--map)"
      strokeWidth="5"
      strokeLinejoin="round"
    >
      {label.lines.map(({ text, strong }, index) => (
        <tspan key={text} x={label.x + label.width / 2} y={label.y + 15 + index * 18} fontWeight={strong ? 600 : 400}>
          {text}
        </tspan>
      ))}
    </text>
  );
}

function North({ x }: { readonly x: number }) {
  return (
    <g transform={`translate(${x} 18)`}>
      <path d="M0 0 7 28 0 22 -7 28Z" fill="var(--ink)" />
      <text y={45} fontSize="14" textAnchor="middle" fill="var(--ink)">
        N
      </text>
    </g>
  );
}
