/// <reference lib="dom" />
import AxeBuilder from '@axe-core/playwright';
import { readFileSync } from 'node:fs';
import { pathToFileURL } from 'node:url';
import { expect, test, type Page, type TestInfo } from '@playwright/test';
import { missingOnPaper, onPaper, sheetWith } from '../support/paper';
import { newPlan, openPlan } from './support';

const dialog = (page: Page) => page.getByRole('dialog', { name: 'Share this plan' });

/** Makes the page for a student in the dialog, and gives the file. */
async function handoutOf(page: Page, planId: string, info: TestInfo, words = 'For the week, slowly.'): Promise<string> {
  await openPlan(page, planId);
  await page.getByRole('button', { name: 'Share', exact: true }).click();
  await dialog(page).getByRole('radio', { name: 'Page for a student' }).check();
  await dialog(page).getByLabel('Your words above it').fill(words);
  await dialog(page).getByLabel('Your words above it').blur();
  await expect(dialog(page).frameLocator('iframe').getByText(words)).toBeVisible();
  const download = page.waitForEvent('download');
  await dialog(page).getByRole('button', { name: 'Download', exact: true }).click();
  const path = info.outputPath('handout.html');
  await (await download).saveAs(path);
  return path;
}

/** Opens a file as a phone opens it from its files: without a network, and with every request counted. */
async function openFile(page: Page, path: string): Promise<string[]> {
  const requests: string[] = [];
  page.on('request', (request) => requests.push(request.url()));
  await page.context().setOffline(true);
  await page.goto(pathToFileURL(path).href);
  return requests;
}

test('a page for a student opens from a file without a network, fits the time at hand and leads itself', async ({
  page,
  browser,
}, info) => {
  const path = await handoutOf(page, 'demo-potters', info);
  expect(readFileSync(path).byteLength).toBeLessThan(300_000);
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    colorScheme: 'dark',
    reducedMotion: 'reduce',
  });
  const phone = await context.newPage();
  const wrong: string[] = [];
  phone.on('pageerror', (error) => wrong.push(error.message));
  phone.on('console', (message) => message.type() === 'error' && wrong.push(message.text()));
  await phone.clock.install({ time: new Date('2026-12-01T20:00:00') });
  const requests = await openFile(phone, path);
  await expect(phone.getByRole('heading', { level: 1, name: 'Hips and hands' })).toBeVisible();
  await expect(phone.getByText('For the week, slowly.')).toBeVisible();
  expect(await phone.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  const background = () => phone.evaluate(() => getComputedStyle(document.body).backgroundColor);
  expect(await background()).toBe('rgb(17, 24, 21)');
  await phone.getByRole('button', { name: 'Light or dark' }).click();
  expect(await background()).toBe('rgb(233, 237, 232)');

  // Everything becomes shorter together.
  const slider = phone.getByRole('slider', { name: /^I have/ });
  const fold = phone.getByRole('listitem').filter({ hasText: 'Wide-legged fold' }).locator('.length');
  await expect(fold).toHaveText('5:00');
  await slider.press('Home');
  await expect(slider).toHaveAttribute('aria-valuetext', /minutes$/);
  await expect(fold).not.toHaveText('5:00');
  const short = Number(/\d+/.exec((await slider.getAttribute('aria-valuetext')) ?? '')?.[0]);
  await slider.press('End');
  const whole = Number(/\d+/.exec((await slider.getAttribute('aria-valuetext')) ?? '')?.[0]);
  expect(short).toBeLessThan(whole);

  await phone.getByRole('button', { name: 'Begin' }).click();
  const timer = phone.getByRole('timer');
  await expect(phone.getByText(/^1 of \d+ · /)).toBeVisible();
  await phone.keyboard.press('ArrowRight');
  await phone.clock.runFor(40_000);
  const at = await timer.innerText();
  await phone.clock.runFor(10_000);
  expect(await timer.innerText()).not.toBe(at);
  await phone.getByRole('button', { name: 'Pause' }).click();
  const paused = await timer.innerText();
  await phone.clock.runFor(30_000);
  expect(await timer.innerText()).toBe(paused);
  await phone.getByRole('button', { name: 'Resume' }).click();
  await expect(phone.getByRole('status')).not.toBeEmpty();
  // To the end, step by step.
  for (let i = 0; i < 60; i++) {
    if ((await phone.getByRole('heading', { name: 'Done' }).count()) > 0) break;
    await phone.keyboard.press('ArrowRight');
  }
  await expect(phone.getByRole('heading', { name: 'Done' })).toBeVisible();
  await phone.getByRole('button', { name: 'Leave' }).click();
  await expect(phone.getByRole('button', { name: 'Begin' })).toBeFocused();
  // The file itself, and nothing else.
  expect(requests).toEqual([pathToFileURL(path).href]);
  expect(wrong).toEqual([]);
  await context.close();
});

