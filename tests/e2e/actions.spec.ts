import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test, type Page } from '@playwright/test';
import { PLACES } from '#api';
import { newPlace } from '#core/cupboard';
import type { HoldStep } from '#core/plan';
import { serve } from '../../bench/serve';
import { Counted } from './counted';
import { newPlan, openPlan, rows, saved, storedPlan, total } from './support';

/** Runs something on a house in which nothing was made yet. */
async function inEmptyHouse(port: number, visit: (url: string) => Promise<void>): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'zovrin-empty-'));
  const { url, stop } = await serve(port, join(folder, 'empty.sqlite'), false);
  try {
    await visit(url);
  } finally {
    stop();
    rmSync(folder, { recursive: true });
  }
}

const HOUR = [
  'Arrive',
  'Chair fold',
  'Reclined twist',
  'Head to knee',
  'Child’s pose',
  'Butterfly',
  'Legs up the wall',
  'Final rest',
];
async function isAnHour(page: Page): Promise<void> {
  await expect(rows(page)).toHaveCount(HOUR.length);
  const [minutes = 0] = (await total(page).innerText()).split(':').map(Number);
  expect(minutes).toBeGreaterThanOrEqual(45);
  expect(minutes).toBeLessThanOrEqual(75);
}

test('an empty house: an hour of eight steps takes at most 22 actions by mouse', async ({ page }) => {
  await inEmptyHouse(4796, async (url) => {
    await page.goto(url);
    const hands = new Counted(page);
    await hands.click(page.getByRole('button', { name: 'Create your first plan' }));
    await hands.click(page.getByRole('button', { name: 'Create plan' }));
    const add = page.getByRole('combobox', { name: 'Add a step' });
    await hands.click(add);
    for (const [i, name] of HOUR.entries()) {
      await hands.type(name);
      await hands.click(page.locator('.p-autocomplete-overlay').getByRole('option').first());
      await expect(rows(page)).toHaveCount(i + 1);
      await expect(add).toBeFocused();
    }
    await isAnHour(page);
    expect(hands.actions).toBeLessThanOrEqual(22);
  });
});

test('an empty house: the same takes at most 26 actions by keyboard', async ({ page }) => {
  await inEmptyHouse(4797, async (url) => {
    await page.goto(url);
    await expect(page.getByRole('button', { name: 'Create your first plan' })).toBeVisible();
    const hands = new Counted(page);
    await hands.press('n');
    await expect(page.getByRole('textbox', { name: 'Title' })).toBeFocused();
    await hands.press('Enter');
    await expect(page.getByRole('listbox', { name: 'Steps' })).toBeVisible();
    for (const [i, name] of HOUR.entries()) {
      await hands.press('a');
      await hands.type(name);
      await hands.press('Enter');
      await expect(rows(page)).toHaveCount(i + 1);
      await expect(rows(page).nth(i)).toBeFocused();
    }
    await isAnHour(page);
    expect(hands.actions).toBeLessThanOrEqual(26);
  });
});

test('the sample house is loaded from the first page, and removed again in the settings', async ({ page }) => {
  await inEmptyHouse(4798, async (url) => {
    await page.goto(url);
    await page.getByRole('button', { name: 'Load the sample house' }).click();
    await expect(page.getByRole('link', { name: /Before the night shift/ }).first()).toBeVisible();
    await page.goto(`${url}/people`);
    await expect(page.getByRole('link', { name: 'Ines Harrowgate' })).toBeVisible();
    await page.goto(`${url}/settings?group=sample`);
    await page.getByRole('button', { name: 'Remove the sample house' }).click();
    await expect(page.getByText('The sample house was removed.')).toBeVisible();
    // What a new plan begins with is chosen here, and kept, also where the settings come later than the hand.
    let release: () => void = () => undefined;
    const released = new Promise<void>((resolve) => (release = resolve));
    await page.route('**/api/v1/settings', async (route) => {
      await released;
      await route.continue();
    });
    await page.goto(url);
    await expect(page.getByRole('button', { name: 'Create your first plan' })).toBeVisible();
    await page.getByRole('radio', { name: 'right' }).click();
    await page.getByRole('textbox', { name: 'Class length' }).fill('75');
    await page.keyboard.press('Enter');
    release();
    await expect(page.getByRole('textbox', { name: 'Class length' })).toHaveValue('1:15:00');
    await expect(page.getByRole('radio', { name: 'right' })).toBeChecked();
    await page.getByRole('button', { name: 'Create your first plan' }).click();
    await expect(page.getByRole('dialog').getByRole('textbox', { name: 'Class length' })).toHaveValue('1:15:00');
    await page.getByRole('button', { name: 'Create plan' }).click();
    await expect(page.getByRole('listbox', { name: 'Steps' })).toBeVisible();
    await page.keyboard.press('a');
    await page.keyboard.type('Reclined twist');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('combobox', { name: 'First side' })).toHaveText('right, as usual');
  });
});

