import { createCipheriv, createDecipheriv, randomBytes, scrypt, type ScryptOptions } from 'node:crypto';
import { promisify } from 'node:util';
import { z } from 'zod';
import { BackupProblem } from './archive';

const SEALED_FORMAT = 'zovrin-sealed-backup';
const CIPHER = 'aes-256-gcm';
const KEY_BYTES = 32;
const SALT_BYTES = 16;
const NONCE_BYTES = 12;
const TAG_BYTES = 16;
/** scrypt with 128 MiB: the first of the settings that OWASP’s password storage guide lists. */
const COST = { n: 2 ** 17, r: 8, p: 1 } as const;
/** What is asked for at most by a header that somebody else wrote: 1 GiB. */
const MAX_COST = { n: 2 ** 20, r: 8, p: 4 } as const;
const MAX_HEADER = 2000;
const NEW_LINE = 0x0a;

const Header = z.strictObject({
  format: z.literal(SEALED_FORMAT),
  version: z.literal(1),
  kdf: z.literal('scrypt'),
  n: z.int().min(2).max(MAX_COST.n),
  r: z.int().min(1).max(MAX_COST.r),
  p: z.int().min(1).max(MAX_COST.p),
  salt: z.base64(),
  cipher: z.literal(CIPHER),
  nonce: z.base64(),
});
type Header = z.infer<typeof Header>;

const stretch = promisify<string, Buffer, number, ScryptOptions, Buffer>(scrypt);
const keyOf = (passphrase: string, { n, r, p, salt }: Header): Promise<Buffer> =>
  // The same passphrase typed on another keyboard is the same.
  stretch(passphrase.normalize('NFKC'), Buffer.from(salt, 'base64'), KEY_BYTES, {
    N: n,
    r,
    p,
    maxmem: 256 * n * r,
  });

/**
 * Puts bytes under a passphrase: a header of one line of JSON, which says how, then the sealed bytes and their tag. The
 * header is authenticated with them. The passphrase is not stored and cannot be recovered.
 */
export async function seal(bytes: Uint8Array, passphrase: string): Promise<Buffer> {
  const nonce = randomBytes(NONCE_BYTES);
  const header: Header = {
    format: SEALED_FORMAT,
    version: 1,
    kdf: 'scrypt',
    ...COST,
    salt: randomBytes(SALT_BYTES).toString('base64'),
    cipher: CIPHER,
    nonce: nonce.toString('base64'),
  };
  const line = Buffer.from(`${JSON.stringify(header)}\n`, 'utf8');
  const cipher = createCipheriv(CIPHER, await keyOf(passphrase, header), nonce);
  cipher.setAAD(line);
  return Buffer.concat([line, cipher.update(bytes), cipher.final(), cipher.getAuthTag()]);
}

const BEGINNING = Buffer.from(`{"format":"${SEALED_FORMAT}"`, 'utf8');
/** Whether bytes are a backup under a passphrase. */
export const isSealed = (bytes: Uint8Array): boolean =>
  Buffer.from(bytes.subarray(0, BEGINNING.length)).equals(BEGINNING);

function headerOf(bytes: Uint8Array): { header: Header; line: Uint8Array } {
  const end = bytes.subarray(0, MAX_HEADER).indexOf(NEW_LINE) + 1;
  const line = bytes.subarray(0, end);
  let value: unknown;
  try {
    value = JSON.parse(Buffer.from(line).toString('utf8'));
  } catch {
    throw new BackupProblem('This backup is damaged: its first line cannot be read. Try an earlier one.');
  }
  if (((value as { version?: unknown }).version ?? 0) !== 1) {
    throw new BackupProblem('This backup was made by a newer Zovrin than this one. Update Zovrin, then restore it.');
  }
  const read = Header.safeParse(value);
  if (!read.success)
    throw new BackupProblem('This backup is damaged: its first line is not complete. Try an earlier one.');
  return { header: read.data, line };
}

/**
 * Opens what was sealed. Gives undefined where the passphrase is another one, or the bytes were changed: the two look
 * the same. Throws a BackupProblem where the header cannot be read.
 */
export async function unseal(bytes: Uint8Array, passphrase: string): Promise<Buffer | undefined> {
  const { header, line } = headerOf(bytes);
  const body = bytes.subarray(line.length);
  if (body.length < TAG_BYTES) throw new BackupProblem('This backup is cut off. Try an earlier one.');
  const decipher = createDecipheriv(CIPHER, await keyOf(passphrase, header), Buffer.from(header.nonce, 'base64'));
  decipher.setAAD(line);
  decipher.setAuthTag(body.subarray(-TAG_BYTES));
  try {
    return Buffer.concat([decipher.update(body.subarray(0, -TAG_BYTES)), decipher.final()]);
  } catch {
    return undefined;
  }
}
