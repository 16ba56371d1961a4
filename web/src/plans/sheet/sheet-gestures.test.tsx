import { fireEvent, render } from '@testing-library/react';
import { useRef } from 'react';
import { expect, it, vi } from 'vitest';
import { SheetGestures } from './SheetGestures.ts';
import type { SheetView } from './use-sheet-view.ts';

const VIEW = { scale: 20, originX: 400, originY: 300 };

/** A sheet that begins at 100, 50 of the page; `zoom` is its newest. */
function Sheet({ zoom }: Pick<SheetView, 'zoom'>) {
  const holder = useRef<HTMLDivElement>(null);
  const newest = useRef<Pick<SheetView, 'view' | 'zoom' | 'show' | 'within'>>(undefined as never);
  newest.current = { view: VIEW, zoom, show: () => undefined, within: (x, y) => ({ x: x - 100, y: y - 50 }) };
  return (
    <div ref={holder} data-sheet>
      <SheetGestures target={holder} newest={newest} />
    </div>
  );
}

it('a wheel zooms about where it is turned, by what the sheet shows now', () => {
  const [first, second] = [vi.fn(), vi.fn()];
  const shown = render(<Sheet zoom={first} />);
  shown.rerender(<Sheet zoom={second} />);
  const sheet = shown.container.querySelector('[data-sheet]') as HTMLElement;
  // Turned away from the reader it comes nearer; the page itself does not scroll.
  const isLeft = fireEvent.wheel(sheet, { deltaY: -400, clientX: 110, clientY: 70 });
  expect(isLeft).toBe(false);
  expect(first).not.toHaveBeenCalled();
  expect(second).toHaveBeenCalledWith(Math.E, { x: 10, y: 20 });
});

it('listens once, however often the sheet is drawn anew', () => {
  const listens = vi.spyOn(HTMLElement.prototype, 'addEventListener');
  const shown = render(<Sheet zoom={vi.fn()} />);
  const sheet = shown.container.querySelector('[data-sheet]');
  const wheels = () => listens.mock.calls.filter(([type], call) => type === 'wheel' && listens.mock.contexts[call] === sheet).length;
  expect(wheels()).toBe(1);
  for (let round = 0; round < 3; round++) shown.rerender(<Sheet zoom={vi.fn()} />);
  expect(wheels()).toBe(1);
  listens.mockRestore();
});
