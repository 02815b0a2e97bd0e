import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { request as send } from 'node:http';
import { once } from 'node:events';
import type express from 'express';
import fc from 'fast-check';
import request from 'supertest';
import { holdFrom, Plan, talkStep } from '#core/plan';
import { RunEvent, type RunEventKind } from '#core/run';
import { compileTimeline } from '#core/timeline';
import { AUDIENCE_EVENTS, AudienceNow, AudiencePlan, planForAudience } from '#api';
import { builtInLibrary } from '#library';
import { newPerson } from '#core/people';
import { plan as anyPlan } from '../../tests/support/arbitraries';
import { noLibrary, planOf } from '../../tests/support/examples';
import { testServer } from '../../tests/support/test-server';
import { createApp } from '../app';
import { createLock } from '../lock/lock';
import { createAudienceServer, type AudienceServer } from './audience-server';

const server = testServer();
const T0 = 1_790_000_000_000;
const SECRET = 'SECRET';

/** A plan that says something private wherever it can say anything. */
const telling: Plan = Plan.parse({
  ...planOf(
    {
      ...holdFrom(builtInLibrary.position('butterfly-fold')!, 'yin', 'hold'),
      note: `${SECRET} her left hip`,
      prompts: [{ id: 'prompt', at: { kind: 'after', seconds: 5 }, text: `${SECRET} soften`, on: 'every' }],
      waysIn: [`${SECRET} in`],
      waysOut: [`${SECRET} out`],
      leftMeans: `${SECRET} her left`,
      loosen: { when: 'afterBoth', seconds: 20, text: `${SECRET} shake` },
      otherSetUp: { people: 1, setUp: [] },
    },
    { ...talkStep('talk', 'Arrive', 60), note: `${SECRET} ask Mara about her knee` },
  ),
  title: `${SECRET} title`,
  intent: `${SECRET} intent`,
  group: `${SECRET} group`,
  groupId: `${SECRET}-group-id`,
  place: `${SECRET} place`,
  cupboard: `${SECRET}-place-id`,
});

/** An event of every kind there is, with something private in every text it has. */
const EVENTS: Record<RunEventKind, object> = {
  started: {},
  paused: {},
  resumed: {},
  jumped: { phase: 1 },
  stretched: { byMs: 1000 },
  rounds: { by: 1 },
  cut: {},
  matched: {},
  opened: { open: false },
  swapped: { steps: [0, 1] },
  restAdded: { ms: 5000 },
  refitted: { lengths: [[3, 4000]] },
  measured: { from: 'captions', lengths: [[3, 4000]] },
  missed: { fromMs: T0 },
  undone: { event: 'event-restAdded' },
  prompted: { text: `${SECRET} prompt` },
  noted: { text: `${SECRET} note` },
  rated: { stepId: 'hold', side: 'left', strength: 9 },
  led: { by: `${SECRET} window` },
  clockSet: { byMs: 10 },
  present: { people: [`${SECRET}-mara`], others: 3 },
  reviewed: {
    review: {
      steps: [{ stepId: 'hold', tighter: 'left', props: 'tooLow' }],
      change: `${SECRET} change`,
      note: `${SECRET} review`,
    },
  },
  corrected: { lengths: [{ stepId: 'hold', side: 'left', ms: 1 }], endedAtMs: null, why: `${SECRET} why` },
  ended: {},
};
const event = (kind: RunEventKind) => ({ id: `event-${kind}`, atMs: T0, kind, ...EVENTS[kind] });

let audience: AudienceServer;
let app: express.Express;
let planId: string;
let code: string;
let base: string;

async function open(lingerMs?: number): Promise<void> {
  const lock = createLock(server.store);
  audience = createAudienceServer(server.store, {
    port: 0,
    reachedAt: () => ['127.0.0.1'],
    log: (error) => server.logged.push(error),
    guard: lock.guard,
    ...(lingerMs === undefined ? {} : { lingerMs }),
  });
  app = createApp(server.store, { log: (error) => server.logged.push(error), audience, lock });
  planId = (await request(app).post('/api/v1/plans').send({ document: telling }).expect(201)).body.id;
  await openIt();
}
async function openIt(): Promise<void> {
  const { body } = await request(app).put('/api/v1/audience').send({ planId }).expect(200);
  const address = new URL(body.addresses[0]);
  [code, base] = [address.hash.slice(1), address.origin];
}
const startRun = (id = 'run-1') => request(app).post('/api/v1/runs').send({ id, planId, planRevision: 1 }).expect(201);
const happen = (events: object[], id = 'run-1') =>
  request(app).post(`/api/v1/runs/${id}/events`).send({ events }).expect(200);
