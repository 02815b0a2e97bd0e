import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { newCourse, type Course } from '#core/course';
import { copyOf, positionDocument } from '#core/catalogue';
import { emptyPlan, holdFrom } from '#core/plan';
import { CourseSessionsResponse } from '#api';
import { builtInLibrary } from '#library';
import { loadDemo } from './demo';
import { testServer } from '../tests/support/test-server';

const server = testServer();
const { api } = server;
const evenings: Course = newCourse('Longer evenings', emptyPlan('Evening'), null, 6);
const create = (id: string, document: unknown) => api().post('/api/v1/courses').send({ id, document });
const save = (revision: number, document: unknown) => api().put('/api/v1/courses/c1').send({ revision, document });
const refusals = async (change: object) =>
  (await create('c1', { ...evenings, ...change }).expect(422)).body.errors.map(
    ({ field, reason }: { field: string; reason: string }) => `${field}: ${reason}`,
  );

describe('courses', () => {
  test('are made, listed by title, saved with a revision, deleted and taken back', async () => {
    await create('c2', newCourse('Before sleep', emptyPlan('Night'), null, 4)).expect(201);
    await create('c1', evenings).expect(201);
    const titles = async () =>
      (await api().get('/api/v1/courses').expect(200)).body.items.map(
        (one: { document: Course }) => one.document.title,
      );
    expect(await titles()).toEqual(['Before sleep', 'Longer evenings']);
    expect((await save(1, { ...evenings, weeks: 7 }).expect(200)).body).toMatchObject({ id: 'c1', revision: 2 });
    await save(1, { ...evenings, note: 'mine' }).expect(409);
    expect((await api().get('/api/v1/courses/c1')).body.document).toEqual({ ...evenings, weeks: 7 });
    await api().delete('/api/v1/courses/c1').expect(204);
    expect(await titles()).toEqual(['Before sleep']);
    expect((await api().get('/api/v1/bin')).body.items).toMatchObject([{ kind: 'course', title: 'Longer evenings' }]);
    await api().post('/api/v1/bin/course/c1/restore').expect(204);
    expect(await titles()).toEqual(['Before sleep', 'Longer evenings']);
  });

  test('too many weeks, two classes at one hour, a title of blanks are refused at their fields', async () => {
    expect(await refusals({ weeks: 60 })).toEqual(['document.weeks: A course has at most 52 weeks.']);
    expect(await refusals({ title: '  ' })).toEqual(['document.title: A title is needed.']);
    const at = ['2026-11-07T10:00', '2026-11-07T10:00'];
    expect(await refusals({ dates: { kind: 'given', at } })).toEqual([
      'document.dates.at.1: Two classes begin on 2026-11-07 at 10:00.',
    ]);
    expect((await api().get('/api/v1/courses')).body.items).toEqual([]);
  });

  test('an entry that a course stands on outlives the bin', async () => {
    const own = copyOf(positionDocument(builtInLibrary.position('sphinx')!), 'own-sphinx');
    await api().post('/api/v1/entries').send({ document: own }).expect(201);
    const step = { ...holdFrom(builtInLibrary.position('sphinx')!, 'yin', 'a'), position: 'own-sphinx' };
    await create('c1', { ...evenings, base: { planId: null, plan: { ...emptyPlan('Evening'), steps: [step] } } });
    await api().delete('/api/v1/entries/own-sphinx').expect(204);
    await server.days(40);
    await api().get('/api/v1/entries/own-sphinx').expect(200);
  });

  test('the sessions it counts are those of its group and of its weeks, in order, with the plans of the weeks', async () => {
    await loadDemo(server.store, '2026-11-25');
    const { sessions, unreadable } = CourseSessionsResponse.parse(
      (await api().get('/api/v1/courses/demo-longer-evenings/sessions').expect(200)).body,
    );
    expect(unreadable).toBe(0);
    const ofWeeks = sessions.filter(({ week }) => week !== null);
    expect(ofWeeks.map(({ week, came }) => [week, came])).toEqual([
      [1, 12],
      [2, 11],
      [3, 10],
    ]);
    expect(ofWeeks.map(({ plan }) => plan?.title)).toEqual([1, 2, 3].map((week) => `Longer evenings, week ${week}`));
    for (const { easyBreaths } of ofWeeks)
      expect(easyBreaths).toMatchObject([{ ratio: { in: 1, holdFull: 0, out: 1, holdEmpty: 0 } }]);
    // The six evenings of the plan the course began with are the group's as well, and no week of it.
    expect(sessions.filter(({ planId }) => planId === 'demo-nurses')).toHaveLength(6);
    expect(sessions.every(({ week, plan }) => (week === null) === (plan === null))).toBe(true);
    expect(sessions.map(({ beganAtMs }) => beganAtMs)).toEqual(
      sessions.map(({ beganAtMs }) => beganAtMs).sort((a, b) => a - b),
    );
    await api().get('/api/v1/courses/none/sessions').expect(404);
  });

  test('one that has been in the bin for long is gone for good', async () => {
    await create('c1', evenings).expect(201);
    await api().delete('/api/v1/courses/c1').expect(204);
    await server.days(40);
    expect((await api().get('/api/v1/bin')).body.items).toEqual([]);
  });
});

test('whatever is sent, it is never a fault of the server', async () => {
  await fc.assert(
    fc.asyncProperty(fc.jsonValue(), async (any) => {
      expect([201, 409, 422]).toContain((await create('c9', any)).status);
    }),
    { numRuns: 40 },
  );
});
