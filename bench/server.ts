import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { demoGroups, demoPeople, demoRuns } from '#library/demo';
import { TEMPLATES } from '#library';
import { createGroup, createPerson } from '../server/routes/people';
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
const READ_BAR_MS = 10;
const WRITE_BAR_MS = 15;
const HELD_BAR_MS = 50;
const JSON_TYPE = { 'content-type': 'application/json' };

/** A database with 2,000 plans and 500 runs; gives its first template. */
export async function fill(file: string) {
  const store = await openStore(file);
  const [template] = TEMPLATES;
  if (!template) throw new Error('no templates');
  await store.atomically(async (inside) => {
    for (let i = 0; i < PLANS; i++) await createPlan(inside, `p${i}`, { ...template.plan, title: `Evening ${i}` });
    for (const { id, person } of demoPeople) await createPerson(inside, id, person);
    for (const { id, group } of demoGroups) await createGroup(inside, id, group);
    const events = demoRuns[0]?.events(Date.now() - 86_400_000) ?? [];
    for (let i = 0; i < RUNS; i++) {
      await startRun(inside, { id: `r${i}`, planId: `p${i}`, planRevision: 1 });
      const own = events.map((event) => ({
        ...event,
        id: `${event.id}-${i}`,
        ...(event.kind === 'undone' ? { event: `${event.event}-${i}` } : {}),
      }));
      await addEvents(inside, `r${i}`, own);
    }
  });
  await store.close();
  return template.plan;
}

/**
 * Reads and writes at 100 requests a second with 2,000 plans and 500 runs stored; and how long any route holds the
 * loop.
 */
export async function benchServer(): Promise<Figure[]> {
  const folder = mkdtempSync(join(tmpdir(), 'zovrin-bench-'));
  const file = join(folder, 'bench.sqlite');
  const plan = await fill(file);
  const { url, stop, heldMs } = await serve(4805, file);
  const revisions = new Map<number, number>();
  const reads: number[] = [];
  const writes: number[] = [];

  async function one(i: number): Promise<void> {
    const n = (i * 7) % PLANS;
    const write = i % 2 === 0;
    const revision = revisions.get(n) ?? 1;
    if (write) revisions.set(n, revision + 1);
    const body = JSON.stringify({ revision, document: { ...plan, title: `Evening ${n}, ${i}` } });
    const from = performance.now();
    const answer = write
      ? await fetch(`${url}/api/v1/plans/p${n}`, { method: 'PUT', headers: JSON_TYPE, body })
      : await fetch(`${url}/api/v1/plans/p${n}`);
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

  const post = (path: string) => ({ path, method: 'POST', body: JSON.stringify({ document: plan }) });
  const routes: { path: string; method?: string; body?: string }[] = [
    ...['/plans?limit=40', '/plans?limit=100&search=evening', '/plans/p1', '/plans/p1/revisions', '/runs?limit=100'],
    ...['/runs/r1', '/practised', '/pace', '/entries', '/people', '/groups', '/places', '/journal', '/settings'],
    ...['/bin', '/unreadable', '/lock', '/people/demo-bryony/file'],
  ].map((path) => ({ path }));
  const held: { path: string; ms: number }[] = [];
  const timings = new Map<string, number[]>();
  // Twice: the first time much of it has to be worked out.
  for (const { path, ...init } of [...routes, post('/timeline'), post('/fit'), post('/order'), post('/forecast')]) {
    for (let time = 0; time < 2; time++) {
      await heldMs();
      const from = performance.now();
      const answer = await fetch(`${url}/api/v1${path}`, { ...init, headers: JSON_TYPE });
      await answer.arrayBuffer();
      if (!answer.ok) throw new Error(`${answer.status} for ${path}`);
      timings.set(path, [...(timings.get(path) ?? []), performance.now() - from]);
      held.push({ path, ms: await heldMs() });
    }
  }
  stop();
  rmSync(folder, { recursive: true });
  if (process.env.BENCH_DETAIL) console.table(held);
  const [worst] = held.sort((a, b) => b.ms - a.ms);
  const again = (path: string): number => timings.get(path)?.[1] ?? Number.NaN;
  return [
    msFigure(`server, reads, 99th percentile of ${reads.length}`, percentile(reads, 0.99), READ_BAR_MS),
    msFigure(`server, writes, 99th percentile of ${writes.length}`, percentile(writes, 0.99), WRITE_BAR_MS),
    msFigure('server, a page of 40 plans', again('/plans?limit=40'), 50),
    msFigure('server, a page of 100 sessions', again('/runs?limit=100'), 50),
    msFigure('server, what 500 sessions come to (trends)', again('/practised'), 100),
    msFigure(`server, event loop held longest, in ${worst?.path ?? ''}`, worst?.ms ?? 0, HELD_BAR_MS),
  ];
}
