import { randomUUID } from 'node:crypto';
import { existsSync } from 'node:fs';
import { mkdir, readdir, readFile, rename, rm, writeFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { Mutex } from 'async-mutex';
import { Letter, type OutboxResponse, type WriteLetterRequest } from '#api';
import { HttpProblem, notFound } from '../http/problems';
import { OWNER_ONLY, OWNER_ONLY_FOLDER } from '../store/owner-only';
import { emailOf, sendEmail, serverName, type MailSettings } from './mail';

/** The folder of letters, beside the database. */
export const outboxFolder = (file: string): string => join(dirname(file), 'outbox');

/**
 * The outbox: a folder with two files for each letter, the e-mail as it is sent and what became of it. A letter is
 * written before anything is sent, so that none is lost; one that was being sent when Zovrin ended counts as not sent.
 */
export function outboxIn(folder: string, now: () => number, { server, from }: MailSettings) {
  const turn = new Mutex();
  const underWay = new Set<string>();
  const emailAt = (id: string): string => join(folder, `${id}.eml`);
  const recordAt = (id: string): string => join(folder, `${id}.json`);

  async function put(path: string, content: string | Buffer): Promise<void> {
    await mkdir(folder, { recursive: true, mode: OWNER_ONLY_FOLDER });
    await writeFile(`${path}.unfinished`, content, { mode: OWNER_ONLY });
    await rename(`${path}.unfinished`, path);
  }
  const keep = (letter: Letter): Promise<void> => put(recordAt(letter.id), `${JSON.stringify(letter, null, 1)}\n`);

  async function read(id: string): Promise<Letter | undefined> {
    const text = await readFile(recordAt(id), 'utf8').catch(() => undefined);
    if (text === undefined || !existsSync(emailAt(id))) return undefined;
    try {
      const letter = Letter.parse(JSON.parse(text));
      if (letter.state !== 'sending' || underWay.has(id)) return letter;
      return { ...letter, state: 'failed', reason: 'Zovrin ended while it was being sent. It may have arrived.' };
    } catch {
      return undefined;
    }
  }
  async function mustRead(id: string): Promise<Letter> {
    const letter = await read(id);
    if (!letter) throw notFound('letter with this id');
    return letter;
  }

  /** Sends a letter, and keeps what became of it. */
  async function deliver(letter: Letter): Promise<Letter> {
    if (server === null) return letter;
    underWay.add(letter.id);
    try {
      await keep({ ...letter, state: 'sending', reason: null });
      await sendEmail(server, from, letter.to, await readFile(emailAt(letter.id)));
      const sent: Letter = { ...letter, state: 'sent', sentMs: now(), reason: null };
      await keep(sent);
      return sent;
    } catch (error) {
      const failed: Letter = { ...letter, state: 'failed', reason: (error as Error).message };
      await keep(failed);
      return failed;
    } finally {
      underWay.delete(letter.id);
    }
  }

  return {
    async list(): Promise<OutboxResponse> {
      const names = existsSync(folder) ? await readdir(folder) : [];
      const ids = names.flatMap((name) => /^([0-9a-f-]{36})\.eml$/.exec(name)?.[1] ?? []);
      const letters = (await Promise.all(ids.map(read))).filter((letter) => letter !== undefined);
      letters.sort((one, other) => other.writtenMs - one.writtenMs);
      const named = server === null ? null : serverName(server);
      return { folder, server: named, from, letters, unreadable: ids.length - letters.length };
    },
    /** Writes a letter, and sends it where there is a mail server. */
    async write(wanted: WriteLetterRequest): Promise<Letter> {
      const [id, writtenMs] = [randomUUID(), now()];
      const email = await emailOf(wanted, from, id, writtenMs);
      const attachments = wanted.attachments.map(({ name, text }) => ({ name, bytes: Buffer.byteLength(text) }));
      const letter: Letter = {
        id,
        writtenMs,
        to: wanted.to,
        subject: wanted.subject,
        text: wanted.text,
        attachments,
        bytes: email.length,
        state: 'kept',
        sentMs: null,
        reason: null,
      };
      await put(emailAt(id), email);
      await keep(letter);
      return turn.runExclusive(() => deliver(letter));
    },
    /** Sends a letter that was not sent yet. */
    async send(id: string): Promise<Letter> {
      return turn.runExclusive(async () => {
        const letter = await mustRead(id);
        if (server === null)
          throw new HttpProblem(409, 'No mail server', 'No mail server is set up, so nothing is sent.');
        if (letter.state === 'sent') throw new HttpProblem(409, 'Sent', 'This letter was sent already.');
        return deliver(letter);
      });
    },
    async email(id: string): Promise<Buffer> {
      await mustRead(id);
      return readFile(emailAt(id));
    },
    async remove(id: string): Promise<void> {
      await mustRead(id);
      for (const path of [recordAt(id), emailAt(id)]) await rm(path, { force: true });
    },
  };
}
