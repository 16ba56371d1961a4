import { expect, type Page } from '@playwright/test';
import { openPlan } from './open-plan.ts';
import { test } from './signed-in.ts';

/** Pixels between the ends of a straight SVG path, on the screen. */
const span = (page: Page, selector: string) =>
  page.locator(selector).evaluate((node) => {
    const path = node as SVGPathElement;
    const matrix = path.getScreenCTM();
    const [from, to] = [0, path.getTotalLength()].map((at) => path.getPointAtLength(at).matrixTransform(matrix ?? undefined));
    return Math.hypot((to?.x ?? 0) - (from?.x ?? 0), (to?.y ?? 0) - (from?.y ?? 0));
  });

for (const size of [
  { width: 1280, height: 800 },
  { width: 1600, height: 1000 },
]) {
  test(`three distances agree with the scale bar within a pixel at ${size.width}×${size.height}`, async ({ page, request }) => {
    await page.setViewportSize(size);
    const planId = await openPlan(page, 'Bog below Tarn Quarry');
    const { rig, fresh } = await (await request.get(`/api/v1/plans/${planId}`)).json();
    const bar = page.locator('[data-scale-bar]');
    const barMetres = Number(await bar.getAttribute('data-metres'));
    const barBox = await bar.evaluate((node) => (node as SVGPathElement).getBBox().width);
    const scale = barBox / barMetres;
    // The winch leg as the map sees it, from the server's own solve.
    const { from, to } = fresh.report.strands[0];
    expect(Math.abs((await span(page, '[data-strand="0"]')) - scale * Math.hypot(to.x - from.x, to.y - from.y))).toBeLessThan(1);
    // The vehicle's length.
    const length = await page.locator('[data-vehicle]').evaluate((node) => {
      // Its outline goes from one corner of the rear by the bonnet to the other.
      const numbers = (node.getAttribute('points') ?? '').split(' ').map(Number);
      const [rear, , nose, otherNose, , otherRear] = Array.from({ length: 6 }, (_, corner) => numbers.slice(2 * corner, 2 * corner + 2));
      const middle = (a: number[] = [], b: number[] = []) => [0, 1].map((axis) => ((a[axis] ?? 0) + (b[axis] ?? 0)) / 2);
      const [back, front] = [middle(rear, otherRear), middle(nose, otherNose)];
      return Math.hypot((front[0] ?? 0) - (back[0] ?? 0), (front[1] ?? 0) - (back[1] ?? 0));
    });
    expect(Math.abs(length - scale * rig.bodies[0].lengthM)).toBeLessThan(1);
    // The trunk.
    const trunk = await page.locator('[data-trunk]').evaluate((node) => (node as SVGGeometryElement).getBoundingClientRect().width);
    const stroke = await page.locator('[data-trunk]').evaluate((node) => Number.parseFloat(getComputedStyle(node).strokeWidth));
    expect(
      Math.min(Math.abs(trunk - scale * rig.bodies[1].trunkDiameterM), Math.abs(trunk - stroke - scale * rig.bodies[1].trunkDiameterM)),
    ).toBeLessThan(1);
  });
}

test('labels cover neither each other nor run out of the sheet, on every demo plan', async ({ page }) => {
  for (const name of ['Bog below', 'Plantation', 'Otter', 'Badger', 'Beck', 'Gate']) {
    await openPlan(page, name);
    const boxes = await page
      .locator('[data-sheet-label]')
      .evaluateAll((nodes) => nodes.map((node) => node.getBoundingClientRect().toJSON() as DOMRect));
    const sheet = await page.locator('[data-plan-sheet]').boundingBox();
    if (!sheet) throw new Error('no sheet');
    for (const [index, box] of boxes.entries()) {
      expect(box.left, name).toBeGreaterThanOrEqual(sheet.x);
      expect(box.right, name).toBeLessThanOrEqual(sheet.x + sheet.width);
      for (const other of boxes.slice(index + 1)) {
        const apart =
          box.right <= other.left + 1 || other.right <= box.left + 1 || box.bottom <= other.top + 6 || other.bottom <= box.top + 6;
        expect(apart, `${name}: two labels overlap`).toBe(true);
      }
    }
  }
});

for (const size of [
  { width: 1280, height: 800 },
  { width: 390, height: 844 },
]) {
  test(`verdict, weakest piece and the sentence of the two strands stand without scrolling at ${size.width}×${size.height}`, async ({
    page,
  }) => {
    await page.setViewportSize(size);
    await openPlan(page, 'Bog below Tarn Quarry');
    for (const part of ['[data-verdict="stop"]', '[data-weakest]', '[data-strand-sentence]'])
      await expect(page.locator(part)).toBeInViewport({ ratio: 1 });
    await expect(page.locator('[data-strand-sentence]')).toContainText('Two strands pull on TS-03');
    const sideways = await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
    expect(sideways).toBe(0);
  });
}
