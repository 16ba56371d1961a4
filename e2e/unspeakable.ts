import type { Page } from '@playwright/test';
import { unspeakable } from '../core/src/testing/unspeakable.ts';

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

/** An example of how to type a date, and the number beneath what was not found, are as they are on purpose. */
const ON_PURPOSE = /^2021, 03\/2021 or 2021-03-14$|^Request \S+$/;

/** What a page says that no person would write. */
export const unspeakableOn = async (page: Page): Promise<readonly string[]> => {
  const said = (await everythingSaid(page)).filter((text) => !ON_PURPOSE.test(text.trim()));
  return said.join('').length < 100 ? ['It says next to nothing.'] : [...new Set(said.flatMap(unspeakable))];
};
