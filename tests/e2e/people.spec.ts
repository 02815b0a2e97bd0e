/// <reference lib="dom" />
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test, type Page } from '@playwright/test';
import { newPerson, personCondition } from '#core/people';
import { DECISIONS } from '#api';
import { serve } from '../../bench/serve';
import { findings } from './accessible';
import { choose, newPlan, openPlan, openTab, passMs, rows, storedPlan, savePlan } from './support';

const SINGERS = 'demo-group-singers';
const cell = (page: Page, name: RegExp) => page.getByRole('grid').getByRole('button', { name });

test('a group of fourteen with eight conditions, from the plan to the teaching screen', async ({ page, request }) => {
  test.setTimeout(90_000);
  const { id } = await newPlan(request, 'yin', { title: 'Fourteen singers', startsAt: '2026-12-01T19:15' });
  await openPlan(page, id);
  // A plan without a group shows what is usually said of the step.
  await rows(page).nth(5).click();
  await openTab(page, 'Cautions');
  const cautions = page.getByRole('region', { name: 'Cautions' });
  await expect(cautions.getByText(/\d+ to avoid/)).toBeVisible();
  await expect(cautions).toContainText('not medical advice');

  await page.getByRole('link', { name: 'Cautions' }).click();
  await expect(page.getByText('Choose a group above')).toBeVisible();
  await choose(page.getByRole('combobox', { name: 'for' }), 'Choir singers, 14');
  await expect(page.getByText(/^\d of 14 people have something to look at/)).toBeVisible();
  await expect(page.getByRole('grid').getByRole('row')).toHaveCount(15);
  // By initials, and no condition by its name; what is not screened is told.
  await expect(page.getByRole('grid')).not.toContainText('Margery');
  await expect(page.getByText('not screened: 1')).toBeVisible();

  await cell(page, /^MTo, 6 .*: avoid$/).click();
  const panel = page.getByRole('region', { name: /^MTo at / });
  await expect(panel).toContainText('raises the pressure in the eyes');
  await expect(panel).toContainText('11 cm');
  const use = panel.getByRole('button', { name: /^Use this for MTo: / }).first();
  const name = ((await use.getAttribute('aria-label')) ?? '').replace(/^Use this for MTo: ([^:]+).*$/, '$1');
  await use.click();
  await expect(cell(page, /^MTo, 6 .*: instead$/)).toBeVisible();
  await expect(panel).toContainText(`Does ${name} instead.`);
  // Undo is the way back, also after a reload.
  await panel.getByRole('button', { name: 'Remove this alternative' }).click();
  await expect(cell(page, /^MTo, 6 .*: avoid$/)).toBeVisible();
  await panel
    .getByRole('button', { name: /^Use this for MTo: / })
    .first()
    .click();
  await cell(page, /^FG, all .*: watch$/).click();
  await page.getByRole('textbox', { name: 'as', exact: true }).fill('Wren');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Acknowledge, no change' }).click();
  await expect(cell(page, /^FG, all .*: seen$/)).toBeVisible();
  await expect
    .poll(async () => {
      const { document } = DECISIONS.stored.parse(await (await request.get(`/api/v1/plans/${id}/decisions`)).json());
      return [document.instead.length, document.seen.map(({ by }) => by)];
    })
    .toEqual([1, ['Wren']]);
  await page.reload();
  await expect(cell(page, /^FG, all .*: seen$/)).toBeVisible();

  // The plan as one of them does it, step for step as long.
  await page.getByRole('tab', { name: 'For one person' }).click();
  await expect(page.getByText('One step is different, and as long as everyone else’s.')).toBeVisible();
  await expect(page.getByRole('list', { name: 'What is different' })).toContainText(name);
  // Nothing of it is in the plan itself, nor in its file.
  expect(JSON.stringify((await storedPlan(request, id)).document)).not.toContain('demo-singer-');
  await page.goto(`/plans/${id}`);
  const download = page.waitForEvent('download');
  await savePlan(page);
  const file = await (await download).createReadStream();
  let text = '';
  for await (const chunk of file) text += String(chunk);
  expect(JSON.parse(text)).toMatchObject({ title: 'Fourteen singers', groupId: null });

  // The step's row has a quiet mark; on the sheet what somebody does otherwise is only there where it is asked for.
  await expect(rows(page).nth(5)).toHaveAttribute('aria-label', /people, the most careful: /);
  await page.goto(`/plans/${id}/props?view=sheet`);
  await expect(page.getByRole('article')).not.toContainText('MTo');
  await page.getByLabel(/with what individuals do instead/).check();
  await expect(page.getByRole('article')).toContainText(`MTo: ${name}`);
  await expect(page.getByText('This is printed')).toBeVisible();

  // Teaching: the group is there, and the corner tells what is to be known at the step, without a condition.
  await page.clock.install({ time: new Date('2026-12-01T19:15:00Z') });
  await page.goto(`/teach/${id}`);
  await expect(page.getByText('Who is here: 14 people')).toBeVisible();
  await page.locator('button.begin').click();
  for (let i = 0; i < 30 && !(await page.getByText('step 6 of 14').isVisible()); i++) {
    await page.keyboard.press('ArrowRight');
    await passMs(page, 300);
  }
  // Four lines at most, the worst first; the others are a touch away.
  const inMind = page.getByRole('region', { name: 'Keep in mind' });
  await expect(inMind.getByRole('listitem')).toHaveCount(5);
  await inMind.getByRole('button', { name: /^\d+ more$/ }).click();
  await expect(inMind).toContainText(`MTo ${name} instead.`);
  await expect(page.getByRole('region', { name: 'Keep in mind' })).not.toContainText(/glaucoma|pressure|Margery|FG/i);
});

