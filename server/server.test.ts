import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { QueryTypes } from 'sequelize';
import sqlite3 from 'sqlite3';
import { editedPlan, addStep, emptyPlan, Plan, talkStep } from '#core/plan';
import { demoPeople } from '#library/demo';
import { ListVersionsResponse } from '#api';
import { loadDemo } from './demo';
import { emptyBin } from './routes/bin';
import { planOf, workedHold } from '../tests/support/examples';
import { DAY, testServer } from '../tests/support/test-server';

const server = testServer();
const { api } = server;
const document = (title = 'Evening'): Plan => editedPlan(emptyPlan(title), addStep(talkStep('t', 'Arrive', 60), 0));
const create = async (id: string, plan = document()) =>
  (await api().post('/api/v1/plans').send({ id, document: plan }).expect(201)).body;
const save = (id: string, revision: number, title: string) =>
  api()
    .put(`/api/v1/plans/${id}`)
    .send({ revision, document: document(title) });
const started = { id: 'event-started', atMs: 1_790_000_000_000, kind: 'started' };

describe('plans', () => {
  test('are made, read, saved with a revision, and every revision is kept', async () => {
    expect(await create('p')).toMatchObject({ id: 'p', revision: 1, document: { title: 'Evening' } });
    server.clock += 1000;
    expect((await save('p', 1, 'Later').expect(200)).body).toMatchObject({
      revision: 2,
      updatedAt: new Date(server.clock).toISOString(),
    });
    const { items: versions } = ListVersionsResponse.parse(
      (await api().get('/api/v1/plans/p/revisions').expect(200)).body,
    );
    expect(versions.map(({ revision, title, changes }) => [revision, title, changes])).toEqual([
      [2, 'Later', [{ kind: 'field', field: 'title' }]],
      [1, 'Evening', null],
    ]);
    expect((await api().get('/api/v1/plans/p/revisions/1').expect(200)).body.document.title).toBe('Evening');
    await api().get('/api/v1/plans/p/revisions/9').expect(404);
  });

  test('a stale write is answered with both versions and changes nothing', async () => {
    await create('p');
    await save('p', 1, 'Mine').expect(200);
    const conflict = await save('p', 1, 'Yours')
      .expect(409)
      .expect('content-type', /problem\+json/);
    expect(conflict.body).toMatchObject({
      status: 409,
      current: { revision: 2, document: { title: 'Mine' } },
      yours: { title: 'Yours' },
    });
    expect((await api().get('/api/v1/plans/p')).body).toMatchObject({ revision: 2, document: { title: 'Mine' } });
  });

  test('the same save sent again, its answer lost, is no conflict', async () => {
    await create('p');
    await save('p', 1, 'Once').expect(200);
    expect((await save('p', 1, 'Once').expect(200)).body.revision).toBe(2);
  });

  test('of many writers with one revision exactly one wins', async () => {
    await create('p');
    const answers = await Promise.all(Array.from({ length: 8 }, (_, i) => save('p', 1, `Writer ${i}`)));
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409, 409, 409, 409, 409, 409, 409]);
  });

  test('the last 200 revisions are kept', async () => {
    await create('p');
    for (let revision = 1; revision <= 204; revision++) await save('p', revision, `No ${revision}`).expect(200);
    await api().get('/api/v1/plans/p/revisions/6').expect(200);
    await api().get('/api/v1/plans/p/revisions/5').expect(404);
  });

  test('its history has one version for all that was saved within ten minutes, each with what changed since the one before', async () => {
    await create('p');
    const minutes = [1, 2, 15, 16, 40];
    let clock = 0;
    for (const [i, minute] of minutes.entries()) {
      server.clock += (minute - clock) * 60_000;
      clock = minute;
      await save('p', i + 1, `At ${minute}`).expect(200);
    }
    const { items: versions } = ListVersionsResponse.parse((await api().get('/api/v1/plans/p/revisions')).body);
    expect(versions.map(({ title, isFirst }) => [title, isFirst])).toEqual([
      ['At 40', false],
      ['At 16', false],
      ['At 2', false],
      ['Evening', true],
    ]);
    expect(versions.map(({ changes }) => changes?.length)).toEqual([1, 1, 1, undefined]);
  });

  test('are found by any word of title, group or intent, without accents, newest first', async () => {
    await create('a', { ...document('Śavāsana only'), group: 'Potters' });
    server.clock += 1000;
    await create('b', document('Hips'));
    const found = async (search: string) =>
      (await api().get('/api/v1/plans').query({ search }).expect(200)).body.items.map(({ id }: { id: string }) => id);
    expect(await found('')).toEqual(['b', 'a']);
    expect(await found('savasana')).toEqual(['a']);
    expect(await found('pott only')).toEqual(['a']);
    expect(await found('%')).toEqual(['b', 'a']);
    expect(await found('nothing like it')).toEqual([]);
  });

  test('go to the bin, come back, and are gone after 30 days', async () => {
    await create('p');
    await api().delete('/api/v1/plans/p').expect(204);
    await api().get('/api/v1/plans/p').expect(404);
    await save('p', 1, 'Too late').expect(404);
    expect((await api().get('/api/v1/bin')).body.items).toMatchObject([{ kind: 'plan', id: 'p', title: 'Evening' }]);
    await api().post('/api/v1/bin/plan/p/restore').expect(204);
    await api().post('/api/v1/bin/plan/p/restore').expect(404);
    await api().get('/api/v1/plans/p').expect(200);
    await api().delete('/api/v1/plans/p').expect(204);
    server.clock += 29 * DAY;
    await emptyBin(server.store);
    expect((await api().get('/api/v1/bin')).body.items).toHaveLength(1);
    server.clock += 2 * DAY;
    await emptyBin(server.store);
    expect((await api().get('/api/v1/bin')).body.items).toHaveLength(0);
    expect(await server.store.revisions.count()).toBe(0);
  });
});

