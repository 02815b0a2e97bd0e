import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { demoPeople } from '#library/demo';

const dialog = (page: Page) => page.getByRole('dialog');
const written = (page: Page) => dialog(page).getByRole('region', { name: 'What is written' });
async function saved(page: Page): Promise<{ name: string; text: string }> {
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    dialog(page).getByRole('button', { name: 'Download', exact: true }).click(),
  ]);
  return { name: file.suggestedFilename(), text: readFileSync(await file.path(), 'utf8') };
}
const pick = (page: Page, form: string) => dialog(page).getByRole('radio', { name: form, exact: true }).check();
const open = async (page: Page, path: string, button = 'Share'): Promise<void> => {
  await page.goto(path);
  await page.getByRole('button', { name: button, exact: true }).click();
  await expect(dialog(page)).toBeVisible();
};

test('a session in words, as a table, and its plan; nobody who was there is in any of them', async ({ page }) => {
  await open(page, '/history/demo-run-nurses');
  await expect(written(page)).toContainText('Step by step');
  const texts: string[] = [(await saved(page)).text];
  await pick(page, 'Table');
  await expect(written(page)).toContainText('step,name,part,planned seconds');
  texts.push((await saved(page)).text);
  await pick(page, 'Its plan');
  const plan = await saved(page);
  expect(plan.name).toMatch(/^Before-the-night-shift-.*\.zovrin\.json$/);
  expect(JSON.parse(plan.text)).toMatchObject({ format: 'zovrin-plan', title: 'Before the night shift' });
  texts.push(plan.text);
  for (const { id, person } of demoPeople) {
    for (const text of texts) expect([text.includes(person.name), text.includes(id)]).toEqual([false, false]);
  }
});

test('a library entry in words and as a file that comes back, a place likewise', async ({ page }) => {
  await open(page, '/library/head-to-knee');
  expect(JSON.parse((await saved(page)).text)).toMatchObject({ format: 'zovrin-entry', kind: 'position' });
  await pick(page, 'In words');
  await expect(written(page)).toContainText('Getting in');
  await open(page, '/library/breath/belly-strokes');
  await pick(page, 'In words');
  await expect(written(page)).toContainText('One round:');

  await open(page, '/places/demo-low-room');
  const place = await saved(page);
  await pick(page, 'Cupboard as a table');
  await expect(written(page)).toContainText('kind,pieces');
  await pick(page, 'In words');
  await expect(written(page)).toContainText('26 blocks');
  await page.keyboard.press('Escape');
  await page.goto('/import');
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: place.name, mimeType: 'application/json', buffer: Buffer.from(place.text) });
  await expect(page.getByText('A place: “Wrackline Hall, low room”')).toBeVisible();
});

test('what is kept of a person is handed to them in words or as a file, and it is said what is in it', async ({
  page,
}) => {
  await open(page, '/people/demo-ines', 'Share their data');
  await expect(dialog(page).getByText(/^Health notes are in it.*Give it only to Ines Harrowgate/)).toBeVisible();
  await expect(written(page)).toContainText('Ines Harrowgate');
  await expect(written(page)).toContainText('Classes');
  await pick(page, 'Their data');
  const file = await saved(page);
  expect(JSON.parse(file.text)).toMatchObject({ format: 'zovrin-person-file', person: { name: 'Ines Harrowgate' } });
});
