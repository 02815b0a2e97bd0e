/// <reference lib="dom" />
import { expect, test } from '@playwright/test';
import { cycleOf, setOf } from '#core/breath';
import { breathFrom, emptyPlan, holdFrom, Plan } from '#core/plan';
import { builtInLibrary, TECHNIQUES } from '#library';
import { choose, openPlan, openTab, passMs, rows, saved, storedPlan, total } from './support';

const BEGIN = new Date('2026-11-26T18:00:00Z');

test('a class in bed has the set-ups for the bed, as one change', async ({ page, request }) => {
  const hold = (id: string) => holdFrom(builtInLibrary.position(id)!, 'restorative', id);
  const document = Plan.parse({ ...emptyPlan('Before sleep'), steps: [hold('child-wide'), hold('last-rest')] });
  const { id } = await (await request.post('/api/v1/plans', { data: { document } })).json();
  await openPlan(page, id);
  await page.getByRole('button', { name: /change title, group, place, time/ }).click();
  await choose(page.getByLabel('Where it takes place'), 'In bed');
  await expect(page.getByText('The set-ups of 2 steps were changed.')).toBeVisible();
  await page.getByRole('button', { name: 'Done' }).click();
  await saved(page);
  const inBed = (await storedPlan(request, id)).document;
  expect([inBed.where, inBed.steps.map((step) => 'setUp' in step && step.setUp!.map(({ kind }) => kind))]).toEqual([
    'bed',
    [
      ['pillow', 'pillow'],
      ['pillow', 'pillow', 'blanket'],
    ],
  ]);
  await page.getByRole('button', { name: /^Undo/ }).click();
  await saved(page);
  expect((await storedPlan(request, id)).document).toMatchObject({ where: null, steps: document.steps });
});

test('the wall is as far away as the set-up says', async ({ page, request }) => {
  const hold = holdFrom(builtInLibrary.position('legs-up-wall')!, 'restorative', 'wall');
  const document = Plan.parse({ ...emptyPlan('At the wall'), steps: [hold] });
  const { id } = await (await request.post('/api/v1/plans', { data: { document } })).json();
  await openPlan(page, id);
  await rows(page).first().click();
  await openTab(page, 'Props');
  await page.getByRole('checkbox', { name: 'about', exact: true }).check();
  const distance = page.getByLabel('Distance from the wall');
  await expect(distance).toHaveValue('30');
  await distance.fill('200');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Farther than 90 cm the wall is out of reach.')).toBeVisible();
  await distance.fill('25');
  await page.keyboard.press('Enter');
  await saved(page);
  const [step] = (await storedPlan(request, id)).document.steps;
  expect('setUp' in step! && step.setUp?.find(({ kind }) => kind === 'wall')).toMatchObject({ wallCm: 25 });
});

test('an interrupted in-breath: set, timed to the second, paced with its pauses', async ({ page, request }) => {
  const technique = TECHNIQUES.find(({ id }) => id === 'equal-breath') ?? TECHNIQUES[0]!;
  const breath = {
    ...breathFrom(technique, 'breath'),
    practice: { countSeconds: 1, sets: [setOf('a', [cycleOf([6, 0, 6, 0])], 10)] },
    setupSeconds: 0,
    afterSeconds: 0,
  };
  const document = Plan.parse({ ...emptyPlan('Interrupted', 'pranayama'), steps: [breath] });
  const { id } = await (await request.post('/api/v1/plans', { data: { document } })).json();
  await openPlan(page, id);
  await rows(page).first().click();
  await choose(page.getByLabel('in-breath', { exact: true }), 'in 3 parts');
  await expect(page.getByLabel('pauses in it, counts')).toHaveValue('2');
  // 10 × (6 + 2 × 2 + 6).
  await expect(total(page)).toContainText('2:40');
  await saved(page);

  await page.clock.install({ time: BEGIN });
  await page.goto(`/teach/${id}`);
  await page.getByRole('button', { name: 'Begin' }).first().waitFor();
  await page.clock.pauseAt(BEGIN.getTime() + 60_000);
  await page.keyboard.press('Space');
  await passMs(page, 500);
  await expect(page.locator('.pacer .word')).toHaveText('In, 1 of 3');
  await passMs(page, 2000);
  await expect(page.locator('.pacer .word')).toHaveText('Pause');
  await passMs(page, 2000);
  await expect(page.locator('.pacer .word')).toHaveText('In, 2 of 3');
  await passMs(page, 6000);
  await expect(page.locator('.pacer .word')).toHaveText('Out');
});

