import { expect } from '@playwright/test';
import { test } from './signed-in.ts';

test.use({ serviceWorkers: 'allow' });

test('a round begun at the bench opens anew without a signal, says so, and goes on', async ({ page, context }) => {
  await page.goto('/inspect?of=class:chain');
  await page.getByRole('button', { name: /^Begin/ }).click();
  await page.locator('[data-point]').first().waitFor();
  await page.evaluate(() => navigator.serviceWorker.ready);
  // Once more with the worker in charge, so that what is asked is kept.
  await page.reload();
  await page.locator('[data-point]').first().getByRole('button', { name: 'In order' }).click();
  await expect(page.locator('[data-kept]')).toHaveCount(0);
  await context.setOffline(true);
  await page.reload();
  await expect(page.locator('[data-kept]')).toContainText('No signal');
  await expect(page.locator('[data-point]').first().getByRole('button', { name: 'In order' })).toHaveAttribute('aria-pressed', 'true');
  await context.setOffline(false);
  await page.reload();
  await expect(page.locator('[data-kept]')).toHaveCount(0);
});

test('who signs out leaves nothing of the register on the device', async ({ page }) => {
  await page.goto('/gear');
  await page.evaluate(() => navigator.serviceWorker.ready);
  await page.reload();
  await page.getByText(/of \d+ pieces/).waitFor();
  expect(await page.evaluate(async () => (await caches.keys()).includes('wainrope-register'))).toBe(true);
  await page.goto('/account');
  await page.getByRole('button', { name: 'Sign out', exact: true }).click();
  await expect(page.getByRole('button', { name: /Isla/ })).toBeVisible();
  const kept = () =>
    page.evaluate(async () =>
      (await (await caches.open('wainrope-register')).keys())
        .map(({ url }) => new URL(url).pathname)
        .filter((path) => path !== '/api/v1/session'),
    );
  // Answers that were on their way are cleared too.
  await page.waitForTimeout(3000);
  expect(await kept()).toEqual([]);
});
