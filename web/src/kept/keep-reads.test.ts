import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { asOfNow, forgetKept, keepingReads, NOT_READ_HERE, questionOf } from './keep-reads.ts';
import { keepAnswer, keptAnswer, keptTimes, SESSION } from './kept-answers.ts';

const ISLA = { signedIn: true, person: { personId: 'isla' }, team: { teamId: 'fellgate' } };
const at = '2026-01-15T10:00:00.000Z';
const dispatched: { readonly type: string; readonly payload?: unknown }[] = [];
const api = (endpoint = 'listKits') =>
  ({ endpoint, queryCacheKey: `${endpoint}(1)`, dispatch: (action: never) => dispatched.push(action) }) as never;
const told = () => dispatched.map(({ type }) => type.replace('connection/', ''));
const meta = (status: number, type = 'application/json') =>
  ({ response: new Response(null, { status, headers: { 'Content-Type': type } }) }) as never;
const gone = { error: { status: 'FETCH_ERROR' as const, error: 'TypeError' } };
/** Asks as a page does, of a server that answers so. */
const ask = (answer: object, url = '/api/v1/kits', endpoint = 'listKits') =>
  keepingReads(async () => answer as never)({ url }, api(endpoint), {});
/** What came a moment before is written only after a few seconds. */
const keptSoon = (key: string) => vi.waitFor(async () => expect(await keptAnswer(key)).toBeDefined(), { timeout: 60_000 });

beforeEach(async () => {
  dispatched.length = 0;
  await forgetKept();
  await keepAnswer({ key: SESSION, data: ISLA, at });
});

describe('what a page reads', () => {
  it('is kept when the server answers, and answered from the device when nobody does, saying of when it is', async () => {
    await ask({ data: { items: ['A'] }, meta: meta(200) });
    await keptSoon('/api/v1/kits');
    expect(told()).toEqual(['heard']);
    expect(await ask(gone)).toEqual({ data: { items: ['A'] } });
    expect(told()).toEqual(['heard', 'unheard', 'keptShown']);
    const kept = await keptAnswer('/api/v1/kits');
    expect(dispatched.at(-1)?.payload).toEqual({ question: 'listKits(1)', at: kept?.at });
  });
  it.each([
    ['a page of a network that wants a sign-in', { data: '<html>', meta: meta(200, 'text/html') }],
    ['a gateway that finds nobody', { error: { status: 502, data: '' }, meta: meta(502, 'text/plain') }],
    ['a gateway that waited in vain', { error: { status: 504, data: '' }, meta: meta(504, 'text/plain') }],
  ])('is not taken from %s', async (_who, answer) => {
    await keepAnswer({ key: '/api/v1/kits', data: 'kept', at });
    expect(await ask(answer)).toEqual({ data: 'kept' });
    expect((await keptAnswer('/api/v1/kits'))?.data).toBe('kept');
  });
  it.each([401, 404, 500, 503])('is what the server says where it refuses with %i, and no refusal is kept', async (status) => {
    await keepAnswer({ key: '/api/v1/kits', data: 'kept', at });
    const refusal = { error: { status, data: {} }, meta: meta(status, 'application/problem+json') };
    expect(await ask(refusal)).toEqual(refusal);
    expect(told()).toEqual(['heard']);
  });
  it('says that it was not read here where nothing was kept', async () => {
    expect(await ask(gone, '/api/v1/outings/x')).toEqual({ error: { status: 'FETCH_ERROR', error: NOT_READ_HERE } });
    expect(told()).toEqual(['unheard']);
  });
  it.each([
    ['a piece', '/api/v1/gear/p2', 'wholeRegister', [{ gearId: 'p1' }, { gearId: 'p2', tag: 'TS-02' }], { gearId: 'p2', tag: 'TS-02' }],
    ['an outing', '/api/v1/outings/o1', '/api/v1/outings', { items: [{ outingId: 'o1' }] }, { outingId: 'o1' }],
  ])('of %s that was never opened is found in the list that was read', async (_what, url, key, data, found) => {
    await keepAnswer({ key, data, at });
    expect(await ask(gone, url)).toEqual({ data: found });
  });
  it.each(['/api/v1/photos/x', '/api/v1/audit', '/api/v1/tasks/x', '/api/v1/bundle', '/api/v1/calendar-link'])(
    'of %s is asked of the server alone',
    async (url) => {
      await keepAnswer({ key: url, data: 'kept', at });
      expect(await ask(gone, url)).toMatchObject({ error: { status: 'FETCH_ERROR' } });
      expect(told()).toEqual(['unheard']);
    },
  );
  it('in parts of a whole list is not kept by its parts', async () => {
    await ask({ data: { items: [] }, meta: meta(200) }, '/api/v1/gear', 'wholeRegister');
    await new Promise((done) => setTimeout(done, 30));
    expect((await keptTimes()).map(({ key }) => key)).toEqual([SESSION]);
  });
});

