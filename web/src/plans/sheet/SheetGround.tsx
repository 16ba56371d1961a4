import type { Report, Rig } from '@wainrope/core';
import { memo } from 'react';
import type { PlacedLabel, Segment } from './layout/place-labels.ts';
import { BAR_PX, contours, longestBar, type SheetSize, scaleBar, toScreen, tufts, type View } from './layout/plan-sheet-layout.ts';

export const Ground = memo(function Ground({
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

interface TuftsProps {
  readonly surface: Rig['situation']['surface'];
  readonly strands: Report['strands'];
  readonly view: View;
  readonly size: SheetSize;
  readonly labels: readonly PlacedLabel[];
}

/** Wet ground, as maps draw it. */
export const Tufts = memo(function Tufts({ surface, strands, view, size, labels }: TuftsProps) {
  if (surface !== 'bog' && surface !== 'shallow-mud') return null;
  const lines = strands.map(({ from, to }): Segment => ({ from: toScreen(view, from), to: toScreen(view, to) }));
  return tufts(size, lines)
    .filter((tuft) => clearOfLabels(tuft, labels) && clearOfKeys(tuft, size))
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

/** Scale bar and key to the arrows lie along the lower edge. */
const clearOfKeys = ({ x, y }: { readonly x: number; readonly y: number }, size: SheetSize): boolean =>
  y < size.height - 46 || x > longestBar(size) + 2 * KEY_PX;
/** Half the room that the key to the arrows takes, pixels. */
const KEY_PX = 110;

/** Tufts stay out from under words. */
function clearOfLabels({ x, y }: { readonly x: number; readonly y: number }, labels: readonly PlacedLabel[]): boolean {
  return (
    y > 44 &&
    labels.every((label) => x < label.x - 10 || x > label.x + label.width + 10 || y < label.y - 2 || y > label.y + label.height + 12)
  );
}

export function ScaleBar({ view, size, imperial }: { readonly view: View; readonly size: SheetSize; readonly imperial: boolean }) {
  const bar = scaleBar(view, longestBar(size), imperial);
  return (
    <g transform={`translate(${BAR_PX} ${size.height - 20})`}>
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

export function North({ x }: { readonly x: number }) {
  return (
    <g transform={`translate(${x} 18)`}>
      <path d="M0 0 7 28 0 22 -7 28Z" fill="var(--ink)" />
      <text y={45} fontSize="14" textAnchor="middle" fill="var(--ink)">
        N
      </text>
    </g>
  );
}
