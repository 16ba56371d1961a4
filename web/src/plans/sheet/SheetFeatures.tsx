import type { Feature, Rig } from '@wainrope/core';
import { memo } from 'react';
import type { Point2 } from './layout/place-labels.ts';
import { toScreen, type View } from './layout/plan-sheet-layout.ts';

export const path = (points: readonly Point2[]) => points.map(({ x, y }, index) => `${index === 0 ? 'M' : 'L'}${x} ${y}`).join('');

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
