import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { cycleOf, setOf } from '#core/breath';
import { compileTimeline } from '#core/timeline';
import type { Plan } from '#core/plan';
import { builtInLibrary } from '#library';
import { breathStep, planOf, talk, workedHold } from '../support/examples';

/** Some minutes with bells far from each other, and a breath with tones that begin after silence. */
const PLAN: Plan = planOf(
  talk('t', 7),
  {
    ...workedHold,
    sides: { kind: 'each', first: 'left', length: { kind: 'even', seconds: 40 } },
    setupSeconds: 13,
    enterSeconds: 2,
    loosen: null,
    rebound: { kind: 'none' },
  },
  breathStep([setOf('s', [cycleOf([4, 2, 6, 1])], 6)]),
);

async function planned(page: Page): Promise<string> {
  const made = await page.request.post('/api/v1/plans', { data: { document: { ...PLAN, title: 'To be heard' } } });
  return ((await made.json()) as { id: string }).id;
}
async function download(page: Page): Promise<Buffer> {
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Download' }).click(),
  ]);
  return readFileSync(await file.path());
}
/** Decodes a sound in the browser, and gives its length and where it is loud after at least so much silence, in ms. */
const onsets = (page: Page, bytes: Buffer, quietMs: number): Promise<{ ms: number; begins: number[] }> =>
  page.evaluate(
    async ([base64, quiet]) => {
      const data = Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0));
      const audio = new OfflineAudioContext(1, 48_000, 48_000);
      const sound = await audio.decodeAudioData(data.buffer);
      const samples = sound.getChannelData(0);
      const begins: number[] = [];
      let last = -Infinity;
      for (let i = 0; i < samples.length; i++) {
        if (Math.abs(samples[i] ?? 0) < 0.003) continue;
        if ((i - last) / 48 > quiet) begins.push(i / 48);
        last = i;
      }
      return { ms: (samples.length / sound.sampleRate) * 1000, begins };
    },
    [bytes.toString('base64'), quietMs] as const,
  );

for (const [kind, label] of [
  ['ogg', 'Ogg, small'],
  ['wav', 'WAV, up to 15 minutes'],
] as const) {
  test(`a sound file as ${kind} is as long as the class, and every sound after silence begins when it is due`, async ({
    page,
  }) => {
    await page.goto(`/plans/${await planned(page)}`);
    await page.getByRole('button', { name: 'Share' }).click();
    await page.getByRole('radio', { name: 'Sound' }).check();
    await page.getByRole('radio', { name: label }).check();
    await expect(page.getByRole('button', { name: 'Download' })).toBeDisabled();
    await page.getByRole('button', { name: 'Make the sound file' }).click();
    await expect(page.getByText(/^The file is ready/)).toBeVisible();
    const { ms, begins } = await onsets(page, await download(page), 30);

    const timeline = compileTimeline(PLAN, builtInLibrary);
    expect(ms).toBeGreaterThanOrEqual(timeline.totals.totalMs - 1);
    // Bells that begin in silence: every one that is later than the longest bell after the one before it.
    const bells = timeline.bells.map(({ atMs }) => atMs);
    const clear = bells.filter((at, i) => i === 0 || at - (bells[i - 1] ?? 0) > 15_000);
    expect(clear.length).toBeGreaterThan(2);
    const nearest = (at: number): number => Math.min(...begins.map((begin) => Math.abs(begin - at)));
    for (const at of clear) expect(nearest(at), `the bell at ${at} ms`).toBeLessThan(1);
  });
}

test('making it can be cancelled while it goes on, and begun again', async ({ page }) => {
  // The first thread hears nothing of what it is to do: it would be done before anybody could press the button.
  await page.addInitScript(() => {
    let isFirst = true;
    window.Worker = class extends Worker {
      constructor(address: string | URL, options?: WorkerOptions) {
        super(address, options);
        if (!/\/sound-[\w-]+\.js$/.test(String(address)) || !isFirst) return;
        isFirst = false;
        this.postMessage = () => undefined;
        document.documentElement.dataset.held = 'yes';
      }
    };
  });
  await page.goto(`/plans/${await planned(page)}`);
  await page.getByRole('button', { name: 'Share' }).click();
  await page.getByRole('radio', { name: 'Sound' }).check();
  await page.getByRole('button', { name: 'Make the sound file' }).click();
  await expect(page.locator('html')).toHaveAttribute('data-held', 'yes');
  await expect(page.getByRole('progressbar')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Download' })).toBeDisabled();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByRole('progressbar')).toBeHidden();
  await page.getByRole('button', { name: 'Make the sound file' }).click();
  await expect(page.getByText(/^The file is ready/)).toBeVisible();
});

test('what was made is dropped when other sounds are wanted', async ({ page }) => {
  await page.goto(`/plans/${await planned(page)}`);
  await page.getByRole('button', { name: 'Share' }).click();
  await page.getByRole('radio', { name: 'Sound' }).check();
  await page.getByRole('button', { name: 'Make the sound file' }).click();
  await expect(page.getByLabel('The sound file', { exact: true })).toBeVisible();
  await page.getByRole('checkbox', { name: 'A tick for every count' }).check();
  await expect(page.getByLabel('The sound file', { exact: true })).toBeHidden();
  await expect(page.getByText(/and 78 counts/)).toBeVisible();
  for (const name of ['Bells', 'Tones of the breath', 'A tick for every count']) {
    await page.getByRole('checkbox', { name, exact: true }).uncheck();
  }
  await expect(page.getByText('Nothing is heard.')).toBeVisible();
});
