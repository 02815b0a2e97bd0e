import { expect, test, type APIRequestContext, type Page } from '@playwright/test';
import { COURSES, type StoredCourse } from '#api';
import { newCourse, type Course } from '#core/course';
import type { Plan } from '#core/plan';
import { Counted } from './counted';
import { choose, deleteRuns, eventsOf, newPlan, openTab, passMs, rows, saved, storedPlan } from './support';

/** A course of six Tuesdays from a plan of its own, which stands in no group. */
async function sixWeeks(request: APIRequestContext, title: string, patch: Partial<Course> = {}): Promise<StoredCourse> {
  const plan = await newPlan(request, 'restorative', { title: `${title}, the plan` });
  const document: Course = {
    ...newCourse(title, plan.document, plan.id, 6),
    dates: { kind: 'weekly', first: '2027-01-05', time: '18:00', leftOut: [] },
    ...patch,
  };
  const answer = await request.post('/api/v1/courses', { data: { document } });
  expect(answer.status()).toBe(201);
  return COURSES.stored.parse(await answer.json());
}
const storedCourse = async (request: APIRequestContext, id: string): Promise<Course> =>
  COURSES.stored.parse(await (await request.get(`/api/v1/courses/${id}`)).json()).document;
const REST: Course['threads'] = [
  {
    ...{ id: 'rest', kind: 'length', of: { kind: 'step', step: 's10' } },
    ...{ from: 420, to: 600, grid: 30, mostAWeek: 60, byWeek: 6 },
  },
];
const weeks = (page: Page) => page.getByRole('list', { name: 'Weeks' }).getByRole('listitem');
const lengthOf = (plan: Plan, id: string): number => {
  const step = plan.steps.find((one) => one.id === id);
  return step?.kind === 'hold' && step.sides.kind === 'together' ? step.sides.seconds : NaN;
};
async function menu(page: Page, of: string, item: string): Promise<void> {
  await page.getByRole('button', { name: `More for ${of}` }).click();
  await page.getByRole('menuitem', { name: item, exact: true }).click();
}

test('six weeks from a plan with two things that grow take at most 12 actions', async ({ page, request }) => {
  await newPlan(request, 'restorative', { title: 'Counted evenings' });
  await page.goto('/');
  await page.getByRole('searchbox', { name: 'Search plans' }).fill('Counted evenings');
  await expect(page.getByRole('region', { name: 'Plans' }).getByRole('link')).toHaveCount(3);
  const hands = new Counted(page);
  await hands.click(page.getByRole('button', { name: 'More for Counted evenings' }));
  await hands.click(page.getByRole('menuitem', { name: 'Make a course of it' }));
  await hands.click(page.getByRole('button', { name: 'Create course' }));
  await expect(weeks(page)).toHaveCount(6);
  const dialog = page.getByRole('dialog');
  await hands.click(page.getByRole('button', { name: 'Add something that grows' }));
  await hands.click(dialog.getByRole('button', { name: 'Add', exact: true }));
  await expect(page.getByRole('heading', { name: 'Last rest' })).toBeVisible();
  await hands.click(page.getByRole('button', { name: 'Add something that grows' }));
  await hands.click(dialog.getByRole('combobox', { name: 'What grows' }));
  await hands.click(page.getByRole('option', { name: 'Longer out-breath' }));
  await hands.click(dialog.getByRole('button', { name: 'Add', exact: true }));
  await expect(page.getByRole('heading', { name: 'Longer out-breath' })).toBeVisible();
  await expect(weeks(page).nth(5)).toContainText(/Last rest 9:30/);
  expect(hands.actions).toBeLessThanOrEqual(12);
});

