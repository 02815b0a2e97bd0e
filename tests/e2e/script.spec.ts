import { expect, test } from '@playwright/test';
import { missingOnPaper, onPaper } from '../support/paper';
import { newPlan, openPlan, passMs, saved } from './support';

test('a text to read aloud is written, corrected, and shown on the stage and on the cue sheet', async ({
  page,
  request,
}) => {
  const name = `Estuary scan ${test.info().retry}-${test.info().repeatEachIndex}`;
  await page.goto('/library/breath/counting-down');
  await page.getByRole('button', { name: 'Make a copy' }).click();
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill(name);
  const text = page.getByRole('textbox', { name: /^One line for each thing you say/ });
  await expect(text).toHaveValue(/^Let the breath come as it likes\./);
  await text.fill(`Hear the water.\n\n${'mud '.repeat(70)}`);
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('A line to read aloud has at most 240 characters.')).toBeVisible();
  await text.fill('Hear the water.\n\nHear the reeds.');
  await page.keyboard.press('Control+s');
  await expect(page.getByRole('button', { name: 'Change', exact: true })).toBeVisible();
  const reads = page.getByRole('listitem').filter({ hasText: /Hear the (water|reeds)\./ });
  await expect(reads).toHaveText([/^0:00 Hear the water\./, /^\d:\d\d Hear the reeds\./]);

  const { id } = await newPlan(request, 'yin', { title: `Scanned ${name}`, steps: [] });
  await page.getByRole('button', { name: 'Add to a plan' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('combobox', { name: 'Plan' }).click();
  await page.getByRole('option', { name: `Scanned ${name}` }).click();
  await dialog.getByRole('button', { name: 'Add and open the plan' }).click();
  await expect(page.getByRole('listbox', { name: 'Steps' }).getByRole('option')).toHaveCount(1);
  await saved(page);
  await page.getByRole('link', { name: 'Cue sheet' }).click();
  const sheet = page.getByRole('tabpanel', { name: 'Cue sheet' });
  await expect(sheet).toContainText(`1. ${name}`);
  await expect(sheet.getByRole('listitem').filter({ hasText: 'Hear the water.' }).last()).toContainText('0:08');

  await page.clock.install({ time: new Date('2026-11-26T18:00:00Z') });
  await page.goto(`/teach/${id}`);
  await expect(page.getByRole('button', { name: 'Begin' }).first()).toBeVisible();
  await page.clock.pauseAt(new Date('2026-11-26T18:01:00Z'));
  await page.keyboard.press('Space');
  // While it is set up, how it is taught; then what is read aloud, and what comes next.
  await expect(page.locator('.prompt')).not.toBeEmpty();
  await passMs(page, 9000);
  await expect(page.locator('.says')).toHaveText('Hear the water.');
  await passMs(page, 20_000);
  await expect(page.locator('.says')).toHaveCount(0);
});

test('the cue sheet says every line of a plan in its time, and prints on paper without cutting a step', async ({
  page,
  request,
}) => {
  const { id } = await newPlan(request, 'restorative', { title: 'Cues to print', startsAt: '2026-12-03T18:30' });
  await page.goto(`/plans/${id}/cues`);
  const sheet = page.getByRole('tabpanel', { name: 'Cue sheet' });
  await expect(sheet.getByRole('heading', { name: 'Cue sheet: Cues to print' })).toBeVisible();
  const steps = sheet.locator('.steps > li');
  await expect(steps).toHaveCount(11);
  await expect(steps.first()).toContainText(/0:00\s*1\. Arrive/);
  await expect(steps.first()).toContainText(/6:30\sPM|18:30/);
  const twist = steps.nth(2);
  await expect(twist).toContainText('First the left: the knees lie to the left.');
  const lines = await twist.getByRole('listitem').allInnerTexts();
  expect(lines.findIndex((line) => line.includes('Change sides.'))).toBeGreaterThan(2);
  expect(lines.some((line) => line.includes('The right: the knees lie to the right.'))).toBe(true);
  const sheets = await onPaper(page, { format: 'A4' });
  expect(sheets.length).toBeGreaterThan(0);
  expect(await missingOnPaper(page, sheets)).toEqual([]);
});

test('a plan without steps has an empty cue sheet, with a way to its first step', async ({ page, request }) => {
  const { id } = await newPlan(request, 'yin', { title: 'Nothing to say yet', steps: [] });
  await page.goto(`/plans/${id}/cues`);
  await page.getByRole('link', { name: 'Add the first one' }).click();
  await expect(page).toHaveURL(new RegExp(`/plans/${id}$`));
  await openPlan(page, id);
});
