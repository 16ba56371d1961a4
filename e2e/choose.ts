import type { Locator, Page } from '@playwright/test';

/** Chooses by its words what a list, a search or a menu offers, as a person does. */
export async function choose(page: Page, control: Locator, words: string | RegExp): Promise<void> {
  await control.click();
  await page
    .getByRole('option', { name: words, exact: true })
    .or(page.getByRole('menuitem', { name: words, exact: true }))
    .first()
    .click();
}
