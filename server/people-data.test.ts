import { readFileSync, statSync, writeFileSync } from 'node:fs';
import { basename } from 'node:path';
import { describe, expect, test } from '@jest/globals';
import sqlite3 from 'sqlite3';
import { NOTHING_DECIDED, withInstead, withSeen } from '#core/caution';
import { newJournalEntry } from '#core/journal';
import { personCondition, newGroup, newPerson, type Person } from '#core/people';
import { restStep } from '#core/plan';
import { DEMO_PLANS } from '#library/demo';
import { DAY, testServer } from '../tests/support/test-server';
import { backupsOf } from './store/backups';
import { emptyBin } from './routes/bin';

const server = testServer();
const { api } = server;
const SECRET = 'a very tired thyroid';
const mara: Person = {
  ...newPerson('Mara Quill'),
  conditions: [personCondition('a', 'glaucoma'), { ...personCondition('b', 'in-words'), words: SECRET }],
};
const BY = { by: 'Wren', at: '2026-11-25T10:00:00Z' };
const decided = withSeen(
  withInstead(NOTHING_DECIDED, { personId: 'mara', stepId: 's9', step: restStep('s9'), ...BY }),
  { personId: 'tobias', stepId: 's9', rules: ['x'], ...BY },
);

/** Two people in a group, in a class that was led, in the journal. */
async function house(): Promise<void> {
  await api().post('/api/v1/people').send({ id: 'mara', document: mara }).expect(201);
  await api()
    .post('/api/v1/people')
    .send({ id: 'tobias', document: newPerson('Tobias Fenn') })
    .expect(201);
  const group = { ...newGroup('Choir'), members: ['mara', 'tobias'] };
  await api().post('/api/v1/groups').send({ id: 'choir', document: group }).expect(201);
  await api().post('/api/v1/plans').send({ id: 'plan', document: DEMO_PLANS[0]!.plan }).expect(201);
  await api().put('/api/v1/plans/plan/decisions').send({ revision: 0, document: decided }).expect(200);
  await api().post('/api/v1/runs').send({ id: 'run', planId: 'plan', planRevision: 1 }).expect(201);
  const at = server.clock;
  const events = [
    { id: 'event-000', atMs: at, kind: 'started' },
    { id: 'event-001', atMs: at, kind: 'present', people: ['mara', 'tobias'], others: 3 },
    { id: 'event-002', atMs: at + 600_000, kind: 'ended' },
  ];
  await api().post('/api/v1/runs/run/events').send({ events }).expect(200);
  const entry = { ...newJournalEntry('2026-09-20T10:00'), title: 'Stones', people: ['mara', 'tobias'] };
  await api().post('/api/v1/journal').send({ id: 'entry', document: entry }).expect(201);
}
const group = async () => (await api().get('/api/v1/groups/choir').expect(200)).body;

describe('groups', () => {
  test('are made, listed, saved with a revision, put into the bin and taken back', async () => {
    await house();
    expect((await api().get('/api/v1/groups').expect(200)).body.items).toMatchObject([{ id: 'choir', revision: 1 }]);
    const document = { ...newGroup('Choir'), members: ['tobias'] };
    await api().put('/api/v1/groups/choir').send({ revision: 1, document }).expect(200);
    await api()
      .put('/api/v1/groups/choir')
      .send({ revision: 1, document: newGroup('Other') })
      .expect(409);
    await api().delete('/api/v1/groups/choir').expect(204);
    expect((await api().get('/api/v1/bin')).body.items).toMatchObject([{ kind: 'group', title: 'Choir' }]);
    await api().post('/api/v1/bin/group/choir/restore').expect(204);
    expect((await group()).document.members).toEqual(['tobias']);
  });

  test('somebody twice, and five hundred, are told at the field', async () => {
    for (const members of [['a', 'a'], Array.from({ length: 500 }, (_, i) => `p${i}`)]) {
      const answer = await api()
        .post('/api/v1/groups')
        .send({ id: 'g', document: { ...newGroup('G'), members } });
      expect([answer.status, answer.body.errors[0].field]).toEqual([422, 'document.members']);
    }
  });
});

describe('what was decided in a class', () => {
  test('is nothing at first, is kept beside its plan, and told as changed elsewhere where it was', async () => {
    await api().get('/api/v1/plans/plan/decisions').expect(404);
    await house();
    expect((await api().get('/api/v1/plans/plan/decisions').expect(200)).body).toMatchObject({
      revision: 1,
      document: decided,
    });
    const stale = await api().put('/api/v1/plans/plan/decisions').send({ revision: 0, document: NOTHING_DECIDED });
    expect([stale.status, stale.body.current.document]).toEqual([409, decided]);
    const wrong = await api()
      .put('/api/v1/plans/plan/decisions')
      .send({ revision: 1, document: { ...decided, seen: [{}] } });
    expect([wrong.status, wrong.body.errors.length > 0]).toEqual([422, true]);
  });

  test('and no plan, run, revision or list of plans carries anything of it, nor of health', async () => {
    await house();
    const answers = await Promise.all(
      [
        '/api/v1/plans',
        '/api/v1/plans/plan',
        '/api/v1/runs',
        '/api/v1/runs/run',
        '/api/v1/practised?from=0&until=2000000000000',
        '/api/v1/journal',
      ].map((at) => api().get(at).expect(200)),
    );
    for (const { text } of answers) {
      for (const word of [SECRET, 'glaucoma', 'Mara', 'Tobias']) expect(text).not.toContain(word);
    }
    expect(server.logged).toEqual([]);
  });
});

