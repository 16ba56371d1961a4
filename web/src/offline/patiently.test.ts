import { afterEach, describe, expect, it, vi } from 'vitest';
import { patiently } from './patiently.ts';

afterEach(() => void vi.useRealTimers());

describe('what no page waits for', () => {
  it('is tried again until it has loaded, and not once more', async () => {
    vi.useFakeTimers();
    const load = vi.fn<() => Promise<string>>().mockRejectedValueOnce(new Error('no signal')).mockRejectedValueOnce(new Error('no signal'));
    load.mockResolvedValue('there');
    const loaded = patiently(load);
    await vi.advanceTimersByTimeAsync(7999);
    expect(load).toHaveBeenCalledTimes(1);
    await vi.advanceTimersByTimeAsync(8001);
    await expect(loaded).resolves.toBe('there');
    await vi.advanceTimersByTimeAsync(60_000);
    expect(load).toHaveBeenCalledTimes(3);
  });
});
