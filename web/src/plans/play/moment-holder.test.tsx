import { act, cleanup, render } from '@testing-library/react';
import type { MomentReport } from '@wainrope/core';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { MomentHolder, useCalmMoment, useShowMoment } from './MomentHolder.tsx';

let acts: ReturnType<typeof useShowMoment>;
let shown: ReturnType<typeof useCalmMoment>[];

function Probe() {
  acts = useShowMoment();
  shown.push(useCalmMoment());
  return null;
}

beforeEach(() => {
  vi.useFakeTimers();
  shown = [];
  render(
    <MomentHolder>
      <Probe />
    </MomentHolder>,
  );
});
afterEach(() => {
  cleanup();
  vi.useRealTimers();
});

const MOMENT = { travelM: 1 } as MomentReport;
const show = (...said: Parameters<typeof acts.show>) => {
  act(() => acts.show(...said));
  act(() => void vi.advanceTimersByTime(3000));
};

it('tells what shows it of a moment once, however often it is told of it', () => {
  show(MOMENT, { at: 1, by: 'metre' }, true);
  expect(shown.at(-1)).toMatchObject({ moment: MOMENT, place: { at: 1, by: 'metre' }, isRunning: true });
  const told = shown.at(-1);
  show(MOMENT, { at: 1, by: 'metre' }, true);
  expect(shown.at(-1)).toBe(told);
});

it('tells of another moment, of another place, of what it is played by, and of whether it runs', () => {
  show(MOMENT, { at: 1, by: 'metre' }, true);
  const next = { ...MOMENT };
  show(next, { at: 1, by: 'metre' }, true);
  expect(shown.at(-1)?.moment).toBe(next);
  show(next, { at: 2, by: 'metre' }, true);
  expect(shown.at(-1)?.place?.at).toBe(2);
  show(next, { at: 2, by: 'time' }, true);
  expect(shown.at(-1)?.place?.by).toBe('time');
  show(next, { at: 2, by: 'time' }, false);
  expect(shown.at(-1)?.isRunning).toBe(false);
});
