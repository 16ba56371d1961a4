import { expect } from '@playwright/test';
import { choose } from './choose.ts';
import { test } from './signed-in.ts';

test('the gear list answers to the keyboard and to links', async ({ page }) => {
  await page.goto('/gear?class=soft-shackle&sort=-limit');
  await expect(page.getByText('9 of')).toBeVisible();
  await expect(page.locator('[data-gear-row="0"]')).toContainText('SS-07');
  await page.keyboard.press('/');
  await page.keyboard.type('sheathed');
  await expect(page.getByText('1 of')).toBeVisible();
  await expect(page).toHaveURL(/q=sheathed/);
  await page.keyboard.press('ArrowDown');
  await expect(page.locator('[data-gear-row="0"]')).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: /sheathed/ })).toBeVisible();
});

test('adding a piece: a mark is shown back as understood while it is typed, and faults name their field', async ({ page }) => {
  await page.goto('/gear/new');
  await choose(page, page.getByLabel('Class', { exact: true }), 'Soft shackle');
  await page.getByLabel('Tag').fill('SS-01');
  await page.getByRole('textbox', { name: 'Mark 1' }).fill('13 ton');
  await expect(page.getByText('Which ton?')).toBeVisible();
  await page.getByRole('textbox', { name: 'Mark 1' }).fill('MBS 31 700 lb');
  await expect(page.getByText('Understood: 141.0 kN, breaking strength')).toBeVisible();
  await page.getByLabel('Rope diameter').fill('twelve');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('“twelve” is not understood')).toBeVisible();
  await page.getByLabel('Rope diameter').fill('11/16 in');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('The tag SS-01 is already on another piece; choose a free one.', { exact: true })).toBeVisible();
  await page.getByLabel('Tag').fill('SS-E2E');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Soft shackle' })).toBeVisible();
  await expect(page.getByText('17.5 mm')).toBeVisible();
});
