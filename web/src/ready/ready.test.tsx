import { cleanup, screen, waitFor, within } from '@testing-library/react';
import type { DefectView, FirstSteps, OutingView, PlanSummary } from '@wainrope/contract';
import { afterEach, describe, expect, it } from 'vitest';
import { fakeServer } from '../testing/fake-server.ts';
import { asRole, kit, piece, TODAY } from '../testing/sample-team.ts';
import { show } from '../testing/show.tsx';
import { ReadyPage } from './ReadyPage.tsx';

const server = fakeServer();
afterEach(cleanup);

const WLL = [
  { asWritten: 'WLL 3 t', basis: 'wll', source: 'label', readings: [{ forceN: 29_420, unit: 't' }], settingDecided: false },
] as never;
const strap = (tag: string, change: Parameters<typeof piece>[1] = {}) => piece(tag, { marks: WLL, kitId: 'k-bog', ...change });
const defect = (words: string, failed: boolean): DefectView => ({
  defectId: words,
  gearId: 'g-ts-02',
  tag: 'TS-02',
  name: 'Tree strap',
  inspectionId: 'i-1',
  point: 'eye',
  words,
  failed,
  openedOn: '2026-01-02',
  openedBy: 'Tomas Aldbrook',
});

interface Setting {
  readonly register?: ReturnType<typeof piece>[];
  readonly kits?: ReturnType<typeof kit>[];
  readonly defects?: DefectView[];
  readonly outings?: Partial<OutingView>[];
  readonly plans?: Partial<PlanSummary>[];
  readonly visit?: object;
  readonly role?: 'coordinator' | 'gear-keeper' | 'reader';
  readonly steps?: Partial<FirstSteps>;
}
const ALL_DONE = { people: true, gear: true, kit: true, vehicle: true, plan: true, putAway: false };
const open = async ({ register = [], kits = [], defects = [], outings = [], plans = [], visit, role = 'gear-keeper', steps }: Setting) => {
  server.answers({
    ...asRole(role, register),
    'GET /api/v1/kits': { items: kits },
    'GET /api/v1/defects': { items: defects },
    'GET /api/v1/outings': { items: outings },
    'GET /api/v1/plans': { items: plans },
    'GET /api/v1/visit/first-steps': { ...ALL_DONE, ...steps },
    'PUT /api/v1/visit/first-steps': { ...ALL_DONE, ...steps, putAway: true },
    'GET /api/v1/visit': visit ?? { newest: 9, count: 0, entries: [] },
    'POST /api/v1/visit': { newest: 9, count: 0, entries: [], since: '2026-01-15T10:00:00Z' },
  });
  const user = show(<ReadyPage />);
  await screen.findByRole('heading', { name: /Not fit to go/ });
  return user;
};
const region = (name: string) => within(screen.getByRole('region', { name }));