test('a course from nothing: made, its threads changed and undone, by keyboard', async ({ page, request }) => {
  const { id } = await sixWeeks(request, 'By keys');
  await page.goto(`/courses/${id}`);
  await expect(weeks(page).nth(1)).toContainText('as the one before');
  await page.getByRole('button', { name: 'Add something that grows' }).press('Enter');
  const dialog = page.getByRole('dialog', { name: 'Add something that grows' });
  await dialog.getByLabel('To', { exact: true }).fill('7:00');
  await dialog.getByLabel('To', { exact: true }).press('Tab');
  await dialog.getByRole('button', { name: 'Add', exact: true }).press('Enter');
  await expect(dialog.getByRole('alert')).toHaveText('It begins with 7:00 already. Choose another aim.');
  await dialog.getByLabel('To', { exact: true }).fill('6:00');
  await dialog.getByLabel('To', { exact: true }).press('Tab');
  await dialog.getByRole('button', { name: 'Add', exact: true }).press('Enter');
  await expect(dialog.getByRole('alert')).toContainText('an aim is longer');
  await dialog.getByLabel('To', { exact: true }).fill('20:00');
  await dialog.getByLabel('To', { exact: true }).press('Tab');
  await expect(dialog.getByRole('status')).toContainText('20:00 is not possible by week 6');
  await dialog.getByLabel('by week').fill('7');
  await dialog.getByLabel('by week').press('Tab');
  await expect(dialog.getByText('The course has 6 weeks.')).toBeVisible();
  await dialog.getByLabel('by week').fill('6');
  await dialog.getByLabel('by week').press('Tab');
  await dialog.getByLabel('To', { exact: true }).fill('9:30');
  await dialog.getByLabel('To', { exact: true }).press('Tab');
  await dialog.getByRole('button', { name: 'Add', exact: true }).press('Enter');
  await expect(weeks(page).nth(5)).toContainText('Last rest 9:30');
  await expect(dialog).toBeHidden();
  await page.keyboard.press('Control+z');
  await expect(weeks(page).nth(5)).toContainText('as the one before');
  await page.keyboard.press('Control+Shift+z');
  await expect(weeks(page).nth(5)).toContainText('Last rest 9:30');
  await page.reload();
  await expect(weeks(page).nth(5)).toContainText('Last rest 9:30');
  expect((await storedCourse(request, id)).threads).toHaveLength(1);
});

test('a class that was not held: what follows is shown, then taken, then undone', async ({ page, request }) => {
  const { id } = await sixWeeks(request, 'Missed once', { threads: REST });
  await page.goto(`/courses/${id}`);
  await expect(weeks(page)).toHaveCount(6);
  await menu(page, 'week 3', 'It was not held');
  const dialog = page.getByRole('dialog', { name: 'Not held: Tue 19 Jan' });
  await expect(dialog.getByText('Week 6 is on another day.')).toBeVisible();
  await expect(dialog.getByText('Week 3 is not held.')).toHaveCount(2);
  await dialog.getByLabel('Why, if you like').fill('Snow');
  await dialog.getByRole('radio', { name: 'Skip it' }).check();
  await dialog.getByRole('button', { name: 'Go on like this' }).click();
  await expect(weeks(page).nth(2)).toContainText('missed (Snow): skipped');
  await menu(page, 'week 3', 'Go on in another way');
  await dialog.getByRole('radio', { name: 'Move everything on' }).check();
  await dialog.getByRole('button', { name: 'Go on like this' }).click();
  await expect(weeks(page)).toHaveCount(7);
  await expect(weeks(page).nth(2)).toContainText('everything moved on by a week');
  await expect(weeks(page).nth(6)).toContainText('Tue 16 Feb');
  await menu(page, 'Tue 19 Jan', 'It was held after all');
  await expect(weeks(page)).toHaveCount(6);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(weeks(page)).toHaveCount(7);
  await expect
    .poll(async () => (await storedCourse(request, id)).missed)
    .toEqual([{ class: 3, how: 'shift', why: 'Snow' }]);
});

test('something new waits for what usually comes first, with its reason, and comes with it', async ({
  page,
  request,
}) => {
  const { id } = await sixWeeks(request, 'In order');
  await page.goto(`/courses/${id}`);
  const dialog = page.getByRole('dialog', { name: 'Add something that grows' });
  const add = async (entry: RegExp, week: string): Promise<void> => {
    await page.getByRole('button', { name: 'Add something that grows' }).click();
    await choose(dialog.getByRole('combobox', { name: 'What grows' }), 'A position or breath that comes later');
    await choose(dialog.getByRole('combobox', { name: 'What comes' }), entry);
    await dialog.getByLabel('week', { exact: true }).fill(week);
    await dialog.getByLabel('week', { exact: true }).press('Tab');
  };
  await add(/^Seal$/, '4');
  const sphinx = dialog.getByRole('checkbox', { name: 'Sphinx' });
  await expect(sphinx).toBeChecked();
  await expect(dialog.getByText('It bends the low back further than Sphinx.')).toBeVisible();
  await expect(dialog.getByText(/Nothing in this course brings it/)).toBeVisible();
  await dialog.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(weeks(page).nth(3)).toContainText('It waits until Sphinx has been taught.');
  await add(/^Sphinx$/, '2');
  await dialog.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(weeks(page).nth(1)).toContainText('new: Sphinx');
  await expect(weeks(page).nth(3)).toContainText('new: Seal');
  await expect(page.getByText('It waits until Sphinx has been taught.')).toHaveCount(0);
});

