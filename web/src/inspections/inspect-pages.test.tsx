import { choose, offeredBy } from '../testing/choose.ts';
import 'fake-indexeddb/auto';
import { cleanup, screen, waitFor, within } from '@testing-library/react';
import type { RoundListed } from '@wainrope/contract';
import { afterEach, describe, expect, it } from 'vitest';
import { benchStore, thisDevice } from '../outbox/bench-store.ts';
import { fakeServer, faulty } from '../testing/fake-server.ts';
import { asRole, piece, TODAY } from '../testing/sample-team.ts';
import { leadsTo, show } from '../testing/show.tsx';
import { DefectsPage } from './DefectsPage.tsx';
import { DuePage } from './DuePage.tsx';
import { InspectPage } from './InspectPage.tsx';

const server = fakeServer();
afterEach(async () => {
  cleanup();
  await Promise.all([benchStore.rounds.clear(), benchStore.drafts.clear(), benchStore.photos.clear()]);
});

const due = (tag: string, nextDue: string | undefined, change: Parameters<typeof piece>[1] = {}) =>
  piece(tag, { inspection: { on: '2025-01-01', grade: 'B', ...(nextDue && { nextDue }) }, ...change });
const REGISTER = [
  due('A-1', '2026-01-14', { kitId: 'k-bog' }),
  due('A-2', TODAY, { kitId: 'k-bog', owner: 'Isla Wrenfell' }),
  due('A-3', '2026-01-22'),
  due('A-4', '2026-02-12', { away: { outingId: 'o-1', holder: 'Mirren Sedge', since: '2026-01-10' } }),
  due('A-5', '2027-01-01'),
  due('A-6', undefined),
  due('A-7', '2026-01-01', { state: 'retired' }),
  piece('A-8', { inspection: undefined as never, kind: 'chain', state: 'quarantined', attributes: {} }),
];

describe('what falls due', () => {
  const open = async (address = '/due') => {
    server.answers(asRole('gear-keeper', REGISTER));
    const user = show(<DuePage />, { address });
    await screen.findByText('A-1');
    return user;
  };
  const group = (title: string) =>
    within(screen.getByRole('region', { name: title }))
      .getAllByRole('listitem')
      .map((row) => row.textContent?.slice(0, 3));

  it('stands by how soon, and a retired piece never', async () => {
    await open();
    expect(group('Overdue')).toEqual(['A-8', 'A-1']);
    expect(group('This week')).toEqual(['A-2', 'A-3']);
    expect(group('This month')).toEqual(['A-4']);
    expect(group('Later')).toEqual(['A-5']);
    expect(group('No day set')).toEqual(['A-6']);
  });

  it('is narrowed to a kit or to a person, as a link', async () => {
    const user = await open();
    await choose(user, 'Kit', 'Bog bag');
    expect(leadsTo()).toBe('/due?kit=Bog+bag');
    expect(group('Overdue')).toEqual(['A-1']);
    await choose(user, 'Person', 'Isla Wrenfell');
    expect(screen.queryByRole('region', { name: 'Overdue' })).toBeNull();
    expect(group('This week')).toEqual(['A-2']);
    await choose(user, 'Person', 'Mirren Sedge');
    expect(screen.getByText('Nothing fits this choice.')).toBeTruthy();
    await choose(user, 'Kit', 'Kit: all');
    expect(leadsTo()).toBe('/due?person=Mirren+Sedge');
    expect(group('This month')).toEqual(['A-4']);
  });
});

