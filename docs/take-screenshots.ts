import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Browser, type BrowserContextOptions, type Page } from '@playwright/test';
import type { Plan } from '#core/plan';
import { serve } from '../bench/serve';
import config from '../playwright.config';
import { spokenClass } from '../tests/support/spoken-class';

/** Takes the pictures in docs/screenshots anew, from the demo data; needs a build. */
const FOLDER = 'docs/screenshots';
const DESK = { width: 1280, height: 800 };

const rows = (page: Page) => page.getByRole('listbox', { name: 'Steps' }).getByRole('option');

/** Opens a plan of the demo data and chooses one of its steps, from 0. */
async function plan(page: Page, url: string, id: string, step: number): Promise<void> {
  await page.goto(`${url}/plans/${id}`);
  await rows(page).nth(step).click();
}

/** Teaches a plan on a clock that stands still, as far as the first phase of a step and some seconds into it. */
async function teach(page: Page, url: string, id: string, heading: string | RegExp, seconds: number): Promise<void> {
  await page.clock.install({ time: new Date('2026-11-26T18:00:00') });
  await page.goto(`${url}/teach/${id}`);
  await page.getByRole('button', { name: 'Begin' }).first().click();
  for (let i = 0; i < 40 && !(await page.getByRole('heading', { name: heading, level: 1 }).isVisible()); i++) {
    await page.keyboard.press('ArrowRight');
    await page.clock.runFor(200);
  }
  await page.clock.runFor(seconds * 1000);
}

/** The page for a student of a plan of the demo data, as a file. */
async function studentPage(page: Page, url: string): Promise<string> {
  await page.goto(`${url}/plans/demo-potters`);
  await page.getByRole('button', { name: 'Share', exact: true }).click();
  await page.getByRole('radio', { name: 'Page for a student' }).check();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Download', exact: true }).click(),
  ]);
  const path = join(tmpdir(), `student-${process.pid}.html`);
  await download.saveAs(path);
  return path;
}

const LONG_STEP = 'Reclined twist with the far shoulder on a folded blanket';
/** The nurses' hour under a name that is longer than most, with a step whose name is. */
async function longNamed(url: string): Promise<string> {
  const { document } = (await (await fetch(`${url}/api/v1/plans/demo-nurses`)).json()) as { document: Plan };
  const title = 'Before the night shift: an hour for feet, calves and a back that stood eleven hours';
  const steps = document.steps.map((step, i) => (i === 2 ? { ...step, name: LONG_STEP } : step));
  const made = await fetch(`${url}/api/v1/plans`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ document: { ...document, title, steps } }),
  });
  return ((await made.json()) as { id: string }).id;
}

const NOTES = `tuesday 18:30 tired legs, 1h, 12 ppl
arrive + how was the week 3min
calves on chair 6, blanket head
twist 3.5 ea L first, blanket btw knees!!
breath 4/8 15x
janu 3-5 min each side, 2 blocks head — half way: soften knee
legs up wall 5
(if time: humming)
savasana rest of time`;

type Shot = (page: Page, url: string) => Promise<void>;