test('a week is edited for itself, from there on, and in the whole course; each can be undone', async ({
  page,
  request,
}) => {
  const { id } = await sixWeeks(request, 'Edited weeks', { threads: REST });
  await page.goto(`/courses/${id}`);
  await page.getByRole('link', { name: 'Open week 3' }).click();
  await expect(page.getByRole('heading', { name: /Edited weeks, week 3/ })).toBeVisible();
  await expect(page.getByText('An edit changes week 3 and no other.')).toBeVisible();
  const chest = rows(page).filter({ hasText: 'Child’s pose on a bolster' });
  await chest.click();
  await openTab(page, 'Hold');
  const hold = page.getByLabel('Both sides', { exact: true });
  await hold.fill('4:00');
  await hold.press('Tab');
  await saved(page);
  await page.getByRole('radio', { name: 'From here on' }).click();
  await expect(page.getByText('An edit changes week 3 and the 3 after it.')).toBeVisible();
  await rows(page).filter({ hasText: 'Legs up the wall' }).click();
  await hold.fill('6:00');
  await hold.press('Tab');
  await saved(page);
  await page.getByRole('link', { name: 'Edited weeks' }).click();
  await expect(weeks(page).nth(2)).toContainText('Change length of Child’s pose on a bolster');
  await expect(weeks(page).nth(2)).toContainText('from here on');
  await menu(page, 'week 3', 'Theme, changes and notes');
  const dialog = page.getByRole('dialog', { name: 'Week 3' });
  await dialog.getByRole('button', { name: /^Remove: Change length of Child/ }).click();
  await expect(dialog.getByText('Child’s pose')).toHaveCount(0);
  await dialog.getByLabel('Theme').fill('Shoulders');
  await dialog.getByRole('button', { name: 'Done' }).click();
  await expect(weeks(page).nth(2)).toContainText('Shoulders');
  await expect
    .poll(async () => (await storedCourse(request, id)).differences.map(({ onward }) => onward))
    .toEqual([true]);
});

test('an edit of one week goes further once it is seen what follows, with the keyboard', async ({ page, request }) => {
  const { id } = await sixWeeks(request, 'Further weeks', { threads: REST });
  await page.goto(`/courses/${id}/weeks/4`);
  await rows(page).filter({ hasText: 'Child’s pose on a bolster' }).click();
  await openTab(page, 'Hold');
  const hold = page.getByLabel('Both sides', { exact: true });
  await hold.fill('4:00');
  await hold.press('Tab');
  await expect(
    page.getByText(/^Last edit: Change length of Child’s pose on a bolster, in week 4 only\.$/),
  ).toBeVisible();
  const further = page.getByRole('button', { name: 'From here on as well' });
  await further.press('Enter');
  const dialog = page.getByRole('dialog', { name: 'From here on as well' });
  await expect(dialog.getByRole('listitem')).toHaveText([/^Week 5: .*→ 4:00/, /^Week 6: .*→ 4:00/]);
  await page.keyboard.press('Escape');
  await expect(dialog).toBeHidden();
  await further.press('Enter');
  await dialog.getByRole('button', { name: 'Change these weeks too' }).press('Enter');
  await expect(page.getByRole('button', { name: 'What follows' })).toBeVisible();
  await expect
    .poll(async () => (await storedCourse(request, id)).differences.map(({ week, onward }) => [week, onward]))
    .toEqual([[4, true]]);
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect
    .poll(async () => (await storedCourse(request, id)).differences.map(({ onward }) => onward))
    .toEqual([false]);
});

