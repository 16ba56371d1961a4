import { useDrag } from '@use-gesture/react';
import type { Body, Report, Rig } from '@wainrope/core';
import { DEGREE } from '@wainrope/core';
import { type KeyboardEvent, memo, useCallback, useEffect, useLayoutEffect, useRef } from 'react';
import { useAppDispatch, useAppSelector, useAppStore } from '../../store.ts';
import { handMoved } from '../draft/hand.ts';
import { type HeldAhead, heldAhead, holdAhead } from '../draft/held-ahead.ts';
import { bodyHeld, bodySelected, dragEnded, edited, placeSelected, routed } from '../draft/planner-slice.ts';
import { useHeld } from '../draft/shown-plans.ts';
import { keyEdits } from '../site/body-edits.ts';
import { type CoveredSheet, shownAt, toScreen, type View } from './layout/plan-sheet-layout.ts';
import { useHiddenWhileHeld } from './use-ahead.ts';

interface SharedProps {
  readonly view: View;
  readonly size: CoveredSheet;
  readonly freeze: (view: View | undefined) => void;
}

interface BodyHandlesProps extends SharedProps {
  readonly bodies: Rig['bodies'];
  readonly places: Report['places'];
}

/** What is touched to move, turn, choose and route bodies. */
export function BodyHandles({ bodies, places, ...shared }: BodyHandlesProps) {
  const selected = useAppSelector((state) => state.planner.selectedBodyId);
  const body = bodies.find(({ id }) => id === selected);
  const newest = useRef(places);
  useLayoutEffect(() => {
    newest.current = places;
  }, [places]);
  const placeOf = useCallback(
    (bodyId: string) => newest.current.find(({ kind, subject }) => kind === 'anchor' && subject.id === bodyId)?.id,
    [],
  );
  return (
    <g>
      {bodies.map((entry) => (
        <Handle key={entry.id} body={entry} placeOf={placeOf} {...shared} />
      ))}
      {body && 'headingRad' in body && <Turner body={body} view={shared.view} freeze={shared.freeze} />}
    </g>
  );
}

const round = (metres: number, step: number) => Math.round(metres / step) * step;

interface HandleProps extends SharedProps {
  readonly body: Body;
  /** The place of the load path that stands for a body, where it has one. */
  readonly placeOf: (bodyId: string) => string | undefined;
}

