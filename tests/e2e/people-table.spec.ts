import { expect, test, type Page } from '@playwright/test';
import { newGroup, newPerson, type Group, type Person } from '#core/people';

const all = async <T>(page: Page, path: string): Promise<{ id: string; document: T }[]> =>
  ((await (await page.request.get(`/api/v1/${path}?limit=500`)).json()) as { items: { id: string; document: T }[] })
    .items;
const named = async (page: Page, name: string): Promise<Person[]> =>
  (await all<Person>(page, 'people')).map(({ document }) => document).filter((one) => one.name === name);

const TABLE = [
  'Name;E-mail;Date of birth;Health;Course;Shoe size',
  'Zenobia Chegwidden;zenobia@example.org;3.4.1971;high blood pressure, dodgy knees;Tide watchers;39',
  'Kerensa Vosper;kerensa@example.org;31.2.1980;none;Tide watchers;41',
  'Jago Penhallow;;;;;',
  'Jago Penhallow;;;;;',
].join('\n');

test('a table of people is matched, asked, and taken: someone who is here is filled in, nobody is there twice', async ({
  page,
}) => {
  await page.request.post('/api/v1/people', {
    data: { document: { ...newPerson('Kerensa Vosper'), contact: 'at the quay' } },
  });
  await page.request.post('/api/v1/groups', { data: { document: newGroup('Tide watchers') } });
  await page.goto('/import');
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'watchers.csv', mimeType: 'text/csv', buffer: Buffer.from(TABLE) });
  await expect(page.getByRole('heading', { name: 'People from a table' })).toBeFocused();
  await expect(page.getByRole('combobox', { name: '“E-mail” holds' })).toHaveText('contact');
  await expect(page.getByRole('combobox', { name: '“Shoe size” holds' })).toHaveText('not used');
  await expect(page.getByText('4 people, 1 condition to check')).toBeVisible();
  const row = (name: string) => page.getByRole('listitem').filter({ hasText: name });
  await expect(row('Kerensa Vosper')).toContainText('There is no such day. It is left empty.');
  await expect(row('Kerensa Vosper')).toContainText('Somebody of this name is here already.');
  await expect(page.getByRole('combobox', { name: 'What becomes of Kerensa Vosper' })).toHaveText(
    'fill in what is missing',
  );
  await expect(row('Jago Penhallow').last()).toContainText('The same name is in row 4.');
  await expect(page.getByRole('combobox', { name: 'What becomes of Jago Penhallow' }).last()).toHaveText('skip');
  await expect(page.getByRole('combobox', { name: 'Zenobia Chegwidden: “high blood pressure” is' })).toHaveText(
    'High blood pressure',
  );
  // Decided from the keyboard.
  await page.getByRole('combobox', { name: 'Zenobia Chegwidden: “dodgy knees” is' }).focus();
  await page.keyboard.press('Enter');
  await page.getByRole('option', { name: /in these words; no caution is shown/ }).click();
  await expect(page.getByText('4 people', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Take 3 people' }).click();
  await expect(page).toHaveURL('/people');

  const [zenobia] = await named(page, 'Zenobia Chegwidden');
  expect(zenobia).toMatchObject({ birthDate: '1971-04-03', contact: 'zenobia@example.org' });
  expect(zenobia!.conditions.map(({ condition, words }) => [condition, words])).toEqual([
    ['high-pressure', ''],
    ['in-words', 'dodgy knees'],
  ]);
  const kerensa = await named(page, 'Kerensa Vosper');
  expect(kerensa.map(({ contact }) => contact)).toEqual(['at the quay']);
  expect(await named(page, 'Jago Penhallow')).toHaveLength(1);
  const [watchers] = (await all<Group>(page, 'groups')).filter(({ document }) => document.name === 'Tide watchers');
  expect(watchers!.document.members).toHaveLength(2);
});

test('a column can be matched otherwise, and a table that is discarded changes nothing', async ({ page }) => {
  const before = (await all<Person>(page, 'people')).length;
  await page.goto('/import');
  const file = 'Name,Phone\nThe Wednesday people,Demelza Rosevear\n';
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'w.csv', mimeType: 'text/csv', buffer: Buffer.from(file) });
  await page.getByRole('combobox', { name: '“Phone” holds' }).click();
  await page.getByRole('option', { name: 'name', exact: true }).click();
  await expect(page.getByRole('listbox')).toHaveCount(0);
  await page.getByRole('combobox', { name: '“Name” holds' }).click();
  await page.getByRole('option', { name: 'group', exact: true }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Demelza Rosevear' }).last()).toContainText(
    'The Wednesday people',
  );
  await page.getByRole('button', { name: 'Discard' }).click();
  await expect(page.getByRole('heading', { name: 'Import' })).toBeVisible();
  expect((await all<Person>(page, 'people')).length).toBeGreaterThanOrEqual(before);
  expect(await named(page, 'Demelza Rosevear')).toEqual([]);
});
