/// <reference lib="dom" />
import { expect, test, type APIRequestContext, type Page } from '@playwright/test';
import type { HoldStep, Plan } from '#core/plan';
import { choose, newPlan, openPlan, rows, saved, storedPlan, total } from './support';

const FOURTEEN_OVER = 100;

/** A yin plan whose last rest is free and so long that the plan is fourteen minutes over its hour. */
async function overPlan(request: APIRequestContext, title: string, patch: Partial<Plan> = {}) {
  const plan = await newPlan(request, 'yin', { title });
  const last = plan.document.steps.findLastIndex(({ kind }) => kind === 'hold');
  const steps = plan.document.steps.map((step, i) =>
    i === last && step.kind === 'hold' && 'seconds' in step.sides
      ? { ...step, locked: false, sides: { ...step.sides, seconds: step.sides.seconds + FOURTEEN_OVER } }
      : step,
  );
  const document = { ...plan.document, classSeconds: 3600, steps, ...patch };
  const answer = await request.put(`/api/v1/plans/${plan.id}`, { data: { revision: plan.revision, document } });
  expect(answer.status()).toBe(200);
  return { id: plan.id, document };
}
const secondsOf = (plan: Plan, index: number): number => {
  const { sides } = plan.steps[index] as HoldStep;
  return 'seconds' in sides ? sides.seconds : sides.length.kind === 'even' ? sides.length.seconds : sides.length.left;
};
const view = (page: Page, name: string) => page.getByRole('tab', { name, exact: true });
const verdict = (page: Page) =>
  page.getByRole('status').filter({ hasText: /to the second|to spare|cannot be|fits as/ });
const row = (page: Page, name: RegExp) => page.getByRole('row').filter({ hasText: name }).first();

