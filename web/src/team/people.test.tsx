import { cleanup, screen, waitFor, within } from '@testing-library/react';
import type { PersonListed, PersonPage as PersonPageData } from '@wainrope/contract';
import { afterEach, describe, expect, it } from 'vitest';
import { choose, offeredBy } from '../testing/choose.ts';
import { fakeServer, faulty } from '../testing/fake-server.ts';
import { asRole, people, team } from '../testing/sample-team.ts';
import { rowsOf, show } from '../testing/show.tsx';
import { PeoplePage } from './PeoplePage.tsx';
import { PersonPage } from './PersonPage.tsx';

const server = fakeServer();
afterEach(cleanup);

const listed: readonly PersonListed[] = [
  { ...people.coordinator, left: false, login: 'isla' },
  { ...people.member, left: false, firstAider: true },
  { ...people.reader, left: true },
];
const open = async (role: 'coordinator' | 'member') => {
  server.answers({
    ...asRole(role),
    'GET /api/v1/people': { items: listed },
    'POST /api/v1/people': ({ body }: { body: unknown }) => body,
    'PUT /api/v1/people/*': ({ body }: { body: unknown }) => body,
    'PUT /api/v1/team/if-hurt': ({ body }: { body: unknown }) => ({ ...team(), ifHurt: body }),
    'POST /api/v1/people/*/invitation': { path: '/join#a-token-of-more-than-twenty-letters', expiresAt: '2026-01-22' },
  });
  const user = show(<PeoplePage />);
  await screen.findByText('signs in as isla');
  return user;
};
const row = (name: string) => {
  const found = screen.getByRole('link', { name }).closest('li');
  if (!found) throw new Error(`${name} has no row`);
  return within(found);
};

