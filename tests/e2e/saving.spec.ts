import { expect, test, type Page } from '@playwright/test';
import { newPerson } from '#core/people';
import { PEOPLE } from '#api';
import { newPlan, openPlan, rowNames, rows, saved, storedPlan, total, savePlan } from './support';

const lengthen = async (page: Page, row: number, time: string): Promise<void> => {
  await rows(page).nth(row).click();
  await page.getByLabel('Both sides', { exact: true }).fill(time);
  await page.keyboard.press('Enter');
};

test('two tabs: the one without edits follows; two edits at once are shown and both kept', async ({
  page,
  context,
  request,
}) => {
  const { id } = await newPlan(request, 'restorative', { title: 'Two tabs' });
  await openPlan(page, id);
  const other = await context.newPage();
  await openPlan(other, id);
  await lengthen(page, 1, '7:00');
  await expect(total(other)).toContainText('60:41');

  for (const tab of [page, other]) {
    await tab.route('**/api/v1/plans/*', (route) =>
      route.request().method() === 'PUT' ? route.abort() : route.continue(),
    );
  }
  await lengthen(page, 1, '8:00');
  await lengthen(other, 1, '9:00');
  await expect(other.getByRole('status').filter({ hasText: 'Not saved yet' })).toBeVisible();
  // The line of the first is back before that of the second.
  await page.unrouteAll();
  await saved(page);
  await other.unrouteAll();
  const dialog = other.getByRole('dialog', { name: 'This plan was changed in two windows' });
  await expect(dialog).toBeVisible();
  await expect(dialog).toContainText('62:41');
  await dialog.getByRole('button', { name: 'Keep this version' }).click();
  await expect(dialog).toBeHidden();
  await saved(other);
  expect((await storedPlan(request, id)).document.steps[1]).toMatchObject({ sides: { seconds: 540 } });
  const listed = await (await request.get('/api/v1/plans?search=two+tabs+other+version')).json();
  expect(listed.items).toHaveLength(1);
  const { document } = await storedPlan(request, listed.items[0].id);
  expect(document.steps[1]).toMatchObject({ sides: { seconds: 480 } });
});

test('a lost connection: the edit is kept, survives a reload, and is sent', async ({ page, request }) => {
  const { id } = await newPlan(request, 'restorative');
  await openPlan(page, id);
  await page.route('**/api/v1/plans/*', (route) =>
    route.request().method() === 'PUT' ? route.abort() : route.continue(),
  );
  await lengthen(page, 1, '7:00');
  await expect(page.getByRole('status').filter({ hasText: 'Your change is kept here and sent again' })).toBeVisible();
  expect((await storedPlan(request, id)).revision).toBe(1);
  await page.reload();
  await expect(total(page)).toContainText('60:41');
  await page.unrouteAll();
  await saved(page);
  expect((await storedPlan(request, id)).document.steps[1]).toMatchObject({ sides: { seconds: 420 } });
});

test('a busy database or a full disk: a clear message, and the edit is sent again', async ({ page, request }) => {
  const { id } = await newPlan(request, 'restorative');
  await openPlan(page, id);
  let refusals = 2;
  await page.route('**/api/v1/plans/*', (route) => {
    if (route.request().method() !== 'PUT' || refusals-- <= 0) return route.continue();
    const detail = 'The disk is full or cannot be written. Make room, then send this again.';
    return route.fulfill({
      status: 507,
      contentType: 'application/problem+json',
      body: JSON.stringify({ type: 'about:blank', title: 'Disk full', status: 507, detail }),
    });
  });
  await lengthen(page, 1, '7:00');
  await expect(page.getByRole('status').filter({ hasText: 'The disk is full' })).toBeVisible();
  await expect(total(page)).toContainText('60:41');
  await expect.poll(async () => (await storedPlan(request, id)).revision).toBe(2);
});

