/// <reference lib="dom" />
import { expect, test, type Page } from '@playwright/test';
import { Plan } from '#core/plan';
import { spokenClass } from '../support/spoken-class';
import { findings } from './accessible';
import { choose, storedPlan } from './support';

const CHOIR = spokenClass('tests/samples/captions/known/01-choir-yin.txt').file;
const open = (page: Page, name: string, file: string): Promise<void> =>
  page.locator('input[type=file]').setInputFiles({ name, mimeType: 'text/vtt', buffer: Buffer.from(file) });
const rows = (page: Page) => page.getByRole('list', { name: 'What was understood' }).getByRole('button');
const chosen = (page: Page) => page.getByRole('region', { name: 'The chosen segment' });

test('captions of a class are understood, corrected, and made a plan', async ({ page }) => {
  await page.goto('/import');
  await open(page, 'Choir on Tuesday.vtt', CHOIR);
  await expect(page.getByRole('heading', { name: 'From captions' })).toBeFocused();
  await expect(page.getByRole('heading', { name: /^Right sides ran 0:\d\d short in total\.$/ })).toBeVisible();
  await expect(page.getByText(/^8 holds, \d to check$/)).toBeVisible();
  expect(await findings(page)).toEqual([]);

  await rows(page).filter({ hasText: 'Folded hip pose, right' }).click();
  await expect(chosen(page)).toContainText('“The second side” at 11:50');
  await expect(chosen(page).getByRole('list')).toContainText('Right knee forward.');
  // Another name, and everything is read around it.
  await choose(chosen(page).getByRole('combobox', { name: 'Position' }), 'Hip pose, upright');
  await expect(rows(page).filter({ hasText: 'Hip pose, upright, right' })).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(rows(page).filter({ hasText: 'Folded hip pose, right' })).toBeVisible();

  // The end by the keyboard: ten seconds later, then one back.
  const end = page.getByRole('slider', { name: 'End' });
  const before = Number(await end.getAttribute('aria-valuenow'));
  await end.focus();
  await page.keyboard.press('Shift+ArrowRight');
  await expect(end).toHaveAttribute('aria-valuenow', String(before + 10));
  await end.focus();
  await page.keyboard.press('ArrowLeft');
  await expect(end).toHaveAttribute('aria-valuenow', String(before + 9));
  await chosen(page).getByRole('textbox', { name: 'Start' }).fill('99:00');
  await page.keyboard.press('Enter');
  await expect(chosen(page)).toContainText('It ends before it begins.');

  await rows(page).filter({ hasText: 'Sphinx' }).click();
  await chosen(page).getByRole('button', { name: 'Nothing is held' }).click();
  await expect(rows(page).filter({ hasText: 'Sphinx' })).toHaveCount(0);
  await expect(page.getByText(/^7 holds/)).toBeVisible();

  // The answer is lost once: tried again, the plan is there once.
  const sent: string[] = [];
  await page.route('**/api/v1/plans', async (route) => {
    if (route.request().method() !== 'POST') return route.continue();
    sent.push(JSON.stringify(route.request().postDataJSON()));
    if (sent.length > 1) return route.continue();
    await route.fetch();
    return route.abort();
  });
  await page.getByRole('button', { name: 'Create plan' }).click();
  await expect(page.getByRole('alert')).toContainText('What was read is still here.');
  await page.getByRole('button', { name: 'Create plan' }).click();
  await expect(page).toHaveURL(/\/plans\/[^/]+$/);
  expect(new Set(sent).size).toBe(1);
  const { document } = await storedPlan(page.request, page.url().split('/').pop() ?? '');
  const plan = Plan.parse(document);
  expect(plan.title).toBe('Choir on Tuesday');
  const hips = plan.steps.find(({ name }) => name === 'Folded hip pose');
  expect(hips).toMatchObject({ sides: { kind: 'each', first: 'left', length: { kind: 'perSide' } } });
  expect(plan.steps.map(({ name }) => name)).not.toContain('Sphinx');
});

