import { cleanup, screen, waitFor } from '@testing-library/react';
import type { OwnFigureView } from '@wainrope/contract';
import { afterEach, describe, expect, it } from 'vitest';
import { fakeServer } from '../../testing/fake-server.ts';
import { asRole } from '../../testing/sample-team.ts';
import { show } from '../../testing/show.tsx';
import { OwnFigures } from './OwnFigures.tsx';

const server = fakeServer();
afterEach(cleanup);

describe('a figure of the team’s own', () => {
  const off: OwnFigureView = {
    surface: 'bog',
    depth: 'sills',
    machine: 'Otter',
    lastOn: '2026-01-09',
    pulls: 12,
    median: 1.2,
    low: 1.1,
    high: 1.21,
    largest: 1.3,
    adoptable: 1.331,
    ofPlanned: 0.7,
  };
  const open = async (role: 'coordinator' | 'member', items: readonly OwnFigureView[] = [off]) => {
    server.answers({ ...asRole(role), 'GET /api/v1/own-figures': { items } });
    const user = show(<OwnFigures />);
    await screen.findAllByText(/of its weight/);
    return user;
  };
  const offer = () => screen.queryByRole('button', { name: 'Plan by this figure' });

  it('may be planned by from ten pulls on: what it changes is shown first, and the reason asked for', async () => {
    const user = await open('coordinator');
    await screen.findByText('Plans could go by 133 % of its weight.');
    const plans = [{ planId: 'p-1', name: 'Otter at the ford', before: 'stop', after: 'caution' }];
    server.answers({
      'POST /api/v1/policy/own-figures/preview': { changes: [], plans },
      'POST /api/v1/policy/own-figures': {},
    });
    await user.click(await screen.findByRole('button', { name: 'Plan by this figure' }));
    expect(screen.queryByRole('button', { name: 'Plan by it' })).toBeNull();
    await user.click(screen.getByRole('button', { name: 'What would it change?' }));
    await screen.findByRole('link', { name: 'Otter at the ford' });
    const put = screen.getByRole('button', { name: 'Plan by it' });
    expect(put).toHaveProperty('disabled', true);
    await user.type(screen.getByLabelText('Why does the team plan by it?'), 'Twelve pulls');
    await user.click(put);
    await waitFor(() => expect(server.sent).toHaveLength(2));
    const key = { surface: 'bog', depth: 'sills', machine: 'Otter' };
    expect(server.body(0)).toEqual(key);
    expect(server.body(1)).toEqual({ ...key, baseHash: 'hash-1', reason: 'Twelve pulls' });
  });
  it('is decided by a coordinator, and only where there are pulls enough', async () => {
    await open('member');
    await screen.findByText('Plans could go by 133 % of its weight.');
    expect(offer()).toBeNull();
    cleanup();
    const { adoptable: _none, ...few } = off;
    server.forget();
    await open('coordinator', [{ ...few, pulls: 9 }]);
    expect(offer()).toBeNull();
    expect(screen.queryByText(/Plans could go by/)).toBeNull();
  });
});
