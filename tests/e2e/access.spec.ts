/// <reference lib="dom" />
import { expect, test } from '@playwright/test';
import { check } from './accessible';
import { newPlan, openPlan, rows } from './support';

test.describe('by day and by night', () => {
  test('home, new plan, bin', async ({ page }) => {
    await page.goto('/');
    await expect(page.getByRole('heading', { name: 'Plans' })).toBeVisible();
    await check(page);
    await page.getByRole('button', { name: 'New plan' }).click();
    await expect(page.getByRole('dialog')).toBeVisible();
    await check(page);
    await page.goto('/bin');
    await check(page);
  });

  test('planner: a hold, a breath, a talk', async ({ page, request }) => {
    const { id } = await newPlan(request, 'yin');
    await openPlan(page, id);
    for (const row of [5, 1, 0]) {
      await rows(page).nth(row).click();
      await check(page);
    }
  });

  test('teach: before, in a hold, in a breath', async ({ page, request }) => {
    const { id } = await newPlan(request, 'yin');
    await page.goto(`/teach/${id}`);
    await expect(page.getByRole('button', { name: 'Begin' }).first()).toBeVisible();
    await check(page);
    await page.keyboard.press('Space');
    await check(page);
    await page.keyboard.press('ArrowRight');
    await expect(page.getByText('step 2 of 14')).toBeVisible();
    await page.keyboard.press('e');
    await check(page);
  });

  test('library: the grid, an entry, a technique', async ({ page }) => {
    // The check takes its time over every card of the grid.
    test.slow();
    await page.goto('/library');
    await expect(page.getByRole('heading', { name: 'Library' })).toBeVisible();
    await check(page);
    await page.goto('/library/reclined-twist');
    await expect(page.getByRole('img', { name: 'From the front' })).toBeVisible();
    await check(page);
    await page.goto('/library/breath/humming');
    await expect(page.getByRole('heading', { name: 'Humming breath' })).toBeVisible();
    await check(page);
  });

  test('an entry of one’s own: a position with something missing, a technique', async ({ page }) => {
    await page.goto('/library?search=twist');
    await page.getByRole('button', { name: 'New entry' }).click();
    await check(page);
    await page.getByRole('menuitem', { name: 'A position' }).click();
    await page.getByRole('button', { name: 'Set its joints' }).click();
    await page.getByRole('button', { name: 'Add a prop' }).click();
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByText('A name is needed.')).toBeVisible();
    await check(page);
    await page.goto('/library/breath/humming');
    await page.getByRole('button', { name: 'Make a copy' }).click();
    await expect(page.getByRole('textbox', { name: 'What one round is' })).toBeVisible();
    await check(page);
  });

  test('people, measuring, house rules', async ({ page }) => {
    await page.goto('/people');
    await expect(page.getByRole('link', { name: 'Ines Harrowgate' })).toBeVisible();
    await check(page);
    await page.goto('/people/demo-ines');
    await expect(page.getByRole('heading', { name: /Easy breath/ })).toBeVisible();
    await check(page);
    await page.getByRole('button', { name: 'Measure the breath' }).click();
    await expect(page.getByRole('dialog')).toBeVisible();
    await check(page);
    await page.goto('/settings?group=breath');
    await expect(page.getByLabel('Ratio 1', { exact: true })).toBeVisible();
    await check(page);
  });

  test('the people of a plan, a group, the screening form', async ({ page, request }) => {
    const { id } = await newPlan(request, 'yin', { groupId: 'demo-group-singers', startsAt: '2026-12-01T19:15' });
    await page.goto(`/plans/${id}/people`);
    await expect(page.getByText(/people have something to look at/)).toBeVisible();
    await check(page);
    for (const view of ['For one person', 'In general']) {
      await page.getByRole('tab', { name: view }).click();
      await check(page);
    }
    await page.goto('/people/groups/demo-group-singers');
    await expect(page.getByRole('link', { name: 'Margery Tolland' })).toBeVisible();
    await check(page);
    await page.goto('/people/demo-singer-1/form');
    await expect(page.getByRole('heading', { name: 'Before the first class' })).toBeVisible();
    await page.getByLabel(/^Is a knee sore/).check();
    await check(page);
    await page.goto('/people/form');
    await check(page);
  });

  test('cupboard, a place, the props of a plan', async ({ page, request }) => {
    await page.goto('/places');
    await expect(page.getByRole('link', { name: 'Wrackline Hall, low room' })).toBeVisible();
    await check(page);
    await page.goto('/places/demo-low-room');
    await expect(page.getByRole('img', { name: /A floor of/ })).toBeVisible();
    await check(page);
    const { id } = await newPlan(request, 'restorative', { groupSize: 16, cupboard: 'demo-low-room' });
    await page.goto(`/plans/${id}/props`);
    await expect(page.getByRole('heading', { name: 'Shortages' })).toBeVisible();
    await check(page);
    for (const view of ['Packing list', 'Set-up sheet', 'At home']) {
      await page.getByRole('tab', { name: view }).click();
      await expect(page.getByRole('article')).toBeVisible();
      await check(page);
    }
  });

  test('fitting, order, forecast, variants, and so much time today', async ({ page, request }) => {
    const { id } = await newPlan(request, 'yin', { classSeconds: 3600 });
    await page.goto(`/plans/${id}/fit`);
    await expect(page.getByText('to the second')).toBeVisible();
    await check(page);
    await page.getByRole('button', { name: 'Save as a variant' }).click();
    await expect(page.getByText('Saved as a variant.')).toBeVisible();
    await page.getByLabel('Length', { exact: true }).fill('40:00');
    await page.keyboard.press('Enter');
    await expect(page.getByText(/^It cannot be that short/)).toBeVisible();
    await check(page);
    await page.getByRole('tab', { name: 'Order', exact: true }).click();
    await expect(page.getByText(/No smoother order exists/)).toBeVisible();
    await check(page);
    await page.getByRole('tab', { name: 'End time' }).click();
    await expect(page.getByRole('heading', { name: 'What makes it uncertain' })).toBeVisible();
    await check(page);
    await page.getByRole('tab', { name: 'Variants' }).click();
    await expect(page.getByRole('button', { name: 'Use this one' })).toBeVisible();
    await check(page);
    await page.goto('/');
    await page.getByRole('button', { name: 'Fit a plan to today’s time' }).click();
    await expect(
      page
        .getByRole('dialog')
        .getByText(/^(4|It )/)
        .first(),
    ).toBeVisible();
    await check(page);
  });

  test('every shape of breath, in the planner and on the stage', async ({ page, request }) => {
    const { id } = await newPlan(request, 'workshop');
    await openPlan(page, id);
    for (const row of [2, 3, 4, 5, 7]) {
      await rows(page).nth(row).click();
      await check(page);
    }
    await rows(page).nth(3).click();
    await page.getByRole('button', { name: 'Try it' }).click();
    await expect(page.getByRole('dialog').locator('.word')).toBeVisible();
    await check(page);
  });

  test('look back: all runs and one', async ({ page }) => {
    await page.goto('/history');
    await expect(page.getByRole('link', { name: /Before the night shift/ }).first()).toBeVisible();
    await check(page);
    await page.goto('/history/demo-run-nurses');
    await expect(page.getByRole('heading', { level: 1 })).toContainText('Right sides were 0:50 shorter');
    await check(page);
    for (const view of ['Review the session', 'Correct times']) {
      await page.getByRole('tab', { name: view }).click();
      await check(page);
    }
    await page.goto('/history/trends');
    await expect(page.getByRole('heading', { name: 'Breath', exact: true })).toBeVisible();
    await check(page);
    await page.goto('/history/journal/demo-journal-1');
    await expect(page.getByRole('heading', { name: 'Holds' })).toBeVisible();
    await check(page);
  });
});

