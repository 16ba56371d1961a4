import { expect } from '@playwright/test';
import { test } from './signed-in.ts';

test('a near miss is recorded from a plan; the piece it names is out of use at once, and it stands in its life and in the season', async ({
  page,
}) => {
  await page.goto('/plans');
  await page.getByRole('link', { name: /Plantation ride/ }).click();
  await page.getByRole('tab', { name: 'Record' }).click();
  await page.getByRole('link', { name: 'Record an incident or a near miss' }).click();
  const within = page.getByRole('region', { name: 'Pieces that were in it' });
  await expect(within.getByRole('listitem')).not.toHaveCount(0);
  await page.getByRole('button', { name: 'A near miss' }).click();
  await page.getByLabel('What happened').fill('The ring jumped as the line went slack.');
  // A reload in the midst loses nothing.
  await page.reload();
  await expect(page.getByLabel('What happened')).toHaveValue('The ring jumped as the line went slack.');
  const ring = within.getByRole('listitem').filter({ hasText: 'RR-01' });
  await ring.getByLabel('out of use at once').check();
  await page.getByLabel(/^Who was told/).fill('The crew and the owner');
  await page.getByLabel(/^What is changed/).fill('Slack is taken up by hand first.');
  await page.getByRole('button', { name: 'Record it' }).click();
  await expect(page.getByText('Slack is taken up by hand first.')).toBeVisible();
  await page.getByRole('link', { name: /^RR-01/ }).click();
  await expect(page.getByText('Quarantined: must not be planned with')).toBeVisible();
  await expect(page.getByText(/Was in a near miss on/).first()).toBeVisible();
  await page.getByRole('navigation', { name: 'Main' }).getByRole('link', { name: 'Log' }).click();
  await page.getByRole('link', { name: 'Season' }).click();
  await expect(page.getByRole('region', { name: 'Incidents and near misses' })).toContainText('The ring jumped');
});
