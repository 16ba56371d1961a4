import { readFile } from 'node:fs/promises';
import { expect, type Page } from '@playwright/test';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { openPlan } from './open-plan.ts';
import { signInAs, test } from './signed-in.ts';

async function wordsOf(path: string): Promise<readonly string[]> {
  const document = await getDocument({ data: new Uint8Array(await readFile(path)), isEvalSupported: false, verbosity: 0 }).promise;
  return Promise.all(
    Array.from({ length: document.numPages }, async (_, index) => {
      const { items } = await (await document.getPage(index + 1)).getTextContent();
      return items.map((item) => ('str' in item ? item.str : '')).join(' ');
    }),
  );
}

const record = (page: Page) => page.getByRole('tab', { name: 'Record' }).click();

test('the field card prints in two pages and reads back: limit, tags, people, steps, cautions', async ({ page }) => {
  await openPlan(page, 'Beck crossing');
  const limit = (await page.locator('[data-verdict]').textContent())?.match(/[\d.]+ kN/)?.[0] ?? '';
  await record(page);
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Field card, PDF' }).click()]);
  expect(download.suggestedFilename()).toBe('Beck crossing one tied back.pdf');
  const pages = await wordsOf(await download.path());
  expect(pages).toHaveLength(2);
  const all = pages.join(' ').replace(/\s+/g, ' ');
  for (const words of [
    limit,
    'RR-01',
    'ST-02',
    'Tomas Aldbrook',
    'signaller',
    'paces',
    'nobody crosses it',
    'On the way',
    'works on layer 4',
    'Until Otter has moved 5.0 m',
    'holes filled, the way open again',
  ])
    expect(all).toContain(words);
});

test('a plan is declared ready, used and put away; versions say what changed; an earlier one comes back', async ({ page }) => {
  await openPlan(page, 'Plantation');
  await record(page);
  await page.getByRole('button', { name: 'Copy the plan' }).click();
  await expect(page.getByLabel('Name of the plan')).toHaveValue(/copy$/);
  await record(page);
  await page.getByRole('button', { name: 'Declare it ready' }).click();
  await expect(page.getByRole('heading', { name: /^Ready/ })).toBeVisible();
  await page.getByRole('button', { name: 'Note it as used' }).click();
  await expect(page.getByRole('heading', { name: /^Used/ })).toBeVisible();
  await page.getByLabel('Comment on this plan').fill('The drain is deeper than it looks.');
  await page.getByRole('button', { name: 'Comment' }).click();
  await expect(page.getByRole('region', { name: 'Comments' }).getByRole('listitem')).toContainText('The drain is deeper than it looks.');
  await page.getByRole('tab', { name: 'Outline' }).click();
  await page.locator('[data-outline-body]').last().focus();
  await page.keyboard.press('Shift+ArrowUp');
  await page.getByLabel('Name of the plan').fill('Drain crossing, second try');
  await page.getByRole('button', { name: 'Save' }).click();
  await record(page);
  await expect(page.locator('[data-version="2"]')).toContainText('moved 1.0 m');
  await expect(page.getByRole('heading', { name: /^Draft/ })).toBeVisible();
  await page.locator('[data-version="1"]').getByRole('button', { name: 'Bring back' }).click();
  await expect(page.getByText('not saved', { exact: true })).toBeVisible();
});

test('the record is drawn once all of it is here, so that no list pushes a button away', async ({ page }) => {
  await openPlan(page, 'Plantation');
  let answer: () => void = () => undefined;
  const held = new Promise<void>((release) => {
    answer = release;
  });
  await page.route(/\/comments/, async (route) => {
    await held;
    await route.continue();
  });
  const versions = page.waitForResponse(/\/versions/);
  await page.getByRole('tab', { name: 'Record' }).click();
  await versions;
  await expect(page.getByText('Loading the plan’s record')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Copy the plan' })).toHaveCount(0);
  answer();
  await expect(page.getByRole('button', { name: 'Copy the plan' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Comments' })).toBeVisible();
});

test('a rig file from elsewhere becomes a plan, also where it was chosen before the register is here', async ({ page }) => {
  let answer: () => void = () => undefined;
  const held = new Promise<void>((release) => {
    answer = release;
  });
  await page.route(/\/api\/v1\/gear(\?|$)/, async (route) => {
    await held;
    await route.continue();
  });
  await page.goto('/plans');
  await page.getByLabel('Bring a rig file').setInputFiles('demo/cases/triple-line.json');
  await expect(page.getByText('Waiting for the register')).toBeVisible();
  answer();
  await page.getByRole('button', { name: 'Make it a plan' }).click();
  await expect(page.getByLabel('Name of the plan')).toHaveValue(/Triple line/i);
});

test('a reader sees all and changes nothing', async ({ page }) => {
  await signInAs(page.request, 'reader');
  await openPlan(page, 'Bog below');
  await expect(page.getByRole('toolbar')).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Save' })).toHaveCount(0);
  await page.getByRole('tab', { name: 'Outline' }).click();
  const row = page.locator('[data-outline-body]').last();
  const before = await row.textContent();
  await row.focus();
  await page.keyboard.press('Shift+ArrowRight');
  await page.keyboard.press('Delete');
  expect(await row.textContent()).toBe(before);
  await expect(page.getByRole('button', { name: 'Undo' })).toHaveCount(0);
});

test('a second tab reads, and can take the plan over', async ({ page, context }) => {
  await openPlan(page, 'Badger');
  const second = await context.newPage();
  await second.goto(page.url());
  await expect(second.locator('[data-locked]')).toBeVisible();
  await second.getByRole('button', { name: 'Go on here' }).click();
  await expect(second.locator('[data-locked]')).toHaveCount(0);
  await expect(page.locator('[data-locked]')).toBeVisible();
});
