import { cleanup, screen, waitFor, within } from '@testing-library/react';
import type { PolicyHistory } from '@wainrope/contract';
import { type AdoptedFigure, teamStandard } from '@wainrope/core';
import { afterEach, describe, expect, it } from 'vitest';
import { wainropeApi } from '../api/wainrope-api.ts';
import { store } from '../store.ts';
import { fakeServer, faulty, Refusal } from '../testing/fake-server.ts';
import { asRole } from '../testing/sample-team.ts';
import { show } from '../testing/show.tsx';
import { PolicyPage } from './PolicyPage.tsx';
import { changeWords } from './policy-words.ts';

const server = fakeServer();
afterEach(cleanup);

const version = (id: string, reason: string) => ({
  policyVersionId: id,
  contentHash: id,
  name: 'Team standard',
  reason,
  by: 'Isla Wrenfell',
  at: '2026-01-01T10:00:00Z',
  inForce: true,
});
const history = (change: Partial<PolicyHistory> = {}): PolicyHistory => ({
  contentHash: 'hash-1',
  content: teamStandard,
  versions: [version('v-1', 'The first')],
  rules: [],
  ...change,
});
const WRAPS = 'winch.reserveWrapsSynthetic';
const open = async (role: 'coordinator' | 'member' = 'coordinator') => {
  server.answers({ ...asRole(role), 'GET /api/v1/policy': history() });
  const user = show(<PolicyPage />);
  await screen.findByText(/In force:/);
  await user.type(screen.getByRole('searchbox'), 'wraps');
  return user;
};
const row = () => within(document.querySelector<HTMLElement>(`[data-policy="${WRAPS}"]`) as HTMLElement);
const type = async (user: Awaited<ReturnType<typeof open>>, text: string) => {
  await user.clear(row().getByRole('textbox'));
  await user.type(row().getByRole('textbox'), text);
};

