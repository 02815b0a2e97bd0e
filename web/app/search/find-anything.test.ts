import { describe, expect, test } from '@jest/globals';
import { POSITIONS, TECHNIQUES } from '#library';
import { alsoCalled } from '#library/synonyms';
import { findAnything, type Findable } from './find-anything';

const all: Findable[] = [
  { kind: 'page', label: 'Settings', names: ['preferences', 'options'], to: '/settings' },
  { kind: 'page', label: 'History', to: '/history' },
  { kind: 'plan', label: 'Before the night shift', to: '/plans/n' },
  { kind: 'person', label: 'Wilf Tarrant', to: '/people/w' },
  ...POSITIONS.map(({ id, names }) => ({
    kind: 'position',
    label: names.english,
    names: [names.sanskrit, names.yin, ...alsoCalled(id)],
    to: `/library/${id}`,
  })),
  ...TECHNIQUES.map(({ id, names }) => ({
    kind: 'breath',
    label: names.english,
    names: [names.sanskrit, ...alsoCalled(id)],
    to: `/library/breath/${id}`,
  })),
];
const first = (query: string) => findAnything(query, all)[0];

describe('from anywhere', () => {
  test.each([
    ['settings', 'page', '/settings'],
    ['preferences', 'page', '/settings'],
    ['night shift', 'plan', '/plans/n'],
    ['tarrant', 'person', '/people/w'],
    ['pigeon', 'position', undefined],
    ['ocean breath', 'breath', undefined],
    ['savasana', 'position', undefined],
    ['histroy', 'page', '/history'],
  ])('“%s” leads to a %s', (query, kind, to) => {
    const found = first(query);
    expect(found?.kind).toBe(kind);
    if (to) expect(found?.to).toBe(to);
  });

  test('an exact name comes before one that only contains it, and no list is endless', () => {
    const found = findAnything('seat', all);
    expect(found.length).toBeGreaterThan(2);
    expect(findAnything('e', all).length).toBeLessThanOrEqual(14);
    expect(findAnything('  ', all)).toEqual([]);
    expect(findAnything('zzyzx qwq', all)).toEqual([]);
  });
});