test('a week is taught from its plan; a plan that somebody changed is said, taken in, or made anew', async ({
  page,
  request,
}) => {
  const { id } = await sixWeeks(request, 'Taught weeks', { threads: REST });
  await page.goto(`/courses/${id}`);
  await menu(page, 'week 2', 'Cautions of this class');
  await expect(page).toHaveURL(/\/plans\/.*\/people/);
  const [made] = (await storedCourse(request, id)).plans;
  expect(made).toMatchObject({ week: 2, revision: 1 });
  const planId = made!.planId;
  const { document } = await storedPlan(request, planId);
  expect(document).toMatchObject({ title: 'Taught weeks, week 2', startsAt: '2027-01-12T18:00' });
  expect(lengthOf(document, 's10')).toBe(450);
  await page.goto(`/plans/${planId}`);
  await expect(page.getByRole('link', { name: 'Week 2 of Taught weeks' })).toBeVisible();
  const changed = { ...document, steps: document.steps.filter(({ id: step }) => step !== 's3') };
  const put = await request.put(`/api/v1/plans/${planId}`, { data: { revision: 1, document: changed } });
  expect(put.status()).toBe(200);
  await page.goto(`/courses/${id}`);
  await expect(weeks(page).nth(1)).toContainText('Its plan was changed in the planner since it was made.');
  // That a plan was made is nothing that could be undone.
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
  await page.getByRole('button', { name: 'Add the changes to the course' }).click();
  await expect(weeks(page).nth(1)).not.toContainText('Its plan was changed');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(weeks(page).nth(1)).toContainText('Its plan was changed');
  await page.getByRole('button', { name: 'Make it anew' }).click();
  await expect(weeks(page).nth(1)).not.toContainText('Its plan was changed');
  await expect.poll(async () => (await storedPlan(request, planId)).document.steps.length).toBe(document.steps.length);
});

test('the plan it began with was changed, then deleted: the course says so and stays as it is', async ({
  page,
  request,
}) => {
  const { id, document } = await sixWeeks(request, 'On a base', { threads: REST });
  const planId = document.base.planId!;
  const plan = await storedPlan(request, planId);
  const steps = plan.document.steps.filter(({ id: step }) => step !== 's3');
  await request.put(`/api/v1/plans/${planId}`, {
    data: { revision: plan.revision, document: { ...plan.document, steps } },
  });
  await page.goto(`/courses/${id}`);
  await page.getByRole('button', { name: 'See what it would change' }).click();
  const dialog = page.getByRole('dialog', { name: 'The first plan as it is now' });
  await expect(dialog.getByText('Removed Reclined twist', { exact: true })).toBeVisible();
  await expect(dialog.getByText(/^Week 6: /)).toBeVisible();
  await dialog.getByRole('button', { name: 'Use the plan as it is now' }).click();
  await expect.poll(async () => (await storedCourse(request, id)).base.plan.steps.length).toBe(steps.length);
  await request.delete(`/api/v1/plans/${planId}`);
  await page.reload();
  await expect(page.getByText('The plan it began with is no longer there.', { exact: false })).toBeVisible();
  await expect(weeks(page)).toHaveCount(6);
});

test('dates and length that cannot be are refused where they are typed, and nothing is lost', async ({
  page,
  request,
}) => {
  const { id } = await sixWeeks(request, 'Dated', { dates: { kind: 'none' } });
  await page.goto(`/courses/${id}`);
  await expect(weeks(page).first()).toContainText('no date yet');
  await page.getByRole('button', { name: 'Dates and details' }).click();
  const dialog = page.getByRole('dialog', { name: 'About this course' });
  await dialog.getByLabel('weeks', { exact: true }).fill('60');
  await dialog.getByLabel('weeks', { exact: true }).press('Tab');
  await expect(dialog.getByText('A course has at most 52 weeks.')).toBeVisible();
  await expect(dialog.getByLabel('weeks', { exact: true })).toHaveValue('60');
  await dialog.getByRole('radio', { name: 'On given dates' }).click();
  const add = dialog.getByLabel('Add a class');
  for (const when of ['6/2/2027 10:00', '6/2/2027 14:00']) {
    await add.fill(when);
    await add.press('Tab');
  }
  await expect(dialog.getByText('2 of 6 weeks have a date.')).toBeVisible();
  await add.fill('6/2/2027 10:00');
  await add.press('Tab');
  await expect(dialog.getByText('Two classes begin on 2027-02-06 at 10:00.')).toBeVisible();
  expect((await storedCourse(request, id)).dates).toEqual({
    kind: 'given',
    at: ['2027-02-06T10:00', '2027-02-06T14:00'],
  });
});

test('a course is handed over in words, as a calendar and as a log of hours, without anybody’s name', async ({
  page,
}) => {
  await page.goto('/courses/demo-longer-evenings');
  await expect(weeks(page)).toHaveCount(8);
  await page.getByRole('button', { name: 'Share', exact: true }).click();
  const dialog = page.getByRole('dialog', { name: 'Share this course' });
  await expect(dialog).toContainText('What grows');
  await expect(dialog).toContainText('Last rest: 7:00 to 10:00');
  await dialog.getByRole('radio', { name: 'Calendar' }).check();
  await expect(dialog).toContainText('BEGIN:VEVENT');
  await dialog.getByRole('radio', { name: 'Log of hours' }).check();
  await expect(dialog).toContainText('in total');
  await expect(dialog).not.toContainText('Bryony');
});

