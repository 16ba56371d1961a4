import { cleanup, screen, waitFor, within } from '@testing-library/react';
import type { IncidentView, SeasonView } from '@wainrope/contract';
import { afterEach, describe, expect, it } from 'vitest';
import { fakeServer, faulty } from '../../testing/fake-server.ts';
import { asRole, piece, TODAY } from '../../testing/sample-team.ts';
import { show } from '../../testing/show.tsx';
import { IncidentPage } from './IncidentPage.tsx';
import { IncidentsPage } from './IncidentsPage.tsx';
import { forgetDraft, keptDraft } from './incident-draft.ts';
import { NewIncidentPage } from './NewIncidentPage.tsx';
import { SeasonPage } from './SeasonPage.tsx';

const server = fakeServer();
afterEach(() => {
  cleanup();
  forgetDraft();
});

const incident = (change: Partial<IncidentView> = {}): IncidentView => ({
  incidentId: 'i-1',
  on: '2026-01-10',
  kind: 'near-miss',
  words: 'The block swung past the operator.',
  pieces: [{ gearId: 'A-1', tag: 'A-1', name: 'Strap', takenOut: true }],
  followUps: [],
  photoIds: [],
  by: 'Isla Wrenfell',
  at: '2026-01-10T10:00:00Z',
  ...change,
});
const pieces = [piece('A-1'), piece('A-2', { state: 'quarantined' })];
const written = { 'GET /api/v1/gear': { items: pieces }, 'GET /api/v1/gear/pages': { starts: [] } };

describe('an incident that is written down', () => {
  const open = async (at = '/log/incidents/new', role: 'member' | 'reader' = 'member') => {
    server.answers({ ...asRole(role), ...written });
    const user = show(<NewIncidentPage />, { address: at, path: '/log/incidents/new' });
    await screen.findByText('What was it?');
    return user;
  };
  it('begins with the piece that a link names, out of use at once, and is sent as it stands', async () => {
    const user = await open(`/log/incidents/new?piece=${pieces[0]?.gearId}`);
    expect((screen.getByRole('button', { name: 'Record it' }) as HTMLButtonElement).disabled).toBe(true);
    await user.click(screen.getByRole('button', { name: 'Something slid or ran' }));
    await user.type(screen.getByLabelText('What happened'), 'Slid up the trunk');
    await user.type(screen.getByLabelText(/^Who was told/), 'The owner');
    server.answers({ ...asRole('member'), ...written, 'POST /api/v1/incidents': incident(), 'GET /api/v1/incidents/*': incident() });
    await user.click(screen.getByRole('button', { name: 'Record it' }));
    await waitFor(() => expect(server.sent).toHaveLength(1));
    expect(server.sent[0]?.body).toEqual({
      incidentId: expect.any(String),
      on: TODAY,
      kind: 'slid',
      words: 'Slid up the trunk',
      told: 'The owner',
      pieces: [{ gearId: pieces[0]?.gearId, takenOut: true }],
    });
    await waitFor(() => expect(keptDraft()).toBeUndefined());
  });
  it('keeps each letter on the device until the server has it, and its id with them', async () => {
    const user = await open();
    await user.type(screen.getByLabelText('What happened'), 'Slid');
    const { incidentId } = keptDraft() ?? {};
    cleanup();
    await open();
    expect((screen.getByLabelText('What happened') as HTMLTextAreaElement).value).toBe('Slid');
    expect(keptDraft()?.incidentId).toBe(incidentId);
  });
  it('takes pieces by their tags, once each; what is out of use already is not taken out again', async () => {
    const user = await open();
    const tag = screen.getByLabelText('Tag of a piece that was in it');
    for (const code of ['a-1', 'a-1', 'A-2', 'Z-9']) await user.type(tag, `${code}{Enter}`);
    screen.getByText('No piece has the tag Z-9.');
    const rows = within(screen.getByRole('region', { name: 'Pieces that were in it' })).getAllByRole('listitem');
    expect(rows).toHaveLength(2);
    expect((within(rows[1] as HTMLElement).getByLabelText('out of use already') as HTMLInputElement).disabled).toBe(true);
    await user.click(screen.getByLabelText('out of use at once'));
    expect(keptDraft()?.pieces.map(({ takenOut }) => takenOut)).toEqual([false, true]);
    await user.click(screen.getByRole('button', { name: 'A-1 had no part in it' }));
    expect(keptDraft()?.pieces).toHaveLength(1);
  });
  it('shows what the server refuses, and loses nothing', async () => {
    const user = await open();
    await user.click(screen.getByRole('button', { name: 'A near miss' }));
    await user.type(screen.getByLabelText('What happened'), 'Nearly');
    server.answers({ ...asRole('member'), ...written, 'POST /api/v1/incidents': faulty('words', 'Say more.') });
    await user.click(screen.getByRole('button', { name: 'Record it' }));
    await screen.findByText('Say more.');
    expect(keptDraft()?.words).toBe('Nearly');
  });
});

