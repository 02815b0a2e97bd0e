import { expect, test } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { demoPeople } from '#library/demo';
import { readEmail } from '../support/email';
import { openPlan } from './support';

test('a letter goes into the outbox with the page and the class, and the outbox shows what would be sent', async ({
  page,
}) => {
  // A copy of its own: other tests look at the plan itself.
  const { document } = (await (await page.request.get('/api/v1/plans/demo-hour')).json()) as { document: object };
  const dated = { ...document, startsAt: '2099-12-03T18:30' };
  const made = await page.request.post('/api/v1/plans', { data: { document: dated } });
  const { id: planId } = (await made.json()) as { id: string };
  await openPlan(page, planId);
  await page.getByRole('button', { name: 'Share', exact: true }).click();
  const dialog = page.getByRole('dialog', { name: 'Share this plan' });
  await dialog.getByRole('radio', { name: 'Letter' }).check();
  await expect(dialog.getByLabel('Subject')).toHaveValue('One hour, planned by feel');
  await expect(dialog.getByLabel('Text of the letter')).toHaveValue(/The class is on Thursday/);
  const send = dialog.getByRole('button', { name: 'Put into the outbox' });
  await expect(send).toBeEnabled();

  // What is no address is said at its field, and what was typed stays.
  await dialog.getByLabel('To', { exact: true }).fill('bryony at home');
  await send.click();
  await expect(dialog.getByText('“bryony” is not an e-mail address.')).toBeVisible();
  await dialog.getByLabel('To', { exact: true }).fill('bryony@example.org; odo@example.org');
  await send.click();
  await expect(dialog.getByText('The letter is in the outbox. No mail server is set up')).toBeVisible();
  await dialog.getByRole('link', { name: 'Outbox' }).last().click();

  await expect(page.getByRole('heading', { name: 'Outbox' })).toBeVisible();
  await expect(page.getByText('No mail server is set up, so nothing is sent.')).toBeVisible();
  const row = page.getByRole('row').filter({ hasText: 'bryony@example.org, odo@example.org' });
  await expect(row).toContainText('kept, not sent');
  await row.getByText('What is in it').click();
  await expect(row.getByText(/^One hour, planned by feel\.html, \d+ KB$/)).toBeVisible();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    row.getByRole('link', { name: /^Download/ }).click(),
  ]);
  const email = readEmail(readFileSync(await file.path(), 'latin1'));
  expect(email.headers.get('to')).toBe('bryony@example.org, odo@example.org');
  const [words, handout, calendar] = email.parts;
  expect(words!.content.toString('utf8')).toContain('leads you through the steps');
  expect(handout!.content.toString('utf8')).toMatch(/^<!doctype html>[^]*One hour, planned by feel/);
  expect(calendar!.content.toString('utf8')).toContain(`UID:${planId}@zovrin`);
  await row.getByRole('button', { name: /^Delete/ }).click();
  await expect(row).toBeHidden();
});

test('the address of somebody is filled in when the letter is for them, and what was typed stays', async ({ page }) => {
  const ines = (await (await page.request.get('/api/v1/people/demo-ines')).json()) as {
    revision: number;
    document: object;
  };
  await page.request.put('/api/v1/people/demo-ines', {
    data: { revision: ines.revision, document: { ...ines.document, contact: 'at home, first@example.org' } },
  });
  await openPlan(page, 'demo-choir');
  await page.getByRole('button', { name: 'Share', exact: true }).click();
  const dialog = page.getByRole('dialog', { name: 'Share this plan' });
  await dialog.getByRole('radio', { name: 'Letter' }).check();
  const [to, text] = [dialog.getByLabel('To', { exact: true }), dialog.getByLabel('Text of the letter')];
  await text.fill('My own words.');
  const pick = async (name: string): Promise<void> => {
    await dialog.getByRole('combobox', { name: 'For' }).click();
    await page.getByRole('option', { name, exact: true }).click();
  };
  await expect(to).toHaveValue('');
  await pick('IHar');
  await expect(to).toHaveValue('first@example.org');
  await expect(text).toHaveValue('My own words.');
  await to.fill('other@example.org');
  await pick('everyone');
  await expect(to).toHaveValue('other@example.org');
  await expect(text).toHaveValue('My own words.');
});

test('while the page is drawn for somebody else, the one before it cannot be sent', async ({ page }) => {
  let release = (): void => undefined;
  const hold = { until: Promise.resolve() };
  await page.route('**/handout/handout.js', async (route) => {
    await hold.until;
    await route.continue();
  });
  await openPlan(page, 'demo-choir');
  await page.getByRole('button', { name: 'Share', exact: true }).click();
  const dialog = page.getByRole('dialog', { name: 'Share this plan' });
  await dialog.getByRole('radio', { name: 'Letter' }).check();
  const send = dialog.getByRole('button', { name: 'Put into the outbox' });
  await expect(send).toBeEnabled();
  hold.until = new Promise((done) => (release = done));
  await dialog.getByText('With things found at home').click();
  await expect(dialog.getByText('The page for a student is being drawn…')).toBeVisible();
  await expect(send).toBeDisabled();
  await expect(dialog.getByText(/\.html, /)).toBeHidden();
  release();
  await expect(send).toBeEnabled();
  await expect(dialog.getByText(/\.html, /)).toBeVisible();
});

test('nothing of the people of the class is in the letter, the page and the calendar file that go along', async ({
  page,
}) => {
  await openPlan(page, 'demo-nurses');
  await page.getByRole('button', { name: 'Share', exact: true }).click();
  const dialog = page.getByRole('dialog', { name: 'Share this plan' });
  await dialog.getByRole('radio', { name: 'Letter' }).check();
  await dialog.getByLabel('To', { exact: true }).fill('nobody@example.org');
  await dialog.getByRole('button', { name: 'Put into the outbox' }).click();
  await expect(dialog.getByText(/^The letter is in the outbox/)).toBeVisible();
  const { letters } = (await (await page.request.get('/api/v1/outbox')).json()) as {
    letters: { id: string; to: string[] }[];
  };
  const { id } = letters.find(({ to }) => to.includes('nobody@example.org'))!;
  const email = readEmail((await (await page.request.get(`/api/v1/outbox/${id}/file`)).body()).toString('latin1'));
  const text = email.parts.map(({ content }) => content.toString('utf8')).join('\n');
  expect(text.length).toBeGreaterThan(50_000);
  for (const { id: personId, person } of demoPeople) {
    expect([person.name, text.includes(person.name), text.includes(personId)]).toEqual([person.name, false, false]);
    for (const { note } of person.conditions)
      if (note !== '') expect([note, text.includes(note)]).toEqual([note, false]);
    if (person.note !== '') expect([person.note, text.includes(person.note)]).toEqual([person.note, false]);
  }
  await page.request.delete(`/api/v1/outbox/${id}`);
});
