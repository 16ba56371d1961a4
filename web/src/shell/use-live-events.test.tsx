import { act, cleanup, renderHook } from '@testing-library/react';
import { Provider } from 'react-redux';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { baseApi } from '../api/base-api.ts';
import { store } from '../store.ts';
import { useLiveEvents } from './use-live-events.ts';

/** A browser's stream, as far as the page sees it. */
class FakeStream {
  static readonly CLOSED = 2;
  static all: FakeStream[] = [];
  readyState = 1;
  onopen = () => undefined as unknown;
  onerror = () => undefined as unknown;
  onmessage = (_event: { readonly data: string }) => undefined as unknown;
  constructor(readonly address: string) {
    FakeStream.all.push(this);
  }
  close() {
    this.readyState = FakeStream.CLOSED;
  }
}
const asked = vi.fn();
const follow = (signedIn = true) =>
  renderHook(() => useLiveEvents(signedIn), { wrapper: ({ children }) => <Provider store={store}>{children}</Provider> });
/** What was asked again, once what came together has been gathered. */
const told = () => {
  act(() => vi.advanceTimersByTime(250));
  return asked.mock.calls.map(([tags]) => tags);
};

beforeEach(() => {
  vi.useFakeTimers();
  FakeStream.all = [];
  asked.mockClear();
  vi.stubGlobal('EventSource', FakeStream);
  vi.spyOn(baseApi.util, 'invalidateTags').mockImplementation((tags) => {
    asked(tags);
    return { type: 'told' } as never;
  });
});
afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
  vi.unstubAllGlobals();
  vi.useRealTimers();
});

describe('what others change', () => {
  it('is asked again by what it was about, and a beat asks nothing', () => {
    follow();
    const [stream] = FakeStream.all;
    act(() => stream?.onmessage({ data: '{"type":"changed","kind":"kit"}' }));
    act(() => stream?.onmessage({ data: '{"type":"beat"}' }));
    expect(told()).toEqual([['Kit', 'Team', 'Gear', 'Audit']]);
  });

  it('is asked once where much changes within a quarter of a second', () => {
    follow();
    const [stream] = FakeStream.all;
    for (const kind of ['kit', 'plan', 'plan']) act(() => stream?.onmessage({ data: JSON.stringify({ type: 'changed', kind }) }));
    act(() => vi.advanceTimersByTime(249));
    expect(asked).not.toHaveBeenCalled();
    expect(told()).toEqual([['Kit', 'Team', 'Gear', 'Audit', 'Plan']]);
    act(() => stream?.onmessage({ data: '{"type":"changed","kind":"plan"}' }));
    expect(told().at(-1)).toEqual(['Plan', 'Audit']);
  });

  it('is told from when the page began, and for two seconds before; later streams tell what is new', () => {
    vi.spyOn(performance, 'now').mockReturnValue(1234.2);
    follow();
    expect(FakeStream.all.map(({ address }) => address)).toEqual(['/api/v1/events?agoMs=3235']);
    const [stream] = FakeStream.all;
    stream?.close();
    act(() => stream?.onerror());
    act(() => vi.advanceTimersByTime(5000));
    expect(FakeStream.all.map(({ address }) => address)).toEqual(['/api/v1/events?agoMs=3235', '/api/v1/events']);
  });

  it('is told of a minute at most', () => {
    vi.spyOn(performance, 'now').mockReturnValue(58_001);
    follow();
    expect(FakeStream.all.at(-1)?.address).toBe('/api/v1/events?agoMs=60000');
  });

  it('is asked all of it where the server cannot tell what has changed since', () => {
    follow();
    act(() => FakeStream.all[0]?.onmessage({ data: '{"type":"missed"}' }));
    expect(told()[0]).toContain('Plan');
  });

  it('is asked all of it after a break, since what happened meanwhile was not heard', () => {
    follow();
    const [stream] = FakeStream.all;
    act(() => stream?.onopen());
    expect(told()).toEqual([]);
    act(() => stream?.onerror());
    act(() => stream?.onopen());
    expect(told()).toHaveLength(1);
    expect(told()[0]).toContain('Plan');
    act(() => stream?.onmessage({ data: '{"type":"reset"}' }));
    expect(told()).toHaveLength(2);
  });

  it('is followed anew where the server has refused the stream, and left to the browser where it only broke', () => {
    follow();
    const [stream] = FakeStream.all;
    if (!stream) throw new Error('no stream was opened');
    stream.readyState = 0;
    act(() => stream.onerror());
    act(() => vi.advanceTimersByTime(60_000));
    expect(FakeStream.all).toHaveLength(1);
    stream.readyState = FakeStream.CLOSED;
    act(() => stream.onerror());
    act(() => vi.advanceTimersByTime(4999));
    expect(FakeStream.all).toHaveLength(1);
    act(() => vi.advanceTimersByTime(1));
    expect(FakeStream.all).toHaveLength(2);
    act(() => FakeStream.all[1]?.onopen());
    expect(told()).toHaveLength(1);
  });

  it('is not followed by whoever is signed out, nor after the page is gone', () => {
    follow(false);
    expect(FakeStream.all).toEqual([]);
    const { unmount } = follow();
    const [stream] = FakeStream.all;
    if (stream) stream.readyState = FakeStream.CLOSED;
    act(() => stream?.onerror());
    unmount();
    act(() => vi.advanceTimersByTime(60_000));
    expect(FakeStream.all).toHaveLength(1);
  });
});