test('an uneven plan is made even in at most 3 actions', async ({ page, request }) => {
  const { id } = await newPlan(request, 'yin');
  await openPlan(page, id);
  const hands = new Counted(page);
  await hands.click(rows(page).nth(5));
  await hands.click(page.getByRole('switch', { name: 'Even' }));
  await expect(page.getByRole('img', { name: 'Left 14:00, right 14:00' })).toBeVisible();
  expect(hands.actions).toBeLessThanOrEqual(3);
});

test('a ratio goes into five minutes in at most 3 actions', async ({ page, request }) => {
  const { id } = await newPlan(request, 'yin');
  await openPlan(page, id);
  const hands = new Counted(page);
  await hands.click(rows(page).nth(1));
  await hands.click(page.getByRole('button', { name: '5 min', exact: true }));
  await hands.click(page.getByRole('button', { name: 'Apply' }));
  await expect(page.getByLabel('Length and load')).toContainText('5:00');
  expect(hands.actions).toBeLessThanOrEqual(3);
});

test('74 minutes become 60 in at most 2 actions', async ({ page, request }) => {
  const { id } = await newPlan(request, 'yin', { classSeconds: 3600 });
  await openPlan(page, id);
  await expect(total(page)).toContainText('72:22 of 60:00');
  const hands = new Counted(page);
  await hands.click(page.getByRole('link', { name: 'Fit', exact: true }));
  await hands.click(page.getByRole('button', { name: 'Apply' }).first());
  await expect
    .poll(async () => {
      await page.goto(`/plans/${id}`);
      return total(page).innerText();
    })
    .toMatch(/^(60:00|59:\d\d) of 60:00/);
  expect(hands.actions).toBeLessThanOrEqual(2);
});

test('a person with two conditions is in a group in at most 8 actions', async ({ page }) => {
  await page.goto('/people');
  const hands = new Counted(page);
  const name = `Orla Fenwick ${Date.now()}`;
  await hands.click(page.getByRole('textbox', { name: 'Name of a new person' }));
  await hands.type(name);
  await hands.press('Enter');
  await expect(page.getByRole('textbox', { name: 'Add a condition' })).toBeFocused();
  for (const condition of ['glaucoma', 'gravidity']) {
    await hands.type(condition);
    await hands.press('Enter');
  }
  await expect(page.getByRole('region', { name: 'Conditions' })).toContainText('Pregnancy');
  const groups = page.getByRole('region', { name: 'Groups' });
  await hands.click(groups.getByRole('button', { name: 'Potters' }));
  await expect(groups.getByRole('link', { name: 'Potters' })).toBeVisible();
  expect(hands.actions).toBeLessThanOrEqual(8);
});

test('a shortage is seen and repaired in at most 3 actions', async ({ page, request }) => {
  const stock = { flatBolster: 10, block: 60, blanket: 20, chair: 20, eyePillow: 20, roundBolster: 20 };
  const place = { ...newPlace('Quay store', 'hall'), stock };
  const made = await request.post('/api/v1/places', { data: { id: crypto.randomUUID(), document: place } });
  const { id: cupboard } = PLACES.stored.parse(await made.json());
  const { id, document } = await newPlan(request, 'restorative', { groupSize: 14, cupboard });
  await openPlan(page, id);
  const short = page.getByRole('option', { name: /short in/ }).first();
  await expect(short).toBeVisible();
  const before = await page.getByRole('option', { name: /short in/ }).count();
  const hands = new Counted(page);
  await hands.click(short);
  await hands.click(page.getByRole('complementary').getByRole('button', { name: 'Solutions' }));
  await hands.click(page.getByRole('list', { name: 'Solutions' }).getByRole('button').first());
  await expect(page.getByRole('option', { name: /short in/ })).toHaveCount(before - 1);
  expect(hands.actions).toBeLessThanOrEqual(3);
  await saved(page);
  expect((await storedPlan(request, id)).document.steps).not.toEqual(document.steps);
});

