import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { TaskNote } from './TaskNote.tsx';

const server = vi.hoisted(() => ({ far: undefined as unknown, asked: [] as unknown[], stopped: [] as unknown[], isStopping: false }));
vi.mock('../api/wainrope-api.ts', () => ({
  useGetTaskQuery: (query: object, options: { skip: boolean }) => {
    if (!options.skip) server.asked.push(query);
    return { currentData: options.skip ? undefined : server.far };
  },
  useStopTaskMutation: () => [(query: object) => server.stopped.push(query), { isLoading: server.isStopping, isSuccess: false }],
}));

const note = (isRunning: boolean) => <TaskNote task="t-1" isRunning={isRunning} what="Reading gear.csv" />;
const pass = (ms: number) => act(() => vi.advanceTimersByTime(ms));

beforeEach(() => {
  vi.useFakeTimers();
  Object.assign(server, { far: undefined, asked: [], stopped: [], isStopping: false });
});
afterEach(() => {
  cleanup();
  vi.useRealTimers();
});

describe('what takes long', () => {
  it('says nothing for a second, and asks nobody', () => {
    render(note(true));
    pass(999);
    expect(screen.queryByRole('status')).toBeNull();
    expect(server.asked).toEqual([]);
    pass(1);
    expect(screen.getByRole('status').textContent).toContain('Reading gear.csv …');
    expect(server.asked[0]).toEqual({ taskId: 't-1' });
  });

  it('shows the share that is done, and none while nobody knows how much there is', () => {
    server.far = { taskId: 't-1', what: 'x', done: 0, of: 0 };
    const { rerender } = render(note(true));
    pass(1000);
    expect(screen.getByRole('progressbar').hasAttribute('value')).toBe(false);
    server.far = { taskId: 't-1', what: 'x', done: 3, of: 8 };
    rerender(note(true));
    expect(screen.getByText('37 %')).toBeTruthy();
    expect(screen.getByRole('progressbar').getAttribute('value')).toBe('0.375');
  });

  it('is stopped by its button, once', () => {
    const { rerender } = render(note(true));
    pass(1000);
    fireEvent.click(screen.getByRole('button', { name: 'Stop' }));
    expect(server.stopped).toEqual([{ taskId: 't-1' }]);
    server.isStopping = true;
    rerender(note(true));
    expect(screen.getByText('Stopping …')).toBeTruthy();
    expect((screen.getByRole('button', { name: 'Stop' }) as HTMLButtonElement).disabled).toBe(true);
  });

  it('goes when it is done, and the next begins anew', () => {
    const { rerender } = render(note(true));
    pass(1000);
    rerender(note(false));
    expect(screen.queryByRole('status')).toBeNull();
    rerender(note(true));
    expect(screen.queryByRole('status')).toBeNull();
    pass(1000);
    expect(screen.getByRole('status')).toBeTruthy();
  });
});
