import { expect } from '@playwright/test';
import { choose } from './choose.ts';
import { openPlan } from './open-plan.ts';
import { signInAs, test } from './signed-in.ts';

test('two people edit one piece: the second sees both versions and chooses', async ({ browser }) => {
  const [first, second] = await Promise.all(
    [0, 1].map(async () => {
      const page = await (await browser.newContext()).newPage();
      await signInAs(page.request);
      return page;
    }),
  );
  if (!first || !second) throw new Error('no pages');
  for (const page of [first, second]) {
    await page.goto('/gear?q=CH-01');
    await page.getByRole('link', { name: /CH-01/ }).click();
    await page.getByRole('link', { name: 'Edit' }).click();
  }
  await first.getByLabel('Owner').fill('Mirren Quaile');
  await first.getByRole('button', { name: 'Save' }).click();
  await expect(first.getByRole('heading', { name: /Chain/ })).toBeVisible();
  await second.getByLabel('Note').fill('measured again');
  await second.getByRole('button', { name: 'Save' }).click();
  await expect(second.getByRole('alert')).toContainText('Somebody saved CH-01 while you worked');
  await expect(second.getByRole('alert')).toContainText('Mirren Quaile');
  await second.getByRole('button', { name: /Keep mine/ }).click();
  await second.getByRole('button', { name: 'Save' }).click();
  await expect(second.getByText('measured again', { exact: true })).toBeVisible();
});

test('work begun on an older version comes back and meets the newer one as a conflict', async ({ page, request, context }) => {
  const planId = await openPlan(page, 'Plantation ride');
  const { rig, version } = await (await request.get(`/api/v1/plans/${planId}`)).json();
  await page.getByLabel('Name of the plan').fill('Plantation ride, my draft');
  await expect(page.getByText('not saved')).toBeVisible();
  await page.close();
  expect(
    (await request.put(`/api/v1/plans/${planId}`, { data: { name: 'Plantation ride, theirs', rig, baseVersion: version } })).status(),
  ).toBe(200);
  const again = await context.newPage();
  await again.goto(`/plans/${planId}`);
  await expect(again.getByLabel('Name of the plan')).toHaveValue('Plantation ride, my draft');
  await again.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(again.locator('[data-conflict]')).toContainText('Plantation ride, theirs');
  await again.getByRole('button', { name: 'Open theirs' }).click();
  await expect(again.getByLabel('Name of the plan')).toHaveValue('Plantation ride, theirs');
});

test('the reader’s unit and theme stay on the device', async ({ page }) => {
  await openPlan(page, 'Bog below');
  await choose(page, page.getByLabel('Unit of forces'), 'lbf');
  await expect(page.locator('[data-strand-sentence]')).toContainText('lbf');
  await page.getByRole('button', { name: 'Switch to the dark theme' }).click();
  await page.reload();
  await expect(page.locator('[data-strand-sentence]')).toContainText('lbf');
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark');
});

test('the loads of every piece stand whole in the load path, with their unit, in each of the reader’s units', async ({ page }) => {
  await openPlan(page, 'Beck crossing');
  const path = page.getByRole('region', { name: 'Load path' });
  for (const unit of ['lbf', 'tf', 'kN']) {
    await choose(page, page.getByLabel('Unit of forces').filter({ visible: true }), unit);
    const loads = path.locator('[data-loads]');
    await expect(loads.first()).toContainText(` ${unit}`);
    const cut = await loads.evaluateAll((all) => all.filter((one) => one.scrollWidth > one.clientWidth).map((one) => one.textContent));
    expect(cut, unit).toEqual([]);
  }
});

test('touching a piece in the plan answers in the load path, and shows how it was worked out', async ({ page }) => {
  await openPlan(page, 'Bog below');
  await page.locator('[data-tree-handle]').click();
  await expect(page.getByRole('region', { name: 'Load path' }).getByRole('button', { name: /Larch/ })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await page.locator('[data-node="at-tree"]').click();
  await expect(page.getByRole('button', { name: /RR-01 Ring 100 mm/ })).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByRole('region', { name: 'How it was worked out' })).toContainText('added along their directions');
  await page
    .getByRole('button', { name: /TS-03 Tree strap/ })
    .first()
    .click();
  await expect(page.getByRole('region', { name: 'How it was worked out' })).toContainText('Marked “3 t”');
});