describe('an incident on record', () => {
  it('has its words, its pieces, and is added to by what is changed because of it', async () => {
    server.answers({ ...asRole('member'), 'GET /api/v1/incidents/*': incident({ told: 'The owner', place: 'Ford' }) });
    const user = show(<IncidentPage />, { address: '/log/incidents/i-1', path: '/log/incidents/:incidentId' });
    await screen.findByText('The block swung past the operator.');
    screen.getByText('Told: The owner.');
    screen.getByText('taken out of use');
    screen.getByText(/Nothing yet\. Something that nearly went wrong once/);
    await user.type(await screen.findByLabelText('What else is changed'), 'Slower from now on');
    server.answers({ ...asRole('member'), 'POST /api/v1/incidents/*/follow-ups': incident(), 'GET /api/v1/incidents/*': incident() });
    await user.click(screen.getByRole('button', { name: 'Add it' }));
    await waitFor(() => expect(server.sent[0]?.body).toMatchObject({ words: 'Slower from now on' }));
  });
  it('that was put right says so', async () => {
    server.answers({ ...asRole('reader'), 'GET /api/v1/incidents/*': incident({ correctedBy: 'i-2' }) });
    show(<IncidentPage />, { address: '/log/incidents/i-1', path: '/log/incidents/:incidentId' });
    await screen.findByRole('link', { name: 'a later record' });
    expect(screen.queryByLabelText('What else is changed')).toBeNull();
  });
  it('stands in a list, a page at a time; an empty one says what it is for', async () => {
    server.answers({ ...asRole('member'), 'GET /api/v1/incidents': { items: [incident()], next: '2026-01-10 i-1' } });
    const user = show(<IncidentsPage />);
    await screen.findByRole('link', { name: 'A near miss' });
    server.answers({ ...asRole('member'), 'GET /api/v1/incidents': { items: [] } });
    await user.click(screen.getByRole('button', { name: 'Earlier' }));
    await screen.findByText(/Nothing on record/);
  });
});

describe('a season', () => {
  const season: SeasonView = {
    from: '2026-01-01',
    to: TODAY,
    pulls: 12,
    piecesLoaded: 1,
    inspections: 30,
    failed: 2,
    takenOut: 3,
    retired: 1,
    outings: 4,
    overloads: [
      { gearId: 'A-1', tag: 'A-1', name: 'Strap', on: '2026-01-10', happenedN: 50_000, wllN: 40_000, share: 1.25, overload: 'inspect' },
    ],
    hardest: [],
    incidents: [incident()],
  };
  it('says what it came to, with its incidents and what was over a limit', async () => {
    const figure = { surface: 'bog', depth: 'sills', machine: 'Otter', lastOn: '2026-01-09' } as const;
    server.answers({
      ...asRole('member'),
      'GET /api/v1/season': season,
      'GET /api/v1/own-figures': {
        items: [
          { ...figure, pulls: 3, median: 1.5, low: 1.4, high: 1.6, largest: 1.62, ofPlanned: 0.7 },
          { ...figure, depth: 'hubs', pulls: 2, ofPlanned: 0.5 },
        ],
      },
    });
    show(<SeasonPage />);
    await screen.findByText(
      /12 pulls on record, on 1 piece; 4 outings; 30 inspections, of which 2 failed\. 3 pieces went out of use, 1 for good\./,
    );
    expect(within(screen.getByRole('region', { name: 'Over the limit' })).getByRole('listitem').textContent).toContain('125 % of 40.0 kN');
    within(screen.getByRole('region', { name: 'Incidents and near misses' })).getByText('The block swung past the operator.');
    screen.getByText('No load on record.');
    const own = within(await screen.findByRole('region', { name: 'What measured pulls came to' }));
    const [off, few] = await own.findAllByRole('listitem');
    expect(off?.textContent).toContain('150 % of its weight, 140 % to 160 % without the outer tenths, 162 % at most');
    expect(off?.textContent).toContain('70 % of what was planned: the estimates are too high here');
    expect(few?.textContent).toContain('a figure wants three pulls');
    expect(few?.textContent).not.toContain('the estimates');
  });
});
