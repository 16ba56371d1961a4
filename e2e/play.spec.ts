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
        const at = await page.locator('[data-play-event]').textContent();
        if (at?.includes(words)) break;
      }
      await expect(page.locator('[data-play-event]')).toContainText(words);
      expect(Math.abs(Number(await slider.inputValue()) - atM)).toBeLessThan(0.011);
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
  await page.getByRole('button', { name: 'Chart of the pull' }).click();
  const chart = page.getByRole('figure', { name: /^The pull by time/ });
  await expect(chart.locator('.main-svg').first()).toBeVisible();
  await page.getByRole('button', { name: 'by metres' }).click();
  const metres = page.getByRole('figure', { name: /^The pull by metres/ });
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
