import { cleanup, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { fakeServer } from '../testing/fake-server.ts';
import { leadsTo, show } from '../testing/show.tsx';
import { BringTeam } from './BringTeam.tsx';

const server = fakeServer();
afterEach(cleanup);

const people = [
  { person_id: 'p-1', name: 'Isla Wrenfell', role: 'coordinator' },
  { person_id: 'p-2', name: 'Mirren Quaile', role: 'member' },
];
const teamFile = { format: 'wainrope.team', version: 1, team: { name: 'Harrowmoss' }, tables: { person: people } };

/** The form with a file chosen and an account named. */
async function filled(text: string) {
  const user = show(<BringTeam token="the-token" />);
  // A file's own text is read by the browser, which the page's stand-in is not.
  const file = Object.assign(new File([text], 'wainrope.team.json'), { text: async () => text });
  await user.upload(screen.getByLabelText('The team’s file'), file);
  return user;
}

async function signed(user: Awaited<ReturnType<typeof filled>>) {
  await user.type(await screen.findByLabelText('Sign-in name'), 'isla');
  await user.type(screen.getByLabelText(/^Password/), 'peat and heather');
  await user.click(screen.getByRole('button', { name: 'Bring the team in' }));
}

describe('a team that comes in from its file', () => {
  it('is sent whole, under one of its coordinators', async () => {
    server.answers({ 'POST /api/v1/invitations/bundle': { signedIn: true } });
    await signed(await filled(JSON.stringify(teamFile)));
    await vi.waitFor(() => expect(leadsTo()).toBe('/'));
    expect(server.body(0)).toEqual({ token: 'the-token', login: 'isla', password: 'peat and heather', personId: 'p-1', bundle: teamFile });
  });

  it('is refused at once where it is no team’s file', async () => {
    await filled('{"format":"other"}');
    expect(await screen.findByText(/not a team’s file/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Bring the team in' })).toBeNull();
  });

  it('is stopped while it is read, and what that means is said', async () => {
    const asked = vi.fn(() => new Promise<Response>(() => undefined));
    vi.stubGlobal('fetch', asked);
    const user = await filled(JSON.stringify(teamFile));
    await signed(user);
    expect(screen.queryByRole('status')).toBeNull();
    await user.click(await screen.findByRole('button', { name: 'Stop' }, { timeout: 20_000 }));
    expect((await screen.findByRole('alert')).textContent).toContain('Stopped.');
    expect(screen.queryByRole('button', { name: 'Stop' })).toBeNull();
    expect(screen.getByRole('button', { name: 'Bring the team in' })).toHaveProperty('disabled', false);
    expect(asked).toHaveBeenCalledTimes(1);
  });
});
