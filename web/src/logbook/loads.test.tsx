import { cleanup, screen, waitFor, within } from '@testing-library/react';
import type { LoadView, PullView } from '@wainrope/contract';
import { afterEach, describe, expect, it } from 'vitest';
import { unitsChosen } from '../settings/settings-slice.ts';
import { store } from '../store.ts';
import { fakeServer, faulty } from '../testing/fake-server.ts';
import { asRole, piece, TODAY } from '../testing/sample-team.ts';
import { show } from '../testing/show.tsx';
import { LoadSection } from './LoadSection.tsx';
import { indexWords, LoadTotals } from './LoadTotals.tsx';
import { LogPull } from './LogPull.tsx';
import { readForce } from './read-force.ts';
import { restWords } from './use-rest.ts';

const server = fakeServer();
afterEach(() => {
  cleanup();
  store.dispatch(unitsChosen('kN'));
});

const strap = piece('A-1');
const load = (change: Partial<LoadView> = {}): LoadView => ({
  recordId: 'l-1',
  gearId: strap.gearId,
  on: '2026-01-10',
  plannedN: 12_000,
  greatestN: 30_000,
  stalled: false,
  pulls: 1,
  happenedN: 12_000,
  wllN: 40_000,
  share: 0.3,
  overload: 'none',
  known: 'typed',
  place: 'Round the larch',
  by: 'Isla Wrenfell',
  at: '2026-01-10T10:00:00Z',
  ...change,
});
const openLoads = async (role: 'gear-keeper' | 'member' | 'reader', items: readonly LoadView[], next?: string) => {
  server.answers({ ...asRole(role), 'GET /api/v1/gear/*/loads': { items, ...(next && { next }) } });
  const user = show(<LoadSection gear={strap} today={TODAY} decimal="." />);
  await screen.findByRole('heading', { name: 'Loads' });
  return user;
};

describe('a force that is typed', () => {
  it.each([
    ['', 'kN', { kind: 'empty' }],
    ['25', 'kN', { kind: 'force', newtons: 25_000 }],
    ['2.5', 't', { kind: 'force', newtons: 2500 * 9.80665 }],
    ['1000', 'lbf', { kind: 'force', newtons: expect.closeTo(4448.22, 1) }],
    ['2 t', 'kN', { kind: 'force', newtons: 2000 * 9.80665 }],
    ['strong', 'kN', { kind: 'fault' }],
    ['2 ton', 'kN', { kind: 'fault' }],
  ] as const)('“%s” to a reader of %s', (typed, units, read) => {
    expect(readForce(typed, '.', units)).toMatchObject(read);
  });
});

describe('what a piece has been through in all', () => {
  const summary = { records: 3, pulls: 4, largestShare: 0.94, usageIndex: 0.0034567, cycles: [{ fromPercent: 14, cycles: 2.5 }] };
  const rope = {
    ...piece('KR-1'),
    kind: 'stretch-rope',
    attributes: { pullsUsed: 48, pullsAllowed: 50 },
    pullsUsedUpOn: '2026-03-01',
  } as const;
  it('says how often and how hard, and its cycles', async () => {
    server.answers(asRole('member'));
    show(<LoadTotals gear={strap} summary={summary} />);
    expect((await screen.findByText(/4 pulls in 3 records/)).textContent).toBe(
      '4 pulls in 3 records; hardest at 94 % of its limit as it was then.',
    );
    screen.getByText('Cycles, and a usage index of 0.0035');
    expect(screen.getAllByRole('row').map((row) => row.textContent)).toContain('14–16 %2.5');
    expect(screen.queryByText(/left/)).toBeNull();
  });
  it('of a stretch rope says how many pulls are left, and how long it has to rest', async () => {
    server.answers(asRole('member'));
    const lastAt = new Date(Date.now() - 60_000).toISOString();
    show(<LoadTotals gear={rope} summary={{ ...summary, lastAt }} />);
    await screen.findByText('2 pulls left');
    screen.getByText(/48 of 50 used; used up by Mar 1, 2026/);
    expect((await screen.findByRole('timer')).textContent).toMatch(/Let it rest: (4:00|3:5\d) min more/);
  });
  it('that has rested says nothing of rest', async () => {
    server.answers(asRole('member'));
    show(<LoadTotals gear={rope} summary={{ ...summary, lastAt: new Date(Date.now() - 301_000).toISOString() }} />);
    await screen.findByText('2 pulls left');
    expect(screen.queryByRole('timer')).toBeNull();
  });
  it.each([
    [-1, undefined],
    [0, undefined],
    [0.2, '0:01 min'],
    [59.9, '1:00 min'],
    [299.2, '5:00 min'],
  ])('%d s of rest are %s', (seconds, words) => expect(restWords(seconds)).toBe(words));
  it.each([
    [0, '0'],
    [0.000034, '3.4e-5'],
    [0.00123, '0.0012'],
    [12.34, '12'],
  ])('an index of %d is %s', (index, words) => expect(indexWords(index)).toBe(words));
});

