import { expect, type Page } from '@playwright/test';
import { axeFaults, listenTo } from './faults-of-a-page.ts';
import { test } from './signed-in.ts';

/** What only somebody's acts bring up; what stands at an address is looked at by the tests of every page. */
const VIEWS: readonly (readonly [string, (page: Page) => Promise<unknown>])[] = [
  [
    'a life with its charts',
    async (page) => {
      await page.goto('/gear?q=LX-02');
      await page.getByRole('link', { name: /LX-02/ }).click();
      await expect(page.locator('.main-svg').first()).toBeVisible();
      await page.getByRole('button', { name: 'As a table' }).first().click();
      await page.getByRole('button', { name: 'Cut back' }).click();
    },
  ],
  [
    'the bench',
    async (page) => {
      await page.goto('/inspect?of=class:snatch-block');
      await page.getByRole('button', { name: /^Begin/ }).click();
      await page.getByRole('button', { name: /Mark all the rest in order/ }).click();
      await page.locator('[data-point="bearing-runs-freely"]').getByRole('button', { name: 'Worn' }).click();
      await expect(page.getByText('points to B')).toBeVisible();
    },
  ],
  [
    'sign-in',
    async (page) => {
      await page.request.delete('/api/v1/session');
      await page.goto('/');
      await expect(page.getByText('This is a demonstration.')).toBeVisible();
    },
  ],
];

for (const [name, open] of VIEWS) {
  test(`axe finds nothing against ${name} in either theme, and nothing leaves the machine`, async ({ page, baseURL }) => {
    const heard = listenTo(page, baseURL);
    await open(page);
    expect(await axeFaults(page)).toEqual([]);
    expect(heard).toEqual([]);
  });
}
