import { expect, type Page } from '@playwright/test';
import { choose } from './choose.ts';
import { test } from './signed-in.ts';

/** A plan with nothing but the place and a vehicle that is to move. */
async function emptySite(page: Page, name: string, vehicle: string): Promise<void> {
  await page.goto('/plans/new');
  await page.getByRole('button', { name: /Only the place/ }).click();
  await page.getByLabel('Name of the plan').fill(name);
  await choose(page, page.getByLabel('Vehicle to be moved'), new RegExp(vehicle));
  await page.getByRole('button', { name: 'Lay it out' }).click();
  await expect(page.getByRole('heading', { name: 'On the site' })).toBeVisible();
}

const sheet = (page: Page) => page.locator('[data-plan-sheet]');
const handle = (page: Page, id: string) => page.locator(`[data-handle="${id}"]`);

/** Puts a body on the sheet by pointing, at a share of its width and height. */
async function point(page: Page, what: string, across: number, down: number): Promise<void> {
  await choose(page, page.getByLabel('Add to the site', { exact: true }), what);
  const box = await sheet(page).boundingBox();
  if (!box) throw new Error('no sheet');
  await page.mouse.click(box.x + box.width * across, box.y + box.height * down);
}

/** Puts a body on the site by keys alone: its first letter finds it in the menu. */
async function typeIn(page: Page, what: 'v' | 't'): Promise<void> {
  await page.getByLabel('Add to the site, beside the rest').focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('menu')).toBeFocused();
  for (const key of [what, 'Enter']) await page.keyboard.press(key);
  await expect(page.getByRole('menu')).toHaveCount(0);
}

/** A key on a body of the outline. */
async function press(page: Page, id: string, ...keys: readonly string[]): Promise<void> {
  await page.locator(`[data-outline-body="${id}"]`).focus();
  for (const key of keys) await page.keyboard.press(key);
}

const laid = async (page: Page, strands: number) => {
  await expect(page.locator('[data-strand]')).toHaveCount(strands);
  await expect(page.locator('[data-verdict]')).toBeVisible();
};
const routes = (page: Page) => page.locator('[data-route-words]');

test('by pointing: a double line to another vehicle, tied back to a tree', async ({ page }) => {
  await emptySite(page, 'Pointed, double', 'Otter');
  await point(page, 'vehicle', 0.25, 0.7);
  await point(page, 'tree', 0.1, 0.85);
  await page.getByRole('button', { name: 'Run a line' }).click();
  await handle(page, 'vehicle-2').click();
  await handle(page, 'vehicle').click();
  await handle(page, 'vehicle-2').click();
  await expect(routes(page)).toContainText(/^From \w+, over Otter, to \w+$/);
  await page.getByRole('button', { name: 'End it here' }).click();
  await laid(page, 2);
  await press(page, 'tree', 'b');
  await expect(page.locator('[data-back-anchor]')).toHaveCount(1);
});

test('by pointing: a redirect plus a doubled line', async ({ page }) => {
  await emptySite(page, 'Pointed, redirect', 'Otter');
  await point(page, 'vehicle', 0.2, 0.8);
  await point(page, 'tree', 0.45, 0.15);
  await point(page, 'tree', 0.3, 0.2);
  await page.getByRole('button', { name: 'Run a line' }).click();
  for (const id of ['vehicle-2', 'tree', 'vehicle', 'tree-2']) await handle(page, id).click();
  await page.getByRole('button', { name: 'End it here' }).click();
  await laid(page, 3);
});

test('by pointing: the compound that the load’s own winch drives', async ({ page }) => {
  await emptySite(page, 'Pointed, compound', 'Heron');
  await point(page, 'tree', 0.85, 0.35);
  await page.getByRole('button', { name: 'Lay a layout…' }).first().click();
  await page.locator('[data-layout="compound-by-winch"]').click();
  await page.getByRole('button', { name: 'Lay it', exact: true }).click();
  await laid(page, 4);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.locator('[data-strand]')).toHaveCount(0);
});

test('by keys alone: the same three, from an empty site', async ({ page }) => {
  await emptySite(page, 'Typed, double', 'Otter');
  await typeIn(page, 'v');
  await typeIn(page, 't');
  await press(page, 'vehicle-2', 'l');
  await press(page, 'vehicle', 'l');
  await press(page, 'vehicle-2', 'e');
  await laid(page, 2);
  await press(page, 'tree', 'b');
  await expect(page.locator('[data-back-anchor]')).toHaveCount(1);

  await emptySite(page, 'Typed, redirect', 'Otter');
  for (const what of ['v', 't', 't'] as const) await typeIn(page, what);
  await press(page, 'vehicle-2', 'l');
  await press(page, 'tree', 'l', 'ArrowLeft', ']');
  await press(page, 'vehicle', 'l');
  await press(page, 'tree-2', 'e');
  await laid(page, 3);

  await emptySite(page, 'Typed, compound', 'Heron');
  await typeIn(page, 't');
  await page.getByRole('button', { name: 'Lay a layout…' }).last().focus();
  await page.keyboard.press('Enter');
  await page.getByPlaceholder('Search layouts…').fill('driven by the winch');
  await page.locator('[data-layout="compound-by-winch"]').focus();
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Lay it', exact: true }).focus();
  await page.keyboard.press('Enter');
  await laid(page, 4);
});

test('forty steps are taken back one by one, and done again', async ({ page }) => {
  await emptySite(page, 'Forty steps', 'Otter');
  const place = async () => (await page.locator('[data-outline-body="tree"]').textContent()) ?? '';
  await typeIn(page, 't');
  const first = await place();
  for (let step = 0; step < 20; step++) {
    // Moving and turning away ends a step each.
    await press(page, 'tree', 'Shift+ArrowRight');
    await press(page, 'vehicle', ']');
  }
  const moved = await place();
  expect(moved).not.toBe(first);
  const undo = page.getByRole('button', { name: 'Undo' });
  for (let step = 0; step < 40; step++) await undo.click();
  expect(await place()).toBe(first);
  await undo.click();
  await expect(page.locator('[data-outline-body="tree"]')).toHaveCount(0);
  await expect(undo).toBeDisabled();
  for (let step = 0; step < 41; step++) await page.getByRole('button', { name: 'Redo' }).click();
  expect(await place()).toBe(moved);
});
