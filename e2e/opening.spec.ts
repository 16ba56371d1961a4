import { expect, type Page } from '@playwright/test';
import { test } from './signed-in.ts';

const WORKER = /\/assets\/solver\.worker-[^/]+\.js$/;

const plansOf = async (page: Page) =>
  ((await (await page.request.get('/api/v1/plans')).json()) as { items: { planId: string; name: string }[] }).items;

/** A plan's address, and what the server says of it. */
async function planNamed(page: Page, name: string) {
  const plan = (await plansOf(page)).find((entry) => entry.name.startsWith(name));
  if (!plan) throw new Error(`no plan ${name}`);
  const { fresh } = await (await page.request.get(`/api/v1/plans/${plan.planId}`)).json();
  return { address: `/plans/${plan.planId}`, verdict: fresh.report.verdict as string };
}

test('every plan opens with what the server says of it, with nothing solved on the page', async ({ page }) => {
  const plans = await plansOf(page);
  expect(plans.length).toBeGreaterThan(5);
  await page.route(WORKER, (route) => route.abort());
  for (const { planId, name } of plans) {
    const { fresh } = await (await page.request.get(`/api/v1/plans/${planId}`)).json();
    await page.goto(`/plans/${planId}`);
    await expect(page.locator('[data-verdict]'), name).toHaveAttribute('data-verdict', fresh.report.verdict);
    await expect(page.locator('[data-plan-sheet]'), name).toBeVisible();
  }
});

test('a rig that is touched is judged by the page itself', async ({ page }) => {
  const { address, verdict } = await planNamed(page, 'Bog below');
  let release = () => undefined as unknown;
  const held = new Promise((resolve) => {
    release = () => resolve(undefined);
  });
  await page.route(WORKER, async (route) => {
    await held;
    await route.continue();
  });
  await page.goto(address);
  const strip = page.locator('[data-verdict]');
  await expect(strip).toHaveAttribute('data-verdict', verdict);
  await expect(strip).not.toHaveClass(/opacity-80/);
  await page.getByLabel('Name of the plan').fill('Bog below, once more');
  // Until the page has judged what it is now, what is shown is of a moment ago, and says so.
  await expect(strip).toHaveClass(/opacity-80/);
  release();
  await expect(strip).not.toHaveClass(/opacity-80/);
  await expect(strip).toHaveAttribute('data-verdict', verdict);
});

test('what a page reads is asked for once', async ({ page }) => {
  const { address } = await planNamed(page, 'Bog below');
  const asked: string[] = [];
  page.on('request', (request) => {
    const { pathname } = new URL(request.url());
    if (/^\/api\/v1\/(session|team|gear|plans\/[^/]+)$/.test(pathname)) asked.push(pathname);
  });
  await page.goto(address);
  await expect(page.locator('[data-plan-sheet]')).toBeVisible();
  await expect(page.locator('[data-strand="0"]').first()).toBeAttached();
  expect(asked.sort()).toEqual(['/api/v1/gear', `/api/v1${address}`, '/api/v1/session', '/api/v1/team']);
});

for (const ended of ['nobody is signed in', 'the session has ended'])
  test(`a plan's address leads to the plan after signing in where ${ended}`, async ({ page, context }) => {
    const { address, verdict } = await planNamed(page, 'Bog below');
    const cookies = await context.cookies();
    await page.request.delete('/api/v1/session');
    await context.clearCookies();
    // The browser still brings the cookie of a session that the server knows no more, and is told ahead what it may not read.
    if (ended === 'the session has ended') await context.addCookies(cookies);
    await page.goto(address);
    await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
    await expect(page.locator('[data-verdict]')).toHaveCount(0);
    await page.getByRole('region', { name: 'Demo' }).getByRole('button').first().click();
    await expect(page.locator('[data-verdict]')).toHaveAttribute('data-verdict', verdict);
  });
