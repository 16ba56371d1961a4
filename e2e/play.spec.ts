import { readFile } from 'node:fs/promises';
import { expect, type Page } from '@playwright/test';
import { force, formatFigure, percent } from '@wainrope/core';
import { commandLine } from './command-line.ts';
import { axeFaults } from './faults-of-a-page.ts';
import { openPlan } from './open-plan.ts';
import { test } from './signed-in.ts';

interface Row {
  readonly travelM: number;
  readonly linePullN: number;
  readonly greatestPullN: number;
}

const rowAt = (rows: readonly Row[], travelM: number): Row =>
  rows.reduce((near, row) => (Math.abs(row.travelM - travelM) <= Math.abs(near.travelM - travelM) ? row : near));

const playedTo = (page: Page, travelM: string) => expect(page.locator('[data-play-at]')).toHaveAttribute('data-play-at', travelM);

for (const [name, tag] of [
  ['Bog below', 'TS-03'],
  ['Badger', 'W-03'],
] as const)
  test(`the pull of ${name} is played by pointer and by keys, with the command line's figures`, async ({ page, request }) => {
    const planId = await openPlan(page, name);
    const { report, pull } = await commandLine(request, planId);
    await page.getByRole('button', { name: 'Play the pull' }).click();
    const slider = page.getByRole('slider', { name: 'How far the pull has gone' });
    const figures = page.locator('[data-play-figures]');
    await playedTo(page, '0.00');
    const saysRow = async (travelM: number) => {
      const { linePullN, greatestPullN } = rowAt(pull.rows, travelM);
      await expect(figures).toContainText(`line ${formatFigure(force(linePullN), 'kN')} planned`);
      await expect(figures).toContainText(`${formatFigure(force(greatestPullN), 'kN')} at most`);
    };
    await saysRow(0);
    // Its worst moment, by keys alone.
    const worst = report.places.find(({ id }: { id: string }) => id === report.weakestPlaceId);
    await slider.focus();
    await page.keyboard.press(report.weakestAtM > 0 ? 'End' : 'Home');
    await playedTo(page, report.weakestAtM.toFixed(2));
    await expect(figures).toContainText(`${tag} ${formatFigure(percent(worst.worst.utilisation), 'kN')} of its limit`);
    await expect(page.getByRole('region', { name: 'Load path' }).getByRole('button', { name: new RegExp(tag) })).toContainText(
      formatFigure(percent(worst.worst.utilisation), 'kN'),
    );
    // Half of the way, by the pointer.
    const box = await slider.boundingBox();
    if (!box) throw new Error('no slider');
    await page.mouse.click(box.x + box.width / 2, box.y + box.height / 2);
    const half = report.pull.reachedM / 2;
    await expect
      .poll(async () => Math.abs(Number(await page.locator('[data-play-at]').getAttribute('data-play-at')) - half))
      .toBeLessThan(0.1);
    await saysRow(Number(await page.locator('[data-play-at]').getAttribute('data-play-at')));
    await expect(page).toHaveURL(/at=\d/);
    // From event to event.
    await slider.focus();
    await page.keyboard.press('Home');
    await playedTo(page, '0.00');
    const events: { atM: number; words: string }[] = pull.events;
    for (const { atM, words } of events.slice(0, 2)) {
      for (let step = 0; step < 6; step++) {
        await page.keyboard.press('PageUp');
        if (Math.abs(Number(await slider.inputValue()) - atM) < 0.011) break;
      }
      expect(Math.abs(Number(await slider.inputValue()) - atM)).toBeLessThan(0.011);
      await expect(page.locator('[data-play-event]')).toContainText(words);
    }
    await page.keyboard.press('PageDown');
    await expect(page.getByRole('button', { name: 'Previous event' })).toBeEnabled();
    // A link to this moment.
    await page.reload();
    await expect(page.getByRole('slider', { name: 'How far the pull has gone' })).toBeVisible();
    await page.getByRole('button', { name: 'Stop playing, back to the start' }).click();
    await expect(slider).toHaveCount(0);
    await expect(page).not.toHaveURL(/at=/);
  });

test('a pull plays to its end by time, rests among it, and is charted with a table, CSV and picture', async ({ page }) => {
  await openPlan(page, 'Bog below');
  await page.getByRole('button', { name: 'Play the pull' }).click();
  await page.getByRole('button', { name: 'by time' }).click();
  // The drawing has less room while the pull is played.
  await playedTo(page, '0.00');
  const start = await page.locator('[data-vehicle]').first().boundingBox();
  await page.getByRole('button', { name: 'Play', exact: true }).click();
  await expect(page.locator('[data-play-figures]')).toContainText('the motor rests');
  await expect(page.locator('[data-play-running="false"]')).toBeVisible();
  await playedTo(page, '7.00');
  await expect(page.locator('[data-play-event]')).toContainText('The load is where it has to go');
  const end = await page.locator('[data-vehicle]').first().boundingBox();
  const scale = Number(await page.locator('[data-plan-sheet]').getAttribute('data-scale'));
  const goneM = Math.hypot((end?.x ?? 0) - (start?.x ?? 0), (end?.y ?? 0) - (start?.y ?? 0)) / scale;
  // Seven metres along the ground, as the map sees them.
  expect(goneM).toBeGreaterThan(6.9);
  expect(goneM).toBeLessThan(7.05);
  // It stands where it had to go.
  const goal = await page.locator('[data-way] path').nth(1).boundingBox();
  const middle = (box: typeof goal) => [(box?.x ?? 0) + (box?.width ?? 0) / 2, (box?.y ?? 0) + (box?.height ?? 0) / 2] as const;
  const [[x, y], [goalX, goalY]] = [middle(end), middle(goal)];
  expect(Math.hypot(x - goalX, y - goalY)).toBeLessThan(4);
  await page.getByRole('button', { name: 'Chart of the pull' }).click();
  const chart = page.getByRole('figure', { name: /^The pull by time/ });
  await expect(chart.locator('.main-svg').first()).toBeVisible();
  await page.getByRole('button', { name: 'by distance' }).click();
  const metres = page.getByRole('figure', { name: /^The pull by distance/ });
  await metres.getByRole('button', { name: 'As a table' }).click();
  await expect(metres.getByRole('row').nth(1)).toContainText('0.00');
  const [csv] = await Promise.all([page.waitForEvent('download'), metres.getByRole('button', { name: /^CSV/ }).click()]);
  expect((await readFile(await csv.path(), 'utf8')).split('\n')[0]).toContain('planned, kN');
  const [picture] = await Promise.all([page.waitForEvent('download'), metres.getByRole('button', { name: /^Picture/ }).click()]);
  expect((await readFile(await picture.path())).subarray(1, 4).toString()).toBe('PNG');
  expect(await axeFaults(page)).toEqual([]);
});

