import { gcm } from '@noble/ciphers/aes.js';
import { managedNonce } from '@noble/ciphers/utils.js';
import { safeStorage } from './safe-storage';

const FORMAT = 'v1.';
const CHUNK = 0x8000;

/** What this browser stores about people, by the prefixes of its names. */
const ABOUT_PEOPLE = [
  'zovrin.draft.person.',
  'zovrin.draft.group.',
  'zovrin.draft.class.',
  'zovrin.draft.journal.',
  'zovrin.draft.course.',
  'zovrin.draft.review.',
  'zovrin.run.',
  // As earlier versions named them.
  'zovrin.person.',
  'zovrin.group.',
  'zovrin.class.',
  'zovrin.journal.',
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
/**
 * AES-256-GCM with a new nonce for each text, which stands before it; the name it is kept under is part of the seal.
 */
const cipherFor = (secret: Uint8Array, name: string) => managedNonce(gcm)(secret, new TextEncoder().encode(name));

/**
 * What this browser stores until the server has it. Anything about people is encrypted under the vault key, which the
 * page has only while it may see people: their unsent documents, and the events of a session with who was there and
 * what was noted. Everything else is kept as it is. A full or forbidden storage is told, never thrown.
 */
export const vault = {
  /** Opens it with the vault key, in base64. What an earlier version left in the clear is encrypted. */
  open(secret: string): void {
    key = fromBase64(secret);
    for (const name of ABOUT_PEOPLE.flatMap((prefix) => safeStorage.keys(prefix))) {
      const text = safeStorage.read(name);
      if (text !== null && !text.startsWith(FORMAT)) vault.write(name, text);
    }
  },
  /** Forgets the key: nothing can be read or written until it is opened again. */
  close(): void {
    key?.fill(0);
    key = undefined;
  },
  /** A text as it may be kept under a name; null if it is about people and the vault is closed. */
  seal(name: string, text: string): string | null {
    if (!isAboutPeople(name)) return text;
    if (key === undefined) return null;
    return FORMAT + toBase64(cipherFor(key, name).encrypt(new TextEncoder().encode(text)));
  },
  /** What was sealed under a name; null if it cannot be read with this key. */
  unseal(name: string, sealed: string): string | null {
    if (!isAboutPeople(name)) return sealed;
    if (key === undefined || !sealed.startsWith(FORMAT)) return null;
    try {
      return new TextDecoder().decode(cipherFor(key, name).decrypt(fromBase64(sealed.slice(FORMAT.length))));
    } catch {
      return null;
    }
  },
  /** The text under a name; null if there is none, or it cannot be read with this key. */
  read(name: string): string | null {
    const sealed = safeStorage.read(name);
    return sealed === null ? null : vault.unseal(name, sealed);
  },
  /** Keeps a text. False where it is about people and the vault is closed, or where the browser has no room. */
  write(name: string, text: string): boolean {
    const sealed = vault.seal(name, text);
    return sealed !== null && safeStorage.write(name, sealed);
  },
  remove: (name: string): void => safeStorage.remove(name),
  keys: (prefix: string): string[] => safeStorage.keys(prefix),
};
