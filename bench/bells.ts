/// <reference lib="dom" />
import type { Browser, Page } from '@playwright/test';
import { build, type Rollup } from 'vite';
import { cycleOf, setOf } from '#core/breath';
import { cuesAhead, foldRun } from '#core/run';
import { compileTimeline, DEFAULT_RULES } from '#core/timeline';
import { ListRunsResponse, StoredRun } from '#api';
import { builtInLibrary } from '#library';
import { breathStep, planOf, talk, workedHold } from '../tests/support/examples';
import { percentile, type Figure } from './measure';

const BAR_MS = 20;
const figure = (what: string, off: readonly number[]): Figure => {
  const worst = Math.max(...off);
  return {
    what: `${what}, ${off.length} of them: the worst (median ${percentile(off, 0.5).toFixed(1)} ms)`,
    figure: `${worst.toFixed(1)} ms`,
    bar: `< ${BAR_MS} ms`,
    ok: off.length > 0 && worst < BAR_MS,
  };
};

async function rendered(page: Page): Promise<number[]> {
  const built = (await build({
    configFile: false,
    logLevel: 'error',
    build: { write: false, minify: false, lib: { entry: 'bench/bells-page.ts', formats: ['iife'], name: 'bells' } },
  })) as Rollup.RollupOutput[];
  // As an expression of the page, whose own content security policy lets no other script in.
  const { code } = built[0]!.output[0];
  return page.evaluate(`(async () => { ${code}; return bells.renderedBells(); })()`);
}

/** About a minute and a half with holds, bells for props, a change of sides and counted breath. */
const short = planOf(
  talk('t', 4),
  breathStep([setOf('s', [cycleOf([3, 1, 4, 0])], 3)]),
  {
    ...workedHold,
    setupSeconds: 4,
    enterSeconds: 2,
    leaveSeconds: 2,
    switchSeconds: 3,
    loosen: null,
    sides: { kind: 'each', first: 'left', length: { kind: 'even', seconds: 14 } },
  },
  breathStep([setOf('s', [cycleOf([3, 0, 4, 0])], 3)], { id: 'again' }),
);
/** When the strokes of a bell are struck, in milliseconds after it begins. */
const STROKES = [0, 350, 700, 900];

/** How far every bell and tone of a session led in the browser lies from its moment, in milliseconds. */
async function live(page: Page, url: string): Promise<number[]> {
  const made = await fetch(`${url}/api/v1/plans`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ document: short }),
  });
  const { id } = (await made.json()) as { id: string };
  await page.addInitScript(() => {
    const begun: number[] = [];
    Object.assign(globalThis, { begun });
    const start = OscillatorNode.prototype.start;
    OscillatorNode.prototype.start = function (when = 0) {
      begun.push(performance.timeOrigin + performance.now() + (when - this.context.currentTime) * 1000);
      return start.call(this, when);
    };
  });
  await page.goto(`${url}/teach/${id}`);
  await page.locator('button.begin').click();
  const timeline = compileTimeline(short, builtInLibrary);
  // A busy page: for most of half a second, every second, nothing else gets a turn.
  await page.evaluate(() => {
    setInterval(() => {
      const until = performance.now() + 400;
      while (performance.now() < until);
    }, 1000);
  });
  // From here on it is in the background.
  const front = await page.context().newPage();
  await front.bringToFront();
  await page.getByText('The plan is over', { exact: true }).waitFor({ timeout: timeline.totals.totalMs + 30_000 });
  const begun = await page.evaluate(() => (globalThis as typeof globalThis & { begun: number[] }).begun);
  const { items: runs } = ListRunsResponse.parse(
    await (await page.request.get(`${url}/api/v1/runs?planId=${id}`)).json(),
  );
  const stored = StoredRun.parse(await (await page.request.get(`${url}/api/v1/runs/${runs[0]?.id}`)).json());
  const run = foldRun(timeline, stored.events);
  const startMs = run.startedAtMs ?? 0;
  const due = cuesAhead(DEFAULT_RULES, run, startMs, timeline.totals.totalMs).filter(({ kind }) => kind !== 'prompt');
  const moments = due.flatMap(({ atMs }) => STROKES.map((stroke) => atMs + stroke));
  const nearest = (at: number, all: readonly number[]): number => Math.min(...all.map((other) => Math.abs(other - at)));
  // None that should not be there, and none missing.
  return [...begun.map((at) => nearest(at, moments)), ...due.map(({ atMs }) => nearest(atMs, begun))];
}

/** Bells and tones against the plan: ninety minutes rendered, and a session led in a busy page in the background. */
export async function benchBells(browser: Browser, url: string): Promise<Figure[]> {
  const page = await (await browser.newContext()).newPage();
  await page.goto(url);
  const offline = await rendered(page);
  const led = await live(page, url);
  await page.context().close();
  return [
    figure('bells of 90 minutes, rendered', offline),
    figure('bells and tones of a session led in a busy page in the background', led),
  ];
}
