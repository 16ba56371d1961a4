import { angle, bearingDegrees, type Feature, length, type Rig } from '@wainrope/core';
import { memo } from 'react';
import { useFigures } from '../../shell/use-figures.ts';
import { useAppSelector } from '../../store.ts';
import type { Point2 } from './layout/place-labels.ts';
import { toScreen, type View } from './layout/plan-sheet-layout.ts';

export interface MapPoint {
  readonly xM: number;
  readonly yM: number;
}

const path = (points: readonly Point2[]) => points.map(({ x, y }, index) => `${index === 0 ? 'M' : 'L'}${x} ${y}`).join('');

const INKS: { readonly [K in Feature['kind']]: { readonly stroke: string; readonly width: number; readonly dash?: string } } = {
  obstacle: { stroke: 'var(--ink)', width: 4 },
  edge: { stroke: 'var(--ink)', width: 1.6 },
  water: { stroke: 'var(--slate)', width: 9, dash: '1 0' },
  track: { stroke: 'var(--rule)', width: 14 },
};

/** What is drawn on the ground: obstacles solid, lips with hachures down one side, water and tracks as bands. */
export const Features = memo(function Features({ features, view }: { readonly features: Rig['features']; readonly view: View }) {
  return (
    <g pointerEvents="none" fill="none" strokeLinejoin="round">
      {(features ?? []).map(({ id, kind, label, points }) => {
        const corners = points.map(({ xM, yM }) => toScreen(view, { x: xM, y: yM }));
        const { stroke, width } = INKS[kind];
        const [first] = corners;
        return (
          <g key={id} data-feature={kind}>
            <path d={path(corners)} stroke={stroke} strokeWidth={width} strokeOpacity={kind === 'water' ? 0.45 : 1} />
            {kind === 'obstacle' && <path d={path(corners)} stroke="var(--map)" strokeWidth="1.4" strokeDasharray="7 7" />}
            {kind === 'edge' && <path d={hachures(corners)} stroke={stroke} strokeWidth="1.2" />}
            {first && (
              <text
                x={first.x + 8}
                y={first.y - 8}
                fontSize="14"
                fill="var(--ink)"
                stroke="var(--map)"
                strokeWidth="4"
                style={{ paintOrder: 'stroke' }}
              >
                {label}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
});

/** Short strokes down the right-hand side of a lip, pixels apart. */
function hachures(corners: readonly Point2[]): string {
  const strokes: string[] = [];
  for (const [index, to] of corners.slice(1).entries()) {
    const from = corners[index] as Point2;
    const size = Math.hypot(to.x - from.x, to.y - from.y);
    const [ux, uy] = [(to.x - from.x) / size, (to.y - from.y) / size];
    for (let at = 4; at < size; at += 9) {
      const [x, y] = [from.x + ux * at, from.y + uy * at];
      strokes.push(`M${x} ${y}l${-uy * 8} ${ux * 8}`);
    }
  }
  return strokes.join('');
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
