import { cleanup, screen, waitFor } from '@testing-library/react';
import type { OutingView } from '@wainrope/contract';
import { afterEach, describe, expect, it } from 'vitest';
import { day } from '../shell/days.ts';
import { choose, offeredBy } from '../testing/choose.ts';
import { fakeServer, faulty } from '../testing/fake-server.ts';
import { asRole, people, piece, TODAY } from '../testing/sample-team.ts';
import { leadsTo, rowsOf, show } from '../testing/show.tsx';
import { OutingListPage } from './OutingListPage.tsx';
import { OutingPage } from './OutingPage.tsx';

const server = fakeServer();
afterEach(cleanup);

const outing = (change: Partial<OutingView> = {}): OutingView => ({
  outingId: 'o-1',
  name: 'Training in the quarry',
  holderKind: 'person',
  holderId: 'p-mirren',
  holder: 'Mirren Sedge',
  outAt: '2026-01-14T09:00:00Z',
  outBy: 'Tomas Aldbrook',
  pieces: [
    { gearId: 'g-1', tag: 'TS-01', name: 'Tree strap', outAt: '2026-01-14T09:00:00Z', outBy: 'Tomas Aldbrook' },
    { gearId: 'g-2', tag: 'SB-02', name: 'Pulley', outAt: '2026-01-14T09:00:00Z', outBy: 'Tomas Aldbrook' },
  ],
  ...change,
});
const back = { backAt: '2026-01-14T17:00:00Z', backBy: 'Isla Wrenfell' };

const REGISTER = [
  piece('TS-01', { kitId: 'k-bog' }),
  piece('TS-02', { kitId: 'k-bog', state: 'quarantined' }),
  piece('TS-03', { kitId: 'k-bog', away: { outingId: 'o-9', holder: 'Otter', since: '2026-01-10' } }),
  piece('TS-04'),
];

