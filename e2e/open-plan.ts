import { expect, type Page } from '@playwright/test';

/** Opens a demo plan from the list and waits until it is judged. */
export async function openPlan(page: Page, name: string): Promise<string> {
  await page.goto('/plans');
  await page
    .getByRole('link')
    .filter({ has: page.locator('[data-plan-name]', { hasText: new RegExp(`^\\s*${name}`) }) })
    .first()
    .click();
  await expect(page.locator('[data-verdict]')).toBeVisible();
  // A phone shows the load path first.
  await expect(page.locator('[data-strand="0"]').or(page.locator('[data-phone-view="path"] li')).first()).toBeAttached();
  return new URL(page.url()).pathname.split('/').at(-1) ?? '';
}
