import { expect, type Page } from '@playwright/test';
import { openPlan } from './open-plan.ts';
import { test } from './signed-in.ts';

const boxOf = async (page: Page, selector: string) => {
  const box = await page.locator(selector).first().boundingBox();
  if (!box) throw new Error(`${selector} is not on the page`);
  return box;
};
const PATH = 'section[aria-label="Load path"]';
const PANELS = '[role="tabpanel"]';
const SIDE = 'main aside';

for (const size of [
  { width: 1280, height: 800 },
  { width: 820, height: 1180 },
])
  test(`the drawing has half of the page at ${size.width}×${size.height}, with load path and panels in view`, async ({ page }) => {
    await page.setViewportSize(size);
    // Those with the shortest and the longest reason among them.
    for (const name of ['Bog below', 'Badger', 'Beck crossing', 'Sand hollow']) {
      await openPlan(page, name);
      const { width, height } = await boxOf(page, '[data-plan-sheet]');
      expect((width * height) / (size.width * size.height)).toBeGreaterThanOrEqual(0.5);
      for (const part of [PATH, SIDE]) {
        const box = await boxOf(page, part);
        expect(box.height, part).toBeGreaterThan(100);
        expect(box.y + box.height, part).toBeLessThanOrEqual(size.height + 1);
      }
      expect(await page.evaluate(() => document.documentElement.scrollHeight)).toBe(size.height);
    }
  });

test('nothing that stands or opens over the drawing lies under it', async ({ page }) => {
  await openPlan(page, 'Bog below');
  await page.getByRole('button', { name: 'Fold the panels away' }).click({ trial: true });
  await page.getByRole('button', { name: 'Add to the site' }).click();
  const items = page.getByRole('menuitem');
  await items.first().waitFor();
  for (const item of await items.all()) await item.click({ trial: true });
});

test('panels and load path are dragged by pointer and keys, folded, and stay so', async ({ page }) => {
  await page.setViewportSize({ width: 1280, height: 800 });
  await openPlan(page, 'Bog below');
  const before = await boxOf(page, '[data-plan-sheet]');
  const edge = page.getByRole('separator', { name: 'Width of the panels' });
  const at = await edge.boundingBox();
  if (!at) throw new Error('no edge');
  await page.mouse.move(at.x + 3, at.y + 200);
  await page.mouse.down();
  await page.mouse.move(at.x - 117, at.y + 200, { steps: 6 });
  await page.mouse.up();
  const narrower = await boxOf(page, '[data-plan-sheet]');
  expect(before.width - narrower.width).toBeGreaterThan(100);
  expect(before.width - narrower.width).toBeLessThan(140);
  await page.getByRole('separator', { name: 'Height of the load path' }).focus();
  const remembered = () => page.evaluate(() => localStorage.getItem('react-resizable-panels:planner-desk-rows'));
  const stored = await remembered();
  await page.keyboard.press('ArrowUp');
  await expect.poll(async () => (await boxOf(page, '[data-plan-sheet]')).height).toBeLessThan(before.height - 30);
  const lower = (await boxOf(page, '[data-plan-sheet]')).height;
  // A layout is laid down a tenth of a second after the last key.
  await expect.poll(remembered).not.toBe(stored);
  await page.reload();
  await expect(page.locator('[data-strand]').first()).toBeAttached();
  expect((await boxOf(page, '[data-plan-sheet]')).width).toBeCloseTo(narrower.width, -1);
  expect((await boxOf(page, '[data-plan-sheet]')).height).toBeCloseTo(lower, -1);
  await page.getByRole('button', { name: 'Fold the panels away' }).click();
  const laidDown = await remembered();
  await page.getByRole('button', { name: 'Load path', expanded: true }).click();
  await expect(page.locator(PANELS)).toHaveCount(0);
  await expect.poll(async () => (await boxOf(page, '[data-plan-sheet]')).width).toBeGreaterThan(1265);
  expect((await boxOf(page, PATH)).height).toBeLessThan(40);
  await expect.poll(remembered).not.toBe(laidDown);
  await page.reload();
  await expect(page.locator('[data-strand]').first()).toBeAttached();
  await expect(page.getByRole('button', { name: 'Load path', expanded: false })).toBeVisible();
  await page.getByRole('button', { name: 'Show the panels' }).press('Enter');
  await expect(page.locator(PANELS).first()).toBeVisible();
});

test('a phone: a head of 96 pixels, load path or plan by a switch, panels that come up as a sheet', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  for (const name of ['Bog below', 'Badger', 'Otter']) {
    await openPlan(page, name);
    const view = await boxOf(page, '[data-phone-view="path"]');
    expect(view.height).toBeGreaterThanOrEqual(422);
    const change = await boxOf(page, '[role="group"][aria-label="What is shown"]');
    expect(change.y).toBeLessThanOrEqual(96);
    await expect(page.locator('[data-verdict]')).toBeInViewport({ ratio: 1 });
    await page.getByRole('button', { name: 'Plan', exact: true }).click();
    expect((await boxOf(page, '[data-plan-sheet]')).height).toBeGreaterThanOrEqual(422);
    await expect(page.locator(PANELS)).toHaveCount(0);
    await page.getByRole('tab', { name: /Findings/ }).click();
    await expect(page.locator(PANELS).first()).toBeVisible();
    await page.getByRole('tab', { name: 'Site' }).click();
    await expect(page).toHaveURL(/show=site/);
    await page.getByRole('tab', { name: 'Site' }).press('Escape');
    await expect(page.locator(PANELS)).toHaveCount(0);
    // The last tab lies beyond the edge until somebody chooses it, or an address does.
    await page.getByRole('tab', { name: 'Record' }).click();
    await expect(page.getByRole('tab', { name: 'Record' })).toBeInViewport({ ratio: 1 });
    await page.reload();
    await expect(page.getByRole('tabpanel', { name: 'Record' })).toBeVisible();
    await expect(page.getByRole('tab', { name: 'Record' })).toBeInViewport({ ratio: 1 });
    await page.getByRole('tab', { name: 'Record' }).press('Escape');
    await expect(page.locator(PANELS)).toHaveCount(0);
    // What is touched on the load path is told in the panel that comes up.
    await page.getByRole('button', { name: 'Load path', exact: true }).click();
    await page.locator(`${PATH} li button`).nth(2).click();
    await expect(page.locator(PANELS).first()).toBeVisible();
    // What is left of the load path is scrolled through: no piece lies out of reach under the panel.
    for (const piece of [page.locator(`${PATH} li button`).first(), page.locator(`${PATH} li button`).last()])
      await piece.click({ trial: true, timeout: 20_000 });
    await page.getByRole('button', { name: 'Put the panel down' }).click();
    await expect(page.locator(PANELS)).toHaveCount(0);
  }
});
