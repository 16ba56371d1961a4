import { cleanup, screen, waitFor } from '@testing-library/react';
import type { InvitationView } from '@wainrope/contract';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { fakeServer, faulty, Refusal } from '../testing/fake-server.ts';
import { asRole, session } from '../testing/sample-team.ts';
import { leadsTo, show } from '../testing/show.tsx';
import { AccountPage } from './AccountPage.tsx';
import { JoinPage } from './JoinPage.tsx';
import { SignInForm } from './SignInForm.tsx';

const server = fakeServer();
afterEach(cleanup);

describe('signing in', () => {
  const out = { ...session(), signedIn: false, person: undefined };

  it('sends the name and the password, and says what was wrong', async () => {
    server.answers({
      'POST /api/v1/session': new Refusal(401, { title: 'Not signed in', detail: 'This name and password do not go together.' }),
    });
    const user = show(<SignInForm session={out} />);
    await user.type(screen.getByLabelText('Sign-in name'), 'isla');
    await user.type(screen.getByLabelText('Password'), 'peat and heather');
    await user.click(screen.getByRole('button', { name: 'Sign in' }));
    expect((await screen.findByRole('alert')).textContent).toContain('This name and password do not go together.');
    expect(server.body(0)).toEqual({ login: 'isla', password: 'peat and heather' });
  });

  it('offers the people of a demo, and nobody where there is none', async () => {
    server.answers({ 'POST /api/v1/session/demo': session('member') });
    const user = show(
      <SignInForm session={{ ...out, demo: 'Made up.', demoPeople: [{ personId: 'p-m', name: 'Mirren Sedge', role: 'member' }] }} />,
    );
    await user.click(screen.getByRole('button', { name: /Mirren Sedge/ }));
    await waitFor(() => expect(server.sent).toHaveLength(1));
    expect(server.body(0)).toEqual({ personId: 'p-m' });
    cleanup();
    show(<SignInForm session={out} />);
    expect(screen.queryByRole('region', { name: 'Demo' })).toBeNull();
  });

  it('says that a session has ended, and that a server has no team yet', () => {
    show(<SignInForm session={{ ...out, needsSetUp: true }} again />);
    expect(screen.getByRole('heading', { name: 'Your session has ended' })).toBeTruthy();
    expect(screen.getByText(/There is no team on this server yet/)).toBeTruthy();
  });
});

const TOKEN = 'a-token-of-more-than-twenty-letters';
const invitation = (change: Partial<InvitationView> = {}): InvitationView => ({
  foundsTeam: false,
  teamName: 'Harrowmoss Recovery',
  personName: 'Wren Holloway',
  role: 'member',
  expiresAt: '2026-01-22',
  ...change,
});

describe('a one-time link', () => {
  beforeEach(() => {
    window.location.hash = `#${TOKEN}`;
  });
  const open = async (looked: unknown, heading: string) => {
    server.answers({ 'POST /api/v1/invitations/look': looked, 'POST /api/v1/invitations/accept': session('member') });
    const user = show(<JoinPage />, { address: '/join' });
    await screen.findByRole('heading', { name: heading });
    return user;
  };

  it('joins a team under a name of one’s own', async () => {
    const user = await open(invitation(), 'Join Harrowmoss Recovery');
    expect(screen.getByText('You are Wren Holloway, member of Harrowmoss Recovery.')).toBeTruthy();
    await user.type(screen.getByLabelText('Sign-in name'), 'wren');
    await user.type(screen.getByLabelText('Password'), 'peat and heather');
    await user.click(screen.getByRole('button', { name: 'Join' }));
    await waitFor(() => expect(leadsTo()).toBe('/'));
    expect(server.body(0)).toEqual({ token: TOKEN });
    expect(server.body(1)).toEqual({ token: TOKEN, login: 'wren', password: 'peat and heather' });
  });

  it('founds a team and names both, or brings one in from its file', async () => {
    const user = await open({ foundsTeam: true, expiresAt: '2026-01-22' }, 'Found a team');
    await user.type(screen.getByLabelText('Name of the team'), 'Beckfoot Recovery');
    await user.type(screen.getByLabelText('Your name'), 'Wren Holloway');
    await user.type(screen.getByLabelText('Sign-in name'), 'wren');
    await user.type(screen.getByLabelText('Password'), 'peat and heather');
    await user.click(screen.getByRole('button', { name: 'A team from its file' }));
    expect(screen.getByRole('heading', { name: 'Bring a team in' })).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'A new team' }));
    // What was typed is still there.
    await user.click(screen.getByRole('button', { name: 'Found the team' }));
    await waitFor(() => expect(leadsTo()).toBe('/'));
    expect(server.body(1)).toMatchObject({ teamName: 'Beckfoot Recovery', personName: 'Wren Holloway', login: 'wren' });
  });

  it('sets a new password and keeps the name', async () => {
    const user = await open(invitation({ login: 'wren' }), 'Set a new password');
    expect(screen.queryByLabelText('Sign-in name')).toBeNull();
    server.answers({ 'POST /api/v1/invitations/accept': faulty('password', 'The password must have 10 to 200 characters.') });
    await user.type(screen.getByLabelText('Password'), 'short');
    await user.click(screen.getByRole('button', { name: 'Set the password' }));
    expect(await screen.findByText('The password must have 10 to 200 characters.')).toBeTruthy();
    expect(leadsTo()).toBe('/join');
    expect(server.body(1)).toMatchObject({ login: 'wren' });
  });

  it('that is used up or cut short says so', async () => {
    window.location.hash = '#short';
    server.answers({
      'POST /api/v1/invitations/look': new Refusal(404, { title: 'Not found', detail: 'This link is used, or its time is over.' }),
    });
    show(<JoinPage />, { address: '/join' });
    expect((await screen.findByRole('alert')).textContent).toContain('This link is used, or its time is over.');
    expect(screen.queryByRole('button')).toBeNull();
    expect(server.body<{ token: string }>(0).token).toHaveLength(20);
  });
});

