import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { demoRuns } from '#library/demo';
import { TEMPLATES } from '#library';
import { createPlan } from '../server/routes/plans';
import { addEvents, startRun } from '../server/routes/runs';
import { openStore } from '../server/store/store';
import { msFigure, percentile, type Figure } from './measure';
import { serve } from './serve';

const PLANS = 2000;
const RUNS = 500;
const A_SECOND = 100;
const SECONDS = 8;
/** The first seconds warm up what is measured in those after them. */
const WARM_SECONDS = 2;

/** Reads and writes at 100 requests a second with 2,000 plans and 500 runs stored. */
export async function benchServer(): Promise<Figure[]> {
  const folder = mkdtempSync(join(tmpdir(), 'zovrin-bench-'));
  const file = join(folder, 'bench.sqlite');
  const store = await openStore(file);
  const [template] = TEMPLATES;
  if (!template) throw new Error('no templates');
  for (let i = 0; i < PLANS; i++) await createPlan(store, `p${i}`, { ...template.plan, title: `Evening ${i}` });
  const events = demoRuns[0]?.events(1_790_000_000_000) ?? [];
  for (let i = 0; i < RUNS; i++) {
    await startRun(store, { id: `r${i}`, planId: `p${i}`, planRevision: 1 });
    await addEvents(
      store,
      `r${i}`,
      events.map((event) => ({ ...event, id: `${event.id}-${i}` })),
    );
  }
  await store.close();
  const { url, stop } = await serve(4805, file);
  const revisions = new Map<number, number>();
  const reads: number[] = [];
  const writes: number[] = [];

  async function one(i: number): Promise<void> {
    const n = (i * 7) % PLANS;
    const write = i % 2 === 0;
    const revision = revisions.get(n) ?? 1;
    if (write) revisions.set(n, revision + 1);
    const body = JSON.stringify({ revision, document: { ...template?.plan, title: `Evening ${n}, ${i}` } });
    const from = performance.now();
    const answer = write
      ? await fetch(`${url}/api/plans/p${n}`, { method: 'PUT', headers: { 'content-type': 'application/json' }, body })
      : await fetch(`${url}/api/plans/p${n}`);
    await answer.arrayBuffer();
    if (!answer.ok) throw new Error(`${answer.status} for ${n}`);
    if (i >= A_SECOND * WARM_SECONDS) (write ? writes : reads).push(performance.now() - from);
  }

  const pending: Promise<void>[] = [];
  const begin = performance.now();
  for (let i = 0; i < A_SECOND * (WARM_SECONDS + SECONDS); i++) {
    const wait = begin + (i * 1000) / A_SECOND - performance.now();
    if (wait > 0) await new Promise((done) => setTimeout(done, wait));
    pending.push(one(i));
  }
  await Promise.all(pending);
  const list = performance.now();
  await (await fetch(`${url}/api/plans?limit=40`)).arrayBuffer();
  const listMs = performance.now() - list;
  stop();
  rmSync(folder, { recursive: true });
  return [
    msFigure(`server, reads, 99th percentile of ${reads.length}`, percentile(reads, 0.99), 25),
    msFigure(`server, writes, 99th percentile of ${writes.length}`, percentile(writes, 0.99), 25),
    msFigure('server, a page of 40 plans', listMs, 50),
  ];
}