test.describe('fit to the hour', () => {
  test('fourteen minutes over is made to fit: before and after, taken as one step of undo', async ({
    page,
    request,
  }) => {
    const { id, document } = await overPlan(request, 'Fourteen over');
    await openPlan(page, id);
    await expect(page.getByLabel('Compared with class length')).toHaveText('14:02 over');
    await page.getByRole('link', { name: 'Fit', exact: true }).click();
    await expect(verdict(page)).toHaveText('60:00, to the second, with 11 lengths changed.');
    await expect(page.getByRole('group', { name: /14 steps, 74:02 of 60:00, 14:02 over/ })).toBeVisible();
    await expect(page.getByRole('group', { name: /14 steps, 60:00 of 60:00/ })).toBeVisible();
    await expect(row(page, /Wide-legged fold/)).toContainText('5:00');
    await page.getByRole('button', { name: 'Apply' }).click();
    await expect(verdict(page)).toHaveText('It fits as it is: 60:00, to the second.');
    await saved(page);
    const fitted = (await storedPlan(request, id)).document;
    expect(secondsOf(fitted, 12)).toBe(300);
    await page.keyboard.press('Control+z');
    await expect(verdict(page)).toContainText('with 11 lengths changed');
    await page.getByRole('link', { name: 'Fourteen over' }).click();
    await expect(total(page)).toContainText('74:02');
    await saved(page);
    expect((await storedPlan(request, id)).document.steps).toEqual(document.steps);
  });

  test('what is locked on the ribbon keeps its length; what gives way first gives more', async ({ page, request }) => {
    const { id } = await overPlan(request, 'Locks and weights');
    await page.goto(`/plans/${id}/fit`);
    await expect(row(page, /Child’s pose/)).toContainText('3:00');
    await page.locator('.lock').nth(1).click();
    await expect(page.getByRole('button', { name: 'Free Child’s pose on a bolster' })).toBeVisible();
    await expect(row(page, /Child’s pose/)).toContainText('4:004:00');
    const before = await row(page, /Wide-legged fold/).innerText();
    const slider = page.getByRole('slider', { name: 'Priority of Wide-legged fold' });
    await slider.focus();
    await page.keyboard.press('ArrowRight');
    await expect(slider).toHaveAttribute('aria-valuetext', 'keeps its length');
    await expect(row(page, /Wide-legged fold/)).not.toHaveText(before);
    await saved(page);
    const { steps } = (await storedPlan(request, id)).document;
    expect(steps[2]).toMatchObject({ locked: true });
    expect(steps[7]).toMatchObject({ weight: 'keep' });
  });

  test('to an hour of the day, by whole minutes, with time for talk; wrong input is told at its field', async ({
    page,
    request,
  }) => {
    const { id } = await overPlan(request, 'By the clock', { startsAt: '2026-11-26T18:30' });
    await page.goto(`/plans/${id}/fit`);
    await page.getByRole('radio', { name: 'an end time' }).click();
    const hour = page.getByLabel('Ends at');
    await expect(hour).toHaveValue('19:30');
    await hour.fill('18:30');
    await hour.blur();
    await expect(page.getByRole('alert')).toHaveText('It would end when it begins.');
    await hour.fill('19:35');
    await hour.blur();
    await page.getByRole('radio', { name: '60 s' }).click();
    await page.getByLabel('reserved for talking').fill('2:00');
    await page.keyboard.press('Enter');
    await expect(verdict(page)).toHaveText(/^6[23]:\d\d, /);
    await page.getByRole('radio', { name: 'a length' }).click();
    await page.getByLabel('Length', { exact: true }).fill('7 h');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('alert')).toBeVisible();
    await expect(page.getByLabel('Length', { exact: true })).toHaveValue('7 h');
    await page.getByRole('button', { name: 'Reset to defaults' }).click();
    await expect(verdict(page)).toHaveText(/^60:00/);
  });

  test('what cannot be says what binds and what would do it, each with one press', async ({ page, request }) => {
    const { id, document } = await overPlan(request, 'Too short an hour');
    await page.goto(`/plans/${id}/fit`);
    const length = page.getByLabel('Length', { exact: true });
    await length.fill('50:00');
    await page.keyboard.press('Enter');
    await expect(verdict(page)).toHaveText(
      /^It cannot be that short: with every length at its minimum it is 55:35, 5:35 over\.$/,
    );
    await expect(
      page.getByText(/holds, rests and breath at their shortest, .* setting up, changing, getting in and coming out/),
    ).toBeVisible();
    await expect(page.getByRole('button', { name: 'Apply' })).toBeDisabled();
    const ways = page.getByRole('region', { name: 'What would make it fit' });
    await expect(ways.getByRole('listitem').first()).toBeVisible();
    await ways.getByRole('button', { name: 'Do this' }).first().click();
    await expect(verdict(page)).toHaveText(/^(50:00|49:\d\d), /);
    await page.getByRole('button', { name: 'Undo' }).click();
    await length.fill('40:00');
    await page.keyboard.press('Enter');
    await expect(ways.getByText('No single change is enough')).toBeVisible();
    await ways.getByRole('button', { name: 'Do both' }).click();
    await expect(verdict(page)).toHaveText(/^(40:00|39:\d\d), /);
    await page.keyboard.press('Control+z');
    await saved(page);
    expect((await storedPlan(request, id)).document.steps).toEqual(document.steps);
  });

  test('nothing that is free, and a plan without steps, are told', async ({ page, request }) => {
    const { id, document } = await overPlan(request, 'All locked');
    const steps = document.steps.map((step) => ({ ...step, locked: true }));
    const stored = await storedPlan(request, id);
    await request.put(`/api/v1/plans/${id}`, { data: { revision: stored.revision, document: { ...document, steps } } });
    await page.goto(`/plans/${id}/fit`);
    await expect(
      page.getByRole('status').filter({ hasText: /Nothing here can become longer or shorter/ }),
    ).toBeVisible();
    const empty = await newPlan(request, 'yin', { title: 'Empty', steps: [] });
    await page.goto(`/plans/${empty.id}/fit`);
    await expect(page.getByText('This plan has no steps yet.')).toBeVisible();
  });

  test('a minute more on one step says what it costs, and does it as one step of undo', async ({ page, request }) => {
    const { id } = await overPlan(request, 'Effect on other steps', { classSeconds: 4500 });
    await openPlan(page, id);
    await rows(page).filter({ hasText: 'Wide-legged fold' }).click();
    const give = page.getByRole('region', { name: 'Effect on other steps' });
    await expect(give).toContainText('1:00 more here costs');
    await give.getByRole('button', { name: /^Do this: 1:00 more/ }).click();
    await expect(rows(page).filter({ hasText: 'Wide-legged fold' })).toContainText('6:00');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(rows(page).filter({ hasText: 'Wide-legged fold' })).toContainText('5:00');
  });
});

