import { expect } from '@playwright/test';
import { test } from './signed-in.ts';

/** As a club keeps it: a title, its own headings and words, a date either way round, a slip, a total. */
const LIST = [
  'Shed at Nettle Cross,,,,,',
  'Label,What it is,Qty,SWL (tonnes),Bought,Last check',
  'NX-1,Bow shackle 19 mm,2,4.75,2021,',
  'NX-2,Thingummy rope,1,3.2,03/2019,05/06/2025',
  'NX-3,"Strap (tree), 60 mm",1,3 tx,Jan-24,',
  ',Recovery boards,1,,,',
  ',Total,5,,,',
].join('\n');

test('a gear list comes in as it is kept: what is open is asked once, a slip mended in place, a guess shown', async ({ page }) => {
  await page.goto('/gear/import');
  await page.getByLabel('Choose a CSV file').setInputFiles({ name: 'shed.csv', mimeType: 'text/csv', buffer: Buffer.from(LIST) });
  await page.getByRole('button', { name: 'The day', exact: true }).click();
  // By keyboard: a few letters of the class, and Enter.
  const what = page.getByRole('combobox', { name: 'What “thingummy rope” is' });
  await what.fill('line ext');
  await page.keyboard.press('Enter');
  await expect(what).toBeHidden();
  const slip = page.getByRole('textbox', { name: 'Mark: WLL, mended' });
  await slip.fill('3 t');
  await slip.press('Enter');
  await expect(slip).toBeHidden();
  await page.getByRole('button', { name: 'class by its words 2' }).click();
  await expect(page.getByText('taken for: Tree strap')).toBeVisible();
  await page.getByRole('button', { name: 'no pieces 1' }).click();
  await expect(page.getByText('A total, not a piece.')).toBeVisible();
  await page.getByRole('button', { name: 'Bring in 5 pieces' }).click();
  await expect(page.getByText('5 new, 0 changed')).toBeVisible();
  await page.goto('/gear?q=NX-2');
  await page.getByRole('link', { name: /NX-2/ }).click();
  await expect(page.getByText('Mar 2019')).toBeVisible();
  await expect(page.getByText('Line extension').first()).toBeVisible();
  // The word is remembered: nobody is asked again.
  await page.goto('/gear/import');
  await page.getByLabel('Choose a CSV file').setInputFiles({
    name: 'again.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('Label,What it is\nNX-9,Thingummy rope\n'),
  });
  await expect(page.getByRole('button', { name: 'Bring in 1 piece' })).toBeEnabled();
});