describe('runs', () => {
  const begin = (id: string) => api().post('/api/v1/runs').send({ id, planId: 'p', planRevision: 1 });
  const send = (id: string, ...events: object[]) => api().post(`/api/v1/runs/${id}/events`).send({ events });

  test('keep the plan as it was taught, and every event once, in order', async () => {
    await create('p');
    await begin('r').expect(201);
    await begin('r').expect(201);
    await save('p', 1, 'Changed since').expect(200);
    const paused = { id: 'event-paused', atMs: started.atMs + 1000, kind: 'paused' };
    expect((await send('r', started).expect(200)).body).toEqual({ stored: 1, total: 1 });
    expect((await send('r', started, paused, paused).expect(200)).body).toEqual({ stored: 1, total: 2 });
    const run = (await api().get('/api/v1/runs/r').expect(200)).body;
    expect(run.plan.title).toBe('Evening');
    expect(run.events).toEqual([started, paused]);
    expect((await api().get('/api/v1/plans')).body.items[0]).toMatchObject({
      runs: 1,
      lastTaughtAt: new Date(server.clock).toISOString(),
    });
  });

  test('are refused for a plan, a revision or a run that is not there', async () => {
    await create('p');
    await api().post('/api/v1/runs').send({ id: 'r', planId: 'other', planRevision: 1 }).expect(404);
    await api().post('/api/v1/runs').send({ id: 'r', planId: 'p', planRevision: 7 }).expect(404);
    await send('nothing', started).expect(404);
    await begin('r').expect(201);
    await begin('q').expect(201);
    await send('r', started).expect(200);
    await send('q', started).expect(409);
    await send('r', { ...started, id: 'event-x', kind: 'danced' }).expect(422);
  });

  test('that were led before are listed by when they began, with what they were measured from', async () => {
    await create('p');
    await begin('now').expect(201);
    const beganAtMs = server.clock - 30 * 86_400_000;
    await api().post('/api/v1/runs').send({ id: 'then', planId: 'p', planRevision: 1, beganAtMs }).expect(201);
    await send(
      'then',
      { ...started, id: 'event-then', atMs: beganAtMs },
      { id: 'event-measured', atMs: beganAtMs, kind: 'measured', from: 'captions', lengths: [[0, 90_000]] },
    ).expect(200);
    const { items } = (await api().get('/api/v1/runs').expect(200)).body;
    expect(items).toMatchObject([
      { id: 'now', summary: { measuredFrom: null } },
      { id: 'then', createdAt: new Date(beganAtMs).toISOString(), summary: { measuredFrom: 'captions' } },
    ]);
    await send('then', {
      id: 'event-wrong',
      atMs: beganAtMs,
      kind: 'measured',
      from: 'tea leaves',
      lengths: [],
    }).expect(422);
  });

  test('go to the bin and come back', async () => {
    await create('p');
    await begin('r').expect(201);
    await api().delete('/api/v1/runs/r').expect(204);
    expect((await api().get('/api/v1/runs')).body.items).toEqual([]);
    await api().post('/api/v1/bin/run/r/restore').expect(204);
    expect((await api().get('/api/v1/runs').query({ planId: 'p' })).body.total).toBe(1);
  });
});