test.describe('a quieter order', () => {
  test('before and after with what it saves and what holds it back; taken and undone', async ({ page, request }) => {
    const { id, document } = await overPlan(request, 'Order');
    await page.goto(`/plans/${id}/fit?view=order`);
    await expect(page.getByText(/changes of position → \d.*No smoother order exists\./)).toBeVisible();
    await expect(page.getByText(/Without “no two long holds on the same joint in a row”/)).toBeVisible();
    await expect(page.getByRole('list', { name: 'The order' }).getByRole('listitem').last()).toContainText('Sit up');
    await page.getByRole('button', { name: 'Apply' }).click();
    await expect(page.getByText('It stays as it is.')).toBeVisible();
    await saved(page);
    const taken = (await storedPlan(request, id)).document.steps.map((step) => step.id);
    expect(taken).not.toEqual(document.steps.map((step) => step.id));
    expect([...taken].sort()).toEqual(document.steps.map((step) => step.id).sort());
    await page.keyboard.press('Control+z');
    await expect(page.getByText('It stays as it is.')).toBeHidden();
  });

  test('rules of this plan and of the house count; a circle is named, and the plan stays', async ({
    page,
    request,
  }) => {
    const { id, document } = await overPlan(request, 'Rules of order');
    await page.goto(`/plans/${id}/fit?view=order`);
    const rules = page.getByRole('region', { name: 'Required order' });
    const [before, after] = [rules.getByLabel('Before', { exact: true }), rules.getByLabel('After', { exact: true })];
    const add = async (first: string, second: string): Promise<void> => {
      await choose(before, first);
      await choose(after, second);
      await page.getByRole('button', { name: 'Add', exact: true }).click();
    };
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    await expect(page.getByRole('alert')).toHaveText('Choose both steps.');
    await add('8 Wide-legged fold', '3 Child’s pose on a bolster');
    await expect(page.getByText('Wide-legged fold before Child’s pose on a bolster')).toBeVisible();
    await expect(page.getByText(/No smoother order exists/)).toBeVisible();
    await add('3 Child’s pose on a bolster', '8 Wide-legged fold');
    await expect(page.getByRole('alert').filter({ hasText: 'circle' })).toHaveText(
      /^These rules go in a circle: “.+” before “.+” before “.+”\.$/,
    );
    await page.getByRole('button', { name: 'Remove Child’s pose on a bolster before Wide-legged fold' }).click();
    await expect(page.getByText(/No smoother order exists/)).toBeVisible();
    await page.getByRole('button', { name: 'Pin Reclined twist to its place' }).click();
    await expect(page.getByRole('button', { name: 'Let Reclined twist move' })).toBeVisible();
    await saved(page);
    const stored = (await storedPlan(request, id)).document;
    expect(stored.orderPairs).toHaveLength(1);
    expect(stored.steps.map((step) => step.id)).toEqual(document.steps.map((step) => step.id));
  });

  test('many steps take their time, with how far it is and a way to stop; the plan stays', async ({
    page,
    request,
  }) => {
    const { id, document } = await overPlan(request, 'Many steps');
    const holds = document.steps.filter(({ kind }) => kind === 'hold');
    const steps = Array.from({ length: 40 }, (_, i) => ({ ...holds[i % holds.length]!, id: `many-${i}` }));
    const stored = await storedPlan(request, id);
    const answer = await request.put(`/api/v1/plans/${id}`, {
      data: { revision: stored.revision, document: { ...document, steps } },
    });
    expect(answer.status()).toBe(200);
    await page.goto(`/plans/${id}/fit?view=order`);
    await expect(page.getByRole('progressbar', { name: 'Looking for a smoother order' })).toBeVisible();
    // The page stays in hand meanwhile.
    await page.getByRole('button', { name: 'Pin', exact: false }).first().focus();
    await page.getByRole('button', { name: 'Stop' }).click();
    await expect(page.getByRole('alert')).toContainText('Stopped. The plan is as it was.');
    await expect(page.getByRole('button', { name: 'Apply' })).toBeDisabled();
    expect((await storedPlan(request, id)).document.steps).toEqual(steps);
  });
});

