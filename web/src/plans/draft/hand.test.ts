import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { handMoved, handRests, onHandRest } from './hand.ts';

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

it('rests a fifth of a second after its last move, and is told once each time', () => {
  const told = vi.fn();
  const leave = onHandRest(told);
  handMoved();
  vi.advanceTimersByTime(199);
  handMoved();
  vi.advanceTimersByTime(199);
  expect([handRests(), told.mock.calls.length]).toEqual([false, 0]);
  vi.advanceTimersByTime(1);
  expect([handRests(), told.mock.calls.length]).toEqual([true, 1]);
  vi.advanceTimersByTime(5000);
  expect(told).toHaveBeenCalledTimes(1);
  handMoved();
  expect(handRests()).toBe(false);
  leave();
  vi.advanceTimersByTime(200);
  expect([handRests(), told.mock.calls.length]).toEqual([true, 1]);
});
