import { cleanup, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { choose } from '../testing/choose.ts';
import { fakeServer, faulty, stale } from '../testing/fake-server.ts';
import { asRole, kit, piece } from '../testing/sample-team.ts';
import { show } from '../testing/show.tsx';
import { KitForm } from './KitForm.tsx';

const server = fakeServer();
afterEach(cleanup);

const form = async (change: Parameters<typeof kit>[0] = {}) => {
  server.answers({ ...asRole('gear-keeper', [piece('TS-01')]), 'PUT /api/v1/kits/*': kit({ rowVersion: 5 }) });
  const done = vi.fn();
  const user = show(<KitForm kit={kit(change)} done={done} />);
  return { user, done };
};
const lines = () => screen.queryAllByLabelText('How many').map((field) => (field as HTMLInputElement).value);

describe('a kit’s packing list', () => {
  it('is sent as it was typed, with its limits in newtons and the version it was made from', async () => {
    const { user, done } = await form();
    await user.clear(screen.getByLabelText('How many'));
    await user.type(screen.getByLabelText('How many'), '3');
    await user.clear(screen.getByLabelText('Least working limit'));
    await user.type(screen.getByLabelText('Least working limit'), '2 t');
    await choose(user, 'Travels on', 'Heron');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(done).toHaveBeenCalledOnce());
    expect(server.sent).toMatchObject([
      {
        method: 'PUT',
        path: '/api/v1/kits/k-bog',
        body: { name: 'Bog bag', terrain: 'woods', vehicleId: 'v-heron', rowVersion: 4, wanted: [{ kind: 'tree-strap', count: 3 }] },
      },
    ]);
    expect(server.body<{ wanted: { leastWllN: number }[] }>(0).wanted[0]?.leastWllN).toBeCloseTo(2000 * 9.80665, 3);
  });

  it.each([
    ['How many', '0', 'Tree strap: “0” is not a count from 1 to 100.'],
    ['How many', '101', 'Tree strap: “101” is not a count from 1 to 100.'],
    ['How many', '1.5', 'Tree strap: “1.5” is not a count from 1 to 100.'],
    ['Least working limit', '2 ton', 'Tree strap: “2 ton” can be read as more than one ton; write t, kN or lbf.'],
  ])('sends nothing while %s is “%s”, and names the line', async (field, text, words) => {
    const { user, done } = await form();
    await user.clear(screen.getByLabelText(field));
    await user.type(screen.getByLabelText(field), text);
    await user.click(screen.getByRole('button', { name: 'Save' }));
    expect((await screen.findByRole('alert')).textContent).toBe(words);
    expect(server.sent).toEqual([]);
    expect(done).not.toHaveBeenCalled();
  });

  it('takes the counts at either end', async () => {
    const { user, done } = await form({ wanted: [{ kind: 'tree-strap', count: 1 }] });
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(done).toHaveBeenCalledOnce());
    await user.clear(screen.getByLabelText('How many'));
    await user.type(screen.getByLabelText('How many'), '100');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(done).toHaveBeenCalledTimes(2));
  });

  it('gets lines and loses them, and is filled in as a ground asks', async () => {
    const { user } = await form();
    await user.click(screen.getByRole('button', { name: 'Add a line' }));
    expect(lines()).toEqual(['2', '1']);
    const [first] = screen.getAllByRole('button', { name: 'Remove the line' });
    if (!first) throw new Error('no line can be removed');
    await user.click(first);
    expect(lines()).toEqual(['1']);
    await user.click(screen.getByRole('button', { name: 'List for sand' }));
    expect(lines().length).toBeGreaterThan(3);
    expect(screen.getByLabelText('Ground').textContent).toBe('Sand');
  });

  it('keeps what was typed where somebody else saved first, and replaces theirs only on a second Save', async () => {
    const { user, done } = await form();
    const theirs = kit({ name: 'Bog and beck', rowVersion: 9 });
    server.answers({ 'PUT /api/v1/kits/*': () => (server.sent.length === 1 ? stale(theirs) : kit({ rowVersion: 10 })) });
    await user.clear(screen.getByLabelText('Name'));
    await user.type(screen.getByLabelText('Name'), 'Peat bag');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    const note = await screen.findByRole('alert');
    expect(note.textContent).toContain('Theirs: Bog and beck, 1 lines. Yours: Peat bag, 1 lines.');
    expect(done).not.toHaveBeenCalled();
    await user.click(within(note).getByRole('button', { name: /Keep mine/ }));
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(done).toHaveBeenCalledOnce());
    expect(server.sent[1]?.body).toMatchObject({ name: 'Peat bag', rowVersion: 9 });
  });

  it('takes theirs into the form where one wants them', async () => {
    const { user } = await form();
    server.answers({ 'PUT /api/v1/kits/*': () => stale(kit({ name: 'Bog and beck', rowVersion: 9, wanted: [] })) });
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await user.click(await screen.findByRole('button', { name: /Take theirs/ }));
    expect((screen.getByLabelText('Name') as HTMLInputElement).value).toBe('Bog and beck');
    expect(lines()).toEqual([]);
    expect(screen.queryByRole('alert')).toBeNull();
  });

  it('shows a refusal at its field, and anything else beneath', async () => {
    const { user } = await form();
    server.answers({ 'PUT /api/v1/kits/*': faulty('name', 'A kit is called Bog bag already; choose another name.') });
    await user.click(screen.getByRole('button', { name: 'Save' }));
    expect(await screen.findByText('A kit is called Bog bag already; choose another name.')).toBeTruthy();
    expect(screen.queryByRole('alert')).toBeNull();
    server.answers({ 'PUT /api/v1/kits/*': faulty('wanted[0].count', 'At least 1 is wanted.') });
    await user.click(screen.getByRole('button', { name: 'Save' }));
    expect((await screen.findByRole('alert')).textContent).toContain('At least 1 is wanted.');
  });
});
