import { expect } from '@playwright/test';
import { choose } from './choose.ts';
import { openPlan } from './open-plan.ts';
import { test } from './signed-in.ts';

test('by keys: what lies on the ground is drawn and moved by numbers, distances and angles are measured', async ({ page }) => {
  await openPlan(page, 'Beck crossing');
  await page.getByRole('tab', { name: 'Outline' }).click();
  const rows = page.locator('[data-outline-body]');
  for (const row of [0, 1, 2]) {
    await rows.nth(row).focus();
    await page.keyboard.press('m');
  }
  await expect(page.locator('[data-measured]')).toHaveText(
    /^Otter to Heron: 13\.5 m on the map, bearing 255°.*From there to Alder: .* with 1[67]\d° between\.$/,
  );
  await page.getByRole('button', { name: 'Draw on the ground, beside the rest' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('menu')).toBeFocused();
  for (const key of ['w', 'Enter']) await page.keyboard.press(key);
  await page.locator('[data-feature] summary').press('Enter');
  await page.getByLabel('Corner 1, east').fill('-12.5');
  await page.getByRole('button', { name: 'One more corner' }).press('Enter');
  await expect(page.locator('[data-corner]')).toHaveCount(3);
  await page.getByRole('button', { name: 'Undo' }).press('Enter');
  await expect(page.locator('[data-corner]')).toHaveCount(2);
  await page.getByRole('button', { name: 'Undo' }).press('Enter');
  await expect(page.getByLabel('Corner 1, east')).not.toHaveValue('-12.5');
  await page.getByRole('button', { name: 'Undo' }).press('Enter');
  await expect(page.locator('[data-feature]')).toHaveCount(0);
});

test('by pointer: a corner is dragged, and the whole drag is one step', async ({ page }) => {
  await openPlan(page, 'Beck crossing');
  await page.getByRole('tab', { name: 'Outline' }).click();
  await choose(page, page.getByRole('button', { name: 'Draw on the ground, beside the rest' }), 'track');
  await page.locator('[data-feature] summary').click();
  for (const _ of [1, 2, 3, 4]) await page.getByRole('button', { name: 'Further away' }).click();
  const east = page.getByLabel('Corner 2, east');
  const before = await east.inputValue();
  const box = await page.locator('[data-corner]').nth(1).boundingBox();
  if (!box) throw new Error('no corner on the sheet');
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x - 60, box.y + 20, { steps: 6 });
  await page.mouse.up();
  await expect(east).not.toHaveValue(before);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(east).toHaveValue(before);
});

test('what is said of a piece stands at its place, and first when it is touched; the load path turns to the weakest', async ({ page }) => {
  await openPlan(page, 'Bog below Tarn Quarry');
  await expect(page.locator('[data-weakest]')).toContainText('192 % of its limit');
  const path = page.getByRole('region', { name: 'Load path' });
  await path.getByRole('button', { name: /^TS-03 .*finding: stop$/ }).click();
  await expect(page.locator('[data-findings-here]')).toContainText('TS-03');
  await page.getByRole('button', { name: 'weakest first' }).click();
  await expect(path.locator('ol button').first()).toHaveAttribute('aria-label', /^TS-03/);
  await page.reload();
  await expect(path.locator('ol button').first()).toHaveAttribute('aria-label', /^TS-03/);
});

test('the ladder of cheaper actions says which rig each makes unnecessary', async ({ page }) => {
  await openPlan(page, 'Plantation ride');
  await page.getByRole('tab', { name: 'Site' }).click();
  await choose(page, page.getByLabel('Stuck', { exact: true }), 'to the hubs');
  await page.getByLabel('Mass with load').fill('4400');
  await expect(page.locator('[data-pull-band]')).toContainText('median');
  await expect(page.locator('[data-action="dig"]')).toContainText(/Then a single line .* is enough/);
});

test('a person of the team is placed with what the records say of their practice', async ({ page }) => {
  await openPlan(page, 'Beck crossing');
  await page.getByRole('tab', { name: 'Outline' }).click();
  await page.locator('[data-outline-body]').filter({ hasText: 'Isla Wrenfell' }).click();
  await expect(page.locator('[data-practised]')).toContainText('Double line, self-recovery');
  await choose(page, page.getByLabel('In the cab of'), 'nobody’s: outside');
  await expect(page.locator('[data-remote]')).toHaveCount(1);
  await choose(page, page.getByLabel('Which of the team', { exact: true }), 'Tomas Aldbrook');
  await page.getByRole('tab', { name: /^Findings/ }).click();
  await page.getByRole('button', { name: 'Yes, practised' }).click();
  await expect(page.getByText('Has Tomas Aldbrook practised this layout?')).toHaveCount(0);
});

test('somebody else’s vehicle: its point is said on the spot, and somebody answers for it', async ({ page }) => {
  await page.goto('/plans/new');
  await page.getByRole('button', { name: 'Single line to a stuck vehicle' }).click();
  await choose(page, page.getByLabel('Vehicle to be moved'), /not one of the team’s/);
  await page.getByLabel('Its mass with load').fill('1850');
  await page.getByRole('button', { name: 'Lay it out' }).click();
  await expect(page.locator('[data-verdict]')).toBeVisible();
  await page.getByRole('button', { name: 'Choose the recovery point' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByText('A point of Stuck vehicle that is not in the register').click();
  await dialog.getByLabel('Where it is').fill('front, left');
  await dialog.getByLabel('Its mark, as it stands there').fill('strong');
  await expect(dialog.getByRole('button', { name: 'Hook up here' })).toBeDisabled();
  await dialog.getByLabel('Its mark, as it stands there').fill('WLL 4 t');
  await expect(dialog.getByText('39.2 kN')).toBeVisible();
  await dialog.getByRole('button', { name: 'Hook up here' }).click();
  await expect(page.getByRole('button', { name: 'Choose the recovery point' })).toHaveCount(0);
  await expect(page.getByRole('region', { name: 'Load path' }).getByRole('button', { name: /front, left/ })).toBeVisible();
});
