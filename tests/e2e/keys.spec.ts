import { expect, test, type Page } from '@playwright/test';
import { PLACES } from '#api';
import { newPlace } from '#core/cupboard';
import { eventsOf, newPlan, openPlan, rows, storedPlan, total } from './support';

/** The controls that the keyboard reaches within a part of a page. */
const controls = (page: Page, within: string) =>
  page
    .locator(within)
    .locator('button, a[href], input, select, textarea, summary, [tabindex="0"]')
    .filter({ visible: true });

test('in the planner, no key that belongs to the list reaches a control beside it', async ({ page, request }) => {
  const { id, document: made } = await newPlan(request, 'yin', { title: 'Keys of the planner' });
  const ids = made.steps.map((step) => step.id);
  await openPlan(page, id);
  await rows(page).nth(1).click();
  const inspector = controls(page, '.inspector');
  const listed = (): Promise<string[]> => rows(page).allInnerTexts();
  const before = await listed();
  const count = await inspector.count();
  expect(count).toBeGreaterThan(20);
  for (let i = 0; i < count; i++) {
    const control = inspector.nth(i);
    if (!(await control.isVisible())) continue;
    await control.focus();
    // One that is switched off takes no focus.
    if (!(await control.evaluate((element) => element === document.activeElement))) continue;
    const isField = await control.evaluate((element) =>
      element.matches('input:not([type="checkbox"]), textarea, select'),
    );
    // In a field a letter is typed, and Backspace takes one away: that is the field's own.
    // What the rows show, and not only how many there are: a deleted step and a copied one would cancel out.
    for (const key of isField ? ['Delete'] : ['Backspace', 'd', 'Delete', 'l', 'a']) await page.keyboard.press(key);
    const name = await control.evaluate((element) => element.outerHTML.slice(0, 80));
    expect([name, ...(await listed())]).toEqual([name, ...before]);
    await page.keyboard.press('Escape');
    await rows(page).nth(1).click();
  }
  const stored = await storedPlan(request, id);
  expect(stored.document.steps.map((step) => [step.id, step.locked])).toEqual(
    made.steps.map((step) => [step.id, step.locked]),
  );
  // In the list they do what they say.
  await rows(page).nth(1).focus();
  await page.keyboard.press('d');
  await expect(rows(page)).toHaveCount(ids.length + 1);
  await page.keyboard.press('Control+z');
  await expect(rows(page)).toHaveCount(ids.length);
});

test('Tab goes past the empty field for a new step, and past one in which something is typed, and adds nothing', async ({
  page,
  request,
}) => {
  const { id, document } = await newPlan(request, 'yin', { title: 'Past the field' });
  await openPlan(page, id);
  const add = page.getByRole('combobox', { name: 'Add a step' });
  await add.focus();
  await expect(page.getByRole('option', { name: /Legs up/ }).first()).toBeVisible();
  await page.keyboard.press('Tab');
  await expect(add).not.toBeFocused();
  await add.fill('rest');
  await page.keyboard.press('Tab');
  await expect(add).not.toBeFocused();
  await expect(rows(page)).toHaveCount(document.steps.length);
  await add.focus();
  await page.keyboard.press('Enter');
  await expect(rows(page)).toHaveCount(document.steps.length + 1);
});

test('while typing, Ctrl Z is the field’s own; afterwards it is the plan’s, and the field shows what the plan has', async ({
  page,
  request,
}) => {
  const { id, document } = await newPlan(request, 'yin', { title: 'Undo in fields' });
  await openPlan(page, id);
  await rows(page)
    .nth(document.steps.findIndex(({ kind }) => kind === 'hold'))
    .click();
  const field = page.locator('.inspector').getByLabel('Setting up', { exact: true });
  const before = await total(page).innerText();
  await field.click();
  await page.keyboard.type('1:30');
  await page.keyboard.press('Enter');
  await expect(total(page)).not.toHaveText(before);
  // What was not taken yet is only taken out of the field.
  await field.press('End');
  await page.keyboard.type('9');
  await page.keyboard.press('Control+z');
  await expect(field).toHaveValue('1:30');
  await expect(field).toBeFocused();
  await page.keyboard.press('Control+z');
  await expect(total(page)).toHaveText(before);
  await expect(field).toHaveValue('');
  await page.keyboard.press('Control+Shift+z');
  await expect(field).toHaveValue('1:30');
});