test('a class is kept as a session in History, compared with what was announced', async ({ page }) => {
  await page.goto('/import');
  await open(page, 'Choir in March.vtt', CHOIR);
  await page.getByRole('button', { name: 'Keep as a session' }).click();
  const dialog = page.getByRole('dialog', { name: 'Keep as a session' });
  expect(await findings(page)).toEqual([]);
  const began = dialog.getByRole('combobox', { name: 'The class began' });
  await dialog.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(dialog).toContainText('When did the class begin?');
  await began.fill('3 March 2126 18:30');
  await began.press('Tab');
  await expect(dialog).toContainText('choose a time before now');
  await began.fill('3 March 2026 18:30');
  await began.press('Tab');
  // The answer to the session is lost once: tried again, nothing is there twice.
  let lost = false;
  await page.route('**/api/v1/runs/*/events', async (route) => {
    if (lost) return route.continue();
    lost = true;
    await route.fetch();
    return route.abort();
  });
  await dialog.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(dialog.getByRole('alert')).toContainText('What was read is still here.');
  await dialog.getByRole('button', { name: 'Keep', exact: true }).click();

  await expect(page).toHaveURL(/\/history\/[^/]+$/);
  const main = page.getByRole('main');
  await expect(main).toContainText('Choir in March · Tuesday 3 March, 18:30 · read from captions');
  await expect(main.getByText('Left sides were 0:18 longer')).toBeVisible();
  await page.getByRole('link', { name: 'All sessions' }).click();
  const row = page.getByRole('row').filter({ hasText: 'Choir in March' });
  await expect(row).toHaveCount(1);
  await expect(row).toContainText('read from captions');
});

const NEW_NAME = `WEBVTT

00:12.000 --> 00:20.000
Come into oyster basket pose. Draw the right knee in and hold on to the shin.

00:28.000 --> 00:33.000
Stay here for three minutes.

03:20.000 --> 03:25.000
Slowly come out of oyster basket pose.

03:32.000 --> 03:37.000
And the other side, left knee in.

03:48.000 --> 03:50.000
Stay here.

06:40.000 --> 06:43.000
Slowly release.

06:52.000 --> 06:58.000
Now child’s pose. Knees wide, lower the chest.

07:10.000 --> 07:12.000
And stay. Four minutes.

11:00.000 --> 11:04.000
Slowly come up. Thank you.
`;

test('names that the library does not have become custom positions; all of it stays through a reload', async ({
  page,
}) => {
  await page.goto('/import');
  await open(page, 'Baskets.vtt', NEW_NAME);
  const basket = rows(page).filter({ hasText: 'Oyster basket' });
  await expect(basket).toHaveCount(2);
  await basket.first().click();
  await expect(chosen(page)).toContainText('Your library has no position of this name.');
  await expect(chosen(page)).toContainText('Please check the name');

  // A name is typed for what was found, and taken back.
  await rows(page).filter({ hasText: 'Child' }).click();
  await chosen(page).getByRole('button', { name: 'Another name' }).click();
  await chosen(page).getByRole('textbox', { name: 'A new name' }).fill('Sleeping limpet');
  await page.keyboard.press('Enter');
  await expect(rows(page).filter({ hasText: 'Sleeping limpet' })).toHaveAttribute('aria-pressed', 'true');
  expect(await findings(page)).toEqual([]);
  await page.reload();
  await expect(rows(page).filter({ hasText: 'Sleeping limpet' })).toHaveCount(1);
  await expect(rows(page).filter({ hasText: 'Child' })).toHaveCount(0);

  await expect(
    page.getByRole('checkbox', { name: 'with Sleeping limpet, Oyster basket as custom positions' }),
  ).toBeChecked();
  await page.getByRole('button', { name: 'Create plan' }).click();
  await expect(page).toHaveURL(/\/plans\/[^/]+$/);
  const { document } = await storedPlan(page.request, page.url().split('/').pop() ?? '');
  const plan = Plan.parse(document);
  expect(plan.title).toBe('Baskets');
  expect(plan.steps.flatMap((step) => (step.kind === 'hold' ? [[step.name, step.sides.kind]] : []))).toEqual([
    ['Oyster basket', 'each'],
    ['Sleeping limpet', 'together'],
  ]);
  await page.goto('/import');
  await expect(page.getByRole('heading', { name: 'From captions' })).toHaveCount(0);
  await page.goto('/library');
  await expect(page.getByRole('link', { name: /Oyster basket/ }).first()).toBeVisible();
});

