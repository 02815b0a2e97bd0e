import { randomBytes, scryptSync } from 'node:crypto';
import { once } from 'node:events';
import type { AddressInfo } from 'node:net';
import { describe, expect, jest, test } from '@jest/globals';
import request from 'supertest';
import { newPerson } from '#core/people';
import { testServer } from '../../tests/support/test-server';
import { createApp } from '../app';
import { openStore } from '../store/store';

const server = testServer();
const PASSPHRASE = 'herring under the quay';
/** A house with a lock, and two who ask: one who has set it, and one who knows nothing. */
async function locked() {
  const app = createApp(server.store, { log: (error) => server.logged.push(error) });
  const teacher = request.agent(app);
  const stranger = request.agent(app);
  await teacher
    .post('/api/v1/people')
    .send({ id: 'mara', document: newPerson('Mara Quill') })
    .expect(201);
  await teacher.put('/api/v1/lock').send({ passphrase: PASSPHRASE, minutes: 10 }).expect(204);
  return { app, teacher, stranger };
}
const MINUTE = 60_000;
/** The limiter asks for the date; everything else goes on in real time. */
const EVERYTHING_BUT_THE_DATE = [
  'hrtime',
  'nextTick',
  'performance',
  'queueMicrotask',
  'setImmediate',
  'clearImmediate',
  'setInterval',
  'clearInterval',
  'setTimeout',
  'clearTimeout',
] as const;