const now = (query = '', by = code, plan = planId) =>
  fetch(`${base}/api/v1/audience/${plan}/now${query}`, { headers: { authorization: `Bearer ${by}` } });
const seen = async (query = '') => AudienceNow.parse(await (await now(query)).json());

beforeEach(() => open());
afterEach(() => audience.end());

describe('what a phone is given', () => {
  test('of every event there is, only those that move the clock; nothing anybody wrote, and nobody’s id', async () => {
    await startRun();
    const kinds = Object.keys(EVENTS) as RunEventKind[];
    // All of them are real events, and none is forgotten here.
    expect(RunEvent.options.map((option) => option.shape.kind.value).sort()).toEqual([...kinds].sort());
    const events = kinds.filter((kind) => kind !== 'ended').map(event);
    for (const one of events) RunEvent.parse(one);
    await happen(events);
    const answer = await now();
    const text = await answer.text();
    expect(text).not.toContain(SECRET);
    expect(text).not.toMatch(/strength|present|review|rated|noted|intent|group|people|note"/);
    const { session } = AudienceNow.parse(JSON.parse(text));
    expect(session?.events.map(({ kind }) => kind)).toEqual(
      // The rest that was added has been undone.
      kinds.filter((kind) => AUDIENCE_EVENTS.has(kind) && kind !== 'ended' && kind !== 'restAdded'),
    );
    expect(session?.plan.steps.map(({ name }) => name)).toEqual(['Bound angle fold', 'Arrive']);
    expect(answer.headers.get('cache-control')).toBe('no-store');
  });

  test('is enough to show any session as the teacher sees it', () => {
    fc.assert(
      fc.property(anyPlan, (plan) => {
        const given = planForAudience(AudiencePlan.parse(JSON.parse(JSON.stringify(AudiencePlan.parse(plan)))));
        const shown = (one: Plan) =>
          compileTimeline(one, noLibrary).phases.map(({ kind, startMs, endMs, side }) => [kind, startMs, endMs, side]);
        expect(shown(given)).toEqual(shown(plan));
      }),
    );
  });

  test('before the session nothing; while it is the same, only the clock', async () => {
    expect(await seen()).toMatchObject({ nowMs: server.clock, session: null });
    await startRun();
    await happen([event('started')]);
    const first = await seen();
    expect(first.session?.events).toHaveLength(1);
    server.clock += 1000;
    expect(await seen(`?tag=${first.tag}`)).toEqual({ nowMs: server.clock, tag: first.tag });
    await happen([event('paused')]);
    expect((await seen(`?tag=${first.tag}`)).session?.events).toHaveLength(2);
  });

  test('is made once for all phones, until something is stored', async () => {
    await startRun();
    await happen([event('started')]);
    await seen();
    const findOne = jest.spyOn(server.store.runs, 'findOne');
    for (let i = 0; i < 30; i++) await seen();
    expect(findOne).toHaveBeenCalledTimes(0);
    await happen([event('paused')]);
    await seen();
    expect(findOne.mock.calls.length).toBeGreaterThan(0);
  });
});

describe('who may view', () => {
  test('whoever has the code of 128 bits, for this plan; nothing else is answered, and nothing can be changed', async () => {
    expect(Buffer.from(code, 'base64url')).toHaveLength(16);
    expect((await now()).status).toBe(200);
    expect((await now('', 'guess')).status).toBe(404);
    expect((await now('', '')).status).toBe(404);
    expect((await now('', code, 'other')).status).toBe(404);
    expect((await fetch(`${base}/api/v1/audience/${planId}/now?code=${code}`)).status).toBe(404);
    const headers = { authorization: `Bearer ${code}` };
    for (const path of [
      '/api/v1/runs',
      '/api/v1/people',
      '/api/v1/plans',
      `/api/v1/plans/${planId}`,
      '/api/v1/lock',
      '/api/v1/audience',
      '/',
    ])
      expect([path, (await fetch(base + path, { headers })).status]).toEqual([path, 404]);
    for (const method of ['POST', 'PUT', 'DELETE'])
      expect((await fetch(`${base}/api/v1/audience`, { method, headers })).status).toBe(404);
  });

  test('under a name that is not this machine’s nothing is answered', async () => {
    const { port } = new URL(base);
    const findOne = send({
      port,
      path: `/api/v1/audience/${planId}/now`,
      headers: { host: `tide-tables.example:${port}`, authorization: `Bearer ${code}` },
      setHost: false,
    });
    findOne.end();
    const [answer] = await once(findOne, 'response');
    expect(answer.statusCode).toBe(421);
    answer.resume();
  });

  test('codes cannot be tried for long: after twenty wrong ones a minute is to be waited', async () => {
    for (let i = 0; i < 20; i++) expect((await now('', `guess ${i}`)).status).toBe(404);
    const refused = await now('', 'guess 21');
    expect(refused.status).toBe(429);
    expect(Number(refused.headers.get('retry-after'))).toBeGreaterThan(0);
    expect((await now()).status).toBe(429);
  });

  test('while people are locked it can neither be opened nor asked for its code', async () => {
    await request(app)
      .post('/api/v1/people')
      .send({ id: 'mara', document: newPerson('Mara') });
    await request(app).put('/api/v1/lock').send({ passphrase: 'herring under the quay', minutes: 10 }).expect(204);
    await request(app).get('/api/v1/audience').expect(423);
    await request(app).put('/api/v1/audience').send({ planId }).expect(423);
    await request(app).delete('/api/v1/audience').expect(204);
    await expect(now()).rejects.toThrow();
  });

  test('a plan that is not there opens nothing; another plan has another code', async () => {
    await request(app).put('/api/v1/audience').send({ planId: 'nowhere' }).expect(404);
    const before = code;
    const other = (await request(app).post('/api/v1/plans').send({ document: telling }).expect(201)).body.id;
    expect((await request(app).put('/api/v1/audience').send({ planId }).expect(200)).body.addresses[0]).toContain(
      before,
    );
    [planId] = [other];
    await openIt();
    expect(code).not.toBe(before);
    expect((await now('', before)).status).toBe(404);
  });
});

describe('it closes by itself', () => {
  const settled = async (status: number): Promise<void> => {
    for (let tries = 0; tries < 150; tries++) {
      if ((await now()).status === status) return;
      await new Promise((done) => setImmediate(done));
    }
    throw new Error(`it never answered ${status}`);
  };

  test('when the session ends: phones are told that it is over, and the code is worth nothing', async () => {
    await startRun();
    await happen([event('started')]);
    await happen([event('ended')]);
    await settled(410);
    expect((await request(app).get('/api/v1/audience')).body).toMatchObject({ open: false, addresses: [] });
  });

  test('when the plan is deleted', async () => {
    await request(app).delete(`/api/v1/plans/${planId}`).expect(204);
    await settled(410);
  });

  test('the end of an earlier session is not that of the one to come', async () => {
    await startRun();
    await happen([event('started'), event('ended')]);
    await settled(410);
    await openIt();
    expect(await seen()).toMatchObject({ session: null });
    await startRun('run-2');
    await happen([{ ...event('started'), id: 'second-start' }], 'run-2');
    expect((await seen()).session?.runId).toBe('run-2');
    await happen([{ ...event('ended'), id: 'second-end' }], 'run-2');
    await settled(410);
  });

  test('closing it for good waits for what still reads the store', async () => {
    await startRun();
    const done: string[] = [];
    let release = (): void => undefined;
    const held = new Promise<void>((resolve) => (release = resolve));
    const { version } = server.store;
    const reading = new Promise<void>((started) => {
      server.store.version = async () => {
        started();
        await held;
        done.push('read');
        return version();
      };
    });
    const answer = now().catch(() => undefined);
    await reading;
    const ended = audience.end().then(() => done.push('ended'));
    // The phone is gone, and its answer is still being made.
    await answer;
    release();
    await ended;
    expect(done).toEqual(['read', 'ended']);
  });

  test('a minute after the end the port itself is closed', async () => {
    await audience.end();
    await open(1);
    await startRun();
    await happen([event('started'), event('ended')]);
    for (let tries = 0; tries < 500; tries++) {
      const gone = await now().then(
        () => false,
        () => true,
      );
      if (gone) return;
      await new Promise((done) => setImmediate(done));
    }
    throw new Error('the port stayed open');
  });
});

afterEach(() => expect(server.logged).toEqual([]));
