import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import type { PlanView } from '@wainrope/contract';
import { Provider } from 'react-redux';
import { MemoryRouter } from 'react-router';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import plantationFile from '../../../demo/plans/plantation-ride-self-recovery.json' with { type: 'json' };
import { store } from '../store.ts';
import { caseOfFile } from '../testing/case-of-file.ts';
import { judge } from '../testing/judged.ts';
import { RecordPanel } from './RecordPanel.tsx';

const server = vi.hoisted(() => ({
  may: true,
  comments: { data: { items: [] as object[] }, isLoading: false },
  versions: { data: { items: [] as object[], isMore: false }, isLoading: false },
  asked: [] as (readonly [what: string, told: unknown])[],
  stateError: undefined as unknown,
  plans: [] as object[],
  other: undefined as unknown,
}));
vi.mock('./compare/CompareTable.tsx', () => ({
  CompareTable: ({ name, apply }: { readonly name: string; readonly apply: unknown }) => (
    <p>{`${name} compared${apply ? ', to be taken' : ''}`}</p>
  ),
}));
vi.mock('../access/use-session.ts', () => ({ useMay: () => () => server.may }));
vi.mock('../shell/ProblemNote.tsx', () => ({ ProblemNote: () => null }));
vi.mock('../api/wainrope-api.ts', async (original) => {
  const act = (what: string, error?: unknown) => [
    (told: unknown) => {
      server.asked.push([what, told]);
      return Promise.resolve({ data: { planId: 'the-copy', rig: {} } });
    },
    { isLoading: false, error },
  ];
  return {
    ...(await original<typeof import('../api/wainrope-api.ts')>()),
    problemOf: (error: unknown) => error ?? { status: 0 },
    useListCommentsQuery: () => server.comments,
    useListVersionsQuery: () => server.versions,
    useAllPlansQuery: (_all: unknown, { skip }: { readonly skip: boolean }) => ({ data: skip ? undefined : server.plans }),
    useGetPlanQuery: (asked: unknown) => ({ currentData: typeof asked === 'object' ? server.other : undefined }),
    useAddCommentMutation: () => act('comment'),
    useCreatePlanMutation: () => act('copy'),
    useChooseVariantMutation: () => act('choose'),
    useKeepLayoutMutation: () => act('keep'),
    useOverrideFindingMutation: () => act('answer'),
    useSetPlanStateMutation: () => act('state', server.stateError),
    useLazyGetVersionQuery: () => act('version'),
  };
});

const subject = caseOfFile(plantationFile);
const report = judge(subject);
const planIn = (change: Partial<PlanView> = {}): PlanView => ({
  planId: 'plan',
  name: 'Plantation',
  version: 2,
  rig: subject.rig,
  state: 'draft',
  overrides: [],
  saved: {
    report: { verdict: report.verdict, coreVersion: report.coreVersion, findings: [] },
    asOf: '2026-01-15',
    savedAt: '2026-01-15T10:00:00+00:00',
    savedBy: 'Tomas Aldbrook',
    policyHash: '',
    coreVersion: report.coreVersion,
  },
  fresh: { report, caseDigest: '', asOf: '2026-01-15', outOfDate: [] },
  ...change,
});
const apply = vi.fn();
const facts = new Map(subject.gear.map((piece) => [piece.id, piece]));
const show = (plan = planIn()) =>
  render(
    <Provider store={store}>
      <MemoryRouter>
        <RecordPanel {...{ plan, subject, facts, report, apply }} rig={subject.rig} />
      </MemoryRouter>
    </Provider>,
  );
const buttons = () => screen.queryAllByRole('button').map(({ textContent }) => textContent);

beforeEach(() => {
  Object.assign(server, { may: true, asked: [], stateError: undefined });
  Object.assign(server, { plans: [], other: undefined });
  server.comments = { data: { items: [] }, isLoading: false };
  server.versions = { data: { items: [], isMore: false }, isLoading: false };
});
afterEach(cleanup);

