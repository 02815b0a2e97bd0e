import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { newPlan, openPlan, rows, saved, storedPlan, total } from './support';

test('an earlier version is looked at beside the plan now, restored as one edit, and undone, with the keyboard', async ({
  page,
  request,
}) => {
  const { id, document } = await newPlan(request, 'yin', { title: 'As it was made' });
  await openPlan(page, id);
  await rows(page).nth(1).click();
  await page.keyboard.press('Delete');
  await expect(rows(page)).toHaveCount(document.steps.length - 1);
  await saved(page);
  const shorter = await total(page).innerText();
  await page.getByRole('link', { name: 'Versions', exact: true }).click();
  const versions = page.getByRole('listbox', { name: 'Versions' }).getByRole('option');
  await expect(versions).toHaveCount(2);
  await expect(versions.first()).toContainText(`Removed ${document.steps[1]!.name}`);
  await expect(page.getByRole('region', { name: 'Selected version' })).toContainText('Created');
  await versions.nth(1).focus();
  await page.keyboard.press('ArrowUp');
  await expect(page.getByRole('button', { name: 'Restore this version' })).toBeDisabled();
  await page.keyboard.press('End');
  // It can be pressed once that version has been read.
  const restore = page.getByRole('button', { name: 'Restore this version' });
  await expect(restore).toBeEnabled();
  await restore.press('Enter');
  await expect(page.getByRole('status').filter({ hasText: 'Undo brings back' })).toBeVisible();
  await expect.poll(async () => (await storedPlan(request, id)).document).toEqual(document);
  await page.keyboard.press('Control+z');
  await expect.poll(async () => (await storedPlan(request, id)).document.steps.length).toBe(document.steps.length - 1);
  await page.getByRole('link', { name: 'As it was made' }).click();
  await expect(total(page)).toHaveText(shorter);
});

test('sessions and what was practised can be downloaded as tables, and nobody is named in them', async ({
  page,
  request,
}) => {
  const { items } = (await (await request.get('/api/v1/people')).json()) as { items: { document: { name: string } }[] };
  async function taken(): Promise<{ name: string; text: string }> {
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Download as a table' }).click();
    const file = await download;
    return { name: file.suggestedFilename(), text: readFileSync(await file.path(), 'utf8') };
  }
  await page.goto('/history');
  await expect(page.getByRole('table', { name: 'Sessions' })).toBeVisible();
  const sessions = await taken();
  expect(sessions.name).toBe('Sessions.csv');
  expect(sessions.text).toMatch(/^began,session,kind,seconds,longer than planned\r\n\d{4}-\d\d-\d\dT\d\d:\d\d,/);
  const rows = await page.getByRole('table', { name: 'Sessions' }).getByRole('row').count();
  expect(sessions.text.trimEnd().split('\r\n')).toHaveLength(rows);
  await page.goto('/history/trends');
  const practised = await taken();
  expect(practised.text).toMatch(/^began,session,kind,practised,side,/);
  expect(practised.text).toMatch(/,Head to knee[^\r\n]*,left,\d/);
  for (const { document } of items) {
    expect(sessions.text).not.toContain(document.name);
    expect(practised.text).not.toContain(document.name);
  }
});
