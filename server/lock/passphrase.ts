import { createCipheriv, createDecipheriv, randomBytes, scrypt, timingSafeEqual } from 'node:crypto';
import { promisify } from 'node:util';
import { hashRaw } from '@node-rs/argon2';
import { z } from 'zod';

const KEY_BYTES = 32;
const SALT_BYTES = 16;
const NONCE_BYTES = 12;
const TAG_BYTES = 16;
const CIPHER = 'aes-256-gcm';

/** Argon2id with 46 MiB, one pass and one lane: the first of the settings that OWASP's password storage guide lists. */
const COST = { memoryKib: 47_104, passes: 1, lanes: 1 } as const;
const Cost = z.strictObject({ memoryKib: z.int(), passes: z.int(), lanes: z.int() });
type Cost = z.infer<typeof Cost>;

/** Without a passphrase: the vault key, in the clear. */
export const OpenVault = z.strictObject({ kind: z.literal('open'), key: z.string() });
/** With a passphrase: the vault key, wrapped under a key derived from the passphrase, which itself is not stored. */
export const LockedVault = z.strictObject({
  kind: z.literal('locked'),
  salt: z.string(),
  cost: Cost,
  wrapped: z.string(),
  minutes: z.int(),
});
export type LockedVault = z.infer<typeof LockedVault>;
/** As the first version stored it: a scrypt key to compare with, and no vault key. Replaced when it is next opened. */
export const FirstLock = z.strictObject({ salt: z.string(), key: z.string(), minutes: z.int() });
export type FirstLock = z.infer<typeof FirstLock>;

const bytes = (text: string): Buffer => Buffer.from(text, 'base64');
/** The same passphrase typed on another keyboard is the same. */
const typed = (passphrase: string): string => passphrase.normalize('NFKC');

/** The package’s usual algorithm is Argon2id. */
const derive = (passphrase: string, salt: Buffer, { memoryKib, passes, lanes }: Cost): Promise<Buffer> =>
  hashRaw(typed(passphrase), {
    memoryCost: memoryKib,
    timeCost: passes,
    parallelism: lanes,
    outputLen: KEY_BYTES,
    salt,
  });

/** A vault key, in base64, under which browsers keep unsent notes. */
export const newVaultKey = (): string => randomBytes(KEY_BYTES).toString('base64');

/** Wraps a vault key under a passphrase. */
export async function lockVault(passphrase: string, key: string, minutes: number): Promise<LockedVault> {
  const salt = randomBytes(SALT_BYTES);
  const nonce = randomBytes(NONCE_BYTES);
  const cipher = createCipheriv(CIPHER, await derive(passphrase, salt, COST), nonce);
  const wrapped = Buffer.concat([nonce, cipher.update(bytes(key)), cipher.final(), cipher.getAuthTag()]);
  return {
    kind: 'locked',
    salt: salt.toString('base64'),
    cost: COST,
    wrapped: wrapped.toString('base64'),
    minutes,
  };
}

/** The unwrapped vault key, or undefined if the passphrase is wrong. */
export async function unlockVault(house: LockedVault, passphrase: string): Promise<string | undefined> {
  const wrapped = bytes(house.wrapped);
  const secret = await derive(passphrase, bytes(house.salt), house.cost);
  const decipher = createDecipheriv(CIPHER, secret, wrapped.subarray(0, NONCE_BYTES));
  decipher.setAuthTag(wrapped.subarray(-TAG_BYTES));
  try {
    const key = Buffer.concat([decipher.update(wrapped.subarray(NONCE_BYTES, -TAG_BYTES)), decipher.final()]);
    return key.toString('base64');
  } catch {
    return undefined;
  }
}

const scrypted = promisify(scrypt) as (passphrase: string, salt: Buffer, length: number) => Promise<Buffer>;

/** Whether that is the passphrase of a lock of the first version. */
export async function opensFirstLock({ salt, key }: FirstLock, passphrase: string): Promise<boolean> {
  return timingSafeEqual(await scrypted(typed(passphrase), bytes(salt), KEY_BYTES), bytes(key));
}
