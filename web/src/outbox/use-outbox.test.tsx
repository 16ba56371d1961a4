import { act, cleanup, render } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Outbox } from './use-outbox.ts';

interface Row {
  readonly [key: string]: unknown;
}
const device = vi.hoisted(() => ({
  rounds: [] as Row[],
  drafts: [] as Row[],
  photos: [] as Row[],
  sent: [] as string[],
  /** Who confirmed it, as the server was told. */
  told: [] as unknown[],
  /** What the server answers, by the id that it is sent; nothing is a yes. */
  answers: {} as { [id: string]: unknown },
}));
vi.mock('./bench-store.ts', () => {
  const table = (name: 'rounds' | 'drafts' | 'photos', key: string) => ({
    toArray: async () => [...device[name]],
    where: (field: string) => ({
      equals: (value: unknown) => {
        const found = () => device[name].filter((row) => row[field] === value);
        return { toArray: async () => found(), sortBy: async (by: string) => found().sort((a, b) => Number(a[by]) - Number(b[by])) };
      },
    }),
    update: async (id: string, change: object) => {
      device[name] = device[name].map((row) => (row[key] === id ? { ...row, ...change } : row));
    },
  });
  return {
    benchStore: { rounds: table('rounds', 'roundId'), drafts: table('drafts', 'inspectionId'), photos: table('photos', 'photoId') },
  };
});
vi.mock('./use-live.ts', () => ({ useLive: () => device.drafts.length + device.photos.length }));
vi.mock('../api/wainrope-api.ts', () => {
  const post = (id: string, { confirmedBy }: Row) => {
    device.sent.push(id);
    device.told.push(confirmedBy);
    return Promise.resolve(device.answers[id] === undefined ? { data: {} } : { error: device.answers[id] });
  };
  return {
    problemOf: (error: unknown) => error,
    useAddInspectionMutation: () => [
      ({ inspectionCreate }: { inspectionCreate: Row }) => post(String(inspectionCreate.inspectionId), inspectionCreate),
    ],
    useAddPhotoMutation: () => [({ photoCreate }: { photoCreate: Row }) => post(String(photoCreate.photoId), photoCreate)],
  };
});

const draft = (inspectionId: string, changedAt: number, change: Row = {}): Row => ({
  inspectionId,
  roundId: 'mine',
  status: 'queued',
  changedAt,
  request: { inspectionId },
  ...change,
});
const statusOf = (id: string) => [...device.drafts, ...device.photos].find((row) => row.inspectionId === id || row.photoId === id)?.status;
const settle = (ms = 0) => act(async () => void (await vi.advanceTimersByTimeAsync(ms)));
const open = async (personId: string | undefined) => {
  render(<Outbox personId={personId} />);
  await settle();
};

beforeEach(() => {
  vi.useFakeTimers();
  Object.assign(device, {
    rounds: [
      { roundId: 'mine', personId: 'tomas' },
      { roundId: 'other', personId: 'isla' },
    ],
    drafts: [],
    photos: [],
    sent: [],
    told: [],
    answers: {},
  });
});
afterEach(() => {
  cleanup();
  vi.useRealTimers();
});

describe('what waits on the device', () => {
  it('goes out in the order in which it was confirmed, and is kept as sent', async () => {
    device.drafts = [draft('second', 2), draft('first', 1), draft('begun', 0, { status: 'draft', request: undefined })];
    await open('tomas');
    expect(device.sent).toEqual(['first', 'second']);
    expect([statusOf('first'), statusOf('second'), statusOf('begun')]).toEqual(['sent', 'sent', 'draft']);
  });
  it('of somebody else waits until they sign in', async () => {
    device.drafts = [draft('hers', 1, { roundId: 'other' })];
    await open('tomas');
    expect(device.sent).toEqual([]);
    expect(statusOf('hers')).toBe('queued');
    cleanup();
    await open(undefined);
    expect(device.sent).toEqual([]);
    cleanup();
    await open('isla');
    expect(device.sent).toEqual(['hers']);
  });
  it.each([0, 401, 429, 500, 503])(
    'stays queued, and those behind it, where the server answers %i; and goes out once that has passed',
    async (status) => {
      device.drafts = [draft('first', 1), draft('second', 2)];
      device.answers = { first: { status, detail: 'later' } };
      await open('tomas');
      expect(device.sent).toEqual(['first']);
      expect([statusOf('first'), statusOf('second')]).toEqual(['queued', 'queued']);
      device.answers = {};
      await settle(8000);
      expect(device.sent).toEqual(['first', 'first', 'second']);
      expect([statusOf('first'), statusOf('second')]).toEqual(['sent', 'sent']);
    },
  );
  it('is tried again at once when the signal comes back', async () => {
    device.drafts = [draft('first', 1)];
    device.answers = { first: { status: 0, detail: 'no signal' } };
    await open('tomas');
    device.answers = {};
    await act(async () => void window.dispatchEvent(new Event('online')));
    await settle();
    expect(statusOf('first')).toBe('sent');
  });
  it.each([400, 403, 404, 409, 422])('that the server refuses with %i says why, and does not hold up the next', async (status) => {
    device.drafts = [draft('first', 1), draft('second', 2)];
    device.answers = { first: { status, detail: 'Some fields cannot be accepted.', faults: [{ path: 'note', message: 'Say why.' }] } };
    await open('tomas');
    expect(statusOf('first')).toBe('refused');
    expect(device.drafts.find(({ inspectionId }) => inspectionId === 'first')?.problem).toBe('Some fields cannot be accepted. Say why.');
    expect(statusOf('second')).toBe('sent');
  });
  it('sends a picture only after its inspection, and keeps it where the server is away', async () => {
    device.drafts = [draft('first', 1)];
    device.photos = [
      { photoId: 'with-first', inspectionId: 'first', status: 'kept' },
      { photoId: 'of-nothing-sent', inspectionId: 'elsewhere', status: 'kept' },
    ];
    device.answers = { 'with-first': { status: 503, detail: 'later' } };
    await open('tomas');
    expect(device.sent).toEqual(['first', 'with-first']);
    expect(device.told).toEqual(['tomas', 'tomas']);
    expect(statusOf('with-first')).toBe('kept');
    device.answers = {};
    await settle(8000);
    expect([statusOf('with-first'), statusOf('of-nothing-sent')]).toEqual(['sent', 'kept']);
  });
});
