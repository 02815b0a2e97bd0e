import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { newPlan, openPlan, rowNames, rows, saved, storedPlan, savePlan } from './support';

const cards = (page: Page) => page.getByRole('list', { name: 'Positions' }).getByRole('link');
const field = (page: Page, name: string) => page.getByRole('textbox', { name, exact: true });
const figure = (page: Page) => page.getByRole('img', { name: /, as it is now$/ });
/** A short mark of what is drawn, the same for the same drawing. */
const drawing = async (page: Page): Promise<string> =>
  createHash('md5')
    .update(await figure(page).innerHTML())
    .digest('hex');

async function copyOfHeadToKnee(page: Page, name: string): Promise<string> {
  await page.goto('/library/head-to-knee');
  await page.getByRole('button', { name: 'Make a copy' }).click();
  await field(page, 'Name').fill(name);
  await page.keyboard.press('Control+s');
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Change', exact: true })).toBeVisible();
  return page.url().split('/').at(-1)!;
}

test('from nothing: what is missing is told at its field, nothing is stored, and a reload keeps what was typed', async ({
  page,
  request,
}) => {
  await page.goto('/library');
  await page.getByRole('button', { name: 'New entry' }).click();
  await page.getByRole('menuitem', { name: 'A position' }).click();
  await field(page, 'What it aims at').fill('Quiet after the tide tables');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Not saved: 3 fields need correcting.')).toBeVisible();
  await expect(page.getByText('A name is needed.')).toBeVisible();
  await expect(page.getByText('Name at least one area of the body.')).toBeVisible();
  await expect(field(page, 'Name')).toBeFocused();
  const aims = async () =>
    (await (await request.get('/api/v1/entries')).json()).items.map(
      ({ document }: { document: { entry: { aims?: string } } }) => document.entry.aims,
    );
  expect(await aims()).not.toContain('Quiet after the tide tables');
  await page.reload();
  await expect(field(page, 'What it aims at')).toHaveValue('Quiet after the tide tables');
  await page.goto('/library');
  await expect(page.getByText('Not saved yet:')).toBeVisible();
  await page.getByRole('link', { name: 'untitled' }).first().click();
  await field(page, 'Name').fill('Harbour rest');
  await page.keyboard.press('Tab');
  await expect(field(page, 'Short name, for the ribbon')).toHaveValue('Harbour rest');
  await page.getByRole('group', { name: 'Works on' }).getByRole('button', { name: 'low back' }).click();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('button', { name: 'Change', exact: true })).toBeVisible();
  await expect(page.getByRole('heading', { level: 1, name: 'Harbour rest' })).toBeVisible();
  expect(await aims()).toContain('Quiet after the tide tables');
  await page.goto('/library?search=harbour rest');
  await expect(cards(page).filter({ hasText: 'yours' })).toHaveCount(1);
});

/** The drawing once it is the same twice: while something moves it is drawn coarsely first. */
async function drawingAtRest(page: Page): Promise<string> {
  let last = '';
  const isSame = async (): Promise<boolean> => {
    const before = last;
    last = await drawing(page);
    return last === before;
  };
  await expect.poll(isSame, { intervals: [800] }).toBe(true);
  return last;
}

test('a range upside down and an angle past the joint are told at the field; joints move the figure and are undone', async ({
  page,
}) => {
  await page.goto('/library/last-rest');
  await page.getByRole('button', { name: 'Make a copy' }).click();
  const yin = page.getByRole('listitem').filter({ hasText: 'Yin' });
  await yin.getByLabel('from').fill('40:00');
  await page.keyboard.press('Tab');
  await expect(page.getByText('The longest is shorter than the shortest.')).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByText('The longest is shorter than the shortest.')).toHaveCount(0);

  await expect(figure(page).locator('path')).not.toHaveCount(0);
  await page.getByRole('button', { name: 'Set its joints' }).click();
  const knee = field(page, 'Knee, bend, degrees');
  await knee.fill('190');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Knee, bend goes from -2° to 172°, not to 190°.')).toBeVisible();
  await expect(knee).toHaveValue('190');
  const before = await drawing(page);
  await field(page, 'Hip, lift, degrees').fill('80');
  await page.keyboard.press('Enter');
  await expect.poll(() => drawing(page)).not.toBe(before);
  const lifted = await drawingAtRest(page);
  await page.getByRole('slider', { name: 'Knee, bend' }).focus();
  await page.keyboard.press('End');
  await expect(knee).toHaveValue('172');
  await expect.poll(() => drawing(page)).not.toBe(lifted);
  await page.keyboard.press('Control+z');
  await expect.poll(() => drawing(page)).toBe(lifted);
  await page.getByRole('checkbox', { name: 'the legs' }).check();
  await expect.poll(() => drawing(page)).not.toBe(lifted);
});

