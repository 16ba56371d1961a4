import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { PlanSummary } from '@wainrope/contract';
import { wordsOf, write } from '@wainrope/core';
import { judge } from '@wainrope/core/judging';
import { Provider } from 'react-redux';
import { MemoryRouter } from 'react-router';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import bogFile from '../../../demo/plans/bog-below-tarn-quarry.json' with { type: 'json' };
import { unitsChosen } from '../settings/settings-slice.ts';
import { store } from '../store.ts';
import { caseOfFile } from '../testing/case-of-file.ts';
import { choose } from '../testing/choose.ts';
import { PlanListPage } from './PlanListPage.tsx';
import { planStateWords } from './plan-words.ts';

const asked = vi.hoisted(() => ({ plans: [] as unknown[] | undefined, mayWrite: true }));
vi.mock('../api/wainrope-api.ts', () => ({
  useAllPlansQuery: () => ({ data: asked.plans, refetch: () => undefined }),
  useGetTeamQuery: () => ({ data: { today: '2026-01-16' } }),
}));
vi.mock('../access/use-session.ts', () => ({ useMay: () => () => asked.mayWrite }));
vi.mock('../shell/ProblemNote.tsx', () => ({ ProblemNote: () => null }));
vi.mock('./documents/BringRig.tsx', () => ({ BringRig: () => <button type="button">Bring a rig file</button> }));

const plan = (name: string, change: Partial<PlanSummary> = {}): PlanSummary => ({
  planId: name,
  name,
  version: 2,
  state: 'draft',
  savedAt: '2026-01-15T10:00:00+00:00',
  savedBy: 'Tomas Aldbrook',
  verdict: 'watch',
  outOfDate: [],
  weakest: 'ST-02 Static strap 3 m',
  asOf: '2026-01-15',
  people: [],
  vehicles: ['Heron'],
  tags: ['ST-02'],
  ...change,
});
const show = (address = '/plans') =>
  render(
    <Provider store={store}>
      <MemoryRouter initialEntries={[address]}>
        <PlanListPage />
      </MemoryRouter>
    </Provider>,
  );
const names = () => screen.queryAllByRole('listitem').map((row) => within(row).getByRole('link').getAttribute('href'));

beforeEach(() => {
  asked.mayWrite = true;
  asked.plans = [
    plan('Otter at the ford'),
    plan('Badger on the track', { verdict: 'clear', outOfDate: ['TS-03: was in use, is quarantined.'], weakest: 'TS-03 Tree strap' }),
    plan('Last winter', { state: 'archived' }),
  ];
});
afterEach(cleanup);

