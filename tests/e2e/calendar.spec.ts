import { expect, test, type Page } from '@playwright/test';
import { emptyPlan } from '#core/plan';

const made = async (page: Page, title: string, patch: object = {}): Promise<string> => {
  const answer = await page.request.post('/api/v1/plans', { data: { document: { ...emptyPlan(title), ...patch } } });
  return ((await answer.json()) as { id: string }).id;
};
const lines = (...all: string[]): string =>
  ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//Hall//Diary//EN', ...all, 'END:VCALENDAR', ''].join('\r\n');
const event = (...all: string[]): string[] => ['BEGIN:VEVENT', 'DTSTAMP:20261101T080000Z', ...all, 'END:VEVENT'];

test('the feed has an address, a new one, and none', async ({ page }) => {
  await page.goto('/settings?group=calendar');
  await page.getByRole('button', { name: 'Make an address' }).click();
  const address = page.getByRole('textbox', { name: 'Address of the calendar feed' });
  await expect(address).toHaveValue(/\/calendar\/[\w-]{22}\.ics$/);
  const first = await address.inputValue();
  expect(await (await page.request.get(first)).text()).toContain('BEGIN:VEVENT');
  await page.getByRole('button', { name: 'Make a new address' }).click();
  await expect(address).not.toHaveValue(first);
  expect((await page.request.get(first)).status()).toBe(404);
  await page.getByRole('button', { name: 'Switch off' }).click();
  await expect(page.getByRole('button', { name: 'Make an address' })).toBeVisible();
});

test('dates of a calendar file become a new plan, a copy of a plan, and the date of the plan they were made from', async ({
  page,
}) => {
  const moved = await made(page, 'Moved by the hall', { startsAt: '2099-03-02T18:30' });
  const weekly = await made(page, 'Potters in spring', { classSeconds: 4500 });
  const file = lines(
    ...event(`UID:${moved}@zovrin`, 'DTSTART:20990303T190000', 'DTEND:20990303T200000', 'SUMMARY:Moved by the hall'),
    ...event(
      'UID:p',
      'DTSTART:20990310T180000',
      'DTEND:20990310T191500',
      'RRULE:FREQ=WEEKLY;COUNT=2',
      'SUMMARY:Potters in spring',
    ),
    ...event('UID:n', 'DTSTART:20990401T070000', 'DURATION:PT40M', 'SUMMARY:Before the ferry', 'LOCATION:Jetty'),
    ...event('UID:c', 'DTSTART:20990402T070000', 'DURATION:PT40M', 'STATUS:CANCELLED', 'SUMMARY:Struck out'),
    ...event('UID:w', 'DTSTART;VALUE=DATE:20990403', 'SUMMARY:Hall closed'),
  );
  await page.goto('/import');
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'hall.ics', mimeType: 'text/calendar', buffer: Buffer.from(file) });
  await expect(page.getByRole('heading', { name: 'Dates from a calendar' })).toBeFocused();
  const row = (text: string) => page.getByRole('row').filter({ hasText: text });
  await expect(row('Moved by the hall').getByRole('combobox')).toHaveText('the date of “Moved by the hall”');
  await expect(row('Potters in spring').first().getByRole('combobox')).toHaveText('a copy of “Potters in spring”');
  await expect(row('Before the ferry').getByRole('combobox')).toHaveText('a new plan');
  await expect(row('Struck out').getByRole('checkbox')).not.toBeChecked();
  await expect(row('Hall closed')).toContainText('a whole day, without a time');
  // One of the two weeks is left out.
  await row('Potters in spring').nth(1).getByRole('checkbox').uncheck();
  await page.getByRole('button', { name: 'Take 3 dates' }).click();
  await expect(page).toHaveURL('/');
  await expect(page.getByText('3 dates were taken')).toBeVisible();

  const read = async (query: string) =>
    (
      (await (await page.request.get(`/api/v1/plans?${query}`)).json()) as {
        items: {
          id: string;
          summary: { title: string; startsAt: string | null; totals: { targetMs: number }; place: string };
        }[];
      }
    ).items;
  const [own] = (await read('search=Moved by the hall')).filter(({ id }) => id === moved);
  expect(own?.summary.startsAt).toBe('2099-03-03T19:00');
  const copies = (await read('search=Potters in spring')).filter(({ id }) => id !== weekly);
  expect(copies.map(({ summary }) => [summary.startsAt, summary.totals.targetMs])).toEqual([
    ['2099-03-10T18:00', 4_500_000],
  ]);
  const [fresh] = await read('search=Before the ferry');
  expect(fresh?.summary).toMatchObject({
    startsAt: '2099-04-01T07:00',
    totals: { targetMs: 2_400_000 },
    place: 'Jetty',
  });
});

test('a class that does not take place is written so that calendars strike it out', async ({ page }) => {
  const id = await made(page, 'Snowed in', { startsAt: '2099-01-05T18:30' });
  await page.goto(`/plans/${id}`);
  await page.getByRole('button', { name: 'Share' }).click();
  await page.getByRole('radio', { name: 'Calendar file' }).check();
  const written = page.getByRole('region', { name: 'What is written' });
  await expect(written).toContainText('STATUS:CONFIRMED');
  await page.getByRole('checkbox', { name: 'The class does not take place' }).check();
  await expect(written).toContainText('STATUS:CANCELLED');
});
