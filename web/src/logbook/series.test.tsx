import { cleanup, screen, waitFor } from '@testing-library/react';
import type { SeriesFound, SeriesView } from '@wainrope/contract';
import { afterEach, describe, expect, it } from 'vitest';
import { choose } from '../testing/choose.ts';
import { fakeServer, faulty } from '../testing/fake-server.ts';
import { sampleLook as look } from '../testing/sample-look.ts';
import { asRole, TODAY } from '../testing/sample-team.ts';
import { show } from '../testing/show.tsx';
import { BringSeries } from './BringSeries.tsx';
import { PlanSeries } from './PlanSeries.tsx';
import { seriesFigure, seriesTable } from './series-figure.ts';
import { seriesNotes, seriesWords } from './series-words.ts';

const server = fakeServer();
afterEach(cleanup);

const found = (change: Partial<SeriesFound> = {}): SeriesFound => ({
  rows: 1000,
  durationS: 10,
  peakN: 20_000,
  peakS: 4,
  lowestN: 0,
  refused: [],
  refusedCount: 0,
  repeated: 0,
  gaps: 0,
  longestGapS: 0,
  spikes: 0,
  spikeLines: [],
  ...change,
});
const view: SeriesView = {
  seriesId: 's-1',
  planId: 'p-1',
  version: 3,
  lineId: 'winch line',
  strand: 0,
  on: TODAY,
  fileName: 'bog.csv',
  bytes: 99,
  leftOutSpikes: false,
  found: found(),
  by: 'Isla Wrenfell',
  at: '2026-01-10T10:00:00Z',
  outline: { stepS: 4, lowN: [0, null, 900], highN: [20_000, null, 1000] },
  loads: [],
};
const notes = (change: Partial<SeriesFound>, leftOutSpikes = false) => seriesNotes({ found: found(change), leftOutSpikes });

describe('how a series was read', () => {
  it('is told by its readings and its time', () => {
    expect(seriesWords({ rows: 1_000_000, durationS: 1000 })).toBe('1,000,000 readings over 16 min 40 s');
    expect(seriesWords({ rows: 5, durationS: 2.54 })).toBe('5 readings over 2.5 s');
  });
  it('says nothing where nothing is to be said', () => expect(notes({})).toEqual([]));
  it.each([
    [{ refusedCount: 1 }, 'One row was no reading and left out.'],
    [{ refusedCount: 12 }, '12 rows were no reading and left out.'],
    [{ spikes: 2, spikeLines: [4, 9] }, '2 lone readings stand far from both neighbours (lines 4, 9); counted as it stands.'],
    [{ gaps: 1, longestGapS: 3.24 }, 'One gap without a reading, of 3.2 s: what happened then is not known.'],
    [{ repeated: 3 }, '3 rows repeat the time before; counted in order.'],
    [{ lowestN: -401 }, 'The gauge read well below zero: its zero may be off, and every load with it.'],
    [{ rows: 99 }, 'At 9.9 readings a second a snatch may fall between two of them: the true peak may be higher.'],
  ])('%j: %s', (change, words) => expect(notes(change)).toEqual([words]));
  it('lets a gauge be a little below zero, and ten readings a second be', () => {
    expect(notes({ lowestN: -400 })).toEqual([]);
    expect(notes({ rows: 100 })).toEqual([]);
  });
  it('says what was left out because somebody said so', () =>
    expect(notes({ spikes: 1, spikeLines: [4] }, true)).toEqual([
      'One lone reading stands far from both neighbours (line 4); left out, as was said.',
    ]));
});

describe('the drawing of a series', () => {
  it('is in the reader’s unit, leaves out what has no reading, and names the peak', () => {
    const { data, layout } = seriesFigure(view, 'kN', look);
    expect(data.find(({ name }) => name === 'Largest')).toMatchObject({ x: [0, 8], y: [20, 1] });
    expect(data.find(({ name }) => name === 'Smallest')).toMatchObject({ y: [0, 0.9] });
    expect(data.find(({ name }) => name === 'Peak')).toMatchObject({ x: [4], y: [20] });
    expect(layout.annotations?.[0]?.text).toBe('peak 20.0 kN');
    const pounds = seriesFigure(view, 'lbf', look);
    expect((pounds.data.find(({ name }) => name === 'Peak') as { y: number[] }).y[0]).toBeCloseTo(4496.2, 1);
    expect(pounds.layout.yaxis?.title).toMatchObject({ text: 'lbf' });
  });
  it('is a table in newtons too', () =>
    expect(seriesTable(view).rows).toEqual([
      [0, 0, 20_000],
      [8, 900, 1000],
    ]));
});

