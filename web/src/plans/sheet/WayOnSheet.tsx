import { ahead, loadBody, type Rig } from '@wainrope/core';
import { memo } from 'react';
import { toScreen, type View, vehicleCorners } from './layout/plan-sheet-layout.ts';
import { wayOnMap } from './way-on-map.ts';

interface WayOnSheetProps {
  /** As it stands before the pull. */
  readonly rig: Rig;
  readonly reachedM: number;
  readonly isRunUp: boolean;
  readonly view: View;
}

/** The way of the load as it is judged, and where it stands when the pull ends. */
export const WayOnSheet = memo(function WayOnSheet({ rig, reachedM, isRunUp, view }: WayOnSheetProps) {
  const way = wayOnMap(rig, reachedM);
  if (way.length < 2 || isRunUp) return null;
  const points = way.map(({ xM, yM }) => toScreen(view, { x: xM, y: yM }));
  const [last, before] = [way.at(-1), way.at(-2)];
  if (!last || !before) return null;
  const body = loadBody(rig);
  const astern = rig.load.travel === 'astern' ? Math.PI : 0;
  const turned = rig.load.path && body.kind === 'vehicle' ? Math.atan2(last.xM - before.xM, last.yM - before.yM) + astern : body.headingRad;
  const there = vehicleCorners({ ...body, xM: last.xM, yM: last.yM, headingRad: turned }).map((corner) => toScreen(view, corner));
  const d = (list: readonly { readonly x: number; readonly y: number }[]) =>
    list.map(({ x, y }, index) => `${index === 0 ? 'M' : 'L'}${x} ${y}`).join('');
  const forward = ahead(turned);
  const nose = toScreen(view, { x: last.xM + (forward.x * body.lengthM) / 2, y: last.yM + (forward.y * body.lengthM) / 2 });
  const middle = toScreen(view, { x: last.xM, y: last.yM });
  return (
    <g pointerEvents="none" fill="none" stroke="var(--quiet)" data-way={reachedM}>
      <path d={d(points)} strokeWidth="1.4" strokeDasharray="2 5" />
      <path d={`${d(there)}Z`} strokeWidth="1.4" strokeDasharray="6 4" />
      <path d={`M${middle.x} ${middle.y}L${nose.x} ${nose.y}`} strokeWidth="1.2" strokeDasharray="3 4" />
    </g>
  );
});