describe('what is fit to go today', () => {
  it('puts a kit that is not ready first, and says what it lacks', async () => {
    const asked = [{ kind: 'tree-strap' as const, count: 2, leastWllN: 5000 }];
    await open({
      register: [strap('TS-01'), strap('TS-02'), strap('TS-03', { kitId: 'k-roof' })],
      kits: [kit({ wanted: asked }), kit({ kitId: 'k-roof', name: 'Roof box', wanted: asked })],
    });
    const rows = region('Kits').getAllByRole('listitem');
    expect(rows[0]?.textContent).toContain('Roof box');
    expect(rows[0]?.textContent).toContain('Missing: 1 tree strap.');
    expect(rows[1]?.textContent).not.toContain('Missing');
    // Another kit has what would fill it.
    expect(
      within(rows[0] as HTMLElement)
        .getByRole('link', { name: 'Fill it' })
        .getAttribute('href'),
    ).toBe('/kits/k-roof');
  });

  it('asks for a packing list where no kit has one', async () => {
    await open({ kits: [kit({ wanted: [] })] });
    expect(region('Kits').getByRole('link', { name: 'Give one to a kit' })).toBeTruthy();
  });

  it('names what must not be used, with the gravest reason and the one act that puts it right', async () => {
    await open({
      register: [
        strap('TS-01'),
        strap('TS-02', { state: 'quarantined' }),
        strap('TS-03', { inspection: { on: '2025-01-01', grade: 'B', nextDue: '2026-01-14' } }),
        strap('TS-04', { overloadsSinceInspection: 1 }),
        strap('TS-05', { inspection: undefined } as never),
        strap('TS-06', { state: 'retired' }),
        strap('TS-07', { inspection: { on: '2025-01-01', grade: 'B', nextDue: TODAY } }),
      ],
      defects: [defect('Fuzzy seam', false), defect('Cut at the eye', true)],
    });
    await region('Not fit to go').findByText(/Cut at the eye/);
    const told = region('Not fit to go')
      .getAllByRole('listitem')
      .map((row) => row.textContent);
    expect(told.map((text) => text?.slice(0, 5))).toEqual(['TS-02', 'TS-03', 'TS-04', 'TS-05']);
    expect(told[0]).toContain('in quarantine: Cut at the eye');
    expect(told[1]).toContain('overdue since Jan 14, 2026');
    expect(told[2]).toContain('overloaded since it was last inspected');
    expect(told[3]).toContain('never inspected on record');
    expect((await region('Not fit to go').findByRole('link', { name: 'Repair, then inspect' })).getAttribute('href')).toBe(
      '/inspect?of=piece:g-ts-02&kind=after-repair',
    );
  });

  it('offers no act to whoever may not do it', async () => {
    await open({ register: [strap('TS-02', { state: 'quarantined' })], role: 'reader' });
    expect(region('Not fit to go').queryByRole('link', { name: /inspect/i })).toBeNull();
    expect(region('Due').queryByRole('link', { name: 'Go to the bench' })).toBeNull();
  });

  it('shows eight and says how many more', async () => {
    await open({ register: Array.from({ length: 11 }, (_, index) => strap(`TS-${10 + index}`, { state: 'quarantined' })) });
    expect(region('Not fit to go').getAllByRole('listitem')).toHaveLength(8);
    expect(region('Not fit to go').getByRole('link', { name: 'and 3 more' })).toBeTruthy();
  });

  it('leads a new team to its first piece, and tells a fit one that all is well', async () => {
    await open({});
    expect(region('Not fit to go').getByRole('link', { name: 'Import your list' })).toBeTruthy();
    cleanup();
    server.forget();
    await open({ register: [strap('TS-01')] });
    expect(region('Not fit to go').getByText('Every piece is inspected and in use.')).toBeTruthy();
  });

  it('counts what falls due, of what is in use', async () => {
    const due = (tag: string, nextDue: string, change: object = {}) =>
      strap(tag, { inspection: { on: '2025-01-01', grade: 'B', nextDue }, ...change });
    await open({
      register: [
        due('A-1', '2026-01-14'),
        due('A-2', '2026-01-16'),
        due('A-3', '2026-02-10'),
        due('A-4', '2026-01-14', { state: 'quarantined' }),
      ],
    });
    const counts = [...screen.getByRole('region', { name: 'Due' }).querySelectorAll('dd')].map((entry) => entry.textContent);
    expect(counts).toEqual(['1', '1', '1']);
    expect(await region('Due').findByRole('link', { name: 'Go to the bench' })).toBeTruthy();
  });

  it('tells what is out and late, and which plans no longer stand; neither where there is none', async () => {
    await open({
      outings: [
        { outingId: 'o-1', name: 'Training', holder: 'Mirren Sedge', dueBackOn: '2026-01-14', pieces: [{ gearId: 'g-1' }] as never },
        { outingId: 'o-2', name: 'Back', holder: 'Otter', closedAt: '2026-01-10', pieces: [] },
      ],
      plans: [
        { planId: 'pl-1', name: 'Bog', outOfDate: ['TS-03: was in use, is quarantined.'] },
        { planId: 'pl-2', name: 'Ride', outOfDate: [] },
      ],
    });
    expect((await screen.findByRole('region', { name: 'Out' })).textContent).toContain('1 with Mirren Sedgewas due back Jan 14, 2026');
    expect(screen.getByRole('region', { name: 'Plans out of date' }).textContent).toContain('TS-03: was in use, is quarantined.');
    expect(region('Plans out of date').queryByText('Ride')).toBeNull();
    cleanup();
    server.forget();
    await open({});
    expect(screen.queryByRole('region', { name: 'Out' })).toBeNull();
    expect(screen.queryByRole('region', { name: 'Plans out of date' })).toBeNull();
  });

  it('shows what others did until one has seen it, up to what was shown', async () => {
    const entries = [
      {
        entryNo: '41',
        at: '2026-01-14T10:00:00Z',
        by: 'Tomas Aldbrook',
        action: 'changed a piece',
        kind: 'gear',
        subjectId: 'g-1',
        subjectName: 'TS-01',
        changes: [],
      },
    ];
    const user = await open({ visit: { newest: 44, count: 3, entries } });
    expect(await screen.findByText('and 2 more')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'I have seen it' }));
    await waitFor(() => expect(server.sent).toHaveLength(1));
    expect(server.body(0)).toEqual({ upTo: 44 });
  });
});

describe('the first steps of a team', () => {
  const steps = { gear: true, vehicle: false, kit: false, people: false, plan: false };
  it('say what comes first and how far the team is, the next act above the others', async () => {
    await open({ role: 'coordinator', steps });
    const first = within(await screen.findByRole('region', { name: 'First steps' }));
    expect(first.getByText('1 of 5 done')).toBeTruthy();
    expect(first.getAllByRole('listitem').map((item) => item.querySelector('strong')?.textContent)).toEqual([
      'Bring in your gear',
      'Add a vehicle',
      'Pack a kit',
      'Invite your people',
      'Plan your first pull',
    ]);
    expect(first.getAllByRole('link').map((link) => [link.textContent, link.className])).toEqual([
      ['Add a vehicle', 'action-main'],
      ['Pack a kit', 'action'],
      ['Invite people', 'action'],
      ['Plan a pull', 'action'],
    ]);
  });
  it('name nothing that one may not do', async () => {
    await open({ steps });
    expect(within(await screen.findByRole('region', { name: 'First steps' })).queryByText('Invite your people')).toBeNull();
    expect(screen.getByText('1 of 4 done')).toBeTruthy();
  });
  it.each<[string, Setting]>([
    ['to a reader', { role: 'reader', steps }],
    ['once all are done', { role: 'coordinator' }],
    ['once they are put away', { role: 'coordinator', steps: { ...steps, putAway: true } }],
  ])('are not shown %s', async (_when, setting) => {
    await open(setting);
    expect(screen.queryByRole('region', { name: 'First steps' })).toBeNull();
  });
  it('are put away for the team', async () => {
    const user = await open({ role: 'coordinator', steps });
    await user.click(await screen.findByRole('button', { name: 'Put this list away' }));
    await waitFor(() => expect(server.sent.at(-1)).toMatchObject({ body: { putAway: true } }));
  });
});
