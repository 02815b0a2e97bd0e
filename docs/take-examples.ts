import { copyFileSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import type { Plan } from '#core/plan';
import { serve } from '../bench/serve';
import config from '../playwright.config';

/** Takes the examples that are made in the browser or by the server anew, from the demo data; needs a build. */
const FOLDER = 'docs/examples';

async function download(page: Page, name: string, into: string): Promise<void> {
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name, exact: true }).click(),
  ]);
  copyFileSync(await file.path(), join(FOLDER, into));
}
async function share(page: Page, url: string, id: string, form: string): Promise<void> {
  await page.goto(`${url}/plans/${id}`);
  await page.getByRole('button', { name: 'Share', exact: true }).click();
  await page.getByRole('radio', { name: form, exact: true }).check();
}

process.env.ZOVRIN_DEMO_DAY = '2026-11-25';
const folder = mkdtempSync(join(tmpdir(), 'zovrin-examples-'));
const { url, stop } = await serve(4797, join(folder, 'examples.sqlite'));
const browser = await chromium.launch(config.use?.launchOptions);
try {
  const page = await (await browser.newContext({ locale: 'en-GB', timezoneId: 'Europe/Dublin' })).newPage();

  await share(page, url, 'demo-potters', 'Page for a student');
  await download(page, 'Download', 'student.html');

  // A few minutes of a workshop: the whole of it would be large.
  const { document } = (await (await page.request.get(`${url}/api/v1/plans/demo-workshop`)).json()) as {
    document: Plan;
  };
  const short = { ...document, title: 'The first minutes', steps: document.steps.slice(0, 2) };
  const made = await page.request.post(`${url}/api/v1/plans`, { data: { document: short } });
  await share(page, url, ((await made.json()) as { id: string }).id, 'Sound');
  await page.getByRole('checkbox', { name: 'A tick for every count' }).check();
  await page.getByRole('button', { name: 'Make the sound file' }).click();
  await page.getByText(/^The file is ready/).waitFor();
  await download(page, 'Download', 'sound.ogg');

  await share(page, url, 'demo-choir', 'Letter');
  await page.getByLabel('To', { exact: true }).fill('choir@example.org');
  await page.getByRole('button', { name: 'Put into the outbox' }).click();
  await page.getByText(/^The letter is in the outbox/).waitFor();
  const outbox = (await (await page.request.get(`${url}/api/v1/outbox`)).json()) as { letters: { id: string }[] };
  const email = await page.request.get(`${url}/api/v1/outbox/${outbox.letters[0]?.id}/file`);
  writeFileSync(join(FOLDER, 'letter.eml'), await email.body());

  await page.goto(`${url}/settings?group=backup`);
  await download(page, 'Download a backup file', 'backup.zip');
} finally {
  await browser.close();
  stop();
  rmSync(folder, { recursive: true });
}