test('a hold gets three stages, the last without its blocks, in at most 6 actions', async ({ page, request }) => {
  const { id, document } = await newPlan(request, 'restorative');
  const index = document.steps.findIndex((step) => step.kind === 'hold' && step.position === 'head-to-knee');
  await openPlan(page, id);
  const hands = new Counted(page);
  await hands.click(rows(page).nth(index));
  for (let i = 0; i < 3; i++) await hands.click(page.getByRole('button', { name: 'Add a stage' }));
  await hands.click(page.getByLabel('different props').nth(2));
  await hands.click(page.getByRole('button', { name: /^Remove .*block/ }));
  await saved(page);
  const step = (await storedPlan(request, id)).document.steps[index] as HoldStep;
  expect(step.stages.map(({ setUp }) => setUp?.map(({ kind }) => kind) ?? null)).toEqual([null, null, ['blanket']]);
  expect(hands.actions).toBeLessThanOrEqual(6);
});

test('how much the hips had in the last month is seen in at most 3 actions', async ({ page }) => {
  await page.goto('/');
  const hands = new Counted(page);
  await hands.click(page.getByRole('link', { name: 'History', exact: true }));
  await hands.click(page.getByRole('link', { name: 'Trends' }));
  await hands.click(page.getByRole('radio', { name: /month|4 weeks/ }));
  await expect(page.getByRole('row', { name: /hips/i }).first()).toBeVisible();
  expect(hands.actions).toBeLessThanOrEqual(3);
});

test('an earlier version is back in at most 3 actions', async ({ page, request }) => {
  const { id, revision, document } = await newPlan(request, 'restorative', { title: 'As it was yesterday' });
  await request.put(`/api/v1/plans/${id}`, { data: { revision, document: { ...document, title: 'As it is today' } } });
  await openPlan(page, id);
  const hands = new Counted(page);
  await hands.click(page.getByRole('link', { name: 'Versions' }));
  await hands.click(page.getByRole('option').nth(1));
  await hands.click(page.getByRole('button', { name: 'Restore this version' }));
  await expect.poll(async () => (await storedPlan(request, id)).document.title).toBe('As it was yesterday');
  expect(hands.actions).toBeLessThanOrEqual(3);
});

test('from anywhere a key, some letters and Enter lead to a position, a plan, a person, a page', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Plans' })).toBeVisible();
  for (const [typed, heading] of [
    ['pigeon', 'Folded hip pose'],
    ['harrowgate', 'Ines Harrowgate'],
    ['glossary', 'How it works'],
  ] as const) {
    await page.keyboard.press('/');
    await expect(page.getByRole('combobox', { name: 'Search everything' })).toBeFocused();
    await page.keyboard.type(typed);
    await expect(page.getByRole('option', { name: heading }).first()).toBeVisible();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('dialog')).toBeHidden();
    const title = page.getByRole('heading', { name: heading, level: 1 });
    await expect(heading === 'Ines Harrowgate' ? page.getByLabel('Name', { exact: true }) : title).toBeVisible();
  }
  await page.keyboard.press('/');
  await page.keyboard.type('qqqqq');
  await expect(page.getByRole('option', { name: 'No matches' })).toBeVisible();
  await page.keyboard.press('Escape');
});