describe('the record of a plan', () => {
  it('is drawn once all of it is here', () => {
    server.comments = { ...server.comments, isLoading: true };
    show();
    expect(buttons()).toEqual([]);
    expect(screen.getByText(/Loading the plan’s record/)).toBeDefined();
  });
  it.each([
    ['draft', ['Declare it ready', 'Put it away']],
    ['ready', ['Note it as used', 'Back to draft', 'Put it away']],
    ['used', ['Back to draft', 'Put it away']],
    ['archived', ['Bring it back']],
  ] as const)('offers where a plan that is %s may go next', (state, steps) => {
    show(planIn({ state }));
    expect(buttons().slice(0, steps.length)).toEqual(steps);
    fireEvent.click(screen.getByRole('button', { name: steps[0] }));
    expect(server.asked[0]).toMatchObject(['state', { planId: 'plan', planStateChange: { version: 2 } }]);
  });
  it('shows who only reads everything, and offers nothing', () => {
    server.may = false;
    server.comments = {
      data: { items: [{ commentId: 'c', words: 'Deep drain.', by: 'Isla Wrenfell', at: '2026-01-15T10:00:00+00:00', version: 1 }] },
      isLoading: false,
    };
    show();
    expect(screen.getByText(/Deep drain\./)).toBeDefined();
    expect(buttons()).toEqual([]);
  });
  it('copies the plan under a name of its own, with its rig', async () => {
    show();
    fireEvent.click(screen.getByRole('button', { name: 'Copy the plan' }));
    await waitFor(() => expect(server.asked).toHaveLength(1));
    expect(server.asked[0]).toMatchObject(['copy', { planCreate: { rig: subject.rig } }]);
  });
  const ways = [
    { planId: 'plan', name: 'Plantation', version: 2, verdict: 'clear' },
    { planId: 'other', name: 'With two strands', version: 5, verdict: 'watch' },
  ] as const;
  it('begins a variant under a name, with the rig as it is drawn', async () => {
    show();
    const begin = screen.getByRole('button', { name: 'Begin the variant' });
    expect(begin.hasAttribute('disabled')).toBe(true);
    fireEvent.change(screen.getByLabelText(/^Try it another way/), { target: { value: ' With two strands ' } });
    fireEvent.click(begin);
    await waitFor(() => expect(server.asked).toHaveLength(1));
    expect(server.asked[0]).toMatchObject(['copy', { planCreate: { name: 'With two strands', variantOf: 'plan', rig: subject.rig } }]);
  });
  it('has no variants once it is ready, and none for who only reads unless there are some', () => {
    show(planIn({ state: 'ready' }));
    expect(screen.queryByRole('region', { name: 'Variants' })).toBeNull();
    cleanup();
    server.may = false;
    show();
    expect(screen.queryByRole('region', { name: 'Variants' })).toBeNull();
    cleanup();
    show(planIn({ variants: ways }));
    expect(screen.getByText(/^2 ways of doing it/)).toBeDefined();
    expect(buttons()).toEqual(['Compare']);
  });
  it('chooses a variant at its version, into the plan at its own; the plan itself is kept as it is', async () => {
    show(planIn({ variants: ways }));
    fireEvent.click(screen.getByRole('button', { name: 'Choose this one' }));
    fireEvent.click(screen.getByRole('button', { name: 'Keep the plan as it is' }));
    await waitFor(() => expect(server.asked).toHaveLength(2));
    expect(server.asked).toMatchObject([
      ['choose', { planId: 'other', variantChoice: { version: 5, baseVersion: 2 } }],
      ['choose', { planId: 'plan', variantChoice: { version: 2, baseVersion: 2 } }],
    ]);
  });
  it('compares a variant with what is open, to be taken', () => {
    server.other = { planId: 'other', name: 'With two strands', rig: subject.rig };
    show(planIn({ variants: ways }));
    fireEvent.click(screen.getAllByRole('button', { name: 'Compare' })[0] as HTMLElement);
    expect(screen.getByText('With two strands compared, to be taken')).toBeDefined();
  });
  it('of a variant is dropped or chosen, and not declared ready', () => {
    show(planIn({ planId: 'other', variantOf: 'plan', variants: ways }));
    expect(buttons()[0]).toBe('Drop this variant');
    expect(screen.queryByRole('button', { name: 'Declare it ready' })).toBeNull();
    expect(screen.getByText(/^a variant, open here · watch/)).toBeDefined();
  });
  it('takes a comment only with words in it, and empties the field once it is kept', async () => {
    show();
    const say = screen.getByRole('button', { name: 'Comment' });
    const words = screen.getByLabelText('Comment on this plan');
    fireEvent.change(words, { target: { value: '   ' } });
    expect(say.hasAttribute('disabled')).toBe(true);
    fireEvent.change(words, { target: { value: ' The drain is deep. ' } });
    fireEvent.click(say);
    expect(server.asked[0]).toMatchObject(['comment', { commentCreate: { words: 'The drain is deep.' } }]);
    await waitFor(() => expect((words as HTMLTextAreaElement).value).toBe(''));
  });
  it('shows earlier versions where there are any and they are asked for', () => {
    server.versions = { data: { items: [], isMore: true }, isLoading: false };
    show();
    fireEvent.click(screen.getByRole('button', { name: 'Show earlier versions' }));
    expect(screen.queryByRole('button', { name: 'Show earlier versions' })).toBeNull();
    cleanup();
    server.versions = { data: { items: [], isMore: false }, isLoading: false };
    show();
    expect(screen.queryByRole('button', { name: 'Show earlier versions' })).toBeNull();
  });

  it('brings an earlier version back as an edit, and never offers the one that stands', async () => {
    const version = (no: number) => ({
      version: no,
      name: 'P',
      savedAt: '2026-01-15T10:00:00+00:00',
      savedBy: 'T',
      verdict: 'clear',
      changes: [],
    });
    server.versions = { data: { items: [version(2), version(1)], isMore: false }, isLoading: false };
    show();
    expect(screen.getAllByRole('button', { name: 'Bring back' })).toHaveLength(1);
    fireEvent.click(screen.getByRole('button', { name: 'Bring back' }));
    await waitFor(() => expect(apply).toHaveBeenCalledWith([{ kind: 'replace-rig', rig: {} }]));
    expect(server.asked[0]).toEqual(['version', { planId: 'plan', version: 1 }]);
  });
});

