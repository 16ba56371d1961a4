import { expect, type Page } from '@playwright/test';
import { signInAs, test } from './signed-in.ts';

const begin = async (page: Page) => {
  await page.getByRole('button', { name: /^Begin/ }).click();
  await expect(page.locator('[data-progress]')).toBeVisible();
};
const passAll = (page: Page) => page.getByRole('button', { name: /Mark all the rest in order/ }).click();

test('from the due list to the bench to quarantine', async ({ page }) => {
  await page.goto('/due');
  await page.locator('li', { hasText: 'HK-01' }).getByRole('link', { name: 'Inspect' }).click();
  await begin(page);
  await passAll(page);
  await page.locator('[data-point="no-cracks"]').getByRole('button', { name: 'Fails' }).click();
  await page.getByLabel('What was found: No cracks').fill('at the root of the hook');
  await page.getByRole('button', { name: 'Confirm D: out of use' }).click();
  await expect(page.getByText('1 out of use.')).toBeVisible();
  await page.goto('/gear?q=HK-01');
  await page.getByRole('link', { name: /HK-01/ }).click();
  await expect(page.getByText('Quarantined: must not be planned with')).toBeVisible();
  await expect(page.getByText('No cracks: fails (at the root of the hook)').first()).toBeVisible();
});

test('a failed piece turns the plan that uses it out of date, on another’s open page too', async ({ page, browser }) => {
  const other = await (await browser.newContext()).newPage();
  await signInAs(other.request, 'member');
  await other.goto('/plans');
  const plan = other.getByRole('link', { name: /Plantation ride/ });
  await expect(plan).toContainText('Clear');
  const { items } = await (await page.request.get('/api/v1/gear?after=TS-00&limit=1')).json();
  await page.goto(`/inspect?of=piece:${items[0].gearId}&kind=after-use`);
  await begin(page);
  await passAll(page);
  await page.locator('[data-point="stitching-whole"]').getByRole('button', { name: 'Fails' }).click();
  await page.getByRole('button', { name: 'Confirm D: out of use' }).click();
  await expect(plan).toContainText('TS-01: was in use, is quarantined.');
  await plan.click();
  await expect(other.locator('[data-out-of-date]')).toContainText('TS-01');
  await expect(other.locator('[data-verdict="stop"]')).toBeVisible();
});

test('a closed tab and a lost connection lose not a tap; what was confirmed is sent when there is a signal', async ({ page, context }) => {
  await page.goto('/inspect?of=class:recovery-ring');
  await begin(page);
  const address = page.url();
  await passAll(page);
  await page.locator('[data-point="no-nicks"]').getByRole('button', { name: 'Worn' }).click();
  await page.getByLabel('What was found: No nicks').fill('two, filed smooth');
  // The last letter is on its way to the device's store for some milliseconds; from then on the tab may go.
  await expect(page.locator('[data-kept-here="true"]')).toBeVisible();
  await page.close();
  const again = await context.newPage();
  await again.goto(address);
  await expect(again.getByLabel('What was found: No nicks')).toHaveValue('two, filed smooth');
  await expect(again.locator('[data-point="no-nicks"]').getByRole('button', { name: 'Worn' })).toHaveAttribute('aria-pressed', 'true');
  await context.setOffline(true);
  const tag = await again.locator('[aria-current="step"]').getAttribute('aria-label');
  await again.getByRole('button', { name: 'Confirm grade B' }).click();
  await expect(again.locator('[data-progress]')).toContainText('1 of');
  await again.getByRole('button', { name: `${tag}, confirmed` }).click();
  await expect(again.getByText('It waits on this device to be sent.')).toBeVisible();
  await context.setOffline(false);
  await expect(again.getByText('The server has it.')).toBeVisible({ timeout: 20_000 });
});

test('the bench answers to the keyboard and to tags, and shows what a measured value amounts to', async ({ page }) => {
  await page.goto('/inspect?of=class:steel-shackle');
  await begin(page);
  await page.getByLabel('Tag of a piece').fill('no-such-tag');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toHaveText('No piece has the tag no-such-tag.');
  await page.getByLabel('Tag of a piece').fill('sh-03');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Bow shackle 7/8 in' })).toBeVisible();
  await page.getByRole('heading', { name: 'Bow shackle 7/8 in' }).click();
  await page.keyboard.press('a');
  await expect(page.locator('[data-point] [aria-pressed="true"]')).toHaveCount(8);
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('f');
  await expect(page.locator('[data-point="no-cracks"]').getByRole('button', { name: 'Fails' })).toHaveAttribute('aria-pressed', 'true');
  await page.keyboard.press('o');
  await page.getByLabel('Measured: Bow diameter where worn most').fill('20.4');
  await expect(page.getByText('lost 7.3 %: 73 % of what is allowed.')).toBeVisible();
  await page.getByLabel('Measured: Bow diameter where worn most').fill('19.7');
  await expect(page.getByText('over the limit, out of use')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Confirm D: out of use' })).toBeVisible();
});

test('what one person confirmed without a signal is never sent under another’s name', async ({ page, context }) => {
  await page.goto('/inspect?of=class:lifting-jack');
  await begin(page);
  await passAll(page);
  await context.setOffline(true);
  await page.getByRole('button', { name: 'Confirm grade A' }).click();
  await expect(page.getByText('1 of 1 pieces confirmed')).toBeVisible();
  await expect(page.getByText('waits to be sent')).toBeVisible();
  // Somebody else signs in on this device. The page that was left open does not know it and tries to send; the server refuses.
  const other = await context.newPage();
  await signInAs(other.request, 'gear-keeper');
  const sends = (message: { method(): string; url(): string }) =>
    message.method() === 'POST' && message.url().endsWith('/api/v1/inspections');
  const refused = page.waitForResponse((response) => sends(response.request()));
  await context.setOffline(false);
  expect((await refused).status()).toBe(401);
  await page.close();
  const tried: string[] = [];
  other.on('request', (request) => sends(request) && tried.push(request.url()));
  await other.goto('/inspect');
  await expect(other.getByText('Somebody else’s: it can be continued and sent when they sign in here.')).toBeVisible();
  await other.waitForTimeout(1500);
  const jack = async () => (await (await other.request.get('/api/v1/gear?after=JK-00&limit=1')).json()).items[0].inspection;
  expect(tried).toEqual([]);
  expect((await jack()).on).not.toBe('2026-01-15');
  await signInAs(other.request);
  await other.goto('/inspect');
  await expect.poll(async () => (await jack()).on).toBe('2026-01-15');
  expect((await jack()).by).toBe('Isla Wrenfell');
});

test('an inspection is put right by another, which names it', async ({ page, request }) => {
  const { items } = await (await request.get('/api/v1/inspections?limit=500')).json();
  const earlier = items.find(
    ({ tag, kind, on }: { tag: string; kind: string; on: string }) => tag === 'CB-01' && kind === 'calendar' && on < '2026-01-01',
  );
  await page.goto(`/inspections/${earlier.inspectionId}`);
  await page.getByRole('link', { name: 'Put it right' }).click();
  await expect(page.getByText('Inspect it anew.')).toBeVisible();
  await begin(page);
  await passAll(page);
  await page.getByRole('button', { name: 'Confirm grade A' }).click();
  await expect(page.getByText('1 of 1 pieces confirmed')).toBeVisible();
  await page.goto(`/gear/${earlier.gearId}`);
  await expect(page.getByRole('region', { name: 'Care' }).getByText('correction')).toBeVisible();
});
