import { describe, expect, it } from 'vitest';
import { oldestShown } from './SignalNote.tsx';

describe('how old a page is', () => {
  it('is as old as the oldest answer on it, the device’s own by when it was read', () => {
    const at = (minute: number) => new Date(Date.UTC(2026, 0, 15, 10, minute));
    const asked = {
      kits: { fulfilledTimeStamp: at(5).getTime() },
      plan: { fulfilledTimeStamp: at(9).getTime() },
      pending: {},
      gone: undefined,
    };
    expect(oldestShown(asked, {})).toBe(at(5).toISOString());
    expect(oldestShown(asked, { plan: at(1).toISOString() })).toBe(at(1).toISOString());
    expect(oldestShown(asked, { elsewhere: at(0).toISOString() })).toBe(at(5).toISOString());
    expect(oldestShown({}, {})).toBeUndefined();
  });
});
