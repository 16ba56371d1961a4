import { cleanup, screen, waitFor, within } from '@testing-library/react';
import type { PieceCare } from '@wainrope/contract';
import { afterEach, describe, expect, it } from 'vitest';
import { choose, offeredBy } from '../testing/choose.ts';
import { fakeServer, faulty } from '../testing/fake-server.ts';
import { asRole, piece, TODAY } from '../testing/sample-team.ts';
import { show } from '../testing/show.tsx';
import { CareSection } from './CareSection.tsx';

const server = fakeServer();
afterEach(cleanup);

const care: PieceCare = {
  inspections: [
    {
      inspectionId: 'i-1',
      gearId: 'g-ts-01',
      tag: 'TS-01',
      name: 'Tree strap',
      kind: 'calendar',
      on: '2025-08-01',
      by: 'Tomas Aldbrook',
      grade: 'D',
      faults: 1,
      photos: 0,
    },
    {
      inspectionId: 'i-0',
      gearId: 'g-ts-01',
      tag: 'TS-01',
      name: 'Tree strap',
      kind: 'before-use',
      on: '2025-07-01',
      by: 'Mirren Sedge',
      faults: 0,
      photos: 0,
    },
  ],
  states: [{ at: '2025-08-01T10:00:00Z', by: 'Tomas Aldbrook', from: 'in-use', to: 'quarantined', reason: 'Cut at the eye' }],
  exposures: [{ exposureId: 'e-1', kind: 'salt', on: '2025-06-01', by: 'Mirren Sedge', note: 'At the shore' }],
  defects: [
    {
      defectId: 'd-1',
      gearId: 'g-ts-01',
      tag: 'TS-01',
      name: 'Tree strap',
      inspectionId: 'i-1',
      point: 'eye',
      words: 'Cut at the eye',
      failed: true,
      openedOn: '2025-08-01',
      openedBy: 'Tomas Aldbrook',
    },
    {
      defectId: 'd-0',
      gearId: 'g-ts-01',
      tag: 'TS-01',
      name: 'Tree strap',
      inspectionId: 'i-0',
      point: 'seam',
      words: 'Fuzzy seam',
      failed: false,
      openedOn: '2025-01-01',
      openedBy: 'Isla Wrenfell',
      closedOn: '2025-02-01',
      how: 'Trimmed',
    },
  ],
};
type Role = 'gear-keeper' | 'member' | 'reader';
const open = async (role: Role, change: Parameters<typeof piece>[1] = {}) => {
  server.answers({ ...asRole(role), 'GET /api/v1/gear/*/care': care });
  const user = show(<CareSection gear={piece('TS-01', change)} today={TODAY} />);
  await screen.findByRole('heading', { name: 'Inspections and checks' });
  return user;
};
const acts = () =>
  [...screen.queryAllByRole('button'), ...screen.queryAllByRole('link', { name: /^Inspect/ })].map((entry) => entry.textContent?.trim());

