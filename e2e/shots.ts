import { resolve } from 'node:path';
import { type Page } from '@playwright/test';
import { openPlan } from './open-plan.ts';
import { test } from './signed-in.ts';

const folder = resolve(import.meta.dirname, '../docs/screenshots');
const phone = { width: 390, height: 844 };

const shoot = async (page: Page, name: string) => {
  await page.waitForLoadState('networkidle');
  await page.evaluate(() => document.fonts.ready);
  await page.waitForTimeout(400);
  await page.screenshot({ path: resolve(folder, `${name}.png`) });
};

test('pictures of the main views', async ({ page }) => {
  await page.goto('/');
  await page.getByText('Not fit to go').waitFor();
  await shoot(page, 'ready');
  await page.goto('/kits');
  await page.getByRole('link', { name: /Woods crate/ }).click();
  await shoot(page, 'kit');
  await page.goto('/vehicles');
  await page.getByText('Last resort').first().waitFor();
  await shoot(page, 'vehicles');
  await page.goto('/settings');
  await page.locator('[data-policy="designFactors.soft-good"] input').fill('9');
  await page.getByRole('button', { name: 'What would it change?' }).click();
  await page.locator('[data-policy-preview]').waitFor();
  await shoot(page, 'settings');
  await page.goto('/inspect?of=class:steel-shackle');
  await page.getByRole('button', { name: /^Begin/ }).click();
  await page.getByRole('button', { name: /Mark all the rest in order/ }).click();
  await page.locator('[data-point="no-rust-pitting"]').getByRole('button', { name: 'Worn' }).click();
  await shoot(page, 'bench');
  await page.goto('/gear');
  await shoot(page, 'gear-list');
  await page.goto('/gear?q=SS-05');
  await page.getByRole('link', { name: /SS-05/ }).click();
  await shoot(page, 'gear-piece');
  await page.goto('/gear?q=SH-03');
  await page.getByRole('link', { name: /SH-03/ }).click();
  const life = page.getByRole('region', { name: 'Its life' });
  await life.locator('.main-svg').first().waitFor();
  await life.evaluate((section) => section.scrollIntoView());
  await shoot(page, 'piece-life');
  await page.goto('/plans/new');
  await shoot(page, 'new-plan');
  await openPlan(page, 'Bog below Tarn Quarry');
  await shoot(page, 'planner-stop');
  await openPlan(page, 'Beck crossing');
  await shoot(page, 'planner-tied-back');
  await page.getByRole('tab', { name: 'Outline' }).click();
  await page.locator('[data-outline-body]').nth(1).click();
  await shoot(page, 'planner-outline');
  await openPlan(page, 'Gate below the crag');
  await page.getByRole('tab', { name: 'Figures' }).click();
  await page.locator('[data-figure="plannedPullN"] summary').click();
  await shoot(page, 'planner-figures');
  await openPlan(page, 'Plantation ride');
  await page.getByRole('button', { name: 'Play the pull' }).click();
  await page.getByRole('button', { name: 'Next event' }).click();
  await page.getByRole('button', { name: 'Chart of the pull' }).click();
  await page.locator('.main-svg').first().waitFor();
  await shoot(page, 'planner-pull');
  await page.getByRole('button', { name: 'Stop playing, back to the start' }).click();
  await page.getByRole('tab', { name: 'Site' }).click();
  await shoot(page, 'planner-site');
  await page.goto('/gear/import');
  await page.getByLabel('Choose a CSV file').setInputFiles({
    name: 'shed.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(
      'Tag No;Type;Rating;Length (m);Shelf\nTS-11;tree strap;MBS 8 t;2,4;3\nTS-03;tree strap;MBS 3 t;2;3\nXX-1;hammock;strong;;4\n',
    ),
  });
  await page.getByRole('combobox', { name: /^What “/ }).waitFor();
  await shoot(page, 'import');
});

test('pictures on a phone', async ({ page }) => {
  await page.setViewportSize(phone);
  await openPlan(page, 'Bog below Tarn Quarry');
  await shoot(page, 'planner-phone');
  await page.goto('/inspect?of=class:snatch-block');
  await page.getByRole('button', { name: /^Begin/ }).click();
  await page.getByText('Look for').waitFor();
  await shoot(page, 'bench-phone');
});

test('pictures in the dark', async ({ page }) => {
  await page.emulateMedia({ colorScheme: 'dark' });
  await openPlan(page, 'Sand hollow');
  await page.getByRole('tab', { name: 'Pull', exact: true }).click();
  await page.locator('[data-attempt]').first().waitFor();
  await shoot(page, 'planner-run-up-dark');
});
