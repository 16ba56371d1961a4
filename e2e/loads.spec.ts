import { expect } from '@playwright/test';
import { signInAs, test } from './signed-in.ts';

test('a load is logged by hand; one far over the limit takes the piece out of use on another’s page, and a correction leaves it there', async ({
  page,
  browser,
}) => {
  const { items } = await (await page.request.get('/api/v1/gear?after=TS-00&limit=1')).json();
  const other = await (await browser.newContext()).newPage();
  await signInAs(other.request, 'member');
  await other.goto('/plans');
  const plan = other.getByRole('link', { name: /Plantation ride/ });
  await expect(plan).toContainText('Clear');
  await page.goto(`/gear/${items[0].gearId}`);
  const loads = page.getByRole('region', { name: 'Loads' });
  await loads.getByRole('button', { name: 'Log a load' }).click();
  await loads.getByLabel('Planned load').fill('10 kN');
  await loads.getByLabel('Where in which rig').fill('Round the larch');
  await loads.getByRole('button', { name: 'Log it' }).click();
  await expect(loads.locator('[data-overload="none"]')).toContainText('10.0 kN');
  await loads.getByRole('button', { name: 'Log a load' }).click();
  await loads.getByLabel('Planned load').fill('20 kN');
  await loads.getByLabel('Peak, off a gauge').fill('90 kN');
  await loads.getByRole('button', { name: 'Log it' }).click();
  await expect(loads.locator('[data-overload="quarantine"]')).toContainText('out of use until a full inspection');
  await expect(page.getByText('Quarantined: must not be planned with')).toBeVisible();
  await expect(plan).toContainText('TS-01: was in use, is quarantined.');
  await loads
    .locator('[data-overload="quarantine"]')
    .getByRole('button', { name: /Correct/ })
    .click();
  await loads.getByLabel('Peak, off a gauge').fill('');
  await loads.getByLabel('Why it is corrected').fill('The gauge showed pounds');
  await loads.getByRole('button', { name: 'Keep the correction' }).click();
  await expect(loads.getByText('Corrected by a later record; it no longer counts.')).toBeVisible();
  await expect(page.getByText(/was corrected; it stays out of use until a full inspection/).first()).toBeVisible();
  await expect(page.getByText('Quarantined: must not be planned with')).toBeVisible();
  await other.context().close();
});

test('a pull by a plan is written into the book of every piece', async ({ page }) => {
  await page.goto('/plans');
  await page.getByRole('link', { name: /Beck crossing/ }).click();
  await page.getByRole('tab', { name: 'Record' }).click();
  await page.getByRole('button', { name: 'Log a pull' }).click();
  await page.getByLabel('Pulls alike').fill('2');
  await page.getByRole('button', { name: 'Log it for every piece' }).click();
  const told = page.getByRole('region', { name: 'The pull' }).getByRole('status');
  await expect(told).toContainText(/Logged for \d+ pieces/);
  const { items } = await (await page.request.get('/api/v1/gear?limit=500')).json();
  const count = Number(/Logged for (\d+)/.exec((await told.textContent()) ?? '')?.[1]);
  let written = 0;
  for (const { gearId } of items) {
    const { items: loads } = await (await page.request.get(`/api/v1/gear/${gearId}/loads`)).json();
    written += loads.filter(({ known, pulls }: { known: string; pulls: number }) => known === 'plan' && pulls === 2).length;
  }
  expect(written).toBe(count);
});
