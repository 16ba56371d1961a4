import { cleanup, screen, waitFor } from '@testing-library/react';
import type { SheetView } from '@wainrope/contract';
import { standardSheets } from '@wainrope/core';
import { afterEach, describe, expect, it } from 'vitest';
import { wainropeApi } from '../api/wainrope-api.ts';
import { store } from '../store.ts';
import { choose } from '../testing/choose.ts';
import { fakeServer, faulty } from '../testing/fake-server.ts';
import { asRole } from '../testing/sample-team.ts';
import { leadsTo, show } from '../testing/show.tsx';
import { SheetsPage } from './SheetsPage.tsx';

const server = fakeServer();
afterEach(cleanup);

const sheet = standardSheets['tree-strap'];
const view = (change: Partial<SheetView> = {}): SheetView => ({ kind: 'tree-strap', version: 0, sheet, ...change });
const open = async (role: 'coordinator' | 'member' = 'coordinator') => {
  server.answers({
    ...asRole(role),
    'GET /api/v1/inspection-sheets': { items: [view(), { kind: 'chain', version: 0, sheet: standardSheets.chain }] },
    'PUT /api/v1/inspection-sheets/*': ({ body }: { body: unknown }) =>
      view({ version: 1, sheet: (body as SheetView).sheet, savedBy: 'Isla Wrenfell', savedAt: '2026-01-15T10:00:00Z', reason: 'Ours' }),
  });
  const user = show(<SheetsPage />, { address: '/sheets?class=tree-strap' });
  await screen.findByDisplayValue(sheet.points[0]?.look ?? '');
  return user;
};
const points = () => screen.getAllByLabelText(/^Point \d/).map((field) => (field as HTMLInputElement).value);

describe('an inspection sheet', () => {
  it('is shown as it is in force, and nothing is to be saved before something is changed', async () => {
    await open();
    expect(points()).toEqual(sheet.points.map(({ look }) => look));
    expect(screen.getByText(/The standard sheet\./)).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Save version 1' })).toHaveProperty('disabled', true);
  });

  it('is saved as its next version, with what was added and without what was taken off', async () => {
    const user = await open();
    await user.click(screen.getByRole('button', { name: 'Remove point 1' }));
    await user.click(screen.getByRole('button', { name: 'Add a point' }));
    await user.type(screen.getByLabelText(`Point ${sheet.points.length}`), 'Mildew in the fold');
    await user.type(screen.getByLabelText('Why does the sheet change?'), 'Found in autumn');
    await user.click(screen.getByRole('button', { name: 'Save version 1' }));
    await waitFor(() => expect(server.sent).toHaveLength(1));
    const { baseVersion, reason, sheet: sent } = server.body<{ baseVersion: number; reason: string; sheet: typeof sheet }>(0);
    expect({ baseVersion, reason }).toEqual({ baseVersion: 0, reason: 'Found in autumn' });
    expect(sent.points.map(({ look }) => look)).toEqual([...sheet.points.slice(1).map(({ look }) => look), 'Mildew in the fold']);
    expect(new Set(sent.points.map(({ id }) => id)).size).toBe(sent.points.length);
    expect(await screen.findByText(/Version 1 by Isla Wrenfell/)).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Save version 2' })).toHaveProperty('disabled', true);
  });

  it('is not sent with a number that is none', async () => {
    const user = await open();
    await user.clear(screen.getByLabelText('Months between inspections'));
    await user.type(screen.getByLabelText('Months between inspections'), 'often');
    await user.click(screen.getByRole('button', { name: 'Save version 1' }));
    expect((await screen.findByRole('alert')).textContent).toBe('Months from one inspection to the next: “often” is not a number.');
    expect(server.sent).toEqual([]);
  });

  it.each([
    ['a point without words', 'Add a point', /^Point \d+$/, 'Point'],
    ['a measure without a name', 'Add a measure', /^Measure \d+$/, 'Measure'],
  ])('with %s is told by its number, not by the name of a field', async (_what, button, label, words) => {
    const user = await open();
    await user.click(screen.getByRole('button', { name: button }));
    const count = screen.getAllByLabelText(label).length;
    await user.click(screen.getByRole('button', { name: 'Save version 1' }));
    expect((await screen.findByRole('alert')).textContent).toContain(`${words} ${count}: `);
    expect(server.sent).toEqual([]);
  });

  it('says what the server refused', async () => {
    const user = await open();
    server.answers({ 'PUT /api/v1/inspection-sheets/*': faulty('reason', 'Say in a line why the sheet changes.') });
    await user.click(screen.getByRole('button', { name: 'Add a measure' }));
    await user.type(screen.getAllByLabelText(/^Measure \d/).at(-1) as HTMLElement, 'Width');
    await user.click(screen.getByRole('button', { name: 'Save version 1' }));
    expect((await screen.findByRole('alert')).textContent).toContain('Say in a line why the sheet changes.');
  });

  it('follows what others save while nothing is changed here, and asks where something is', async () => {
    const user = await open();
    const newest = (version: number) => {
      server.answers({
        'GET /api/v1/inspection-sheets': {
          items: [
            view({
              version,
              savedAt: '2026-01-15T11:00:00Z',
              savedBy: 'Tomas Aldbrook',
              reason: 'Seams too',
              sheet: { ...sheet, points: sheet.points.slice(0, 2) },
            }),
          ],
        },
      });
      store.dispatch(wainropeApi.util.invalidateTags(['Template']));
    };
    newest(1);
    await waitFor(() => expect(points()).toHaveLength(2));
    await user.type(screen.getByLabelText('Why does the sheet change?'), 'Mine');
    newest(2);
    const note = await screen.findByRole('alert');
    expect(note.textContent).toContain('Version 2 by Tomas Aldbrook: “Seams too”. It has 2 points');
    await user.click(screen.getByRole('button', { name: /Keep mine/ }));
    expect(screen.queryByRole('alert')).toBeNull();
    expect(screen.getByRole('button', { name: 'Save version 3' })).toHaveProperty('disabled', false);
  });

  it('is read, and not changed, by whoever may not', async () => {
    await open('member');
    expect(screen.queryByRole('button', { name: /Save version/ })).toBeNull();
    expect(screen.queryByRole('button', { name: /Remove/ })).toBeNull();
    expect(screen.getByLabelText('Point 1').closest('fieldset')).toHaveProperty('disabled', true);
  });

  it('of another class is a link', async () => {
    const user = await open();
    await choose(user, 'Class', 'Chains');
    expect(leadsTo()).toBe('/sheets?class=chain');
    expect(await screen.findByDisplayValue(standardSheets.chain.points[0]?.look ?? '')).toBeTruthy();
  });
});
