import { cleanup, screen, waitFor } from '@testing-library/react';
import { Route } from 'react-router';
import { afterEach, describe, expect, it } from 'vitest';
import { wainropeApi } from '../api/wainrope-api.ts';
import { store } from '../store.ts';
import { fakeServer } from '../testing/fake-server.ts';
import { asRole, session } from '../testing/sample-team.ts';
import { showRoutes } from '../testing/show.tsx';
import { Allowed } from './Allowed.tsx';

const server = fakeServer();
afterEach(cleanup);

const open = (role: 'gear-keeper' | 'member' | 'reader') => {
  server.answers(asRole(role));
  return showRoutes(
    <Route element={<Allowed to="gear.write" title="Change the register" />}>
      <Route path="gear/new" element={<input aria-label="Name" />} />
    </Route>,
    '/gear/new',
  );
};

describe('a page with a form', () => {
  it('is there for whoever may save it', async () => {
    open('gear-keeper');
    expect(await screen.findByLabelText('Name')).toBeTruthy();
  });
  it.each(['member', 'reader'] as const)('tells a %s whose it is, and shows no field', async (role) => {
    open(role);
    expect((await screen.findByText(/This is for/)).textContent).toContain(
      `This is for coordinators and gear keepers. You are signed in as a ${role};`,
    );
    expect(screen.queryByLabelText('Name')).toBeNull();
  });
  it('stays, with what was typed, while a session that ended is taken up again, and goes where somebody else takes it up', async () => {
    const user = open('gear-keeper');
    await user.type(await screen.findByLabelText('Name'), 'Typed before');
    const take = async (who: object) => {
      server.answers({ 'GET /api/v1/session': who });
      store.dispatch(wainropeApi.util.invalidateTags(['Session']));
      const known = () => wainropeApi.endpoints.getSession.select()(store.getState()).data;
      await waitFor(() => expect(known()).toEqual(who));
    };
    const { person: _person, ...ended } = session('gear-keeper');
    await take(ended);
    expect(screen.getByLabelText('Name')).toHaveProperty('value', 'Typed before');
    await take(session('gear-keeper'));
    expect(screen.getByLabelText('Name')).toHaveProperty('value', 'Typed before');
    await take(session('reader'));
    await waitFor(() => expect(screen.queryByLabelText('Name')).toBeNull());
  });
});
