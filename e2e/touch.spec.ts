import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';
import { routesOf } from './routes.ts';
import { signInAs, test } from './signed-in.ts';

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

const RULES = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];

/** What is touched and is less than 44 px high or wide, links within a sentence excepted; and what lies under another control's reach. */
const hardToTouch = (page: Page): Promise<readonly string[]> =>
  page.evaluate(() => {
    const LEAST = 43.5;
    const withinSentence = (element: Element) =>
      element.parentElement?.tagName === 'P' && element.parentElement.textContent?.trim() !== element.textContent?.trim();
    const hit = (element: Element) => {
      const own = element.getBoundingClientRect();
      const cover = getComputedStyle(element, '::after');
      const label = element.closest('label')?.getBoundingClientRect();
      const boxes = [own, ...(element.matches('[type="checkbox"], [type="radio"]') && label ? [label] : [])];
      const covers = cover.content !== 'none' && cover.position === 'absolute';
      return {
        width: Math.max(...boxes.map(({ width }) => width), covers ? Number.parseFloat(cover.width) : 0),
        height: Math.max(...boxes.map(({ height }) => height), covers ? Number.parseFloat(cover.height) : 0),
      };
    };
    /** What answers where somebody aims at what they see of a control, in place of it. */
    const answersInstead = (element: Element) => {
      element.scrollIntoView({ block: 'center', inline: 'center' });
      const { left, top, right, bottom } = element.getBoundingClientRect();
      const [up, down] = ['padding-top', 'padding-bottom'].map((side) =>
        element.tagName === 'A' ? Number.parseFloat(getComputedStyle(element).getPropertyValue(side)) : 0,
      );
      const seen = [top + (up ?? 0) + 3, (top + bottom) / 2, bottom - (down ?? 0) - 3];
      return seen
        .map((y) => document.elementFromPoint(Math.min((left + right) / 2, left + 14), y))
        .find(
          (at) =>
            at?.closest('a, button, input, select, summary') &&
            !element.contains(at) &&
            !at.contains(element) &&
            at.closest('label') !== element.closest('label'),
        );
    };
    const words = (element: Element) =>
      `${element.tagName} “${element.getAttribute('aria-label') ?? element.textContent?.trim().slice(0, 40) ?? ''}”`;
    return [...document.querySelectorAll('a[href], button, input, select, textarea, summary, [role="tab"], [data-handle]')]
      .filter((element) => element.checkVisibility({ visibilityProperty: true }) && !element.matches(':disabled'))
      .filter((element) => element.getBoundingClientRect().width > 2 && !withinSentence(element))
      .flatMap((element, index) => {
        const { width, height } = hit(element);
        const small = width < LEAST || height < LEAST ? [`${words(element)} ${Math.round(width)} × ${Math.round(height)}`] : [];
        // Long tables repeat themselves: what lies over what is told by the first of their rows.
        const other = index > 80 || element.matches('[data-handle]') ? undefined : answersInstead(element);
        return [...small, ...(other ? [`${words(element)} lies under ${words(other)}`] : [])];
      });
  });

/** Contrast in the dark theme too. */
const inTheDark = async (page: Page) => {
  await page.evaluate(() => {
    document.documentElement.dataset.theme = 'dark';
  });
  const { violations } = await new AxeBuilder({ page }).withRules(['color-contrast']).analyze();
  return violations.flatMap(({ nodes }) => nodes.map(({ target }) => target.join(' ')));
};

for (const role of ['coordinator', 'reader'] as const)
  test(`on a phone every page of a ${role} is wide enough, easily touched and open to everybody, by day and by night`, async ({ page }) => {
    test.setTimeout(1_800_000);
    await signInAs(page.request, role);
    for (const route of await routesOf(page.request)) {
      await page.goto(route);
      await expect(page.locator('main h1').first()).toBeAttached();
      await page.waitForLoadState('networkidle');
      await expect(page, route).toHaveTitle(/ · Wainrope$/);
      expect([route, await hardToTouch(page)]).toEqual([route, []]);
      expect([route, await page.evaluate(() => document.documentElement.scrollWidth)]).toEqual([route, 390]);
      const { violations } = await new AxeBuilder({ page }).withTags(RULES).analyze();
      expect([route, violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.target.join(' ')}`)]).toEqual([route, []]);
      expect([route, await inTheDark(page)]).toEqual([route, []]);
    }
  });

test('a reader is told whose a form is in place of a form that would be refused', async ({ page }) => {
  await signInAs(page.request, 'reader');
  for (const [route, whose] of [
    ['/gear/new', 'coordinators and gear keepers'],
    ['/gear/import', 'coordinators and gear keepers'],
    ['/plans/new', 'coordinators, gear keepers, and members'],
    ['/log/incidents/new', 'coordinators, gear keepers, and members'],
    ['/team-file', 'coordinators'],
  ] as const) {
    await page.goto(route);
    await expect(page.getByText(`This is for ${whose}.`)).toBeVisible();
    await expect(page.locator('main form')).toHaveCount(0);
  }
});
