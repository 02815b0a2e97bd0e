import { expect, test } from '@playwright/test';
import { emptyPlan, holdFrom, Plan, restStep, talkStep } from '#core/plan';
import { builtInLibrary } from '#library';
import { openPlan, openTab, rows, saved, storedPlan, total } from './support';

const hold = (id: string, position: string, seconds: number) => {
  const made = holdFrom(builtInLibrary.position(position)!, 'restorative', id);
  const sides =
    'length' in made.sides ? { ...made.sides, length: { kind: 'even' as const, seconds } } : { ...made.sides, seconds };
  return {
    ...made,
    sides,
    stages: [],
    setupSeconds: 20,
    enterSeconds: 20,
    leaveSeconds: 20,
    rebound: { kind: 'none' as const },
  };
};
/** Two holds of five minutes with a minute around each, a talk, a rest: 60 + 360 + 360 + 300 = 18:00 of half an hour. */
const document = Plan.parse({
  ...emptyPlan('Half an hour', 'restorative'),
  classSeconds: 1800,
  steps: [
    talkStep('talk', 'Arrive', 60),
    hold('one', 'calves-on-chair', 300),
    hold('two', 'chair-fold', 300),
    restStep('rest', 'Last rest', 300),
  ],
});

test('what is left of the class goes to the last rest, and follows every edit until a length is typed', async ({
  page,
  request,
}) => {
  const { id } = await (await request.post('/api/v1/plans', { data: { document } })).json();
  await openPlan(page, id);
  await expect(total(page)).toContainText('18:00');
  await rows(page).nth(3).click();
  await page.getByLabel('takes what is left of the class').check();
  await expect(total(page)).toContainText('30:00');
  await expect(page.getByLabel('Rest', { exact: true })).toHaveValue('17:00');
  // A hold that is a minute longer is a minute less of rest.
  await rows(page).nth(1).click();
  await page.getByLabel('Both sides', { exact: true }).fill('6:00');
  await page.keyboard.press('Enter');
  await expect(total(page)).toContainText('30:00');
  await expect(rows(page).nth(3)).toContainText('16:00');
  await expect(rows(page).nth(3)).toContainText('takes what is left');
  // One step of undo, not two.
  await page.getByRole('button', { name: /^Undo/ }).first().click();
  await expect(rows(page).nth(3)).toContainText('17:00');
  await rows(page).nth(3).click();
  await page.getByLabel('Rest', { exact: true }).fill('4:00');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('takes what is left of the class')).not.toBeChecked();
  await expect(total(page)).toContainText('17:00');
  await saved(page);
});

test('all holds to one length or longer by a share as one edit, or as a copy that is called what it is', async ({
  page,
  request,
}) => {
  const { id } = await (await request.post('/api/v1/plans', { data: { document } })).json();
  await openPlan(page, id);
  await page.getByRole('button', { name: 'All holds' }).click();
  const dialog = page.getByRole('dialog', { name: 'All holds' });
  await dialog.getByLabel('Each hold, a side').fill('3');
  await dialog.getByLabel('Each hold, a side').press('Tab');
  await expect(dialog.getByRole('status').last()).toHaveText('2 holds; 6:00 in holds, 14:00 total, 16:00 to spare.');
  await dialog.getByRole('button', { name: 'Change this plan' }).click();
  await expect(dialog).toBeHidden();
  await expect(total(page)).toContainText('14:00');
  // Shorter than the library has them: said once, and at no row.
  await expect(page.getByText('One hold is shorter than usual.')).toBeVisible();
  await page.getByRole('button', { name: /^Undo/ }).first().click();
  await expect(total(page)).toContainText('18:00');

  await page.getByRole('button', { name: 'All holds' }).click();
  await dialog.getByRole('radio', { name: 'longer or shorter' }).click();
  await dialog.getByLabel('Scale each to').fill('500');
  await dialog.getByLabel('Scale each to').press('Tab');
  await expect(dialog.getByText('Between 10 and 400 per cent.')).toBeVisible();
  await dialog.getByLabel('Scale each to').fill('120');
  await dialog.getByLabel('Scale each to').press('Tab');
  await dialog.getByRole('button', { name: 'Make a copy' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Half an hour (holds at 120 %)');
  await expect(total(page)).toContainText('20:00');
  const copy = await storedPlan(request, page.url().split('/').at(-1)!);
  expect(copy.document.steps.map((step) => (step.kind === 'hold' ? step.sides : step.kind))).toMatchObject([
    'talk',
    { seconds: 360 },
    { seconds: 360 },
    'rest',
  ]);
});

test('a custom hold of half a minute is got into and out of briefly, and may need no set-up', async ({
  page,
  request,
}) => {
  const { id } = await (await request.post('/api/v1/plans', { data: { document } })).json();
  await openPlan(page, id);
  await page.keyboard.press('a');
  await page.keyboard.type('Cat and cow by the window');
  await page.getByRole('option', { name: /Cat and cow by the window/ }).click();
  await page.getByLabel('Both sides', { exact: true }).fill('0:30');
  await page.keyboard.press('Enter');
  await openTab(page, 'Hold');
  await expect(page.getByLabel('Getting in', { exact: true })).toHaveValue('0:05');
  await page.getByLabel('no set-up', { exact: true }).check();
  await expect(page.getByLabel('Setting up', { exact: true })).toHaveValue('0:00');
  // 5 + 30 + 5 more than before.
  await expect(total(page)).toContainText('18:40');
});
