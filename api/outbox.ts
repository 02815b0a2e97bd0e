import { z } from 'zod';

const MAX_ADDRESSES = 50;
const MAX_ATTACHMENTS = 10;
const Text = (what: string, most: number) =>
  z.string().max(most, `${what} has at most ${most.toLocaleString('en')} characters.`);

/** A file that goes along with a letter, as text. */
const Attachment = z.strictObject({
  /** No path, and nothing a file system takes for one. */
  name: z
    .string()
    .min(1)
    .max(200)
    .regex(/^[^/\\\p{Cc}]+$/u, 'This is not a name for a file.'),
  type: z.enum(['text/html', 'text/calendar', 'text/plain', 'application/json']),
  text: z.string(),
});

/** A letter that is written: into the outbox and, where a mail server is set up, out of it. */
export const WriteLetterRequest = z.strictObject({
  to: z
    .array(z.email('This is not an e-mail address.'))
    .min(1, 'Say to whom it goes.')
    .max(MAX_ADDRESSES, `A letter goes to at most ${MAX_ADDRESSES} addresses.`),
  subject: Text('A subject', 200).regex(/^\P{Cc}*$/u, 'A subject is one line.'),
  text: Text('A letter', 10_000),
  attachments: z.array(Attachment).max(MAX_ATTACHMENTS),
});
export type WriteLetterRequest = z.infer<typeof WriteLetterRequest>;

/** A letter in the outbox: kept there, on its way, sent, or refused with the reason. */
export const Letter = z.object({
  id: z.uuid(),
  writtenMs: z.int().min(0),
  to: z.array(z.string()),
  subject: z.string(),
  text: z.string(),
  attachments: z.array(z.object({ name: z.string(), bytes: z.int().min(0) })),
  bytes: z.int().min(0),
  state: z.enum(['kept', 'sending', 'sent', 'failed']),
  /** When it was sent, or why it was not. */
  sentMs: z.int().min(0).nullable(),
  reason: z.string().nullable(),
});
export type Letter = z.infer<typeof Letter>;

/** The letters, the latest first; where they lie; and the mail server, null where there is none. */
export const OutboxResponse = z.object({
  folder: z.string(),
  server: z.string().nullable(),
  from: z.string(),
  letters: z.array(Letter),
  /** Files in the folder that cannot be read as letters. */
  unreadable: z.int().min(0),
});
export type OutboxResponse = z.infer<typeof OutboxResponse>;
