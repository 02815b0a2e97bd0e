import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { newPlace, type Place } from '#core/cupboard';
import { testServer } from '../tests/support/test-server';

const server = testServer();
const { api } = server;
const loft: Place = { ...newPlace('The loft', 'hall'), stock: { flatBolster: 10, blanket: 24 }, wallCm: 400 };
const create = (id: string, document: unknown) => api().post('/api/v1/places').send({ id, document });
const save = (revision: number, document: unknown) => api().put('/api/v1/places/p1').send({ revision, document });
const refusals = async (change: object) =>
  (await create('p1', { ...loft, ...change }).expect(422)).body.errors.map(
    ({ field, reason }: { field: string; reason: string }) => `${field}: ${reason}`,
  );

describe('places', () => {
  test('are made, listed by name, saved with a revision, deleted and taken back with their cupboard', async () => {
    await create('p2', newPlace('The shed', 'home')).expect(201);
    await create('p1', loft).expect(201);
    const names = async () =>
      (await api().get('/api/v1/places').expect(200)).body.items.map((one: { document: Place }) => one.document.name);
    expect(await names()).toEqual(['The loft', 'The shed']);
    expect((await save(1, { ...loft, wallCm: 0 }).expect(200)).body).toMatchObject({ id: 'p1', revision: 2 });
    expect((await api().get('/api/v1/places/p1')).body.document).toMatchObject({
      wallCm: 0,
      stock: { flatBolster: 10, blanket: 24 },
    });
    await save(1, { ...loft, note: 'mine' }).expect(409);
    await api().delete('/api/v1/places/p1').expect(204);
    expect(await names()).toEqual(['The shed']);
    expect((await api().get('/api/v1/bin')).body.items).toMatchObject([{ kind: 'place', title: 'The loft' }]);
    await api().post('/api/v1/bin/place/p1/restore').expect(204);
    expect((await api().get('/api/v1/places/p1').expect(200)).body.document).toEqual({ ...loft, wallCm: 0 });
  });

  test('a stock below none, a size of nothing, two kinds of one name are refused at their fields', async () => {
    expect(await refusals({ stock: { block: -1 } })).toEqual([
      'document.stock.block: There cannot be fewer than no pieces.',
    ]);
    expect(await refusals({ mats: { ...loft.mats, widthCm: 0 } })).toEqual([
      'document.mats.widthCm: A mat’s width is at least 40 cm.',
    ]);
    const size = { shape: 'box', widthCm: 40, depthCm: 30, heightCm: 20, giveCm: 0 };
    const bench = (heightCm: number) => ({
      kind: { label: 'bench', faces: [{ label: 'upright', size: { ...size, heightCm } }] },
      count: 2,
    });
    expect((await refusals({ own: [bench(0)] })).join()).toContain('document.own.0.kind.faces.0.size.heightCm: ');
    expect(await refusals({ own: [bench(20), bench(25)] })).toEqual([
      'document.own.1.kind.label: There is a “bench” here already.',
    ]);
    expect((await api().get('/api/v1/places')).body.items).toEqual([]);
  });
});

test('whatever is sent, it is never a fault of the server', async () => {
  await fc.assert(
    fc.asyncProperty(fc.jsonValue(), async (any) => {
      expect([201, 409, 422]).toContain((await create('p9', any)).status);
    }),
    { numRuns: 40 },
  );
  expect(server.logged).toEqual([]);
});
