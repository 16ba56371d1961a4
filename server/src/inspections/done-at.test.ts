import { describe, expect, it } from 'vitest';
import { doneAt } from './done-at.ts';

const at = (time: string) => new Date(`2026-01-15T${time}Z`);
const stamp = (clock: string, sentAt: string) => ({
  deviceId: 'd',
  sequence: 2,
  clock: at(clock).toISOString(),
  sentAt: at(sentAt).toISOString(),
});

describe('when an entry of a device was made', () => {
  const now = at('18:00:00');
  it('is now where it was confirmed as it was sent', () => {
    expect(doneAt({ stamp: undefined, now, before: at('20:00:00') })).toEqual(now);
  });
  it.each([
    ['right', '10:00:00', '18:00:00'],
    ['seven minutes ahead', '10:07:00', '18:07:00'],
    ['seven minutes behind', '09:53:00', '17:53:00'],
  ])('is told by how long ago it was on a clock that is %s', (_how, clock, sentAt) => {
    expect(doneAt({ stamp: stamp(clock, sentAt), now, before: undefined })).toEqual(at('10:00:00'));
  });
  it('is never later than now, though the clock was set back between the two', () => {
    expect(doneAt({ stamp: stamp('18:30:00', '18:00:00'), now, before: undefined })).toEqual(now);
  });
  it('comes after what the same device confirmed before it, though its clock was set on between the two', () => {
    expect(doneAt({ stamp: stamp('10:00:00', '18:00:00'), now, before: at('11:00:00') })).toEqual(at('11:00:00.001'));
    expect(doneAt({ stamp: stamp('10:00:00', '18:00:00'), now, before: at('09:59:59') })).toEqual(at('10:00:00'));
  });
});