describe('settings', () => {
  it('are found by their words, and read by whoever may not change them', async () => {
    await open('member');
    expect(row()).toBeTruthy();
    expect(row().queryByRole('textbox')).toBeNull();
    expect(screen.queryByRole('region', { name: 'Change of settings' })).toBeNull();
    expect(document.querySelectorAll('[data-policy]').length).toBeLessThan(20);
  });

  it('say once above a table where its figures come from, beside a figure where it is another or none', async () => {
    server.answers({ ...asRole('member'), 'GET /api/v1/policy': history() });
    show(<PolicyPage />);
    const table = within(await screen.findByRole('region', { name: 'Bends' }));
    expect(table.getAllByText(/usual trade figure; the maker’s figure wins/)).toHaveLength(1);
    const words = (path: string) => document.querySelector(`[data-policy="${path}"]`)?.textContent;
    expect(words('bends.eyeOnTightPin')).not.toContain('trade figure');
    // This one has no source: it must not pass for one of the table's.
    expect(words('bends.fullFromWrapDeg')).toContain('no source stated');
    expect(words('effort.airedDown')).toContain('team standard, judged');
    expect(words('schools.pinBackOff')).toContain('the maker’s word wins');
    // Between the least and the most of the tables to begin from, and of what teams go by; nothing where all agree.
    expect(words('designFactors.soft-good')).toContain('usually 2 to 5');
    expect(words('winch.reserveWrapsSynthetic')).toContain('usually 5 to 10');
    expect(words('designFactors.chain')).not.toContain('usually');
    const contents = within(screen.getByRole('navigation', { name: 'Tables of settings' }));
    expect(contents.getByRole('link', { name: /^Bends/ }).getAttribute('href')).toBe('#bends');
    for (const link of contents.getAllByRole('link')) expect(document.querySelector(link.getAttribute('href') ?? 'none')).toBeTruthy();
    expect(contents.getByRole('link', { name: 'How serious each rule is' })).toBeTruthy();
  });

  it('say what a change would do before it is put in force, and ask for the reason', async () => {
    const user = await open();
    await type(user, '12');
    const bar = within(await screen.findByRole('region', { name: 'Change of settings' }));
    expect(bar.getByText('1 change')).toBeTruthy();
    expect(bar.queryByRole('button', { name: 'Put in force' })).toBeNull();
    server.answers({
      'POST /api/v1/policy/preview': {
        changes: [],
        plans: [
          { planId: 'pl-1', name: 'Ride', before: 'clear', after: 'stop' },
          { planId: 'pl-2', name: 'Bog', before: 'stop', after: 'stop' },
        ],
      },
    });
    await user.click(bar.getByRole('button', { name: 'What would it change?' }));
    expect(await bar.findByText(/2 plans turn out of date\. Verdicts that change:/)).toBeTruthy();
    expect(bar.getAllByRole('link').map((link) => link.textContent)).toEqual(['Ride']);
    expect((server.body<{ content: typeof teamStandard }>(0).content.winch.reserveWrapsSynthetic as { value: number }).value).toBe(12);
    const put = bar.getByRole('button', { name: 'Put in force' });
    await user.type(bar.getByLabelText('Why does the team decide this?'), 'ab');
    expect(put).toHaveProperty('disabled', true);
    await user.type(bar.getByLabelText('Why does the team decide this?'), 'c');
    server.answers({
      'POST /api/v1/policy': ({ body }: { body: unknown }) =>
        history({
          contentHash: 'hash-2',
          content: (body as PolicyHistory).content,
          versions: [version('v-2', 'abc'), version('v-1', 'The first')],
        }),
    });
    await user.click(put);
    await waitFor(() => expect(screen.queryByRole('region', { name: 'Change of settings' })).toBeNull());
    expect(server.body(1)).toMatchObject({ baseHash: 'hash-1', reason: 'abc' });
  });

  it('ask anew what a change would do where it was changed once more', async () => {
    const user = await open();
    server.answers({ 'POST /api/v1/policy/preview': { changes: [], plans: [] } });
    await type(user, '12');
    await user.click(await screen.findByRole('button', { name: 'What would it change?' }));
    expect(await screen.findByText(/No verdict changes/)).toBeTruthy();
    await type(user, '13');
    expect(screen.queryByText(/No verdict changes/)).toBeNull();
    expect(screen.getByRole('button', { name: 'What would it change?' })).toBeTruthy();
  });

  it('cannot be put in force with a figure that is not understood', async () => {
    const user = await open();
    await type(user, 'many');
    expect(row().getByRole('textbox').getAttribute('aria-invalid')).toBe('true');
    const bar = within(await screen.findByRole('region', { name: 'Change of settings' }));
    expect(bar.getByText(/1 not understood/)).toBeTruthy();
    expect(bar.getByRole('button', { name: 'What would it change?' })).toHaveProperty('disabled', true);
  });

  it('are as they were once the change is discarded', async () => {
    const user = await open();
    await type(user, '12');
    await user.click(await screen.findByRole('button', { name: 'Discard' }));
    expect((row().getByRole('textbox') as HTMLInputElement).value).toBe('10');
    expect(screen.queryByRole('region', { name: 'Change of settings' })).toBeNull();
  });

  it('keep the draft where a preview is stopped or refused', async () => {
    const user = await open();
    await type(user, '12');
    server.answers({
      'POST /api/v1/policy/preview': new Refusal(409, { title: 'Stopped', detail: 'Judging the plans: stopped. Nothing was saved.' }),
    });
    await user.click(await screen.findByRole('button', { name: 'What would it change?' }));
    expect((await screen.findByRole('alert')).textContent).toContain('stopped');
    expect(screen.getByRole('button', { name: 'What would it change?' })).toBeTruthy();
    server.answers({ 'POST /api/v1/policy/preview': faulty('content.winch', 'At least 5 wraps stay on any drum.') });
    await user.click(screen.getByRole('button', { name: 'What would it change?' }));
    expect(await screen.findByText(/At least 5 wraps stay/)).toBeTruthy();
    expect((row().getByRole('textbox') as HTMLInputElement).value).toBe('12');
  });

  it('that others put in force are taken up while nothing is changed here, and shown where something is', async () => {
    const user = await open();
    const changed = (value: number) => ({
      ...teamStandard,
      winch: { ...teamStandard.winch, reserveWrapsSynthetic: { value, source: 'ours' } },
    });
    const others = (id: string, value: number, count: number) => {
      const versions = [version(id, 'Worn drum'), ...Array.from({ length: count }, (_, index) => version(`v-${index}`, 'Before'))];
      server.answers({ 'GET /api/v1/policy': history({ contentHash: id, content: changed(value), versions }) });
      store.dispatch(wainropeApi.util.invalidateTags(['Policy']));
    };
    others('o-1', 11, 1);
    await waitFor(() => expect((row().getByRole('textbox') as HTMLInputElement).value).toBe('11'));
    await type(user, '14');
    others('o-2', 12, 2);
    const note = await screen.findByRole('alert');
    expect(note.textContent).toContain('“Worn drum”, Isla Wrenfell');
    expect(note.textContent).toContain('11 → 12');
    await user.click(within(note).getByRole('button', { name: /Take theirs/ }));
    expect((row().getByRole('textbox') as HTMLInputElement).value).toBe('12');
  });
});

describe('figures of the team’s own', () => {
  const figure: AdoptedFigure = {
    surface: 'bog',
    depth: 'sills',
    machine: 'Otter',
    share: 1.331,
    pulls: Array.from({ length: 10 }, (_, index) => ({ pullId: `p-${index}`, on: `2025-06-${10 + index}`, share: 1.21 })),
  };
  const withFigure = async (role: 'coordinator' | 'member') => {
    server.answers({ ...asRole(role), 'GET /api/v1/policy': history({ content: { ...teamStandard, ownFigures: [figure] } }) });
    const user = show(<PolicyPage />);
    const region = within(await screen.findByRole('region', { name: 'Figures of the team’s own' }));
    region.getByText('133 % of its weight');
    region.getByText(/from 10 measured pulls, Jun 10, 2025 to Jun 19, 2025/);
    return { user, region };
  };

  it('stand with their evidence, and are taken out like any other setting', async () => {
    const { user, region } = await withFigure('coordinator');
    await user.click(region.getByRole('button', { name: 'Remove the figure for Otter' }));
    expect(region.queryByText('133 % of its weight')).toBeNull();
    within(await screen.findByRole('region', { name: 'Change of settings' })).getByText('1 change');
  });
  it('stay where one begins from another table, and are a coordinator’s', async () => {
    const { user, region } = await withFigure('coordinator');
    await user.click(screen.getByRole('button', { name: /As the makers mark/ }));
    region.getByText('133 % of its weight');
    cleanup();
    server.forget();
    const reader = await withFigure('member');
    expect(reader.region.queryByRole('button')).toBeNull();
  });
  it('have words of their own where two settings differ', () => {
    expect(changeWords('ownFigures.bog/sills/Otter')).toBe('The team’s own figure, Otter, bog or clinging clay, to the sills');
  });
});
