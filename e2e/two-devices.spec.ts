import { expect } from '@playwright/test';
import { signInAs, test } from './signed-in.ts';

test('a round begun on a phone is seen on a tablet, taken over there with what was typed, and taken back', async ({ page, browser }) => {
  const tablet = await (await browser.newContext()).newPage();
  await signInAs(tablet.request, 'gear-keeper');
  await page.goto('/inspect?of=class:steel-shackle&kind=calendar');
  await page.getByRole('button', { name: /^Begin/ }).click();
  const address = page.url();
  const first = (await page.locator('[aria-current="step"]').getAttribute('aria-label')) ?? '';
  await page.getByRole('button', { name: /Mark all the rest in order/ }).click();
  await page.getByRole('button', { name: /^Confirm grade/ }).click();
  await expect(page.locator('[data-progress]')).toContainText('1 of');
  await page.getByLabel('Remark').fill('Pin stiff, half looked at');
  await tablet.goto('/inspect');
  const row = tablet.locator('li', { hasText: 'Isla Wrenfell, begun' });
  await expect(row).toContainText('1 of');
  await row.getByRole('button', { name: 'Take over' }).click();
  await expect(row).toContainText('under your name');
  await row.getByRole('button', { name: 'Take it over here' }).click();
  await expect(tablet.locator('[data-progress]')).toContainText('1 of');
  await expect(tablet.getByLabel('Remark')).toHaveValue('Pin stiff, half looked at');
  await expect(tablet.getByRole('button', { name: `${first}, confirmed` })).toBeVisible();
  // The phone learns it with the next thing that it tells.
  await page.getByLabel('Remark').fill('Pin stiff, half looked at, oiled');
  await expect(page.getByRole('heading', { name: 'Tomas Aldbrook has this round now' })).toBeVisible();
  await tablet.getByRole('button', { name: /Mark all the rest in order/ }).click();
  await tablet.getByRole('button', { name: /^Confirm grade/ }).click();
  await expect(tablet.locator('[data-progress]')).toContainText('2 of');
  await expect.poll(async () => (await (await page.request.get('/api/v1/rounds')).json()).items[0].confirmed.length).toBe(2);
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(page.locator('[data-progress]')).toContainText('2 of');
  expect(page.url()).toContain(new URL(address).pathname);
  await tablet.context().close();
});
