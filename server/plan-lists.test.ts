import { expect, test } from '@jest/globals';
import request from 'supertest';
import { emptyPlan, type Plan } from '#core/plan';
import { ListPlansResponse } from '#api';
import { testServer } from '../tests/support/test-server';
import { createApp } from './app';

const server = testServer();
const app = () => createApp(server.store, { log: (error) => server.logged.push(error) });
const make = async (title: string, patch: Partial<Plan> = {}): Promise<void> => {
  const document = { ...emptyPlan(title), ...patch };
  await request(app()).post('/api/v1/plans').send({ document }).expect(201);
};
const titles = async (query: string): Promise<string[]> => {
  const { body } = await request(app()).get(`/api/v1/plans?${query}`).expect(200);
  return ListPlansResponse.parse(body).items.map(({ summary }) => summary.title);
};

test('plans of a group, of a place and still to come are found among many, however old they are', async () => {
  await make('Potters, long ago', { groupId: 'potters', cupboard: 'hall', startsAt: '2026-12-03T18:30' });
  await make('Choir, later', { groupId: 'choir', startsAt: '2026-12-10T10:00' });
  await make('Choir, past', { groupId: 'choir', cupboard: 'hall', startsAt: '2026-11-01T10:00' });
  for (let i = 0; i < 60; i++) await make(`Filler ${i}`);
  expect(await titles('groupId=potters')).toEqual(['Potters, long ago']);
  expect((await titles('cupboard=hall')).toSorted()).toEqual(['Choir, past', 'Potters, long ago']);
  expect(await titles('startsFrom=2026-11-29T00:00')).toEqual(['Potters, long ago', 'Choir, later']);
  expect(await titles('startsFrom=2026-11-29T00:00&limit=1')).toEqual(['Potters, long ago']);
  expect(await titles('groupId=nobody')).toEqual([]);
  await request(app()).get('/api/v1/plans?startsFrom=soon').expect(422);
});
