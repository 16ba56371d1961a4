import { type BrowserContext, expect, type Page } from '@playwright/test';
import { test } from './signed-in.ts';

test.use({ serviceWorkers: 'allow' });

/** Opens one page and waits until the device has read what every page shows, and the PDF maker. */
async function takenAlong(page: Page): Promise<void> {
  await page.goto('/');
  await page.locator('[data-taken-along]').waitFor();
  await page.evaluate(() => navigator.serviceWorker.ready);
  await expect.poll(() => page.evaluate(async () => (await (await caches.open('wainrope-later')).keys()).length)).toBe(1);
}
const items = async (page: Page, noun: string): Promise<readonly { readonly [key: string]: string }[]> =>
  (await (await page.request.get(`/api/v1/${noun}`)).json()).items;
/** The device's own copies, by address. */
const keptOn = (page: Page): Promise<readonly string[]> =>
  page.evaluate(
    () =>
      new Promise((resolve, reject) => {
        const open = indexedDB.open('wainrope-kept');
        open.onerror = () => reject(open.error);
        open.onsuccess = () => {
          const keys = open.result.transaction('answers').objectStore('answers').getAllKeys();
          keys.onsuccess = () => resolve(keys.result.map(String));
        };
      }),
  );
const noSignal = (page: Page) => page.locator('[data-signal="gone"]');
/** The tab goes as it is, without a word, and another is opened, which has no signal from its first moment where there is none. */
async function killed(context: BrowserContext, page: Page, address: string, { offline = true } = {}): Promise<Page> {
  await page.close({ runBeforeUnload: false });
  const next = await context.newPage();
  await context.setOffline(offline);
  await next.goto(address);
  return next;
}

test('after one page with a signal every page opens without one, in a new tab, and says how old it is', async ({ page, context }) => {
  await takenAlong(page);
  const [plans, outings, kits, gear] = [
    await items(page, 'plans'),
    await items(page, 'outings'),
    await items(page, 'kits'),
    await items(page, 'gear?limit=1'),
  ];
  expect(Math.min(plans.length, outings.length, kits.length)).toBeGreaterThan(2);
  await context.setOffline(true);
  let away = await killed(context, page, '/');
  const opens = async (address: string, heading: string | RegExp) => {
    await away.goto(address);
    await expect(noSignal(away)).toContainText('No signal, nothing waits to be sent. You see what this device last read,');
    await expect(away.getByText(heading).first()).toBeVisible();
    expect(await away.getByRole('alert').allInnerTexts(), address).toEqual([]);
  };
  await opens('/', 'Ready today');
  await opens('/gear', /of \d+ pieces/);
  await opens('/kits', kits[0]?.name ?? '');
  for (const { kitId, name = '' } of kits) await opens(`/kits/${kitId}`, name);
  await opens('/outings', outings[0]?.name ?? '');
  for (const { outingId, name = '' } of outings) await opens(`/outings/${outingId}`, name);
  await opens('/plans', plans[0]?.name ?? '');
  for (const { planId } of plans) {
    await away.goto(`/plans/${planId}`);
    await expect(noSignal(away)).toBeVisible();
    await expect(away.locator('[data-verdict]').first()).toBeVisible();
  }
  await away.goto(`/gear/${gear[0]?.gearId}`);
  await expect(away.getByRole('heading', { name: gear[0]?.name })).toBeVisible();
  await opens('/inspect', 'What waits');
  await opens('/device', 'Opens without a signal');
  // A card is printed with the maker that was fetched meanwhile, in a tab that never had a signal.
  away = await killed(context, away, `/plans/${plans[0]?.planId}`);
  await away.getByRole('tab', { name: 'Record' }).click();
  const card = away.waitForEvent('download');
  await away.getByRole('button', { name: 'Field card, PDF' }).click();
  expect((await card).suggestedFilename()).toMatch(/\.pdf$/);
  await context.setOffline(false);
  await away.goto('/');
  await expect(noSignal(away)).toHaveCount(0);
});

