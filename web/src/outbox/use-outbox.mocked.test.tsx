import 'fake-indexeddb/auto';
import { act, cleanup, render } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { type BenchDraft, type BenchPhoto, type BenchRound, benchStore } from './bench-store.ts';
import { letGo, sendAgain, takeBack, whatWaits } from './unsent.ts';
import { Outbox } from './use-outbox.ts';

interface Row {
  readonly [key: string]: unknown;
}
const server = vi.hoisted(() => ({
  sent: [] as string[],
  /** The bodies, as the server was told them. */
  told: [] as Row[],
  /** What the server answers, by the id that it is sent; nothing is a yes. */
  answers: {} as { [id: string]: unknown },
  /** What happens on the device while the server thinks. */
  meanwhile: async (): Promise<void> => undefined,
}));
vi.mock('../api/wainrope-api.ts', () => {
  const post = async (id: string, body: Row) => {
    server.sent.push(id);
    server.told.push(body);
    await server.meanwhile();
    return server.answers[id] === undefined ? { data: {} } : { error: server.answers[id] };
  };
  return {
    problemOf: (error: unknown) => error,
    useAddInspectionMutation: () => [
      ({ inspectionCreate }: { inspectionCreate: Row }) => post(String(inspectionCreate.inspectionId), inspectionCreate),
    ],
    useKeepRoundMutation: () => [async () => ({ data: {} })],
    useAddPhotoMutation: () => [({ photoCreate }: { photoCreate: Row }) => post(String(photoCreate.photoId), photoCreate)],
  };
});

const draft = (inspectionId: string, changedAt: number, change: Row = {}) =>
  ({
    inspectionId,
    roundId: 'mine',
    status: 'queued',
    changedAt,
    request: { inspectionId },
    stamp: { deviceId: 'this', sequence: changedAt, clock: '2026-01-15T10:00:00.000Z' },
    ...change,
  }) as unknown as BenchDraft;
const round = (roundId: string, personId: string): BenchRound => ({
  roundId,
  personId,
  title: 'Heavy bag',
  kind: 'calendar',
  gearIds: [],
  begunAt: '2026-01-15T09:00:00.000Z',
});
const photo = (photoId: string, inspectionId: string): BenchPhoto => ({
  photoId,
  inspectionId,
  contentBase64: 'large',
  thumbnailBase64: 'small',
  status: 'kept',
});
const keep = async (drafts: readonly BenchDraft[], photos: readonly BenchPhoto[] = []) => {
  await benchStore.drafts.bulkAdd([...drafts]);
  await benchStore.photos.bulkAdd([...photos]);
};
const statusOf = async (id: string) => ((await benchStore.drafts.get(id)) ?? (await benchStore.photos.get(id)))?.status;
const statuses = async (...ids: string[]) => Promise.all(ids.map(statusOf));
/** Lets the device's store answer and what follows from it happen. */
const quiet = () => act(async () => void (await new Promise((done) => setTimeout(done, 60))));
const again = async () => {
  await act(async () => void vi.advanceTimersByTime(8000));
  await quiet();
};
const open = async (personId: string | undefined) => {
  render(<Outbox personId={personId} />);
  await quiet();
};
/** Waits until something is so; a hang says what it was instead. */
async function until<T>(now: () => T | Promise<T>, wanted: T): Promise<void> {
  for (let tries = 0; tries < 200; tries++) {
    if (JSON.stringify(await now()) === JSON.stringify(wanted)) return;
    await quiet();
  }
  expect(await now()).toEqual(wanted);
}
const becomes = (ids: readonly string[], wanted: readonly string[]) => until<readonly unknown[]>(() => statuses(...ids), wanted);
/** Does something until it comes to this: while the outbox is still sending it heeds neither clock nor signal. */
const becomesBy = (nudge: () => Promise<void>, ids: readonly string[], wanted: readonly string[]) =>
  until<readonly unknown[]>(async () => {
    await nudge();
    return statuses(...ids);
  }, wanted);

beforeEach(async () => {
  vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval'] });
  await Promise.all([benchStore.rounds.clear(), benchStore.drafts.clear(), benchStore.photos.clear()]);
  await benchStore.rounds.bulkAdd([round('mine', 'tomas'), round('other', 'isla')]);
  Object.assign(server, { sent: [], told: [], answers: {}, meanwhile: async () => undefined });
});
afterEach(() => {
  cleanup();
  vi.useRealTimers();
});

