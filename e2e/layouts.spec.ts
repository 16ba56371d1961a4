import { expect } from '@playwright/test';
import { layouts } from '@wainrope/core';
import { test } from './signed-in.ts';

const PARTS = 4;

for (let part = 0; part < PARTS; part++) {
  test(`layouts open, solve and draw with their labels clear of each other, part ${part + 1} of ${PARTS}`, async ({ page }) => {
    test.setTimeout(120_000);
    for (const layout of layouts.filter((_, index) => index % PARTS === part)) {
      await page.goto('/plans/new');
      await page.getByLabel('Name of the plan').fill(`Layout ${layout.id}`);
      await page.locator(`[data-layout="${layout.id}"]`).click();
      await page.getByRole('button', { name: 'Lay it out' }).click();
      await expect(page.locator('[data-strand]').first(), layout.id).toBeAttached();
      const boxes = await page
        .locator('[data-sheet-label]')
        .evaluateAll((nodes) => nodes.map((node) => node.getBoundingClientRect().toJSON() as DOMRect));
      for (const [index, box] of boxes.entries()) {
        for (const other of boxes.slice(index + 1)) {
          const apart =
            box.right <= other.left + 1 || other.right <= box.left + 1 || box.bottom <= other.top + 6 || other.bottom <= box.top + 6;
          expect(apart, `${layout.id}: two labels overlap`).toBe(true);
        }
      }
    }
  });
}
