import { cleanup, screen, waitFor, within } from '@testing-library/react';
import type { BreakTestView } from '@wainrope/contract';
import { afterEach, describe, expect, it } from 'vitest';
import { fakeServer } from '../testing/fake-server.ts';
import { asRole, piece, TODAY } from '../testing/sample-team.ts';
import { show } from '../testing/show.tsx';
import { BreakTests } from './BreakTests.tsx';

const server = fakeServer();
afterEach(cleanup);

const strap = piece('A-1', { maker: 'Dolmoor Cordage', batch: 'K-1187' });
const test: BreakTestView = {
  testId: 't-1',
  on: '2026-01-10',
  kind: 'tree-strap',
  maker: 'Dolmoor Cordage',
  batch: 'K-1187',
  loadN: 84_300,
  failedFirst: 'Stitching of one eye',
  by: 'Isla Wrenfell',
  at: '2026-01-10T10:00:00Z',
};
const open = (role: 'gear-keeper' | 'member', items: readonly BreakTestView[], gear = strap) => {
  server.answers({ ...asRole(role), 'GET /api/v1/gear/*/break-tests': { items, pieces: 3 } });
  return show(<BreakTests gear={gear} today={TODAY} decimal="." />);
};

describe('break tests of a batch', () => {
  it('stand with each piece of it, and say that no limit comes from them', async () => {
    open('member', [test]);
    const section = await screen.findByRole('region', { name: 'Break tests of its batch' });
    const line = await within(section).findByRole('listitem');
    expect(line.textContent).toContain('84.3 kN');
    expect(line.textContent).toContain('First to fail: Stitching of one eye');
    within(section).getByText(/3 of that batch are in the register\. One that held says little about another: no limit is worked out/);
    expect(within(section).queryByRole('button')).toBeNull();
  });
  it('are recorded by a keeper, with class, maker and batch of the piece', async () => {
    const user = open('gear-keeper', []);
    await user.click(await screen.findByRole('button', { name: 'Record a break test of batch K-1187' }));
    await user.click(screen.getByRole('button', { name: 'Keep it' }));
    screen.getByText('Give the load at which it failed.');
    await user.type(screen.getByLabelText(/^Failed at/), '84.3 kN');
    await user.type(screen.getByLabelText('What failed first'), 'Stitching');
    server.answers({
      ...asRole('gear-keeper'),
      'POST /api/v1/break-tests': test,
      'GET /api/v1/gear/*/break-tests': { items: [test], pieces: 3 },
    });
    await user.click(screen.getByRole('button', { name: 'Keep it' }));
    await waitFor(() => expect(server.sent).toHaveLength(1));
    expect(server.sent[0]?.body).toMatchObject({
      kind: 'tree-strap',
      maker: 'Dolmoor Cordage',
      batch: 'K-1187',
      loadN: 84_300,
      failedFirst: 'Stitching',
      on: TODAY,
    });
  });
  it('of a piece whose maker or batch nobody knows are not asked for', () => {
    open('gear-keeper', [], piece('A-1', { maker: 'Dolmoor Cordage' }));
    expect(screen.queryByRole('region')).toBeNull();
  });
});
