/// <reference lib="dom" />
import { expect, test } from '@playwright/test';
import { emptyPlan, holdFrom, Plan } from '#core/plan';
import { builtInLibrary } from '#library';
import { choose, openPlan, passMs, rows, saved, storedPlan, total } from './support';

const BEGIN = new Date('2026-11-26T18:00:00Z');

test('stages in other positions, one of three breaths, led and counted', async ({ page, request }) => {
  test.setTimeout(90_000);
  const swan = holdFrom(builtInLibrary.position('swan-upright')!, 'yin', 'swan');
  const document = Plan.parse({
    ...emptyPlan('Four stages', 'yin'),
    steps: [
      {
        ...swan,
        sides: { kind: 'each', first: 'left', length: { kind: 'even', seconds: 180 } },
        stages: [],
        prompts: [],
        rebound: { kind: 'none' },
        setupSeconds: 20,
        enterSeconds: 30,
        leaveSeconds: 20,
        switchSeconds: 10,
      },
    ],
  });
  const { id } = await (await request.post('/api/v1/plans', { data: { document } })).json();
  await openPlan(page, id);
  await rows(page).first().click();
  for (const [i, [name, length]] of [
    ['upright', '1:00'],
    ['folded', '1:20'],
    ['turned', ''],
  ].entries()) {
    await page.getByRole('button', { name: 'Add a stage' }).click();
    await page.getByLabel(`Name of stage ${i + 1}`).fill(name!);
    if (length) await page.getByLabel(`Length of stage ${i + 1}`).fill(length);
    await page.keyboard.press('Enter');
  }
  await choose(page.getByLabel('Position of stage 2'), 'Folded hip pose');
  await choose(page.getByLabel('Position of stage 3'), 'Hip pose with a turn');
  await page.getByRole('checkbox', { name: 'in breaths', exact: true }).nth(2).check();
  await page.getByLabel('Length of stage 3').fill('3');
  await page.keyboard.press('Enter');
  await expect(page.getByText('The stages add up to 2:38, the hold is 3:00.')).toBeVisible();
  await page.getByRole('button', { name: 'As long as its stages' }).click();
  // 20 + 2 × (30 + 158 + 20) + 10.
  await expect(total(page)).toContainText('7:26');
  await saved(page);
  const [step] = (await storedPlan(request, id)).document.steps;
  expect(step).toMatchObject({
    sides: { length: { seconds: 158 } },
    stages: [
      { name: 'upright', position: null },
      { name: 'folded', position: 'sleeping-swan' },
      { name: 'turned', position: 'swan-twisted', breathSeconds: 6, length: { kind: 'fixed', seconds: 18 } },
    ],
  });

  await page.clock.install({ time: BEGIN });
  await page.goto(`/teach/${id}`);
  await page.getByRole('button', { name: 'Begin' }).first().waitFor();
  await page.clock.pauseAt(BEGIN.getTime() + 60_000);
  await page.keyboard.press('Space');
  await passMs(page, 20_000 + 30_000 + 60_000 + 1000);
  await expect(page.getByText('part 2 of 3')).toBeVisible();
  // How to get there, while the change goes on.
  await expect(page.locator('.prompt')).not.toHaveText('');
  await passMs(page, 80_000);
  await expect(page.getByText('breath 1 of 3')).toBeVisible();
  await passMs(page, 12_000);
  await expect(page.getByText('breath 3 of 3')).toBeVisible();
});