test('the arithmetic can be asked for by a script', async () => {
  const { body } = await api()
    .post('/api/v1/timeline')
    .send({ document: planOf(workedHold) })
    .expect(200);
  expect(body.totals).toMatchObject({ totalMs: 610_000, holdMs: 440_000 });
  expect(body.phases).toHaveLength(9);
  const refused = await api()
    .post('/api/v1/timeline')
    .send({ document: { ...planOf(workedHold), title: '' } });
  expect(refused.status).toBe(422);
  expect(refused.body.errors).toEqual([{ field: 'document.title', reason: 'A plan needs a title.' }]);
});

test('the demo data is loaded once and can be read', async () => {
  expect(await loadDemo(server.store)).toBe(true);
  expect(await loadDemo(server.store)).toBe(false);
  expect((await api().get('/api/v1/plans')).body.total).toBe(8);
  expect((await api().get('/api/v1/people')).body.items).toHaveLength(demoPeople.length);
  expect((await api().get('/api/v1/groups')).body.items).toHaveLength(3);
  expect((await api().get('/api/v1/runs')).body.total).toBe(15);
  expect((await api().get('/api/v1/journal')).body.items).toHaveLength(2);
});

describe('lists', () => {
  const ids = (body: { items: { id: string }[] }) => body.items.map(({ id }) => id);

  test('come in pages, with how many there are', async () => {
    for (const id of ['a', 'b', 'c', 'd', 'e']) {
      server.clock += 1000;
      await create(id);
    }
    const page = async (query: object) => (await api().get('/api/v1/plans').query(query).expect(200)).body;
    expect(ids(await page({ limit: 2 }))).toEqual(['e', 'd']);
    expect(ids(await page({ limit: 2, offset: 4 }))).toEqual(['a']);
    expect((await page({ limit: 2 })).total).toBe(5);
    expect(ids(await page({ offset: 99 }))).toEqual([]);
    for (const query of [{ limit: 0 }, { limit: 1000 }, { offset: -1 }, { limit: 'many' }, { order: 'random' }]) {
      const refused = await api().get('/api/v1/plans').query(query).expect(422);
      expect(refused.body.errors).toHaveLength(1);
    }
  });

  test('a saved plan comes first, and keeps when it was made', async () => {
    const made = await create('old');
    server.clock += 1000;
    await create('new');
    server.clock += 1000;
    await save('old', 1, 'Touched').expect(200);
    const { body } = await api().get('/api/v1/plans').expect(200);
    expect(ids(body)).toEqual(['old', 'new']);
    expect(body.items[0].createdAt).toBe(made.createdAt);
  });

  test('an id that is taken is a conflict and changes nothing', async () => {
    await create('p');
    await api()
      .post('/api/v1/plans')
      .send({ id: 'p', document: document('Another') })
      .expect(409);
    expect((await api().get('/api/v1/plans/p')).body.document.title).toBe('Evening');
  });

  test('a plan of the bin counts nowhere, and its runs stay', async () => {
    await create('p');
    await api().post('/api/v1/runs').send({ id: 'r', planId: 'p', planRevision: 1 }).expect(201);
    await api().delete('/api/v1/plans/p').expect(204);
    expect((await api().get('/api/v1/plans')).body).toEqual({ items: [], total: 0, unreadable: 0 });
    expect((await api().get('/api/v1/runs/r').expect(200)).body.plan.title).toBe('Evening');
    await api().post('/api/v1/runs').send({ id: 'q', planId: 'p', planRevision: 1 }).expect(404);
  });
});

