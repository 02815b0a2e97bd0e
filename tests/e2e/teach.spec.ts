/// <reference lib="dom" />
import { expect, test, type Page } from '@playwright/test';
import { compareRun } from '#core/review';
import { compileTimeline } from '#core/timeline';
import { builtInLibrary } from '#library';
import { StoredRun } from '#api';
import { eventsOf, newPlan, passMs } from './support';

const BEGIN = new Date('2026-11-26T18:00:00Z');

async function teach(page: Page, id: string): Promise<void> {
  await page.clock.install({ time: BEGIN });
  await page.goto(`/teach/${id}`);
  await expect(page.getByRole('button', { name: 'Begin' }).first()).toBeVisible();
  await page.clock.pauseAt(BEGIN.getTime() + 60_000);
}
const pass = (page: Page, seconds: number): Promise<void> => passMs(page, seconds * 1000);
const time = (page: Page) => page.getByRole('timer');

test('the hour for the night shift, taught to its end and compared to the plan', async ({ page, request }) => {
  test.setTimeout(180_000);
  const { id, document } = await newPlan(request, 'restorative', { title: 'Taught to its end' });
  const timeline = compileTimeline(document, builtInLibrary);
  await teach(page, id);
  await page.keyboard.press('Space');
  await expect(page.getByText('Talk', { exact: true })).toBeVisible();

  // Into the first hold: its time, what comes next, and half a minute more.
  const calves = timeline.phases.find(({ kind }) => kind === 'hold');
  const start = (calves?.startMs ?? 0) / 1000;
  await pass(page, start + 1);
  await expect(page.locator('.side')).toHaveText('Both sides');
  await expect(time(page)).toHaveText('5:59');
  await expect(page.getByRole('heading', { name: 'Reclined twist, 3:30' })).toBeVisible();
  await page.keyboard.press('+');
  await expect(time(page)).toHaveText('6:29');
  await expect(page.getByText('0:30 late')).toBeVisible();

  // The prompt at half-way of what the hold has become.
  await pass(page, 195 - 1);
  await expect(page.locator('.prompt')).toContainText('Let the thighs lean where they like');

  // To the first side of the twist; the side is shown by place and word, then it is ended early.
  await pass(page, 195 + (timeline.steps[1] ? (timeline.steps[1].endMs - (calves?.endMs ?? 0)) / 1000 : 0));
  const twist = timeline.phases.filter(({ stepIndex }) => stepIndex === 2);
  const before = twist.find(({ kind }) => kind === 'hold');
  await pass(page, ((before?.startMs ?? 0) - (twist[0]?.startMs ?? 0)) / 1000 + 90);
  await expect(page.locator('.side')).toHaveText('Left');
  await expect(time(page)).toHaveText('2:00');
  await expect(page.getByRole('heading', { name: 'Right, 3:30' })).toBeVisible();
  await page.getByRole('button', { name: 'End this hold' }).click();
  await expect(page.locator('.side')).toHaveText('Coming out');
  await expect(page.getByText('The second side gets the same length')).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Right, 1:30' })).toBeVisible();

  // A reload in the middle goes on at the right place.
  const place = page.getByText('step 3 of 11');
  await expect(place).toBeVisible();
  await page.reload();
  await expect(place).toBeVisible();
  await pass(page, 60);
  await expect(page.locator('.side')).toHaveText('Right');

  await page.keyboard.press('n');
  await page.getByRole('textbox', { name: 'Note' }).fill('Cold by the door');
  await page.keyboard.press('Enter');

  // The remainder as planned, to the end.
  for (let i = 0; i < 60 && !(await page.getByText('The plan is over', { exact: true }).isVisible()); i++)
    await pass(page, 60);
  await expect(page.getByText('The plan is over', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'End the session' }).click();
  await expect(page).toHaveURL(/\/history\//);
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await expect(page.getByText('Cold by the door')).toBeVisible();

  const run = StoredRun.parse(await (await request.get(`/api/v1/runs/${page.url().split('/').at(-1)}`)).json());
  expect(run.events.map(({ kind }) => kind)).toEqual([
    'started',
    'led',
    'stretched',
    'cut',
    'matched',
    'noted',
    'ended',
  ]);
  const record = compareRun(timeline, run.events);
  const of = (step: number) => record.steps[step]?.sides.map(({ side, differenceMs }) => [side, differenceMs]);
  expect(of(1)).toEqual([['both', 30_000]]);
  const [left, right] = record.steps[2]?.sides ?? [];
  expect(left?.doneMs).toBe(right?.doneMs);
  expect(Math.abs((left?.doneMs ?? 0) - 90_000)).toBeLessThan(1500);
  for (const step of [4, 5, 7, 8, 9]) for (const [, difference] of of(step) ?? []) expect(difference).toBe(0);
  expect(record.ended).toBe(true);
  expect(record.notes).toMatchObject([{ text: 'Cold by the door', stepIndex: 2 }]);
});

test('breath is led by the hill: count, nostril by place, rounds', async ({ page, request }) => {
  const { id, document } = await newPlan(request, 'breath');
  const step = document.steps.findIndex((one) => one.kind === 'breath' && one.technique === 'alternate-nostrils');
  await teach(page, id);
  await page.keyboard.press('Space');
  for (let i = 0; i < 20; i++) {
    if (await page.getByRole('heading', { name: 'Alternate nostrils', level: 1 }).isVisible()) break;
    await page.keyboard.press('ArrowRight');
    await pass(page, 1);
  }
  const timeline = compileTimeline(document, builtInLibrary);
  const first = timeline.phases.find(({ stepIndex }) => stepIndex === step);
  const breath = timeline.phases.find((phase) => phase.stepIndex === step && phase.kind === 'in');
  await pass(page, ((breath?.startMs ?? 0) - (first?.startMs ?? 0)) / 1000 - 1 + 1.5);
  await expect(page.locator('.word')).toHaveText('In');
  await expect(page.locator('.detail')).toHaveText('left nostril');
  await expect(time(page)).toHaveText('2');
  await expect(page.locator('.half-left')).toBeVisible();
  await expect(page.getByText('8 more rounds')).toBeVisible();
  await expect(page.locator('.stone')).toHaveCount(16);
  await expect(page.locator('.stone.on')).toHaveCount(2);
  await pass(page, 8);
  await expect(page.locator('.word')).toHaveText('Out');
  await expect(page.locator('.detail')).toHaveText('right nostril');
  await expect(page.locator('.half-right')).toBeVisible();
  await pass(page, 16);
  await expect(page.locator('.detail')).toHaveText('left nostril');
  await page.keyboard.press('+');
  await expect(page.getByText('9 more rounds')).toBeVisible();
  await page.keyboard.press('-');
  await page.keyboard.press('-');
  await expect(page.getByText('7 more rounds')).toBeVisible();
});

test('leaving asks, and a session left running is found again', async ({ page, request }) => {
  const { id } = await newPlan(request, 'yin');
  await teach(page, id);
  await page.keyboard.press('Space');
  await pass(page, 30);
  await page.keyboard.press('Escape');
  const dialog = page.getByRole('dialog', { name: 'Leave the session?' });
  await dialog.getByRole('button', { name: 'Stay' }).click();
  await pass(page, 1);
  await expect(dialog).toBeHidden();
  await page.getByRole('button', { name: 'Leave', exact: true }).click();
  await dialog.getByRole('button', { name: 'Keep it running' }).click();
  await expect(page.getByRole('listbox', { name: 'Steps' })).toBeVisible();
  await pass(page, 29);
  await page.getByRole('button', { name: 'Teach' }).click();
  await expect(time(page)).toHaveText('1:00');
  await page.keyboard.press('Space');
  await pass(page, 20);
  await expect(page.locator('.side')).toHaveText('Talk, paused');
  await expect(time(page)).toHaveText('1:00');
});

test('the server goes away during a session: nothing stops, and every event arrives once', async ({
  page,
  request,
}) => {
  const { id } = await newPlan(request, 'yin');
  await teach(page, id);
  await page.route('**/api/v1/runs**', (route) => route.abort());
  await page.keyboard.press('Space');
  await pass(page, 20);
  await expect(page.getByText(/The session is kept here and sent later/)).toBeVisible();
  await page.keyboard.press('+');
  await page.keyboard.press('ArrowRight');
  await page.reload();
  await expect(page.getByText('step 2 of 14')).toBeVisible();
  await page.unrouteAll();
  await pass(page, 10);
  await page.keyboard.press('-');
  await expect
    .poll(async () => {
      // What could not be sent is tried again after half a minute at the latest.
      await page.clock.runFor(5000);
      return (await eventsOf(request, id)).map(({ kind }) => kind);
    })
    .toEqual(['started', 'led', 'stretched', 'jumped', 'stretched']);
});

test('bells are scheduled on the audio clock at their moments, and silent kinds stay silent', async ({
  page,
  request,
}) => {
  const { id } = await newPlan(request, 'yin');
  await page.addInitScript(() => {
    const rung: number[] = [];
    Object.assign(globalThis, { rung });
    const start = OscillatorNode.prototype.start;
    OscillatorNode.prototype.start = function (when?: number) {
      if (Math.abs(this.frequency.value - 294) < 0.1)
        rung.push(Date.now() + ((when ?? 0) - this.context.currentTime) * 1000);
      return start.call(this, when);
    };
  });
  await teach(page, id);
  await page.getByRole('button', { name: 'Begin' }).first().click();
  const { phases } = compileTimeline((await newPlan(request, 'yin')).document, builtInLibrary);
  const breath = phases.find(({ kind }) => kind === 'in')?.startMs ?? 0;
  // Tick by tick: a bell is scheduled by the tick before it.
  for (let more = breath + 2000; more > 0; more -= 10_000) await page.clock.runFor(Math.min(10_000, more));
  const rung = await page.evaluate(() => (globalThis as unknown as { rung: number[] }).rung);
  expect(rung).toHaveLength(1);
  expect(Math.abs((rung[0] ?? 0) - (BEGIN.getTime() + 60_000 + breath))).toBeLessThan(20);
});

test('in hand: held until said, taken back, a rest, two exchanged, late and caught up, asleep and gone on from there', async ({
  page,
  request,
}) => {
  const { id, document } = await newPlan(request, 'restorative');
  const timeline = compileTimeline(document, builtInLibrary);
  const first = timeline.phases.find(({ kind }) => kind === 'hold')!;
  await teach(page, id);
  await page.keyboard.press('Space');
  await pass(page, first.startMs / 1000 + 1);
  await page.keyboard.press('h');
  await expect(page.getByText('until you end it', { exact: true })).toBeVisible();
  await pass(page, 420);
  await expect(page.locator('.side')).toHaveText('Both sides');
  await expect(time(page)).toHaveText('7:01');
  await page.keyboard.press('e');
  await expect(page.locator('.side')).toHaveText('Coming out');
  await page.keyboard.press('z');
  await expect(page.locator('.side')).toHaveText('Both sides');
  await page.keyboard.press('r');
  await expect(page.getByText('A rest of 1:00 is added')).toBeVisible();
  await page.keyboard.press('e');
  await expect(page.locator('.side')).toHaveText('Rest');

  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('button', { name: /^Longer out-breath before Reclined twist/ }).click();
  await expect(page.getByRole('heading', { name: /^Longer out-breath/ }).first()).toBeVisible();

  await page.getByRole('button', { name: 'Catch up' }).click();
  const dialog = page.getByRole('dialog', { name: 'Finish on time' });
  await expect(dialog).toContainText('each side');
  await expect(dialog).toContainText(/on time|late: the ranges/);
  await dialog.getByRole('button', { name: 'Apply' }).click();
  await expect(page.getByText('Refitted to finish on time')).toBeVisible();

  // The dialog fades.
  await page.clock.runFor(1000);
  await page.clock.fastForward(50_000);
  await expect(page.getByText('0:50 passed while the screen was asleep.')).toBeVisible();
  const before = await time(page).innerText();
  await page.getByRole('button', { name: 'Resume from where it was' }).click();
  await expect(time(page)).not.toHaveText(before);
  await expect
    .poll(async () => {
      await page.clock.runFor(1000);
      return (await eventsOf(request, id)).map(({ kind }) => kind);
    })
    .toEqual(['started', 'led', 'opened', 'cut', 'undone', 'restAdded', 'cut', 'swapped', 'refitted', 'missed']);
});

test('a rehearsal goes ten or sixty times as fast, and is not in the record', async ({ page, request }) => {
  const { id, document } = await newPlan(request, 'restorative');
  await page.clock.install({ time: BEGIN });
  await page.goto(`/teach/${id}`);
  await page.getByRole('link', { name: '10×' }).click();
  await page.clock.pauseAt(BEGIN.getTime() + 60_000);
  await page.getByRole('button', { name: 'Begin the rehearsal' }).click();
  await expect(page.getByRole('radiogroup', { name: 'Speed' })).toBeVisible();
  await page.clock.runFor(16_000);
  await expect(page.locator('.side')).toHaveText('Both sides');
  await page.keyboard.press('+');
  await expect(page.getByText('0:30 more')).toBeVisible();
  await page.getByRole('radio', { name: '60×' }).click();
  for (let i = 0; i < 90 && !(await page.getByText('The plan is over', { exact: true }).isVisible()); i++)
    await page.clock.runFor(1000);
  await page.getByRole('button', { name: 'End the session' }).click();
  await expect(page.getByRole('heading', { level: 1, name: document.title })).toBeVisible();
  expect((await (await request.get(`/api/v1/runs?planId=${id}`)).json()).items).toEqual([]);
});

test('a window for the room follows the session, and has nothing to press', async ({ page, context, request }) => {
  const { id } = await newPlan(request, 'restorative');
  const room = await context.newPage();
  await room.goto(`/room/${id}`);
  await expect(room.getByText('The session has not begun yet.')).toBeVisible();
  await page.goto(`/teach/${id}`);
  await page.getByRole('button', { name: 'Begin' }).first().click();
  await expect(room.locator('.side')).toHaveText('Talk');
  await page.keyboard.press('ArrowRight');
  await expect(room.locator('.side')).toHaveText('Set up');
  await page.keyboard.press('Space');
  await expect(room.locator('.side')).toHaveText('Set up, paused');
  await expect(room.getByRole('button')).toHaveCount(0);
  await room.reload();
  await expect(room.locator('.side')).toHaveText('Set up, paused');
});
