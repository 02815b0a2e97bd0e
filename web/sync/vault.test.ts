import { beforeEach, describe, expect, test } from '@jest/globals';
import { createDecipheriv, randomBytes } from 'node:crypto';
import fc from 'fast-check';
import { fakeBrowser, type FakeBrowser } from '../../tests/support/browser';
import { vault } from './vault';

const HOUSE = randomBytes(32);
const NAME = 'zovrin.person.unsent.mara';
let browser: FakeBrowser;
beforeEach(() => {
  browser = fakeBrowser();
  vault.close();
});
/** Decrypts what is stored by another implementation. */
function decrypted(name: string): string {
  const bytes = Buffer.from(browser.local.getItem(name)!.slice('v1.'.length), 'base64');
  const decipher = createDecipheriv('aes-256-gcm', HOUSE, bytes.subarray(0, 12));
  decipher.setAAD(Buffer.from(name));
  decipher.setAuthTag(bytes.subarray(-16));
  return Buffer.concat([decipher.update(bytes.subarray(12, -16)), decipher.final()]).toString();
}

describe('what is kept about people', () => {
  test('is AES-256-GCM under the key of the house, and comes back as it was', () => {
    vault.open(HOUSE.toString('base64'));
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', maxLength: 300 }), (text) => {
        expect(vault.write(NAME, text)).toBe(true);
        expect([vault.read(NAME), decrypted(NAME)]).toEqual([text, text]);
      }),
    );
    const long = 'Mara Quill '.repeat(20_000);
    vault.write(NAME, long);
    expect(vault.read(NAME)).toBe(long);
  });

  test('twice the same text is not twice the same, and nothing of it can be read in the storage', () => {
    vault.open(HOUSE.toString('base64'));
    const stored = Array.from({ length: 2 }, () => {
      vault.write(NAME, 'pregnant since May');
      return browser.local.getItem(NAME);
    });
    expect(stored[0]).not.toBe(stored[1]);
    expect(JSON.stringify(stored)).not.toContain('pregnant');
  });

  test('without the key nothing is read or written, and what there is stays', () => {
    vault.open(HOUSE.toString('base64'));
    vault.write(NAME, 'sings');
    vault.close();
    expect([vault.read(NAME), vault.write(NAME, 'overwritten'), vault.keys(NAME)]).toEqual([null, false, [NAME]]);
    vault.open(randomBytes(32).toString('base64'));
    expect(vault.read(NAME)).toBeNull();
    vault.open(HOUSE.toString('base64'));
    expect(vault.read(NAME)).toBe('sings');
  });

  test('moved under another name, or changed in one letter, it is not read', () => {
    vault.open(HOUSE.toString('base64'));
    vault.write(NAME, 'sings');
    const text = browser.local.getItem(NAME)!;
    browser.local.setItem('zovrin.person.unsent.tobias', text);
    expect(vault.read('zovrin.person.unsent.tobias')).toBeNull();
    browser.local.setItem(NAME, text.slice(0, 20) + (text[20] === 'A' ? 'B' : 'A') + text.slice(21));
    expect(vault.read(NAME)).toBeNull();
  });

  test('what an earlier version left in the clear is encrypted when it is opened; what is not about people stays', () => {
    const clear = {
      [NAME]: '{"note":"a"}',
      'zovrin.run.p.r': '{"b":1}',
      'zovrin.said.r': '[]',
      'zovrin.draft.p': '{}',
    };
    for (const [name, text] of Object.entries(clear)) browser.local.setItem(name, text);
    vault.open(HOUSE.toString('base64'));
    expect(browser.local.getItem('zovrin.draft.p')).toBe('{}');
    for (const name of [NAME, 'zovrin.run.p.r', 'zovrin.said.r'] as const) {
      expect(browser.local.getItem(name)).toMatch(/^v1\./);
      expect(vault.read(name)).toBe(clear[name]);
    }
  });

  test('a full storage is told', () => {
    vault.open(HOUSE.toString('base64'));
    browser.local.fill();
    expect(vault.write(NAME, 'sings')).toBe(false);
  });
});