test('a swan with four stages and a release after each side takes at most 16 actions', async ({ page, request }) => {
  const { id } = await newPlan(request, 'yin', { title: 'A swan in stages', steps: [] });
  await openPlan(page, id);
  const hands = new Counted(page);
  await hands.press('a');
  await hands.type('sleeping swan');
  await hands.press('Enter');
  await expect(rows(page)).toHaveCount(1);
  await hands.click(page.getByLabel('All stages in one line'));
  await hands.press('ControlOrMeta+a');
  await hands.type('upright 1:00, folded 2:30, turned 3 breaths, folded 1:00');
  await hands.press('Enter');
  await hands.click(page.getByRole('button', { name: 'As long as its stages' }));
  await hands.click(page.getByRole('radiogroup', { name: 'Release after' }).getByText('each side'));
  await hands.click(page.getByLabel('How to release'));
  await hands.press('ControlOrMeta+a');
  await hands.type('Rock the pelvis');
  await hands.press('Tab');
  await expect
    .poll(async () => (await storedPlan(request, id)).document.steps[0])
    .toMatchObject({
      stages: [
        { name: 'upright', length: { seconds: 60 }, breathSeconds: null },
        { name: 'folded', length: { seconds: 150 }, breathSeconds: null },
        { name: 'turned', length: { seconds: 18 }, breathSeconds: 6 },
        { name: 'folded', length: { seconds: 60 }, breathSeconds: null },
      ],
      // 1:00 + 2:30 + 0:18 + 1:00 on each side.
      sides: { kind: 'each', length: { kind: 'even', seconds: 288 } },
      loosen: { when: 'afterEach', text: 'Rock the pelvis' },
    });
  expect(hands.actions).toBeLessThanOrEqual(16);
});

test('a practice at three places, then the same again with eyes closed, six sets, takes at most 20 actions', async ({
  page,
  request,
}) => {
  const { id } = await newPlan(request, 'yin', { title: 'Three places', steps: [] });
  await openPlan(page, id);
  const hands = new Counted(page);
  await hands.press('a');
  await hands.type('natural breath');
  await hands.press('Enter');
  await expect(rows(page)).toHaveCount(1);
  await hands.click(page.getByRole('button', { name: 'Several sets at once' }));
  await hands.click(page.getByRole('button', { name: 'Only these' }));
  await hands.click(page.getByRole('button', { name: 'Add them again' }));
  const perBreath = page.getByLabel('A breath at their own pace takes about');
  await hands.click(perBreath);
  await hands.press('ControlOrMeta+a');
  await hands.type('8');
  await hands.press('Enter');
  const place = (at: string, breaths: number, eyes: string) => ({
    eyes,
    hands: expect.stringContaining('on the '),
    parts: [{ kind: 'ownPace', cycles: breaths, secondsPerCycle: 8, place: at }],
  });
  await expect
    .poll(async () => (await storedPlan(request, id)).document.steps[0])
    .toMatchObject({
      practice: {
        sets: [
          ...['belly', 'sideRibs', 'backRibs'].map((at) => place(at, 3, 'open')),
          ...['belly', 'sideRibs', 'backRibs'].map((at) => place(at, 5, 'closed')),
        ],
      },
    });
  // (3 × 3 + 3 × 5) breaths of 8 s.
  await expect(page.getByLabel('Length and load')).toContainText('3:12');
  expect(hands.actions).toBeLessThanOrEqual(20);
});

test('nine positions over a bolster, with one range for all, take at most 45 actions', async ({ page, request }) => {
  test.setTimeout(60_000);
  const { id } = await newPlan(request, 'restorative', { title: 'Nine over a bolster', steps: [] });
  await openPlan(page, id);
  const hands = new Counted(page);
  const SERIES = [
    'Chest opener over blankets',
    'Child’s pose on a bolster',
    'Reclined bound angle',
    'Bolster under the sacrum',
    'Legs over a bolster',
    'Reclined twist',
    'Sleeping swan',
    'Sphinx',
    'Final rest',
  ];
  for (const [i, name] of SERIES.entries()) {
    await hands.press('a');
    await hands.type(name);
    await hands.press('Enter');
    await expect(rows(page)).toHaveCount(i + 1);
    await expect(rows(page).nth(i)).toBeFocused();
  }
  await hands.click(page.getByRole('button', { name: 'All holds' }));
  const dialog = page.getByRole('dialog');
  await hands.click(dialog.getByText('one range'));
  for (const [field, length] of [
    ['from', '4:00'],
    ['to', '6:00'],
  ] as const) {
    await hands.click(dialog.getByLabel(field, { exact: true }));
    await hands.press('ControlOrMeta+a');
    await hands.type(length);
    await hands.press('Tab');
  }
  await hands.click(dialog.getByRole('button', { name: 'Change this plan' }));
  await expect
    .poll(async () => (await storedPlan(request, id)).document.steps.map((step) => step.kind === 'hold' && step.range))
    .toEqual(SERIES.map(() => ({ min: 240, max: 360 })));
  expect(hands.actions).toBeLessThanOrEqual(45);
});