test('a save whose answer was lost is no conflict with oneself', async ({ page, request }) => {
  const { id } = await newPlan(request, 'restorative');
  await openPlan(page, id);
  let lost = 0;
  await page.route('**/api/v1/plans/*', async (route) => {
    if (route.request().method() !== 'PUT' || lost++ > 0) return route.continue();
    await route.fetch();
    await route.abort();
  });
  await lengthen(page, 1, '7:00');
  await expect(page.getByRole('status').filter({ hasText: 'Not saved yet' })).toBeVisible();
  await lengthen(page, 7, '7:00');
  await saved(page);
  await expect(page.getByRole('dialog')).toHaveCount(0);
  const { revision, document } = await storedPlan(request, id);
  expect(revision).toBe(3);
  expect([document.steps[1], document.steps[7]]).toMatchObject([
    { sides: { seconds: 420 } },
    { sides: { seconds: 420 } },
  ]);
});

test('a plan goes to a file and comes back from one; a broken file is refused with every field', async ({
  page,
  request,
}) => {
  const { id } = await newPlan(request, 'yin', { title: 'Sánchez, on file' });
  await openPlan(page, id);
  const [download] = await Promise.all([page.waitForEvent('download'), savePlan(page)]);
  expect(download.suggestedFilename()).toBe('Sánchez-on-file.zovrin.json');
  const path = await download.path();
  const names = await rowNames(page);

  await page.goto('/');
  await page.getByRole('button', { name: 'New plan' }).click();
  const input = page.locator('input[type=file]');
  const broken = { format: 'zovrin-plan', version: 1, title: 'x'.repeat(10_000), steps: 3 };
  await input.setInputFiles({
    name: 'broken.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(broken)),
  });
  await expect(page.getByRole('alert')).toContainText('Nothing was saved');
  await expect(page.getByRole('alert')).toContainText('title: A title has at most 200 characters.');
  await expect(page.getByRole('alert')).toContainText('groupSize');
  await input.setInputFiles({ name: 'noise.json', mimeType: 'application/json', buffer: Buffer.from('\u0000{') });
  await expect(page.getByRole('alert')).toContainText('it is not JSON');
  await input.setInputFiles(path);
  await expect(page.getByRole('listbox', { name: 'Steps' })).toBeVisible();
  expect(await rowNames(page)).toEqual(names);
  expect(page.url()).not.toContain(id);
});

test('home: make from a template, search, copy, delete, take back', async ({ page }, { retry, repeatEachIndex }) => {
  // A name of its own for each attempt: what an earlier one left is not in the way.
  const mark = `no${retry}${repeatEachIndex}`;
  const title = `Ṛtu evening ${mark} for the Käthe choir`;
  await page.goto('/');
  await page.getByRole('button', { name: 'New plan' }).click();
  await page.getByRole('button', { name: /^Long line/ }).click();
  await expect(page.getByRole('listbox', { name: 'Steps' })).toBeVisible();
  await page.getByRole('button', { name: /change title/ }).click();
  // What is typed next goes into the title, not to the button that closes.
  await expect(page.getByLabel('Title', { exact: true })).toBeFocused();
  await page.getByLabel('Title', { exact: true }).fill(title);
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Done' }).click();
  await saved(page);

  await page.goto('/');
  await page.getByLabel('Search plans').fill(`rtu ${mark} kathe`);
  await expect(page.getByRole('link', { name: /Ṛtu evening/ })).toHaveCount(1);
  await page.getByRole('button', { name: `More for ${title}` }).click();
  await page.getByRole('menuitem', { name: 'Copy', exact: true }).click();
  await expect(page.getByRole('heading', { name: `${title} (copy)` })).toBeVisible();

  await page.goto('/');
  await page.getByLabel('Search plans').fill(`rtu ${mark} kathe copy`);
  await expect(page.getByRole('button', { name: /^More for/ })).toHaveCount(1);
  await page.getByRole('button', { name: /^More for/ }).click();
  await page.getByRole('menuitem', { name: 'Delete' }).click();
  await expect(page.getByText(`No plan has “rtu ${mark} kathe copy”`)).toBeVisible();
  await page.getByRole('link', { name: 'Bin' }).click();
  await page.getByRole('button', { name: `Restore ${title} (copy)` }).click();
  await expect(page.getByRole('button', { name: `Restore ${title} (copy)` })).toHaveCount(0);
  await page.goto('/');
  await page.getByLabel('Search plans').fill(`rtu ${mark} kathe copy`);
  await expect(page.getByRole('link', { name: /Ṛtu evening/ })).toHaveCount(1);
});

