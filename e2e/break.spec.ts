import { expect, type Page } from '@playwright/test';
import { energy, formatFigure } from '@wainrope/core';
import { choose } from './choose.ts';
import { commandLine } from './command-line.ts';
import { axeFaults } from './faults-of-a-page.ts';
import { openPlan } from './open-plan.ts';
import { test } from './signed-in.ts';

const broken = (page: Page) => page.getByRole('region', { name: 'If it lets go' });

test('the strap is broken: what leaves with how much, what makes it milder, and the same at another metre', async ({ page }) => {
  const planId = await openPlan(page, 'Bog below');
  const { report } = await commandLine(page.request, planId);
  await page.getByRole('button', { name: /^Break it/ }).click();
  const panel = broken(page);
  await expect(panel).toHaveAttribute('data-let-go', 'tree-strap');
  await expect(panel).toContainText(formatFigure(energy(report.breaks[0].energyJ)));
  await expect(panel.locator('[data-leaves]')).toContainText('TS-03 + SS-01 + RR-01');
  await expect(page.locator('[data-flight]')).toHaveCount(1);
  await expect(panel).toContainText('No damper drags one leg to the ground.');
  // What is touched lets go.
  await page.getByRole('button', { name: /^RR-01 Ring 100 mm/ }).click();
  await expect(panel).toHaveAttribute('data-let-go', 'pulley');
  await expect(panel.locator('[data-leaves]')).not.toContainText('TS-03');
  await choose(page, panel.getByRole('combobox', { name: 'What lets go' }), 'The brake of W-01');
  await expect(panel).toContainText('The drum runs and the line goes out');
  await expect(page.locator('[data-flight]')).toHaveCount(0);
  await page
    .getByRole('button', { name: /^TS-03 Tree strap/ })
    .first()
    .click();
  await expect(panel).toHaveAttribute('data-let-go', 'tree-strap');
  const greatest = await panel.locator('[data-let-go-sum]').textContent();
  await panel.getByRole('button', { name: 'as planned' }).click();
  await expect(panel.locator('[data-let-go-sum]')).not.toHaveText(greatest ?? '');
  await expect(page).toHaveURL(/check=planned/);
  // At a moment that is played.
  await page.getByRole('button', { name: 'Play the pull' }).click();
  await page.getByRole('slider', { name: 'How far the pull has gone' }).focus();
  await page.keyboard.press('End');
  await expect(panel).toHaveAttribute('data-let-go-at', '7.00');
  await page.getByRole('button', { name: 'Stop playing, back to the start' }).click();
  await expect(panel).toHaveAttribute('data-let-go-at', '0.00');
  expect(await axeFaults(page)).toEqual([]);
  await panel.getByRole('button', { name: 'Hang a damper on the bare leg' }).click();
  await expect(panel).toContainText(/Every leg of 3\.0\sm or more has its damper\./);
  await panel.getByRole('button', { name: 'Tie a lanyard to RR-01' }).click();
  await expect(panel.getByText(/^Lanyard LY-01/)).toBeVisible();
  await panel.getByRole('button', { name: 'Back to the findings' }).click();
  await expect(panel).toHaveCount(0);
});

test('who stands in the way is named, the cab told as one, and ringed without it', async ({ page }) => {
  await openPlan(page, 'Beck crossing, one tied back');
  await page.getByRole('button', { name: /^RR-01 / }).click();
  await page.getByRole('button', { name: /^Break it/ }).click();
  const way = broken(page).locator('[data-in-the-way]');
  await expect(way).toContainText('Isla Wrenfell');
  await expect(way).toContainText('in a cab or behind a shelter');
  await expect(page.locator('[data-endangered]')).toHaveCount(0);
  await page.getByRole('tab', { name: 'Outline' }).click();
  await page.getByRole('button', { name: /^Isla Wrenfell/ }).click();
  await page.getByLabel('In the cab of').click();
  await page.getByRole('option', { name: 'nobody’s: outside' }).click();
  await page.getByRole('tab', { name: /^Findings/ }).click();
  await expect(page.locator('[data-endangered="isla"]')).toHaveCount(1);
  await expect(way).not.toContainText('in a cab or behind a shelter');
  await broken(page).getByRole('button', { name: 'Move Isla Wrenfell to a safe place' }).click();
  await expect(page.locator('[data-endangered]')).toHaveCount(0);
});
