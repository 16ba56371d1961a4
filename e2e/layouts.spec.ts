import { expect, type Page } from '@playwright/test';
import { layouts } from '@wainrope/core';
import { test } from './signed-in.ts';

/** `npm test` takes a sample; `npm run test:long` every layout at every size. */
const LONG = process.env.WAINROPE_LONG === 'yes';
const SIZES = LONG
  ? [
      { width: 1280, height: 800 },
      { width: 1024, height: 768 },
      { width: 1920, height: 1080 },
    ]
  : [{ width: 1280, height: 800 }];
const chosen = layouts.filter((_, index) => LONG || index % 3 === 0);

/** Labels of the sheet that cover each other, by their boxes in the browser. */
async function covering(page: Page): Promise<readonly string[]> {
  const boxes = await page
    .locator('[data-sheet-label]')
    .evaluateAll((nodes) => nodes.map((node) => ({ words: node.textContent, box: node.getBoundingClientRect().toJSON() as DOMRect })));
  return boxes.flatMap(({ words, box }, index) =>
    boxes.slice(index + 1).flatMap(({ words: others, box: other }) => {
      const apart =
        box.right <= other.left + 1 || other.right <= box.left + 1 || box.bottom <= other.top + 6 || other.bottom <= box.top + 6;
      return apart ? [] : [`${words} × ${others}`];
    }),
  );
}

for (const size of SIZES) {
  test(`${chosen.length} layouts are laid on a site, solve, and draw with their labels clear of each other at ${size.width} × ${size.height}`, async ({
    page,
  }) => {
    await page.setViewportSize(size);
    await page.goto('/plans/new');
    await page.getByRole('button', { name: /Only the place/ }).click();
    await page.getByLabel('Name of the plan').fill(`Every layout at ${size.width}`);
    await page.getByRole('button', { name: 'Lay it out' }).click();
    const strands = page.locator('[data-strand]');
    for (const layout of chosen) {
      await page.getByRole('button', { name: 'Lay a layout…' }).first().click();
      await page.locator(`[data-layout="${layout.id}"]`).click();
      await page.getByRole('button', { name: 'Lay it', exact: true }).click();
      await expect(strands.first(), layout.id).toBeAttached();
      expect(await covering(page), layout.id).toEqual([]);
      await page.getByRole('button', { name: 'Undo' }).click();
      await expect(strands, layout.id).toHaveCount(0);
    }
  });
}
