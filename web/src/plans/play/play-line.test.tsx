import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { PlayLine } from './PlayLine.tsx';

beforeEach(() => void vi.useFakeTimers());
afterEach(() => {
  cleanup();
  vi.useRealTimers();
});

const go = vi.fn();
const line = (at: number, isRunning: boolean, whole = 4) => (
  <PlayLine label="How far" at={at} whole={whole} step={0.01} words={`${at} m`} isRunning={isRunning} go={go} marks={null} />
);
const slider = () => screen.getByRole<HTMLInputElement>('slider', { name: 'How far' });
const thumb = () => [...document.querySelectorAll('line')].map((dot) => [dot.getAttribute('x1'), dot.getAttribute('x2')]);

it('moves thumb and slider at once where it is moved by hand', () => {
  const { rerender } = render(line(1, false));
  expect([slider().value, slider().getAttribute('aria-valuetext')]).toEqual(['1', '1 m']);
  expect(thumb()).toEqual([
    ['25%', '25%'],
    ['25%', '25%'],
  ]);
  rerender(line(3, false));
  expect([slider().value, slider().getAttribute('aria-valuetext'), thumb()[0]?.[0]]).toEqual(['3', '3 m', '75%']);
  fireEvent.change(slider(), { target: { value: '2' } });
  expect(go).toHaveBeenLastCalledWith(2);
});

it('moves the thumb at once while it is played, the slider more calmly, and at once where it is paused', () => {
  const { rerender } = render(line(1, true));
  act(() => void vi.advanceTimersByTime(50));
  for (const at of [1.1, 1.2]) {
    rerender(line(at, true));
    act(() => void vi.advanceTimersByTime(16));
  }
  expect([slider().value, thumb()[0]?.[0]]).toEqual(['1', '30%']);
  act(() => void vi.advanceTimersByTime(5000));
  expect([slider().value, slider().getAttribute('aria-valuetext')]).toEqual(['1.2', '1.2 m']);
  rerender(line(1.3, true));
  rerender(line(1.3, false));
  expect(slider().value).toBe('1.3');
});

it('draws nothing anew while it rests', () => {
  render(line(1, false));
  act(() => void vi.advanceTimersByTime(2000));
  expect(vi.getTimerCount()).toBe(0);
});

it('has its thumb at the end where it is beyond it, and at the beginning of what has no length', () => {
  const { rerender } = render(line(9, false));
  expect(thumb()[0]).toEqual(['100%', '100%']);
  rerender(line(9, false, 0));
  expect(thumb()[0]).toEqual(['0%', '0%']);
});