describe('one’s own account', () => {
  const open = async (active: boolean) => {
    server.answers({
      ...asRole('member'),
      'GET /api/v1/calendar-link': { active },
      'POST /api/v1/calendar-link': () => {
        server.answers({ 'GET /api/v1/calendar-link': { active: true } });
        return { active: true, path: '/api/v1/calendar/the-token' };
      },
      'DELETE /api/v1/calendar-link': () => {
        server.answers({ 'GET /api/v1/calendar-link': { active: false } });
        return { active: false };
      },
      'PUT /api/v1/session/password': undefined,
      'DELETE /api/v1/session': undefined,
      'DELETE /api/v1/session/everywhere': undefined,
    });
    const user = show(<AccountPage />);
    await screen.findByRole('heading', { name: 'Mirren Sedge' });
    return user;
  };

  it('makes a calendar’s address, shows it once, and ends it', async () => {
    const user = await open(false);
    await user.click(await screen.findByRole('button', { name: 'Make an address' }));
    const address = (await screen.findByLabelText('Private calendar address')) as HTMLInputElement;
    expect(address.value).toMatch(/\/api\/v1\/calendar\/the-token$/);
    await user.click(screen.getByRole('button', { name: 'Revoke it' }));
    await waitFor(() => expect(screen.queryByLabelText('Private calendar address')).toBeNull());
    expect(screen.getByRole('button', { name: 'Make an address' })).toBeTruthy();
  });

  it('that has an address is not shown it again', async () => {
    await open(true);
    expect(await screen.findByRole('button', { name: 'Make a new address; the old one ends' })).toBeTruthy();
    expect(screen.queryByLabelText('Private calendar address')).toBeNull();
  });

  it('changes its password, and forgets what was typed only once it is changed', async () => {
    const user = await open(false);
    const [current, next] = [screen.getByLabelText('Password you use now'), screen.getByLabelText(/^New password/)] as HTMLInputElement[];
    if (!current || !next) throw new Error('the form has no fields');
    server.answers({ 'PUT /api/v1/session/password': faulty('current', 'That is not the password you use now.') });
    await user.type(current, 'wrong');
    await user.type(next, 'rushes and a long line');
    await user.click(screen.getByRole('button', { name: 'Change it' }));
    expect(await screen.findByText('That is not the password you use now.')).toBeTruthy();
    expect(next.value).toBe('rushes and a long line');
    server.answers({ 'PUT /api/v1/session/password': undefined });
    await user.click(screen.getByRole('button', { name: 'Change it' }));
    expect((await screen.findByRole('status')).textContent).toContain('The password is changed');
    expect([current.value, next.value]).toEqual(['', '']);
  });

  it('signs out here, and everywhere', async () => {
    const user = await open(false);
    await user.click(screen.getByRole('button', { name: 'Sign out' }));
    await user.click(screen.getByRole('button', { name: 'Sign out on every device' }));
    await waitFor(() =>
      expect(server.sent.map(({ method, path }) => `${method} ${path}`)).toEqual([
        'DELETE /api/v1/session',
        'DELETE /api/v1/session/everywhere',
      ]),
    );
  });
});
