import { expect, test } from '@jest/globals';
import { emptyPlan } from '#core/plan';
import { testServer } from '../tests/support/test-server';

const { api } = testServer();
const titles = async (): Promise<string[]> =>
  (await api().get('/api/v1/plans').expect(200)).body.items.map(
    ({ summary }: { summary: { title: string } }) => summary.title,
  );
const isLoaded = async (): Promise<boolean> => (await api().get('/api/v1/sample').expect(200)).body.loaded;

test('the sample house is loaded beside what is there, removed alone, and comes back as it was changed', async () => {
  await api()
    .post('/api/v1/plans')
    .send({ id: 'mine', document: emptyPlan('My own evening') })
    .expect(201);
  expect(await isLoaded()).toBe(false);
  await api().post('/api/v1/sample').expect(204);
  expect(await isLoaded()).toBe(true);
  const all = await titles();
  expect(all.length).toBeGreaterThan(4);
  expect(all).toContain('My own evening');
  expect((await api().get('/api/v1/people')).body.items.length).toBeGreaterThan(10);
  expect((await api().get('/api/v1/runs')).body.items.length).toBeGreaterThan(3);

  // Asked for twice, it is there once.
  await api().post('/api/v1/sample').expect(204);
  expect((await titles()).length).toBe(all.length);

  const { body: nurses } = await api().get('/api/v1/plans/demo-nurses').expect(200);
  const document = { ...nurses.document, title: 'Changed by me' };
  await api().put('/api/v1/plans/demo-nurses').send({ revision: nurses.revision, document }).expect(200);
  await api().delete('/api/v1/sample').expect(204);
  expect(await isLoaded()).toBe(false);
  expect(await titles()).toEqual(['My own evening']);
  for (const path of ['people', 'groups', 'places', 'journal', 'runs'])
    expect((await api().get(`/api/v1/${path}`).expect(200)).body.items).toEqual([]);

  await api().post('/api/v1/sample').expect(204);
  expect(await titles()).toContain('Changed by me');
});

test('where the data lies and which version this is', async () => {
  const { body } = await api().get('/api/v1/about').expect(200);
  expect(body.version).toMatch(/^\d+\.\d+\.\d+/);
  expect(body.database).toMatch(/\.sqlite$|memory/);
});