test('a boundary is dragged; a hold is split and joined again', async ({ page }) => {
  await page.goto('/import');
  await open(page, 'a.vtt', CHOIR);
  await rows(page).filter({ hasText: 'Last rest' }).click();
  const start = page.getByRole('slider', { name: 'Start' });
  const before = Number(await start.getAttribute('aria-valuenow'));
  const box = await start.boundingBox();
  if (!box) throw new Error('The handle is not there.');
  await page.mouse.move(box.x + box.width / 2, box.y + 20);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 60, box.y + 20, { steps: 4 });
  await page.mouse.up();
  await expect.poll(async () => Number(await start.getAttribute('aria-valuenow'))).toBeGreaterThan(before + 90);

  await chosen(page).getByRole('button', { name: 'Split in two' }).click();
  await expect(rows(page).filter({ hasText: 'Last rest' })).toHaveCount(2);
  await chosen(page).getByRole('button', { name: 'Join with the next' }).click();
  await expect(rows(page).filter({ hasText: 'Last rest' })).toHaveCount(1);
  await chosen(page).getByRole('button', { name: 'Read it again' }).click();
  await expect(start).toHaveAttribute('aria-valuenow', String(before));
});

test('what is no class says so, and nothing is changed', async ({ page }) => {
  await page.goto('/import');
  const twice = `WEBVTT\n\n50:00.000 --> 50:02.000\nStay.\n\n00:01.000 --> 00:02.000\nHello.\n`;
  await open(page, 'two.vtt', twice);
  await expect(page.getByRole('alert')).toContainText('Two classes may be in one file');
  await expect(page.getByRole('button', { name: 'Create plan' })).toBeDisabled();
  await page.getByRole('button', { name: 'Discard' }).click();
  await open(page, 'film.srt', '1\n00:00:01,000 --> 00:00:02,000\nWhere were you last night?\n');
  await expect(page.getByText(/None of the names was found/)).toBeVisible();
});

/** Silence of so many seconds, as the simplest WAV file there is: 8 bits, 8,000 a second. */
function silence(seconds: number): Buffer {
  const size = seconds * 8000;
  const head = Buffer.alloc(44);
  head.write('RIFF', 0);
  head.writeUInt32LE(36 + size, 4);
  head.write('WAVEfmt ', 8);
  for (const [at, value] of [
    [16, 16],
    [24, 8000],
    [28, 8000],
    [40, size],
  ] as const)
    head.writeUInt32LE(value, at);
  for (const [at, value] of [
    [20, 1],
    [22, 1],
    [32, 1],
    [34, 8],
  ] as const)
    head.writeUInt16LE(value, at);
  head.write('data', 36);
  return Buffer.concat([head, Buffer.alloc(size, 128)]);
}

test('the recording is played beside its captions, from what was said, and goes nowhere', async ({ page }) => {
  await page.goto('/import');
  await open(page, 'a.vtt', CHOIR);
  await rows(page).filter({ hasText: 'Bound angle fold' }).click();
  const sent: string[] = [];
  page.on('request', (request) => sent.push(request.url()));
  const buffer = silence(100);
  const film = page.locator('input[type=file]');
  await film.setInputFiles({ name: 'Tuesday.wav', mimeType: 'audio/wav', buffer });
  const player = page.getByLabel('“Tuesday.wav”, played beside its captions');
  await chosen(page).getByRole('button', { name: 'Play from 1:15' }).click();
  await expect.poll(() => player.evaluate((video: HTMLVideoElement) => video.currentTime)).toBeGreaterThanOrEqual(75);
  expect(sent.filter((url) => !url.startsWith('blob:'))).toEqual([]);
  await page.getByRole('button', { name: 'Close “Tuesday.wav”' }).click();
  await film.setInputFiles({ name: 'words.txt', mimeType: 'text/plain', buffer: Buffer.from('no film') });
  await expect(page.getByRole('alert')).toContainText('“words.txt” cannot be played here.');
});
