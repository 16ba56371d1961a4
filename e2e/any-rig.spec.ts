import { expect } from '@playwright/test';
import { choose } from './choose.ts';
import { openPlan } from './open-plan.ts';
import { test } from './signed-in.ts';

test('a tied-back pull shows what is to be kept clear, where parts would fly, and its back-anchor', async ({ page }) => {
  await openPlan(page, 'Beck crossing, one tied back');
  const sheet = page.locator('[data-plan-sheet]');
  // Both ends and the pulley of the line, and both ends of the strap that ties Heron back.
  await expect(sheet.locator('[data-zone="circle"]')).toHaveCount(5);
  await expect(sheet.locator('[data-zone="corridor"]')).toHaveCount(3);
  await expect(sheet.locator('[data-zone="bend"]')).toHaveCount(1);
  await expect(sheet.locator('[data-flight]')).toHaveCount(4);
  await expect(sheet.locator('[data-back-anchor]')).toHaveCount(1);
  await expect(sheet.getByText('Isla Wrenfell in the cab')).toBeVisible();
  await expect(page.getByRole('button', { name: /ST-02 Static strap 3 m :/ })).toBeVisible();
});

test('a winching vehicle that loses its grip slides, and says what would hold it', async ({ page }) => {
  await openPlan(page, 'Beck crossing, one tied back');
  await page.getByRole('tab', { name: 'Site' }).click();
  await expect(page.getByText('Otter is the one to be moved. Its lines were laid piece by piece and stay as they are.')).toBeVisible();
  await expect(page.getByText(/Pulled with [\d.]+ kN, held with [\d.]+ kN\./)).toBeVisible();
  await openPlan(page, 'Gate below the crag, two winches');
  const found = page.locator('[data-finding="vehicle-slides"]');
  await expect(found).toHaveCount(2);
  await expect(found.first()).toContainText('Tie it back to an anchor good for');
  await page.getByRole('tab', { name: 'Site' }).click();
  await choose(page, page.getByLabel('Held by').first(), 'nothing');
  await page.getByRole('tab', { name: /Findings/ }).click();
  await expect(found.first()).toContainText('0.0 kN holds it');
  await page.keyboard.press('Control+z');
  await expect(found.first()).not.toContainText('0.0 kN holds it');
});

test('questions stand together, an answer settles one, and undo asks it again', async ({ page }) => {
  await openPlan(page, 'Gate below the crag, two winches');
  const asked = page.getByRole('region', { name: 'To look at before tension comes on' });
  const question = asked.locator('[data-finding="no-chocks"]');
  await expect(question).toContainText('chocked?');
  await question.getByRole('button', { name: 'Yes' }).click();
  await expect(question).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(question).toHaveCount(1);
  await question.getByRole('button', { name: 'No' }).click();
  await expect(page.locator('[data-finding="no-chocks"]')).toContainText('The winching vehicle is not chocked');
});

test('every other figure of the report is one tap from how it was worked out', async ({ page }) => {
  await openPlan(page, 'Gate below the crag, two winches');
  await page.getByRole('tab', { name: 'Figures' }).click();
  for (const title of ['The pull', 'The drives', 'Strands and points', 'How the vehicles stand', 'If it breaks'])
    await expect(page.getByRole('heading', { name: title })).toBeVisible();
  const share = page.locator('[data-figure="drives[from-otter].share"]');
  await share.locator('summary').click();
  await expect(share).toContainText('by rated pulls on the working layers');
  const energy = page.locator('[data-figure="breaks[from-heron].energyJ"]');
  await energy.locator('summary').click();
  await expect(energy).toContainText('Nominal strength');
});
