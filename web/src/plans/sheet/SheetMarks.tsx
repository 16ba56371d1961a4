import { angle, bearingDegrees, length, type Rig } from '@wainrope/core';
import { useFigures } from '../../shell/use-figures.ts';
import { useAppSelector } from '../../store.ts';
import type { Point2 } from './layout/place-labels.ts';
import { toScreen, type View } from './layout/plan-sheet-layout.ts';
import { path } from './SheetFeatures.tsx';

export interface MapPoint {
  readonly xM: number;
  readonly yM: number;
}

/** Between two points how far and which way; at a third the angle. */
export function Measured({
  points,
  view,
  closed,
}: {
  readonly points: readonly MapPoint[];
  readonly view: View;
  readonly closed: boolean;
}) {
  const { figure } = useFigures();
  if (points.length === 0) return null;
  const at = points.map(({ xM, yM }) => toScreen(view, { x: xM, y: yM }));
  return (
    <g pointerEvents="none" data-measured>
      <path d={path(at)} fill="none" stroke="var(--slate)" strokeWidth="2" strokeDasharray="6 4" />
      {at.map(({ x, y }) => (
        <circle key={`${x}-${y}`} cx={x} cy={y} r="4" fill="var(--slate)" />
      ))}
      {!closed &&
        points.slice(1).map((to, index) => {
          const from = points[index] as MapPoint;
          const [a, b] = [at[index] as Point2, at[index + 1] as Point2];
          const [dx, dy] = [to.xM - from.xM, to.yM - from.yM];
          const bearing = bearingDegrees(Math.atan2(dx, dy)).toFixed(0);
          const turn = index > 0 ? `, turn ${figure(angle(between(points[index - 1] as MapPoint, from, to)))}` : '';
          return (
            <Words
              key={`${a.x}-${b.x}`}
              x={(a.x + b.x) / 2}
              y={(a.y + b.y) / 2 - 8}
              text={`${figure(length(Math.hypot(dx, dy)))}, bearing ${bearing}°${turn}`}
            />
          );
        })}
    </g>
  );
}

/** Angle at the middle one of three points, rad. */
function between(a: MapPoint, apex: MapPoint, b: MapPoint): number {
  const [ax, ay, bx, by] = [a.xM - apex.xM, a.yM - apex.yM, b.xM - apex.xM, b.yM - apex.yM];
  return Math.abs(Math.atan2(ax * by - ay * bx, ax * bx + ay * by));
}

function Words({ x, y, text }: { readonly x: number; readonly y: number; readonly text: string }) {
  return (
    <text
      x={x}
      y={y}
      fontSize="15"
      fontWeight="600"
      textAnchor="middle"
      fill="var(--slate)"
      stroke="var(--map)"
      strokeWidth="5"
      style={{ paintOrder: 'stroke' }}
    >
      {text}
    </text>
  );
}

/** The line as it is being run, body by body. */
export function RouteTrace({ rig, view }: { readonly rig: Rig; readonly view: View }) {
  const route = useAppSelector((state) => state.planner.route);
  if (!route) return null;
  const at = [route.fromBodyId, ...route.bodyIds].flatMap((id) => {
    const body = rig.bodies.find((entry) => entry.id === id);
    return body ? [toScreen(view, { x: body.xM, y: body.yM })] : [];
  });
  return (
    <g pointerEvents="none" data-route={route.bodyIds.length}>
      <path d={path(at)} fill="none" stroke="var(--rope)" strokeWidth="5" strokeDasharray="10 5" />
      {at.map(({ x, y }, index) => (
        <g key={`${x}-${y}-${index === 0 ? 'from' : 'stop'}`}>
          <circle cx={x} cy={y} r="11" fill="var(--sheet)" stroke="var(--rope-shade)" strokeWidth="2.5" />
          <text x={x} y={y + 5} fontSize="14" textAnchor="middle" fill="var(--ink)">
            {index === 0 ? 'W' : index}
          </text>
        </g>
      ))}
    </g>
  );
}
