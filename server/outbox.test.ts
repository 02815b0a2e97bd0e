import { afterEach, describe, expect, test } from '@jest/globals';
import { existsSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import express from 'express';
import fc from 'fast-check';
import request from 'supertest';
import { Letter, OutboxResponse, type WriteLetterRequest } from '#api';
import { readEmail } from '../tests/support/email';
import { fakeSmtp } from '../tests/support/fake-smtp';
import { testServer } from '../tests/support/test-server';
import { answerProblems } from './http/problems';
import { emailOf, type MailSettings } from './outbox/mail';
import { outboxFolder } from './outbox/outbox';
import { outboxRoutes } from './routes/outbox';

const server = testServer();
const FROM = 'Wrackline Hall <hall@wrackline.example>';
const LETTER: WriteLetterRequest = {
  to: ['ines@example.org'],
  subject: 'Für Dienstag – twelve minutes',
  text: 'Hello Ines,\n.\nFrom Tuesday on, twelve minutes are enough.\n',
  attachments: [
    { name: 'Hips and hands.html', type: 'text/html', text: '<!doctype html><p>Über die Hüfte</p>' },
    { name: 'class.ics', type: 'text/calendar', text: 'BEGIN:VCALENDAR\r\nEND:VCALENDAR\r\n' },
  ],
};
let open: Awaited<ReturnType<typeof fakeSmtp>> | undefined;
afterEach(async () => {
  await open?.close();
  open = undefined;
});
async function smtp(options?: Parameters<typeof fakeSmtp>[0]) {
  open = await fakeSmtp(options);
  return open;
}
/** The outbox with these mail settings, as the API has it. */
function api({ server: smtpServer = null, from = FROM }: Partial<MailSettings> = {}) {
  const app = express();
  app.use(express.json());
  app.use('/outbox', outboxRoutes(server.store, { server: smtpServer, from }));
  app.use(answerProblems((error) => server.logged.push(error)));
  return request(app);
}
const listed = async (using = api()): Promise<OutboxResponse> =>
  OutboxResponse.parse((await using.get('/outbox').expect(200)).body);
const written = async (using = api(), letter = LETTER): Promise<Letter> =>
  Letter.parse((await using.post('/outbox').send(letter).expect(201)).body);

describe('a letter', () => {
  test('is an e-mail file with its attachments, read back by a strict reader', async () => {
    const email = readEmail((await emailOf(LETTER, FROM, 'id-1', Date.UTC(2026, 10, 30, 12))).toString('latin1'));
    expect(email.headers.get('from')).toBe(FROM);
    expect(email.headers.get('to')).toBe('ines@example.org');
    expect(email.headers.get('subject')).toBe(LETTER.subject);
    expect(email.headers.get('date')).toBe('Mon, 30 Nov 2026 12:00:00 +0000');
    expect(email.headers.get('message-id')).toBe('<id-1@zovrin>');
    const [text, ...files] = email.parts;
    expect(text!.content.toString('utf8').replaceAll('\r\n', '\n').trimEnd()).toBe(LETTER.text.trimEnd());
    expect(files.map(({ content }) => content.toString('utf8'))).toEqual(LETTER.attachments.map((file) => file.text));
    expect(files.map(({ headers }) => headers.get('content-type')?.split(';')[0])).toEqual([
      'text/html',
      'text/calendar',
    ]);
    for (const { headers } of files) expect(headers.get('content-disposition')).toMatch(/^attachment; filename/);
  });

  test('whatever is written in it stays in it: no header can be slipped in', async () => {
    const line = fc.string({ unit: 'grapheme', maxLength: 80 });
    await fc.assert(
      fc.asyncProperty(line, line, async (subject, words) => {
        const text = `${words}\r\nBcc: all@example.org\r\n\r\n${words}`;
        const email = readEmail((await emailOf({ ...LETTER, subject, text }, FROM, 'id', 0)).toString('latin1'));
        expect(email.headers.has('bcc')).toBe(false);
        expect([...email.headers.keys()].sort()).toEqual(
          ['content-type', 'date', 'from', 'message-id', 'mime-version', 'subject', 'to'].filter(
            (name) => name !== 'subject' || email.headers.has('subject'),
          ),
        );
      }),
      { numRuns: 100 },
    );
  });

  test.each([
    ['no address', { to: [] }, 'to'],
    ['something that is no address', { to: ['Ines at home'] }, 'to.0'],
    ['an address with a line break', { to: ['a@b.example\r\nBcc: c@d.example'] }, 'to.0'],
    ['a subject of two lines', { subject: 'One\r\nBcc: c@d.example' }, 'subject'],
    ['a file with a path', { attachments: [{ name: '../x.html', type: 'text/html', text: '' }] }, 'attachments.0.name'],
  ])('with %s is refused at its field, and nothing is written', async (_what, patch, field) => {
    const answer = await api()
      .post('/outbox')
      .send({ ...LETTER, ...patch })
      .expect(422);
    expect(answer.body.errors[0].field).toBe(field);
    expect(existsSync(outboxFolder(server.file))).toBe(false);
  });
});

describe('without a mail server', () => {
  test('a letter stays in the folder as a file that only its owner can read, and it is said that nothing is sent', async () => {
    const letter = await written();
    expect(letter).toMatchObject({ state: 'kept', sentMs: null, to: ['ines@example.org'] });
    const folder = outboxFolder(server.file);
    expect(readdirSync(folder).sort()).toEqual([`${letter.id}.eml`, `${letter.id}.json`]);
    for (const name of readdirSync(folder)) expect(statSync(join(folder, name)).mode & 0o777).toBe(0o600);
    expect(await listed()).toMatchObject({ server: null, folder, letters: [letter], unreadable: 0 });
    const file = await api()
      .get(`/outbox/${letter.id}/file`)
      .expect(200)
      .expect('content-type', /^message\/rfc822/)
      .responseType('blob');
    expect(readEmail((file.body as Buffer).toString('latin1')).headers.get('subject')).toBe(LETTER.subject);
    expect((await api().post(`/outbox/${letter.id}/send`).expect(409)).body.detail).toContain('No mail server');
  });

  test('letters are listed the latest first, deleted, and one that is damaged is counted', async () => {
    const first = await written();
    server.clock += 1000;
    const second = await written(api(), { ...LETTER, subject: 'Later' });
    expect((await listed()).letters.map(({ id }) => id)).toEqual([second.id, first.id]);
    await api().delete(`/outbox/${second.id}`).expect(204);
    await api().delete(`/outbox/${second.id}`).expect(404);
    writeFileSync(join(outboxFolder(server.file), `${first.id}.json`), '{"to":');
    expect(await listed()).toMatchObject({ letters: [], unreadable: 1 });
  });

  test('is closed with the lock', async () => {
    await server.api().put('/api/v1/lock').send({ passphrase: 'seven wet herons', minutes: 10 }).expect(204);
    await server.api().get('/api/v1/outbox').expect(423);
    await server.api().post('/api/v1/outbox').send(LETTER).expect(423);
  });
});

describe('with a mail server', () => {
  test('a letter is handed over as it lies in the folder, and is sent once', async () => {
    const { address, taken } = await smtp();
    const using = api({ server: address });
    const letter = await written(using, { ...LETTER, to: ['ines@example.org', 'odo@example.org'] });
    expect(letter).toMatchObject({ state: 'sent', sentMs: server.clock, reason: null });
    expect(taken.map(({ from, to }) => [from, to])).toEqual([
      ['hall@wrackline.example', ['ines@example.org', 'odo@example.org']],
    ]);
    const file = await using.get(`/outbox/${letter.id}/file`).responseType('blob');
    expect(taken[0]!.email.trimEnd()).toBe((file.body as Buffer).toString('utf8').trimEnd());
    await using.post(`/outbox/${letter.id}/send`).expect(409);
    expect((await listed(using)).server).toBe('127.0.0.1');
    expect(taken).toHaveLength(1);
  });

  test('one that is refused stays with the reason, and can be sent again', async () => {
    let reason = 'no such mailbox';
    const { address, taken } = await smtp({ refuse: () => reason });
    const using = api({ server: address });
    const letter = await written(using);
    expect(letter.state).toBe('failed');
    expect(letter.reason).toContain('no such mailbox');
    reason = '';
    const again = Letter.parse((await using.post(`/outbox/${letter.id}/send`).expect(200)).body);
    expect(again).toMatchObject({ state: 'sent', reason: null });
    expect(taken).toHaveLength(1);
  });

  test.each([0, 1, 2, 3])('one whose server goes away after %i commands is not lost', async (dies) => {
    const { address, taken } = await smtp({ dies });
    const letter = await written(api({ server: address }));
    expect(letter.state).toBe('failed');
    expect(letter.reason).not.toBe('');
    expect(taken).toEqual([]);
    expect((await listed()).letters.map(({ id }) => id)).toEqual([letter.id]);
  });

  test('one that was being sent when Zovrin ended counts as not sent', async () => {
    const letter = await written();
    const record = join(outboxFolder(server.file), `${letter.id}.json`);
    writeFileSync(record, JSON.stringify({ ...letter, state: 'sending' }));
    const [found] = (await listed()).letters;
    expect(found).toMatchObject({ state: 'failed', reason: expect.stringContaining('may have arrived') });
  });

  test('where nobody answers, it is said', async () => {
    const { address } = await smtp();
    await open!.close();
    const letter = await written(api({ server: address }));
    expect(letter).toMatchObject({ state: 'failed', reason: expect.stringContaining('ECONNREFUSED') });
  });
});
