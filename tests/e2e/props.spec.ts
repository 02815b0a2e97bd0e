/// <reference lib="dom" />
import { expect, test, type APIRequestContext, type Page } from '@playwright/test';
import { newPlace, type Place } from '#core/cupboard';
import type { HoldStep, Plan } from '#core/plan';
import { PLACES, type StoredPlace } from '#api';
import { missingOnPaper, onPaper } from '../support/paper';
import { choose, newPlan, openPlan, openTab, rows, saved, storedPlan } from './support';

const inspector = (page: Page) => page.getByRole('complementary');
const setUpOf = async (request: APIRequestContext, id: string, index: number) => {
  const step = (await storedPlan(request, id)).document.steps[index];
  if (step?.kind !== 'hold') throw new Error('no hold');
  return step.setUp;
};
async function newPlaceOf(request: APIRequestContext, patch: Partial<Place>): Promise<StoredPlace> {
  const document: Place = { ...newPlace('The net loft', 'hall'), ...patch };
  const answer = await request.post('/api/v1/places', { data: { id: crypto.randomUUID(), document } });
  expect(answer.status()).toBe(201);
  return PLACES.stored.parse(await answer.json());
}
const mats = (count: number): Place['mats'] => ({ count, widthCm: 60, lengthCm: 180, gapCm: 40 });
const indexOf = (plan: Plan, position: string): number =>
  plan.steps.findIndex((step) => step.kind === 'hold' && step.position === position);

test.describe('the cupboard', () => {
  test('a place is made, counted, measured, and survives a lost line and a reload', async ({ page, request }) => {
    await page.goto('/places');
    await page.getByRole('button', { name: 'Add' }).click();
    await expect(page.getByRole('alert')).toHaveText('A name is needed.');
    await page.getByLabel('Name of a new place').fill('Sail shed');
    await page.getByRole('radio', { name: 'Studio' }).click();
    await page.getByRole('button', { name: 'Add' }).click();
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Sail shed');

    const blocks = page.getByLabel('blocks available');
    await blocks.fill('-3');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('alert')).toHaveText('There cannot be fewer than no pieces.');
    await expect(blocks).toHaveValue('-3');
    await blocks.fill('24');
    await page.keyboard.press('Enter');
    await expect(page.getByText('24 pieces')).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByText('0 pieces')).toBeVisible();
    await page.keyboard.press('Control+Shift+Z');
    await expect(page.getByText('24 pieces')).toBeVisible();

    await page.getByLabel('mats', { exact: true }).fill('30');
    await page.keyboard.press('Enter');
    await page.getByRole('button', { name: 'Measure the floor' }).click();
    await expect(page.getByRole('img', { name: /A floor of 8 by 6 metres with \d+ mats/ })).toBeVisible();
    await page.getByLabel('in total').fill('4');
    await page.keyboard.press('Enter');
    await expect(page.getByText('4 at once, side by side.')).toBeVisible();

    // What the server never got is still there after a reload, and then gets there.
    await page.route('**/api/v1/places/*', (route) =>
      route.request().method() === 'PUT' ? route.abort() : route.continue(),
    );
    await page.getByLabel('chairs available').fill('9');
    await page.keyboard.press('Enter');
    await expect(page.getByText('Your changes are still here.')).toBeVisible();
    await page.unroute('**/api/v1/places/*');
    await page.reload();
    await expect(page.getByLabel('chairs available')).toHaveValue('9');
    const id = page.url().split('/').at(-1)!;
    await expect
      .poll(
        async () => PLACES.stored.parse(await (await request.get(`/api/v1/places/${id}`)).json()).document.stock.chair,
      )
      .toBe(9);
    await page.getByRole('button', { name: 'Delete' }).click();
    await expect(page.getByText('Sail shed is in the bin for 30 days')).toBeVisible();
  });

  test('a custom kind, a size of nothing, two windows', async ({ page, context, request }) => {
    const { id } = await newPlaceOf(request, {});
    await page.goto(`/places/${id}`);
    await page.getByRole('button', { name: 'Add a kind' }).click();
    await page.getByLabel('Name of kind 1').fill('kneeling bench');
    await page.keyboard.press('Enter');
    await page.getByLabel('height', { exact: true }).fill('0');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('alert')).toContainText('at least');
    await page.getByLabel('height', { exact: true }).fill('19');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('rowheader', { name: /kneeling benches/ })).toBeVisible();

    const other = await context.newPage();
    await other.goto(`/places/${id}`);
    await other.getByLabel('bolsters available', { exact: true }).fill('5');
    await other.keyboard.press('Enter');
    await expect(other.getByText('6 pieces')).toBeVisible();
    await expect
      .poll(async () => PLACES.stored.parse(await (await request.get(`/api/v1/places/${id}`)).json()).document.stock)
      .toEqual({ flatBolster: 5 });
    // What is changed here is put together with what was changed there.
    await page.getByLabel('straps available').fill('7');
    await page.keyboard.press('Enter');
    await expect(page.getByLabel('bolsters available', { exact: true })).toHaveValue('5');
    const stock = async () =>
      PLACES.stored.parse(await (await request.get(`/api/v1/places/${id}`)).json()).document.stock;
    await expect.poll(stock).toEqual({ flatBolster: 5, strap: 7 });

    // Both changed the same while one was offline: both are shown until one is chosen, and what gave way can be had back.
    await page.route('**/api/v1/places/*', (route) => route.abort());
    await page.getByLabel('straps available').fill('8');
    await page.keyboard.press('Enter');
    await expect(page.getByText('The server cannot be reached.')).toBeVisible();
    await other.getByLabel('straps available').fill('9');
    await other.keyboard.press('Enter');
    await expect.poll(stock).toEqual({ flatBolster: 5, strap: 9 });
    await page.unrouteAll();
    await expect(page.getByRole('dialog', { name: 'This place was changed in two windows' })).toBeVisible();
    await page.getByRole('button', { name: 'Use the other version' }).click();
    await expect(page.getByLabel('straps available')).toHaveValue('9');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByLabel('straps available')).toHaveValue('8');
  });
});

