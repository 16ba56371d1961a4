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

test('a plan says that it is out of date when a piece fails, with the old verdict struck through', async ({ page, request }) => {
  const { items } = await (await request.get('/api/v1/gear?after=TS-00&limit=5')).json();
  const strap = items.find(({ tag }: { tag: string }) => tag === 'TS-01');
  const { gearId, inspection: _i, factsRevision: _f, ...input } = strap;
  const marks = input.marks.map(({ asWritten, basis, source }: { asWritten: string; basis: string; source: string }) => ({
    asWritten,
    basis,
    source,
  }));
  const change = async (state: string, rowVersion: number) =>
    (await request.put(`/api/v1/gear/${gearId}`, { data: { ...input, marks, state, rowVersion } })).json();
  const failed = await change('quarantined', input.rowVersion);
  await openPlan(page, 'Plantation ride');
  const note = page.locator('[data-out-of-date]');
  await expect(note).toContainText('TS-01: was in-use, is quarantined.');
  await expect(note.locator('.line-through')).toContainText('Clear');
  await expect(page.locator('[data-verdict="stop"]')).toBeVisible();
  await change('in-use', failed.rowVersion);
  await page.reload();
  await expect(page.locator('[data-verdict="clear"]')).toBeVisible();
  await expect(note).toBeHidden();
});