describe('whose it is', () => {
  it('is kept for nobody who is not signed in', async () => {
    await forgetKept();
    await keepAnswer({ key: '/api/v1/kits', data: 'late', at });
    expect(await keptTimes()).toEqual([]);
  });
  it.each([
    ['another person', { ...ISLA, person: { personId: 'tomas' } }],
    ['the same person in another team', { ...ISLA, team: { teamId: 'other' } }],
  ])('goes when %s signs in', async (_who, session) => {
    await keepAnswer({ key: '/api/v1/kits', data: 'hers', at });
    await keepAnswer({ key: SESSION, data: session, at });
    expect((await keptTimes()).map(({ key }) => key)).toEqual([SESSION]);
  });
  it('goes when the server says that the session has ended, as where it was ended on another device', async () => {
    await keepAnswer({ key: '/api/v1/kits', data: 'hers', at });
    await keepAnswer({ key: SESSION, data: { signedIn: false }, at });
    await keepAnswer({ key: '/api/v1/plans', data: 'late', at });
    expect((await keptTimes()).map(({ key }) => key)).toEqual([SESSION]);
  });
  it('stays when the same person is told again', async () => {
    await keepAnswer({ key: '/api/v1/kits', data: 'hers', at });
    await keepAnswer({ key: SESSION, data: ISLA, at });
    expect((await keptTimes()).map(({ key }) => key).sort()).toEqual(['/api/v1/kits', SESSION].sort());
  });
});

describe('the address that is asked', () => {
  it('has its query in order, without what was left out', () => {
    const args = { url: '/api/v1/gear?limit=5', params: { b: 2, a: 'x', c: undefined } };
    expect(questionOf(args)).toBe('/api/v1/gear?a=x&b=2&limit=5');
    expect(questionOf('/api/v1/kits')).toBe('/api/v1/kits');
  });
  it('is none for what changes something', () => {
    expect(questionOf({ url: '/api/v1/kits', method: 'POST' })).toBeUndefined();
  });
});

describe('the team of another day', () => {
  const team = { key: '/api/v1/team', data: { today: '2026-02-27', name: 'Fellgate' }, at: new Date(2026, 5, 10, 23, 50).toISOString() };
  it.each([
    ['the same evening', new Date(2026, 5, 10, 23, 59), '2026-02-27'],
    ['after midnight', new Date(2026, 5, 11, 0, 1), '2026-02-28'],
    ['two days later', new Date(2026, 5, 12, 12), '2026-03-01'],
    ['on a clock that was set back', new Date(2026, 5, 9, 12), '2026-02-27'],
  ])('goes on by the days that have passed on this device: %s', (_when, now, today) => {
    expect(asOfNow(team, now)).toEqual({ today, name: 'Fellgate' });
  });
  it('changes nothing else', () => {
    expect(asOfNow({ ...team, key: '/api/v1/kits' }, new Date(2026, 6, 1))).toEqual(team.data);
  });
});
