import { expect } from '@playwright/test';
import { test } from './signed-in.ts';

const ROWS = 1_000_000;
const PEAK_AT = 654_321;
const PEAK_N = 17_250;

/** A million readings at 1 kHz, one of them the largest. */
function million(): Buffer {
  const rows = Array.from({ length: ROWS }, (_, row) => {
    const tension = row === PEAK_AT ? PEAK_N : Math.round(9000 + 4000 * Math.sin(row / 700));
    return `${(row / 1000).toFixed(3)},${tension}`;
  });
  return Buffer.from(`time_s,tension_N\n${rows.join('\n')}\n`);
}

test('a recorder’s file of a million rows is stopped once, then brought in; its chart has the peak of the file', async ({ page }) => {
  await page.goto('/plans');
  await page.getByRole('link', { name: /Plantation ride/ }).click();
  await page.getByRole('tab', { name: 'Record' }).click();
  const section = page.getByRole('region', { name: 'A recorder’s file' });
  await section.getByRole('button', { name: 'Bring in a recorder’s file' }).click();
  await section.getByLabel(/^The file/).setInputFiles({ name: 'million.csv', mimeType: 'text/csv', buffer: million() });
  await section.getByRole('button', { name: 'Bring it in' }).click();
  await section.getByRole('button', { name: 'Stop' }).click();
  await expect(section.getByRole('alert')).toContainText('Reading million.csv: stopped. Nothing was saved.');
  await section.getByRole('button', { name: 'Bring it in' }).click();
  await expect(section.getByRole('progressbar')).toBeVisible();
  await section.getByRole('link', { name: 'See it' }).click({ timeout: 120_000 });
  await expect(page.getByText('1,000,000 readings over 16 min 40 s')).toBeVisible();
  const chart = page.getByRole('figure', { name: /Line tension over time, million/ });
  await expect(chart.locator('.annotation-text').filter({ hasText: 'peak 17.3 kN' })).toBeVisible();
  const saving = page.waitForEvent('download');
  await chart.getByRole('button', { name: /^CSV/ }).click();
  const { createReadStream } = await import('node:fs');
  const lines = [];
  for await (const part of createReadStream(await (await saving).path(), 'utf8')) lines.push(part);
  const largest = Math.max(
    ...lines
      .join('')
      .trim()
      .split('\n')
      .slice(1)
      .map((row) => Number(row.split(',')[2])),
  );
  expect(largest).toBe(PEAK_N);
  const series = page.url().split('/').at(-1);
  const view = await (await page.request.get(`/api/v1/series/${series}`)).json();
  expect(view.found.peakS).toBeCloseTo(PEAK_AT / 1000, 9);
  const file = await (await page.request.get(`/api/v1/series/${series}/file`)).body();
  expect(file.equals(million())).toBe(true);
});
