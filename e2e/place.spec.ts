import { expect, type Page } from '@playwright/test';
import { choose } from './choose.ts';
import { openPlan } from './open-plan.ts';
import { test } from './signed-in.ts';

/** Where the middle of a part stands on the screen. */
const middle = async (page: Page, selector: string) => {
  const box = await page.locator(selector).boundingBox();
  if (!box) throw new Error(`${selector} is not drawn`);
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
};

test('a tree is placed by paces ahead of the vehicle, in the person’s own pace, and judged there', async ({ page }) => {
  await openPlan(page, 'Bog below');
  await page.locator('[data-tree-handle]').click();
  await page.getByRole('tab', { name: 'Outline' }).click();
  const place = page.getByRole('group', { name: 'Where Larch stands from another' });
  await choose(page, place.getByLabel('Measured in'), 'paces');
  await place.getByLabel('My pace').fill('0.8');
  await place.getByLabel(/^Distance/).fill('18');
  await choose(page, place.getByRole('combobox', { name: 'Direction' }), 'ahead');
  await expect(place.getByLabel(/^Clockwise from ahead/)).toHaveValue('0');
  await expect(place.getByLabel(/^Distance/)).toHaveValue('18');
  await expect(page.locator('[data-verdict]')).toBeVisible();
  // 18 paces of 0.8 m, half the vehicle of 4.6 m and half the trunk of 0.38 m from middle to middle: read off the drawing.
  const [from, to] = [await middle(page, '[data-vehicle]'), await middle(page, '[data-trunk]')];
  const scale = Number(await page.locator('[data-plan-sheet]').getAttribute('data-scale'));
  const apart = Math.hypot(to.x - from.x, to.y - from.y) / scale;
  expect(Math.abs(apart - (18 * 0.8 + 4.6 / 2 + 0.19))).toBeLessThan(0.3);
  await page.reload();
  await page.locator('[data-tree-handle]').click();
  // The measure and the pace stay on this device.
  await expect(page.getByLabel('My pace')).toHaveValue('0.8');
});
