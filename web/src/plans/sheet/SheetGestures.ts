import { useGesture } from '@use-gesture/react';
import { memo, type RefObject } from 'react';
import type { View } from './layout/plan-sheet-layout.ts';
import { type SheetView, zoomed } from './use-sheet-view.ts';

interface SheetGesturesProps {
  readonly target: RefObject<HTMLElement | null>;
  /** What the sheet shows now; read when something is done, so that this is never drawn anew. */
  readonly newest: RefObject<Pick<SheetView, 'view' | 'zoom' | 'show' | 'within'>>;
}

interface Begun {
  readonly view: View;
  readonly scale: number;
}

/**
 * Zooming by wheel and by two fingers. It listens once: each time that a page begins to listen for the wheel, the browser paints
 * everything anew over which it listens.
 */
export const SheetGestures = memo(function SheetGestures({ target, newest }: SheetGesturesProps) {
  useGesture(
    {
      onWheel: ({ event, delta: [, dy] }) => {
        event.preventDefault();
        const { zoom, within } = newest.current;
        zoom(Math.exp(-dy / 400), within(event.clientX, event.clientY));
      },
      onPinch: ({ origin: [x, y], offset: [scale], memo: begun, first }) => {
        const { view, show, within } = newest.current;
        const start: Begun = first ? { view, scale } : begun;
        show(zoomed(start.view, scale / start.scale, within(x, y)));
        return start;
      },
    },
    { target, eventOptions: { passive: false }, pinch: { scaleBounds: { min: 0.01, max: 100 } } },
  );
  return null;
});
