import { randomUUID } from 'node:crypto';
import { expect } from '@playwright/test';
import { test } from './signed-in.ts';

const TODAY = '2026-01-15';

test('a reading that is out of its way is asked about at the bench; one that wears moves the due day, and the board says why', async ({
  page,
}) => {
  const { items } = await (await page.request.get('/api/v1/inspection-sheets')).json();
  const { sheet, version } = items.find(({ kind }: { kind: string }) => kind === 'steel-shackle');
  const points = Object.fromEntries(sheet.points.map(({ id }: { id: string }) => [id, 'ok']));
  const [bow] = sheet.measures;
  const gearId = randomUUID();
  const post = async (path: string, data: object) => expect((await page.request.post(`/api/v1/${path}`, { data })).status()).toBe(201);
  const shackle = { tag: 'SH-77', kind: 'steel-shackle', name: 'Wearing shackle', state: 'in-use', overloadsSinceInspection: 0 };
  await post('gear', { gearId, ...shackle, marks: [{ asWritten: 'WLL 4.75 t', source: 'stamped' }], attributes: { bowDiameterM: 0.02 } });
  for (const [on, value] of [
    ['2025-07-15', 0.02],
    ['2025-10-15', 0.0195],
  ] as const)
    await post('inspections', {
      inspectionId: randomUUID(),
      gearId,
      kind: 'calendar',
      on,
      sheetVersion: version,
      answers: { points, measures: { [bow.id]: { value } }, notes: {} },
      grade: 'A',
      nextDue: '2026-12-01',
    });
  await page.goto(`/inspect?of=piece:${gearId}`);
  await page.getByRole('button', { name: 'Begin' }).click();
  await page.getByRole('button', { name: /Mark all the rest in order/ }).click();
  const measured = page.getByLabel(`Measured: ${bow.label}`);
  await measured.fill('19.95');
  await expect(
    page.getByText('Better than last time, when it was 19.5 mm. Nothing grows back: was it measured at the same spot?'),
  ).toBeVisible();
  await measured.fill('19');
  await expect(page.getByText('Better than last time')).toHaveCount(0);
  await page.getByRole('button', { name: /^Confirm grade/ }).click();
  await expect(page.getByText('1 of 1 pieces confirmed')).toBeVisible();
  await expect
    .poll(async () => (await (await page.request.get(`/api/v1/gear/${gearId}`)).json()).inspection.on, { timeout: 20_000 })
    .toBe(TODAY);
  // 1 mm in 184 days; 1 mm is left.
  await page.goto(`/gear/${gearId}`);
  await expect(
    page.getByText(/brought forward by wear \(“Bow diameter where worn most”, forecast to meet its limit on Jul /),
  ).toBeVisible();
  const wear = page.getByRole('region', { name: 'Wear' });
  await expect(wear.locator('.annotation-text').filter({ hasText: 'limit 18 mm' })).toBeVisible();
  await wear.getByRole('button', { name: 'As a table' }).click();
  await expect(wear.getByRole('row').filter({ hasText: 'measured' })).toHaveCount(3);
  await page.goto('/due');
  await expect(
    page
      .getByRole('row')
      .filter({ hasText: 'SH-77' })
      .or(page.getByRole('listitem').filter({ hasText: 'SH-77' }))
      .first(),
  ).toContainText('brought forward by wear');
});