describe('the care of a piece', () => {
  it('tells its inspections, defects, exposures and states', async () => {
    await open('reader');
    const section = within(screen.getByRole('region', { name: 'Care' }));
    expect(section.getByText('grade D').className).toContain('text-rust');
    expect(section.getByText('fit')).toBeTruthy();
    expect(section.getByText(/open since Aug 1, 2025/)).toBeTruthy();
    expect(section.getByText(/from Jan 1, 2025, closed Feb 1, 2025: Trimmed/)).toBeTruthy();
    expect(section.getByText(/Mirren Sedge: At the shore/)).toBeTruthy();
  });

  it.each<[Role, object, string[]]>([
    ['reader', {}, []],
    ['member', {}, ['Note exposure or washing', 'Quarantine', 'Inspect']],
    ['gear-keeper', {}, ['Note exposure or washing', 'Quarantine', 'Correct a counter', 'Retire', 'Inspect']],
    ['member', { state: 'quarantined' }, ['Note exposure or washing', 'Inspect']],
    ['gear-keeper', { state: 'quarantined' }, ['Note exposure or washing', 'Correct a counter', 'Retire', 'Inspect and return']],
    ['gear-keeper', { state: 'retired' }, []],
  ])('offers a %s of one that is %o: %o', async (role, change, offered) => {
    await open(role, change);
    await waitFor(() => expect(acts()).toEqual(offered));
  });

  it('puts it into quarantine with a reason, and keeps the form open where that is refused', async () => {
    const user = await open('member');
    await user.click(await screen.findByRole('button', { name: 'Quarantine' }));
    server.answers({ 'POST /api/v1/gear/*/quarantine': faulty('reason', 'Say why it goes into quarantine.') });
    await user.click(screen.getByRole('button', { name: 'Put into quarantine' }));
    expect(await screen.findByText('Say why it goes into quarantine.')).toBeTruthy();
    server.answers({ 'POST /api/v1/gear/*/quarantine': piece('TS-01', { state: 'quarantined' }) });
    await user.type(screen.getByLabelText(/Why does it go into quarantine/), 'Fell from the truck');
    await user.click(screen.getByRole('button', { name: 'Put into quarantine' }));
    await waitFor(() => expect(screen.queryByLabelText(/Why does it go/)).toBeNull());
    expect(server.sent[1]).toMatchObject({ path: '/api/v1/gear/g-ts-01/quarantine', body: { reason: 'Fell from the truck' } });
  });

  it('corrects a counter by a whole number, with the reason; pulls only where it counts them', async () => {
    const user = await open('gear-keeper', { overloadsSinceInspection: 2 });
    server.answers({ 'POST /api/v1/gear/*/counters': care });
    await user.click(await screen.findByRole('button', { name: 'Correct a counter' }));
    expect(await offeredBy(user, 'Which counter')).toEqual(['Overloads since inspection']);
    await user.type(screen.getByLabelText('Why was it wrong?'), 'Counted twice');
    await user.click(screen.getByRole('button', { name: 'Correct it' }));
    expect(await screen.findByText('Give a whole number, 0 or more.')).toBeTruthy();
    await user.type(screen.getByLabelText(/^How many it should be \(now 2\)/), '-1');
    await user.click(screen.getByRole('button', { name: 'Correct it' }));
    expect(await screen.findByText('“-1” is not a whole number from 0 to 999999.')).toBeTruthy();
    expect(server.sent).toEqual([]);
    await user.clear(screen.getByLabelText(/How many it should be/));
    await user.type(screen.getByLabelText(/How many it should be/), '0');
    await user.click(screen.getByRole('button', { name: 'Correct it' }));
    await waitFor(() => expect(screen.queryByLabelText('Which counter')).toBeNull());
    expect(server.body(0)).toEqual({ counter: 'overloads', value: 0, reason: 'Counted twice' });
    cleanup();
    server.forget();
    await open('gear-keeper', { kind: 'stretch-rope', attributes: { pullsUsed: 9 } });
    await user.click(await screen.findByRole('button', { name: 'Correct a counter' }));
    expect(await offeredBy(user, 'Which counter')).toContain('Pulls used');
    expect(screen.getByLabelText('How many it should be (now 9)')).toBeTruthy();
  });

  it('retires it with how it was destroyed', async () => {
    const user = await open('gear-keeper');
    server.answers({ 'POST /api/v1/gear/*/retire': piece('TS-01', { state: 'retired' }) });
    await user.click(await screen.findByRole('button', { name: 'Retire' }));
    await user.type(screen.getByLabelText('Why is it retired?'), 'Cut');
    await user.type(screen.getByLabelText('How was it destroyed?'), 'Cut into short lengths');
    await user.click(screen.getByRole('button', { name: 'Retire it' }));
    await waitFor(() => expect(server.sent).toHaveLength(1));
    expect(server.body(0)).toEqual({ reason: 'Cut', destroyed: 'Cut into short lengths' });
  });

  it('notes what it met, today unless another day is said, and lets one think better of it', async () => {
    const user = await open('member');
    server.answers({ 'POST /api/v1/gear/*/exposures': care });
    await user.click(await screen.findByRole('button', { name: 'Note exposure or washing' }));
    await user.click(screen.getByRole('button', { name: 'Cancel' }));
    expect(screen.queryByLabelText('What it met')).toBeNull();
    await user.click(screen.getByRole('button', { name: 'Note exposure or washing' }));
    await choose(user, 'What it met', 'Salt');
    await user.click(screen.getByRole('button', { name: 'Note it' }));
    await waitFor(() => expect(server.sent).toHaveLength(1));
    expect(server.body(0)).toEqual({ exposureId: expect.any(String), kind: 'salt', on: TODAY });
  });
});
