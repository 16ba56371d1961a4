import { act, renderHook } from '@testing-library/react';
import type { Case, MomentReport, Timeline } from '@wainrope/core';
import { beforeEach, describe, expect, it, vi } from 'vitest';

interface Question {
  readonly metre: number;
  readonly answer: (moment: MomentReport) => void;
  readonly fail: () => void;
}
let asked: Question[] = [];
vi.mock('../solver/solver.ts', () => ({
  named: () => 'case',
  solver: () => ({
    momentReport: (_: string, metre: number) =>
      new Promise<MomentReport>((answer, reject) => asked.push({ metre, answer, fail: () => reject(new Error('away')) })),
  }),
}));
const { usePlayedMoment } = await import('./use-played-moment.ts');

const SUBJECT = { name: 'a' } as Case;
/** Two metres in two minutes, a rest of a minute at the first; looked at each half metre. */
const TIMELINE: Timeline = {
  points: [
    { atM: 0, timeS: 0 },
    { atM: 1, timeS: 30 },
    { atM: 1, timeS: 90 },
    { atM: 2, timeS: 120 },
  ],
  stationsM: [0, 0.5, 1, 1.5, 2],
  hottestC: 120,
};
const momentAt = (travelM: number) => ({ travelM }) as MomentReport;

interface Place {
  readonly at: number;
  readonly atM: number;
  readonly subject?: Case;
}
let steps: [number, number | undefined][];
function played(by: 'metre' | 'time' = 'metre', at = 0) {
  const stepTo = (to: number, moment: MomentReport | undefined) => steps.push([to, moment?.travelM]);
  return renderHook((place: Place) => usePlayedMoment({ subject: SUBJECT, timeline: TIMELINE, by, stepTo, ...place }), {
    initialProps: { at, atM: by === 'metre' ? at : 0 } as Place,
  });
}
const answer = (index: number, moment: MomentReport) => act(async () => asked[index]?.answer(moment));

beforeEach(() => {
  asked = [];
  steps = [];
});

describe('the moment that is played to', () => {
  it('follows where it is put by hand, and stands until that of the next place is here', async () => {
    const { result, rerender } = played();
    expect(result.current.moment).toBeUndefined();
    await answer(0, momentAt(0));
    expect(result.current.moment?.travelM).toBe(0);
    rerender({ at: 1.4, atM: 1.4 });
    expect(result.current.moment?.travelM).toBe(0);
    await answer(1, momentAt(1.5));
    expect(asked.map(({ metre }) => metre)).toEqual([0, 1.4]);
    expect(result.current.moment?.travelM).toBe(1.5);
  });
  it('is asked for before a step is made, and not once more after it', async () => {
    const { result, rerender } = played();
    await answer(0, momentAt(0));
    act(() => void result.current.forward(0.6));
    expect(result.current.isDrawn()).toBe(false);
    expect(steps).toEqual([]);
    await answer(1, momentAt(0.5));
    expect(steps).toEqual([[0.6, 0.5]]);
    rerender({ at: 0.6, atM: 0.6 });
    expect(result.current.moment?.travelM).toBe(0.5);
    expect(result.current.isDrawn()).toBe(true);
    // From there, at most to the end.
    act(() => void result.current.forward(5));
    expect(asked.map(({ metre }) => metre)).toEqual([0, 0.6, 2]);
  });
  it('of a step that is overtaken by hand does not come any more', async () => {
    const { result } = played();
    await answer(0, momentAt(0));
    act(() => void result.current.forward(0.6));
    act(() => result.current.stay());
    expect(result.current.isDrawn()).toBe(true);
    await answer(1, momentAt(0.5));
    expect(steps).toEqual([]);
    expect(result.current.moment?.travelM).toBe(0);
  });
  it('of a step comes no more once the bar is closed', async () => {
    const { result, unmount } = played();
    await answer(0, momentAt(0));
    act(() => void result.current.forward(0.6));
    unmount();
    await answer(1, momentAt(0.5));
    expect(steps).toEqual([]);
  });
  it('of a step comes no more once the plan is another', async () => {
    const { result, rerender } = played();
    await answer(0, momentAt(0));
    act(() => void result.current.forward(0.6));
    rerender({ at: 0, atM: 0, subject: { name: 'b' } as Case });
    expect(result.current.isDrawn()).toBe(true);
    await answer(1, momentAt(0.5));
    expect(steps).toEqual([]);
  });
  it('that cannot be had is told as none, and the step is made all the same', async () => {
    const { result } = played();
    await answer(0, momentAt(0));
    act(() => void result.current.forward(0.6));
    await act(async () => asked[1]?.fail());
    expect(steps).toEqual([[0.6, undefined]]);
    expect(result.current.isDrawn()).toBe(true);
  });
});

describe('whether a step shows anything new', () => {
  it('is so where another of the metres that were looked at is the nearest', async () => {
    const { result } = played();
    await answer(0, momentAt(0));
    const { isSeen } = result.current;
    // A thumb is seen to move by a two-hundredth of its line: 0.01 m.
    expect([0.005, 0.0099, 0.01].map(isSeen)).toEqual([false, false, true]);
  });
  it('is so just where the next is as near, however little the thumb moves', async () => {
    const { result } = played('metre', 0.245);
    await answer(0, momentAt(0));
    expect([0.0049, 0.005].map(result.current.isSeen)).toEqual([false, true]);
  });
  it('is so at the end', async () => {
    const { result } = played('metre', 1.999);
    await answer(0, momentAt(2));
    expect([0.0009, 0.001].map(result.current.isSeen)).toEqual([false, true]);
  });
  it('is so while the motor rests as soon as the thumb moves', async () => {
    const { result, rerender } = played('time', 0);
    rerender({ at: 40, atM: 1 });
    await answer(0, momentAt(0));
    await answer(1, momentAt(1));
    // A two-hundredth of two minutes.
    expect([0.59, 0.6].map(result.current.isSeen)).toEqual([false, true]);
  });
});
