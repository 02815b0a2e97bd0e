import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { DEFAULT_SETTINGS } from '#core/settings';
import { newPerson, type Person } from '#core/people';
import { testServer } from '../tests/support/test-server';

const server = testServer();
const { api } = server;
const measure = {
  id: 'm1',
  measuredAt: '2026-11-20T18:30',
  in: [4, 4.1, 3.9, 4, 4.2],
  out: [5, 5.2, 5.1, 4.9, 5],
  holdFull: [],
  holdEmpty: [],
};
const mara: Person = { ...newPerson('Mara Quill'), breaths: [measure] };
const create = (id: string, document: unknown) => api().post('/api/v1/people').send({ id, document });
const save = (revision: number, document: unknown) => api().put('/api/v1/people/p1').send({ revision, document });

describe('people', () => {
  test('are made, listed by name, saved with a revision, deleted and taken back', async () => {
    await create('p2', newPerson('Tobias Fenn')).expect(201);
    await create('p1', mara).expect(201);
    const names = async () =>
      (await api().get('/api/v1/people').expect(200)).body.items.map((one: { document: Person }) => one.document.name);
    expect(await names()).toEqual(['Mara Quill', 'Tobias Fenn']);
    expect((await save(1, { ...mara, note: 'sings' }).expect(200)).body).toMatchObject({ revision: 2 });
    expect((await api().get('/api/v1/people/p1').expect(200)).body.document.breaths).toEqual([measure]);
    await api().delete('/api/v1/people/p1').expect(204);
    expect(await names()).toEqual(['Tobias Fenn']);
    await api().get('/api/v1/people/p1').expect(404);
    expect((await api().get('/api/v1/bin')).body.items).toMatchObject([{ kind: 'person', title: 'Mara Quill' }]);
    await api().post('/api/v1/bin/person/p1/restore').expect(204);
    expect(await names()).toContain('Mara Quill');
  });

  test('the same save sent again is the same; a stale one is answered with both', async () => {
    await create('p1', mara).expect(201);
    expect((await create('p1', mara).expect(201)).body.revision).toBe(1);
    await create('p1', newPerson('Another')).expect(409);
    await save(1, { ...mara, note: 'a' }).expect(200);
    expect((await save(1, { ...mara, note: 'a' }).expect(200)).body.revision).toBe(2);
    expect((await save(1, { ...mara, note: 'b' }).expect(409)).body).toMatchObject({
      current: { revision: 2, document: { note: 'a' } },
      yours: { note: 'b' },
    });
  });

  test('what does not fit is refused with the field and the reason, and nothing is half-written', async () => {
    const wrong = { ...mara, breaths: [{ ...measure, in: [4, 4] }] };
    expect((await create('p1', wrong).expect(422)).body.errors).toContainEqual({
      field: 'document.breaths.0.in',
      reason: 'At least 5 breaths are measured.',
    });
    await create('p1', { ...mara, name: ' ' }).expect(422);
    await create('no way', mara).expect(422);
    expect((await api().get('/api/v1/people')).body.items).toEqual([]);
  });
});

describe('house rules', () => {
  const put = (revision: number, document: unknown) => api().put('/api/v1/settings').send({ revision, document });
  const patient = { ...DEFAULT_SETTINGS, breath: { ...DEFAULT_SETTINGS.breath, growth: { share: 0.05, counts: 1 } } };

  test('are the usual ones until they are changed, and are kept', async () => {
    expect((await api().get('/api/v1/settings').expect(200)).body).toMatchObject({
      revision: 0,
      document: DEFAULT_SETTINGS,
    });
    expect((await put(0, patient).expect(200)).body.revision).toBe(1);
    expect((await put(0, patient).expect(200)).body.revision).toBe(1);
    expect((await put(0, DEFAULT_SETTINGS).expect(409)).body).toMatchObject({ current: { document: patient } });
    await put(1, DEFAULT_SETTINGS).expect(200);
    expect((await api().get('/api/v1/settings')).body).toMatchObject({ revision: 2, document: DEFAULT_SETTINGS });
  });

  test('an empty ladder, a share above one, a gate below none are refused at their fields', async () => {
    const { breath } = DEFAULT_SETTINGS;
    const fields = async (change: object) =>
      (await put(0, { ...DEFAULT_SETTINGS, breath: { ...breath, ...change } }).expect(422)).body.errors.map(
        ({ field }: { field: string }) => field,
      );
    expect(await fields({ ladder: [] })).toEqual(['document.breath.ladder']);
    expect(await fields({ growth: { share: 2, counts: 1 } })).toEqual(['document.breath.growth.share']);
    expect(await fields({ ladder: [{ ...breath.ladder[0], gate: -1 }] })).toEqual(['document.breath.ladder.0.gate']);
  });
});

test('whatever is sent, it is never a fault of the server', async () => {
  await fc.assert(
    fc.asyncProperty(fc.jsonValue(), async (any) => {
      for (const answer of [
        await create('p9', any),
        await api().put('/api/v1/settings').send({ revision: 0, document: any }),
      ])
        expect([200, 201, 409, 422]).toContain(answer.status);
    }),
    { numRuns: 40 },
  );
  expect(server.logged).toEqual([]);
});
