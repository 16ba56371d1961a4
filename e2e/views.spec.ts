import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';
import { openPlan } from './open-plan.ts';
import { test } from './signed-in.ts';

const firstPiece = async (page: Page) => {
  await page.goto('/gear?q=SS-05');
  await page.getByRole('link', { name: /SS-05/ }).click();
  await expect(page.getByRole('heading', { name: 'Working load limit' })).toBeVisible();
};

const shows = (address: string, text: string | RegExp) => async (page: Page) => {
  await page.goto(address);
  await expect(page.getByText(text).first()).toBeVisible();
};

const VIEWS: readonly (readonly [string, (page: Page) => Promise<unknown>])[] = [
  [
    'gear list',
    async (page) => {
      await page.goto('/gear');
      await expect(page.getByText(/of \d+ pieces/)).toBeVisible();
    },
  ],
  ['a piece', firstPiece],
  [
    'edit a piece',
    async (page) => {
      await firstPiece(page);
      await page.getByRole('link', { name: 'Edit' }).click();
      await expect(page.getByText('What is marked on it')).toBeVisible();
    },
  ],
  ['import', (page) => page.goto('/gear/import')],
  [
    'plans',
    async (page) => {
      await page.goto('/plans');
      await expect(page.getByText('Bog below Tarn Quarry')).toBeVisible();
    },
  ],
  [
    'new plan',
    async (page) => {
      await page.goto('/plans/new');
      await expect(page.getByRole('button', { name: 'Lay it out' })).toBeVisible();
    },
  ],
  ['the log', shows('/log', 'A near miss')],
  ['an incident is written', shows('/log/incidents/new', 'What was it?')],
  ['a season', shows('/log/season', 'Hardest pulls')],
  [
    'a life with its charts',
    async (page) => {
      await page.goto('/gear?q=LX-02');
      await page.getByRole('link', { name: /LX-02/ }).click();
      await expect(page.locator('.main-svg').first()).toBeVisible();
      await page.getByRole('button', { name: 'As a table' }).first().click();
      await page.getByRole('button', { name: 'Cut back' }).click();
    },
  ],
  [
    're-spooling',
    async (page) => {
      await page.goto('/gear?q=W-01');
      await page.getByRole('link', { name: /W-01/ }).click();
      await page.getByRole('link', { name: 'Re-spool it, step by step' }).click();
      await expect(page.getByText('Layer 1: 22 turns')).toBeVisible();
    },
  ],
  ['ready', shows('/', 'Not fit to go')],
  ['inspect', shows('/inspect', 'Begin at the bench')],
  [
    'the bench',
    async (page) => {
      await page.goto('/inspect?of=class:snatch-block');
      await page.getByRole('button', { name: /^Begin/ }).click();
      await page.getByRole('button', { name: /Mark all the rest in order/ }).click();
      await page.locator('[data-point="bearing-runs-freely"]').getByRole('button', { name: 'Worn' }).click();
      await expect(page.getByText('points to B')).toBeVisible();
    },
  ],
  ['due', shows('/due', 'This week')],
  ['defects', shows('/defects', /Whole and working.*fails/)],
  ['kits', shows('/kits', 'Heavy bag')],
  [
    'a kit',
    async (page) => {
      await page.goto('/kits');
      await page.getByRole('link', { name: /Woods crate/ }).click();
      await expect(page.getByText('Missing: 1 soft shackle.')).toBeVisible();
    },
  ],
  ['out and back', shows('/outings', 'Marking out the practice ground')],
  ['vehicles', shows('/vehicles', 'Last resort')],
  ['settings', shows('/settings', 'Design factors')],
  ['inspection sheets', shows('/sheets', 'Look for')],
  ['people', shows('/people', 'signs in as')],
  [
    'a person',
    async (page) => {
      await page.goto('/people');
      await page.getByRole('link', { name: 'Mirren Quaile' }).click();
      await expect(page.getByText('seen by').first()).toBeVisible();
    },
  ],
  ['what changed', shows('/trail', 'noted a run of line on')],
  ['take out', shows('/team-file', 'The whole team in one file')],
  ['account', shows('/account', 'Change the password')],
  ['planner, findings', (page) => openPlan(page, 'Bog below Tarn Quarry')],
  [
    'planner, site',
    async (page) => {
      await openPlan(page, 'Badger');
      await page.getByRole('tab', { name: 'Site' }).click();
    },
  ],
  [
    'planner, pieces',
    async (page) => {
      await openPlan(page, 'Badger');
      await page.getByRole('tab', { name: 'Pieces' }).click();
    },
  ],
  [
    'planner, figures',
    async (page) => {
      await openPlan(page, 'Badger');
      await page.getByRole('tab', { name: 'Figures' }).click();
    },
  ],
  [
    'sign-in',
    async (page) => {
      await page.request.delete('/api/v1/session');
      await page.goto('/');
      await expect(page.getByText('This is a demonstration.')).toBeVisible();
    },
  ],
];

const RULES = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];

/** What a page asks of other machines, and what it complains about. */
function watch(page: Page, baseURL: string | undefined): readonly string[] {
  const heard: string[] = [];
  page.on('request', (request) => {
    if (!request.url().startsWith(baseURL ?? '') && !request.url().startsWith('data:')) heard.push(`asks ${request.url()}`);
  });
  page.on('console', (message) => message.type() === 'error' && heard.push(message.text()));
  page.on('pageerror', (error) => heard.push(error.message));
  return heard;
}

for (const [name, open] of VIEWS) {
  test(`axe finds nothing against ${name} in either theme, and nothing leaves the machine`, async ({ page, baseURL }) => {
    const heard = watch(page, baseURL);
    await page.emulateMedia({ colorScheme: 'light' });
    await open(page);
    const faults = async (axe: AxeBuilder) =>
      (await axe.analyze()).violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 140)).join(' | ')}`);
    expect(await faults(new AxeBuilder({ page }).withTags(RULES))).toEqual([]);
    await page.evaluate(() => {
      document.documentElement.dataset.theme = 'dark';
    });
    // What the theme changes is colour.
    expect(await faults(new AxeBuilder({ page }).withRules(['color-contrast']))).toEqual([]);
    expect(heard).toEqual([]);
  });
}
