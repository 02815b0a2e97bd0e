import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { z } from 'zod';
import {
  migrate,
  oneOf,
  readDocument,
  record,
  redo,
  seal,
  seconds,
  startHistory,
  undo,
  words,
  type DocumentKind,
} from '#core/document';

const NOTE: DocumentKind<{ format: string; version: number; title: string }> = {
  format: 'zovrin-note',
  called: 'a note',
  version: 2,
  migrations: { 1: ({ name, ...rest }) => ({ ...rest, title: name }) },
  schema: z.strictObject({ format: z.string(), version: z.number(), title: words('A title', 8) }),
};
const reasons = (value: unknown): string[] => {
  const read = readDocument(NOTE, value);
  return read.ok ? [] : read.issues.map(({ field, reason }) => `${field}: ${reason}`);
};

describe('reading a document', () => {
  test('of this version and of an older one', () => {
    const note = { format: 'zovrin-note', version: 2, title: 'Dusk' };
    expect(readDocument(NOTE, note)).toEqual({ ok: true, value: note });
    expect(readDocument(NOTE, { format: 'zovrin-note', version: 1, name: 'Dusk' })).toEqual({ ok: true, value: note });
  });

  test.each([
    [null, ': This is not a note.'],
    [[], ': This is not a note.'],
    [{ format: 'other' }, 'format: A note has the format “zovrin-note”.'],
    [{ format: 'zovrin-note' }, 'version: A note has a version, a whole number from 1.'],
    [{ format: 'zovrin-note', version: 3 }, 'version: This note has version 3; this Zovrin reads up to version 2.'],
    [{ format: 'zovrin-note', version: 2, title: '  ' }, 'title: A title is needed.'],
    [{ format: 'zovrin-note', version: 2, title: 'far too long' }, 'title: A title has at most 8 characters.'],
    [{ format: 'zovrin-note', version: 2, title: 'Dusk', colour: 1 }, ': Unknown: colour.'],
  ])('%j is refused with the field and the reason', (value, reason) => {
    expect(reasons(value)).toEqual([reason]);
  });

  test('never throws', () => {
    fc.assert(fc.property(fc.anything(), (value) => expect(readDocument(NOTE, value).ok).toBe(false)));
  });

  test('migrations run one after the other, and a missing one is an error', () => {
    const renamed = migrate(
      { version: 1, name: 'x' },
      { 1: ({ name, ...d }) => ({ ...d, title: name }), 2: (d) => ({ ...d, n: 1 }) },
      3,
    );
    expect(renamed).toEqual({ version: 3, title: 'x', n: 1 });
    expect(() => migrate({ version: 1 }, {}, 2)).toThrow('No migration from version 1');
  });
});

test('fields say their limits in words', () => {
  const says = (schema: z.ZodType, value: unknown) => schema.safeParse(value).error?.issues[0]?.message;
  expect(says(seconds('A rest', 1, 600), 0)).toBe('A rest is at least 0:01.');
  expect(says(seconds('A rest', 1, 600), 601)).toBe('A rest is at most 10:00.');
  expect(says(seconds('A rest', 1, 600), 1.2345)).toContain('three decimals');
  expect(says(oneOf('A side', ['left', 'right']), 'up')).toBe('A side is one of: left, right.');
});

describe('undo', () => {
  test('back and forth gives the same versions', () => {
    fc.assert(
      fc.property(fc.array(fc.integer(), { maxLength: 20 }), (versions) => {
        const end = versions.reduce((history, version) => record(history, { name: 'set' }, version), startHistory(-1));
        let back = end;
        while (back.past.length > 0) back = undo(back);
        expect(back.now).toBe(-1);
        expect(undo(back)).toBe(back);
        let forth = back;
        while (forth.future.length > 0) forth = redo(forth);
        expect(forth).toEqual({ ...end, merge: undefined });
        expect(redo(forth)).toBe(forth);
      }),
    );
  });

  test('typing in one field is one step; leaving the field ends it', () => {
    const type = (history: ReturnType<typeof startHistory<string>>, text: string) =>
      record(history, { name: 'type', merge: 'title' }, text);
    const typed = ['C', 'Cl', 'Close'].reduce(type, startHistory(''));
    expect(undo(typed).now).toBe('');
    expect(undo(type(seal(typed), 'Close up')).now).toBe('Close');
  });

  test('a new change after undo drops what was undone', () => {
    const edited = record(undo(record(startHistory('a'), { name: 'b' }, 'b')), { name: 'c' }, 'c');
    expect(redo(edited)).toBe(edited);
  });
});
