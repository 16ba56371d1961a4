import { expect } from '@playwright/test';
import { openPlan } from './open-plan.ts';
import { signInAs, test } from './signed-in.ts';

test('two people save one plan: the second sees a conflict and loses nothing', async ({ browser }) => {
  const [first, second] = await Promise.all(
    [0, 1].map(async () => {
      const page = await (await browser.newContext()).newPage();
      await signInAs(page.request);
      return page;
    }),
  );
  if (!first || !second) throw new Error('no pages');
  await openPlan(first, 'Otter at the ford');
  await openPlan(second, 'Otter at the ford');
  await first.getByLabel('Name of the plan').fill('Otter at the ford, upstream');
  await second.getByLabel('Name of the plan').fill('Otter at the ford, downstream');
  await first.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(first.getByText('version 2')).toBeVisible();
  await second.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(second.locator('[data-conflict]')).toContainText('saved version 2 while you worked');
  await expect(second.getByLabel('Name of the plan')).toHaveValue('Otter at the ford, downstream');
  await second.getByRole('button', { name: /Keep mine/ }).click();
  await second.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(second.getByText('version 3')).toBeVisible();
});