test.describe('a plan and its place', () => {
  test('a group of 14 with 10 bolsters: told on the shelf, at the step, with ways out that work', async ({
    page,
    request,
  }) => {
    const place = await newPlaceOf(request, {
      name: 'Net loft of the bolsters',
      stock: { flatBolster: 10, block: 60, blanket: 20, chair: 20, eyePillow: 20, roundBolster: 20 },
      mats: mats(20),
    });
    const { id, document } = await newPlan(request, 'restorative', { groupSize: 14 });
    const step = indexOf(document, 'reclined-bound-angle');
    await openPlan(page, id);
    await page.getByRole('button', { name: /change title, group/ }).click();
    await choose(page.getByRole('combobox', { name: 'Saved place' }), place.document.name);
    await expect(page.getByRole('textbox', { name: 'Place' })).toHaveValue(place.document.name);
    await page.getByRole('button', { name: 'Done' }).click();

    const band = page.getByRole('button', { name: /^bolster: 1 each, 14 for 14 of 10 there, 4 short/ });
    await expect(band).toBeVisible();
    await page.getByRole('button', { name: /^blanket: 3 each, 42 for 14 of 20 there, 22 short/ }).click();
    await expect(rows(page).nth(step)).toHaveAttribute('aria-selected', 'true');
    await expect(rows(page).nth(step)).toHaveAttribute('aria-label', /short in Net loft of the bolsters/);
    await inspector(page).getByRole('button', { name: 'Solutions' }).click();
    const ways = inspector(page).getByRole('list', { name: 'Solutions' }).getByRole('button');
    await ways.first().focus();
    await page.keyboard.press('Enter');
    await expect(inspector(page).getByText(/short in Net loft/)).toHaveCount(0);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(
      inspector(page)
        .getByText(/short in Net loft/)
        .first(),
    ).toBeVisible();

    await page.getByRole('link', { name: /^Props \d/ }).click();
    const short = page.getByRole('region', { name: 'Substitutes' });
    await expect(short).toContainText('short');
    await short
      .getByRole('button', { name: /for \d+, as it is for \d+/ })
      .first()
      .click();
    await page.getByRole('link', { name: document.title }).click();
    await rows(page).nth(step).click();
    await expect(page.getByRole('button', { name: 'Undo' })).toBeEnabled();
  });

  test('a wall where there is none, 400 people on 30 mats: told where they are chosen, with what would work', async ({
    page,
    request,
  }) => {
    const none = await newPlaceOf(request, {
      name: 'Bare loft',
      mats: mats(30),
      stock: { blanket: 99, eyePillow: 99 },
    });
    const short = `Short wall ${Date.now()}`;
    await newPlaceOf(request, { name: short, mats: mats(30), wallCm: 400 });
    const { id, document } = await newPlan(request, 'restorative', { groupSize: 9, cupboard: none.id });
    const step = indexOf(document, 'legs-up-wall');
    await openPlan(page, id);
    await rows(page).nth(step).click();
    await expect(inspector(page)).toContainText('9 people at the wall, but Bare loft has none free.');
    await page.getByRole('button', { name: /change title, group/ }).click();
    const dialog = page.getByRole('dialog');
    // The dialog puts the focus into its first field as it opens; only then can another one be typed into.
    await expect(dialog.getByRole('textbox', { name: 'Title' })).toBeFocused();
    await page.getByRole('textbox', { name: 'Number of people' }).fill('400');
    await page.keyboard.press('Enter');
    await expect(dialog).toContainText('400 people, but Bare loft has 30 mats. 370 would have to bring their own');
    await page.getByRole('textbox', { name: 'Number of people' }).fill('9');
    await page.keyboard.press('Enter');
    await choose(page.getByRole('combobox', { name: 'Saved place' }), short);
    await expect(dialog).toContainText('9 people at the wall, room for 4 at once, heads out: in 3 turns of 3');
  });

  test('the packing list and the set-up sheet print on one page each', async ({ page, request }) => {
    const there = await newPlaceOf(request, { name: 'Chapel room', stock: { chair: 20 }, mats: mats(4) });
    await newPlaceOf(request, { name: 'A store', setting: 'home', stock: { pillow: 40, blanket: 40, block: 40 } });
    const { id } = await newPlan(request, 'restorative', { groupSize: 6, cupboard: there.id });
    const isWholeOnOnePage = async (): Promise<void> => {
      const sheets = await onPaper(page, { format: 'A4' });
      expect(sheets).toHaveLength(1);
      expect(await missingOnPaper(page, sheets)).toEqual([]);
    };
    await page.goto(`/plans/${id}/props?view=packing`);
    await choose(page.getByRole('combobox', { name: 'pack from' }), 'A store');
    await expect(page.getByRole('region', { name: 'To bring' })).toContainText(/2\s*mats/);
    await expect(page.getByRole('region', { name: 'Substitutes' })).toContainText('2 pillows');
    await isWholeOnOnePage();
    await page.getByRole('tab', { name: 'Set-up sheet' }).click();
    await expect(page.getByRole('heading', { name: /^Set-ups:/ })).toBeVisible();
    await expect(page.getByRole('img').first()).toBeVisible();
    await isWholeOnOnePage();
    await page.getByRole('tab', { name: 'At home' }).click();
    await expect(page.getByText(/in place of bolster/).first()).toBeVisible();
  });
});