test('a weekend has its sessions, breaks and hours; one-to-one has an aim, a number and notes', async ({ page }) => {
  await page.goto('/courses');
  await page.getByRole('button', { name: 'New course' }).click();
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /^Weekend workshop/ })
    .click();
  const sessions = page.getByRole('list', { name: 'Sessions' }).getByRole('listitem');
  await expect(sessions).toHaveCount(4);
  await expect(sessions.first()).toContainText('Arriving, and the breath as it is');
  await page.getByRole('button', { name: 'Hours: 3:00:00 in total' }).click();
  await expect(page.getByRole('table', { name: 'Hours' })).toContainText('3:15:00');
  await page.goto('/courses');
  await page.getByRole('button', { name: 'New course' }).click();
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /^One-to-one/ })
    .click();
  await menu(page, 'session 1', 'Theme, changes and notes');
  const dialog = page.getByRole('dialog', { name: 'Session 1' });
  await choose(dialog.getByRole('combobox', { name: 'How easy it felt, 0 to 10' }), '6');
  await dialog.getByLabel('Notes').fill('Easier on the left.');
  await dialog.getByRole('button', { name: 'Done' }).click();
  await page.reload();
  await menu(page, 'session 1', 'Theme, changes and notes');
  await expect(dialog.getByLabel('Notes')).toHaveValue('Easier on the left.');
  await expect(dialog.getByRole('combobox', { name: 'How easy it felt, 0 to 10' })).toHaveText('6');
});

test('the people of a course: who has cautions in which class, and who is ready for its breath', async ({ page }) => {
  await page.goto('/courses/demo-longer-evenings');
  await page.getByRole('button', { name: 'Cautions, and who is ready' }).click();
  await expect(page.getByRole('table', { name: 'Cautions' })).toContainText('Week 4');
  await expect(page.getByRole('table', { name: 'Who is ready' }).getByRole('row')).toHaveCount(13);
});

test('a course is walked from week one to its end on a fake clock, and what was easy opens its gates', async ({
  page,
  request,
}) => {
  test.setTimeout(240_000);
  const plan = await newPlan(request, 'in-bed', { title: 'Walked, the plan', group: 'Walked through', groupSize: 3 });
  const breath = plan.document.steps.find(({ kind }) => kind === 'breath')!;
  const document: Course = {
    ...newCourse('Walked', plan.document, plan.id, 4),
    dates: { kind: 'weekly', first: '2027-03-02', time: '20:00', leftOut: [] },
    threads: [
      {
        ...{ id: 'out', kind: 'breath', step: breath.id, easyAWeek: 3, byWeek: 4 },
        from: { in: 4, holdFull: 0, out: 4, holdEmpty: 0 },
        to: { in: 4, holdFull: 0, out: 6, holdEmpty: 0 },
      },
    ],
  };
  const { id } = COURSES.stored.parse(await (await request.post('/api/v1/courses', { data: { document } })).json());
  const counts: string[] = [];
  await page.clock.install({ time: new Date('2027-03-02T19:58:00') });
  for (const [week, day] of ['2027-03-02', '2027-03-09', '2027-03-16', '2027-03-23'].entries()) {
    await page.clock.setSystemTime(new Date(`${day}T19:58:00`));
    await page.goto(`/courses/${id}`);
    await page.getByRole('button', { name: `Teach week ${week + 1}` }).click();
    await page.getByRole('button', { name: 'Begin' }).first().click();
    await passMs(page, 40 * 60_000);
    await page.getByRole('button', { name: 'End the session' }).click();
    await page
      .getByRole('radiogroup', { name: /In- and out-breath/ })
      .getByRole('radio', { name: 'easy' })
      .click();
    const { plans } = await storedCourse(request, id);
    const { planId } = plans.find((one) => one.week === week + 1)!;
    await expect.poll(async () => (await eventsOf(request, planId)).some(({ kind }) => kind === 'reviewed')).toBe(true);
    counts.push(
      JSON.stringify((await storedPlan(request, planId)).document.steps.find((step) => step.id === breath.id)),
    );
    await page.getByRole('link', { name: `Week ${week + 1} of Walked` }).click();
    await expect(page.getByText(new RegExp(`${week + 1} taught`))).toBeVisible();
  }
  expect(new Set(counts).size).toBeGreaterThan(1);
  // The clock jumped through each of these evenings.
  for (const { planId } of (await storedCourse(request, id)).plans) await deleteRuns(request, planId);
});