test('the matrix, the ways out and the decision by the keyboard alone', async ({ page, request }) => {
  const { id } = await newPlan(request, 'yin', { groupId: SINGERS, startsAt: '2026-12-01T19:15' });
  await page.goto(`/plans/${id}/people`);
  const first = page.getByRole('grid').getByRole('button').first();
  await first.focus();
  for (let i = 0; i < 5; i++) await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowDown');
  await expect(cell(page, /^MTo, 6 /)).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: /^MTo at / })).toBeVisible();
  await page.keyboard.press('Tab');
  await expect(page.getByRole('button', { name: /^Use this for MTo/ }).first()).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(cell(page, /^MTo, 6 .*: instead$/)).toBeVisible();
  await page.keyboard.press('Home');
});

test('someone new: twice the same, what is told in words, fifty weeks, a birth to come; undone and taken out again', async ({
  page,
}) => {
  await page.goto('/people');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByText('A name is needed.')).toBeVisible();
  const name = page.getByRole('textbox', { name: 'Name of a new person' });
  await name.fill('  odo   MAPLIN');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Odo Maplin is here already.')).toBeVisible();
  await expect(name).toHaveValue('  odo   MAPLIN');
  await name.fill('Zelda Quince');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('textbox', { name: 'Name', exact: true })).toHaveValue('Zelda Quince');

  const add = page.getByRole('textbox', { name: 'Add a condition' });
  await add.fill('gravidity');
  await page.keyboard.press('Enter');
  const weeks = page.getByRole('textbox', { name: 'weeks today' });
  await weeks.fill('50');
  await page.keyboard.press('Enter');
  await expect(page.getByText('A pregnancy has at most 42 weeks.')).toBeVisible();
  await expect(weeks).toHaveValue('50');
  await weeks.fill('23');
  await page.keyboard.press('Enter');
  await expect(page.getByText('A pregnancy has at most')).toBeHidden();
  // What people call it is enough; what nobody calls anything is asked back, and kept only then.
  await add.fill('slipped disc');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'A disc in the low back' }).click();
  await expect(page.getByRole('region', { name: 'Conditions' })).toContainText('A disc in the low back');
  await add.fill('a tired spleen');
  await page.keyboard.press('Enter');
  await expect(page.getByText('is not a name we know. Did you mean')).toBeVisible();
  await expect(page.getByText('not screened: no guidance available')).toBeHidden();
  await page.getByRole('button', { name: 'Keep “a tired spleen”, not screened' }).click();
  await expect(page.getByText('not screened: no guidance available')).toBeVisible();
  await page.getByLabel('Date of birth').fill('2090-01-01');
  await page.keyboard.press('Tab');
  await expect(page.getByText('A birth date cannot be in the future.')).toBeVisible();

  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('not screened: no guidance available')).toBeHidden();
  await page.reload();
  await expect(weeks).toHaveValue('23');

  // Forgetting for good is told before it is done.
  await page.getByRole('button', { name: 'Forget for good' }).click();
  await expect(page.getByRole('dialog')).toContainText('cannot be recovered');
  await page.getByRole('dialog').getByRole('button', { name: 'Forget for good' }).click();
  await expect(page).toHaveURL(/\/people$/);
  await expect(page.getByRole('link', { name: 'Zelda Quince' })).toHaveCount(0);
});

