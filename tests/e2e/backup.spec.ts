import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { emptyPlan } from '#core/plan';

const PASSPHRASE = 'seven wet herons waiting';

async function download(page: Page): Promise<string> {
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Download a backup file' }).click(),
  ]);
  return file.path();
}
async function makePlan(page: Page, title: string): Promise<{ id: string; revision: number; document: object }> {
  const answer = await page.request.post('/api/v1/plans', { data: { document: emptyPlan(title) } });
  return (await answer.json()) as { id: string; revision: number; document: object };
}
const file = (page: Page) => page.locator('input[type=file]').first();

// One backup is open at a time on a server: opened beside each other, one test would close what the other compares.
test.describe.configure({ mode: 'serial' });

test('a backup file is downloaded under a passphrase, compared, and restored as chosen', async ({ page }) => {
  const lost = await makePlan(page, 'Lost by mistake');
  const edited = await makePlan(page, 'Edited since');
  await page.goto('/settings?group=backup');
  await expect(page.getByText('can be read back:')).toBeVisible();

  // With people it is not made without a passphrase, and what is missing stands at its field.
  await page.getByText('with people, sessions and the journal').click();
  await page.getByRole('button', { name: 'Download a backup file' }).click();
  await expect(page.getByText('A backup with people in it needs a passphrase.')).toBeVisible();
  await page.getByLabel('Passphrase for the file').fill(PASSPHRASE);
  const path = await download(page);
  await expect(page.getByText(/^The backup was downloaded: \d+ KB\.$/)).toBeVisible();
  expect(readFileSync(path).includes('Lost by mistake')).toBe(false);

  await page.request.delete(`/api/v1/plans/${lost.id}`);
  const document = { ...edited.document, title: 'Edited later' };
  await page.request.put(`/api/v1/plans/${edited.id}`, { data: { revision: edited.revision, document } });

  // By keyboard from here on.
  await file(page).setInputFiles(path);
  const passphrase = page.getByLabel(/^Passphrase of/);
  await expect(passphrase).toBeFocused();
  await page.keyboard.type('not the passphrase');
  await page.keyboard.press('Enter');
  await expect(page.getByText('This does not open it')).toBeVisible();
  await passphrase.fill(PASSPHRASE);
  await page.keyboard.press('Enter');
  const table = page.getByRole('table', { name: 'What the backup would change' });
  const row = (title: string) => table.getByRole('row').filter({ hasText: title });
  await expect(row('Edited since')).toContainText('newer here');
  await expect(row('Edited since').getByRole('checkbox')).not.toBeChecked();
  await expect(row('Lost by mistake')).toContainText('not here');
  await expect(row('Lost by mistake').getByRole('checkbox')).toBeChecked();
  // Others may be at work on this server: nothing of theirs is restored.
  const all = table.getByRole('checkbox').first();
  await all.check();
  await all.uncheck();
  await expect(page.getByRole('button', { name: 'Restore', exact: true })).toBeDisabled();
  await row('Lost by mistake').getByRole('checkbox').focus();
  await page.keyboard.press('Space');
  await page.getByRole('button', { name: 'Restore 1 document' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText('1 document was restored.')).toBeVisible();
  await expect(page.getByRole('cell', { name: 'before a restore' }).first()).toBeVisible();
  expect((await page.request.get(`/api/v1/plans/${lost.id}`)).status()).toBe(200);
  const kept = (await (await page.request.get(`/api/v1/plans/${edited.id}`)).json()) as { document: { title: string } };
  expect(kept.document.title).toBe('Edited later');
});

test('a copy is made now, compared, and left again; what is no backup is said to be none', async ({ page }) => {
  await page.goto('/settings?group=backup');
  await page.getByRole('button', { name: 'Make a copy now' }).click();
  await page
    .getByRole('button', { name: /^Compare the copy of/ })
    .first()
    .click();
  await expect(page.getByRole('heading', { name: /^Backup of/ })).toBeVisible();
  await page.getByRole('button', { name: 'Back to all backups' }).click();
  await file(page).setInputFiles({ name: 'diary.zip', mimeType: 'application/zip', buffer: Buffer.from('Dear diary') });
  await expect(page.getByRole('alert')).toHaveText('“diary.zip”: This is no backup of Zovrin.');
});
