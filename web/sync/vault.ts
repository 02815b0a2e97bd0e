import { gcm } from '@noble/ciphers/aes.js';
import { managedNonce } from '@noble/ciphers/utils.js';
import { kept } from './safe-storage';

const FORMAT = 'v1.';
const CHUNK = 0x8000;

/** What this browser keeps that tells of people, by the beginnings of its names. */
const ABOUT_PEOPLE = [
  'zovrin.person.',
  'zovrin.group.',
  'zovrin.class.',
  'zovrin.journal.',
  'zovrin.run.',
  'zovrin.said.',
] as const;

function toBase64(bytes: Uint8Array): string {
  let text = '';
  for (let at = 0; at < bytes.length; at += CHUNK) text += String.fromCharCode(...bytes.subarray(at, at + CHUNK));
  return btoa(text);
}
const fromBase64 = (text: string): Uint8Array => Uint8Array.from(atob(text), (sign) => sign.charCodeAt(0));

const isAboutPeople = (name: string): boolean => ABOUT_PEOPLE.some((prefix) => name.startsWith(prefix));

let key: Uint8Array | undefined;
/** AES-256-GCM with a new nonce for each text, which stands before it; the name it is kept under is part of the seal. */
const cipherFor = (secret: Uint8Array, name: string) => managedNonce(gcm)(secret, new TextEncoder().encode(name));

/**
 * What this browser keeps until the server has it. Whatever tells of people is kept encrypted under the key of the house,
 * which the page has only while it may see people: their unsent documents, and the events of a session with who was
 * there and what was noted. Everything else is kept as it is. A full or forbidden storage is told, never thrown.
 */
export const vault = {
  /** Opens it with the key of the house, in base64. What an earlier version left in the clear is encrypted. */
  open(secret: string): void {
    key = fromBase64(secret);
    for (const name of ABOUT_PEOPLE.flatMap((prefix) => kept.keys(prefix))) {
      const text = kept.read(name);
      if (text !== null && !text.startsWith(FORMAT)) vault.write(name, text);
    }
  },
  /** Forgets the key: nothing can be read or written until it is opened again. */
  close(): void {
    key?.fill(0);
    key = undefined;
  },
  /** The text under a name; null where there is none, or it cannot be read with this key. */
  read(name: string): string | null {
    const text = kept.read(name);
    if (!isAboutPeople(name)) return text;
    if (text === null || key === undefined || !text.startsWith(FORMAT)) return null;
    try {
      return new TextDecoder().decode(cipherFor(key, name).decrypt(fromBase64(text.slice(FORMAT.length))));
    } catch {
      return null;
    }
  },
  /** Keeps a text. False where it is about people and the vault is closed, or where the browser has no room. */
  write(name: string, text: string): boolean {
    if (!isAboutPeople(name)) return kept.write(name, text);
    if (key === undefined) return false;
    return kept.write(name, FORMAT + toBase64(cipherFor(key, name).encrypt(new TextEncoder().encode(text))));
  },
  remove: (name: string): void => kept.remove(name),
  keys: (prefix: string): string[] => kept.keys(prefix),
};