test('two windows that change different things: both changes are there, and nobody is asked', async ({
  page,
  context,
  request,
}) => {
  const { id } = await newPlan(request, 'restorative', { title: 'Two windows' });
  await openPlan(page, id);
  const other = await context.newPage();
  await openPlan(other, id);
  for (const tab of [page, other]) {
    await tab.route('**/api/v1/plans/*', (route) =>
      route.request().method() === 'PUT' ? route.abort() : route.continue(),
    );
  }
  await lengthen(page, 1, '8:00');
  await lengthen(other, 7, '9:00');
  await expect(other.getByRole('status').filter({ hasText: 'Not saved yet' })).toBeVisible();
  for (const tab of [page, other]) await tab.unrouteAll();
  await saved(page);
  await saved(other);
  await expect
    .poll(async () => (await storedPlan(request, id)).document.steps.map((step) => 'sides' in step && step.sides))
    .toMatchObject({ 1: { seconds: 480 }, 7: { seconds: 540 } });
  await expect(total(page)).toHaveText(await total(other).innerText());
  for (const tab of [page, other]) await expect(tab.getByRole('dialog')).toHaveCount(0);
});

test('undo outlives a reload and another visit, and says what it takes back', async ({ page, request }) => {
  const { id } = await newPlan(request, 'restorative');
  await openPlan(page, id);
  const before = await total(page).innerText();
  await lengthen(page, 1, '8:00');
  await saved(page);
  await page.goto('/');
  await openPlan(page, id);
  const undo = page.getByRole('button', { name: 'Undo' });
  await expect(undo).toBeEnabled();
  await expect(undo).toHaveAttribute('title', /^Undo: Change length of .+ \(Ctrl Z\)$/);
  await page.reload();
  await expect(undo).toBeEnabled();
  await undo.press('Enter');
  await expect(total(page)).toHaveText(before);
  await saved(page);
  await page.reload();
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect(total(page)).not.toHaveText(before);
});

test('notes about one person in two windows without a line: both survive the windows, and are sent', async ({
  page,
  context,
  request,
}) => {
  const made = await request.post('/api/v1/people', { data: { document: newPerson('Wren Salter') } });
  const { id } = (await made.json()) as { id: string };
  const first = await context.newPage();
  const second = await context.newPage();
  for (const tab of [first, second]) {
    await tab.goto(`/people/${id}`);
    await tab.route('**/api/v1/people/*', (route) =>
      route.request().method() === 'PUT' ? route.abort() : route.continue(),
    );
  }
  await first.getByLabel('Note', { exact: true }).fill('sings low');
  await first.keyboard.press('Tab');
  await second.getByLabel('Contact details').fill('at the ferry office');
  await second.keyboard.press('Tab');
  for (const tab of [first, second]) {
    await expect(tab.getByText('The server cannot be reached.')).toBeVisible();
    await tab.close();
  }
  await page.goto(`/people/${id}`);
  await expect(page.getByLabel('Note', { exact: true })).toHaveValue('sings low');
  await expect(page.getByLabel('Contact details')).toHaveValue('at the ferry office');
  const kept = async () => PEOPLE.stored.parse(await (await request.get(`/api/v1/people/${id}`)).json()).document;
  await expect.poll(kept).toMatchObject({ note: 'sings low', contact: 'at the ferry office' });
});
