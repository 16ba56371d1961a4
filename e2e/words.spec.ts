import { expect, type Page } from '@playwright/test';
import { routesOf } from './routes.ts';
import { signInAs, test } from './signed-in.ts';

/** Words that people join by a hyphen; any other is taken for the key of something. */
const HYPHENATED = new Set(
  `back-anchor back-anchored cross-member cross-pin dug-in field-manual figure-of-eight half-way hitch-receiver hook-up line-pull
  load-securing make-up off-centre re-spool re-spooled rope-lock run-up run-ups self-recovery set-up side-by-side single-line stand-in
  stretch-rope tie-down`.split(/\s+/),
);
const UNITS = new Set(['kN', 'kJ', 'kPa']);

/** All that a page says: its text, and what it says to those who cannot see it. */
const saidBy = (page: Page): Promise<readonly string[]> =>
  page.evaluate(() => {
    const said: string[] = [];
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    while (walker.nextNode()) if (!walker.currentNode.parentElement?.closest('script, style')) said.push((walker.currentNode as Text).data);
    for (const element of document.querySelectorAll('[aria-label], [title], [placeholder], [alt]'))
      for (const name of ['aria-label', 'title', 'placeholder', 'alt']) said.push(element.getAttribute(name) ?? '');
    return said;
  });

const match = (text: string, pattern: RegExp) => [...text.matchAll(pattern)].map(([word]) => word);

/** What no person would write: keys, ids, dates as machines write them, figures with all their digits, and what a program says of itself. */
const unspeakable = (text: string): readonly string[] => [
  ...match(text, /\b[a-z]+[a-z0-9]*[A-Z]\w*/g).filter((word) => !UNITS.has(word)),
  ...match(text, /[\w-]*[a-z]-[a-z][\w-]*/g).filter((word) => !HYPHENATED.has(word.toLowerCase()) && !/\d/.test(word)),
  ...match(text, /\b[0-9a-f]{8}-[0-9a-f]{4}-\S*/g),
  ...match(text, /\b\d{4}-\d{2}-\d{2}\b/g),
  ...match(text, /\d\.\d{7,}/g),
  ...match(text, /\bundefined\b|\bNaN\b|\[object|\bnull\b/g),
];

/** An example of how to type a date, and the number beneath what was not found, are as they are on purpose. */
const ON_PURPOSE = /^2021, 03\/2021 or 2021-03-14$|^Request \S+$/;

test('no page says a key, an id, a date of a machine or a figure with all its digits', async ({ page }) => {
  test.setTimeout(600_000);
  await signInAs(page.request, 'coordinator');
  for (const route of await routesOf(page.request)) {
    await page.goto(route);
    await expect(page.locator('main h1').first()).toBeAttached();
    await page.waitForLoadState('networkidle');
    const said = (await saidBy(page)).filter((text) => !ON_PURPOSE.test(text.trim()));
    expect(said.join('').length, route).toBeGreaterThan(100);
    expect([route, [...new Set(said.flatMap(unspeakable))]]).toEqual([route, []]);
  }
});

test('what no person would write is found where it stands', () => {
  for (const [text, found] of [
    ['Momentum at at-otter', ['at-otter']],
    ['contentBase64 is missing', ['contentBase64']],
    ['2313.3210870000003 kg', ['3.3210870000003']],
    ['due 2026-06-01', ['2026-06-01']],
    ['undefined pieces', ['undefined']],
    ['The run-up of 4.75 kN, WLL 2, SB-02', []],
  ] as const)
    expect([text, unspeakable(text)]).toEqual([text, found]);
});
