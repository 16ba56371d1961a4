import { test as anybody, expect } from '@playwright/test';
import { choose } from './choose.ts';
import { signInAs, test } from './signed-in.ts';

test('a member is offered no keeper’s action, and refused it where the address is known', async ({ browser }) => {
  const page = await (await browser.newContext()).newPage();
  await signInAs(page.request, 'member');
  await page.goto('/gear?q=SH-02');
  await expect(page.getByRole('link', { name: 'Add a piece' })).toBeHidden();
  await page.getByRole('link', { name: /SH-02/ }).click();
  await expect(page.getByRole('button', { name: 'Quarantine' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Retire' })).toBeHidden();
  await expect(page.getByRole('link', { name: 'Edit' })).toBeHidden();
  const gearId = new URL(page.url()).pathname.split('/').at(-1);
  const refused = await page.request.post(`/api/v1/gear/${gearId}/retire`, {
    data: { reason: 'Because I say so', destroyed: 'Not at all' },
  });
  expect(refused.status()).toBe(403);
  expect((await refused.json()).detail).toContain('Ask your coordinator');
});

test('taken out, counted back by tag, and what is missing is named', async ({ page }) => {
  await page.goto('/outings');
  await page.getByLabel('What for').fill('Evening practice');
  await choose(page, page.getByLabel('Which person', { exact: true }), 'Mirren Quaile');
  for (const tag of ['SB-02', 'CB-01']) {
    await page.getByLabel('Tag of a piece that goes').fill(tag);
    await page.keyboard.press('Enter');
  }
  await page.getByLabel('Tag of a piece that goes').fill('SH-06');
  await page.keyboard.press('Enter');
  await expect(page.getByText('SH-06 is quarantined and must not go out.')).toBeVisible();
  await page.getByRole('button', { name: 'Check out 2 pieces' }).click();
  await expect(page.locator('[data-count]')).toHaveText('0 of 2 counted back');
  await page.getByLabel('Tag of a piece that is back').fill('sb-02');
  await page.keyboard.press('Enter');
  await expect(page.locator('[data-count]')).toHaveText('1 of 2 counted back');
  await expect(page.getByText(/^Missing: CB-01/)).toBeVisible();
  await page.getByRole('button', { name: 'Close with 1 missing' }).click();
  await expect(page.getByText(/Count them back, or say what became of them/)).toBeVisible();
  await page.getByRole('button', { name: 'CB-01 is back' }).click();
  await page.getByRole('button', { name: 'All back: close it' }).click();
  await expect(page.getByText(/Closed .* by Isla Wrenfell/)).toBeVisible();
});

test('invited by a link, signed in by name and password; a wrong password is refused and too many make it wait', async ({
  page,
  browser,
}) => {
  await page.goto('/people');
  await page.getByLabel('Name', { exact: true }).fill('Corin Heathfell');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  const row = page.locator('li', { hasText: 'Corin Heathfell' });
  await row.getByRole('button', { name: 'Invite' }).click();
  const link = await row.getByLabel('One-time link for Corin Heathfell').inputValue();
  const theirs = await (await browser.newContext()).newPage();
  await theirs.goto(link);
  await expect(theirs.getByText('You are Corin Heathfell, member of Harrowmoss Recovery.')).toBeVisible();
  await theirs.getByLabel('Sign-in name').fill('corin');
  await theirs.getByLabel('Password').fill('short');
  await theirs.getByRole('button', { name: 'Join' }).click();
  await expect(theirs.getByText('The password must have 10 to 200 characters')).toBeVisible();
  await theirs.getByLabel('Password').fill('peat and plantation');
  await theirs.getByRole('button', { name: 'Join' }).click();
  await expect(theirs.getByRole('heading', { name: 'Ready today' })).toBeVisible();
  await theirs.goto('/account');
  await theirs.getByRole('button', { name: 'Sign out', exact: true }).click();
  await expect(theirs.getByRole('heading', { name: /Sign in|Your session has ended/ })).toBeVisible();
  await theirs.goto('/');
  for (let attempt = 0; attempt < 5; attempt++) {
    await theirs.getByLabel('Sign-in name').fill('corin');
    await theirs.getByLabel('Password').fill(`wrong ${attempt}`);
    await theirs.getByRole('button', { name: 'Sign in', exact: true }).click();
    await expect(theirs.getByRole('alert')).toContainText('do not match');
    await theirs.reload();
  }
  await theirs.getByLabel('Sign-in name').fill('corin');
  await theirs.getByLabel('Password').fill('peat and plantation');
  await theirs.getByRole('button', { name: 'Sign in', exact: true }).click();
  await expect(theirs.getByRole('alert')).toContainText('Wait 15 minutes');
  const used = await (await browser.newContext()).newPage();
  await used.goto(link);
  await expect(used.getByText('This link no longer works')).toBeVisible();
});

test('a session that ends while somebody types is taken up over the page; what was typed stays', async ({ page }) => {
  await page.goto('/gear/new');
  await choose(page, page.getByLabel('Class', { exact: true }), 'Soft shackle');
  await page.getByLabel('Name', { exact: true }).fill('Typed before the session ended');
  await page.request.delete('/api/v1/session');
  await page.getByLabel('Tag', { exact: true }).fill('SS-ENDED');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByRole('heading', { name: 'Your session has ended' })).toBeVisible();
  await dialog.getByRole('button', { name: /Isla Wrenfell/ }).click();
  await expect(dialog).toBeHidden();
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Typed before the session ended');
});

test('a change of settings says which plans it turns before it is made', async ({ page }) => {
  await page.goto('/settings');
  await page.locator('[data-policy="designFactors.soft-good"] input').fill('9');
  await page.getByRole('button', { name: 'What would it change?' }).click();
  const preview = page.locator('[data-policy-preview]');
  await expect(preview).toContainText('Beck crossing');
  await expect(preview).toContainText('Stop');
  await page.getByRole('button', { name: 'Discard' }).click();
  await expect(page.locator('[data-policy="designFactors.soft-good"] input')).toHaveValue('3');
  await expect(preview).toBeHidden();
});

test('settings and a kit that somebody else saved meanwhile: nothing typed is lost, and the choice is offered', async ({
  page,
  request,
}) => {
  await page.goto('/settings');
  const mine = page.locator('[data-policy="designFactors.chain"] input');
  await mine.fill('5');
  const { contentHash, content } = await (await request.get('/api/v1/policy')).json();
  const theirs = { ...content, designFactors: { ...content.designFactors, stretch: { value: 3, source: 'for a trial' } } };
  const saved = await (
    await request.post('/api/v1/policy', { data: { baseHash: contentHash, content: theirs, reason: 'Stretch, for a trial' } })
  ).json();
  const note = page.getByRole('alert').filter({ hasText: 'Somebody saved the settings' });
  await expect(note).toContainText('Design factors, Stretch rope: 2 → 3');
  await expect(mine).toHaveValue('5');
  await note.getByRole('button', { name: 'Take theirs into the form' }).click();
  await expect(mine).toHaveValue('4');
  await expect(page.locator('[data-policy="designFactors.stretch"] input')).toHaveValue('3');
  await mine.fill('four');
  await expect(page.getByText('1 not understood')).toBeVisible();
  await expect(page.getByRole('button', { name: 'What would it change?' })).toBeDisabled();
  await request.post('/api/v1/policy', { data: { baseHash: saved.contentHash, content, reason: 'Back to the standard' } });

  await page.goto('/kits');
  await page.getByRole('link', { name: /Light bag/ }).click();
  await page.getByRole('button', { name: 'Change', exact: true }).click();
  await page.getByLabel('Note').fill('Mine');
  const { items } = await (await request.get('/api/v1/kits')).json();
  const { kitId, ...kit } = items.find(({ name }: { name: string }) => name === 'Light bag');
  await request.put(`/api/v1/kits/${kitId}`, { data: { ...kit, note: 'Theirs' } });
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('alert')).toContainText('Somebody saved Light bag while you worked');
  await page.getByRole('button', { name: /Keep mine/ }).click();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('travels on Plover · Mine')).toBeVisible();
});

test('what is written in the hook-up book stands beside the plan of that vehicle', async ({ page }) => {
  await page.goto('/vehicles');
  const sheet = page.getByRole('region', { name: 'Otter' });
  await sheet.getByRole('button', { name: 'Write in the hook-up book' }).click();
  await sheet.getByLabel('Where on the vehicle').fill('Rear frame tube, left of the tank');
  await sheet.getByLabel('Load it held').fill('9 kN');
  await sheet.getByRole('button', { name: 'Write it down' }).click();
  await expect(sheet.getByText('Rear frame tube, left of the tank', { exact: true })).toBeVisible();
  await page.goto('/plans');
  await page.getByRole('link', { name: /Otter at the ford/ }).click();
  await page.getByRole('tab', { name: 'Site' }).click();
  const notes = page.getByRole('region', { name: /Hook-up book: Carrier, short/ });
  await expect(notes).toContainText('Rear frame tube, left of the tank');
  await expect(notes).toContainText('Never here');
});

anybody('nothing of the team is shown to whoever is not signed in', async ({ page, request }) => {
  await page.goto('/gear');
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await expect(page.getByText('SH-01')).toBeHidden();
  expect((await request.get('/api/v1/gear')).status()).toBe(401);
});