describe('days that have not come yet', () => {
  test('are refused at their fields; tomorrow may be today somewhere', async () => {
    const day = (ms: number) => new Date(ms).toISOString().slice(0, 10);
    const born = (birthDate: string) =>
      api()
        .post('/api/v1/people')
        .send({ id: `p-${birthDate}`, document: { ...mara, birthDate } });
    const refused = await born(day(server.clock + 3 * DAY)).expect(422);
    expect(refused.body.errors).toEqual([
      { field: 'document.birthDate', reason: 'A birth date cannot be in the future.' },
    ]);
    await born(day(server.clock)).expect(201);
  });
});

describe('one person', () => {
  test('as a file: the person, their groups, the classes they came to', async () => {
    await house();
    const file = (await api().get('/api/v1/people/mara/file').expect(200)).body;
    expect(file).toMatchObject({ format: 'zovrin-person-file', person: mara, groups: ['Choir'] });
    expect(file.cameTo.map(({ title }: { title: string }) => title).sort()).toEqual([
      DEMO_PLANS[0]!.plan.title,
      'Stones',
    ]);
    await api().get('/api/v1/people/nobody/file').expect(404);
  });

  test('forgotten for good is nowhere any more, not even in the file of the database; runs keep the number', async () => {
    await house();
    await server.store.backUp();
    const { body } = await api().delete('/api/v1/people/mara/forever').expect(200);
    expect(body).toEqual({ swept: true, backupsLeft: [] });
    await api().delete('/api/v1/people/mara/forever').expect(404);
    await api().get('/api/v1/people/mara').expect(404);
    expect((await group()).document.members).toEqual(['tobias']);
    expect((await group()).revision).toBe(2);
    expect((await api().get('/api/v1/plans/plan/decisions')).body.document.instead).toEqual([]);
    const run = (await api().get('/api/v1/runs/run').expect(200)).body;
    expect(run.events[1]).toMatchObject({ kind: 'present', people: ['tobias'], others: 4 });
    expect((await api().get('/api/v1/journal/entry').expect(200)).body.document.people).toEqual(['tobias']);
    expect((await api().get('/api/v1/bin')).body.items).toEqual([]);
    const [backup] = backupsOf(server.file);
    for (const file of [server.file, `${server.file}-wal`, backup!.path]) {
      const bytes = readFileSync(file).toString('latin1');
      expect([file, bytes.includes(SECRET), bytes.includes('Mara Quill')]).toEqual([file, false, false]);
    }
  });

  test('while another program holds the log, that is said; afterwards nothing is left', async () => {
    await house();
    const reader = new sqlite3.Database(server.file);
    const ask = (sql: string) =>
      new Promise<void>((done, fail) => reader.all(sql, (error) => (error ? fail(error) : done())));
    await ask('BEGIN');
    await ask('SELECT * FROM people');
    expect((await api().delete('/api/v1/people/mara/forever').expect(200)).body.swept).toBe(false);
    const left = (): boolean =>
      [server.file, `${server.file}-wal`].some((file) => readFileSync(file).toString('latin1').includes(SECRET));
    expect(left()).toBe(true);
    await ask('ROLLBACK');
    await new Promise<void>((done) => reader.close(() => done()));
    expect(await server.store.sweep()).toBe(true);
    expect(left()).toBe(false);
  });

  test('a backup in which nobody can be forgotten is named', async () => {
    await house();
    const path = await server.store.backUp();
    writeFileSync(path, 'no database any more');
    const { body } = await api().delete('/api/v1/people/mara/forever').expect(200);
    expect(body).toEqual({ swept: true, backupsLeft: [basename(path)] });
  });

  test('the bin forgets as well, when its time is over', async () => {
    await house();
    await api().delete('/api/v1/people/mara').expect(204);
    await emptyBin(server.store);
    expect((await group()).document.members).toEqual(['mara', 'tobias']);
    await server.days(31);
    expect((await group()).document.members).toEqual(['tobias']);
    await api().post('/api/v1/bin/person/mara/restore').expect(404);
  });

  test('what was decided goes with its plan', async () => {
    await house();
    await api().delete('/api/v1/plans/plan').expect(204);
    await server.days(31);
    expect(await server.store.classPeople.count()).toBe(0);
  });
});

test('the database and what lies beside it is readable by its owner alone', async () => {
  await house();
  for (const beside of ['', '-wal', '-shm']) {
    expect([beside, (statSync(server.file + beside).mode & 0o777).toString(8)]).toEqual([beside, '600']);
  }
});
