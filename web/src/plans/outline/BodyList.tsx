import type { Edit } from '@wainrope/core';
import { addGrip, type Body, length, type Rig, routeFault, tieBack } from '@wainrope/core';
import { type KeyboardEvent, useRef } from 'react';
import { useFigures } from '../../shell/use-figures.ts';
import { useAppDispatch, useAppSelector } from '../../store.ts';
import { bodySelected, edited, routed, routeEnded } from '../draft/planner-slice.ts';
import { draftEdits } from '../draft/route-words.ts';
import { bodyKindWords, keyEdits } from '../site/body-edits.ts';
import { winchingBody } from './winching-body.ts';

interface BodyListProps {
  readonly rig: Rig;
  readonly lay: (edits: readonly Edit[]) => void;
  readonly measure: (bodyId: string) => void;
}

/** What stands on the site, one row a body, each with its keys. */
export function BodyList({ rig, lay, measure }: BodyListProps) {
  const selectedBodyId = useAppSelector((state) => state.planner.selectedBodyId);
  const route = useAppSelector((state) => state.planner.route);
  const dispatch = useAppDispatch();
  const { figure } = useFigures();
  const list = useRef<HTMLUListElement>(null);
  const load = rig.bodies.find(({ id }) => id === rig.load.bodyId);
  const step = (from: HTMLElement, by: number) => {
    const rows = [...(list.current?.querySelectorAll<HTMLElement>('[data-outline-body]') ?? [])];
    rows[rows.indexOf(from) + by]?.focus();
  };
  const endRoute = (body: Body) => {
    if (routeFault(body, 'stop')) return void dispatch(routed(body.id));
    const ended = route && { ...route, bodyIds: route.bodyIds.at(-1) === body.id ? route.bodyIds : [...route.bodyIds, body.id] };
    if (!ended) return;
    lay(draftEdits(rig, ended));
    dispatch(routeEnded());
  };
  const back = (body: Body) => {
    const vehicle = winchingBody(rig);
    if (vehicle && vehicle.id !== body.id) lay(tieBack(rig, vehicle, body));
  };
  const acts = (body: Body): { readonly [key: string]: () => void } => ({
    l: () => dispatch(routed(body.id)),
    e: () => endRoute(body),
    b: () => back(body),
    g: () => rig.lines[0] && lay(addGrip(rig, rig.lines[0].id, body)),
    m: () => measure(body.id),
    Escape: () => dispatch(routeEnded()),
  });
  const keys = (event: KeyboardEvent<HTMLElement>, body: Body) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const next = { j: 1, k: -1 }[event.key];
    const change = keyEdits(rig, body, event);
    const act = acts(body)[event.key];
    if (next) step(event.currentTarget, next);
    else if (act) act();
    else if (change) dispatch(edited(change));
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  return (
    <ul ref={list}>
      {rig.bodies.map((body) => (
        <li key={body.id} className="border-b border-rule">
          <button
            type="button"
            data-outline-body={body.id}
            aria-pressed={body.id === selectedBodyId}
            onClick={() => dispatch(bodySelected(body.id))}
            onFocus={() => dispatch(bodySelected(body.id))}
            onKeyDown={(event) => keys(event, body)}
            className="flex min-h-11 w-full items-center gap-2 px-1 text-left aria-pressed:shadow-[inset_4px_0_var(--rope)]"
          >
            <span className="pl-2">{body.label}</span>
            <span className="text-[14px] text-quiet">
              {body.id === load?.id ? 'is to move' : bodyKindWords[body.kind]}
              {load && body.id !== load.id && `, ${figure(length(Math.hypot(body.xM - load.xM, body.yM - load.yM)))} off`}
            </span>
          </button>
        </li>
      ))}
    </ul>
  );
}