test('a practice at three places and the same again, led to its end and seen in the record', async ({
  page,
  request,
}) => {
  const breath = {
    ...breathFrom(TECHNIQUES[0]!, 'places'),
    practice: { countSeconds: 1, sets: [setOf('a', [cycleOf([4, 0, 4, 0])], 1)] },
    setupSeconds: 0,
    afterSeconds: 0,
  };
  const document = Plan.parse({ ...emptyPlan('Three places', 'pranayama'), steps: [breath] });
  const { id } = await (await request.post('/api/v1/plans', { data: { document } })).json();
  await openPlan(page, id);
  await rows(page).first().click();
  await page.getByRole('button', { name: 'Several sets at once' }).click();
  await page.getByLabel('breaths in each place').fill('0');
  await page.keyboard.press('Tab');
  await expect(page.getByText('A whole number from 1 to 60.')).toBeVisible();
  await page.getByLabel('breaths in each place').fill('2');
  await page.keyboard.press('Tab');
  await page.getByRole('button', { name: 'Only these' }).click();
  await page.getByRole('button', { name: 'Add them again' }).click();
  // 3 places × (2 + 5) breaths of 7 s.
  await expect(total(page)).toContainText('2:27');
  await saved(page);

  await page.clock.install({ time: BEGIN });
  await page.goto(`/teach/${id}`);
  await page.getByRole('button', { name: 'Begin' }).first().waitFor();
  await page.clock.pauseAt(BEGIN.getTime() + 60_000);
  await page.keyboard.press('Space');
  const stage = page.locator('main');
  await passMs(page, 1000);
  await expect(stage).toContainText('on the belly');
  await passMs(page, 14_000);
  await expect(stage).toContainText('on the side ribs');
  await passMs(page, 28_000);
  // The same again, from the belly.
  await expect(stage).toContainText('on the belly');
  await passMs(page, 110_000);
  await page.clock.resume();
  await page.goto('/history');
  await page.getByRole('link', { name: 'Three places' }).first().click();
  await expect(page.getByText('2:27').first()).toBeVisible();
});

test('a counted series in its teacher’s words, with a way out of its own, its side lit', async ({ page, request }) => {
  const technique = TECHNIQUES[0]!;
  const series = {
    ...breathFrom(technique, 'series'),
    practice: { countSeconds: 1, sets: [setOf('a', [cycleOf([4, 0, 6, 4])], 2)] },
    moves: { position: 'crossed-twist', into: 'out', outOf: 'in', sides: 'each', first: 'left' } as const,
    setupSeconds: 0,
  };
  const document = Plan.parse({ ...emptyPlan('Counted', 'pranayama'), steps: [series] });
  const { id } = await (await request.post('/api/v1/plans', { data: { document } })).json();
  await openPlan(page, id);
  await rows(page).first().click();
  await page.getByLabel('Words for moving in').fill('fall to the side');
  await page.getByLabel('Changing sides').fill('0');
  await page.getByLabel('Coming out at the end').fill('10');
  await page.keyboard.press('Enter');
  await page.getByLabel('How to come out').fill('knees through the middle');
  await page.keyboard.press('Enter');
  // 2 × (2 × 14 + 10).
  await expect(total(page)).toContainText('1:16');
  await saved(page);

  await page.clock.install({ time: BEGIN });
  await page.goto(`/teach/${id}`);
  await page.getByRole('button', { name: 'Begin' }).first().waitFor();
  await page.clock.pauseAt(BEGIN.getTime() + 60_000);
  await page.keyboard.press('Space');
  await passMs(page, 4500);
  await expect(page.locator('.pacer .detail')).toContainText('fall to the side');
  await expect(page.locator('.pacer')).toHaveClass(/half-left/);
  await passMs(page, 23_500 + 1000);
  await expect(page.getByText('knees through the middle')).toBeVisible();
  await passMs(page, 10_000);
  await expect(page.locator('.pacer')).toHaveClass(/half-right/);
});

test('a percentage that is too high is refused at its field, which keeps it', async ({ page }) => {
  await page.goto('/settings?group=school');
  const changes = page.getByLabel('Getting in, coming out, changing sides');
  await changes.fill('500');
  await page.keyboard.press('Enter');
  await expect(page.getByText('at most 300 % of its usual time')).toBeVisible();
  await expect(changes).toHaveValue('500');
});