describe('the people of the team', () => {
  it('stand apart from those who have left, with how they sign in', async () => {
    await open('coordinator');
    expect(rowsOf('People of the team')).toHaveLength(2);
    expect(row('Mirren Sedge').getByText('has not joined yet')).toBeTruthy();
    expect(screen.getByRole('heading', { name: 'Former members' })).toBeTruthy();
    expect(row('Odd Fellside').getByRole('button', { name: 'Bring back' })).toBeTruthy();
    expect(row('Odd Fellside').queryByRole('button', { name: 'Invite' })).toBeNull();
  });

  it('change role and leave by name, the rest as it was', async () => {
    const user = await open('coordinator');
    await choose(user, 'Role of Mirren Sedge', 'gear keeper');
    await user.click(row('Mirren Sedge').getByRole('button', { name: 'Mark as left' }));
    await waitFor(() => expect(server.sent).toHaveLength(2));
    expect(server.sent.map(({ path, body }) => ({ path, body }))).toEqual([
      { path: '/api/v1/people/p-mirren', body: { name: 'Mirren Sedge', role: 'gear-keeper', left: false } },
      { path: '/api/v1/people/p-mirren', body: { name: 'Mirren Sedge', role: 'member', left: true } },
    ]);
  });

  it('say why a change was refused, at the person it was about', async () => {
    const user = await open('coordinator');
    server.answers({ 'PUT /api/v1/people/*': faulty('role', 'A team keeps at least one coordinator.') });
    await user.click(row('Isla Wrenfell').getByRole('button', { name: 'Mark as left' }));
    expect((await row('Isla Wrenfell').findByRole('alert')).textContent).toContain('A team keeps at least one coordinator.');
  });

  it('are noted as first aiders, and not any more', async () => {
    const user = await open('coordinator');
    await user.click(screen.getByRole('checkbox', { name: 'Isla Wrenfell is trained in first aid' }));
    await waitFor(() => expect(server.sent).toHaveLength(1));
    expect(server.body(0)).toEqual({ name: 'Isla Wrenfell', role: 'coordinator', left: false, firstAider: true });
    await user.click(screen.getByRole('checkbox', { name: 'Mirren Sedge is trained in first aid' }));
    await waitFor(() => expect(server.sent).toHaveLength(2));
    expect(server.body(1)).toMatchObject({ name: 'Mirren Sedge', firstAider: false });
  });

  it('are told whom the team calls, in one line of every card', async () => {
    const user = await open('coordinator');
    const save = screen.getByRole('button', { name: 'Save' }) as HTMLButtonElement;
    expect(save.disabled).toBe(true);
    await user.type(screen.getByLabelText('Whom to call, and how'), 'Rescue desk, channel 4');
    await user.click(save);
    await waitFor(() => expect(server.sent).toHaveLength(1));
    expect(server.sent[0]).toMatchObject({ path: '/api/v1/team/if-hurt', body: { call: 'Rescue desk, channel 4' } });
  });

  it('are told why a number was refused, at its field', async () => {
    const user = await open('coordinator');
    server.answers({ 'PUT /api/v1/team/if-hurt': faulty('call', 'Say whom to call in at most 60 characters.') });
    await user.type(screen.getByLabelText('Whom to call, and how'), 'x');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    expect(await screen.findByText('Say whom to call in at most 60 characters.')).toBeTruthy();
  });

  it('are invited by a link that is shown once', async () => {
    const user = await open('coordinator');
    await user.click(row('Mirren Sedge').getByRole('button', { name: 'Invite' }));
    const link = (await screen.findByLabelText('One-time link for Mirren Sedge')) as HTMLInputElement;
    expect(link.value).toMatch(/^http.*\/join#a-token-of-more-than-twenty-letters$/);
    expect(row('Isla Wrenfell').getByRole('button', { name: 'New password link' })).toBeTruthy();
  });

  it('are added with a role, and the form is empty again', async () => {
    const user = await open('coordinator');
    await user.type(screen.getByLabelText('Name'), 'Wren Holloway');
    await choose(user, 'Role', 'reader');
    expect(screen.getByText(/^A reader:/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Add' }));
    await waitFor(() => expect((screen.getByLabelText('Name') as HTMLInputElement).value).toBe(''));
    expect(server.body(0)).toEqual({ personId: expect.any(String), name: 'Wren Holloway', role: 'reader' });
  });

  it('are looked at, and nothing more, by whoever may not change them', async () => {
    await open('member');
    expect(screen.queryByRole('button')).toBeNull();
    expect(screen.queryByRole('combobox')).toBeNull();
    expect(screen.queryByRole('checkbox')).toBeNull();
    expect(row('Mirren Sedge').getByText(/first aider/)).toBeTruthy();
    expect(screen.getByText('Nobody has said yet whom the team calls.')).toBeTruthy();
  });
});

const page: PersonPageData = {
  person: listed[1] as PersonListed,
  practised: [{ practiceId: 'pr-1', layout: 'Straight pull', on: '2025-11-02', seenBy: 'Isla Wrenfell', note: 'In rain.' }],
  holds: [{ gearId: 'g-1', tag: 'TS-01', name: 'Tree strap', since: '2026-01-10' }],
  inspected: [
    {
      inspectionId: 'i-1',
      gearId: 'g-1',
      tag: 'TS-01',
      name: 'Tree strap',
      kind: 'calendar',
      on: '2025-08-01',
      by: 'Mirren Sedge',
      grade: 'B',
      faults: 0,
      photos: 0,
    },
  ],
  inspections: 7,
};

describe('a person’s page', () => {
  const show_ = async (role: 'member' | 'reader', change: Partial<PersonPageData> = {}) => {
    server.answers({ ...asRole(role), 'GET /api/v1/people': { items: listed }, 'GET /api/v1/people/*': { ...page, ...change } });
    const user = show(<PersonPage />, { address: '/people/p-mirren', path: '/people/:personId' });
    await screen.findByRole('heading', { level: 1, name: /Mirren Sedge/ });
    return user;
  };

  it('tells what they have practised, hold and have inspected', async () => {
    await show_('reader');
    expect(screen.getByText('Straight pull').parentElement?.textContent).toContain('on Nov 2, 2025, seen by Isla Wrenfell');
    expect(screen.getByText('7 inspections on record.')).toBeTruthy();
    expect(screen.getByText(/grade B/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Note the practice' })).toBeNull();
  });

  it('says so where there is nothing', async () => {
    await show_('reader', { practised: [], holds: [], inspected: [], inspections: 0 });
    expect(screen.getByText('No layout noted yet.')).toBeTruthy();
    expect(screen.getByText('Nothing is checked out to Mirren Sedge.')).toBeTruthy();
    expect(screen.getByText('No inspection on record.')).toBeTruthy();
  });

  it('takes a practice that somebody else of the team has seen', async () => {
    const user = await show_('member');
    // Neither oneself nor who has left.
    await waitFor(async () => expect(await offeredBy(user, 'Seen by')).toEqual(['Isla Wrenfell']));
    server.answers({ 'POST /api/v1/people/*/practice': page });
    await user.type(screen.getByLabelText('On'), '2026-01-10');
    await choose(user, 'Seen by', 'Isla Wrenfell');
    await user.click(screen.getByRole('button', { name: 'Note the practice' }));
    await waitFor(() => expect((screen.getByLabelText('On') as HTMLInputElement).value).toBe(''));
    expect(server.sent[0]).toMatchObject({ path: '/api/v1/people/p-mirren/practice', body: { on: '2026-01-10', seenBy: 'p-isla' } });
    expect(server.sent[0]?.body).not.toHaveProperty('note');
  });
});
