/// <reference lib="dom" />
import { expect, test, type Page } from '@playwright/test';
import { newPlan, openPlan } from './support';

const dialog = (page: Page) => page.getByRole('dialog', { name: 'Share this plan' });
const written = (page: Page) => dialog(page).getByLabel('What is written');
const pick = (page: Page, form: string) => dialog(page).getByRole('radio', { name: form, exact: true }).check();
async function openShare(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Share', exact: true }).click();
  await expect(dialog(page)).toBeVisible();
}
/** The whole file, as it is saved. */
async function saved(page: Page): Promise<{ name: string; text: string }> {
  const download = page.waitForEvent('download');
  await dialog(page).getByRole('button', { name: 'Download', exact: true }).click();
  const file = await download;
  const chunks: Buffer[] = [];
  for await (const chunk of await file.createReadStream()) chunks.push(Buffer.from(chunk as Uint8Array));
  return { name: file.suggestedFilename(), text: Buffer.concat(chunks).toString() };
}

const FORMS = ['Plan file', 'Outline', 'Calendar file', 'Table', 'Captions', 'Chapters', 'Breath counts'];

test('a plan is seen in every form before it is saved, and nothing of its people is in any of them', async ({
  page,
  request,
}) => {
  const people = (await (await request.get('/api/v1/people')).json()).items as {
    document: { name: string; conditions: { condition: string }[]; note: string };
  }[];
  const names = people.map(({ document }) => document.name);
  expect(names.length).toBeGreaterThan(5);
  await openPlan(page, 'demo-choir');
  await openShare(page);
  const files: string[] = [];
  for (const form of FORMS) {
    await pick(page, form);
    await expect(written(page)).not.toBeEmpty();
    const { name, text } = await saved(page);
    files.push(name.replace(/^.*?(?=\.)/, ''));
    expect(text.startsWith((await written(page).innerText()).slice(0, 60))).toBe(true);
    for (const person of names) expect([form, text.includes(person)]).toEqual([form, false]);
    for (const { document } of people) {
      if (document.note.length > 10) expect([form, text.includes(document.note)]).toEqual([form, false]);
    }
    expect([form, /demo-singer|glaucoma|pregnan/i.test(text)]).toEqual([form, false]);
  }
  expect(files).toEqual(['.zovrin.json', '.txt', '.ics', '.csv', '.vtt', '.vtt', '.vtt']);
});

test('captions and chapters are taken by the browser’s own track, later where the film began first', async ({
  page,
  request,
}) => {
  const { id } = await newPlan(request, 'restorative', { title: 'Filmed' });
  await openPlan(page, id);
  await openShare(page);
  let files = 0;
  /** The cues that the browser finds in a file: its track takes files from a server only. */
  async function cuesOf(text: string) {
    const address = `/captions-of-a-test-${++files}.vtt`;
    await page.route(`**${address}`, (route) => route.fulfill({ contentType: 'text/vtt', body: text }));
    return page.evaluate(async (src) => {
      const video = document.createElement('video');
      const track = document.createElement('track');
      track.kind = 'captions';
      track.src = src;
      video.append(track);
      document.body.append(video);
      track.track.mode = 'hidden';
      await new Promise((loaded, failed) => {
        track.onload = loaded;
        track.onerror = failed;
      });
      const cues = [...(track.track.cues ?? [])] as VTTCue[];
      video.remove();
      return cues.map(({ startTime, endTime, text: says }) => ({ startTime, endTime, says }));
    }, address);
  }
  await pick(page, 'Chapters');
  const chapters = await cuesOf((await saved(page)).text);
  expect(chapters).toHaveLength(11);
  expect(chapters[0]).toMatchObject({ startTime: 0, says: 'Arrive' });
  await pick(page, 'Captions');
  const captions = await cuesOf((await saved(page)).text);
  expect(captions.length).toBeGreaterThan(40);
  await dialog(page).getByRole('textbox', { name: 'by' }).fill('1:30');
  await page.keyboard.press('Tab');
  const later = await cuesOf((await saved(page)).text);
  expect(later.map(({ startTime }) => startTime)).toEqual(captions.map(({ startTime }) => startTime + 90));
});

test('a class without a date says why it cannot go into a calendar; from the keyboard, and Escape leads back', async ({
  page,
  request,
}) => {
  const { id } = await newPlan(request, 'yin', { title: 'Some day', steps: [], startsAt: null });
  await openPlan(page, id);
  await page.getByRole('button', { name: 'Share', exact: true }).focus();
  await page.keyboard.press('Enter');
  // The dialog takes the focus once it is open.
  await expect(dialog(page).locator(':focus')).toBeVisible();
  await dialog(page).getByRole('radio', { name: 'Page for a student' }).focus();
  await page.keyboard.press('ArrowDown');
  await expect(dialog(page).getByRole('radio', { name: 'Outline', exact: true })).toBeChecked();
  await expect(written(page)).toContainText('Some day');
  await page.keyboard.press('ArrowDown');
  await expect(dialog(page).getByText('The class has no date yet.')).toBeVisible();
  await expect(dialog(page).getByRole('button', { name: 'Download', exact: true })).toBeDisabled();
  await pick(page, 'Breath counts');
  await expect(dialog(page).getByText('Nothing in this plan is counted.')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(dialog(page)).toBeHidden();
});

test('what is seen is what is printed: the text, and the page for a student, without leaving the plan', async ({
  page,
}) => {
  await page.addInitScript(() => {
    window.print = () => {
      (window.top as Window & { printed?: string }).printed = document.body.innerText;
    };
  });
  const printed = () => page.evaluate(() => (window as Window & { printed?: string }).printed ?? '');
  await openPlan(page, 'demo-choir');
  await openShare(page);
  for (const [form, seen] of [
    ['Outline', /^# Long line, evening 3/],
    ['Page for a student', /^Long line, evening 3\s+You need:/],
  ] as const) {
    await pick(page, form);
    const print = page.getByRole('dialog').getByRole('button', { name: 'Print', exact: true });
    await expect(print).toBeEnabled();
    await print.click();
    await expect.poll(printed).toMatch(seen);
    await expect(page.getByRole('dialog', { name: 'Share this plan' })).toBeVisible();
  }
});