/** What dragging a body, touching it and the keys on it do, by the tool in hand. */
function useMoves(stands: Body, body: Body, { view, freeze, placeOf }: Pick<HandleProps, 'view' | 'freeze' | 'placeOf'>) {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const tool = useAppSelector((state) => state.planner.tool);
  const locked = useAppSelector((state) => state.planner.locked);
  const touched = () => {
    if (tool.kind === 'line') return void dispatch(routed(body.id));
    dispatch(bodySelected(body.id));
    const place = placeOf(body.id);
    if (place) dispatch(placeSelected(place));
  };
  const { id } = stands;
  const begin = () => {
    freeze(view);
    dispatch(bodySelected(id));
  };
  /** The draft hears of it when it begins and when it is over; in between what is drawn follows the pointer by itself. */
  const hold = (at: HeldAhead, { first, last }: { readonly first: boolean; readonly last: boolean }) => {
    if (first || last) dispatch(bodyHeld({ ...stands, ...at }));
    holdAhead(last ? undefined : at);
  };
  const end = () => {
    freeze(undefined);
    dispatch(dragEnded());
  };
  const drag = useDrag(
    ({ first, last, tap, shiftKey, movement: [mx, my], memo, event }) => {
      event.stopPropagation();
      if (tap) return touched();
      if (tool.kind !== 'move' || locked) return;
      if (first) begin();
      const from = memo ?? { xM: body.xM, yM: body.yM, scale: view.scale };
      // Held with shift, it snaps to half metres.
      const step = shiftKey ? 0.5 : 0.01;
      hold({ id, xM: round(from.xM + mx / from.scale, step), yM: round(from.yM - my / from.scale, step) }, { first, last });
      if (last) end();
      return from;
    },
    { filterTaps: true },
  );
  const keys = (event: KeyboardEvent) => {
    const { rig } = store.getState().planner;
    const change = rig && keyEdits(rig, body, event);
    if (change) dispatch(edited(change));
    else if (event.key === 'Enter' || event.key === ' ') touched();
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  // Taken off the sheet while it is held, it is held no more.
  useEffect(() => () => (heldAhead(id) ? holdAhead(undefined) : undefined), [id]);
  const left = () => {
    const at = heldAhead(id);
    if (at) hold(at, { first: false, last: true });
    dispatch(dragEnded());
  };
  return { tool, drag, keys, left };
}

const Handle = memo(function Handle({ body: stands, view, size, freeze, placeOf }: HandleProps) {
  const body = useHeld(stands);
  const { tool, drag, keys, left } = useMoves(stands, body, { view, freeze, placeOf });
  const selected = useAppSelector((state) => state.planner.selectedBodyId === body.id);
  const { x, y } = shownAt(body, view, size);
  const long = 'lengthM' in body ? body.lengthM * view.scale : 0;
  const ring = useHiddenWhileHeld<SVGCircleElement>(body.id);
  return (
    <g>
      {selected && (
        <circle
          ref={ring}
          cx={x}
          cy={y}
          r={Math.max(26, long * 0.56)}
          fill="none"
          stroke="var(--moss)"
          strokeWidth="2"
          strokeDasharray="7 4"
          data-selected-body={body.id}
        />
      )}
      <circle
        {...drag()}
        cx={x}
        cy={y}
        data-handle={body.id}
        data-tree-handle={body.kind === 'tree' ? '' : undefined}
        role="button"
        tabIndex={0}
        aria-label={`${body.label}: drag it, or move it with the arrow keys`}
        r={Math.max(22, Math.min(long * 0.3, 44))}
        fill="transparent"
        className={tool.kind === 'line' ? 'peer cursor-crosshair touch-none outline-none' : 'peer cursor-grab touch-none outline-none'}
        onKeyDown={keys}
        onBlur={left}
      />
      <circle
        cx={x}
        cy={y}
        r={Math.max(30, long * 0.6)}
        fill="none"
        stroke="var(--rope-shade)"
        strokeWidth="3"
        pointerEvents="none"
        className="invisible peer-focus-visible:visible"
      />
    </g>
  );
});

/** Room between a body's end and the knob that turns it, pixels. */
const TURNER_PX = 26;

function Turner({
  body: stands,
  view,
  freeze,
}: Pick<SharedProps, 'view' | 'freeze'> & { readonly body: Extract<Body, { headingRad: number }> }) {
  const dispatch = useAppDispatch();
  const body = useHeld(stands);
  const centre = toScreen(view, { x: body.xM, y: body.yM });
  const reach = (body.lengthM / 2) * view.scale + TURNER_PX;
  const group = useHiddenWhileHeld<SVGGElement>(body.id);
  const knob = { x: centre.x + reach * Math.sin(body.headingRad), y: centre.y - reach * Math.cos(body.headingRad) };
  const drag = useDrag(
    ({ first, last, shiftKey, movement: [mx, my], memo, event }) => {
      event.stopPropagation();
      if (first) freeze(view);
      const from = memo ?? knob;
      const turn = Math.atan2(from.x + mx - centre.x, centre.y - from.y - my);
      const step = (shiftKey ? 15 : 1) * DEGREE;
      handMoved();
      dispatch(bodyHeld({ ...body, headingRad: Math.round(turn / step) * step }));
      if (last) {
        freeze(undefined);
        dispatch(dragEnded());
      }
      return from;
    },
    { filterTaps: true },
  );
  return (
    <g ref={group}>
      <path d={`M${centre.x} ${centre.y}L${knob.x} ${knob.y}`} stroke="var(--moss)" strokeDasharray="4 4" pointerEvents="none" />
      <circle
        {...drag()}
        data-turner={body.id}
        cx={knob.x}
        cy={knob.y}
        r="11"
        fill="var(--sheet)"
        stroke="var(--moss)"
        strokeWidth="2.4"
        className="cursor-grab touch-none"
      />
      <path d={`M${knob.x - 4} ${knob.y + 3}a5 5 0 1 1 8 0`} fill="none" stroke="var(--moss)" strokeWidth="1.8" pointerEvents="none" />
    </g>
  );
}
