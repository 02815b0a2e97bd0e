import { expect, test } from '@jest/globals';
import { POSITIONS, TECHNIQUES } from '#library';
import { spokenOver } from '#core/catalogue';
import { teachingOf, watchedIn } from '#library/teaching';

/** Sentences end in a full stop, a question mark or an exclamation mark, with or without a quotation mark. */
const sentences = (text: string): string[] => text.match(/[^.!?]+[.!?]+/g) ?? [];

test('every position has an aim, a common mistake with what to say, and what is seen from outside', () => {
  for (const { id, aims } of POSITIONS) {
    const taught = teachingOf(id);
    expect([id, taught !== undefined]).toEqual([id, true]);
    const { mistakes, watch } = taught!;
    for (const text of [mistakes, watch]) {
      expect([id, text.length > 40, text.length <= 300, /[.!?]$/.test(text)]).toEqual([id, true, true, true]);
      expect([id, sentences(text).length >= 2]).toEqual([id, true]);
    }
    expect([id, mistakes]).toEqual([id, expect.stringMatching(/\bSay\b/)]);
    expect([id, sentences(aims).length >= 1]).toEqual([id, true]);
  }
});

test('every technique says what is seen from outside', () => {
  for (const { id } of TECHNIQUES) {
    const watch = watchedIn(id) ?? '';
    expect([id, sentences(watch).length >= 2]).toEqual([id, true]);
  }
});

test('no text stands twice, none names a side, and an unknown entry has none', () => {
  const all = POSITIONS.flatMap(({ id }) => Object.values(teachingOf(id)!)).concat(
    TECHNIQUES.map(({ id }) => watchedIn(id)!),
  );
  expect(new Set(all).size).toBe(all.length);
  for (const text of all)
    expect([text, /\b(left|right) (knee|leg|foot|hand|arm|hip|side|shoulder)\b/i.test(text)]).toEqual([text, false]);
  expect(teachingOf('nowhere')).toBeUndefined();
  expect(watchedIn('nowhere')).toBeUndefined();
});

test('the body scan leads through twenty-two places, and fits eight minutes with pauses to breathe in', () => {
  const lines = TECHNIQUES.find(({ id }) => id === 'body-scan')?.spoken ?? [];
  // A beginning, twenty-two places, the whole body, and an end.
  expect(lines).toHaveLength(1 + 22 + 2);
  const spoken = spokenOver(lines, 480);
  const gaps = spoken.slice(1).map(({ atSeconds }, i) => atSeconds - spoken[i]!.atSeconds);
  expect(Math.min(...gaps)).toBeGreaterThanOrEqual(10);
  expect(spoken.at(-1)!.atSeconds).toBeLessThan(460);
});

test('nothing promises a cure', () => {
  const texts = JSON.stringify(POSITIONS.map(({ id }) => teachingOf(id))).toLowerCase();
  for (const word of ['cure', 'heals', 'treats', 'detox']) expect(texts).not.toContain(word);
});