test('while teaching, Space and letters belong to the control that has the focus, and Escape to what lies over the stage', async ({
  page,
  request,
}) => {
  const { id } = await newPlan(request, 'yin', { title: 'Keys of the stage' });
  await page.goto(`/teach/${id}`);
  await page.getByRole('button', { name: 'Begin' }).first().click();
  await expect(page.getByRole('button', { name: 'Pause' })).toBeVisible();
  const on = controls(page, 'main.teach');
  const count = await on.count();
  expect(count).toBeGreaterThan(8);
  for (let i = 0; i < count; i++) {
    const control = on.nth(i);
    if (!(await control.isVisible())) continue;
    const name = (await control.getAttribute('aria-label')) ?? (await control.innerText());
    // These leave the room or end it: they are walked elsewhere.
    if (/Leave|End|Lead it|Student/.test(name)) continue;
    await control.focus();
    for (const key of ['b', 'n', 'm', 'r', 's', 'c', 'ArrowRight']) await page.keyboard.press(key);
    expect([name, await page.getByRole('dialog').count()]).toEqual([name, 0]);
    if (/Pause|Go on/.test(name)) continue;
    await page.keyboard.press(' ');
    await expect(page.getByRole('button', { name: 'Pause' })).toBeVisible();
    // What it opened is closed by Escape; then the stage is there and nobody is asked to leave.
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog', { name: /Leave the session/ })).toBeHidden();
    await expect(page.locator('.p-popover')).toHaveCount(0);
    await expect(page).toHaveURL(new RegExp(`/teach/${id}$`));
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  }
  const kinds = (await eventsOf(request, id)).map(({ kind }) => kind);
  expect(kinds).not.toContain('paused');
  expect(kinds).not.toContain('restAdded');
  // After a press with the mouse the keys are the stage's again.
  await page.getByRole('button', { name: 'Bell', exact: true }).click();
  await page.keyboard.press(' ');
  await expect(page.getByRole('button', { name: 'Resume' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog', { name: /Leave the session/ })).toBeVisible();
});

test('what is deleted, applied or left leaves the keyboard where it was', async ({ page, request }, {
  retry,
  repeatEachIndex,
}) => {
  const mark = `${retry}${repeatEachIndex}`;
  const stock = { flatBolster: 10, block: 60, blanket: 20, chair: 20, eyePillow: 20, roundBolster: 20 };
  const place = { ...newPlace('Keyboard store', 'hall'), stock };
  const made = await request.post('/api/v1/places', { data: { id: crypto.randomUUID(), document: place } });
  const { id: cupboard } = PLACES.stored.parse(await made.json());
  const { id } = await newPlan(request, 'restorative', { title: `Kept first ${mark}`, groupSize: 14, cupboard });
  await newPlan(request, 'restorative', { title: `Kept second ${mark}` });
  const within = (selector: string): Promise<boolean> =>
    page.evaluate((around) => document.activeElement?.closest(around) !== null, selector);

  // Deleted: the plan that now stands in its place.
  await page.goto('/');
  await page.getByLabel('Search plans').fill(`Kept ${mark}`);
  await expect(page.getByRole('button', { name: /^More for/ })).toHaveCount(2);
  await page.getByRole('button', { name: `More for Kept second ${mark}` }).focus();
  await page.keyboard.press('Enter');
  await page.keyboard.press('End');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /^More for/ })).toHaveCount(1);
  await expect(page.getByRole('link', { name: new RegExp(`Kept first ${mark}`) })).toBeFocused();

  // Applied: what stands where the solution stood.
  await page.goto(`/plans/${id}/props`);
  const solutions = page.getByRole('list', { name: 'Solutions' });
  const apply = solutions
    .first()
    .getByRole('button', { name: /^Apply/ })
    .first();
  await apply.focus();
  const before = await solutions.count();
  await page.keyboard.press('Enter');
  await expect(solutions).not.toHaveCount(before);
  await expect.poll(() => within('main')).toBe(true);

  // Left for the session that is taught: its page, from whose beginning Tab goes on.
  await page.goto(`/plans/${id}`);
  await page.getByRole('button', { name: 'Teach', exact: true }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Begin', exact: true }).first()).toBeVisible();
  await expect.poll(() => within('#content')).toBe(true);
});
