import { expect, type Page } from '@playwright/test';
import { openPlan } from './open-plan.ts';
import { test } from './signed-in.ts';

const pull = (page: Page) => page.getByRole('tab', { name: 'Pull', exact: true }).click();
const verdict = (page: Page, words: RegExp) => expect(page.locator('[data-verdict]')).toHaveAttribute('data-verdict', words);

test('how far the load goes is asked, and until it is said only the start counts and is not clear', async ({ page }) => {
  await openPlan(page, 'Plantation');
  await verdict(page, /^clear$/);
  await pull(page);
  const travel = page.getByLabel('To travel until free');
  const said = await travel.inputValue();
  await travel.fill('');
  await verdict(page, /^watch$/);
  await expect(page.getByText('Only the start has been checked')).toBeVisible();
  await page.getByRole('tab', { name: /^Findings/ }).click();
  await expect(page.locator('[data-finding="travel-not-said"]')).toBeVisible();
  // A phone has little room; that the rest was not looked at is said there too.
  await page.setViewportSize({ width: 390, height: 844 });
  await expect(page.locator('[data-extent]')).toBeVisible();
  await expect(page.locator('[data-extent]')).toContainText('at the start alone');
  await page.setViewportSize({ width: 1280, height: 800 });
  await pull(page);
  await travel.fill(said);
  await verdict(page, /^clear$/);
  await expect(page.locator('[data-pull-end="travel-done"]')).toContainText(`${Number(said).toFixed(1)} m`);
});

test('a pull that cannot go as far as it is asked says at what metre it ends, in the head and on the map', async ({ page }) => {
  await openPlan(page, 'Badger');
  await pull(page);
  await expect(page.locator('[data-pull-rows] li').first()).toBeVisible();
  await page.getByLabel('To travel until free').fill('30');
  const end = page.locator('[data-pull-end="reaches-fairlead"]');
  await expect(end).toContainText(/Badger would still have 1\d\.\d m to go/);
  await verdict(page, /^stop$/);
  await page.getByRole('tab', { name: /^Findings/ }).click();
  await expect(
    page
      .locator('[data-finding]')
      .filter({ hasText: /From \d+\.\d m/ })
      .first(),
  ).toBeVisible();
});

test('a path is said leg by leg, and the rig is judged along it', async ({ page }) => {
  await openPlan(page, 'Badger');
  await pull(page);
  await page.getByRole('button', { name: 'Add a leg' }).click();
  await page.getByRole('textbox', { name: 'Leg 1' }).fill('2');
  const bearing = Number(await page.getByRole('textbox', { name: 'Towards' }).inputValue());
  await page.getByRole('button', { name: 'Add a leg' }).click();
  await page
    .getByRole('textbox', { name: 'Towards' })
    .last()
    .fill(String((bearing + 40) % 360));
  await expect(page.locator('[data-pull-rows]')).toContainText('2.0 mThe load turns to the next part of its path');
});

test('a pull with a run-up: the proposal, a speed and slack of one’s own, the attempts, and what breaks', async ({ page }) => {
  await openPlan(page, 'Sand hollow');
  await pull(page);
  const attempts = page.locator('[data-attempt]');
  await expect(attempts).toHaveCount(4);
  await expect(attempts.last()).toContainText('not this');
  const speed = page.getByLabel('Fastest attempt');
  await expect(speed).toHaveAttribute('placeholder', /^proposed: \d/);
  await speed.fill('25');
  await verdict(page, /^stop$/);
  await expect(page.getByRole('button', { name: 'Take the proposal' })).toBeVisible();
  await page.getByLabel('Attempts, rising').fill('2');
  await expect(attempts).toHaveCount(3);
  await page.getByRole('button', { name: 'Take the proposal' }).click();
  await expect(speed).toHaveValue('');
  await verdict(page, /^watch$/);
});

test('a stretch pull: the speed is dragged past the limit, the verdict is stop, and one undo takes it back', async ({ page }) => {
  await openPlan(page, 'Sand hollow');
  await pull(page);
  await verdict(page, /^watch$/);
  const chart = page.getByRole('figure', { name: /^Tension over time, 3 attempts and one step beyond/ });
  await expect(chart.locator('.main-svg').first()).toBeVisible();
  await chart.getByRole('button', { name: 'As a table' }).click();
  await expect(chart.getByRole('row', { name: /one step beyond/ })).toBeVisible();
  const slider = page.getByRole('slider', { name: /^Speed as the rope comes tight/ });
  await slider.scrollIntoViewIfNeeded();
  const box = await slider.boundingBox();
  if (!box) throw new Error('no slider');
  const before = await page.locator('[data-attempt]').nth(2).textContent();
  await page.mouse.move(box.x + box.width * 0.2, box.y + box.height / 2);
  await page.mouse.down();
  for (const share of [0.35, 0.55, 0.8]) await page.mouse.move(box.x + box.width * share, box.y + box.height / 2, { steps: 3 });
  await page.mouse.up();
  await verdict(page, /^stop$/);
  await expect(page.locator('[data-attempt]').nth(2)).not.toHaveText(before ?? '');
  await expect(page.locator('[data-rope-left]')).toContainText(/pulls? left/);
  await page.getByRole('button', { name: 'Undo' }).click();
  await verdict(page, /^watch$/);
});
