/// <reference lib="dom" />
import type { Page } from '@playwright/test';
import { personCondition, newGroup, newPerson } from '#core/people';
import { CONDITIONS } from '#library/cautions';
import { longPlan } from './compile';
import { msFigure, percentile, type Figure } from './measure';

const PEOPLE = 30;
const STEPS = 40;
const SCROLLS = 60;
const TWO_FRAMES_MS = 33;

/** The matrix of a large group and a long plan: how long a frame takes while it is scrolled both ways. */
export async function benchMatrix(page: Page, url: string): Promise<Figure[]> {
  const post = async (at: string, id: string, document: unknown): Promise<void> => {
    const sent = {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ id, document }),
    };
    const { ok, status } = await fetch(`${url}/api/v1${at}`, sent);
    if (!ok) throw new Error(`${at} answered ${status}.`);
  };
  const ids = Array.from({ length: PEOPLE }, (_, i) => `bench-${i}`);
  for (const [i, id] of ids.entries()) {
    const conditions = [0, 1, 2].map((k) =>
      personCondition(`k${k}`, CONDITIONS[(i * 3 + k * 11) % CONDITIONS.length]!.id),
    );
    await post('/people', id, { ...newPerson(`Bench ${i}`), conditions });
  }
  await post('/groups', 'bench-group', { ...newGroup('Bench'), members: ids });
  await post('/plans', 'bench-people', { ...longPlan(STEPS), groupId: 'bench-group', groupSize: PEOPLE });
  await page.goto(`${url}/plans/bench-people/people`);
  await page.locator('[data-at="29,40"]').waitFor();
  const frames = await page.evaluate(async (scrolls) => {
    const frame = document.querySelector('[role=grid]')?.parentElement;
    if (!frame) throw new Error('There is no matrix.');
    const times: number[] = [];
    let last = await new Promise<number>(requestAnimationFrame);
    for (let i = 0; i < scrolls; i++) {
      frame.scrollTo(((i * 37) % 100) * 16, ((i * 23) % 100) * 6);
      const now = await new Promise<number>(requestAnimationFrame);
      times.push(now - last);
      last = now;
    }
    if (frame.scrollLeft + frame.scrollTop === 0) throw new Error('The matrix did not scroll.');
    return times;
  }, SCROLLS);
  return [
    msFigure(
      `the matrix, ${PEOPLE} people × ${STEPS} steps, a frame while it scrolls, 95th percentile`,
      percentile(frames, 0.95),
      TWO_FRAMES_MS,
    ),
  ];
}
