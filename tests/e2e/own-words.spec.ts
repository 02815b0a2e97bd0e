/// <reference lib="dom" />
import { expect, test } from '@playwright/test';
import { emptyPlan, holdFrom, Plan } from '#core/plan';
import { builtInLibrary } from '#library';
import { choose, openPlan, openTab, passMs, rows, saved, storedPlan, total } from './support';

const BEGIN = new Date('2026-11-26T18:00:00Z');
const swan = { ...holdFrom(builtInLibrary.position('sleeping-swan')!, 'yin', 'swan'), setupSeconds: 20 };

test('a hold in the teacher’s own words: released after each side, uneven on purpose, led as it was written', async ({
  page,
  request,
}) => {
  test.setTimeout(90_000);
  const document = Plan.parse({
    ...emptyPlan('In my own words', 'yin'),
    steps: [
      {
        ...swan,
        sides: { kind: 'each', first: 'left', length: { kind: 'even', seconds: 120 } },
        rebound: { kind: 'none' },
        enterSeconds: 30,
        leaveSeconds: 30,
        switchSeconds: 10,
        prompts: [],
      },
    ],
  });
  const { id } = await (await request.post('/api/v1/plans', { data: { document } })).json();
  await openPlan(page, id);
  await rows(page).first().click();
  // 20 + 2 × (30 + 120 + 30) + 10.
  await expect(total(page)).toContainText('6:30');

  await page.getByRole('radiogroup', { name: 'Release after' }).getByRole('radio', { name: 'each side' }).click();
  await page.getByLabel('Length of the release').fill('20');
  await page.getByLabel('How to release').fill('Rock the pelvis');
  await page.keyboard.press('Enter');
  await expect(total(page)).toContainText('7:10');
  await page.getByLabel('“Left” is').fill('left knee in front');
  await page.keyboard.press('Enter');

  // One side longer, and meant so.
  await page.getByRole('switch', { name: 'Even' }).click();
  await page.getByLabel('Right', { exact: true }).fill('3:00');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Second side is 1:00 longer')).toBeVisible();
  await page.getByLabel('different on purpose').check();
  await expect(page.getByText('Second side 1:00 longer')).toBeVisible();

  await openTab(page, 'Cues');
  await page.getByLabel('Note', { exact: true }).fill('Low light from here');
  await page.getByRole('button', { name: 'Add a prompt' }).click();
  await choose(page.getByLabel('Moment of prompt 1'), 'after breaths');
  await page.getByLabel('Breaths before prompt 1').fill('5');
  await page.getByLabel('Words of prompt 1').fill('Let the front hip be heavy');
  await page.keyboard.press('Enter');
  await choose(page.getByLabel('Coming out', { exact: true }), 'in my own words');
  await page
    .getByLabel('Coming out, in my own words')
    .fill('Hands under the shoulders\nThe left leg back, last of all');
  await page.keyboard.press('Tab');
  await saved(page);
  const { plan } = { plan: (await storedPlan(request, id)).document };
  expect(plan.steps[0]).toMatchObject({
    unevenIntended: true,
    leftMeans: 'left knee in front',
    note: 'Low light from here',
    loosen: { when: 'afterEach', seconds: 20, text: 'Rock the pelvis' },
    waysOut: ['Hands under the shoulders', 'The left leg back, last of all'],
  });

  await page.clock.install({ time: BEGIN });
  await page.goto(`/teach/${id}`);
  await page.getByRole('button', { name: 'Begin' }).first().waitFor();
  await page.clock.pauseAt(BEGIN.getTime() + 60_000);
  await page.keyboard.press('Space');
  // 20 s to set up, 30 s to get in.
  await passMs(page, 51_000);
  const side = page.locator('.side');
  await expect(side).toHaveText('Left');
  await expect(page.getByText('left knee in front')).toBeVisible();
  await expect(page.getByText('Low light from here')).toBeVisible();
  // Five breaths of six seconds.
  await passMs(page, 30_000);
  await expect(page.locator('.prompt')).toContainText('Let the front hip be heavy');
  await passMs(page, 90_000);
  await expect(side).toHaveText('Coming out');
  await expect(page.locator('.prompt')).toContainText('The left leg back, last of all');
  await passMs(page, 30_000);
  await expect(side).toHaveText('Rock the pelvis');
  await passMs(page, 20_000 + 10_000 + 30_000);
  await expect(side).toHaveText('Right');
  await expect(page.getByText('right knee in front')).toBeVisible();
  await expect(page.getByRole('timer')).toHaveText('2:59');
  await passMs(page, 180_000);
  await expect(page.locator('.prompt')).toContainText('The right leg back, last of all');
  await passMs(page, 60_000);
  await expect(page.getByText('The plan is over', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'End the session' }).click();
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByRole('cell', { name: 'right knee in front' })).toBeVisible();
});
