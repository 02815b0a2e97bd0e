import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import { serve } from '../../bench/serve';
import { choose } from './support';

/** A house of its own: what is changed in its settings is seen everywhere in it. */
test('own tags and energy lines are searched, filtered and counted in the trends; counting by the breath makes new holds so', async ({
  page,
}) => {
  test.setTimeout(90_000);
  const folder = mkdtempSync(join(tmpdir(), 'zovrin-school-'));
  const { url, stop } = await serve(4794, join(folder, 'house.sqlite'));
  try {
    await page.goto(`${url}/library/reclined-twist`);
    const tags = page.getByLabel('Your tags');
    // Until the settings are there a tag is refused, and stays in the field.
    await expect(async () => {
      await tags.fill('after a desk day');
      await tags.press('Enter');
      await expect(page.getByRole('button', { name: 'Remove after a desk day' })).toBeVisible({ timeout: 1000 });
    }).toPass();
    await tags.fill('After a desk day');
    await tags.press('Enter');
    await expect(page.getByText('The position has the tag “After a desk day” already.')).toBeVisible();
    await page.reload();
    await expect(page.getByText('after a desk day')).toBeVisible();
    await expect(page.getByText('Energy lines:')).toBeHidden();

    await page.goto(`${url}/library?search=desk+day`);
    const cards = page.getByRole('list', { name: 'Positions' }).getByRole('link');
    await expect(cards).toHaveCount(1);
    await expect(cards.first()).toContainText('Reclined twist');
    await page.getByRole('searchbox').fill('');
    await page.getByLabel('after a desk day').check();
    await expect(cards).toHaveCount(1);

    // A favourite: a tag of its own, by which it is found, and none any more.
    await page.goto(`${url}/library/legs-up-wall`);
    const favourite = page.getByRole('button', { name: 'Favourite', exact: true });
    await expect(favourite).toHaveAttribute('aria-pressed', 'false');
    await favourite.focus();
    await page.keyboard.press('Enter');
    await expect(favourite).toHaveAttribute('aria-pressed', 'true');
    await page.goto(`${url}/library?tag=favourite`);
    await expect(cards).toHaveCount(1);
    await expect(cards.first().getByRole('img', { name: 'a favourite' })).toBeVisible();
    await page.goto(`${url}/library?situation=desk`);
    await expect(cards).toHaveCount(14);
    await page.goto(`${url}/library/legs-up-wall`);
    await favourite.click();
    await expect(favourite).toHaveAttribute('aria-pressed', 'false');

    await page.goto(`${url}/settings?group=school`);
    await choose(page.getByLabel('Shown as'), 'both');
    await choose(page.getByLabel('Counting'), 'by their own breath');
    const breath = page.getByLabel('One breath');
    await breath.fill('90');
    await breath.press('Tab');
    await expect(page.getByText('One breath is at most 1:00.')).toBeVisible();
    await breath.fill('7');
    await breath.press('Tab');
    await expect
      .poll(async () => (await (await page.request.get(`${url}/api/v1/settings`)).json()).document?.school)
      .toMatchObject({ bodyMap: 'both', counting: 'breath', breathSeconds: 7 });

    await page.goto(`${url}/library/reclined-twist`);
    await expect(page.getByText('Energy lines:')).toBeVisible();
    await page.goto(`${url}/history/trends`);
    await page.getByRole('radio', { name: 'energy line' }).check({ force: true });
    await expect(page.getByRole('heading', { name: 'By energy line' })).toBeVisible();
    await expect(page.getByRole('row', { name: /^gallbladder/ })).toBeVisible();
    await page.getByRole('radio', { name: 'your tags' }).check({ force: true });
    await expect(page.getByRole('row', { name: /^after a desk day/ })).toBeVisible();

    await page.goto(`${url}/plans/demo-potters`);
    const add = page.getByRole('combobox', { name: 'Add a step' });
    await add.fill('reclined twist');
    await add.press('Enter');
    await expect(page.getByLabel('of', { exact: true })).toHaveValue('0:07');
  } finally {
    stop();
    rmSync(folder, { recursive: true });
  }
});