describe('the lock', () => {
  test('without a passphrase everything is open', async () => {
    const api = server.api();
    expect((await api.get('/api/v1/lock').expect(200)).body).toMatchObject({ set: false, open: true, minutes: 10 });
    await server.api().get('/api/v1/people').expect(200);
  });

  test('with one, nothing of people is given out or taken until it is typed', async () => {
    const { stranger, teacher } = await locked();
    for (const at of [
      '/api/v1/people',
      '/api/v1/people/mara',
      '/api/v1/groups',
      '/api/v1/plans/x/decisions',
      '/api/v1/people/mara/file',
      // Who was present, and what was noted.
      '/api/v1/runs',
      '/api/v1/runs/r',
      '/api/v1/runs/r/events',
      '/api/v1/practised',
      '/api/v1/journal',
    ]) {
      const { status, text } = await stranger.get(at);
      expect([at, status, text.includes('Quill')]).toEqual([at, 423, false]);
    }
    await stranger
      .post('/api/v1/people')
      .send({ id: 'b', document: newPerson('B') })
      .expect(423);
    await stranger.delete('/api/v1/people/mara/forever').expect(423);
    await stranger.put('/api/v1/lock').send({ passphrase: 'another passphrase', minutes: 5 }).expect(423);
    await stranger.delete('/api/v1/lock').send({ passphrase: PASSPHRASE }).expect(423);
    // What tells of nobody stays open.
    await stranger.get('/api/v1/plans').expect(200);
    await teacher.get('/api/v1/people').expect(200);
    await stranger.post('/api/v1/lock/open').send({ passphrase: PASSPHRASE }).expect(204);
    await stranger.get('/api/v1/people/mara').expect(200);
  });

  test('the bin names nobody either', async () => {
    const { stranger, teacher } = await locked();
    await teacher.delete('/api/v1/people/mara').expect(204);
    expect((await stranger.get('/api/v1/bin')).body.items).toEqual([]);
    await stranger.post('/api/v1/bin/run/r/restore').expect(423);
    await stranger.post('/api/v1/bin/journal/j/restore').expect(423);
    await stranger.post('/api/v1/bin/person/mara/restore').expect(423);
    expect((await teacher.get('/api/v1/bin')).body.items).toMatchObject([{ title: 'Mara Quill' }]);
  });

  test('after the idle minutes it is locked; as long as somebody is there it is not', async () => {
    const { teacher } = await locked();
    for (let i = 0; i < 4; i++) {
      server.clock += 9 * MINUTE;
      await teacher.get('/api/v1/lock').expect(200);
    }
    await teacher.get('/api/v1/people').expect(200);
    server.clock += 12 * MINUTE;
    await teacher.get('/api/v1/people').expect(423);
    expect((await teacher.get('/api/v1/lock')).body).toEqual({
      set: true,
      open: false,
      minutes: 10,
      key: null,
    });
  });

  test('closing it closes it, and a start of the server does', async () => {
    const { teacher } = await locked();
    await teacher.post('/api/v1/lock/close').expect(204);
    await teacher.get('/api/v1/people').expect(423);
    await teacher.post('/api/v1/lock/open').send({ passphrase: PASSPHRASE }).expect(204);
    await teacher.get('/api/v1/people').expect(200);
    await request(createApp(server.store)).get('/api/v1/people').expect(423);
  });

  test('a wrong one is refused; after five the next waits half a minute, the right one too', async () => {
    const { stranger } = await locked();
    jest.useFakeTimers({ doNotFake: [...EVERYTHING_BUT_THE_DATE] });
    try {
      const open = (passphrase: string) => stranger.post('/api/v1/lock/open').send({ passphrase });
      for (let i = 0; i < 5; i++) {
        expect((await open('not this one').expect(403)).body.detail).toBe('That is not the passphrase.');
      }
      const waits = await open(PASSPHRASE).expect(429);
      expect(waits.body.detail).toMatch(/^Too many wrong passphrases. Wait (30|29) s.$/);
      expect(Number(waits.headers['retry-after'])).toBeGreaterThan(28);
      jest.setSystemTime(Date.now() + 31_000);
      await open(PASSPHRASE).expect(204);
      // What was right does not count towards the next wait.
      for (let i = 0; i < 8; i++) await open(PASSPHRASE).expect(204);
    } finally {
      jest.useRealTimers();
    }
  });

  test('tried three hundred times at once, no more than five are evaluated, and the server goes on answering', async () => {
    const { app } = await locked();
    const listening = app.listen(0, '127.0.0.1');
    await once(listening, 'listening');
    const { port } = listening.address() as AddressInfo;
    const at = `http://127.0.0.1:${port}/api/v1`;
    const headers = { 'content-type': 'application/json' };
    const guess = (i: number) =>
      fetch(`${at}/lock/open`, { method: 'POST', headers, body: JSON.stringify({ passphrase: `guess no ${i}` }) });
    const answers = await Promise.all(Array.from({ length: 300 }, (_, i) => guess(i)));
    const statuses = answers.map(({ status }) => status);
    const evaluated = statuses.filter((status) => status === 403).length;
    expect([evaluated > 0, evaluated <= 5]).toEqual([true, true]);
    expect(statuses.filter((status) => status === 429)).toHaveLength(300 - evaluated);
    for (const { status, headers: answered } of answers) {
      if (status === 429) expect(Number(answered.get('retry-after'))).toBeGreaterThan(0);
    }
    expect((await fetch(`${at}/health`)).status).toBe(200);
    listening.closeAllConnections();
    listening.close();
  });

  test('a passphrase that a second server sets on the same file counts here at once', async () => {
    await server
      .api()
      .post('/api/v1/people')
      .send({ id: 'mara', document: newPerson('Mara Quill') });
    const here = createApp(server.store);
    await request(here).get('/api/v1/people').expect(200);
    const store = await openStore(server.file, () => server.clock);
    const there = request.agent(createApp(store));
    await there.put('/api/v1/lock').send({ passphrase: PASSPHRASE, minutes: 10 }).expect(204);
    await request(here).get('/api/v1/people').expect(423);
    const open = await request(here).post('/api/v1/lock/open').send({ passphrase: PASSPHRASE }).expect(204);
    const cookie = open.headers['set-cookie']![0]!.split(';')[0]!;
    await request(here).get('/api/v1/people').set('cookie', cookie).expect(200);
    // Changed there: who had it open here has to type the new one.
    await there
      .put('/api/v1/lock')
      .send({ passphrase: 'a boat called Wren', minutes: 10, current: PASSPHRASE })
      .expect(204);
    await request(here).get('/api/v1/people').set('cookie', cookie).expect(423);
    await store.close();
  });

  test('a lock as the first version stored it still opens, and is stored as one of today', async () => {
    const salt = randomBytes(16);
    const key = scryptSync('kelp and samphire', salt, 32).toString('base64');
    const document = JSON.stringify({ salt: salt.toString('base64'), key, minutes: 7 });
    const row = { id: 'house', revision: 1, title: '', document, createdMs: 0, updatedMs: 0, deletedMs: null };
    await server.store.write(({ locks }) => locks.create(row));
    const teacher = request.agent(createApp(server.store));
    await teacher.get('/api/v1/people').expect(423);
    await teacher.post('/api/v1/lock/open').send({ passphrase: 'kelp and samphir' }).expect(403);
    await teacher.post('/api/v1/lock/open').send({ passphrase: 'kelp and samphire' }).expect(204);
    expect((await teacher.get('/api/v1/lock')).body).toMatchObject({ set: true, open: true, minutes: 7 });
    const stored = (await server.store.locks.findByPk('house'))!.document;
    expect(JSON.parse(stored)).toMatchObject({ kind: 'locked', cost: { memoryKib: 47_104 } });
    await request(createApp(server.store))
      .post('/api/v1/lock/open')
      .send({ passphrase: 'kelp and samphire' })
      .expect(204);
  });

  test('the key of the house is given to who may see people only, and stays the same whatever the passphrase', async () => {
    const first = (await server.api().get('/api/v1/lock')).body.key as string;
    expect(Buffer.from(first, 'base64')).toHaveLength(32);
    const { teacher, stranger } = await locked();
    expect((await teacher.get('/api/v1/lock')).body.key).toBe(first);
    expect((await stranger.get('/api/v1/lock')).body.key).toBeNull();
    const [row] = await server.store.locks.findAll();
    expect(row!.document).not.toContain(first);
    await teacher
      .put('/api/v1/lock')
      .send({ passphrase: 'a boat called Wren', minutes: 5, current: PASSPHRASE })
      .expect(204);
    expect((await teacher.get('/api/v1/lock')).body.key).toBe(first);
    await teacher.delete('/api/v1/lock').send({ passphrase: 'a boat called Wren' }).expect(204);
    expect((await stranger.get('/api/v1/lock')).body).toMatchObject({ set: false, key: first });
  });

  test('a short passphrase and strange minutes are refused with their fields; nothing is set', async () => {
    const refused = await server.api().put('/api/v1/lock').send({ passphrase: 'only eleven', minutes: 0 }).expect(422);
    expect(refused.body.errors.map(({ field }: { field: string }) => field)).toEqual(['passphrase', 'minutes']);
    await server.api().get('/api/v1/people').expect(200);
  });

  test('who finds an open page cannot change the passphrase without knowing it', async () => {
    const { teacher } = await locked();
    const change = (current?: string) =>
      teacher.put('/api/v1/lock').send({ passphrase: 'now it is my own house', minutes: 5, current });
    await change().expect(403);
    await change('not the passphrase').expect(403);
    await teacher.get('/api/v1/people').expect(200);
    await change(PASSPHRASE).expect(204);
  });

  test('changed and taken off by who has it open; the passphrase itself is nowhere', async () => {
    const { teacher, stranger } = await locked();
    await teacher
      .put('/api/v1/lock')
      .send({ passphrase: 'a boat called Wren', minutes: 5, current: PASSPHRASE })
      .expect(204);
    await stranger.post('/api/v1/lock/open').send({ passphrase: PASSPHRASE }).expect(403);
    const [row] = await server.store.locks.findAll();
    expect(row!.document).not.toContain('boat');
    await teacher.delete('/api/v1/lock').send({ passphrase: 'wrong one, sorry' }).expect(403);
    await teacher.delete('/api/v1/lock').send({ passphrase: 'a boat called Wren' }).expect(204);
    await stranger.get('/api/v1/people').expect(200);
  });
});
