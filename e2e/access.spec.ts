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
  ['ready', shows('/', 'Not fit to go')],
  ['inspect', shows('/inspect', 'Begin at the bench')],
  [
    'the bench',
    async (page) => {
      await page.goto('/inspect?of=class:snatch-block');
      await page.getByRole('button', { name: /^Begin/ }).click();
      await page.getByRole('button', { name: /All in order/ }).click();
      await page.locator('[data-point="bearing-runs-freely"]').getByRole('button', { name: 'Worn' }).click();
      await expect(page.getByText('speaks for B')).toBeVisible();
    },
  ],
  ['due', shows('/due', 'This week')],
  ['defects', shows('/defects', 'Whole and working: fails')],
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
  ['what changed', shows('/trail', 'noted as washed')],
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

for (const [name, open] of VIEWS) {
  test(`axe finds nothing against ${name}, in either theme`, async ({ page }) => {
    await page.emulateMedia({ colorScheme: 'light' });
    await open(page);
    for (const theme of ['light', 'dark'] as const) {
      await page.evaluate((wanted) => {
        document.documentElement.dataset.theme = wanted;
      }, theme);
      const { violations } = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']).analyze();
      expect(violations.map(({ id, nodes }) => `${theme} ${id}: ${nodes.map(({ html }) => html.slice(0, 140)).join(' | ')}`)).toEqual([]);
    }
  });
}

test('no request leaves the machine and nothing breaks the security policy', async ({ page, baseURL }) => {
  const foreign: string[] = [];
  const errors: string[] = [];
  page.on(
    'request',
    (request) => !request.url().startsWith(baseURL ?? '') && !request.url().startsWith('data:') && foreign.push(request.url()),
  );
  page.on('console', (message) => message.type() === 'error' && errors.push(message.text()));
  page.on('pageerror', (error) => errors.push(error.message));
  for (const [, open] of VIEWS) await open(page);
  expect(foreign).toEqual([]);
  expect(errors).toEqual([]);
});

test('the gear list answers to the keyboard and to links', async ({ page }) => {
  await page.goto('/gear?class=soft-shackle&sort=-limit');
  await expect(page.getByText('9 of')).toBeVisible();
  await expect(page.locator('[data-gear-row="0"]')).toContainText('SS-07');
  await page.keyboard.press('/');
  await page.keyboard.type('sheathed');
  await expect(page.getByText('1 of')).toBeVisible();
  await expect(page).toHaveURL(/q=sheathed/);
  await page.keyboard.press('ArrowDown');
  await expect(page.locator('[data-gear-row="0"]')).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: /sheathed/ })).toBeVisible();
});

test('adding a piece: a mark is shown back as understood while it is typed, and faults name their field', async ({ page }) => {
  await page.goto('/gear/new');
  await page.getByLabel('Class').selectOption('soft-shackle');
  await page.getByLabel('Tag').fill('SS-01');
  await page.getByRole('textbox', { name: 'Mark 1' }).fill('13 ton');
  await expect(page.getByText('Which ton?')).toBeVisible();
  await page.getByRole('textbox', { name: 'Mark 1' }).fill('MBS 31 700 lb');
  await expect(page.getByText('Understood: 141.0 kN, breaking strength')).toBeVisible();
  await page.getByLabel('Rope diameter').fill('twelve');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('“twelve” is not understood')).toBeVisible();
  await page.getByLabel('Rope diameter').fill('11/16 in');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('The tag SS-01 is already on another piece; choose a free one.', { exact: true })).toBeVisible();
  await page.getByLabel('Tag').fill('SS-E2E');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('heading', { name: 'Soft shackle' })).toBeVisible();
  await expect(page.getByText('17.5 mm')).toBeVisible();
});