test.describe('the set-up of a step', () => {
  test('a block dragged onto the head; one added from the tray by keyboard; both undone', async ({ page, request }) => {
    const { id, document } = await newPlan(request, 'restorative');
    const step = indexOf(document, 'reclined-bound-angle');
    const before = await setUpOf(request, id, step);
    await openPlan(page, id);
    await rows(page).nth(step).click();
    await openTab(page, 'Props');
    const block = page.getByRole('button', { name: 'Add block' });
    await block.hover();
    await page.mouse.down();
    const picture = (await page.locator('.hold-figure .picture').boundingBox())!;
    await page.mouse.move(picture.x + 90, picture.y + 40, { steps: 4 });
    await expect(page.locator('.places circle').first()).toBeVisible();
    await page.mouse.move(picture.x + 92, picture.y + 12, { steps: 4 });
    await expect(page.locator('.places text')).toHaveText(/head|eyes|neck|shoulders/);
    await page.mouse.up();
    await saved(page);
    await expect.poll(async () => (await setUpOf(request, id, step)).length).toBe(before.length + 1);
    expect((await setUpOf(request, id, step)).at(-1)).toMatchObject({ kind: 'block', count: 1 });

    await page.getByRole('button', { name: 'Add cushion', exact: true }).focus();
    await page.keyboard.press('Enter');
    await expect(inspector(page).getByRole('combobox', { name: 'Place', exact: true }).last()).toBeFocused();
    await expect.poll(async () => (await setUpOf(request, id, step)).at(-1)?.kind).toBe('cushion');
    await page.keyboard.press('Control+z');
    await page.keyboard.press('Control+z');
    await expect.poll(async () => setUpOf(request, id, step)).toEqual(before);
  });

  test('how high: the range, whether it is right, and a stack taken with one press', async ({ page, request }) => {
    const { id, document } = await newPlan(request, 'restorative');
    const step = indexOf(document, 'head-to-knee');
    await openPlan(page, id);
    await rows(page).nth(step).click();
    await openTab(page, 'Props');
    await inspector(page)
      .getByText(/^for a body of/)
      .click();
    await inspector(page).getByRole('button', { name: 'stiff' }).click();
    await inspector(page).getByRole('button', { name: 'suggested height' }).first().click();
    const measured = inspector(page).locator('.how-high').first();
    await expect(measured).toContainText('under the body’s weight');
    await expect(measured).toContainText('Hips no lower than the knees');
    const stack = measured.getByRole('button').first();
    await expect(stack).toContainText(/: \d+ cm$/);
    await stack.click();
    await expect(measured).toContainText('right');
    await expect(measured.locator('.caution')).toHaveCount(0);
  });

  test('folds by small drawings, a loop longer than its strap, another set-up for some', async ({ page, request }) => {
    const { id, document } = await newPlan(request, 'restorative', { groupSize: 12 });
    const step = indexOf(document, 'reclined-bound-angle');
    await openPlan(page, id);
    await rows(page).nth(step).click();
    await openTab(page, 'Props');
    const faces = inspector(page).getByRole('radiogroup', { name: 'Fold or face' }).first();
    await faces.getByRole('radio', { name: 'quarter fold' }).click();
    await page.keyboard.press('ArrowRight');
    await expect(faces.getByRole('radio', { name: 'rolled' })).toBeChecked();
    await inspector(page).getByRole('button', { name: 'Add strap' }).click();
    await inspector(page).getByRole('radio', { name: 'in a loop' }).click();
    await inspector(page).getByLabel('a loop of').check();
    await inspector(page).getByLabel('Length of the loop').fill('300');
    await page.keyboard.press('Enter');
    await expect(inspector(page).getByRole('alert')).toContainText(
      'A strap of 240 cm closes to a loop of 230 cm at most. Make it 230 cm or less, or join 2 straps.',
    );
    await inspector(page).getByLabel('Length of the loop').fill('150');
    await page.keyboard.press('Enter');
    await inspector(page).getByRole('button', { name: 'Alternative set-up for some' }).click();
    const some = inspector(page).getByLabel('How many use the alternative set-up');
    await some.fill('13');
    await page.keyboard.press('Enter');
    await expect(inspector(page).getByRole('alert')).toContainText('The group is 12.');
    await some.fill('4');
    await page.keyboard.press('Enter');
    await expect
      .poll(async () => ((await storedPlan(request, id)).document.steps[step] as HoldStep).otherSetUp?.people)
      .toBe(4);
    expect((await setUpOf(request, id, step)).at(-1)).toMatchObject({ kind: 'strap', state: 'loop', loopCm: 150 });
  });

  test('while teaching, what a stage takes away is told before it', async ({ page, request }) => {
    const { id, revision, document } = await newPlan(request, 'restorative');
    const index = indexOf(document, 'head-to-knee');
    const steps = document.steps.slice(index, index + 1).map((step) => {
      if (step.kind !== 'hold') return step;
      const [seat, blocks] = step.setUp;
      return {
        ...step,
        stages: [
          {
            id: 'a',
            name: 'on two blocks',
            length: { kind: 'fixed', seconds: 120 },
            breathSeconds: null,
            position: null,
            setUp: null,
          },
          {
            id: 'b',
            name: 'on one',
            length: { kind: 'share', weight: 1 },
            breathSeconds: null,
            position: null,
            setUp: [seat, { ...blocks, count: 1 }],
          },
        ],
      };
    });
    const put = await request.put(`/api/v1/plans/${id}`, { data: { revision, document: { ...document, steps } } });
    expect(put.status()).toBe(200);
    await page.clock.install();
    await page.goto(`/teach/${id}`);
    await page.getByRole('button', { name: 'Begin' }).first().click();
    await expect(page.getByText(/bring blanket, long half, crosswise, under the seat/)).toBeVisible();
    await page.getByRole('button', { name: 'Skip this' }).click();
    await page.getByRole('button', { name: /Skip this|End this/ }).click();
    await expect(page.getByText('then on one: block away')).toBeVisible();
  });
});
