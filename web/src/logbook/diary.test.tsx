import { cleanup, screen, waitFor, within } from '@testing-library/react';
import type { DiaryEntry, DiaryView } from '@wainrope/contract';
import { DEGREE, formatFigure, respoolAdvice, teamStandard, write } from '@wainrope/core';
import { afterEach, describe, expect, it } from 'vitest';
import { fakeServer, faulty } from '../testing/fake-server.ts';
import { asRole, piece, TODAY } from '../testing/sample-team.ts';
import { show } from '../testing/show.tsx';
import { DiarySection } from './DiarySection.tsx';
import { entryWords } from './diary-words.ts';
import { RespoolPage } from './RespoolPage.tsx';
import { readMetres } from './read-metres.ts';
import { adviceWords, drumOf } from './respool-words.ts';

const server = fakeServer();
afterEach(cleanup);

const line = piece('WL-1', {
  kind: 'winch-line-synthetic',
  name: 'Line 10 mm',
  vehicleId: 'v-1',
  attributes: { lengthM: 28, ropeDiameterM: 0.01 },
});
const winch = piece('W-1', { kind: 'winch', name: 'Winch', vehicleId: 'v-1', attributes: { drumDiameterM: 0.064, drumWidthM: 0.224 } });
const entry = (change: Partial<DiaryEntry>): DiaryEntry => ({
  entryId: 'e-1',
  on: '2026-01-10',
  kind: 'ran',
  by: 'Isla Wrenfell',
  at: '2026-01-10T10:00:00Z',
  ...change,
});

describe('an entry of a diary, in words', () => {
  it.each([
    [entry({ kind: 'spooled', spoolState: 'under-tension', tensionN: 4500 }), 'Spooled under tension at 4.5 kN'],
    [entry({ kind: 'spooled', spoolState: 'slack' }), 'Spooled slack'],
    [entry({ kind: 'ran', metres: 12 }), 'The line ran 12.0 m'],
    [entry({ kind: 'cut-back', metres: 1.5, cutAt: 'hook' }), '1.5 m cut off at the hook'],
    [
      entry({ kind: 'spliced', endTermination: 'long-tapered-bury', eyeLock: 'locked-splice' }),
      'New end: long tapered splice; its eye: locked splice',
    ],
    [entry({ kind: 'covered' }), 'Cover on'],
  ])('%j', (each, words) => expect(write(entryWords(each), 'kN')).toBe(words));
  it.each([
    ['', { kind: 'empty' }],
    ['1.5', { kind: 'metres', metres: 1.5 }],
    ['150 cm', { kind: 'metres', metres: 1.5 }],
    ['far', { kind: 'fault' }],
  ])('“%s” metres', (typed, read) => expect(readMetres(typed, '.')).toMatchObject(read));
});

describe('the diary on a piece’s page', () => {
  const open = (role: 'gear-keeper' | 'member' | 'reader', gear: typeof line, view: DiaryView = { items: [] }) => {
    server.answers({ ...asRole(role), 'GET /api/v1/gear/*/diary': view });
    return show(<DiarySection gear={gear} today={TODAY} decimal="." />);
  };
  it('of a drum says how far its line ran since it was spooled', async () => {
    open('member', winch, { items: [entry({ metres: 12 })], ranSinceM: 29.5, spooledOn: '2026-01-02' });
    expect((await screen.findByText('29.5 m')).parentElement?.textContent).toBe(
      '29.5 m of line run since it was spooled under tension on Jan 2, 2026.',
    );
    await screen.findByRole('link', { name: 'Re-spool it, step by step' });
    expect(screen.queryByRole('button', { name: 'Cut back' })).toBeNull();
  });
  it('of a line is cut back by a keeper, with the end at which it was cut', async () => {
    const user = open('gear-keeper', line);
    await user.click(await screen.findByRole('button', { name: 'Cut back' }));
    await user.type(screen.getByLabelText('Metres cut off'), 'much');
    await user.click(screen.getByRole('button', { name: 'Write it down' }));
    screen.getByText(/“much” is not understood/);
    await user.clear(screen.getByLabelText(/^Metres cut off/));
    await user.type(screen.getByLabelText(/^Metres cut off/), '1.5');
    server.answers({ ...asRole('gear-keeper'), 'POST /api/v1/gear/*/diary': { items: [] }, 'GET /api/v1/gear/*/diary': { items: [] } });
    await user.click(screen.getByRole('button', { name: 'Write it down' }));
    await waitFor(() => expect(server.sent).toHaveLength(1));
    expect(server.sent[0]?.body).toEqual({ entryId: expect.any(String), on: TODAY, kind: 'cut-back', metres: 1.5, cutAt: 'hook' });
  });
  it('is not a member’s to cut, and not a strap’s to have', async () => {
    open('member', line);
    await screen.findByRole('button', { name: 'Stretched under tension' });
    expect(screen.queryByRole('button', { name: 'Cut back' })).toBeNull();
    cleanup();
    show(<DiarySection gear={piece('A-1')} today={TODAY} decimal="." />);
    expect(screen.queryByRole('region', { name: 'Diary' })).toBeNull();
  });
  it('shows what the server refuses beside its field', async () => {
    const user = open('gear-keeper', line);
    await user.click(await screen.findByRole('button', { name: 'Cut back' }));
    server.answers({ ...asRole('gear-keeper'), 'POST /api/v1/gear/*/diary': faulty('metres', 'Say how much was cut off.') });
    await user.click(screen.getByRole('button', { name: 'Write it down' }));
    await screen.findByText('Say how much was cut off.');
  });
});