test('an own entry is used everywhere like the others: picked, drawn, taught, and exported with its plan', async ({
  page,
  request,
}) => {
  const name = `Quay fold ${Date.now()}`;
  const id = await copyOfHeadToKnee(page, name);
  await page.getByRole('button', { name: 'Change', exact: true }).click();
  await page.getByRole('button', { name: 'Add a prop' }).click();
  await page.getByRole('textbox', { name: 'Why, blanket' }).last().fill('soft under the head');
  await field(page, 'Getting in').last().fill('0:44');
  await page.keyboard.press('Control+s');
  await expect(page.getByText('blanket, basic fold, crosswise, under the head: soft under the head')).toBeVisible();

  const plan = await newPlan(request, 'yin');
  await openPlan(page, plan.id);
  await rows(page).last().click();
  await page.keyboard.press('a');
  await page.keyboard.type(name);
  const options = page.getByRole('listbox', { name: /Option List/i }).getByRole('option');
  await expect(options.first()).toContainText('yours');
  await expect(options.first().locator('svg path')).not.toHaveCount(0);
  await page.keyboard.press('Enter');
  await expect.poll(() => rowNames(page)).toContain(name);
  await saved(page);
  await expect(page.getByRole('img', { name, exact: true }).locator('path')).not.toHaveCount(0);
  const step = (await storedPlan(request, plan.id)).document.steps.find((one) => one.name === name)!;
  expect(step).toMatchObject({ kind: 'hold', position: id });

  const download = page.waitForEvent('download');
  await savePlan(page);
  const path = await (await download).path();
  const file = JSON.parse(readFileSync(path, 'utf8'));
  expect(file.entries.map(({ entry }: { entry: { id: string } }) => entry.id)).toEqual([id]);
  expect(file.steps.find((one: { name: string }) => one.name === name).enterSeconds).toBe(44);

  // And it is led like any other.
  const lone = await newPlan(request, 'yin', { steps: [{ ...step, setupSeconds: 0, enterSeconds: 0 }] as never });
  await page.goto(`/teach/${lone.id}`);
  await page.getByRole('button', { name: /Begin/ }).first().click();
  await expect(page.locator('svg.figure-view').first()).toBeVisible();
  await expect(page.locator('svg.figure-view path')).not.toHaveCount(0);
});

