import 'fake-indexeddb/auto';
import type { RoundView } from '@wainrope/contract';
import { benchAnswersCodec, read } from '@wainrope/core';
import { beforeEach, describe, expect, it } from 'vitest';
import { type BenchDraft, type BenchRound, benchStore, nextStamp, thisDevice } from './bench-store.ts';
import { roundDocument, takeIn } from './round-document.ts';

const round: BenchRound = {
  roundId: 'r',
  title: 'Heavy bag',
  kind: 'before-use',
  gearIds: ['a', 'b', 'c'],
  begunAt: '2026-01-15T09:00:00.000Z',
  personId: 'tomas',
};
const draft = (gearId: string, change: Partial<BenchDraft> = {}): BenchDraft => ({
  inspectionId: `i-${gearId}`,
  roundId: 'r',
  gearId,
  kind: 'before-use',
  on: '2026-01-15',
  points: { 'no-cracks': 'worn' },
  measures: { bow: { typed: '21', typedNew: '' } },
  notes: { 'no-cracks': 'a nick' },
  nextDue: '',
  note: 'Muddy',
  returnsToUse: false,
  spoolState: '',
  pullsUsed: '',
  status: 'draft',
  changedAt: 10,
  ...change,
});
const view = (change: Partial<RoundView> = {}): RoundView => ({
  ...roundDocument(round, [draft('a'), draft('b', { status: 'sent' })], 'phone'),
  roundId: 'r',
  personId: 'isla',
  by: 'Isla',
  heardAt: '2026-01-15T10:00:00.000Z',
  pieces: 3,
  ...change,
});
const noteOf = async (gearId: string) =>
  (await benchStore.drafts.toArray()).filter((row) => row.gearId === gearId).map(({ note, status }) => [note, status]);

beforeEach(async () => {
  await Promise.all([benchStore.rounds.clear(), benchStore.drafts.clear(), benchStore.device.clear()]);
});

describe('a round as the server is told of it', () => {
  it('has what was begun, as the codec of such answers reads it, and which pieces were confirmed', () => {
    const drafts = [draft('a'), draft('b', { status: 'sent' }), draft('c', { status: 'queued' })];
    const told = roundDocument({ ...round, confirmedElsewhere: ['c', 'd'] }, drafts, 'phone');
    expect(told.confirmed).toEqual(['c', 'd', 'b']);
    expect(told.drafts).toHaveLength(1);
    expect(told.drafts[0]).toMatchObject({ inspectionId: 'i-a', gearId: 'a', changedAt: 10 });
    const answers = read(benchAnswersCodec, told.drafts[0]?.answers);
    expect(answers).toMatchObject({
      ok: true,
      value: { points: { 'no-cracks': 'worn' }, note: 'Muddy', measures: { bow: { typed: '21' } } },
    });
  });
});

describe('a round that is taken over', () => {
  it('is there with everything that was begun, under the name of whoever took it', async () => {
    await takeIn(view(), 'tomas');
    expect(await benchStore.rounds.get('r')).toEqual({ ...round, confirmedElsewhere: ['b'] });
    expect((await benchStore.drafts.toArray()).map(({ changedAt, ...row }) => [row.gearId, row.status, row.note, changedAt])).toEqual([
      ['a', 'draft', 'Muddy', 10],
    ]);
  });
  it('keeps what this device has that is newer or confirmed, and takes what is newer there', async () => {
    await benchStore.drafts.bulkAdd([
      draft('a', { inspectionId: 'own-a', note: 'older here', changedAt: 9 }),
      draft('b', { inspectionId: 'own-b', note: 'newer here', changedAt: 11 }),
      draft('c', { inspectionId: 'own-c', note: 'confirmed here', changedAt: 1, status: 'queued' }),
    ]);
    await takeIn(view({ drafts: roundDocument(round, [draft('a'), draft('b'), draft('c')], 'phone').drafts }), 'tomas');
    expect(await noteOf('a')).toEqual([['Muddy', 'draft']]);
    expect(await noteOf('b')).toEqual([['newer here', 'draft']]);
    expect(await noteOf('c')).toEqual([['confirmed here', 'queued']]);
  });
  it('is nobody else’s any more where it is taken back', async () => {
    await benchStore.rounds.add({ ...round, takenOverBy: 'Isla' });
    await takeIn(view(), 'tomas');
    expect((await benchStore.rounds.get('r'))?.takenOverBy).toBeUndefined();
  });
});

describe('a device', () => {
  it('has one name for ever, and counts what it confirms from 1', async () => {
    const name = await thisDevice();
    expect(await thisDevice()).toBe(name);
    const now = new Date('2026-01-15T10:00:00.000Z');
    const stamps = await benchStore.transaction('rw', benchStore.device, async () => [await nextStamp(now), await nextStamp(now)]);
    expect(stamps).toEqual([1, 2].map((sequence) => ({ deviceId: name, sequence, clock: now.toISOString() })));
    expect(await thisDevice()).toBe(name);
  });
});
