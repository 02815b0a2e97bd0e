import { expect, test, type Page } from '@playwright/test';
import { choose, newPlan, openPlan, rowNames, rows, saved, storedPlan } from './support';

const cards = (page: Page) => page.getByRole('list', { name: 'Positions' }).getByRole('link');
const figure = (page: Page, name: string) => page.getByRole('img', { name, exact: true });

test.describe('the library', () => {
  // What ships and nothing else: other tests make entries of the same names.
  test.beforeEach(({ page }) =>
    page.route('**/api/v1/entries?*', (route) => route.fulfill({ json: { items: [], total: 0, unreadable: 0 } })),
  );

  test('is searched by any name without accents, by a part of the body and by props', async ({ page }) => {
    await page.goto('/library');
    await expect(cards(page)).not.toHaveCount(0);
    const all = await cards(page).count();
    expect(all).toBeGreaterThanOrEqual(60);
    // Every card shows its figure.
    await expect(page.locator('.card .figure-view g path')).not.toHaveCount(0);
    await page.keyboard.press('/');
    const search = page.getByRole('searchbox', { name: 'Search the library' });
    await expect(search).toBeFocused();
    await search.fill('janu');
    await expect(cards(page)).toHaveCount(1);
    await expect(cards(page).first()).toContainText('Head to knee');
    await search.fill('half butterfly');
    await expect(cards(page).first()).toContainText('Head to knee');
    await search.fill('two blocks');
    await expect(cards(page).filter({ hasText: 'Head to knee' })).toHaveCount(1);
    await search.fill('sibilant');
    await expect(page.getByText('No matches.')).toBeVisible();
    await page.getByRole('button', { name: 'Show everything' }).click();
    await expect(cards(page)).toHaveCount(all);
  });

  test('is filtered, counts what each filter leaves, and keeps it over a reload', async ({ page }) => {
    await page.goto('/library');
    const wall = page.getByRole('group', { name: 'Place' }).locator('label', { hasText: 'At the wall' });
    const count = Number(await wall.locator('.count').textContent());
    expect(count).toBeGreaterThan(3);
    await wall.click();
    await expect(cards(page)).toHaveCount(count);
    await page.getByRole('group', { name: 'Avoid' }).locator('label', { hasText: 'Legs above the heart' }).click();
    const left = await cards(page).count();
    expect(left).toBeLessThan(count);
    await page.reload();
    await expect(cards(page)).toHaveCount(left);
    await page.getByRole('button', { name: /^At the wall/ }).click();
    await page.getByRole('button', { name: /^avoid/ }).click();
    await expect(page.getByText('129 of 129')).toBeVisible();
  });

  test('shows what suits a group, and what was used lately; the address keeps the group by its id alone', async ({
    page,
  }) => {
    await page.goto('/library');
    await expect(cards(page)).not.toHaveCount(0);
    const all = await cards(page).count();
    await choose(page.getByRole('combobox', { name: 'Suits' }), 'Choir singers');
    await expect(page.getByText('Leaves out what somebody in this group should avoid')).toBeVisible();
    await expect(cards(page).filter({ hasText: 'Seat on a chair' }).first()).toBeVisible();
    await expect(cards(page).filter({ hasText: 'Half plough on a chair' })).toHaveCount(0);
    const suited = await cards(page).count();
    expect(suited).toBeLessThan(all);
    expect(page.url()).not.toMatch(/choir.?singers/i);
    await page.reload();
    await expect(cards(page)).toHaveCount(suited);
    // A group that there is not asks for nobody in particular.
    await page.goto('/library?group=nobody-we-know');
    await expect(cards(page)).toHaveCount(all);
    await expect(page.getByRole('combobox', { name: 'Suits' })).toHaveText('Everyone');
    await expect(cards(page)).toHaveCount(all);
    await page.getByRole('group', { name: 'Used' }).locator('label').click();
    await expect(page.getByRole('button', { name: /^In your last 20 plans/ })).toBeVisible();
    await expect.poll(() => cards(page).count()).toBeLessThan(all);
  });

  test('is walked with the arrow keys and opened with Enter; Back comes to the same search', async ({ page }) => {
    await page.goto('/library?search=twist');
    await cards(page).first().focus();
    await page.keyboard.press('ArrowRight');
    await expect(cards(page).nth(1)).toBeFocused();
    const name = await cards(page).nth(1).locator('strong').innerText();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { level: 1, name })).toBeVisible();
    await page.goBack();
    await expect(page.getByRole('searchbox')).toHaveValue('twist');
  });

  test('an entry shows the figure from all sides, for another body, for the other side and set-up', async ({
    page,
    request,
  }) => {
    await newPlan(request, 'restorative', { title: 'Where it is used' });
    await page.goto('/library/head-to-knee');
    const large = figure(page, 'Head to knee, Forehead on two blocks');
    await expect(large.locator('path')).not.toHaveCount(0);
    for (const name of ['From the side', 'From above', 'From the front']) {
      await expect(figure(page, name).locator('path')).not.toHaveCount(0);
    }
    const before = await large.innerHTML();
    await page.getByRole('slider', { name: 'Hip fold' }).focus();
    await page.keyboard.press('Home');
    await expect(page.getByText('80°')).toBeVisible();
    await expect.poll(() => large.innerHTML()).not.toBe(before);
    await expect(page.getByText('Free under')).toContainText('head');
    await page.getByRole('button', { name: 'Usual body' }).click();
    await page.getByRole('button', { name: 'Right side' }).click();
    await expect(large.locator('g[transform^=matrix]')).toHaveCount(1);
    await expect(page.getByText('2 blocks, flat, under the forehead, right')).toBeVisible();
    await page.getByRole('button', { name: /^At home/ }).click();
    await expect(page.getByText('pillow, folded in two, under the forehead, right')).toBeVisible();
    await expect(page.getByRole('link', { name: 'Where it is used' }).first()).toBeVisible();
  });

  test('an entry is added to a plan at a place, with the length of its approach, and undone there', async ({
    page,
    request,
  }, { retry, repeatEachIndex }) => {
    const title = `To be added to ${retry}-${repeatEachIndex}`;
    const { id } = await newPlan(request, 'yin', { title });
    await page.goto('/library/legs-up-wall');
    await page.getByRole('button', { name: 'Add to a plan' }).focus();
    await page.keyboard.press('Enter');
    const dialog = page.getByRole('dialog', { name: 'Add “Legs up the wall” to a plan' });
    await choose(dialog.getByRole('combobox', { name: 'Plan' }), title);
    await choose(dialog.getByRole('combobox', { name: 'Where' }), /^After 1\. Arrive/);
    await dialog.getByRole('button', { name: 'Add and open the plan' }).click();
    await expect(page).toHaveURL(new RegExp(`/plans/${id}$`));
    await expect(rows(page).nth(1)).toContainText('Legs up the wall');
    await expect(rows(page).nth(1)).toContainText('5:00');
    await saved(page);
    await page.reload();
    await expect(page.locator('[role=option] .name').filter({ hasText: 'Legs up the wall' })).toHaveCount(1);
    await page.goto(`/plans/${id}?add=nothing-of-the-kind&at=2`);
    await expect(page.getByText('The entry that was to be added is not in the library.')).toBeVisible();
    await page.goto(`/library/breath/humming`);
    await page.getByRole('button', { name: 'Add to a plan' }).click();
    const again = page.getByRole('dialog', { name: 'Add “Humming breath” to a plan' });
    await choose(again.getByRole('combobox', { name: 'Plan' }), title);
    await again.getByRole('button', { name: 'Add and open the plan' }).click();
    await expect(rows(page).last()).toContainText('Humming breath');
    await page.getByRole('button', { name: 'Undo' }).first().click();
    await expect(rows(page).last()).not.toContainText('Humming breath');
  });

  test('a breath technique says what a round is and how it is taught', async ({ page }) => {
    await page.goto('/library?search=bhramari');
    await page.getByRole('link', { name: /Humming breath/ }).click();
    await expect(page.getByText('1 round = 1 cycle: in quietly, out humming', { exact: true })).toBeVisible();
    await expect(page.getByText('Not with an ear infection')).toBeVisible();
    await expect(page.getByText('Lips are closed and teeth apart.')).toBeVisible();
  });

  test('a position says what usually comes before it, and leads there', async ({ page }) => {
    await page.goto('/library/bow');
    await expect(page.getByText(/Usually after Sphinx and Locust\. The back lifts and bends/)).toBeVisible();
    await page.getByRole('link', { name: 'Sphinx', exact: true }).click();
    await expect(page.getByRole('heading', { name: 'Sphinx', level: 1 })).toBeVisible();
    await expect(page.getByText(/Usually after/)).toHaveCount(0);
  });

  test('an entry that is not there says so and leads back', async ({ page }) => {
    await page.goto('/library/nowhere');
    await expect(page.getByText('This entry could not be found.')).toBeVisible();
    await page.getByRole('link', { name: 'Back to the library' }).click();
    await expect(page.getByRole('heading', { name: 'Library' })).toBeVisible();
  });
});

test('picking from the planner: the same search, with figures, from the keyboard', async ({ page, request }) => {
  const { id } = await newPlan(request, 'yin');
  await openPlan(page, id);
  await rows(page).last().click();
  await page.keyboard.press('a');
  await page.keyboard.type('outer hips');
  const options = page.getByRole('listbox', { name: /Option List/i }).getByRole('option');
  await expect(options.first()).toBeVisible();
  await expect(options.first().locator('svg path')).not.toHaveCount(0);
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await saved(page);
  const { document } = await storedPlan(request, id);
  const added = document.steps.at(-1)!;
  expect(added.kind).toBe('hold');
  expect(await rowNames(page)).toContain(added.name);
  // It came with the defaults of the plan's approach, and stands there with its figure.
  await expect(page.getByRole('img', { name: added.name, exact: true }).locator('path')).not.toHaveCount(0);
  await page.getByRole('group', { name: 'Seen from' }).getByRole('button', { name: 'Above' }).click();
  await expect(page.getByRole('img', { name: added.name, exact: true }).locator('path')).not.toHaveCount(0);
});