describe('comparing', () => {
  it('an earlier version asks for its rig, and stands it beside the plan', async () => {
    server.versions.data.items = [1, 2].map((version) => ({
      version,
      savedBy: 'Isla',
      savedAt: '2026-01-15T10:00:00Z',
      verdict: 'stop',
      changes: [],
    }));
    show();
    fireEvent.click(screen.getAllByRole('button', { name: 'Compare' })[0] as HTMLElement);
    await waitFor(() => expect(screen.getByText('Version 1 compared, to be taken')).toBeDefined());
    expect(server.asked).toContainEqual(['version', { planId: 'plan', version: 1 }]);
  });
  it('another plan is chosen among those that stand, never this one', async () => {
    server.plans = [
      { planId: 'plan', name: 'Plantation', state: 'draft' },
      { planId: 'other', name: 'By the beck', state: 'draft' },
      { planId: 'gone', name: 'Put away', state: 'archived' },
    ];
    server.other = planIn({ planId: 'other', name: 'By the beck' });
    show();
    expect(screen.queryByLabelText('Compare with')).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Compare with another plan…' }));
    fireEvent.click(screen.getByLabelText('Compare with'));
    const offered = await waitFor(() => screen.getAllByRole('option').map(({ textContent }) => textContent));
    expect(offered).toEqual(['By the beck']);
    fireEvent.click(screen.getByRole('option', { name: 'By the beck' }));
    await waitFor(() => expect(screen.getByText('By the beck compared, to be taken')).toBeDefined());
  });
  it('has no other plan to offer where there is none', () => {
    server.plans = [{ planId: 'plan', name: 'Plantation', state: 'draft' }];
    show();
    fireEvent.click(screen.getByRole('button', { name: 'Compare with another plan…' }));
    expect(screen.queryByLabelText('Compare with')).toBeNull();
    expect(screen.getByText(/There is no other plan/)).toBeDefined();
  });
});
