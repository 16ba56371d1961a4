import { cleanup, screen, waitFor, within } from '@testing-library/react';
import type { GearView } from '@wainrope/contract';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { choose } from '../testing/choose.ts';
import { fakeServer, faulty, stale } from '../testing/fake-server.ts';
import { asRole, piece } from '../testing/sample-team.ts';
import { leadsTo, show } from '../testing/show.tsx';
import { GearEditPage } from './GearEditPage.tsx';
import { GearListPage } from './GearListPage.tsx';

const server = fakeServer();
afterEach(cleanup);

describe('adding a piece', () => {
  const open = async () => {
    server.answers({ ...asRole('gear-keeper'), 'POST /api/v1/gear': ({ body }: { body: unknown }) => body });
    const user = show(<GearEditPage />, { address: '/gear/new' });
    return user;
  };

  it('sends what was typed in SI units, marks as they stand, empty fields left out', async () => {
    const user = await open();
    await choose(user, 'Class', 'Tree strap');
    await user.type(screen.getByLabelText('Tag'), 'TS-90');
    await user.type(screen.getByLabelText('Name'), 'Tree strap');
    await user.type(screen.getByLabelText('Mark 1'), 'MBS 9 t');
    await user.type(screen.getByLabelText('Length'), '240 cm');
    await user.type(screen.getByLabelText('Owner'), 'Isla Wrenfell');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(leadsTo()).not.toBe('/gear/new'));
    expect(leadsTo()).toBe(`/gear/${server.body<GearView>(0).gearId}`);
    expect(server.body(0)).toMatchObject({
      tag: 'TS-90',
      kind: 'tree-strap',
      marks: [{ asWritten: 'MBS 9 t', source: 'stamped' }],
      attributes: { lengthM: expect.closeTo(2.4, 9) },
      owner: 'Isla Wrenfell',
      overloadsSinceInspection: 0,
    });
    expect(server.body(0)).not.toHaveProperty('maker');
  });

  it('saves one and goes on to the next of its sort, its tag counted on', async () => {
    const user = await open();
    await choose(user, 'Class', 'Steel shackle');
    await user.type(screen.getByLabelText('Tag'), 'SH-09');
    await user.type(screen.getByLabelText('Mark 1'), 'WLL 4.75 t');
    await user.type(screen.getByLabelText('Note'), 'Painted red');
    await user.click(screen.getByRole('button', { name: 'Save and add another' }));
    expect((await screen.findByRole('status')).textContent).toContain('SH-09');
    expect(leadsTo()).toBe('/gear/new');
    expect(screen.getByLabelText('Tag')).toHaveProperty('value', 'SH-10');
    expect(screen.getByLabelText('Mark 1')).toHaveProperty('value', 'WLL 4.75 t');
    expect(screen.getByLabelText('Note')).toHaveProperty('value', '');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(server.sent).toHaveLength(2));
    expect(server.body(1)).toMatchObject({ tag: 'SH-10', kind: 'steel-shackle' });
    expect(server.body<GearView>(1).gearId).not.toBe(server.body<GearView>(0).gearId);
  });

  it('offers what is marked on a winch as its rated pull', async () => {
    const user = await open();
    await choose(user, 'Class', 'Winch');
    await user.type(screen.getByLabelText('Mark 1'), '9500 lb');
    await user.click(screen.getByRole('button', { name: 'Yes, its rated pull' }));
    expect(document.getElementById('mark-0-understood')?.textContent).toContain('42.3 kN, rated pull');
    expect(screen.queryByRole('button', { name: 'Yes, its rated pull' })).toBeNull();
  });

  it('shows a mark as understood while it is typed', async () => {
    const user = await open();
    await choose(user, 'Class', 'Tree strap');
    await user.type(screen.getByLabelText('Mark 1'), 'WLL 3 t');
    const understood = () => document.getElementById('mark-0-understood')?.textContent ?? '';
    expect(understood()).toContain('29.4 kN');
    await user.clear(screen.getByLabelText('Mark 1'));
    await user.type(screen.getByLabelText('Mark 1'), '3 ton');
    expect(understood()).toMatch(/ton/);
  });

  it('sends nothing while a field is not understood, and names each at its place', async () => {
    const user = await open();
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(screen.getByLabelText(/^Class/).getAttribute('aria-invalid')).toBe('true'));
    expect(server.sent).toEqual([]);
    await choose(user, /^Class/, 'Tree strap');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(screen.getByLabelText(/^Tag/).getAttribute('aria-invalid')).toBe('true'));
    await user.type(screen.getByLabelText(/^Tag/), 'TS-90');
    await user.type(screen.getByLabelText(/^Name/), 'Strap');
    await user.type(screen.getByLabelText('Length'), 'long');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(screen.getByLabelText(/^Length/).getAttribute('aria-invalid')).toBe('true'));
    expect(server.sent).toEqual([]);
  });

  it('shows what the server refused', async () => {
    const user = await open();
    server.answers({ 'POST /api/v1/gear': faulty('tag', 'TS-90 is taken by Tree strap 2 m.') });
    await choose(user, 'Class', 'Tree strap');
    await user.type(screen.getByLabelText('Tag'), 'TS-90');
    await user.type(screen.getByLabelText('Name'), 'Strap');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    expect((await screen.findAllByText(/TS-90 is taken/)).length).toBeGreaterThan(0);
    expect(leadsTo()).toBe('/gear/new');
  });
});

