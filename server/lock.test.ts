import { describe, expect, test } from '@jest/globals';
import request from 'supertest';
import { newPerson } from '#core/people';
import { testServer } from '../tests/support/test-server';
import { createApp } from './app';

const server = testServer();
const PASSPHRASE = 'herring under the quay';
/** A house with a lock, and two who ask: one who has set it, and one who knows nothing. */
async function locked() {
  const app = createApp(server.store, { log: (error) => server.logged.push(error) });
  const teacher = request.agent(app);
  const stranger = request.agent(app);
  await teacher
    .post('/api/people')
    .send({ id: 'mara', document: newPerson('Mara Quill') })
    .expect(201);
  await teacher.put('/api/lock').send({ passphrase: PASSPHRASE, minutes: 10 }).expect(204);
  return { app, teacher, stranger };
}
const MINUTE = 60_000;

describe('the lock', () => {
  test('without a passphrase everything is open', async () => {
    const api = server.api();
    expect((await api.get('/api/lock').expect(200)).body).toEqual({ set: false, open: true, minutes: 10 });
    await server.api().get('/api/people').expect(200);
  });

  test('with one, nothing of people is given out or taken until it is typed', async () => {
    const { stranger, teacher } = await locked();
    for (const at of [
      '/api/people',
      '/api/people/mara',
      '/api/people/groups',
      '/api/people/classes/x',
      '/api/people/mara/file',
    ]) {
      const { status, text } = await stranger.get(at);
      expect([at, status, text.includes('Quill')]).toEqual([at, 423, false]);
    }
    await stranger
      .post('/api/people')
      .send({ id: 'b', document: newPerson('B') })
      .expect(423);
    await stranger.delete('/api/people/mara/forever').expect(423);
    await stranger.put('/api/lock').send({ passphrase: 'another passphrase', minutes: 5 }).expect(423);
    await stranger.delete('/api/lock').send({ passphrase: PASSPHRASE }).expect(423);
    // What tells of nobody stays open.
    await stranger.get('/api/plans').expect(200);
    await teacher.get('/api/people').expect(200);
    await stranger.post('/api/lock/open').send({ passphrase: PASSPHRASE }).expect(204);
    await stranger.get('/api/people/mara').expect(200);
  });

  test('the bin names nobody either', async () => {
    const { stranger, teacher } = await locked();
    await teacher.delete('/api/people/mara').expect(204);
    expect((await stranger.get('/api/bin')).body.items).toEqual([]);
    await stranger.post('/api/bin/person/mara/restore').expect(423);
    expect((await teacher.get('/api/bin')).body.items).toMatchObject([{ title: 'Mara Quill' }]);
  });

  test('after the idle minutes it is locked; as long as somebody is there it is not', async () => {
    const { teacher } = await locked();
    for (let i = 0; i < 4; i++) {
      server.clock += 9 * MINUTE;
      await teacher.get('/api/lock').expect(200);
    }
    await teacher.get('/api/people').expect(200);
    server.clock += 12 * MINUTE;
    await teacher.get('/api/people').expect(423);
    expect((await teacher.get('/api/lock')).body).toEqual({ set: true, open: false, minutes: 10 });
  });

  test('closing it closes it, and a start of the server does', async () => {
    const { teacher } = await locked();
    await teacher.post('/api/lock/close').expect(204);
    await teacher.get('/api/people').expect(423);
    await teacher.post('/api/lock/open').send({ passphrase: PASSPHRASE }).expect(204);
    await teacher.get('/api/people').expect(200);
    await request(createApp(server.store)).get('/api/people').expect(423);
  });

  test('a wrong one is told at the field; after five the next waits half a minute, the right one too', async () => {
    const { stranger } = await locked();
    const open = (passphrase: string) => stranger.post('/api/lock/open').send({ passphrase });
    for (let i = 0; i < 5; i++) {
      expect((await open('not this one').expect(422)).body.errors).toEqual([
        { field: 'passphrase', reason: 'That is not the passphrase.' },
      ]);
    }
    expect((await open(PASSPHRASE).expect(422)).body.errors[0].reason).toBe('Too many wrong ones. Wait 30 s.');
    server.clock += 31_000;
    await open(PASSPHRASE).expect(204);
  });

  test('a short passphrase and strange minutes are refused with their fields; nothing is set', async () => {
    const refused = await server.api().put('/api/lock').send({ passphrase: 'short', minutes: 0 }).expect(422);
    expect(refused.body.errors.map(({ field }: { field: string }) => field)).toEqual(['passphrase', 'minutes']);
    await server.api().get('/api/people').expect(200);
  });

  test('changed and taken off by who has it open; the passphrase itself is nowhere', async () => {
    const { teacher, stranger } = await locked();
    await teacher.put('/api/lock').send({ passphrase: 'a boat called Wren', minutes: 5 }).expect(204);
    await stranger.post('/api/lock/open').send({ passphrase: PASSPHRASE }).expect(422);
    const [row] = await server.store.locks.findAll();
    expect(row!.document).not.toContain('boat');
    await teacher.delete('/api/lock').send({ passphrase: 'wrong one, sorry' }).expect(422);
    await teacher.delete('/api/lock').send({ passphrase: 'a boat called Wren' }).expect(204);
    await stranger.get('/api/people').expect(200);
  });
});