describe('what waits on the device', () => {
  it('goes out in the order in which it was confirmed, with device, count and clock, and is kept as sent', async () => {
    await keep([draft('second', 2), draft('first', 1), draft('begun', 3, { status: 'draft', request: undefined })]);
    await open('tomas');
    await becomes(['first', 'second', 'begun'], ['sent', 'sent', 'draft']);
    expect(server.sent).toEqual(['first', 'second']);
    const { device, confirmedBy } = server.told[0] as { device: { sentAt: string }; confirmedBy: string };
    expect(confirmedBy).toBe('tomas');
    expect(device).toMatchObject({ deviceId: 'this', sequence: 1, clock: '2026-01-15T10:00:00.000Z' });
    expect(Math.abs(Date.now() - Date.parse(device.sentAt))).toBeLessThan(60_000);
  });
  it('of somebody else waits until they sign in', async () => {
    await keep([draft('hers', 1, { roundId: 'other' })]);
    for (const person of ['tomas', undefined]) {
      await open(person);
      expect(server.sent).toEqual([]);
      expect(await statusOf('hers')).toBe('queued');
      cleanup();
    }
    await open('isla');
    await becomes(['hers'], ['sent']);
  });
  it.each([0, 401, 429, 500, 503])(
    'stays queued, and those behind it, where the server answers %i; and goes out once that has passed',
    async (status) => {
      await keep([draft('first', 1), draft('second', 2)]);
      server.answers = { first: { status, detail: 'later' } };
      await open('tomas');
      await until(() => server.sent, ['first']);
      expect(await statuses('first', 'second')).toEqual(['queued', 'queued']);
      server.answers = {};
      await becomesBy(again, ['first', 'second'], ['sent', 'sent']);
      expect(server.sent).toEqual(['first', 'first', 'second']);
    },
  );
  it('is tried again at once when the signal comes back', async () => {
    await keep([draft('first', 1)]);
    server.answers = { first: { status: 0, detail: 'no signal' } };
    await open('tomas');
    server.answers = {};
    await becomesBy(() => act(async () => void window.dispatchEvent(new Event('online'))), ['first'], ['sent']);
  });
  it.each([400, 403, 404, 409, 422])('that the server refuses with %i says why, and does not hold up the next', async (status) => {
    await keep([draft('first', 1), draft('second', 2)]);
    server.answers = { first: { status, detail: 'Some fields cannot be accepted.', faults: [{ path: 'note', message: 'Say why.' }] } };
    await open('tomas');
    await becomes(['first', 'second'], ['refused', 'sent']);
    expect((await benchStore.drafts.get('first'))?.problem).toBe('Some fields cannot be accepted. Say why.');
  });
  it('sends a picture only after its inspection, keeps it where the server is away, and lets the large one go once the server has it', async () => {
    await keep([draft('first', 1)], [photo('with-first', 'first'), photo('of-nothing-sent', 'elsewhere')]);
    server.answers = { 'with-first': { status: 503, detail: 'later' } };
    await open('tomas');
    await until(() => server.sent.slice(0, 2), ['first', 'with-first']);
    expect(server.told.map(({ confirmedBy }) => confirmedBy)).toEqual(server.told.map(() => 'tomas'));
    expect(await statusOf('with-first')).toBe('kept');
    server.answers = {};
    await becomesBy(again, ['with-first', 'of-nothing-sent'], ['sent', 'kept']);
    expect(await benchStore.photos.get('with-first')).toEqual({
      photoId: 'with-first',
      inspectionId: 'first',
      thumbnailBase64: 'small',
      status: 'sent',
    });
  });
});

describe('what was not sent', () => {
  const own = async () => (await whatWaits('tomas')).own;
  it('is listed with its photos in the order in which it was confirmed, and others’ are counted', async () => {
    await keep(
      [
        draft('queued', 2),
        draft('refused', 1, { status: 'refused', problem: 'No.' }),
        draft('sent', 3, { status: 'sent' }),
        draft('sent-without-photo', 4, { status: 'sent' }),
        draft('begun', 5, { status: 'draft' }),
        draft('hers', 6, { roundId: 'other' }),
      ],
      [photo('p', 'sent-without-photo'), { ...photo('q', 'sent'), status: 'sent' }],
    );
    const { own: mine, ofOthers } = await whatWaits('tomas');
    expect(mine.map((unsent) => [unsent.draft.inspectionId, unsent.photos.length])).toEqual([
      ['refused', 0],
      ['queued', 0],
      ['sent-without-photo', 1],
    ]);
    expect(ofOthers).toBe(1);
  });
  it('is sent again as it is', async () => {
    await keep([draft('first', 1, { status: 'refused' })], [{ ...photo('p', 'first'), status: 'refused' }]);
    for (const unsent of await own()) await sendAgain(unsent);
    expect(await statuses('first', 'p')).toEqual(['queued', 'kept']);
  });
  it('is taken back to be changed, but never what the server has', async () => {
    await keep([draft('queued', 1), draft('refused', 2, { status: 'refused' }), draft('sent', 3, { status: 'sent' })]);
    for (const row of await benchStore.drafts.toArray()) await takeBack(row);
    expect(await statuses('queued', 'refused', 'sent')).toEqual(['draft', 'draft', 'sent']);
  });
  it('is let go with its photos; of what the server has, the photos alone', async () => {
    await keep(
      [draft('first', 1), draft('sent', 2, { status: 'sent' })],
      [photo('p', 'first'), photo('q', 'sent'), photo('r', 'elsewhere')],
    );
    for (const unsent of await own()) await letGo(unsent);
    expect(await statuses('first', 'p', 'sent', 'q', 'r')).toEqual([undefined, undefined, 'sent', undefined, 'kept']);
  });
  it('that is being changed while the server refuses it stays open to be confirmed anew', async () => {
    await keep([draft('first', 1)]);
    server.answers = { first: { status: 422, detail: 'No.' } };
    server.meanwhile = () => takeBack(draft('first', 1));
    await open('tomas');
    await until(() => server.sent, ['first']);
    await becomes(['first'], ['draft']);
    await quiet();
    expect(await statusOf('first')).toBe('draft');
  });
});