test('on a phone the name of a person, a group and a place is there to be read and changed', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  for (const path of ['/people/demo-ines', '/people/groups/demo-group-singers', '/places/demo-boat-loft']) {
    await page.goto(path);
    const name = page.getByRole('textbox', { name: 'Name', exact: true });
    await expect(name).toBeInViewport();
    expect((await name.boundingBox())?.width, path).toBeGreaterThan(200);
  }
});

test('teaching on a phone: the controls fit and are large enough', async ({ page, request }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  const { id } = await newPlan(request, 'yin');
  await page.goto(`/teach/${id}`);
  await page.getByRole('button', { name: 'Begin' }).first().click();
  const boxes = await page
    .locator('footer button')
    .evaluateAll((buttons) => buttons.map((button) => button.getBoundingClientRect().toJSON()));
  expect(boxes.length).toBe(9);
  for (const box of boxes) {
    expect(Math.min(box.width, box.height)).toBeGreaterThanOrEqual(44);
    expect(box.bottom).toBeLessThanOrEqual(844);
    expect(box.right).toBeLessThanOrEqual(390);
  }
});

test('teaching on a phone: what is said is in view', async ({ page, request }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.clock.install({ time: new Date('2026-11-26T18:00:00Z') });
  const { id } = await newPlan(request, 'restorative');
  await page.goto(`/teach/${id}`);
  await page.getByRole('button', { name: 'Begin' }).first().click();
  for (let i = 0; i < 20 && !(await page.getByRole('heading', { name: 'Reclined twist', level: 1 }).isVisible()); i++) {
    await page.keyboard.press('ArrowRight');
    await page.clock.runFor(200);
  }
  await page.clock.fastForward(130_000);
  const prompt = page.locator('.prompt');
  await expect(prompt).toContainText('Let the far shoulder grow heavy');
  const [promptBox, stage] = [(await prompt.boundingBox())!, (await page.locator('.active').boundingBox())!];
  expect(promptBox.y + promptBox.height).toBeLessThanOrEqual(stage.y + stage.height);
});