describe('the loads of a piece', () => {
  it('stand with their share of the limit as it was, how they are known, and what was only possible', async () => {
    await openLoads('member', [load()]);
    const row = await screen.findByText('Round the larch');
    const line = row.closest('li') as HTMLElement;
    expect(line.textContent).toContain('12.0 kN');
    expect(line.textContent).toContain('30 % of 40.0 kN');
    expect(line.textContent).toContain('as planned, typed; at most 30.0 kN was possible');
    expect(screen.queryByRole('button', { name: /Correct/ })).toBeNull();
  });
  it('say what an overload asks for, that a limit was not known, and that a corrected one counts no more', async () => {
    await openLoads('member', [
      load({ recordId: 'a', overload: 'inspect', share: 1.2 }),
      load({ recordId: 'b', overload: 'quarantine', share: 2 }),
      load({ recordId: 'c', overload: 'unknown' }),
      load({ recordId: 'd', overload: 'quarantine', correctedBy: 'e' }),
    ]);
    expect(await screen.findAllByText('Over its limit: inspect it before it is used again.')).toHaveLength(1);
    expect(screen.getAllByText('Far over its limit: out of use until a full inspection.')).toHaveLength(1);
    expect(screen.getAllByText('No limit was known to hold it against.')).toHaveLength(1);
    expect(screen.getAllByText(/it no longer counts/)).toHaveLength(1);
  });
  it('are logged in a few touches, in the reader’s unit', async () => {
    const user = await openLoads('member', []);
    store.dispatch(unitsChosen('lbf'));
    await user.click(await screen.findByRole('button', { name: 'Log a load' }));
    await user.type(screen.getByLabelText('Planned load'), '2000');
    server.answers({ 'POST /api/v1/loads': load() });
    await user.click(screen.getByRole('button', { name: 'Log it' }));
    await waitFor(() => expect(server.sent).toHaveLength(1));
    expect(server.body(0)).toMatchObject({ gearId: strap.gearId, on: TODAY, pulls: 1, plannedN: expect.closeTo(8896.4, 0) });
    expect(server.body(0)).not.toHaveProperty('stalled');
    await waitFor(() => expect(screen.queryByRole('button', { name: 'Log it' })).toBeNull());
  });
  it('that are not understood are not sent, and what the server refuses stays typed', async () => {
    const user = await openLoads('member', []);
    await user.click(await screen.findByRole('button', { name: 'Log a load' }));
    await user.type(screen.getByLabelText('Planned load'), 'much');
    await user.click(screen.getByRole('button', { name: 'Log it' }));
    expect((await screen.findByRole('alert')).textContent).toContain('much');
    expect(server.sent).toEqual([]);
    await user.clear(screen.getByLabelText('Planned load'));
    await user.type(screen.getByLabelText('Planned load'), '10');
    await user.clear(screen.getByLabelText('Pulls alike'));
    await user.type(screen.getByLabelText('Pulls alike'), '1.5');
    await user.click(screen.getByRole('button', { name: 'Log it' }));
    expect((await screen.findByRole('alert')).textContent).toBe('“1.5” is not a whole number of pulls.');
    await user.clear(screen.getByLabelText('Pulls alike'));
    await user.type(screen.getByLabelText('Pulls alike'), '2');
    server.answers({ 'POST /api/v1/loads': faulty('on', 'It has not come yet.') });
    await user.click(screen.getByRole('button', { name: 'Log it' }));
    expect(await screen.findByText(/It has not come yet/)).toBeTruthy();
    expect((screen.getByLabelText('Planned load') as HTMLInputElement).value).toBe('10');
  });
  it('are corrected by a keeper, with the reason, by a record that names the old one', async () => {
    const user = await openLoads('gear-keeper', [load({ peakN: 9012, happenedN: 9012 })]);
    await user.click(await screen.findByRole('button', { name: /Correct the load of Jan 10, 2026/ }));
    expect((screen.getByLabelText('Peak, off a gauge') as HTMLInputElement).value).toBe('9.0 kN');
    await user.type(screen.getByLabelText('Why it is corrected'), 'The gauge was in pounds');
    server.answers({ 'POST /api/v1/loads': load() });
    await user.click(screen.getByRole('button', { name: 'Keep the correction' }));
    await waitFor(() =>
      expect(server.body(0)).toMatchObject({
        corrects: 'l-1',
        note: 'The gauge was in pounds',
        plannedN: 12_000,
        peakN: 9012,
        on: '2026-01-10',
      }),
    );
  });
  it('are nobody’s to log who may only read; where there are none it says where they come from', async () => {
    await openLoads('reader', []);
    expect(await screen.findByText(/No load on record/)).toBeTruthy();
    expect(screen.queryByRole('button')).toBeNull();
  });
});

