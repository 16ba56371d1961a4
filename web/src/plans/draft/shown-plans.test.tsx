import { act, renderHook } from '@testing-library/react';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import plantationFile from '../../../../demo/plans/plantation-ride-self-recovery.json' with { type: 'json' };
import { store } from '../../store.ts';
import { caseOfFile } from '../../testing/case-of-file.ts';
import type { Judgement } from '../solver/use-judgement.ts';
import { holdAhead } from './held-ahead.ts';
import { bodyHeld, dragEnded, planOpened } from './planner-slice.ts';
import { HeldFollows, useShownPlans, useSlowedWhileDragging } from './shown-plans.ts';

const subject = caseOfFile(plantationFile);
const { rig } = subject;
const [vehicle] = rig.bodies;
if (vehicle?.kind !== 'vehicle') throw new Error('no vehicle');
const inStore = ({ children }: { readonly children: ReactNode }) => <Provider store={store}>{children}</Provider>;
const wait = (ms: number) => act(async () => void (await vi.advanceTimersByTimeAsync(ms)));
const move = (xM: number) => act(async () => holdAhead({ id: vehicle.id, xM, yM: vehicle.yM }));
/** So long in which the hand never rests, ms. */
async function moving(ms: number, xM: number) {
  for (let left = ms; left > 0; left -= 100) {
    await move(xM);
    await wait(Math.min(100, left));
  }
}
const hold = () => act(async () => void store.dispatch(bodyHeld(vehicle)));

beforeEach(() => {
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout', 'performance', 'requestAnimationFrame'] });
  store.dispatch(planOpened({ planId: 'p', version: 1, name: 'Plantation', rig, dirty: false }));
});
afterEach(() => {
  holdAhead(undefined);
  store.dispatch(dragEnded());
  vi.useRealTimers();
});

describe('what is held', () => {
  const standsAt = () => store.getState().planner.rig?.bodies.find(({ id }) => id === vehicle.id)?.xM;
  /** Judging takes so long, ms. */
  async function judged(follows: { rerender: (props: { ready: boolean }) => void }, ms: number) {
    follows.rerender({ ready: false });
    await wait(ms);
    follows.rerender({ ready: true });
  }
  const follow = () =>
    renderHook(({ ready }) => HeldFollows({ ready }), { wrapper: inStore, initialProps: { ready: true } }) as unknown as {
      rerender: (props: { ready: boolean }) => void;
    };

  it('is taken in at once, then after six times as long as that took while the hand moves', async () => {
    const follows = follow();
    await hold();
    await move(1);
    await wait(0);
    expect(standsAt()).toBe(1);
    await judged(follows, 100);
    for (const [at, xM] of [0, 100, 200, 300, 400, 500].entries()) {
      await move(2 + at);
      await wait(99);
      expect(standsAt(), `${xM} ms`).toBe(1);
      await wait(1);
    }
    expect(standsAt()).toBe(7);
  });
  it('is taken in about once a second by a slow device', async () => {
    const follows = follow();
    await hold();
    await move(1);
    await wait(0);
    follows.rerender({ ready: false });
    await moving(400, 1);
    follows.rerender({ ready: true });
    await moving(899, 2);
    expect(standsAt()).toBe(1);
    await wait(1);
    expect(standsAt()).toBe(2);
  });
  it('is taken in as soon as the hand rests, and not again until it moves', async () => {
    const follows = follow();
    await hold();
    await move(1);
    await wait(0);
    await judged(follows, 400);
    await move(2);
    await wait(199);
    expect(standsAt()).toBe(1);
    await wait(1);
    expect(standsAt()).toBe(2);
    await judged(follows, 100);
    const taken = store.getState().planner.rig;
    await wait(3000);
    expect(store.getState().planner.rig).toBe(taken);
    await move(3);
    await wait(250);
    expect(standsAt()).toBe(3);
  });
});

describe('what stands round the sheet while something is dragged', () => {
  const shown = () =>
    renderHook(({ judged }) => useSlowedWhileDragging(`now ${judged}`, judged), { wrapper: inStore, initialProps: { judged: 'a' } });

  it('is what was judged last, a quarter of a second later where that is soon drawn', async () => {
    const { result, rerender } = shown();
    expect(result.current).toBe('now a');
    await hold();
    expect(result.current).toBe('a');
    rerender({ judged: 'b' });
    await moving(249, 1);
    expect(result.current).toBe('a');
    await wait(1);
    expect(result.current).toBe('b');
    await act(async () => void store.dispatch(dragEnded()));
    expect(result.current).toBe('now b');
  });
  it('comes as soon as the hand rests', async () => {
    const { result, rerender } = shown();
    await hold();
    await move(1);
    rerender({ judged: 'b' });
    await wait(199);
    expect(result.current).toBe('a');
    await wait(1);
    expect(result.current).toBe('b');
  });
  it('says that it is of a moment ago while more has been judged since', async () => {
    const judgements = [1, 2].map(() => ({ report: {}, judged: { ...subject, kind: 'rig' }, pending: false }) as unknown as Judgement);
    const { result, rerender } = renderHook(
      ({ judgement }) => useShownPlans({ rig, subject, facts: new Map() }, judgement as Judgement).roundSheet,
      { wrapper: inStore, initialProps: { judgement: judgements[0] } },
    );
    await hold();
    await move(1);
    expect(result.current?.pending).toBe(false);
    rerender({ judgement: judgements[1] });
    expect(result.current?.report).toBe(judgements[0]?.report);
    expect(result.current?.pending).toBe(true);
    await wait(250);
    expect(result.current?.report).toBe(judgements[1]?.report);
    expect(result.current?.pending).toBe(false);
  });
});
