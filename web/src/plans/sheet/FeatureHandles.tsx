import { useDrag } from '@use-gesture/react';
import type { Feature, Rig } from '@wainrope/core';
import { useAppDispatch, useAppSelector } from '../../store.ts';
import { dragEnded, edited } from '../draft/planner-slice.ts';
import { toScreen, type View } from './layout/plan-sheet-layout.ts';

interface FeatureHandlesProps {
  readonly features: Rig['features'];
  readonly view: View;
}

/** Corners of what is drawn on the ground, to be dragged. */
export function FeatureHandles({ features, view }: FeatureHandlesProps) {
  const tool = useAppSelector((state) => state.planner.tool);
  const locked = useAppSelector((state) => state.planner.locked);
  if (locked || tool.kind !== 'move') return null;
  return (
    <g>
      {(features ?? []).flatMap((feature) =>
        feature.points.map((_, index) => <Corner key={`${feature.id}-${index}`} feature={feature} index={index} view={view} />),
      )}
    </g>
  );
}

interface CornerProps {
  readonly feature: Feature;
  readonly index: number;
  readonly view: View;
}

/** Where a drag began, and what was drawn there. */
interface Begun {
  readonly xM: number;
  readonly yM: number;
}

function Corner({ feature, index, view }: CornerProps) {
  const dispatch = useAppDispatch();
  const point = feature.points[index] ?? { xM: 0, yM: 0 };
  const bind = useDrag(
    ({ event, movement: [mx, my], memo, last, tap, shiftKey }): Begun | undefined => {
      event.stopPropagation();
      if (tap) return undefined;
      const from: Begun = memo ?? point;
      const step = shiftKey ? 0.5 : 0.01;
      const round = (metres: number) => Math.round(metres / step) * step;
      const moved = { xM: round(from.xM + mx / view.scale), yM: round(from.yM - my / view.scale) };
      const entry = { ...feature, points: feature.points.map((other, at) => (at === index ? moved : other)) };
      dispatch(edited({ edits: [{ kind: 'put', list: 'features', entry }], merge: `corner-${feature.id}-${index}` }));
      if (last) dispatch(dragEnded());
      return from;
    },
    { filterTaps: true },
  );
  const { x, y } = toScreen(view, { x: point.xM, y: point.yM });
  return (
    <g transform={`translate(${x} ${y})`} className="cursor-move touch-none" data-corner={`${feature.id} ${index}`} {...bind()}>
      <circle r="14" fill="transparent" />
      <rect x="-4" y="-4" width="8" height="8" fill="var(--sheet)" stroke="var(--ink)" strokeWidth="1.4" />
    </g>
  );
}
