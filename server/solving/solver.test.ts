import { afterAll, afterEach, beforeAll, describe, expect, test } from '@jest/globals';
import { once } from 'node:events';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { request as send, type IncomingMessage } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { doJob, jobOf } from '#core/jobs';
import { ORDER_RULES } from '#core/order';
import { emptyPlan, holdFrom, Plan } from '#core/plan';
import { compileTimeline, DEFAULT_RULES } from '#core/timeline';
import { TimelineResponse } from '#api';
import { builtInLibrary } from '#library';
import { finestBreath } from '../../tests/support/examples';
import { testServer } from '../../tests/support/test-server';
import { createApp } from '../app';
import type { HttpProblem } from '../http/problems';
import { createSolver, type Solver } from './solver';

const server = testServer();
const plan = Plan.parse({
  ...emptyPlan('Evening', 'yin'),
  steps: ['butterfly-fold', 'reclined-twist', 'sphinx'].map((id) => holdFrom(builtInLibrary.position(id)!, 'yin', id)),
});
const job = jobOf('order', plan, builtInLibrary, { rules: ORDER_RULES });
const NEVER = 'export default () => { for (;;); };';

let folder: string;
let solver: Solver | undefined;
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'zovrin-solver-'));
});
afterAll(() => rmSync(folder, { recursive: true }));
afterEach(async () => {
  await solver?.close();
  solver = undefined;
});
/** A pool whose threads do this. */
let files = 0;
function poolOf(code: string, limits: Parameters<typeof createSolver>[1] = {}): Solver {
  const file = join(folder, `worker-${files++}.mjs`);
  writeFileSync(file, code);
  solver = createSolver(pathToFileURL(file), limits);
  return solver;
}
const came = (one: Promise<unknown>) =>
  one.then(
    () => 'answered',
    (error: HttpProblem) => [error.status, error.title],
  );

describe('the pool', () => {
  test('gives the answer of its thread, and keeps the thread for the next job', async () => {
    const { solve } = poolOf('let jobs = 0; export default ({ kind }) => ({ kind, jobs: ++jobs });', { threads: 1 });
    expect(await solve(job)).toEqual({ kind: 'order', jobs: 1 });
    expect(await solve(job)).toEqual({ kind: 'order', jobs: 2 });
  });

  test('works out what the function works out here; a timeline comes as the text of its answer', async () => {
    solver = createSolver(new URL('./worker.ts', pathToFileURL(join(process.cwd(), 'server/solving/'))));
    expect(await solver.solve(job)).toEqual(JSON.parse(JSON.stringify(doJob(job))));
    const text = await solver.solve(jobOf('timeline', plan, builtInLibrary, { rules: DEFAULT_RULES }));
    expect(JSON.parse(text)).toEqual(
      JSON.parse(JSON.stringify(TimelineResponse.parse(compileTimeline(plan, builtInLibrary)))),
    );
  });

  test('gives up what takes too long, and refuses what is too much at once', async () => {
    const { solve } = poolOf(NEVER, { timeoutMs: 300, threads: 1, queue: 1, perClient: 9 });
    const all = await Promise.all(Array.from({ length: 3 }, () => came(solve(job))));
    expect(all[0]).toEqual([422, 'Takes too long']);
    expect(all.at(-1)).toEqual([503, 'Busy']);
    expect(all).not.toContain('answered');
  });

  test('a thread that fails is an error, and the next job is done all the same', async () => {
    const { solve } = poolOf(
      "let jobs = 0; export default () => { if (jobs++ === 0) throw new Error('out of luck'); return 'done'; };",
      { threads: 1 },
    );
    await expect(solve(job)).rejects.toThrow('out of luck');
    expect(await solve(job)).toBe('done');
  });

  test('a thread that takes too much memory ends alone, and says so', async () => {
    const { solve } = poolOf(
      'export default () => { const all = []; for (;;) all.push(new Array(100000).fill(Math.random())); };',
      { threads: 1, memoryMib: 32 },
    );
    expect(await came(solve(job))).toEqual([422, 'Too large']);
  });
});

