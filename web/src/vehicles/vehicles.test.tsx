import { cleanup, screen, waitFor } from '@testing-library/react';
import type { VehicleDetail } from '@wainrope/contract';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { choose } from '../testing/choose.ts';
import { fakeServer, faulty, stale } from '../testing/fake-server.ts';
import { asRole, heron } from '../testing/sample-team.ts';
import { show } from '../testing/show.tsx';
import { HookUpForm } from './HookUpForm.tsx';
import { readSizes, VehicleForm } from './VehicleForm.tsx';

const server = fakeServer();
afterEach(cleanup);

const before: VehicleDetail = { ...heron, rowVersion: 7, photoIds: [] };

describe('sizes as typed', () => {
  it('are read with their units, and each that is not understood is named', () => {
    expect(readSizes({ massKg: '2.6 t', lengthM: '460 cm', widthM: '6 ft' }, '.')).toEqual({
      wrong: {},
      values: { massKg: 2600, lengthM: expect.closeTo(4.6, 9), widthM: expect.closeTo(1.8288, 9) },
    });
    const { values, wrong } = readSizes({ massKg: '3 ton', lengthM: '', widthM: 'wide' }, '.');
    expect(values).toBeUndefined();
    expect(Object.keys(wrong)).toEqual(['massKg', 'lengthM', 'widthM']);
    expect(wrong.massKg).toBe('Which ton? Write kg.');
  });
  it('go by the team’s decimal mark', () => {
    expect(readSizes({ massKg: '2600 kg', lengthM: '4,6 m', widthM: '1,85 m' }, ',').values).toEqual({
      massKg: 2600,
      lengthM: 4.6,
      widthM: 1.85,
    });
  });
});

describe('a vehicle', () => {
  const open = (vehicle?: VehicleDetail) => {
    server.answers(asRole('gear-keeper'));
    const done = vi.fn();
    return { user: show(<VehicleForm {...(vehicle && { before: vehicle })} done={done} />), done };
  };

  it('is added in SI units', async () => {
    const { user, done } = open();
    server.answers({ 'POST /api/v1/vehicles': before });
    await user.type(screen.getByLabelText('Name'), 'Dunlin');
    await user.type(screen.getByLabelText('Model'), 'Long-bed');
    await user.type(screen.getByLabelText('Mass with its usual load'), '5500 lb');
    await user.type(screen.getByLabelText('Length'), '4.4 m');
    await user.type(screen.getByLabelText('Width'), '1.8 m');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(done).toHaveBeenCalledOnce());
    expect(server.sent[0]?.body).toMatchObject({ name: 'Dunlin', model: 'Long-bed', massKg: expect.closeTo(2494.8, 1), lengthM: 4.4 });
  });

  it('is not sent while a size is not understood', async () => {
    const { user, done } = open(before);
    await user.clear(screen.getByLabelText('Length'));
    await user.click(screen.getByRole('button', { name: 'Save' }));
    expect(server.sent).toEqual([]);
    expect(done).not.toHaveBeenCalled();
    expect(screen.getByLabelText(/^Length/).parentElement?.querySelector('.text-rust')).toBeTruthy();
  });

  it('that somebody else changed first is shown beside one’s own', async () => {
    const { user, done } = open(before);
    const theirs = { ...before, massKg: 2900, rowVersion: 8 };
    server.answers({ 'PUT /api/v1/vehicles/*': () => (server.sent.length === 1 ? stale(theirs) : theirs) });
    await user.click(screen.getByRole('button', { name: 'Save' }));
    expect((await screen.findByRole('alert')).textContent).toContain('Theirs: Long 4 × 4, 2\u202f900 kg, 4.6 m × 1.9 m.');
    await user.click(screen.getByRole('button', { name: /Take theirs/ }));
    expect((screen.getByLabelText('Mass with its usual load') as HTMLInputElement).value).toBe('2900 kg');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(done).toHaveBeenCalledOnce());
    expect(server.sent.map(({ body }) => (body as VehicleDetail).rowVersion)).toEqual([7, 8]);
  });

  it('is left as it is by Cancel', async () => {
    const { user, done } = open(before);
    await user.click(screen.getByRole('button', { name: 'Cancel' }));
    expect(done).toHaveBeenCalledOnce();
    expect(server.sent).toEqual([]);
  });
});

describe('an entry of the hook-up book', () => {
  const open = () => {
    server.answers({ ...asRole('member'), 'POST /api/v1/hook-ups': ({ body }: { body: unknown }) => body });
    const done = vi.fn();
    return { user: show(<HookUpForm model="Long 4 × 4" done={done} />), done };
  };

  it('carries the load that a place has held; of what a line touches, its radius and no load', async () => {
    const { user, done } = open();
    await user.type(screen.getByLabelText('Where on the vehicle'), 'Rear cross-member');
    await user.type(screen.getByLabelText('Load it held'), '14 kN');
    await user.type(screen.getByLabelText('Height'), '50 cm');
    await user.click(screen.getByRole('button', { name: 'Write it down' }));
    await waitFor(() => expect(done).toHaveBeenCalledOnce());
    expect(server.sent[0]?.body).toMatchObject({ model: 'Long 4 × 4', kind: 'used', loadN: 14_000, heightM: 0.5 });
    await choose(user, 'What is it', 'Touched by a line');
    expect(screen.queryByLabelText('Load it held')).toBeNull();
    await user.type(screen.getByLabelText('Where on the vehicle'), 'Sump guard');
    await user.type(screen.getByLabelText('Radius of its edge'), '12 mm');
    await user.click(screen.getByRole('button', { name: 'Write it down' }));
    await waitFor(() => expect(server.sent).toHaveLength(2));
    expect(server.sent[1]?.body).toMatchObject({ kind: 'touched', radiusM: 0.012 });
    expect(server.sent[1]?.body).not.toHaveProperty('loadN');
  });

  it('is not sent with a ton that nobody can tell, and shows the server’s fault at its field', async () => {
    const { user } = open();
    await user.type(screen.getByLabelText('Where on the vehicle'), 'Tow eye');
    await user.type(screen.getByLabelText('Load it held'), '2 ton');
    await user.click(screen.getByRole('button', { name: 'Write it down' }));
    expect(await screen.findByText('Which ton? Write t, kN or lbf.')).toBeTruthy();
    expect(server.sent).toEqual([]);
    await user.clear(screen.getByLabelText(/Load it held/));
    server.answers({ 'POST /api/v1/hook-ups': faulty('place', 'Say where on the vehicle.') });
    await user.click(screen.getByRole('button', { name: 'Write it down' }));
    expect(await screen.findByText('Say where on the vehicle.')).toBeTruthy();
  });
});
