import { expect } from '@playwright/test';
import { axeFaults } from './faults-of-a-page.ts';
import { openPlan } from './open-plan.ts';
import { test } from './signed-in.ts';

test('a variant is begun, changed, held against its plan figure by figure, and chosen', async ({ page }) => {
  const planId = await openPlan(page, 'Bog below');
  await page.getByRole('tab', { name: 'Record' }).click();
  const variants = page.getByRole('region', { name: 'Variants' });
  await variants.getByLabel(/^Try it another way/).fill('With dampers hung');
  await variants.getByRole('button', { name: 'Begin the variant' }).click();
  await expect(page).not.toHaveURL(new RegExp(planId));
  await expect(page.getByLabel('Name of the plan')).toHaveValue('With dampers hung');
  await expect(page.locator('[data-own-head]')).toContainText('Variant');
  await expect(variants.locator('[data-variant]')).toHaveCount(2);
  // It is changed: the leg that is bare gets its damper.
  await page.getByRole('tab', { name: /^Findings/ }).click();
  await page.getByRole('button', { name: /^Break it/ }).click();
  await page.getByRole('button', { name: 'Hang a damper on the bare leg' }).click();
  await expect(page.getByRole('region', { name: 'If it lets go' })).toContainText(/Every leg of 3\.0\sm or more has its damper\./);
  await page.getByRole('tab', { name: 'Record' }).click();
  // What is not saved cannot be chosen.
  const choose = variants.getByRole('button', { name: 'Choose this one' });
  await expect(choose).toBeDisabled();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(choose).toBeEnabled();
  const plan = variants.locator('[data-variant^="Bog below"]');
  await plan.getByRole('button', { name: 'Compare' }).click();
  const table = plan.locator('[data-compared]');
  await expect(table.getByRole('row', { name: /^Verdict/ })).toContainText('Stop');
  await expect(table.getByRole('row', { name: /carried|weigh/i }).first()).toBeVisible();
  await expect(table).toContainText(/damper/i);
  expect(await axeFaults(page)).toEqual([]);
  await choose.click();
  await expect(page).toHaveURL(new RegExp(planId));
  await expect(variants.locator('[data-variant]')).toHaveCount(0);
  await expect(page.getByRole('region', { name: 'State' })).toContainText('version 2');
  await expect(page.getByRole('region', { name: 'Versions' }).locator('[data-version="2"]')).toContainText(/damper/i);
  await page.goto('/plans');
  await expect(page.locator('[data-plan-name]', { hasText: 'Bog below' })).toBeVisible();
  await expect(page.locator('[data-plan-name]', { hasText: 'With dampers hung' })).toHaveCount(0);
});
