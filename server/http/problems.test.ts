import { expect, test } from '@jest/globals';
import express from 'express';
import request from 'supertest';
import { z } from 'zod';
import { accept, answerProblems, HttpProblem, notFound, unknownRoute, unprocessableDocument } from './problems';

const logged: unknown[] = [];
/** What is answered where this is thrown. */
async function answerTo(error: unknown) {
  logged.length = 0;
  const app = express();
  app.get('/', () => {
    throw error;
  });
  app.use(answerProblems((one) => logged.push(one)));
  const { status, type: mime, body } = await request(app).get('/');
  return { status, mime, ...(body as { title: string; detail: string; errors?: unknown[] }) };
}
const wrapped = (code: string) => Object.assign(new Error('inside'), { parent: { code }, original: { code } });

test.each([
  ['SQLITE_BUSY', 503, 'Database busy'],
  ['SQLITE_LOCKED', 503, 'Database busy'],
  ['SQLITE_FULL', 507, 'Disk full'],
  ['SQLITE_IOERR', 507, 'Disk full'],
  ['SQLITE_READONLY', 503, 'Database not writable'],
  ['SQLITE_CANTOPEN', 503, 'Database not writable'],
])(
  '%s, bare or wrapped, is told as what can be done about it, and is nobody’s mistake',
  async (code, status, title) => {
    for (const error of [Object.assign(new Error('inside'), { code }), wrapped(code), { original: wrapped(code) }]) {
      const answer = await answerTo(error);
      expect(answer).toMatchObject({ status, title, mime: 'application/problem+json' });
      expect([answer.detail.includes('inside'), logged]).toEqual([false, []]);
    }
  },
);

test('what nobody foresaw is logged, and told without its inside', async () => {
  for (const error of [
    new Error('secret words'),
    wrapped('SQLITE_CORRUPT'),
    Object.assign(new Error('x'), { parent: null }),
  ]) {
    const answer = await answerTo(error);
    expect(answer).toMatchObject({ status: 500, detail: 'This is our mistake. Nothing was stored.' });
    expect([JSON.stringify(answer).includes('secret'), logged]).toEqual([false, [error]]);
  }
});

test.each([
  [{ status: 413 }, 413, 'A request holds at most 2 MB.'],
  [{ status: 413, limit: 500 * 2 ** 20 }, 413, 'A request holds at most 500 MB.'],
  [{ status: 400, type: 'entity.parse.failed' }, 400, 'The body of the request is not JSON.'],
  [{ status: 400, type: 'request.aborted' }, 400, 'The request could not be read.'],
])('what express throws, %j', async (error, status, detail) => {
  expect(await answerTo(error)).toMatchObject({ status, detail });
});

test('our own problems carry their fields and what belongs to them', async () => {
  expect(await answerTo(notFound('plan'))).toMatchObject({ status: 404, detail: 'There is no plan here.' });
  const fields = unprocessableDocument([
    { field: 'title', reason: 'A title is needed.' },
    { field: '', reason: 'This is no plan.' },
  ]);
  expect((await answerTo(fields)).errors).toEqual([
    { field: 'document.title', reason: 'A title is needed.' },
    { field: 'document', reason: 'This is no plan.' },
  ]);
  const conflict = new HttpProblem(409, 'Changed elsewhere', 'Both are here.', undefined, { current: 1, yours: 2 });
  expect(await answerTo(conflict)).toMatchObject({ status: 409, current: 1, yours: 2 });
});

test('every wrong field of a request is named; an address nobody has is not here', async () => {
  const schema = z.strictObject({ name: z.string('A name is text.'), count: z.int('A count is a whole number.') });
  expect(accept(schema, { name: 'x', count: 2 })).toEqual({ name: 'x', count: 2 });
  try {
    accept(schema, { name: 1, count: 1.5, more: true });
    throw new Error('it was taken');
  } catch (error) {
    const { errors, status } = error as HttpProblem;
    expect([status, errors?.map(({ field }) => field).sort()]).toEqual([422, ['', 'count', 'name']]);
  }
  const app = express()
    .use(unknownRoute)
    .use(answerProblems(() => undefined));
  expect((await request(app).get('/nowhere')).body).toMatchObject({
    status: 404,
    detail: 'There is no such address here.',
  });
});