test.describe('when it ends', () => {
  test('a sentence and a soft edge on the plan, what it stands on, and what to shorten', async ({ page, request }) => {
    const { id } = await overPlan(request, 'Forecast', { classSeconds: 4500 });
    await openPlan(page, id);
    const sentence = page.getByRole('link', { name: /^Planned 74:02; your sessions run .*; 90 % likely to end by / });
    await expect(sentence).toBeVisible();
    await expect(page.locator('.soft')).toBeVisible();
    await sentence.click();
    await expect(page.getByRole('heading', { name: /^Planned 74:02/ })).toBeVisible();
    await expect(page.getByText(/Based on \d+ sessions/)).toBeVisible();
    await expect(page.getByRole('row', { name: /^talk/ })).toContainText('longer');
    await expect(page.getByRole('heading', { name: 'What makes it uncertain' })).toBeVisible();
    await page.getByRole('button', { name: 'Apply these lengths' }).click();
    await expect(page.getByText('Nothing needs to be shorter.')).toBeVisible();
    await page.keyboard.press('Control+z');
    await expect(page.getByRole('button', { name: 'Apply these lengths' })).toBeVisible();
  });

  test('with no runs yet it says what it assumes; with the server away it says so, and the plan is there', async ({
    page,
    request,
  }) => {
    const { id } = await overPlan(request, 'No runs');
    await page.route('**/api/v1/pace', (route) => route.fulfill({ json: { runs: [], unreadable: 0 } }));
    await page.goto(`/plans/${id}/fit?view=forecast`);
    await expect(page.getByText(/No session has been led to its end yet, so this is assumed/)).toBeVisible();
    await expect(page.getByRole('heading', { name: 'What is assumed' })).toBeVisible();
    await page.unroute('**/api/v1/pace');
    await page.route('**/api/v1/pace', (route) => route.abort());
    await page.reload();
    await expect(page.getByRole('alert')).toContainText('The server cannot be reached.');
    await page.unroute('**/api/v1/pace');
    await page.getByRole('button', { name: 'Try again' }).click();
    await expect(page.getByRole('heading', { name: /^Planned/ })).toBeVisible();
  });
});

test('variants are kept beside the plan, compared, renamed and taken', async ({ page, request }) => {
  const { id } = await overPlan(request, 'Variants');
  await page.goto(`/plans/${id}/fit`);
  await page.getByRole('button', { name: 'Save as a variant' }).click();
  await expect(page.getByText('Saved as a variant.')).toBeVisible();
  await view(page, 'Order').click();
  await page.getByRole('button', { name: 'Save as a variant' }).click();
  await expect(page.getByText('Saved as a variant.')).toBeVisible();
  await view(page, 'Variants').click();
  await expect(row(page, /^total/)).toContainText('74:02');
  await expect(row(page, /^total/)).toContainText('60:00');
  await expect(row(page, /left · right/)).toContainText('10:45 · 10:45');
  const name = page.getByLabel('Name of the variant').first();
  await name.fill('The short one');
  await name.blur();
  await page.getByRole('button', { name: 'Delete Quieter order' }).click();
  await expect(page.getByText('“Quieter order” was deleted.')).toBeVisible();
  await page.getByRole('button', { name: 'Use this one' }).click();
  await expect(page.getByText('“The short one” is now the plan.', { exact: false })).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Name of the variant')).toHaveValue('The short one');
  await expect(row(page, /^total/)).toContainText('60:0060:00');
});

test('forty-five minutes today: a copy that fits, by keyboard; the plan stays', async ({ page, request }) => {
  const { id, document } = await overPlan(request, 'Longer than today');
  await page.goto('/');
  await page.getByRole('searchbox', { name: 'Search plans' }).fill('Longer than today');
  const plans = page.getByRole('region', { name: 'Plans' }).getByRole('listitem');
  await expect(plans.filter({ hasText: 'Longer than today' }).first()).toBeVisible();
  // The page is shorter once the others are out of the list, and a page that scrolls closes an open list of choices.
  await expect(plans.filter({ hasNotText: 'Longer than today' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Fit a plan to today’s time' }).press('Enter');
  const dialog = page.getByRole('dialog', { name: 'Time available today' });
  await choose(dialog.getByRole('combobox', { name: 'Plan' }), 'Longer than today');
  await expect(dialog.getByRole('status').filter({ hasText: /It cannot be that short/ })).toBeVisible();
  await dialog.getByLabel('I have').fill('0');
  await page.keyboard.press('Enter');
  await expect(dialog.getByRole('alert')).toHaveText(/longer than nothing/);
  await dialog.getByLabel('I have').fill('58');
  await dialog.getByLabel('I have').press('Tab');
  await expect(dialog.getByRole('alert')).toHaveCount(0);
  await dialog.getByLabel('I have').fill('58 min');
  await dialog.getByLabel('I have').press('Tab');
  await expect(dialog.getByRole('status').filter({ hasText: /^58:00|^57:/ })).toBeVisible();
  await dialog.getByRole('button', { name: 'Make the copy' }).press('Enter');
  await expect(page.getByRole('heading', { name: 'Longer than today (58 min)' })).toBeVisible();
  await expect(total(page)).toContainText(/5[78]:\d\d/);
  expect((await storedPlan(request, id)).document.steps).toEqual(document.steps);
});
