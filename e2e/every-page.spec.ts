import { expect, type Page } from '@playwright/test';
import type { ReaderUnits } from '@wainrope/core';
import { differingFigures } from '../core/src/testing/same-figures.ts';
import { choose } from './choose.ts';
import { axeFaults, listenTo } from './faults-of-a-page.ts';
import { hardToTouch } from './hard-to-touch.ts';
import { routesOf } from './routes.ts';
import { openSettled } from './settled.ts';
import { signInAs, test } from './signed-in.ts';
import { everythingSaid, unspeakableOn } from './unspeakable.ts';

/** `npm test` opens each page once, as one of these; `npm run test:long` every page as each of them. */
const LONG = process.env.WAINROPE_LONG === 'yes';
const DESK = { viewport: { width: 1280, height: 800 }, hasTouch: false, isMobile: false };
const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true };

/** The scale of a drawing and the ticks of a chart are round in the reader’s unit; the head names the units themselves; a field shows how one may write. The labels of a drawing are held by the tests of plans. */
const ROUND_IN_ANY_UNIT = 'script, style, [data-plan-sheet], .js-plotly-plot, header, input, textarea';

/** Figures that are not the same in each of the reader’s units. */
async function differingOn(page: Page, again = 3): Promise<readonly string[]> {
  const said: [string, string][] = [];
  for (const unit of ['lbf', 'tf', 'kN']) {
    await choose(page, page.getByLabel('Unit of forces').filter({ visible: true }), unit);
    said.push([unit === 'tf' ? 't' : unit, (await everythingSaid(page, ROUND_IN_ANY_UNIT)).join('\n')]);
  }
  const differing = differingFigures(Object.fromEntries(said) as { readonly [U in ReaderUnits]: string });
  // Something may have come in between two of them.
  return differing.length > 0 && again > 0 ? differingOn(page, again - 1) : differing;
}

const AS = [
  { role: 'coordinator', at: 'a desk', device: DESK },
  { role: 'coordinator', at: 'a phone', device: PHONE },
  { role: 'reader', at: 'a desk', device: DESK },
  { role: 'reader', at: 'a phone', device: PHONE },
] as const;

for (const [turn, { role, at, device }] of AS.entries())
  test.describe(`for a ${role} at ${at}`, () => {
    test.use(device);

    test('every page is titled, wide enough, open to everybody by day and by night, easily touched and said in words', async ({
      page,
      baseURL,
    }) => {
      test.setTimeout(1_800_000);
      await signInAs(page.request, role);
      const routes = (await routesOf(page.request)).filter((_, index) => LONG || index % AS.length === turn);
      expect(routes.length).toBeGreaterThan(8);
      const heard = listenTo(page, baseURL);
      for (const route of routes) {
        await openSettled(page, route);
        expect.soft(await page.title(), route).toMatch(/ · Wainrope$/);
        expect.soft(await page.evaluate(() => document.documentElement.scrollWidth), route).toBe(device.viewport.width);
        expect.soft(await unspeakableOn(page), route).toEqual([]);
        expect.soft(await differingOn(page), route).toEqual([]);
        if (device === PHONE) expect.soft(await hardToTouch(page), route).toEqual([]);
        expect.soft(await axeFaults(page), route).toEqual([]);
        expect.soft(heard.splice(0), route).toEqual([]);
      }
    });
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