describe('a round at the bench', () => {
  const open = async (role: 'gear-keeper' | 'member' | 'reader', address = '/inspect') => {
    server.answers(asRole(role, REGISTER));
    const user = show(<InspectPage />, { address });
    await screen.findByRole('heading', { name: 'Inspect' });
    return user;
  };

  it('begins with all that is due this week or overdue, as a full inspection', async () => {
    const user = await open('gear-keeper');
    await user.click(await screen.findByRole('button', { name: 'Begin: 4 pieces' }));
    await waitFor(() => expect(leadsTo()).toMatch(/^\/inspect\/[0-9a-f-]{36}$/));
    const [round] = await benchStore.rounds.toArray();
    expect(round).toMatchObject({ title: 'All due this week or overdue', kind: 'calendar', personId: 'p-tomas' });
    expect(round?.gearIds).toEqual(['g-a-1', 'g-a-2', 'g-a-3', 'g-a-8']);
  });

  it('shows what waits at once, the most urgent first, what has no day last', async () => {
    const rows = () => screen.getAllByRole('listitem').map((row) => row.textContent?.slice(0, 3));
    await open('gear-keeper');
    await screen.findByText('A-1');
    expect(screen.getByRole('heading', { name: 'What waits' })).toBeTruthy();
    expect(rows()).toEqual(['A-8', 'A-1', 'A-2', 'A-3']);
    expect(screen.getAllByRole('link', { name: 'Inspect' })).toHaveLength(4);
    cleanup();
    await open('gear-keeper', '/inspect?of=class:tree-strap');
    await screen.findByText('A-6');
    expect(rows().at(0)).toBe('A-1');
    expect(rows().at(-1)).toBe('A-6');
  });

  it('is only read by a reader: what waits, and nothing to begin', async () => {
    await open('reader');
    await screen.findByText('A-1');
    expect(screen.getByRole('heading', { name: 'What waits' })).toBeTruthy();
    expect(screen.queryByRole('button', { name: /Begin/ })).toBeNull();
    expect(document.querySelectorAll('a[href^="/inspect?of="]')).toHaveLength(0);
  });

  it('is a use-check for a member, who is offered no other', async () => {
    const user = await open('member');
    await screen.findByRole('button', { name: /Begin/ });
    expect(await offeredBy(user, 'What kind')).toEqual(['Before use', 'After use']);
    expect(screen.getByLabelText('What kind').textContent).toBe('After use');
  });

  it('is offered to nobody who may only read', async () => {
    await open('reader');
    expect(screen.queryByRole('button', { name: /Begin/ })).toBeNull();
  });

  it.each([
    ['quarantined', '1 piece', 'All in quarantine'],
    ['kit:k-bog', '2 pieces', 'Kit: Bog bag'],
    ['class:chain', '1 piece', 'Chains'],
    ['piece:g-a-5', '1 piece', 'A-5'],
  ])('takes in what the link says: %s', async (of, count, title) => {
    const user = await open('gear-keeper', `/inspect?of=${of}&kind=after-repair`);
    await user.click(await screen.findByRole('button', { name: `Begin: ${count}` }));
    await waitFor(async () => expect(await benchStore.rounds.count()).toBe(1));
    expect((await benchStore.rounds.toArray())[0]).toMatchObject({ title, kind: 'after-repair' });
  });

  it('that puts an inspection right says so, and carries which', async () => {
    const user = await open('gear-keeper', '/inspect?of=piece:g-a-5&corrects=i-7');
    expect(await screen.findByRole('heading', { name: 'Put right an inspection of A-5' })).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Begin: 1 piece' }));
    await waitFor(async () => expect((await benchStore.rounds.toArray())[0]?.corrects).toBe('i-7'));
  });

  it('of this device is gone on with, and put away only after a word on what is dropped', async () => {
    await benchStore.rounds.add({
      roundId: 'r-1',
      title: 'Kit: Bog bag',
      kind: 'calendar',
      gearIds: ['g-a-1', 'g-a-2'],
      personId: 'p-tomas',
      begunAt: '2026-01-15T08:00:00Z',
    });
    await benchStore.drafts.add({ inspectionId: 'i-1', roundId: 'r-1', gearId: 'g-a-1', status: 'draft' } as never);
    const user = await open('gear-keeper');
    server.answers({ 'DELETE /api/v1/rounds/*': undefined });
    expect(await screen.findByText(/0 of 2 confirmed/)).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Go on' }).getAttribute('href')).toBe('/inspect/r-1');
    await user.click(screen.getByRole('button', { name: 'Put away' }));
    expect(screen.getByText('1 begun and not confirmed is dropped with it.')).toBeTruthy();
    expect(await benchStore.rounds.count()).toBe(1);
    await user.click(screen.getByRole('button', { name: 'Put away all the same' }));
    await waitFor(async () => expect([await benchStore.rounds.count(), await benchStore.drafts.count()]).toEqual([0, 0]));
    await waitFor(() => expect(server.sent).toMatchObject([{ method: 'DELETE', path: '/api/v1/rounds/r-1' }]));
    expect(server.sent[0]?.query).toBe(`deviceId=${await thisDevice()}`);
  });

  it('with something to be sent cannot be put away, and another person’s is left to them', async () => {
    await benchStore.rounds.bulkAdd([
      { roundId: 'r-1', title: 'Waiting', kind: 'calendar', gearIds: ['g-a-1'], personId: 'p-tomas', begunAt: '2026-01-15T08:00:00Z' },
      { roundId: 'r-2', title: 'Another’s', kind: 'after-use', gearIds: ['g-a-2'], personId: 'p-mirren', begunAt: '2026-01-15T07:00:00Z' },
    ]);
    await benchStore.drafts.add({ inspectionId: 'i-1', roundId: 'r-1', gearId: 'g-a-1', status: 'queued' } as never);
    await open('gear-keeper');
    expect(await screen.findByText(/1 waiting to be sent/)).toBeTruthy();
    expect(screen.getAllByRole('button', { name: 'Put away' })).toHaveLength(1);
    expect(screen.getByRole('button', { name: 'Put away' })).toHaveProperty('disabled', true);
    expect(screen.getByText(/Somebody else’s/)).toBeTruthy();
    expect(screen.getAllByRole('link', { name: 'Go on' })).toHaveLength(1);
  });
});