describe('a pull by a plan', () => {
  const pull: PullView = {
    pullId: 'x',
    loads: [load(), load({ recordId: 'l-2', overload: 'quarantine', place: 'Ring' })],
    without: ['D-1'],
  };
  const open = (change: object = {}) => {
    server.answers(asRole('member'));
    const plan = { planId: 'plan-1', version: 3, state: 'ready' as const };
    return show(<LogPull plan={plan} report={{ drives: [{}] as never }} today={TODAY} decimal="." dirty={false} {...change} />);
  };
  it('is logged for every piece, with the gauge and the stall, and says what it overloaded', async () => {
    const user = open();
    await user.click(await screen.findByRole('button', { name: 'Log a pull' }));
    await user.type(screen.getByLabelText('Largest line tension, off a gauge'), '18');
    await user.click(screen.getByLabelText('The winch stalled'));
    server.answers({ 'POST /api/v1/plans/*/pulls': pull });
    await user.click(screen.getByRole('button', { name: 'Log it for every piece' }));
    const told = await screen.findByRole('status');
    expect(server.body(0)).toMatchObject({ version: 3, on: TODAY, pulls: 1, linePeakN: 18_000, stalled: true });
    expect(told.textContent).toContain('Logged for 2 pieces.');
    expect(within(told).getByRole('link', { name: 'Ring' }).getAttribute('href')).toBe(`/gear/${strap.gearId}`);
    expect(told.textContent).toContain('out of use until a full inspection');
    expect(told.textContent).toContain('Without a load: D-1.');
  });
  it('another is another, with an id of its own', async () => {
    const user = open();
    server.answers({ 'POST /api/v1/plans/*/pulls': pull });
    for (const name of ['Log a pull', 'Log another pull']) {
      await user.click(await screen.findByRole('button', { name }));
      await user.click(screen.getByRole('button', { name: 'Log it for every piece' }));
      await screen.findByRole('status');
    }
    const [first, second] = [server.body<{ pullId: string }>(0), server.body<{ pullId: string }>(1)];
    expect(first.pullId).not.toBe(second.pullId);
  });
  it('asks for no gauge where several lines draw, and waits until the plan is saved', async () => {
    const user = open({ report: { drives: [{}, {}] } });
    await user.click(await screen.findByRole('button', { name: 'Log a pull' }));
    expect(screen.queryByLabelText('Largest line tension, off a gauge')).toBeNull();
    cleanup();
    server.forget();
    open({ dirty: true });
    expect(await screen.findByText(/Save first/)).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Log a pull' })).toHaveProperty('disabled', true);
  });
});