test('figures that a person answers for are kept with the reason and can be taken back', async ({ page }) => {
  await openPlan(page, 'Badger');
  await page.getByRole('tab', { name: 'Site' }).click();
  await page.getByText('A load cell or limiter holds the line pull').click();
  const form = page.locator('details').filter({ hasText: 'A load cell or limiter' });
  await form.getByLabel('Greatest line pull').fill('25 kN');
  await form.getByRole('button', { name: 'State it' }).click();
  await expect(form).toContainText('25.0 kN, stated by Isla Wrenfell');
  await page.getByRole('tab', { name: /Findings/ }).click();
  await expect(page.locator('[data-finding="limited-by-statement"]')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.locator('[data-finding="limited-by-statement"]')).toBeHidden();
});

test('5,000 rows: previewed, listed and scrolled', async ({ page }) => {
  const rows = Array.from({ length: 5000 }, (_, index) => `BULK-${String(index).padStart(4, '0')},gloves,,team`);
  await page.goto('/gear/import');
  await page
    .getByLabel('Choose a CSV file')
    .setInputFiles({ name: 'bulk.csv', mimeType: 'text/csv', buffer: Buffer.from(`tag,class,name,owner\n${rows.join('\n')}\n`) });
  await page.getByRole('button', { name: 'Bring in 5000 pieces' }).click();
  await expect(page.getByText('5000 new')).toBeVisible({ timeout: 30_000 });
  await page.goto('/gear?q=BULK-');
  await expect(page.getByText(/^5000 of/)).toBeVisible();
  expect(await page.locator('[data-gear-row]').count()).toBeLessThan(60);
  await page.locator('[data-gear-row="0"]').focus();
  await page.keyboard.press('End');
  await expect(page.locator('[data-gear-row="4999"]')).toBeFocused();
});

test('an address that leads nowhere says so', async ({ page }) => {
  await page.goto('/nowhere');
  await expect(page.getByRole('heading', { name: 'There is nothing at this address' })).toBeVisible();
  await page.goto('/plans/00000000-0000-4000-8000-000000000000');
  await expect(page.getByRole('alert')).toContainText('No plan has the id');
});

test('in pounds the load path and the labels say a load with all its thousands', async ({ page }) => {
  await openPlan(page, 'Bog below');
  await choose(page, page.getByLabel('Unit of forces'), 'lbf');
  await expect(page.getByText(/^3\u202f180 \/ 1\u202f650 lbf$/)).toBeVisible();
  await openPlan(page, 'Badger');
  await expect(page.locator('[data-sheet-label]').filter({ hasText: /^Scots pine/ })).toContainText(
    /4\u202f9\d0 of 33\u202f\d{3} lbf judged/,
  );
});

test('a piece the team never uses says so before any figure of it', async ({ page }) => {
  await page.goto('/gear?q=LS-01');
  await page.getByRole('link', { name: /LS-01/ }).click();
  const sheet = page.locator('section', { has: page.getByRole('heading', { name: 'Working load limit' }) }).last();
  await expect(sheet).toContainText(/Never in a rig: made to hold loads down, not to pull\..*\d kN/s);
});

for (const [where, size] of [
  ['at a desk', { width: 1280, height: 800 }],
  ['on a phone', { width: 390, height: 844 }],
] as const)
  test(`a new plan ${where}: the choice stands above the button that lays it, and is told while its card is scrolled away`, async ({
    page,
  }) => {
    await page.setViewportSize(size);
    await page.goto('/plans/new');
    await page.locator('[data-layout="triple-line"]').click();
    await page.locator('[data-layout]').last().scrollIntoViewIfNeeded();
    await expect(page.locator('[data-layout="triple-line"]')).not.toBeInViewport();
    const told = page.locator('[data-chosen-layout]');
    await expect(told).toHaveText(/^triple line$/i);
    const button = page.getByRole('button', { name: 'Lay it out' });
    await button.scrollIntoViewIfNeeded();
    const top = (await button.boundingBox())?.y ?? Number.NaN;
    expect((await told.boundingBox())?.y).toBeLessThan(top);
    expect((await page.getByLabel('Search layouts').boundingBox())?.y).toBeLessThan(top);
    await page.getByRole('button', { name: /^Only the place/ }).click();
    await expect(told).toHaveText('Only the place: no line is laid yet');
    await page.locator('[data-layout="triple-line"]').click();
    await button.click();
    await expect(page.locator('[data-verdict]')).toBeVisible();
    if (size.width < 600) await page.getByRole('button', { name: 'Plan', exact: true }).click();
    await expect(page.locator('[data-strand]')).toHaveCount(3);
  });