describe('the list of plans', () => {
  it('has today’s first, then what was saved last', () => {
    asked.plans = [
      plan('Early', { savedAt: '2026-01-10T10:00:00Z' }),
      plan('Late', { savedAt: '2026-01-14T10:00:00Z' }),
      plan('Of today', { savedAt: '2026-01-01T10:00:00Z', asOf: '2026-01-16' }),
    ];
    show();
    expect(names()).toEqual(['/plans/Of today', '/plans/Late', '/plans/Early']);
    expect(screen.getAllByText('today')).toHaveLength(1);
  });
  it('has each variant under its plan, with its name; one whose plan is not shown stands by itself', () => {
    asked.plans = [
      plan('With a strap', { variantOf: 'Early', savedAt: '2026-01-15T10:00:00Z' }),
      plan('Early', { savedAt: '2026-01-10T10:00:00Z', people: ['Isla'] }),
      plan('By hand', { variantOf: 'Early', savedAt: '2026-01-12T10:00:00Z', people: ['Mirren'] }),
      plan('Late', { savedAt: '2026-01-14T10:00:00Z' }),
    ];
    show();
    expect(names()).toEqual(['/plans/Late', '/plans/Early', '/plans/With a strap', '/plans/By hand']);
    expect(screen.getAllByText('variant of Early')).toHaveLength(2);
    cleanup();
    show('/plans?person=Mirren');
    expect(names()).toEqual(['/plans/By hand']);
    expect(screen.getByText('variant of Early')).toBeTruthy();
    cleanup();
    // Found by its plan's name too.
    show('/plans?q=early');
    expect(names()).toEqual(['/plans/Early', '/plans/With a strap', '/plans/By hand']);
  });
  it('is narrowed to a person, a vehicle, a piece, by choice and by typing, each in its address', async () => {
    asked.plans = [
      plan('One', { people: ['Tomas'], vehicles: ['Heron'], tags: ['TS-03', 'SH-01'] }),
      plan('Two', { people: ['Isla'], vehicles: ['Badger', 'Heron'], tags: ['SH-02'], position: '54.50000, -3.20000' }),
    ];
    for (const [address, expected] of [
      ['?person=Isla', ['/plans/Two']],
      ['?vehicle=Heron', ['/plans/One', '/plans/Two']],
      ['?tag=SH-01', ['/plans/One']],
      ['?q=badger', ['/plans/Two']],
      ['?q=54.5', ['/plans/Two']],
      ['?person=Isla&tag=SH-01', []],
    ] as const) {
      show(`/plans${address}`);
      expect([...names()].sort()).toEqual(expected);
      cleanup();
    }
    show();
    await choose(userEvent.setup(), 'Person', 'Tomas');
    expect(names()).toEqual(['/plans/One']);
  });
  it('strikes through a verdict that no longer stands, says why, and leaves the others', () => {
    show();
    const [otter, badger] = screen.getAllByRole('listitem');
    if (!otter || !badger) throw new Error('no rows');
    const struck = (row: HTMLElement, words: string) =>
      within(row)
        .getAllByText(words)
        .some((entry) => entry.closest('.line-through') !== null);
    expect(struck(otter, 'Watch')).toBe(false);
    expect(otter.textContent).not.toContain('Out of date');
    expect(struck(badger, 'Clear')).toBe(true);
    expect(badger.textContent).toContain('Out of date: TS-03: was in use, is quarantined. Open it for today’s judgement.');
  });
  it('says why the verdict is what it is, in the reader’s units, where the rules that found it are today’s', () => {
    const reason = judge(caseOfFile(bogFile)).findings.find(
      (finding) => write(wordsOf(finding).title) !== write(wordsOf(finding).title, 'lbf'),
    );
    if (!reason) throw new Error('no finding of the bog has a figure in its title');
    asked.plans = [plan('Bog', { verdict: 'stop', reason }), plan('Kept by an earlier core', { verdict: 'stop' })];
    const { unmount } = show();
    expect(screen.getByText(write(wordsOf(reason).title))).toBeTruthy();
    unmount();
    store.dispatch(unitsChosen('lbf'));
    show();
    expect(screen.getByText(write(wordsOf(reason).title, 'lbf'))).toBeTruthy();
    store.dispatch(unitsChosen('kN'));
  });

  it('leaves out what was put away until it is asked for, and finds by name and by the weakest piece', async () => {
    const user = userEvent.setup();
    show();
    expect(names()).toEqual(['/plans/Otter at the ford', '/plans/Badger on the track']);
    await choose(user, 'State', planStateWords.archived);
    expect(names()).toEqual(['/plans/Last winter']);
    await choose(user, 'State', 'All except put away');
    fireEvent.change(screen.getByLabelText('Search plans'), { target: { value: 'tree STRAP' } });
    expect(names()).toEqual(['/plans/Badger on the track']);
    fireEvent.change(screen.getByLabelText('Search plans'), { target: { value: 'nowhere' } });
    expect(screen.getByText('No plan fits this choice.')).toBeDefined();
  });
  it('opens as a link says', () => {
    show('/plans?q=badger');
    expect(names()).toEqual(['/plans/Badger on the track']);
  });
  it('offers a new plan and a rig file only to who may write plans', () => {
    show();
    expect(screen.getByRole('link', { name: 'New plan' })).toBeDefined();
    cleanup();
    asked.mayWrite = false;
    show();
    expect(screen.queryByRole('link', { name: 'New plan' })).toBeNull();
    expect(screen.queryByRole('button', { name: 'Bring a rig file' })).toBeNull();
  });
  it('says what to do where there is none, and that it is read until it is there', () => {
    asked.plans = [];
    show();
    expect(screen.getByText('No plan yet.')).toBeDefined();
    cleanup();
    asked.plans = undefined;
    show();
    expect(screen.queryByText(/No plan yet/)).toBeNull();
    expect(screen.getByRole('status').textContent).toContain('Loading the plans…');
  });
});
