import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { followHeld, heldAhead, holdAhead } from './held-ahead.ts';

let due: FrameRequestCallback[];
let shown: (number | undefined)[];
let leave: () => void;
beforeEach(() => {
  due = [];
  shown = [];
  vi.stubGlobal('requestAnimationFrame', (callback: FrameRequestCallback) => due.push(callback));
  leave = followHeld(() => shown.push(heldAhead('alder')?.xM));
});
afterEach(() => {
  holdAhead(undefined);
  leave();
  vi.unstubAllGlobals();
});

/** A frame in which the pointer moved, or did not, at `now`, ms. */
function frame(now: number, xM?: number): void {
  if (xM !== undefined) holdAhead({ id: 'alder', xM, yM: 0 });
  const callbacks = due;
  due = [];
  for (const callback of callbacks) callback(now);
}

it('shows each move at once where frames are in time', () => {
  for (let at = 0; at < 20; at++) frame(16 * at, at);
  expect(shown).toEqual(Array.from({ length: 20 }, (_, at) => at));
});

it('shows a move in every other frame once too many are late, and always the last', () => {
  // The second to fourth frame are late.
  for (const [at, now] of [0, 16, 48, 80, 112].entries()) frame(now, at);
  expect(shown).toEqual([0, 1, 2, 3, 4]);
  for (const at of [5, 6, 7, 8, 9]) frame(112 + 16 * (at - 4), at);
  expect(shown.slice(5)).toEqual([6, 8]);
  // The last is shown though the pointer rests.
  frame(208);
  expect(shown.slice(5)).toEqual([6, 8, 9]);
  frame(224);
  expect(shown.slice(5)).toEqual([6, 8, 9]);
  expect(heldAhead('alder')?.xM).toBe(9);
});

it('lets go at once, and goes on as it went until frames have been in time for a good while', () => {
  for (const [at, now] of [0, 16, 48, 80, 112, 128].entries()) frame(now, at);
  holdAhead(undefined);
  expect(shown.at(-1)).toBeUndefined();
  frame(144);
  expect(due).toHaveLength(0);
  shown = [];
  for (let at = 0; at < 6; at++) frame(200 + 16 * at, at);
  expect(shown).toEqual([0, 2, 4]);
  for (let at = 6; at < 301; at++) frame(200 + 16 * at, at);
  expect(shown.at(-1)).toBe(300);
  shown = [];
  for (let at = 301; at < 305; at++) frame(200 + 16 * at, at);
  expect(shown).toEqual([301, 302, 303, 304]);
});