describe('re-spooling', () => {
  const advice = (change: object = {}) =>
    respoolAdvice({ massKg: 2500, slopeRad: 0, surface: 'grass', brakeShare: 0, ...change }, teamStandard);
  const figure = (value: Parameters<typeof formatFigure>[0]) => formatFigure(value, 'kN');
  it('says what a helper gives, and what would reach what is asked for', () => {
    // 2500 kg on grass rolls with 0.08 of its weight: 1.96 kN of the 4.41 kN asked for.
    const free = adviceWords(advice(), figure);
    expect(free).toMatchObject({ enough: false, title: 'It gives only 2.0 kN' });
    expect(free.detail).toMatch(/^4\.4 kN is asked for: brake wheels that carry \d+ % of its weight, or draw it up a slope of \d+°\.$/);
    expect(adviceWords(advice({ slopeRad: 8 * DEGREE }), figure)).toMatchObject({ enough: true });
    expect(adviceWords({ tensionN: 100, wantedN: 4413 }, figure).detail).toContain('This helper cannot give it here');
  });
  it('wants the sizes of drum and line', () => {
    expect(drumOf(winch, line)).toEqual({ coreDiameterM: 0.064, widthM: 0.224, ropeDiameterM: 0.01, ropeLengthM: 28 });
    expect(drumOf({ attributes: {} }, line)).toBeUndefined();
  });
  it('goes layer by layer, and ends in the drum’s diary with the tension that the helper gave', async () => {
    server.answers({
      ...asRole('member', [winch, line]),
      'GET /api/v1/vehicles': { items: [] },
      'POST /api/v1/gear/*/diary': { items: [] },
    });
    const user = show(<RespoolPage />, { address: `/gear/${winch.gearId}/respool`, path: '/gear/:gearId/respool' });
    const layers = await screen.findByRole('region', { name: 'Layer by layer' });
    // 22 turns a layer of 5.1, 6.5 and 7.9 m; what is left of 28 m on the fourth.
    within(layers).getByText('Layer 1: 22 turns');
    within(layers).getByText(/^5\.1 m side by side without a gap, 5\.1 m on the drum then/);
    within(layers).getByText('Layer 4: 20 turns and a part');
    const finish = () => screen.getByRole('button', { name: 'Spooled under tension' }) as HTMLButtonElement;
    expect(finish().disabled).toBe(true);
    for (const step of within(layers).getAllByRole('button')) await user.click(step);
    screen.getByText('The helper gave less than is asked for; the diary will say so.');
    await user.click(finish());
    await waitFor(() => expect(server.sent).toHaveLength(1));
    expect(server.sent[0]?.body).toMatchObject({
      kind: 'spooled',
      spoolState: 'under-tension',
      tensionN: Math.round(2500 * 9.80665 * 0.08),
      note: 'WL-1, by the steps',
    });
  });
});