test('where motion is not wanted it goes on by steps, and nothing is dragged while it is played', async ({ page }) => {
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await openPlan(page, 'Bog below');
  await page.getByRole('button', { name: 'Play the pull' }).click();
  await expect(page.locator('[data-handle]')).toHaveCount(0);
  await page.getByRole('button', { name: 'Play', exact: true }).click();
  const seen = new Set<string | null>();
  await expect
    .poll(async () => {
      seen.add(await page.locator('[data-play-at]').getAttribute('data-play-at'));
      return page.locator('[data-play-running="false"]').count();
    })
    .toBe(1);
  await playedTo(page, '7.00');
  expect(seen.size).toBeLessThanOrEqual(12);
});

test('a run-up is played from standing to rest: both vehicles go their way on the drawing, attempt by attempt', async ({ page }) => {
  await openPlan(page, 'Sand hollow');
  /** Where the rope's ends are drawn: at the vehicle that tows, and at the stuck one. */
  const place = async (which: 'heron' | 'otter') => {
    const drawn = await page.locator('[data-strand="0"]').evaluate((node) => node.getAttribute('d') ?? node.getAttribute('points') ?? '');
    const numbers = drawn.match(/-?[\d.]+/g)?.map(Number) ?? [];
    return (which === 'heron' ? numbers[0] : numbers.at(-2)) ?? Number.NaN;
  };
  const [heron, otter] = [await place('heron'), await place('otter')];
  await page.getByRole('button', { name: 'Play the pull' }).click();
  const bar = page.getByRole('region', { name: 'The run-up, played' });
  const slider = bar.getByRole('slider', { name: 'How far the run-up has gone' });
  // It begins with the slack laid back: the one that tows stands nearer, the stuck one where it is.
  await expect(bar).toContainText('Heron gathers speed, the rope slack');
  await expect.poll(() => place('heron')).toBeLessThan(heron - 20);
  expect(Math.abs((await place('otter')) - otter)).toBeLessThan(1);
  // A rope that is slack is drawn as one.
  await expect(page.locator('[data-strand="0"]')).toHaveAttribute('d', /C/);
  expect(await axeFaults(page)).toEqual([]);
  await slider.focus();
  await page.keyboard.press('End');
  await expect.poll(() => place('otter')).toBeGreaterThan(otter + 5);
  await expect.poll(() => place('heron')).toBeGreaterThan(heron);
  // The run that is played peaks lower than what it is judged by, and says so.
  await expect(bar.locator('[data-peak-judged]')).toContainText(/peaks at [\d.]+\skN\. The judgement takes the higher [\d.]+\skN/);
  const moved = async () => Number(/moved ([\d.]+)/.exec((await bar.locator('[data-run-figures]').textContent()) ?? '')?.[1]);
  const fastest = await moved();
  // A link to this moment.
  await expect(page).toHaveURL(/at=[1-9]/);
  const rested = (await bar.getAttribute('data-run-at')) ?? '';
  await page.reload();
  await expect(bar).toHaveAttribute('data-run-at', rested);
  // The first attempt moves it less, and stands in the address.
  await bar.getByText('attempt 1', { exact: true }).click();
  await expect(page).toHaveURL(/attempt=0/);
  await expect(bar).toHaveAttribute('data-run-tension', '0');
  await expect(bar.locator('[data-peak-judged]')).toHaveCount(0);
  // Played and paused by its key.
  const standing = (await bar.getAttribute('data-run-at')) ?? '';
  await bar.getByRole('button', { name: 'Play', exact: true }).click();
  await expect(bar).not.toHaveAttribute('data-run-at', standing);
  await bar.getByRole('button', { name: 'Pause' }).click();
  await expect(bar.getByRole('button', { name: 'Play', exact: true })).toBeVisible();
  await slider.focus();
  await page.keyboard.press('End');
  await expect.poll(moved).toBeLessThan(fastest);
  await bar.getByText('beyond', { exact: true }).click();
  await expect(bar).toContainText('it is shown so that nobody tries it');
  await bar.getByRole('button', { name: 'Stop playing, back to the start' }).click();
  await expect(bar).toHaveCount(0);
  await expect(page).not.toHaveURL(/attempt=|at=/);
  await expect.poll(() => place('heron')).toBeCloseTo(heron, 0);
});
