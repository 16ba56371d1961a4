import { act, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { useCalm } from './use-calm.ts';

beforeEach(() => void vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout', 'performance', 'requestAnimationFrame'] }));
afterEach(() => void vi.useRealTimers());

const wait = (ms: number) => act(async () => vi.advanceTimersByTime(ms));

it('follows at once, then four times a second, and shows what comes last', async () => {
  const { result, rerender } = renderHook(({ value }) => useCalm(value, { isMoving: true }), { initialProps: { value: 0 } });
  expect(result.current).toBe(0);
  await wait(300);
  rerender({ value: 1 });
  await wait(0);
  expect(result.current).toBe(1);
  rerender({ value: 2 });
  await wait(249);
  expect(result.current).toBe(1);
  rerender({ value: 3 });
  await wait(1);
  expect(result.current).toBe(3);
  await wait(1000);
  expect(result.current).toBe(3);
});

it('comes so much later as is asked', async () => {
  const { result, rerender } = renderHook(({ value }) => useCalm(value, { afterMs: 70, isMoving: false }), { initialProps: { value: 0 } });
  await wait(1000);
  rerender({ value: 1 });
  await wait(69);
  expect(result.current).toBe(0);
  await wait(1);
  expect(result.current).toBe(1);
});

it('leaves a device to itself that took long to draw it, while something moves', async () => {
  const { result, rerender } = renderHook(({ value, isMoving = true }) => useCalm(value, { isMoving }), {
    initialProps: { value: 0 } as { value: number; isMoving?: boolean },
  });
  await wait(1000);
  let frames: ((at: number) => void)[] = [];
  vi.stubGlobal('requestAnimationFrame', (drawn: (at: number) => void) => frames.push(drawn));
  rerender({ value: 1 });
  await wait(0);
  rerender({ value: 2 });
  // Its two frames took 49 ms in place of 34: a hundred times what that is too long, 1.5 s, it rests.
  await wait(49);
  for (let frame = 0; frame < 2; frame++) {
    const due = frames;
    frames = [];
    for (const drawn of due) drawn(performance.now());
  }
  vi.unstubAllGlobals();
  await wait(1499);
  expect(result.current).toBe(1);
  await wait(1);
  expect(result.current).toBe(2);
  // Once it stands still, nothing is waited for but the calm.
  rerender({ value: 3 });
  await wait(100);
  rerender({ value: 3, isMoving: false });
  await wait(149);
  expect(result.current).toBe(2);
  await wait(1);
  expect(result.current).toBe(3);
});