describe('bad input', () => {
  test.each([
    ['not JSON', '{"id":', 400],
    ['no document', '{"id":"p"}', 422],
    ['an id with a slash', '{"id":"a/b","document":{}}', 422],
    ['3 MB', JSON.stringify({ document: 'x'.repeat(3_000_000) }), 413],
  ])('%s', async (_, body, status) => {
    const answer = await api().post('/api/v1/plans').set('content-type', 'application/json').send(body);
    expect(answer.status).toBe(status);
    expect(answer.body).toMatchObject({ status, detail: expect.any(String) });
    expect(await server.store.plans.count()).toBe(0);
  });

  test('every field is named, with the reason', async () => {
    const bad = { ...document(), title: 'x'.repeat(10_000), groupSize: 0 };
    const { body } = await api().post('/api/v1/plans').send({ document: bad }).expect(422);
    expect(body.errors).toEqual([
      { field: 'document.title', reason: 'A title has at most 200 characters.' },
      { field: 'document.groupSize', reason: 'A group has at least one person.' },
    ]);
  });

  test('an address that is not there, or does not decode', async () => {
    await api()
      .get('/api/v1/nowhere')
      .expect(404)
      .expect('content-type', /problem\+json/);
    await api().get('/api/v1/plans/%E0%A4%A').expect(400);
  });

  test('whatever is sent, never a 5xx and never a half-written record', async () => {
    await create('p');
    const method = fc.constantFrom('get', 'post', 'put', 'delete' as const);
    const path = fc.constantFrom(
      '/api/v1/plans',
      '/api/v1/plans/p',
      '/api/v1/plans/p/revisions/x',
      '/api/v1/runs',
      '/api/v1/runs/r/events',
      '/api/v1/timeline',
      '/api/v1/bin/plan/p/restore',
    );
    const piece = fc.oneof(
      fc.jsonValue(),
      fc.constant(document()),
      fc.constant({ id: 'r', planId: 'p', planRevision: 1 }),
    );
    const body = fc.oneof(
      piece,
      fc.record({
        revision: fc.oneof(fc.nat(3), fc.jsonValue()),
        document: piece,
        events: fc.array(fc.oneof(piece, fc.constant(started))),
      }),
    );
    await fc.assert(
      fc.asyncProperty(method, path, fc.string(), body, async (verb, address, query, sent) => {
        const call = api()[verb as 'post'](address).query({ search: query, limit: query });
        const { status } = await (verb === 'get'
          ? call
          : call.set('content-type', 'application/json').send(JSON.stringify(sent)));
        expect(status).toBeLessThan(500);
      }),
      { numRuns: 300 },
    );
    expect(server.logged).toEqual([]);
    for (const row of await server.store.plans.findAll())
      expect(Plan.safeParse(JSON.parse(row.document)).success).toBe(true);
  });
});

describe('the database', () => {
  test('is a write-ahead log, flushed in full at every commit', async () => {
    const pragma = async (tables: Pick<typeof server.store, 'plans'>, name: string) =>
      (await tables.plans.sequelize?.query(`PRAGMA ${name}`, { type: QueryTypes.SELECT }))?.[0];
    expect(await pragma(server.store, 'journal_mode')).toEqual({ journal_mode: 'wal' });
    expect(await server.store.write((tables) => pragma(tables, 'synchronous'))).toEqual({ synchronous: 2 });
  });

  test('a change that fails half-way leaves nothing behind', async () => {
    await create('p');
    const half = server.store.write(async (tables) => {
      await tables.plans.update({ title: 'Half' }, { where: { id: 'p' } });
      throw new Error('then something broke');
    });
    await expect(half).rejects.toThrow('then something broke');
    expect((await server.store.plans.findByPk('p'))?.title).toBe('Evening');
    await save('p', 1, 'Works again').expect(200);
  });

  test('locked by another program: a clear message, nothing stored, and it works again afterwards', async () => {
    await create('p');
    const other = new sqlite3.Database(server.file);
    const run = (sql: string) =>
      new Promise<void>((done, fail) => other.exec(sql, (error) => (error ? fail(error) : done())));
    await run('BEGIN EXCLUSIVE');
    const refused = await save('p', 1, 'While locked');
    expect(refused.status).toBe(503);
    expect(refused.body).toMatchObject({ title: 'Database busy', detail: expect.stringContaining('send it again') });
    await run('ROLLBACK');
    await new Promise<void>((done) => other.close(() => done()));
    await save('p', 1, 'Afterwards').expect(200);
  }, 30_000);
});