test('people are sorted by what is asked about them, by mouse and by keyboard, and come as they were', async ({
  page,
}) => {
  await page.goto('/people');
  const conditionsHeader = page.getByRole('columnheader', { name: /^Conditions/ });
  const numbers = async (): Promise<number[]> =>
    (await page.getByRole('row').locator('td:nth-child(3)').allInnerTexts()).map(Number);
  await expect(page.getByRole('link', { name: 'Margery Tolland' })).toBeVisible();
  // Those of one group: other tests add people meanwhile.
  const search = page.getByRole('searchbox', { name: 'Search people' });
  await search.fill('Choir singers');
  const asTheyCame = await numbers();
  await conditionsHeader.click();
  await expect(conditionsHeader).toHaveAttribute('aria-sort', 'ascending');
  const fewest = await numbers();
  expect(fewest).toEqual([...fewest].sort((a, b) => a - b));
  await conditionsHeader.press('Enter');
  await expect(conditionsHeader).toHaveAttribute('aria-sort', 'descending');
  expect(await numbers()).toEqual([...fewest].sort((a, b) => b - a));
  await page.reload();
  await search.fill('Choir singers');
  await expect(conditionsHeader).toHaveAttribute('aria-sort', 'descending');
  await conditionsHeader.press('Enter');
  await expect(conditionsHeader).toHaveAttribute('aria-sort', 'none');
  expect(await numbers()).toEqual(asTheyCame);
});

test('the screening form at the screen: nothing without consent, what is wrong at its question, and then on the page', async ({
  page,
  request,
}) => {
  const document = {
    ...newPerson('Yorick Brume'),
    conditions: [{ ...personCondition('w', 'in-words'), words: 'hay dust' }],
  };
  await request.post('/api/v1/people', { data: { id: 'yorick', document } });
  await page.goto('/people');
  await page
    .getByRole('row', { name: /Yorick/ })
    .getByRole('link', { name: 'not screened' })
    .click();
  await page.getByLabel(/^Have you had a stroke/).check();
  const when = page.getByLabel('A stroke or mini-stroke: when');
  await when.fill('in spring');
  await page.getByLabel(/I agree that my teacher/).check();
  await page.getByRole('button', { name: 'Save the answers' }).click();
  // What cannot be read is not left out in silence.
  await expect(when).toBeFocused();
  await expect(page.getByText(/^Type a date like/)).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Before the first class' })).toBeVisible();
  await page.getByLabel(/I agree that my teacher/).uncheck();
  await when.fill('2090-05-05');
  await page.getByLabel(/^Is a knee sore/).check();
  await page.getByLabel('sore, swollen or healing now').last().check();
  await page.getByRole('button', { name: 'Save the answers' }).click();
  await expect(page.getByText('The date cannot be in the future.')).toBeVisible();
  await expect(page.getByText('Nothing is saved without consent.')).toBeVisible();
  await page.getByLabel('A stroke or mini-stroke: when').fill('2025-05-05');
  await page.getByLabel(/I agree that my teacher/).check();
  await page.getByRole('button', { name: 'Save the answers' }).click();
  const conditionsSection = page.getByRole('region', { name: 'Conditions' });
  await expect(conditionsSection).toContainText('A sore or injured knee');
  await expect(conditionsSection).toContainText('A stroke or mini-stroke');
  await expect(conditionsSection).toContainText('hay dust');
  await expect(page.getByRole('link', { name: /^Screened on/ })).toBeVisible();
});

