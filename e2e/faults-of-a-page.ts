import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';

const RULES = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];

/** How a browser tells of an answer that the page heard too. */
const ANSWERED = /^Failed to load resource: the server responded/;

/** What a page asks of other machines, and what it complains about. */
export function listenTo(page: Page, baseURL: string | undefined): string[] {
  const heard: string[] = [];
  page.on('request', (request) => {
    if (!request.url().startsWith(baseURL ?? '') && !request.url().startsWith('data:')) heard.push(`asks ${request.url()}`);
  });
  page.on('console', (message) => message.type() === 'error' && !ANSWERED.test(message.text()) && heard.push(message.text()));
  page.on('response', (response) => {
    if (response.status() >= 400) heard.push(`${response.status()} to ${response.request().method()} ${response.url()}`);
  });
  page.on('pageerror', (error) => heard.push(error.message));
  return heard;
}

const faultsOf = async (axe: AxeBuilder): Promise<readonly string[]> =>
  (await axe.analyze()).violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ target }) => target.join(' ')).join(' | ')}`);

/** By day all rules, by night what the theme changes: colour. */
export async function axeFaults(page: Page): Promise<readonly string[]> {
  const put = (theme: string | undefined) =>
    page.evaluate((name) => {
      if (name) document.documentElement.dataset.theme = name;
      else delete document.documentElement.dataset.theme;
    }, theme);
  await put('light');
  const byDay = await faultsOf(new AxeBuilder({ page }).withTags(RULES));
  await put('dark');
  const byNight = await faultsOf(new AxeBuilder({ page }).withRules(['color-contrast']));
  await put(undefined);
  return [...byDay, ...byNight.map((fault) => `dark ${fault}`)];
}