test('the side is shown by its place and by what it means, and the figure is mirrored', async ({
  page,
  browser,
  request,
}, info) => {
  const { id } = await newPlan(request, 'restorative', { title: 'Two sides' });
  const path = await handoutOf(page, id, info);
  const phone = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
  await phone.clock.install({ time: new Date('2026-12-01T20:00:00') });
  await openFile(phone, path);
  await phone.getByRole('button', { name: 'Begin' }).click();
  await phone.getByRole('button', { name: 'Next' }).click();
  await phone.clock.runFor(60_000);
  await expect(phone.getByRole('heading', { name: 'The knees lie to the left' })).toBeVisible();
  await expect(phone.locator('.edge')).toHaveClass(/left/);
  await expect(phone.getByText('then the right side, 3:30')).toBeVisible();
  const left = await phone.locator('.edge').boundingBox();
  await phone.getByRole('button', { name: 'Next' }).click();
  await phone.clock.runFor(40_000);
  await expect(phone.getByRole('heading', { name: 'The knees lie to the right' })).toBeVisible();
  const right = await phone.locator('.edge').boundingBox();
  expect(right?.x).toBeGreaterThan((left?.x ?? 0) + 300);
  await expect(phone.locator('.picture')).toHaveClass(/mirrored/);
  await phone.context().close();
});

for (const format of ['A4', 'Letter'] as const)
  test(`prints on at most two pages of ${format}, no step cut in two`, async ({ page }, info) => {
    const path = await handoutOf(page, 'demo-potters', info);
    await page.goto(pathToFileURL(path).href);
    const sheets = await onPaper(page, { format, printBackground: true });
    expect(sheets.length).toBeLessThanOrEqual(2);
    expect(await missingOnPaper(page, sheets)).toEqual([]);
    for (const step of await page.locator('.steps > li').allInnerTexts()) {
      const lines = step.split('\n').filter((line) => line.trim() !== '');
      const on = new Set(lines.map((line) => sheetWith(sheets, line)));
      expect([lines[0], [...on]]).toEqual([lines[0], [expect.any(Number)]]);
      expect(on.has(-1)).toBe(false);
    }
    await page.emulateMedia({ media: 'print' });
    const breaks = await page
      .locator('.steps > li')
      .evaluateAll((items) => items.map((item) => getComputedStyle(item).breakInside));
    expect(new Set(breaks)).toEqual(new Set(['avoid']));
  });

test('a page for a student has no fault of accessibility, in both themes and while it leads', async ({
  page,
  browser,
}, info) => {
  const path = await handoutOf(page, 'demo-nurses', info);
  for (const colorScheme of ['light', 'dark'] as const) {
    const context = await browser.newContext({ viewport: { width: 390, height: 844 }, colorScheme, bypassCSP: true });
    const phone = await context.newPage();
    await phone.goto(pathToFileURL(path).href);
    expect((await new AxeBuilder({ page: phone }).analyze()).violations).toEqual([]);
    await phone.getByRole('button', { name: 'Begin' }).click();
    expect((await new AxeBuilder({ page: phone }).analyze()).violations).toEqual([]);
    await context.close();
  }
});

test('for one of the group, what was chosen for them goes in only when it is ticked, and never why', async ({
  page,
  request,
}, info) => {
  const { items } = (await (await request.get('/api/v1/people')).json()) as {
    items: { id: string; document: { name: string; note: string; conditions: { condition: string }[] } }[];
  };
  const bryony = items.find(({ id }) => id === 'demo-bryony');
  const everyone = readFileSync(await handoutOf(page, 'demo-nurses', info), 'utf8');
  const list = dialog(page).getByRole('combobox', { name: 'For', exact: true });
  // People are shown by their initials.
  const initials = (bryony?.document.name ?? '').replace(/[^A-Z]/g, '');
  await list.click();
  await page.getByRole('searchbox').last().fill(initials);
  await page.getByRole('option', { name: initials, exact: true }).click();
  await expect(list).toHaveText(initials);
  const tick = dialog(page).getByRole('checkbox', { name: /chosen for them/ });
  await expect(tick).not.toBeChecked();

  /** The file as it would be taken now. */
  async function taken(): Promise<string> {
    const download = page.waitForEvent('download');
    await dialog(page).getByRole('button', { name: 'Download', exact: true }).click();
    const path = info.outputPath('hers.html');
    await (await download).saveAs(path);
    return readFileSync(path, 'utf8');
  }
  const stepNames = (file: string): string[] => [...file.matchAll(/<h2>(.*?)<\/h2>/g)].map(([, name = '']) => name);
  const unticked = await taken();
  expect(stepNames(unticked)).toEqual(stepNames(everyone));
  await tick.check();
  await expect.poll(async () => stepNames(await taken()).join()).not.toBe(stepNames(everyone).join());
  const hers = await taken();
  for (const file of [everyone, unticked, hers]) {
    for (const { document } of items) {
      expect(file).not.toContain(document.name);
      if (document.note.length > 10) expect(file).not.toContain(document.note);
    }
    expect(file).not.toContain(bryony?.id ?? '?');
  }
});
