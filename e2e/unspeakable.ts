import type { Page } from '@playwright/test';

/** Words that people join by a hyphen; any other is taken for the key of something. */
const HYPHENATED = new Set(
  `back-anchor back-anchored cross-member cross-pin dug-in field-manual figure-of-eight half-way hitch-receiver hook-up line-pull
  load-securing make-up off-centre re-spool re-spooled rope-lock run-up run-ups self-recovery set-up side-by-side single-line stand-in
  stretch-rope tie-down`.split(/\s+/),
);
const UNITS = new Set(['kN', 'kJ', 'kPa']);

/** All that a page says but within some elements: its text, and what it says to those who cannot see it. */
export const everythingSaid = (page: Page, leaveOut = 'script, style'): Promise<readonly string[]> =>
  page.evaluate((without) => {
    const said: string[] = [];
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    while (walker.nextNode()) if (!walker.currentNode.parentElement?.closest(without)) said.push((walker.currentNode as Text).data);
    for (const element of document.querySelectorAll('[aria-label], [title], [placeholder], [alt]'))
      if (!element.closest(without))
        for (const name of ['aria-label', 'title', 'placeholder', 'alt']) said.push(element.getAttribute(name) ?? '');
    return said;
  }, leaveOut);

const match = (text: string, pattern: RegExp) => [...text.matchAll(pattern)].map(([word]) => word);

/** What no person would write: keys, ids, dates as machines write them, figures with all their digits, and what a program says of itself. */
export const unspeakable = (text: string): readonly string[] => [
  ...match(text, /\b[a-z]+[a-z0-9]*[A-Z]\w*/g).filter((word) => !UNITS.has(word)),
  ...match(text, /[\w-]*[a-z]-[a-z][\w-]*/g).filter((word) => !HYPHENATED.has(word.toLowerCase()) && !/\d/.test(word)),
  ...match(text, /\b[0-9a-f]{8}-[0-9a-f]{4}-\S*/g),
  ...match(text, /\b\d{4}-\d{2}-\d{2}\b/g),
  ...match(text, /\d\.\d{7,}/g),
  ...match(text, /\bundefined\b|\bNaN\b|\[object|\bnull\b/g),
];

/** An example of how to type a date, and the number beneath what was not found, are as they are on purpose. */
const ON_PURPOSE = /^2021, 03\/2021 or 2021-03-14$|^Request \S+$/;

/** What a page says that no person would write. */
export const unspeakableOn = async (page: Page): Promise<readonly string[]> => {
  const said = (await everythingSaid(page)).filter((text) => !ON_PURPOSE.test(text.trim()));
  return said.join('').length < 100 ? ['It says next to nothing.'] : [...new Set(said.flatMap(unspeakable))];
};
