/// <reference lib="dom" />
import { expect, test, type Page } from '@playwright/test';
import { compareRun } from '#core/review';
import { compileTimeline } from '#core/timeline';
import { builtInLibrary } from '#library';
import { StoredRun } from '#api';
import { choose, newPlan, passMs, storedPlan } from './support';

const BEGIN = new Date('2026-11-26T18:00:00Z');
const time = (page: Page) => page.getByRole('timer');
const pass = (page: Page, seconds: number): Promise<void> => passMs(page, seconds * 1000);

test('a full session: stretched first side, evened second, late, caught up, closed with ratings, looked at, taken into the plan', async ({
  page,
  request,
}) => {
  test.setTimeout(150_000);
  const { id, document } = await newPlan(request, 'restorative', {
    title: 'A full session with a name that is longer than most and still must be read from the mat',
  });
  const timeline = compileTimeline(document, builtInLibrary);
  const twist = timeline.phases.filter(({ stepIndex, kind }) => stepIndex === 2 && kind === 'hold');
  const [first, second] = twist as [(typeof twist)[number], (typeof twist)[number]];
  await page.clock.install({ time: BEGIN });
  await page.goto(`/teach/${id}`);
  await expect(page.locator('button.begin')).toBeVisible();
  await page.clock.pauseAt(BEGIN.getTime() + 60_000);
  await page.getByText('Who is here').click();
  await page.getByRole('button', { name: 'BS', exact: true }).click();
  await page.getByRole('textbox', { name: 'and others' }).fill('11');
  await page.keyboard.press('Enter');
  await page.locator('button.begin').click();

  // What to keep in mind stands in a corner, by initials, and can be hidden.
  await pass(page, (timeline.steps[1]?.startMs ?? 0) / 1000 + 1);
  await expect(page.getByText('head high, up slowly')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Keep in mind' })).toContainText('BS');
  await expect(page.getByRole('region', { name: 'Keep in mind' })).not.toContainText('Bryony');
  await page.getByRole('button', { name: 'Keep in mind: hide' }).click();
  await expect(page.getByText('head high, up slowly')).toBeHidden();

  // The first side is stretched by a minute; the second gets the same by itself.
  await pass(page, (first.startMs - (timeline.steps[1]?.startMs ?? 0)) / 1000 + 10);
  await expect(page.locator('.side')).toHaveText('Left');
  await page.keyboard.press('+');
  await page.keyboard.press('+');
  await expect(page.getByText('1:00 late')).toBeVisible();
  await pass(page, 60 + (second.startMs - first.startMs) / 1000 - 10 + 20);
  await expect(page.locator('.side')).toHaveText('Right');
  await expect(time(page)).toHaveText('4:09');
  await expect(page.getByText('2:00 late')).toBeVisible();

  // Caught up: shown before it is taken, and then it ends in time.
  await page.keyboard.press('c');
  const dialog = page.getByRole('dialog', { name: 'Finish on time' });
  await expect(dialog).toContainText('on time');
  await dialog.getByRole('button', { name: 'Apply' }).click();
  await expect(page.getByText('on time', { exact: true })).toBeVisible();
  await page.clock.runFor(1000);
  await page.keyboard.press('n');
  await page.getByRole('textbox', { name: 'Note' }).fill('Window draughty');
  await page.keyboard.press('Enter');

  for (let i = 0; i < 60 && !(await page.getByText('The plan is over', { exact: true }).isVisible()); i++)
    await pass(page, 60);
  await page.getByRole('button', { name: 'End the session' }).click();

  // One minute afterwards, kept as it is said.
  await expect(page).toHaveURL(/view=close/);
  const rate = page.getByRole('slider', { name: 'Intensity of Reclined twist, right' });
  await rate.focus();
  await page.keyboard.press('6');
  await expect(rate).toHaveAttribute('aria-valuetext', '6 of 10');
  await page.getByRole('slider', { name: 'Intensity of Reclined twist, left' }).locator('.mark').nth(6).click();
  await page
    .getByRole('radiogroup', { name: 'Which side was tighter in Reclined twist' })
    .getByRole('radio', { name: 'right' })
    .click();
  await page
    .getByRole('radiogroup', { name: 'The props of Head to knee' })
    .getByRole('radio', { name: 'too low' })
    .click();
  await page.getByRole('textbox', { name: 'What to change next time' }).fill('Start the twist sooner');
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByText('Window draughty')).toBeVisible();
  await expect(page.getByText('right tighter')).toBeVisible();
  await expect(page.getByText('props too low')).toBeVisible();
  await expect(page.getByText('12 people')).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Start the twist sooner' })).toHaveCount(0);
  await expect(page.getByText('Start the twist sooner')).toBeVisible();

  // Sorted by the largest difference: the twist, a minute longer on each side.
  await expect(page.locator('tbody').first()).toContainText('Reclined twist');
  await expect(page.locator('tbody').first()).toContainText('+1:00');
  await expect(
    page
      .locator('.told')
      .getByText(/0:30 longer in Reclined twist/)
      .first(),
  ).toBeVisible();

  // Its times into the plan, and back.
  const put = page.getByRole('button', { name: 'Use in plan, Reclined twist' });
  await put.click();
  const back = page.getByRole('button', { name: 'Undo, Reclined twist' });
  await expect(back).toBeVisible();
  const seconds = async () => {
    const step = (await storedPlan(request, id)).document.steps[2];
    return step?.kind === 'hold' && 'length' in step.sides && step.sides.length.kind === 'even'
      ? step.sides.length.seconds
      : 0;
  };
  await expect.poll(seconds).toBe(270);
  await back.click();
  await expect(put).toBeVisible();
  await expect.poll(seconds).toBe(210);

  // A length corrected, and what was measured beside it.
  await page.getByRole('tab', { name: 'Correct times' }).click();
  const field = page.getByRole('textbox', { name: 'Reclined twist right, as it was' });
  await field.fill('4:00');
  await page.keyboard.press('Enter');
  await page.getByRole('tab', { name: 'How it went' }).click();
  await expect(page.getByText('measured 4:30')).toBeVisible();
  await page.getByRole('tab', { name: 'Correct times' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('tab', { name: 'How it went' }).click();
  await expect(page.getByText('measured 4:30')).toBeHidden();

  const runId = new URL(page.url()).pathname.split('/').at(-1) ?? '';
  await expect
    .poll(async () => {
      await page.clock.runFor(500);
      return StoredRun.parse(await (await request.get(`/api/v1/runs/${runId}`)).json()).events.map(({ kind }) => kind);
    })
    .toEqual([
      ...['started', 'led', 'present', 'stretched', 'stretched', 'matched', 'refitted', 'noted', 'ended'],
      ...['rated', 'rated', 'reviewed', 'reviewed', 'reviewed', 'corrected', 'undone'],
    ]);
  const run = StoredRun.parse(await (await request.get(`/api/v1/runs/${runId}`)).json());
  const record = compareRun(timeline, run.events);
  expect(record.steps[2]?.sides.map(({ doneMs, strength }) => [doneMs, strength])).toEqual([
    [270_000, 4],
    [270_000, 6],
  ]);
  expect(Math.abs(record.total.differenceMs)).toBeLessThan(61_000);
});

test('over weeks: each thing in a sentence, by filters, with its numbers; a journal entry without a run', async ({
  page,
}, { retry, repeatEachIndex }) => {
  const title = `On the night train ${retry}${repeatEachIndex}`;
  await page.clock.install({ time: new Date('2026-11-26T18:00:00Z') });
  await page.goto('/history');
  await expect(page.getByText('Before the ferry')).toBeVisible();
  await page.getByRole('link', { name: 'Trends' }).click();
  await expect(page.getByText(/^Most time went to .* in \d weeks; least to/)).toBeVisible();
  await expect(page.getByText(/^(Left|Right) sides had \d+ % less than (left|right) ones/)).toBeVisible();
  await expect(page.getByText(/^\d+ sessions (ran \d+ % (over|under) the plan|took as long as planned)/)).toBeVisible();
  await expect(page.getByText(/^Setting up or changing takes/)).toBeVisible();
  await expect(page.locator('canvas')).toHaveCount(5);
  const planned = page.getByRole('region', { name: 'Planned and done' });
  await planned.getByRole('button', { name: 'Show the numbers' }).click();
  await expect(planned.getByRole('row', { name: /19 Nov.*Before the night shift.*59:41.*61:23/ })).toBeVisible();

  await choose(page.getByRole('combobox', { name: 'Group' }), 'Potters');
  await expect(planned.getByRole('row', { name: /Before the night shift/ })).toHaveCount(0);
  await expect(planned.getByRole('row', { name: /Hips and hands/ }).first()).toBeVisible();
  await page.getByRole('button', { name: 'Show all' }).click();
  await choose(page.getByRole('combobox', { name: 'Person' }), 'BS');
  await expect(page.getByText(/^\d+ sessions? (ran|took)/)).toBeVisible();
  await page.getByRole('radio', { name: 'choose days' }).click();
  await page.getByLabel('from', { exact: true }).fill('2026-12-24');
  await page.keyboard.press('Enter');
  await expect(page.getByText('The last day comes before the first.')).toBeVisible();

  await page.getByRole('link', { name: 'Sessions' }).click();
  await page.getByRole('button', { name: 'New journal entry' }).click();
  await page.getByRole('textbox', { name: 'Name' }).fill(title);
  await page.getByRole('textbox', { name: 'Total length' }).fill('12:00');
  await page
    .getByRole('textbox', { name: 'A position' })
    .or(page.getByRole('combobox', { name: 'A position' }))
    .fill('Reclined twist');
  await page.getByRole('button', { name: 'Add a hold' }).click();
  await page.getByRole('textbox', { name: 'left' }).fill('2:00');
  await page.getByRole('textbox', { name: 'right' }).fill('soon');
  await page.keyboard.press('Enter');
  await expect(page.locator('.field-reason').first()).toBeVisible();
  await page.getByRole('textbox', { name: 'right' }).fill('1:45');
  await page.keyboard.press('Enter');
  await page.getByRole('link', { name: 'History' }).first().click();
  // Not before it is there: the address of the entry would be loaded anew.
  await expect(page).toHaveURL(/\/history$/);
  await page.reload();
  const entry = page.getByRole('row', { name: title });
  await expect(entry).toContainText('practised alone, Reclined twist');
  await expect(entry).toContainText('12:00');
  await entry.getByRole('button', { name: /^Delete the journal entry/ }).click();
  await expect(entry).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(entry).toBeVisible();
  await entry.getByRole('button', { name: /^Delete the journal entry/ }).click();
  await expect(entry).toHaveCount(0);
});
