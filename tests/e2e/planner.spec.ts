import { expect, test } from '@playwright/test';
import type { BreathStep } from '#core/plan';
import { choose, newPlan, openPlan, openTab, rowNames, rows, saved, storedPlan, total } from './support';

test.describe('writing a plan', () => {
  test('a hold is typed, the totals follow, and it is still there after a reload', async ({ page, request }) => {
    const { id } = await newPlan(request, 'yin');
    await openPlan(page, id);
    await expect(total(page)).toContainText('72:22');
    await rows(page).nth(3).click();
    await page.getByLabel('Left', { exact: true }).fill('5m');
    await page.keyboard.press('Enter');
    await expect(total(page)).toContainText('74:22');
    await expect(page.getByLabel('Right', { exact: true })).toHaveValue('5:00');
    await saved(page);
    await page.reload();
    await expect(total(page)).toContainText('74:22');
    expect((await storedPlan(request, id)).revision).toBe(2);
  });

  test('uneven sides are told, and made even', async ({ page, request }) => {
    const { id } = await newPlan(request, 'yin');
    await openPlan(page, id);
    await rows(page).nth(5).click();
    await expect(page.getByRole('complementary')).toContainText('Second side is 0:40 shorter');
    await expect(page.getByRole('img', { name: 'Left 14:00, right 13:20' })).toBeVisible();
    await page.getByRole('switch', { name: 'Even' }).click();
    await expect(page.getByRole('img', { name: 'Left 14:00, right 14:00' })).toBeVisible();
    await expect(page.getByLabel('Right', { exact: true })).toHaveValue('4:30');
  });

  test('a time that cannot be read says how, keeps what was typed and changes nothing', async ({ page, request }) => {
    const { id } = await newPlan(request, 'yin');
    await openPlan(page, id);
    await rows(page).nth(2).click();
    const field = page.getByLabel('Both sides', { exact: true });
    for (const [typed, says] of [
      ['five-ish', 'Type it like 4:30'],
      ['4:75', 'seconds go up to 59'],
      ['0', 'at least 0:01'],
      ['61 min', 'at most 1:00:00'],
    ] as const) {
      await field.fill(typed);
      await field.press('Enter');
      await expect(page.getByRole('alert')).toContainText(says);
      await expect(field).toHaveValue(typed);
    }
    await expect(total(page)).toContainText('72:22');
    expect((await storedPlan(request, id)).revision).toBe(1);
  });

  test('the keyboard alone: add, move, duplicate, lock, delete, undo, redo', async ({ page, request }) => {
    const { id } = await newPlan(request, 'restorative');
    await openPlan(page, id);
    const before = await rowNames(page);
    await page.keyboard.press('a');
    await page.keyboard.type('supta matsy');
    await page.keyboard.press('Enter');
    await expect(rows(page)).toHaveCount(before.length + 1);
    await expect(page.locator('[role=option][aria-selected=true] .name')).toHaveText('Reclined twist');
    await expect(page.locator('[role=option][aria-selected=true]')).toBeFocused();

    await page.keyboard.press('Alt+ArrowUp');
    await page.keyboard.press('Alt+ArrowUp');
    expect((await rowNames(page)).slice(0, 2)).toEqual(['Reclined twist', 'Arrive']);
    await page.keyboard.press('d');
    expect((await rowNames(page)).slice(0, 3)).toEqual(['Reclined twist', 'Reclined twist', 'Arrive']);
    await page.keyboard.press('l');
    await expect(page.getByRole('button', { name: 'Unlock its length' })).toBeVisible();
    await page.keyboard.press('Delete');
    await expect(rows(page)).toHaveCount(before.length + 1);
    for (let i = 0; i < 6; i++) await page.keyboard.press('Control+z');
    expect(await rowNames(page)).toEqual(before);
    for (let i = 0; i < 6; i++) await page.keyboard.press('Control+Shift+z');
    await expect(rows(page)).toHaveCount(before.length + 1);
    expect((await rowNames(page))[0]).toBe('Reclined twist');

    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('complementary').getByLabel('Name', { exact: true })).toBeFocused();
    await page.keyboard.press('Escape');
    await expect(page.locator('[role=option][aria-selected=true]')).toBeFocused();
    await page.keyboard.press('?');
    await expect(page.getByRole('dialog')).toContainText('Duplicate what is selected');
  });

  test('several steps: chosen by mouse and keys, given one length and range, deleted and brought back', async ({
    page,
    request,
  }) => {
    const { id, document } = await newPlan(request, 'restorative');
    await openPlan(page, id);
    const names = document.steps.map(({ name }) => name);
    const holds = document.steps.flatMap(({ kind }, i) => (kind === 'hold' ? [i] : []));
    const [first = 0, second = 0, third = 0] = holds;
    const chosen = page.locator('[role=option][aria-selected=true] .name');
    await rows(page).nth(first).click();
    await rows(page)
      .nth(second)
      .click({ modifiers: ['ControlOrMeta'] });
    await expect(chosen).toHaveText([names[first] ?? '', names[second] ?? '']);
    const inspector = page.getByRole('complementary');
    await expect(inspector).toContainText('2 steps selected');
    await inspector.getByLabel('each hold and rest').fill('5');
    await page.keyboard.press('Enter');
    await inspector.getByLabel('from', { exact: true }).fill('4');
    await page.keyboard.press('Enter');
    await inspector.getByLabel('to', { exact: true }).fill('8');
    await page.keyboard.press('Enter');
    await saved(page);
    const both = async () =>
      (await storedPlan(request, id)).document.steps.flatMap((step, i) =>
        step.kind === 'hold' && (i === first || i === second) ? [step.range] : [],
      );
    await expect.poll(both).toEqual([
      { min: 240, max: 480 },
      { min: 240, max: 480 },
    ]);

    // By keys: from the first hold to the third, less the second.
    await rows(page).nth(first).click();
    for (let i = first; i < third; i++) await page.keyboard.press('Shift+ArrowDown');
    await expect(chosen).toHaveText(names.slice(first, third + 1));
    for (let i = third; i > second; i--) await page.keyboard.press('Control+ArrowUp');
    await page.keyboard.press('Control+Space');
    await expect(chosen).toHaveText(names.slice(first, third + 1).filter((_, i) => first + i !== second));
    await page.keyboard.press('Delete');
    await expect(rows(page)).toHaveCount(names.length - (third - first));
    await expect(page.locator('[role=option][aria-selected=true]')).toBeFocused();
    await page.getByRole('button', { name: 'Undo', exact: true }).last().click();
    await expect.poll(() => rowNames(page)).toEqual(names);
  });

  test('steps are copied by the menu of a row and pasted into another plan', async ({ page, request }) => {
    const from = await newPlan(request, 'restorative');
    const to = await newPlan(request, 'restorative', { title: `Copied into ${Date.now()}`, steps: [] });
    await openPlan(page, from.id);
    const [first = '', second = ''] = await rowNames(page);
    await rows(page).nth(0).click();
    await page.keyboard.press('Shift+ArrowDown');
    await page.keyboard.press('Shift+F10');
    const menu = page.getByRole('menubar', { name: 'Selected steps' });
    await expect(menu).toBeVisible();
    await menu.getByRole('menuitem', { name: 'Copy 2 steps' }).click();
    await expect(page.locator('[role=option][aria-selected=true]').last()).toBeFocused();
    await openPlan(page, to.id);
    await page.getByRole('listbox', { name: 'Steps' }).focus();
    await page.keyboard.press('Control+v');
    await expect.poll(() => rowNames(page)).toEqual([first, second]);
    await page.keyboard.press('Control+v');
    await expect.poll(() => rowNames(page)).toEqual([first, second, first, second]);
    await page.keyboard.press('Control+z');
    await expect.poll(() => rowNames(page)).toEqual([first, second]);
  });

  test('a row is dragged to its place', async ({ page, request }) => {
    const { id } = await newPlan(request, 'restorative');
    await openPlan(page, id);
    const [first, second, third] = await rowNames(page);
    const [from, to] = await Promise.all([rows(page).nth(0).boundingBox(), rows(page).nth(2).boundingBox()]);
    if (!from || !to) throw new Error('no rows');
    await page.mouse.move(from.x + 200, from.y + from.height / 2);
    await page.mouse.down();
    await page.mouse.move(from.x + 200, from.y + 30, { steps: 4 });
    await page.mouse.move(to.x + 200, to.y + to.height - 4, { steps: 12 });
    await page.mouse.up();
    await expect.poll(async () => (await rowNames(page)).slice(0, 3)).toEqual([second, third, first]);
    await saved(page);
    expect((await storedPlan(request, id)).document.steps[2]?.name).toBe(first);
    await page.keyboard.press('Control+z');
    expect((await rowNames(page))[0]).toBe(first);
  });

  test('choosing on the ribbon chooses in the list, and back', async ({ page, request }) => {
    const { id } = await newPlan(request, 'yin');
    await openPlan(page, id);
    const ribbon = page.getByRole('group', { name: /^Ribbon of 14 steps/ });
    const box = await ribbon.boundingBox();
    if (!box) throw new Error('no ribbon');
    await ribbon.click({ position: { x: 118 + (box.width - 118) * 0.56, y: 61 } });
    await expect(page.locator('[role=option][aria-selected=true] .name')).toHaveText(
      'Crossed arms, lying on the front',
    );
    await ribbon.press('ArrowLeft');
    await expect(page.locator('[role=option][aria-selected=true] .name')).toHaveText('Wide-legged fold');
    await rows(page).nth(12).click();
    await expect(ribbon.locator('text.on').first()).toContainText('13 Last rest');
  });

  test('a breath is fitted into a length of time: shown first, taken in one step, undone in one', async ({
    page,
    request,
  }) => {
    const { id } = await newPlan(request, 'yin');
    await openPlan(page, id);
    await rows(page).nth(1).click();
    const { document } = await storedPlan(request, id);
    const before = document.steps[1] as BreathStep;
    const into = page.getByLabel('to a length of', { exact: true });
    await into.fill('3s');
    await page.keyboard.press('Enter');
    await expect(page.getByText(/^Too short: one round of each set takes/)).toBeVisible();
    await into.fill('2:05');
    await page.keyboard.press('Enter');
    await expect(page.getByText('12 rounds: 2:00, then 0:05 of quiet breathing.')).toBeVisible();
    expect((await storedPlan(request, id)).revision).toBe(1);
    await page.getByRole('button', { name: 'Apply' }).click();
    await saved(page);
    const after = (await storedPlan(request, id)).document.steps[1];
    expect(after).toMatchObject({ afterSeconds: 5, practice: { sets: [{ rounds: 12 }] } });
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect.poll(async () => (await storedPlan(request, id)).document.steps[1]).toEqual(before);
    await page.getByLabel('hold full', { exact: true }).fill('20');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('list', { name: 'Please check' })).toContainText('Breath is held here');
  });

  test('breath shows at once what it costs', async ({ page, request }) => {
    const { id } = await newPlan(request, 'yin');
    await openPlan(page, id);
    await rows(page).nth(1).click();
    const cost = page.getByLabel('Length and load');
    await expect(cost).toContainText('3:00');
    for (const [label, counts] of [
      ['in', '4'],
      ['hold full', '16'],
      ['out', '8'],
      ['rounds', '10'],
    ] as const) {
      await page.getByLabel(label, { exact: true }).fill(counts);
      await page.keyboard.press('Enter');
    }
    await expect(cost).toContainText('4:40');
    await expect(cost).toContainText('2.14');
    await expect(cost).toContainText('57.1 %');
    await page.getByLabel('in', { exact: true }).fill('70');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('alert')).toContainText('at most 60 counts');
    await expect(cost).toContainText('4:40');
  });

  test('set-up, stages, prompts and what comes after', async ({ page, request }) => {
    const { id } = await newPlan(request, 'yin');
    await openPlan(page, id);
    await rows(page).nth(3).click();
    const inspector = page.getByRole('complementary');
    await openTab(page, 'Props');
    await inspector.getByRole('button', { name: 'Add a prop' }).click();
    await choose(inspector.getByRole('combobox', { name: 'Prop', exact: true }).last(), 'strap');
    await choose(inspector.getByRole('combobox', { name: 'Place', exact: true }).last(), 'round the feet');
    await openTab(page, 'Hold');
    await inspector.getByRole('button', { name: 'Add a stage' }).click();
    await inspector.getByRole('button', { name: 'Add a stage' }).click();
    await inspector.getByLabel('Length of stage 1').fill('1:00');
    await page.keyboard.press('Enter');
    await openTab(page, 'Cues');
    await inspector.getByRole('button', { name: 'Add a prompt' }).click();
    await inspector.getByLabel('Words of prompt 3').fill('Soften the jaw');
    await page.keyboard.press('Enter');
    await openTab(page, 'Hold');
    await inspector.getByRole('radiogroup', { name: 'Rest after' }).getByRole('radio', { name: 'each side' }).click();
    await inspector.getByLabel('Length of the rest').fill('0:40');
    await page.keyboard.press('Enter');
    await saved(page);
    const step = (await storedPlan(request, id)).document.steps[3];
    expect(step).toMatchObject({
      rebound: { kind: 'afterEach', seconds: 40 },
      stages: [{ length: { kind: 'fixed', seconds: 60 } }, { length: { kind: 'share' } }],
    });
    if (step?.kind !== 'hold') throw new Error('no hold');
    expect(step.setUp.at(-1)).toMatchObject({ kind: 'strap', state: 'open', place: 'feet' });
    expect(step.prompts.at(-1)).toMatchObject({ text: 'Soften the jaw', at: { kind: 'half' } });
  });

  test('a position that is not in the library keeps its name and its own times', async ({ page, request }) => {
    const { id, document } = await newPlan(request, 'restorative');
    const steps = document.steps.map((step) =>
      step.kind === 'hold' && step.position === 'legs-up-wall'
        ? { ...step, position: 'from-a-friend', name: 'Harbour rest', enterSeconds: 50 }
        : step,
    );
    await request.put(`/api/v1/plans/${id}`, { data: { revision: 1, document: { ...document, steps } } });
    await openPlan(page, id);
    await rows(page).filter({ hasText: 'Harbour rest' }).click();
    await expect(page.getByRole('complementary')).toContainText('not in your library');
    await expect(page.getByLabel('Getting in', { exact: true })).toHaveValue('0:50');
  });

  test('an empty plan says what to do first', async ({ page, request }) => {
    const { id } = await newPlan(request, 'restorative', { steps: [], title: 'Nothing yet' });
    await openPlan(page, id);
    await expect(page.getByRole('complementary')).toContainText('no steps yet');
    await page.keyboard.press('a');
    await page.keyboard.type('zanzibar lean');
    await page.keyboard.press('Enter');
    await expect(rows(page)).toHaveCount(1);
    await expect(rows(page).first()).toContainText('zanzibar lean');
  });
});