test('a group is put together, and a file with a condition nobody knows of is taken in', async ({ page }) => {
  await page.goto('/people?view=groups');
  await page.getByRole('textbox', { name: 'Name of a new group' }).fill('potters');
  await page.keyboard.press('Enter');
  await expect(page.getByText('There is a group “Potters” already.')).toBeVisible();
  await page.getByRole('textbox', { name: 'Name of a new group' }).fill('Ferry crew');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Odo Maplin', exact: true }).click();
  await page.getByRole('button', { name: 'Greta Sallow', exact: true }).click();
  await expect(page.getByText('2 of at most 100')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('1 of at most 100')).toBeVisible();

  const pressure = (id: string, degree: string) => ({ ...personCondition(id, 'high-pressure'), degree });
  const person = {
    ...newPerson('Xanthe Loam'),
    conditions: [
      personCondition('a', 'moon-sickness', 'Moon sickness'),
      pressure('b', 'controlled'),
      pressure('c', 'uncontrolled'),
    ],
  };
  await page.goto('/people');
  const buffer = Buffer.from(JSON.stringify(person));
  await page.locator('input[type=file]').setInputFiles({ name: 'x.json', mimeType: 'application/json', buffer });
  await expect(page.getByRole('textbox', { name: 'Name', exact: true })).toHaveValue('Xanthe Loam');
  await expect(page.getByText('not screened: no guidance available')).toBeVisible();
  // Nobody’s pressure is both controlled and not: both rows say so until one is removed.
  await expect(page.getByText('Listed twice: the more careful one counts.')).toHaveCount(2);
  await page.getByRole('button', { name: 'Remove: High blood pressure' }).first().click();
  await expect(page.getByText('Listed twice')).toHaveCount(0);
  await page.goto('/people');
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'y.json', mimeType: 'application/json', buffer: Buffer.from('{"format":"zovrin-person"}') });
  await expect(page.getByText(/“y.json” could not be added/)).toBeVisible();
});

test('the form on paper is two pages at most and carries nobody', async ({ page }) => {
  await page.goto('/people/form');
  await expect(page.getByText('Are you pregnant? How many weeks?')).toBeVisible();
  await expect(page.getByText('Signature')).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  const pdf = await page.pdf({ format: 'A4', margin: { top: '12mm', bottom: '12mm', left: '12mm', right: '12mm' } });
  expect([1, 2]).toContain(pdf.toString('latin1').match(/\/Type\s*\/Page[^s]/g)?.length);
});

