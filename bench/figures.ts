/// <reference lib="dom" />
import { readdirSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { ORDINARY } from '#core/body';
import { placedProps } from '#core/props';
import { POSITIONS } from '#library';
import { msFigure, percentile, type Figure } from './measure';

/** The worker as it was built; its name carries a mark of its contents. */
const workerPath = (): string => `/assets/${readdirSync('dist/web/assets').find((name) => name.startsWith('drawing'))}`;

const requests = (statureCm: number, coarse: boolean) =>
  POSITIONS.map(({ figure, setUps }) => ({
    figure,
    props: placedProps(setUps[0]?.items ?? [], 'left'),
    statureCm,
    flexibility: ORDINARY,
    view: figure.view,
    coarse,
  }));

/**
 * Settling and drawing every position for another height, fine and coarse, asked of the worker in the browser as the
 * page asks it: what happens while a slider moves and after. Milliseconds from the question to the answer.
 */
export async function benchFigures(page: Page, url: string): Promise<Figure[]> {
  await page.goto(url);
  const ask = (wanted: ReturnType<typeof requests>) =>
    page.evaluate(
      async ({ path, wanted: list }) => {
        const place = window as { artist?: Worker };
        const worker = (place.artist ??= new Worker(path, { type: 'module' }));
        const times: number[] = [];
        for (const value of list) {
          const id = crypto.randomUUID();
          const from = performance.now();
          await new Promise<void>((drawn) => {
            const heard = new AbortController();
            worker.addEventListener(
              'message',
              ({ data }: MessageEvent<{ id: string }>) => {
                if (data.id !== id) return;
                heard.abort();
                drawn();
              },
              { signal: heard.signal },
            );
            // A call as comlink sends it.
            worker.postMessage({ id, type: 'APPLY', path: ['draw'], argumentList: [{ type: 'RAW', value }] });
          });
          times.push(performance.now() - from);
        }
        return times;
      },
      { path: workerPath(), wanted },
    );
  // The first round warms up, as the worker is when a slider moves.
  await ask(requests(165, false));
  const fine = [...(await ask(requests(178, false))), ...(await ask(requests(152, false)))];
  const coarse = [...(await ask(requests(172, true))), ...(await ask(requests(158, true)))];
  return [
    msFigure('a figure for another stature settled and drawn, in the worker, median', percentile(fine, 0.5), 60),
    msFigure('the same, 95th percentile', percentile(fine, 0.95), 60),
    msFigure('the same, coarse, while a slider moves (20 a second), 95th percentile', percentile(coarse, 0.95), 50),
  ];
}
