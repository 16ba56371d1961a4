import { cleanup, renderHook } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { atRest, useInMotion } from './in-motion.ts';

afterEach(cleanup);

/** Whether the wait is over, once everything that was due has been done. */
async function watched(wait: Promise<void>): Promise<() => Promise<boolean>> {
  let isOver = false;
  void wait.then(() => {
    isOver = true;
  });
  return async () => {
    await new Promise((done) => setTimeout(done));
    return isOver;
  };
}

describe('reading for later', () => {
  it('goes on at once where nothing moves', async () => {
    const { rerender } = renderHook(() => useInMotion(false));
    rerender();
    expect(await (await watched(atRest()))()).toBe(true);
  });
  it('waits until all that moves stands still', async () => {
    const dragged = renderHook(({ is }) => useInMotion(is), { initialProps: { is: true } });
    const played = renderHook(({ is }) => useInMotion(is), { initialProps: { is: true } });
    const [first, second] = [await watched(atRest()), await watched(atRest())];
    expect(await first()).toBe(false);
    dragged.rerender({ is: false });
    expect(await first()).toBe(false);
    played.unmount();
    expect([await first(), await second()]).toEqual([true, true]);
  });
  it('waits on where something else has begun to move meanwhile', async () => {
    const dragged = renderHook(({ is }) => useInMotion(is), { initialProps: { is: true } });
    const isOver = await watched(atRest());
    dragged.rerender({ is: false });
    dragged.rerender({ is: true });
    expect(await isOver()).toBe(false);
    dragged.unmount();
    expect(await isOver()).toBe(true);
  });
});
