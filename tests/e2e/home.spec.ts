import { expect, test, type Page } from '@playwright/test';
import { newPlan, openPlan, saved, storedPlan } from './support';

const rows = (page: Page) => page.getByRole('button', { name: /^More for / });
const more = (page: Page, title: string) => page.getByRole('button', { name: `More for ${title}`, exact: true });
const choose = async (page: Page, field: string, option: string | RegExp): Promise<void> => {
  await page.getByRole('combobox', { name: field }).click();
  await page.getByRole('option', { name: option }).click();
};

test('plans have tags, given by the keyboard, and are listed by them; the browser goes back', async ({
  page,
  request,
}, { retry, repeatEachIndex }) => {
  const mark = `${retry}${repeatEachIndex}`;
  const [first, second] = [`Tagged first ${mark}`, `Tagged second ${mark}`];
  const { id } = await newPlan(request, 'restorative', { title: first });
  await newPlan(request, 'restorative', { title: second, tags: [`Estuary term ${mark}`] });
  await page.goto('/');
  await more(page, first).click();
  await page.getByRole('menuitem', { name: 'Edit tags' }).click();
  const field = page.getByRole('combobox', { name: 'Tags' });
  await field.pressSequentially('estuary');
  const atKeyboard = page.locator('[role=option][data-p-focused=true]');
  await expect(atKeyboard).toHaveText('estuary');
  await page.keyboard.press('ArrowDown');
  await expect(atKeyboard).toHaveText(`Estuary term ${mark}`);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: `Remove Estuary term ${mark}` })).toBeVisible();
  await field.pressSequentially('x'.repeat(41));
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: 'A tag has at most 40 characters.' })).toBeVisible();
  await expect(field).toHaveValue('x'.repeat(41));
  // What is refused is not dropped by saving the others.
  await page.getByRole('button', { name: 'Save tags' }).click();
  await expect(field).toHaveValue('x'.repeat(41));
  await field.fill(`own ${mark}`);
  // Leaving the field takes what is typed.
  await page.getByRole('button', { name: 'Save tags' }).click();
  await expect(page.getByRole('button', { name: `Show plans with the tag own ${mark}` })).toBeVisible();
  expect((await storedPlan(request, id)).document.tags).toEqual([`Estuary term ${mark}`, `own ${mark}`]);

  await page
    .getByRole('button', { name: `Show plans with the tag Estuary term ${mark}` })
    .first()
    .click();
  await expect(rows(page)).toHaveCount(2);
  await choose(page, 'Show', `own ${mark} (1)`);
  await expect(rows(page)).toHaveCount(1);
  await page.reload();
  await expect(rows(page)).toHaveCount(1);
  await page.goBack();
  await expect(rows(page)).toHaveCount(2);
  await choose(page, 'Sort by', 'Title');
  await expect(rows(page).first()).toHaveAccessibleName(`More for ${first}`);
  await page.reload();
  await expect(rows(page).first()).toHaveAccessibleName(`More for ${first}`);
  await choose(page, 'Sort by', 'Last changed');
});

test('an archived plan is out of the list, and comes back by Undo, from the archive, or on its own page', async ({
  page,
  request,
}, { retry, repeatEachIndex }) => {
  const title = `For the archive ${retry}${repeatEachIndex}`;
  const { id } = await newPlan(request, 'restorative', { title });
  const archive = async (): Promise<void> => {
    await more(page, title).click();
    await page.getByRole('menuitem', { name: 'Archive', exact: true }).click();
    await expect(more(page, title)).toHaveCount(0);
  };
  await page.goto('/');
  await archive();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(more(page, title)).toBeVisible();

  await archive();
  await page.getByLabel('Search plans').fill(title);
  await expect(page.getByText(`No plan has “${title}” in its title, group, focus or tags.`)).toBeVisible();
  await page.getByRole('button', { name: 'Search the archived plans' }).click();
  await expect(rows(page)).toHaveCount(1);
  // What was taught lately is drawn whole, however short the plans beside it are.
  const cutOff = await page
    .getByRole('region', { name: 'Recently taught' })
    .locator('svg')
    .evaluateAll((drawn) =>
      drawn.filter((svg) => {
        const box = svg.querySelector<SVGGraphicsElement>('.r-axis')?.getBBox();
        return !box || box.x + box.width > svg.clientWidth + 1;
      }),
    );
  expect(cutOff).toEqual([]);
  await more(page, title).click();
  await page.getByRole('menuitem', { name: 'Unarchive' }).click();
  await expect(page.getByText(`No archived plan has “${title}”`)).toBeVisible();
  expect((await storedPlan(request, id)).document.archived).toBe(false);

  await openPlan(page, id);
  await page.getByRole('button', { name: /change title/ }).click();
  await page.getByRole('checkbox', { name: /^Archived/ }).check();
  await page.getByRole('button', { name: 'Done' }).click();
  await saved(page);
  expect((await storedPlan(request, id)).document.archived).toBe(true);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await saved(page);
  expect((await storedPlan(request, id)).document.archived).toBe(false);
});
