/// <reference lib="dom" />
import { expect, test, type Page } from '@playwright/test';
import { PLANS } from '#api';
import { choose, newPlan, openPlan, rowNames, saved, storedPlan, total } from './support';

const NOTES = `tuesday 18:30 tired legs, 1h, 12 ppl
arrive + how was the week 3min
calves on chair 6, blanket head
twist 3.5 ea L first, blanket btw knees!!
breath 4/8 15x
janu 3-5 min each side, 2 blocks head — half way: soften knee
(if time: humming)
savasana rest of time`;

const line = (page: Page, typed: string) => page.getByRole('listitem').filter({ hasText: typed });

/** Pastes into the page itself, as Ctrl V does where nothing has the focus. */
const paste = (page: Page, text: string) =>
  page.evaluate((pasted) => {
    const data = new DataTransfer();
    data.setData('text/plain', pasted);
    document.body.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
  }, text);

const drop = (page: Page, files: readonly { name: string; text: string }[]) =>
  page.evaluate((dropped) => {
    const data = new DataTransfer();
    for (const { name, text } of dropped) data.items.add(new File([text], name));
    document.body.dispatchEvent(new DragEvent('dragover', { dataTransfer: data, bubbles: true, cancelable: true }));
    document.body.dispatchEvent(new DragEvent('drop', { dataTransfer: data, bubbles: true, cancelable: true }));
  }, files);

test('notes pasted anywhere are read line by line, decided, and made a plan', async ({ page, request }) => {
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Plans' })).toBeVisible();
  await paste(page, NOTES);
  await expect(page.getByRole('heading', { name: 'From your notes' })).toBeFocused();
  await expect(page.getByText('8 lines, 4 to check, 1 kept as a note')).toBeVisible();
  await expect(line(page, 'twist 3.5 ea')).toContainText('3:30 each side, left first');
  await choose(line(page, 'twist 3.5 ea').getByRole('combobox', { name: 'Which is meant?' }), 'Reclined twist');
  await expect(line(page, 'twist 3.5 ea')).toContainText('Reclined twist, 3:30 each side');
  await expect(line(page, 'if time')).toContainText('Kept as a note');
  // What was typed and decided is still there after a reload.
  await page.reload();
  await expect(line(page, 'calves on chair')).toContainText('Calves on a chair, 6:00');
  await choose(line(page, 'twist 3.5 ea').getByRole('combobox', { name: 'Which is meant?' }), 'Reclined twist');
  await page.getByRole('button', { name: 'Create plan' }).click();
  await expect(page.getByRole('listbox', { name: 'Steps' })).toBeVisible();
  await expect
    .poll(() => rowNames(page))
    .toEqual([
      'Arrive + how was the week',
      'Calves on a chair',
      'Reclined twist',
      'Longer out-breath',
      'Head to knee',
      'Last rest',
    ]);
  const id = new URL(page.url()).pathname.split('/').at(-1) ?? '';
  const { document } = await storedPlan(request, id);
  expect([document.title, document.groupSize, document.classSeconds]).toEqual(['tired legs', 12, 3600]);
  expect(document.steps[4]?.note).toBe('(if time: humming)');
  expect(document.steps.at(-1)?.takesRemaining).toBe(true);
  await page.goto('/import');
  await expect(page.getByLabel('Your notes')).toHaveValue('');
});

test('what was decided and typed last counts, however soon the plan is created', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Plans' })).toBeVisible();
  await paste(page, NOTES);
  await expect(line(page, 'twist 3.5 ea')).toContainText('3:30 each side, left first');
  // From here on what waits for a moment waits for long: nobody should have to wait for it.
  await page.evaluate(() => {
    const usual = window.setTimeout.bind(window);
    const slow = (run: TimerHandler, ms?: number): number => usual(run, ms === 150 ? 60_000 : ms);
    window.setTimeout = slow as typeof window.setTimeout;
  });
  await choose(line(page, 'twist 3.5 ea').getByRole('combobox', { name: 'Which is meant?' }), 'Reclined twist');
  await page.getByRole('button', { name: 'Edit the text' }).click();
  await page.getByLabel('Your notes').fill(NOTES.replace('breath 4/8 15x\n', ''));
  await page.getByRole('button', { name: 'Create plan' }).click();
  await expect(page.getByRole('listbox', { name: 'Steps' })).toBeVisible();
  await expect
    .poll(() => rowNames(page))
    .toEqual(['Arrive + how was the week', 'Calves on a chair', 'Reclined twist', 'Head to knee', 'Last rest']);
});

test('notes pasted in a plan are added to it, as one step of undo', async ({ page, request }) => {
  const { id, document } = await newPlan(request, 'restorative', { title: 'Into this one' });
  await openPlan(page, id);
  const before = await rowNames(page);
  await paste(page, 'sphinx 4 min\nhappy baby 2 min');
  await page.getByRole('button', { name: 'Add to “Into this one”' }).click();
  await expect(page.getByText('2 steps were added')).toBeVisible();
  await expect.poll(() => rowNames(page)).toEqual([...before, 'Sphinx', 'Happy baby']);
  await saved(page);
  expect((await storedPlan(request, id)).document.steps).toHaveLength(document.steps.length + 2);
  await page.getByRole('button', { name: 'Undo', exact: true }).last().click();
  await expect.poll(() => rowNames(page)).toEqual(before);
});