const SHOTS: Record<string, { take: Shot; context?: BrowserContextOptions }> = {
  home: {
    take: async (page, url) => {
      await page.clock.setFixedTime(new Date('2026-11-26T17:00:00'));
      await page.goto(url);
    },
  },
  plan: { take: (page, url) => plan(page, url, 'demo-potters', 3) },
  fit: {
    take: async (page, url) => {
      await page.goto(`${url}/plans/demo-hour/fit`);
      await page.getByText('to the second').waitFor();
    },
  },
  import: {
    take: async (page, url) => {
      await page.clock.setFixedTime(new Date('2026-11-26T17:00:00'));
      await page.goto(`${url}/import`);
      await page.getByLabel('Your notes').fill(NOTES);
      await page.getByRole('button', { name: 'Read it' }).click();
      await page.getByText('with set-up and changes').waitFor();
    },
  },
  captions: {
    take: async (page, url) => {
      const { file: text } = spokenClass('tests/samples/captions/known/01-choir-yin.txt');
      const buffer = Buffer.from(text);
      await page.goto(`${url}/import`);
      await page
        .locator('input[type=file]')
        .setInputFiles({ name: 'Choir on Tuesday.vtt', mimeType: 'text/vtt', buffer });
      await page.getByText('to check').first().waitFor();
    },
  },
  forecast: {
    take: async (page, url) => {
      await page.goto(`${url}/plans/demo-potters/fit?view=forecast`);
      await page.getByRole('button', { name: 'Apply these lengths' }).waitFor();
    },
  },
  share: {
    take: async (page, url) => {
      await plan(page, url, 'demo-potters', 3);
      await page.getByRole('button', { name: 'Share', exact: true }).click();
      await page.getByRole('radio', { name: 'Outline' }).check();
    },
  },
  student: {
    context: { viewport: { width: 390, height: 844 }, colorScheme: 'dark' },
    take: async (page, url) => {
      await page.goto(`file://${await studentPage(page, url)}`);
      await page.clock.install({ time: new Date('2026-11-26T20:00:00') });
      await page.getByRole('button', { name: /^Begin/ }).click();
      await page.clock.runFor(1000);
      await page.getByRole('button', { name: 'Next' }).click();
      await page.clock.runFor(45_000);
    },
  },
  course: {
    take: async (page, url) => {
      await page.clock.setFixedTime(new Date('2026-11-26T17:00:00'));
      await page.goto(`${url}/courses/demo-longer-evenings`);
      await page.getByText('Last rest 10:00').waitFor();
    },
  },
  outbox: {
    take: async (page, url) => {
      for (const [to, subject] of [
        ['choir@example.org', 'Long line: for the week'],
        ['ines@example.org', 'Hips and hands, twelve minutes'],
      ] as const) {
        const attachments = [
          { name: 'Hips and hands.html', type: 'text/html', text: '<!doctype html>'.repeat(9000) },
          { name: 'class.ics', type: 'text/calendar', text: 'BEGIN:VCALENDAR' },
        ];
        const letter = { to: [to], subject, text: 'Hello,\n\nit opens on your phone, without a network.', attachments };
        await page.request.post(`${url}/api/v1/outbox`, { data: letter });
      }
      await page.goto(`${url}/outbox`);
      await page.getByText('What is in it').first().click();
      // As it is where Zovrin is usually started.
      await page
        .locator('p code')
        .last()
        .evaluate((folder) => (folder.textContent = 'data/outbox'));
    },
  },
  cautions: {
    take: async (page, url) => {
      await page.goto(`${url}/plans/demo-hour/people`);
      await page.getByRole('button', { name: /^MTo, 6 / }).click();
    },
  },
  person: { take: async (page, url) => void (await page.goto(`${url}/people/demo-bryony`)) },
  lookback: { take: async (page, url) => void (await page.goto(`${url}/history/demo-run-nurses`)) },
  weeks: {
    take: async (page, url) => {
      await page.clock.setFixedTime(new Date('2026-11-26T18:00:00'));
      await page.goto(`${url}/history/trends`);
      await page.getByRole('heading', { name: 'Left and right' }).evaluate((title) => title.scrollIntoView());
    },
  },
  library: { take: async (page, url) => void (await page.goto(`${url}/library`)) },
  // From here on the demo data is other than it was: sessions that are led, a plan that is changed.
  teach: { take: (page, url) => teach(page, url, 'demo-nurses', 'Head to knee', 90) },
  'teach-breath': { take: (page, url) => teach(page, url, 'demo-workshop', /^Alternate/, 36.4) },
  'teach-phone': {
    take: async (page, url) => teach(page, url, await longNamed(url), LONG_STEP, 190),
    context: { viewport: { width: 390, height: 844 }, colorScheme: 'dark' },
  },
  history: {
    take: async (page, url) => {
      await changed(url);
      await page.goto(`${url}/plans/demo-hour/history`);
      await page.getByRole('button', { name: 'Restore this version' }).waitFor();
    },
  },
};

/** The hour that was planned by feel, gone over once: one breath less, a longer side, another order. */
async function changed(url: string): Promise<void> {
  const { revision, document } = (await (await fetch(`${url}/api/v1/plans/demo-hour`)).json()) as {
    revision: number;
    document: Plan;
  };
  const steps = document.steps.flatMap((step): Plan['steps'] => {
    if (step.kind === 'breath') return [];
    if (step.kind !== 'hold' || step.sides.kind !== 'each') return [step];
    const length = { kind: 'perSide', left: 220, right: 200 } as const;
    return [{ ...step, sides: { ...step.sides, length } }];
  });
  const [first, second, ...others] = steps;
  await fetch(`${url}/api/v1/plans/demo-hour`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ revision, document: { ...document, steps: [second, first, ...others] } }),
  });
}

async function take(browser: Browser, url: string, name: string): Promise<void> {
  const shot = SHOTS[name];
  if (!shot) throw new Error(`There is no picture “${name}”.`);
  const context = await browser.newContext({
    viewport: DESK,
    timezoneId: 'Europe/London',
    locale: 'en-GB',
    ...shot.context,
  });
  const page = await context.newPage();
  await shot.take(page, url);
  await page.waitForLoadState('networkidle');
  // Figures are drawn in a worker and fade in from nothing; two frames are not enough for them.
  await new Promise((drawn) => setTimeout(drawn, 1500));
  await page.screenshot({ path: join(FOLDER, `${name}.png`) });
  await context.close();
}

// The pictures know the dates of the demo data.
process.env.ZOVRIN_DEMO_DAY = '2026-11-25';
const folder = mkdtempSync(join(tmpdir(), 'zovrin-shots-'));
const file = join(folder, 'shots.sqlite');
const { url, stop } = await serve(4797, file);
const browser = await chromium.launch(config.use?.launchOptions);
try {
  const wanted = process.argv.slice(2);
  for (const name of wanted.length > 0 ? wanted : Object.keys(SHOTS)) await take(browser, url, name);
} finally {
  await browser.close();
  stop();
  rmSync(folder, { recursive: true });
}