describe('changing a piece', () => {
  const open = async () => {
    server.answers({ ...asRole('gear-keeper'), 'GET /api/v1/gear/*': piece('TS-01') });
    const user = show(<GearEditPage />, { address: '/gear/g-ts-01/edit', path: '/gear/:gearId/edit' });
    await screen.findByRole('heading', { name: 'Edit TS-01' });
    return user;
  };

  it('names the version it was made from, and never the state', async () => {
    const user = await open();
    expect(screen.getByLabelText('State')).toHaveProperty('disabled', true);
    server.answers({ 'PUT /api/v1/gear/*': piece('TS-01', { rowVersion: 4 }) });
    await user.type(screen.getByLabelText('Note'), 'Washed');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(leadsTo()).toBe('/gear/g-ts-01'));
    expect(server.body(0)).toMatchObject({ rowVersion: 3, note: 'Washed', attributes: { lengthM: 2.4, widthM: 0.06 }, state: 'in-use' });
  });

  it('that somebody else changed first shows both, and keeps mine only where I say so', async () => {
    const user = await open();
    const theirs = piece('TS-01', { name: 'Tree strap, red', rowVersion: 8 });
    server.answers({ 'PUT /api/v1/gear/*': () => (server.sent.length === 1 ? stale(theirs) : theirs) });
    await user.clear(screen.getByLabelText('Name'));
    await user.type(screen.getByLabelText('Name'), 'Tree strap, blue');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await user.click(await screen.findByRole('button', { name: /Keep mine/ }));
    expect((screen.getByLabelText('Name') as HTMLInputElement).value).toBe('Tree strap, blue');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(server.sent).toHaveLength(2));
    expect(server.body<GearView>(1)).toMatchObject({ rowVersion: 8, name: 'Tree strap, blue' });
  });
});

describe('the register’s list', () => {
  const REGISTER = [
    piece('TS-01', { kitId: 'k-bog', maker: 'Fellside' }),
    piece('TS-02', { state: 'quarantined' }),
    piece('CH-01', { kind: 'chain', name: 'Chain 8 mm', attributes: {} }),
  ];
  const open = async (address = '/gear', role: 'gear-keeper' | 'member' = 'gear-keeper') => {
    server.answers(asRole(role, REGISTER));
    const user = show(<GearListPage />, { address });
    await screen.findByText(/of 3 pieces/);
    return user;
  };
  const tags = () =>
    screen.queryAllByRole('row').flatMap((row) => within(row).queryByRole('link')?.getAttribute('aria-label')?.split(' ')[0] ?? []);

  it('is narrowed by search, class, state and kit, each in the link', async () => {
    const user = await open('/gear?state=quarantined');
    expect(screen.getByText('1 of 3 pieces')).toBeTruthy();
    await choose(user, 'State', 'State: all');
    await choose(user, 'Kit', 'Bog bag');
    expect(leadsTo()).toBe('/gear?kit=Bog+bag');
    await user.type(screen.getByRole('searchbox'), 'fellside');
    await waitFor(() => expect(leadsTo()).toBe('/gear?kit=Bog+bag&q=fellside'));
    expect(screen.getByText('1 of 3 pieces')).toBeTruthy();
    await user.type(screen.getByRole('searchbox'), 'x');
    expect(await screen.findByText(/No piece fits this search/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Show all' }));
    expect(await screen.findByText('3 of 3 pieces')).toBeTruthy();
    expect(leadsTo()).toBe('/gear');
  });

  it('is sorted by a heading, and back by the same one', async () => {
    const user = await open();
    expect(tags()).toEqual(['CH-01', 'TS-01', 'TS-02']);
    await user.click(screen.getByRole('button', { name: 'Tag' }));
    expect(leadsTo()).toBe('/gear?sort=-tag');
    expect(tags()).toEqual(['TS-02', 'TS-01', 'CH-01']);
    expect(screen.getByRole('columnheader', { name: 'Tag' }).getAttribute('aria-sort')).toBe('descending');
    await user.click(screen.getByRole('button', { name: 'Tag' }));
    expect(leadsTo()).toBe('/gear?sort=tag');
  });

  it('goes to its search by the key /, but not while somebody types', async () => {
    const user = await open();
    await user.keyboard('/');
    expect(document.activeElement).toBe(screen.getByRole('searchbox'));
    await user.keyboard('a/b');
    expect((screen.getByRole('searchbox') as HTMLInputElement).value).toBe('a/b');
  });

  it('offers import and a new piece to whoever keeps the gear', async () => {
    await open('/gear', 'member');
    expect(screen.queryByRole('link', { name: /Import/ })).toBeNull();
    expect(screen.getByRole('link', { name: /Export/ })).toBeTruthy();
  });
});

/** Rows are drawn by how much room there is; a page in a test has none: here all of them are. */
vi.mock('@tanstack/react-virtual', () => ({
  useVirtualizer: ({ count }: { count: number }) => ({
    getTotalSize: () => count * 44,
    scrollToIndex: () => undefined,
    getVirtualItems: () => Array.from({ length: count }, (_, index) => ({ index, key: index, start: index * 44, size: 44 })),
  }),
}));
vi.mock('../shell/use-media.ts', () => ({ useNarrow: () => false, useUpright: () => false, usePrinting: () => false }));
