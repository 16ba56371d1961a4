import { cleanup, screen } from '@testing-library/react';
import type { PieceCare } from '@wainrope/contract';
import { afterEach, describe, expect, it } from 'vitest';
import { fakeServer, Refusal } from '../testing/fake-server.ts';
import { asRole, piece } from '../testing/sample-team.ts';
import { show } from '../testing/show.tsx';
import { GearPage } from './GearPage.tsx';

const server = fakeServer();
afterEach(cleanup);

const care: PieceCare = { inspections: [], states: [], exposures: [], defects: [] };
const open = (wear: unknown) => {
  server.answers({
    ...asRole('gear-keeper'),
    'GET /api/v1/gear/*': piece('TS-01'),
    'GET /api/v1/gear/*/life': { items: [] },
    'GET /api/v1/gear/*/care': care,
    'GET /api/v1/gear/*/wear': wear,
    'GET /api/v1/gear/*/loads': { items: [] },
    'GET /api/v1/audit/*': { items: [] },
  });
  show(<GearPage />, { address: '/gear/g-ts-01', path: '/gear/:gearId' });
};
const heading = (name: string) => screen.findByRole('heading', { name });

describe('the book of a piece', () => {
  it('stands when all of it is there, so that no button moves under a finger', async () => {
    let arrive = (_answer: unknown) => {};
    const answer = new Promise((resolve) => {
      arrive = resolve;
    });
    open(() => answer);
    await screen.findByText('Loading its book…');
    await heading('What was done to it');
    expect(screen.queryByRole('button', { name: 'Log a load' })).toBeNull();
    arrive({ series: [] });
    await heading('Loads');
    await screen.findByRole('button', { name: 'Log a load' });
    expect(screen.queryByText('Loading its book…')).toBeNull();
  });

  it('does not wait for a part that was refused', async () => {
    open(new Refusal(403));
    await heading('Wear');
    await screen.findByRole('button', { name: 'Log a load' });
    await screen.findByRole('alert');
  });
});
