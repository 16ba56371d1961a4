import { spawnSync } from 'node:child_process';
import { resolve } from 'node:path';
import { expect, type Page } from '@playwright/test';
import { openPlan } from './open-plan.ts';
import { test } from './signed-in.ts';

/** Judges a case in the page's own worker file, speaking to it as the page does. */
async function judgeInBrowser(page: Page, subject: unknown): Promise<unknown> {
  // It is fetched at leisure where the server has judged the plan.
  await page.waitForFunction(() => performance.getEntriesByType('resource').some(({ name }) => name.includes('solver.worker')));
  return page.evaluate(async (value) => {
    const entry = performance.getEntriesByType('resource').find(({ name }) => name.includes('solver.worker'));
    if (!entry) throw new Error('the page loaded no solver');
    const worker = new Worker(entry.name, { type: 'module' });
    const ask = (id: string, told: readonly unknown[]) =>
      new Promise((done, fail) => {
        worker.onerror = (event) => fail(new Error(event.message));
        worker.onmessage = ({ data }) => data.id === id && done(data.value);
        worker.postMessage({ id, type: 'APPLY', path: [id], argumentList: told.map((entry) => ({ type: 'RAW', value: entry })) });
      });
    await ask('know', ['agreement', value]);
    return ask('judge', ['agreement']);
  }, subject);
}

/** Every difference beyond 1e-9 between two reports. */
function differences(a: unknown, b: unknown, path = ''): string[] {
  if (typeof a === 'number' && typeof b === 'number')
    return Math.abs(a - b) <= 1e-9 * Math.max(1, Math.abs(a), Math.abs(b)) ? [] : [`${path}: ${a} and ${b}`];
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null)
    return a === b ? [] : [`${path}: ${String(a)} and ${String(b)}`];
  const keys = new Set([...Object.keys(a), ...Object.keys(b)]);
  return [...keys].flatMap((key) =>
    differences((a as Record<string, unknown>)[key], (b as Record<string, unknown>)[key], `${path}.${key}`),
  );
}

const CODES: { readonly [verdict: string]: number } = { clear: 0, 'clear-judged': 0, watch: 1, stop: 2 };

const PLANS = [
  'Bog below Tarn Quarry',
  'Plantation ride',
  'Otter at the ford',
  'Badger on the peat track',
  'Beck crossing',
  'Gate below the crag',
];
for (const name of PLANS) {
  test(`browser, server and command line agree on ${name}`, async ({ page, request }) => {
    const planId = await openPlan(page, name);
    const file = await (await request.get(`/api/v1/plans/${planId}/rig-file`)).json();
    const server = (await (await request.get(`/api/v1/plans/${planId}`)).json()).fresh.report;
    const browser = await judgeInBrowser(page, file.case);
    const run = spawnSync(process.execPath, [resolve(import.meta.dirname, '../ops/wainrope.mjs'), 'check', '-', '--json'], {
      input: JSON.stringify(file),
      encoding: 'utf8',
    });
    const cli = JSON.parse(run.stdout);
    expect(run.status).toBe(CODES[server.verdict]);
    expect(cli.findings.map(({ id }: { id: string }) => id)).toEqual(server.findings.map(({ id }: { id: string }) => id));
    expect(cli.weakestPlaceId).toBe(server.weakestPlaceId);
    // The page's worker and the command line say the findings' words as well.
    expect(differences(server, browser)).toEqual([]);
    expect(differences(server, cli)).toEqual([]);
    await expect(page.locator(`[data-verdict="${server.verdict}"]`)).toBeVisible();
  });
}