describe('a recorder’s file', () => {
  const strand = (index: number) => ({ lineId: 'winch line', index }) as never;
  const plan = { planId: 'p-1', version: 3, state: 'ready' } as const;
  const open = async (answer: object, strands = 2) => {
    server.answers({ ...asRole('member'), 'POST /api/v1/plans/*/series': answer });
    const report = { strands: Array.from({ length: strands }, (_, index) => strand(index)) };
    const user = show(<BringSeries plan={plan} report={report} today={TODAY} dirty={false} />);
    await user.click(await screen.findByRole('button', { name: 'Bring in a recorder’s file' }));
    return user;
  };
  const file = new File(['time_s,load\n0,1\n'], 'bog.csv', { type: 'text/csv' });
  const queries = () => server.sent.filter(({ method }) => method === 'POST').map(({ query }) => new URLSearchParams(query));

  it('is sent with where the gauge was, and tells what came of it', async () => {
    const load = { overload: 'quarantine', place: 'RR-02, bow; Bog', gearId: 'g' };
    const user = await open({ ...view, loads: [load] });
    await user.upload(screen.getByLabelText(/^The file/), file);
    await choose(user, 'Where the gauge was', 'at the far end');
    await user.click(screen.getByRole('button', { name: 'Bring it in' }));
    await screen.findByText(/1,000 readings over 10 s, for one piece/);
    screen.getByText(/One piece was over the limit: RR-02, bow\./);
    expect(Object.fromEntries(queries()[0] ?? [])).toMatchObject({
      lineId: 'winch line',
      strand: '1',
      version: '3',
      fileName: 'bog.csv',
      pulls: '1',
    });
  });
  it('whose unit is not said is asked about, and sent again with the answer and the same id', async () => {
    const asked = 'Which unit has the column “load”? Choose one of: N, daN, kN.';
    const user = await open(faulty('forceUnit', asked), 1);
    await user.upload(screen.getByLabelText(/^The file/), file);
    await user.click(screen.getByRole('button', { name: 'Bring it in' }));
    await screen.findByLabelText('Which unit are its figures in?');
    await choose(user, 'Which unit are its figures in?', 'kN');
    server.answers({ ...asRole('member'), 'POST /api/v1/plans/*/series': view });
    await user.click(screen.getByRole('button', { name: 'Bring it in' }));
    await waitFor(() => expect(queries()).toHaveLength(2));
    const [first, second] = queries();
    expect(second?.get('forceUnit')).toBe('kN');
    expect(second?.get('seriesId')).toBe(first?.get('seriesId'));
    expect(second?.get('task')).not.toBe(first?.get('task'));
  });
  it('is wanted before anything is sent, and whole pulls', async () => {
    const user = await open(view);
    await user.click(screen.getByRole('button', { name: 'Bring it in' }));
    screen.getByText('Choose the recorder’s file.');
    await user.upload(screen.getByLabelText(/^The file/), file);
    await user.clear(screen.getByLabelText('Pulls alike'));
    await user.type(screen.getByLabelText('Pulls alike'), 'two');
    await user.click(screen.getByRole('button', { name: 'Bring it in' }));
    screen.getByText('“two” is not a whole number of pulls.');
    expect(queries()).toEqual([]);
  });
});

describe('the recorded pulls of a plan', () => {
  const listed = Array.from({ length: 6 }, (_, index) => ({ ...view, seriesId: `s-${index}`, fileName: `pull-${index}.csv` }));
  it('are listed with their peaks, and read further back where there are more', async () => {
    let next: string | undefined = 's-5';
    const asked: string[] = [];
    server.answers({
      ...asRole('member'),
      'GET /api/v1/plans/*/series': ({ query }: { query: string }) => {
        asked.push(query);
        return { items: listed, ...(next !== undefined && { next }) };
      },
    });
    const user = show(<PlanSeries planId="p-1" />);
    expect((await screen.findByRole('link', { name: 'pull-3.csv' })).getAttribute('href')).toBe('/series/s-3');
    expect(screen.getAllByText('peak 20.0 kN')).toHaveLength(6);
    await user.click(screen.getByRole('button', { name: 'Show older ones' }));
    await screen.findByText('The newest 200 are listed.');
    expect(asked).toEqual(['limit=6', 'limit=200']);
    cleanup();
    server.forget();
    next = undefined;
    show(<PlanSeries planId="p-1" />);
    await screen.findByRole('link', { name: 'pull-3.csv' });
    expect(screen.queryByRole('button', { name: 'Show older ones' })).toBeNull();
  });
  it('are not spoken of where there is none', async () => {
    server.answers({ ...asRole('member'), 'GET /api/v1/plans/*/series': { items: [] } });
    show(<PlanSeries planId="p-1" />);
    await new Promise((done) => setTimeout(done, 50));
    expect(screen.queryByText('Recorded pulls')).toBeNull();
  });
});