describe('who waits', () => {
  test('a job that nobody waits for any more makes place, also while it is worked out', async () => {
    const { solve } = poolOf("export default ({ kind }) => { if (kind === 'order') for (;;); return kind; };", {
      threads: 1,
      queue: 2,
      perClient: 99,
    });
    const gone = new AbortController();
    const left = [solve(job, { signal: gone.signal }), solve(job, { signal: gone.signal })].map(came);
    const honest = solve(jobOf('timeline', plan, builtInLibrary, { rules: DEFAULT_RULES }), { client: 'another' });
    gone.abort();
    expect(await honest).toBe('timeline');
    expect(await Promise.all(left)).toEqual([
      [499, 'Not wanted any more'],
      [499, 'Not wanted any more'],
    ]);
  });

  test('of one client, one job is worked out and one waits; others are not kept out by it', async () => {
    const { solve } = poolOf(NEVER, { timeoutMs: 400, threads: 2, queue: 8 });
    const requested = [
      ...['a', 'a', 'a', 'a'].map((client) => solve(job, { client })),
      solve(job, { client: 'b' }),
    ].map(came);
    expect(await Promise.all(requested)).toEqual([
      [422, 'Takes too long'],
      [422, 'Takes too long'],
      [429, 'One at a time'],
      [429, 'One at a time'],
      [422, 'Takes too long'],
    ]);
    // And when they are done, the client may ask again.
    expect(await came(solve(job, { client: 'a' }))).toEqual([422, 'Takes too long']);
  });

  test('ten requests whose connections are closed leave the solver free for an honest one', async () => {
    const pool = poolOf("export default ({ kind }) => { if (kind === 'order') for (;;); return '{}'; };");
    let heard: () => void = () => undefined;
    const listened: Solver = {
      ...pool,
      solve: (requested, waiting) => {
        heard();
        return pool.solve(requested, waiting);
      },
    };
    const app = createApp(server.store, { solver: listened, log: (error) => server.logged.push(error) });
    const listening = app.listen(0, '127.0.0.1');
    await once(listening, 'listening');
    const { port } = listening.address() as AddressInfo;
    const post = (path: string, body: object) => {
      const headers = { 'content-type': 'application/json', host: `127.0.0.1:${port}` };
      const requested = send({ port, method: 'POST', path, headers });
      requested.on('error', () => undefined);
      requested.end(JSON.stringify(body));
      return requested;
    };
    for (let i = 0; i < 10; i++) {
      const begun = new Promise<void>((done) => (heard = done));
      const requested = post('/api/v1/order', { document: plan });
      await begun;
      requested.destroy();
      await new Promise((done) => requested.once('close', done));
    }
    const honest = post('/api/v1/timeline', { document: plan });
    const [answer] = (await once(honest, 'response')) as [IncomingMessage];
    answer.resume();
    expect(answer.statusCode).toBe(200);
    listening.closeAllConnections();
    listening.close();
    expect(server.logged).toEqual([]);
  });
});

test('a timeline that would not end is refused before it is begun, and the server answers meanwhile', async () => {
  const moves = { position: 'x', into: 'in', outOf: 'out', sides: 'each', first: 'left' } as const;
  const steps = Array.from({ length: 200 }, (_, i) => ({ ...finestBreath(`step-${i}`), moves }));
  const document = { ...emptyPlan('Fine'), steps };
  const { body } = await server.api().post('/api/v1/timeline').send({ document }).expect(422);
  expect(body.errors).toMatchObject([{ field: 'document.steps.0.practice.sets' }]);
  expect(body.errors[0].reason).toContain('at most 12,000 can be led');
  await server.api().post('/api/v1/plans').send({ document }).expect(422);
});
