import { cleanup, screen, within } from '@testing-library/react';
import type { LifeEvent } from '@wainrope/contract';
import { write } from '@wainrope/core';
import { afterEach, describe, expect, it } from 'vitest';
import { fakeServer } from '../testing/fake-server.ts';
import { sampleLook as look } from '../testing/sample-look.ts';
import { asRole, TODAY } from '../testing/sample-team.ts';
import { show } from '../testing/show.tsx';
import { LifeSection } from './LifeSection.tsx';
import { lifeFigure, lifeTable } from './life-figure.ts';
import { eventPage, eventTitle } from './life-words.ts';

const server = fakeServer();
afterEach(cleanup);

const event = (kind: LifeEvent['kind'], what: string, change: Partial<LifeEvent> = {}): LifeEvent => ({
  key: `${kind}${what}${change.on ?? ''}`,
  on: '2026-01-05',
  kind,
  what,
  isCorrected: false,
  ...change,
});
const load = (happenedN: number, change: Partial<LifeEvent> = {}) =>
  event('load', 'typed', { happenedN, wllN: 40_000, overload: 'none', ...change });
const events: readonly LifeEvent[] = [
  event('state', 'quarantined', { on: '2026-01-10', words: 'Loaded too far' }),
  load(50_000, { on: '2026-01-10', overload: 'quarantine' }),
  event('out', 'A neighbour', { on: '2026-01-08', until: '2026-01-09', id: 'o-1', words: 'Ride' }),
  load(90_000, { on: '2026-01-07', isCorrected: true }),
  event('incident', 'slid', { on: '2026-01-06', id: 'i-1' }),
  event('met', 'mud'),
  event('inspection', 'calendar', { on: '2026-01-02', grade: 'A', id: 'n-1' }),
];

describe('what happened to a piece, in words', () => {
  it.each([
    [load(10_000), 'Loaded to 10.0 kN, 25 % of 40.0 kN'],
    [event('load', 'typed', { happenedN: 10_000 }), 'Loaded to 10.0 kN, no limit known'],
    [event('inspection', 'calendar', { grade: 'B' }), 'By the calendar: grade B'],
    [event('inspection', 'before-use'), 'Before use: passed'],
    [event('met', 'washed'), 'Washed and dried'],
    [event('done', 'spooled', { spoolState: 'slack' }), 'Spooled slack'],
    [event('state', 'retired'), 'Retired'],
    [event('incident', 'near-miss'), 'A near miss'],
    [event('out', 'Tomas', { until: '2026-01-09' }), 'With Tomas until 2026-01-09'],
    [event('out', 'Tomas'), 'With Tomas, not back yet'],
  ])('%j', (each, words) => expect(write(eventTitle(each), 'kN')).toBe(words));
  it('leads to its own page, where it has one', () => {
    expect(eventPage(event('incident', 'slid', { id: 'x' }))).toBe('/log/incidents/x');
    expect(eventPage(event('met', 'mud', { id: 'x' }))).toBeUndefined();
    expect(eventPage(event('out', 'Tomas'))).toBeUndefined();
  });
});

describe('the line of its life', () => {
  const { data } = lifeFigure({ events, units: 'kN', look, today: TODAY });
  const named = (name: string) => data.find((trace) => trace.name === name) as { x: string[]; y: number[]; text?: string[] };
  it('has each load in per cent of its limit as it was then, one that was corrected left out', () => {
    expect(named('Loads')).toMatchObject({ x: ['2026-01-10'], y: [125] });
    expect(named('Over the limit')).toMatchObject({ y: [125] });
    expect(named('Limit as it was then').y).toEqual([100, 100]);
  });
  it('has inspections by their grade, what it met by a letter, who had it as a bar', () => {
    expect(named('Inspections')).toMatchObject({ text: ['A'] });
    expect(named('What it met')).toMatchObject({ text: ['M'] });
    expect(named('Who had it')).toMatchObject({ x: ['2026-01-08', '2026-01-09'] });
    expect(named('Incidents').x).toEqual(['2026-01-06']);
    expect(named('Out of use').x).toEqual(['2026-01-10']);
  });
  it('is a table too, oldest first', () => {
    const { rows } = lifeTable(events, 'kN');
    expect(rows[0]).toEqual(['2026-01-02', 'Inspections', 'By the calendar: grade A', '', '']);
    expect(rows[3]?.[2]).toBe('Loaded to 90.0 kN, 225 % of 40.0 kN (corrected since)');
    expect(rows).toHaveLength(events.length);
  });
});

describe('the life of a piece on its page', () => {
  it('is narrowed to one kind of event', async () => {
    server.answers({ ...asRole('member'), 'GET /api/v1/gear/*/life': { items: events } });
    const user = show(<LifeSection gearId="g" tag="A-1" today={TODAY} />);
    const list = await screen.findByRole('list');
    expect(within(list).getAllByRole('listitem')).toHaveLength(events.length);
    await user.click(screen.getByRole('button', { name: 'Loads' }));
    expect(within(screen.getByRole('list')).getAllByRole('listitem')).toHaveLength(2);
    expect(screen.queryByText('Mud')).toBeNull();
  });
  it('of a new piece says that nothing has happened to it', async () => {
    server.answers({ ...asRole('member'), 'GET /api/v1/gear/*/life': { items: [] } });
    show(<LifeSection gearId="g" tag="A-1" today={TODAY} />);
    await screen.findByText('Nothing is on record yet.');
  });
});