describe('taking pieces out', () => {
  const open = async (address = '/outings') => {
    server.answers({
      ...asRole('member', REGISTER),
      'GET /api/v1/outings': { items: [] },
      'GET /api/v1/people': { items: [...Object.values(people).map((person) => ({ ...person, left: person.role === 'reader' }))] },
      'POST /api/v1/outings': ({ body }: { body: unknown }) => outing({ outingId: (body as OutingView).outingId }),
    });
    const user = show(<OutingListPage />, { address });
    await screen.findByLabelText('Tag of a piece that goes');
    return user;
  };
  const enter = async (user: Awaited<ReturnType<typeof open>>, tag: string) => {
    await user.type(screen.getByLabelText('Tag of a piece that goes'), tag);
    await user.click(screen.getByRole('button', { name: 'Enter' }));
  };

  it.each([
    ['XX-9', 'No piece has the tag XX-9.'],
    ['ts-02', 'TS-02 is quarantined and must not go out.'],
    ['TS-03', 'TS-03 is out already, with Otter.'],
  ])('refuses %s, and says why', async (tag, words) => {
    const user = await open();
    await enter(user, tag);
    expect(screen.getByRole('alert').textContent).toBe(words);
    expect(screen.getByRole('button', { name: 'Check out 0 pieces' })).toHaveProperty('disabled', true);
  });

  it('sends what was entered, once each, with who has it and when it is due', async () => {
    const user = await open();
    await enter(user, 'ts-04');
    await enter(user, 'TS-04');
    await user.type(screen.getByLabelText('What for'), 'Bridge job');
    await choose(user, 'Which person', 'Mirren Sedge');
    await user.type(screen.getByLabelText('Due back'), '2026-01-20');
    await user.click(screen.getByRole('button', { name: 'Check out 1 piece' }));
    await waitFor(() => expect(leadsTo()).toMatch(/^\/outings\//));
    expect(server.body(0)).toEqual({
      outingId: expect.any(String),
      name: 'Bridge job',
      holderKind: 'person',
      holderId: 'p-mirren',
      dueBackOn: '2026-01-20',
      gearIds: ['g-ts-04'],
    });
    expect(leadsTo()).toBe(`/outings/${server.body<OutingView>(0).outingId}`);
  });

  it('takes a kit whole, as far as it is here and fit, and names it after the kit', async () => {
    const user = await open('/outings?take=kit:k-bog');
    expect(await screen.findByRole('button', { name: 'Leave TS-01 here' })).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Check out 1 piece' }));
    await waitFor(() => expect(server.sent).toHaveLength(1));
    expect(server.sent[0]?.body).toMatchObject({ name: 'Bog bag, taken out', gearIds: ['g-ts-01'] });
  });

  it('leaves a piece here again', async () => {
    const user = await open('/outings?take=kit:k-bog');
    await user.click(await screen.findByRole('button', { name: 'Leave TS-01 here' }));
    expect(screen.getByRole('button', { name: 'Check out 0 pieces' })).toHaveProperty('disabled', true);
  });

  it('asks for whom by what kind of holder it is, and forgets a person where it goes outside', async () => {
    const user = await open();
    await enter(user, 'TS-04');
    await choose(user, 'Which person', 'Mirren Sedge');
    expect(await offeredBy(user, 'Which person')).not.toContain('Odd Fellside');
    await choose(user, 'With', 'Outside the team');
    await user.type(screen.getByLabelText('Who borrows it'), 'The farm at the ford');
    await user.click(screen.getByRole('button', { name: 'Check out 1 piece' }));
    await waitFor(() => expect(server.sent).toHaveLength(1));
    expect(server.sent[0]?.body).toMatchObject({ holderKind: 'outside', holderName: 'The farm at the ford' });
    expect(server.sent[0]?.body).not.toHaveProperty('holderId');
    await choose(user, 'With', 'A vehicle');
    expect(await offeredBy(user, 'Which vehicle')).toContain('Heron');
  });

  it('shows a fault of the pieces beside them, once', async () => {
    const user = await open();
    await enter(user, 'TS-04');
    server.answers({ 'POST /api/v1/outings': faulty('gearIds', 'TS-04 went out a moment ago.') });
    await user.click(screen.getByRole('button', { name: 'Check out 1 piece' }));
    await screen.findByText('TS-04 went out a moment ago.');
    expect(screen.getAllByText('TS-04 went out a moment ago.')).toHaveLength(1);
  });
});

it('what is out comes first, what is late is told, and what came back with something missing', async () => {
  server.answers({
    ...asRole('reader', REGISTER),
    'GET /api/v1/outings': {
      items: [
        outing({ dueBackOn: '2026-01-14' }),
        outing({ outingId: 'o-2', name: 'On loan', dueBackOn: TODAY }),
        outing({ outingId: 'o-3', name: 'Old', closedAt: '2026-01-10T10:00:00Z', missingNote: 'In the beck.' }),
      ],
    },
  });
  show(<OutingListPage />);
  await screen.findByText('was due back Jan 14, 2026');
  expect(rowsOf('Out now')).toHaveLength(2);
  // The day itself is not late yet.
  expect(screen.getByText(`due back ${day(TODAY)}`)).toBeTruthy();
  expect(screen.getByText('2 missing')).toBeTruthy();
  expect(screen.queryByRole('heading', { name: 'Check out' })).toBeNull();
});

describe('counting back', () => {
  const open = async (change: Partial<OutingView> = {}, role: 'member' | 'reader' = 'member') => {
    server.answers({ ...asRole(role), 'GET /api/v1/outings/*': outing(change), 'POST /api/v1/outings/*/count-back': outing(change) });
    const user = show(<OutingPage />, { address: '/outings/o-1', path: '/outings/:outingId' });
    await screen.findByRole('heading', { name: 'Training in the quarry' });
    return user;
  };

  it('goes by tag or by a button, and tells what never went out or is back already', async () => {
    const user = await open({ pieces: [{ ...outing().pieces[0], ...back } as OutingView['pieces'][number], outing().pieces[1] as never] });
    expect(screen.getByText('1 of 2 counted back')).toBeTruthy();
    const field = await screen.findByLabelText('Tag of a piece that is back');
    await user.type(field, 'XX-1{Enter}');
    expect(screen.getByRole('alert').textContent).toBe('XX-1 did not go out with this. Put it aside and ask.');
    await user.clear(field);
    await user.type(field, 'ts-01{Enter}');
    expect(screen.getByRole('alert').textContent).toBe('TS-01 was counted back already.');
    await user.clear(field);
    await user.type(field, 'sb-02{Enter}');
    await waitFor(() => expect(server.sent).toHaveLength(1));
    expect(server.sent[0]).toMatchObject({ path: '/api/v1/outings/o-1/count-back', body: { gearIds: ['g-2'] } });
    await user.click(screen.getByRole('button', { name: 'SB-02 is back' }));
    await waitFor(() => expect(server.sent).toHaveLength(2));
  });

  it('closes with a word on what is missing, and plainly where all is back', async () => {
    const user = await open();
    server.answers({ 'POST /api/v1/outings/*/close': faulty('missingNote', 'Say what became of them.') });
    await user.click(await screen.findByRole('button', { name: 'Close with 2 missing' }));
    expect(await screen.findByText('Say what became of them.')).toBeTruthy();
    expect(server.sent[0]?.body).toEqual({});
    await user.type(screen.getByLabelText(/What became of them/), 'Left at the ford.');
    await user.click(screen.getByRole('button', { name: 'Close with 2 missing' }));
    await waitFor(() => expect(server.sent).toHaveLength(2));
    expect(server.sent[1]?.body).toEqual({ missingNote: 'Left at the ford.' });
    cleanup();
    server.forget();
    await open({ pieces: outing().pieces.map((entry) => ({ ...entry, ...back })) });
    expect(await screen.findByRole('button', { name: 'All back: close it' })).toBeTruthy();
  });

  it('is read by whoever may not change it, and is over once it is closed', async () => {
    await open({}, 'reader');
    expect(screen.queryByLabelText('Tag of a piece that is back')).toBeNull();
    expect(screen.queryByRole('button')).toBeNull();
    cleanup();
    server.forget();
    await open({ closedAt: '2026-01-14T18:00:00Z', closedBy: 'Isla Wrenfell', missingNote: 'In the beck.' });
    expect(screen.getAllByText('missing')).toHaveLength(2);
    expect(screen.getByText('Missing: “In the beck.”')).toBeTruthy();
    expect(screen.queryByRole('button')).toBeNull();
  });
});
