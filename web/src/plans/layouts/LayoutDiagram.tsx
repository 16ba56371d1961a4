import type { Rig } from '@wainrope/core';
import { useMemo } from 'react';
import type { Point2 } from '../sheet/layout/place-labels.ts';
import { type Schematic, schematicOf } from './layout-schematic.ts';

const SIZE = { width: 168, height: 92 };

const path = (points: readonly Point2[]) =>
  points.map(({ x, y }, index) => `${index === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`).join('');

/** A layout as a small drawing: what stands where, which way the line runs. */
export function LayoutDiagram({ rig }: { readonly rig: Rig }) {
  const { bodies, ropes, straps, pulleys } = useMemo(() => schematicOf(rig, SIZE), [rig]);
  return (
    <svg viewBox={`0 0 ${SIZE.width} ${SIZE.height}`} className="w-full bg-map" aria-hidden="true">
      {bodies.map((body) => (
        <Mark key={body.id} body={body} />
      ))}
      {straps.map((points) => (
        <path key={path(points)} d={path(points)} fill="none" stroke="var(--moss)" strokeWidth="2" strokeDasharray="6 2" />
      ))}
      {ropes.map((points) => (
        <g key={path(points)} fill="none" strokeLinejoin="round">
          <path d={path(points)} stroke="var(--ink)" strokeWidth="3.4" />
          <path d={path(points)} stroke="var(--rope)" strokeWidth="2" />
        </g>
      ))}
      {pulleys.map(({ x, y }) => (
        <circle key={`${x}-${y}`} cx={x} cy={y} r="3.6" fill="var(--sheet)" stroke="var(--ink)" strokeWidth="1.6" />
      ))}
    </svg>
  );
}

function Mark({ body: { kind, at, turnDeg, long, wide, isLoad } }: { readonly body: Schematic['bodies'][number] }) {
  if (kind === 'vehicle' || kind === 'load') {
    const [l, w] = [Math.max(12, long), Math.max(6, wide)];
    return (
      <g transform={`translate(${at.x} ${at.y}) rotate(${turnDeg})`}>
        <path
          d={`M${-l / 2} ${-w / 2}H${l * 0.36}L${l / 2} 0L${l * 0.36} ${w / 2}H${-l / 2}Z`}
          fill={isLoad ? 'var(--ink)' : 'var(--vehicle)'}
          stroke="var(--ink)"
        />
      </g>
    );
  }
  if (kind === 'tree')
    return <circle cx={at.x} cy={at.y} r="5" fill="var(--trunk)" stroke="var(--crown)" strokeWidth="5" strokeOpacity="0.8" />;
  if (kind === 'crew')
    return (
      <path
        d={`M${at.x - 5} ${at.y + 4}v-5a2.4 2.4 0 0 1 4.8 0v5M${at.x + 1} ${at.y + 4}v-5a2.4 2.4 0 0 1 4.8 0v5`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth="1.6"
      />
    );
  return <path d={`M${at.x} ${at.y - 6}v9M${at.x - 5} ${at.y + 1}q5 7 10 0`} fill="none" stroke="var(--ink)" strokeWidth="1.8" />;
}