test('with a passphrase the page locks itself when nobody touches it, and opens with it; a class that is led goes on', async ({
  browser,
}) => {
  test.setTimeout(60_000);
  const folder = mkdtempSync(join(tmpdir(), 'zovrin-lock-'));
  const { url, stop } = await serve(4795, join(folder, 'lock.sqlite'));
  try {
    const page = await browser.newPage();
    await page.clock.install();
    await page.goto(`${url}/settings?group=lock`);
    const passphrase = page.getByLabel('Passphrase', { exact: true });
    await passphrase.fill('short');
    await page.getByRole('button', { name: 'Set passphrase' }).click();
    await expect(page.getByText('A passphrase has at least 12 characters.')).toBeVisible();
    await passphrase.fill('herring under the quay');
    await page.getByRole('textbox', { name: /^Lock after/ }).fill('1');
    await page.getByRole('button', { name: 'Set passphrase' }).click();
    await expect(page.getByText('The passphrase is set.')).toBeVisible();
    await page.goto(`${url}/people`);
    await expect(page.getByRole('link', { name: 'Ines Harrowgate' })).toBeVisible();
    await page.clock.fastForward(45_000);
    await page.keyboard.press('Tab');
    await page.clock.fastForward(45_000);
    await expect(page.getByRole('link', { name: 'Ines Harrowgate' })).toBeVisible();
    await page.clock.fastForward(75_000);
    await expect(page.getByRole('heading', { name: 'Locked' })).toBeVisible();
    await expect(page.getByText('Ines Harrowgate')).toHaveCount(0);
    expect((await page.request.get(`${url}/api/v1/people`)).status()).toBe(423);
    await page.getByLabel('Passphrase', { exact: true }).fill('herring on the quay');
    await page.keyboard.press('Enter');
    await expect(page.getByText('That is not the passphrase.')).toBeVisible();
    await page.getByLabel('Passphrase', { exact: true }).fill('herring under the quay');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('link', { name: 'Ines Harrowgate' })).toBeVisible();

    await page.goto(`${url}/teach/demo-nurses`);
    await page.locator('button.begin').click();
    await page.clock.fastForward(180_000);
    await page.clock.runFor(2000);
    await expect(page.getByRole('timer')).toBeVisible();
    await expect(page.getByRole('heading', { name: 'Locked' })).toBeHidden();
  } finally {
    stop();
    rmSync(folder, { recursive: true });
  }
});

test('before the first bell, in seconds: what is new today, and a guest of three questions, told at the step on the stage', async ({
  page,
  request,
}) => {
  const { id } = await newPlan(request, 'restorative', { groupId: SINGERS, title: 'Check in' });
  await page.goto(`/teach/${id}`);
  await page.getByText('Check in: anything new today?').click();
  await page.getByRole('group', { name: 'Who has something new?' }).getByRole('button', { name: 'AP' }).click();
  await page
    .getByRole('group', { name: 'New today for AP' })
    .getByRole('button', { name: 'A sore or injured knee' })
    .click();
  await page.getByRole('button', { name: 'Add a guest' }).click();
  await expect(page.getByText('A first name is enough.')).toBeVisible();
  await page.getByRole('textbox', { name: 'Someone without a record' }).fill('Quill');
  await page.keyboard.press('Enter');
  await page
    .getByRole('group', { name: /^Quill: Pregnant/ })
    .getByRole('button', { name: 'Pregnancy' })
    .click();
  await expect(page.getByText('Check in: 1 with something new, 1 guest')).toBeVisible();
  expect(await findings(page)).toEqual([]);
  // It is kept with the decisions of this class, not in anybody's record.
  await expect
    .poll(async () => {
      const { document } = DECISIONS.stored.parse(await (await request.get(`/api/v1/plans/${id}/decisions`)).json());
      return [document.checkIns.map(({ conditions }) => conditions.length), document.guests.map(({ name }) => name)];
    })
    .toEqual([[1], ['Quill']]);
  await page.reload();
  await expect(page.getByText('Check in: 1 with something new, 1 guest')).toBeVisible();
  await page.locator('button.begin').click();
  const inMind = page.getByRole('region', { name: 'Keep in mind' });
  for (let i = 0; i < 20 && !(await inMind.getByText('Quill').first().isVisible()); i++) {
    await page.keyboard.press('ArrowRight');
    await page.getByText(/^step \d+ of/).waitFor();
  }
  await expect(inMind).toContainText('Quill');
  await expect(inMind).not.toContainText(/pregnan/i);
});