test('with the keyboard only: typed, decided, created', async ({ page }) => {
  await page.goto('/import');
  await expect(page.getByLabel('Your notes')).toBeFocused();
  await page.keyboard.type('pigeon 4 each\n5 min savasana');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'From your notes' })).toBeFocused();
  // It is read a moment after it was typed.
  await expect(page.getByRole('button', { name: 'Create plan' })).toBeEnabled();
  for (let i = 0; i < 12; i++) {
    await page.keyboard.press('Tab');
    if (await page.getByRole('button', { name: 'Create plan' }).evaluate((node) => node === document.activeElement))
      break;
  }
  await page.keyboard.press('Enter');
  await expect(page.getByRole('listbox', { name: 'Steps' })).toBeVisible();
  await expect.poll(() => rowNames(page)).toEqual(['Folded hip pose', 'Last rest']);
});

test('files say what they are; what cannot be taken is refused and changes nothing', async ({ page, request }) => {
  const { document } = await storedPlan(request, 'demo-potters');
  const dropped = async () => (await (await request.get('/api/v1/plans?search=Dropped')).json()).total as number;
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Plans' })).toBeVisible();
  const text = JSON.stringify({ ...document, title: 'Dropped' });
  await drop(page, [
    { name: 'dropped.zovrin.json', text },
    { name: 'newer.json', text: JSON.stringify({ ...document, version: 99 }) },
    { name: 'half.json', text: text.slice(0, 700) },
    { name: 'film.vtt', text: 'WEBVTT\n\n00:01.000 --> 00:02.000\nhello' },
    { name: 'huge.txt', text: 'x'.repeat(50_000_000) },
    { name: 'wrong.json', text: JSON.stringify({ ...document, classSeconds: -1 }) },
  ]);
  const file = (name: string) => page.getByRole('listitem').filter({ hasText: name });
  await expect(file('dropped.zovrin.json')).toContainText('A plan: “Dropped”');
  await expect(file('newer.json')).toContainText('This plan has version 99; this Zovrin reads up to version');
  await expect(file('half.json')).toContainText('damaged');
  await expect(file('film.vtt')).toContainText('Captions of a class.');
  await expect(file('huge.txt')).toContainText('It is 50 MB; a file of up to 20 MB can be read.');
  await expect(file('wrong.json')).toContainText('classSeconds: A class is at least 1:00.');
  expect(await dropped()).toBe(0);
  await page.getByRole('button', { name: 'Save it' }).click();
  await expect(page.getByRole('heading', { name: 'Dropped' })).toBeVisible();
  expect(await dropped()).toBe(1);
});

test('where the server cannot be reached, the notes stay and it is said', async ({ page }) => {
  await page.goto('/import');
  await page.getByLabel('Your notes').fill('sphinx 4 min\nhappy baby 2 min');
  await page.getByRole('button', { name: 'Read it' }).click();
  await expect(line(page, 'sphinx')).toContainText('Sphinx, 4:00');
  await page.route('**/api/v1/plans', (route) => route.abort());
  await page.getByRole('button', { name: 'Create plan' }).click();
  await expect(page.getByRole('alert')).toContainText('Your text is still here.', { timeout: 30_000 });
  await page.unroute('**/api/v1/plans');
  await page.getByRole('button', { name: 'Create plan' }).click();
  await expect(page.getByRole('listbox', { name: 'Steps' })).toBeVisible();
});

test('the outline that Share writes is the same plan when it is imported', async ({ page, request }) => {
  const { id } = await newPlan(request, 'restorative', { title: 'There and back' });
  await openPlan(page, id);
  const totalBefore = await total(page).innerText();
  const names = await rowNames(page);
  await page.getByRole('button', { name: 'Share', exact: true }).click();
  await page.getByRole('radio', { name: 'Outline' }).check();
  const written = await page.getByLabel('What is written').innerText();
  await page.goto('/import');
  await page.getByLabel('Your notes').fill(written);
  await page.getByRole('button', { name: 'Read it' }).click();
  await expect(page.getByText(/to check/)).toHaveCount(0);
  await page.getByRole('button', { name: 'Create plan' }).click();
  await expect(page.getByRole('listbox', { name: 'Steps' })).toBeVisible();
  expect(await rowNames(page)).toEqual(names);
  await expect(total(page)).toHaveText(totalBefore);
  const made = PLANS.stored.parse(
    await (await request.get(`/api/v1/plans/${new URL(page.url()).pathname.split('/').at(-1)}`)).json(),
  );
  expect(made.document.title).toBe('There and back');
});