describe('rounds on other devices', () => {
  const elsewhere = (change: Partial<RoundListed> = {}): RoundListed => ({
    roundId: 'r-9',
    title: 'Kit: Bog bag',
    kind: 'before-use',
    begunAt: '2026-01-15T08:00:00Z',
    personId: 'p-mirren',
    by: 'Mirren Sedge',
    deviceId: 'phone',
    heardAt: '2026-01-15T08:20:00Z',
    pieces: 3,
    confirmed: ['g-a-1'],
    ...change,
  });
  const open = async (role: 'gear-keeper' | 'member', items: readonly RoundListed[]) => {
    server.answers({ ...asRole(role, REGISTER), 'GET /api/v1/rounds': { items } });
    const user = show(<InspectPage />, { address: '/inspect' });
    await screen.findByRole('heading', { name: 'Inspect' });
    return user;
  };

  it('are taken over only after a word on what that means, and are gone on with here', async () => {
    const user = await open('gear-keeper', [elsewhere()]);
    expect(await screen.findByText(/Mirren Sedge, begun/)).toHaveProperty('textContent', expect.stringContaining('1 of 3 confirmed'));
    await user.click(screen.getByRole('button', { name: 'Take over' }));
    expect(screen.getByText(/under your name/)).toBeTruthy();
    expect(server.sent).toEqual([]);
    server.answers({ 'POST /api/v1/rounds/*/holder': { ...elsewhere(), gearIds: ['g-a-1', 'g-a-2', 'g-a-3'], drafts: [] } });
    await user.click(screen.getByRole('button', { name: 'Take it over here' }));
    await waitFor(() => expect(leadsTo()).toBe('/inspect/r-9'));
    expect(server.body(0)).toEqual({ deviceId: await thisDevice() });
    expect(await benchStore.rounds.get('r-9')).toMatchObject({ personId: 'p-tomas', confirmedElsewhere: ['g-a-1'] });
  });

  it('are not offered where all is confirmed, where they are this one’s own, or where they set grades and one may not', async () => {
    const own = elsewhere({ roundId: 'r-own', title: 'Own', deviceId: await thisDevice(), personId: 'p-mirren' });
    await benchStore.rounds.add({
      roundId: 'r-own',
      title: 'Own',
      kind: 'before-use',
      gearIds: [],
      personId: 'p-mirren',
      begunAt: own.begunAt,
    });
    await open('member', [
      own,
      elsewhere({ roundId: 'r-done', title: 'Done', confirmed: ['a', 'b', 'c'] }),
      elsewhere({ roundId: 'r-full', title: 'Graded', kind: 'calendar', by: 'Tomas Aldbrook', personId: 'p-tomas' }),
    ]);
    await screen.findByText('Graded');
    expect(screen.queryByText('Done')).toBeNull();
    expect(screen.queryByRole('button', { name: 'Take over' })).toBeNull();
    expect(screen.getAllByText('Own')).toHaveLength(1);
  });

  it('that were put away here without a signal are put away there once it is heard', async () => {
    server.answers({ 'DELETE /api/v1/rounds/*': undefined });
    await open('member', [elsewhere({ deviceId: await thisDevice() })]);
    await waitFor(() => expect(server.sent).toMatchObject([{ method: 'DELETE', path: '/api/v1/rounds/r-9' }]));
  });
});

describe('open defects', () => {
  const defect = {
    defectId: 'd-1',
    gearId: 'g-a-1',
    tag: 'A-1',
    name: 'Tree strap',
    inspectionId: 'i-1',
    point: 'eye',
    words: 'Cut at the eye',
    failed: true,
    openedOn: '2026-01-02',
    openedBy: 'Tomas Aldbrook',
  };
  const open = async (role: 'gear-keeper' | 'member', items: readonly object[] = [defect]) => {
    server.answers({ ...asRole(role), 'GET /api/v1/defects': { items } });
    const user = show(<DefectsPage />);
    await screen.findByText(items.length > 0 ? 'Cut at the eye' : 'No defect is open.');
    return user;
  };

  it('are closed with how they were put right, and stay open where that is refused', async () => {
    const user = await open('gear-keeper');
    server.answers({ 'POST /api/v1/defects/*/closing': faulty('how', 'Say how it was put right.') });
    await user.click(await screen.findByRole('button', { name: 'Close' }));
    await user.click(screen.getByRole('button', { name: 'Close it' }));
    expect((await screen.findByRole('alert')).textContent).toContain('Say how it was put right.');
    server.answers({
      'POST /api/v1/defects/*/closing': { ...defect, closedOn: TODAY, how: 'Cut off' },
      'GET /api/v1/defects': { items: [] },
    });
    await user.type(screen.getByLabelText('How was it put right?'), 'Cut off and spliced');
    await user.click(screen.getByRole('button', { name: 'Close it' }));
    expect(await screen.findByText('No defect is open.')).toBeTruthy();
    expect(server.sent[1]).toMatchObject({ path: '/api/v1/defects/d-1/closing', body: { how: 'Cut off and spliced' } });
  });

  it('are left open again, and looked at by whoever may not close them', async () => {
    const user = await open('gear-keeper');
    await user.click(await screen.findByRole('button', { name: 'Close' }));
    await user.click(screen.getByRole('button', { name: 'Leave it open' }));
    expect(screen.queryByLabelText('How was it put right?')).toBeNull();
    cleanup();
    server.forget();
    await open('member');
    expect(screen.queryByRole('button')).toBeNull();
  });

  it('are none where there is none', async () => {
    await open('member', []);
    expect(screen.queryByRole('button')).toBeNull();
  });
});
