import { expect, type Page } from '@playwright/test';

/** Nothing has been asked for so long that a page has all it wants. */
const QUIET_MS = 300;

/** The stream of what others change stays open as long as a page does. */
const STAYS_OPEN = '/api/v1/events';

/** Goes to an address and waits until the page has its heading and everything that it asked for. */
export async function openSettled(page: Page, address: string): Promise<void> {
  const open = new Set<object>();
  let changed = Date.now();
  const note = (change: (request: object) => unknown) => (request: { url(): string }) => {
    if (request.url().includes(STAYS_OPEN)) return;
    change(request);
    changed = Date.now();
  };
  const begun = note((request) => open.add(request));
  const over = note((request) => open.delete(request));
  page.on('request', begun).on('requestfinished', over).on('requestfailed', over);
  await page.goto(address);
  await expect(page.locator('main h1').first(), address).toBeAttached();
  await expect(page.locator('[data-loading]'), address).toHaveCount(0);
  await expect.poll(() => (open.size === 0 ? Date.now() - changed : 0), { message: address }).toBeGreaterThan(QUIET_MS);
  page.off('request', begun).off('requestfinished', over).off('requestfailed', over);
}