test('a day without a signal: every piece of the kits checked with a photo, the tab killed three times, nothing lost, nothing twice', async ({
  page,
  context,
}) => {
  await takenAlong(page);
  const photo = {
    name: 'found.png',
    mimeType: 'image/png',
    buffer: await page.screenshot({ clip: { x: 0, y: 0, width: 320, height: 200 } }),
  };
  const before = await items(page, 'inspections?limit=500');
  const kits = await items(page, 'kits');
  await context.setOffline(true);
  let bench = page;
  const checked: string[] = [];
  for (const { kitId } of kits.filter(({ name }) => name !== 'Store')) {
    await bench.goto(`/inspect?of=kit:${kitId}&kind=before-use`);
    await bench.getByRole('button', { name: /^Begin/ }).click();
    await bench.locator('[data-progress]').waitFor();
    const address = bench.url();
    const count = Number(/of (\d+) confirmed/.exec((await bench.locator('[data-progress]').textContent()) ?? '')?.[1]);
    for (let at = 0; at < count; at++) {
      // The one before is shown as confirmed for a moment before the next is opened.
      const open = bench.locator('[aria-current="step"]:not([aria-label$=", confirmed"])');
      const tag = (await open.getAttribute('aria-label')) ?? '';
      if (at === Math.floor(count / 2)) {
        // In the midst of a remark the tab is gone; what was typed is there again.
        await bench.getByLabel('Remark').pressSequentially('Mud in the eye, brushed out');
        bench = await killed(context, bench, address);
        await expect(bench.getByLabel('Remark')).toHaveValue('Mud in the eye, brushed out');
      }
      await bench.getByRole('button', { name: /Mark all the rest in order/ }).click();
      await bench.locator('input[type=file]').setInputFiles(photo);
      await expect(bench.getByAltText('What was found, 1')).toBeVisible();
      await bench.getByRole('button', { name: 'Confirm: fit' }).click();
      checked.push(tag);
      const told = at < count - 1 ? bench.locator('[data-progress]') : bench.getByText(/pieces confirmed on/);
      await expect(told).toContainText(`${at + 1} of`);
    }
  }
  expect(checked.length).toBeGreaterThanOrEqual(50);
  expect(new Set(checked).size).toBe(checked.length);
  await bench.goto('/device');
  await expect(noSignal(bench)).toContainText(`${checked.length} not sent`);
  await expect(bench.locator('[data-unsent]')).toHaveCount(checked.length);
  expect((await items(page, 'inspections?limit=500')).length).toBe(before.length);
  await context.setOffline(false);
  bench = await killed(context, bench, '/device', { offline: false });
  await expect(bench.getByText('The server has everything that you confirmed here.')).toBeVisible({ timeout: 120_000 });
  const known = new Set(before.map(({ inspectionId }) => inspectionId));
  const made = (await items(page, 'inspections?limit=500')).filter(({ inspectionId }) => !known.has(inspectionId));
  expect(made.map(({ tag }) => tag).sort()).toEqual([...checked].sort());
  expect(made.filter(({ photos }) => Number(photos) !== 1)).toEqual([]);
});

test('what waits is opened, changed and sent; what the server refuses is told and let go by choice', async ({ page, context }) => {
  await takenAlong(page);
  const tags = (await items(page, 'gear?limit=500')).filter(({ kind }) => kind === 'bow-shackle' || kind === 'steel-shackle');
  const [first, second] = tags.filter(({ state }) => state === 'in-use');
  await context.setOffline(true);
  for (const piece of [first, second]) {
    await page.goto(`/inspect?of=piece:${piece?.gearId}&kind=after-use`);
    await page.getByRole('button', { name: /^Begin/ }).click();
    await page.getByRole('button', { name: /Mark all the rest in order/ }).click();
    await page.getByLabel('Remark').fill('As always');
    await page.getByRole('button', { name: 'Confirm: fit' }).click();
    await expect(page.getByText('1 of 1 pieces confirmed')).toBeVisible();
  }
  await expect(noSignal(page)).toContainText('2 not sent');
  await noSignal(page).getByRole('link', { name: '2 not sent' }).click();
  const rowOf = (tag = '') => page.locator('[data-unsent]').filter({ hasText: tag });
  await rowOf(first?.tag).getByRole('button', { name: 'Change' }).click();
  await page.getByLabel('Remark').fill('Pin was stiff, oiled');
  await page.getByRole('button', { name: 'Confirm: fit' }).click();
  await expect(page.getByText('1 of 1 pieces confirmed')).toBeVisible();
  // Meanwhile somebody retires the other piece.
  const retired = await page.request.post(`/api/v1/gear/${second?.gearId}/retire`, { data: { reason: 'Cracked', destroyed: 'Cut up' } });
  expect(retired.status()).toBe(200);
  await context.setOffline(false);
  await page.goto('/device');
  await expect(rowOf(second?.tag)).toContainText('is retired and is not inspected any more', { timeout: 60_000 });
  await expect(page.locator('[data-signal="there"]')).toContainText('The server refused 1 of what this device sent');
  await expect(rowOf(first?.tag)).toHaveCount(0);
  const [latest] = await items(page, `inspections?gearId=${first?.gearId}`);
  expect((await (await page.request.get(`/api/v1/inspections/${latest?.inspectionId}`)).json()).note).toBe('Pin was stiff, oiled');
  await rowOf(second?.tag).getByRole('button', { name: 'Let go' }).click();
  await expect(rowOf(second?.tag)).toContainText('gone for good');
  await rowOf(second?.tag).getByRole('button', { name: 'Let go all the same' }).click();
  await expect(page.getByText('The server has everything that you confirmed here.')).toBeVisible();
});

test('who signs out leaves nothing of the register on the device', async ({ page }) => {
  await takenAlong(page);
  expect(await keptOn(page)).toEqual(expect.arrayContaining(['wholeRegister', 'allPlans', '/api/v1/kits']));
  await page.goto('/account');
  await page.getByRole('button', { name: 'Sign out', exact: true }).click();
  await expect(page.getByRole('button', { name: /Isla/ })).toBeVisible();
  await expect.poll(() => keptOn(page)).toEqual([]);
  // Answers that were on their way are kept for nobody.
  await page.reload();
  await expect(page.getByRole('button', { name: /Isla/ })).toBeVisible();
  expect((await keptOn(page)).filter((key) => key !== '/api/v1/session')).toEqual([]);
});
