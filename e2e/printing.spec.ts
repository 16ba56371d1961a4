import { expect, type Page } from '@playwright/test';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { openPlan } from './open-plan.ts';
import { test } from './signed-in.ts';

/** What stands on the paper when a page is printed, sheet by sheet. */
async function printed(page: Page): Promise<string> {
  const paper = await getDocument({ data: new Uint8Array(await page.pdf({ format: 'A4' })) }).promise;
  const sheets: string[] = [];
  for (let number = 1; number <= paper.numPages; number++) {
    const { items } = await (await paper.getPage(number)).getTextContent();
    sheets.push(items.map((item) => ('str' in item ? item.str : '')).join(' '));
  }
  return sheets.join(' ');
}

test('the register is printed whole, however far it scrolls', async ({ page }) => {
  const file = await (await page.request.get('/api/v1/gear/export.csv')).text();
  const tags = file
    .trim()
    .split('\n')
    .slice(1)
    .map((row) => row.split(',')[0] ?? '');
  await page.goto('/gear');
  await expect(page.getByText(new RegExp(`of ${tags.length} pieces`))).toBeVisible();
  const paper = await printed(page);
  expect(tags.filter((tag) => !paper.includes(tag))).toEqual([]);
});

test('a plan is printed with its verdict, every piece of its load path and every finding, in light colours', async ({ page }) => {
  await openPlan(page, 'Bog below');
  await page.getByRole('button', { name: 'Switch to the dark theme' }).click();
  const pieces = await page.getByRole('region', { name: 'Load path' }).getByRole('button', { pressed: false }).allTextContents();
  const tags = pieces.flatMap((words) => words.match(/[A-Z]{1,2}-(?:\d\d|[A-Z]{3})/) ?? []);
  expect(tags.length).toBeGreaterThan(6);
  const paper = await printed(page);
  expect(paper).toContain('STOP');
  expect(tags.filter((tag) => !paper.includes(tag))).toEqual([]);
  expect(paper).toContain('No damper on the return leg');
  await page.emulateMedia({ media: 'print' });
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'light');
  const stop = page.locator('[data-verdict="stop"]');
  expect(await stop.evaluate((node) => getComputedStyle(node).printColorAdjust)).toBe('exact');
  await page.emulateMedia({ media: 'screen' });
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark');
});