test('deleted, it stays where it is used; it comes back from the file of a plan and from the bin', async ({
  page,
  request,
}) => {
  const name = `Ebb fold ${Date.now()}`;
  const id = await copyOfHeadToKnee(page, name);
  const { document } = await newPlan(request, 'yin');
  const usual = document.steps.find((step) => step.kind === 'hold' && step.position === 'head-to-knee')!;
  const plan = await newPlan(request, 'yin', { steps: [{ ...usual, name, position: id }] as never });
  await openPlan(page, plan.id);
  const download = page.waitForEvent('download');
  await savePlan(page);
  const path = await (await download).path();
  const file = JSON.parse(readFileSync(path, 'utf8'));

  // It stands where it is used, and after it is deleted the plan goes on as it was.
  await page.goto(`/library/${id}`);
  await expect(page.getByRole('link', { name: plan.document.title }).first()).toBeVisible();
  await page.getByRole('button', { name: 'Delete' }).click();
  await expect(page.getByText('is in the bin. Plans that use it stay as they are.')).toBeVisible();
  await page.goto(`/library?search=${encodeURIComponent(name)}`);
  await expect(cards(page)).toHaveCount(0);
  await openPlan(page, plan.id);
  await rows(page).filter({ hasText: name }).click();
  await expect(page.getByRole('img', { name, exact: true }).locator('path')).not.toHaveCount(0);
  await expect(page.getByText('not in your library')).toHaveCount(0);

  // From the file it comes back as it was, for somebody else as for us; a wrong one is refused with its field.
  await page.goto('/');
  await page.getByRole('button', { name: 'New plan' }).click();
  const broken = { ...file, entries: [{ ...file.entries[0], entry: { ...file.entries[0].entry, areas: [] } }] };
  const chooser = page.locator('input[type=file][aria-label="Open a plan file"]');
  await chooser.setInputFiles({
    name: 'broken.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(broken)),
  });
  await expect(page.getByText('entries.0.entry.areas: Name at least one area of the body.')).toBeVisible();
  await chooser.setInputFiles(path);
  await expect(page).toHaveURL(/\/plans\//);
  await expect.poll(() => rowNames(page)).toContain(name);

  // The bin gives it back.
  await page.goto('/bin');
  await page.getByRole('button', { name: `Restore ${name}` }).click();
  await page.goto(`/library?search=${encodeURIComponent(name)}`);
  await expect(cards(page)).toHaveCount(1);
});

test('two windows that change one entry: both versions are kept', async ({ page, request }) => {
  const name = `Ferry fold ${Date.now()}`;
  const id = await copyOfHeadToKnee(page, name);
  await page.getByRole('button', { name: 'Change', exact: true }).click();
  await field(page, 'What it aims at').fill('Mine');
  const { items: entries } = await (await request.get('/api/v1/entries')).json();
  const stored = entries.find((one: { id: string }) => one.id === id);
  stored.document.entry.aims = 'Theirs';
  const answer = await request.put(`/api/v1/entries/${id}`, {
    data: { revision: stored.revision, document: stored.document },
  });
  expect(answer.status()).toBe(200);
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('dialog', { name: 'This entry was changed in two windows' })).toBeVisible();
  await page.getByRole('button', { name: 'Keep this version' }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(page.getByRole('status').filter({ hasText: /^Saved/ })).toBeVisible();
  await page.goto(`/library?search=${encodeURIComponent(name)}`);
  await expect(cards(page)).toHaveCount(2);
  await expect(cards(page).filter({ hasText: '(other version)' })).toHaveCount(1);
  await page.goto(`/library/${id}`);
  await expect(page.getByText('Mine', { exact: true })).toBeVisible();
});

test('a breath technique of one’s own, with its counts; what ships can only be copied', async ({ page }) => {
  const name = `Lock breath ${Date.now()}`;
  await page.goto('/library/breath/equal-breath');
  await expect(page.getByRole('button', { name: 'Change', exact: true })).toHaveCount(0);
  await page.getByRole('button', { name: 'Make a copy' }).click();
  await field(page, 'Name').fill(name);
  await field(page, 'in').fill('0');
  await page.keyboard.press('Enter');
  await expect(page.getByText('A cycle needs an in-breath of at least one count.')).toBeVisible();
  await field(page, 'in').fill('6');
  await page.keyboard.press('Enter');
  await field(page, 'What one round is').fill(' ');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('A description of one round is needed.')).toBeVisible();
  await field(page, 'What one round is').fill('1 round = 1 cycle, in and out alike');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('button', { name: 'Change', exact: true })).toBeVisible();
  await page.goto(`/library?search=${encodeURIComponent(name)}`);
  await expect(page.getByRole('link', { name: new RegExp(name) })).toContainText('yours');
  await page.goto('/library/equal-breath/edit');
  await expect(page.getByText('Entries that come with Zovrin cannot be changed')).toBeVisible();
});
