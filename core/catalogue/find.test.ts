import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import {
  AREAS,
  APPROACHES,
  countOptions,
  ENERGY_LINES,
  FAMILIES,
  findPositions,
  findTechniques,
  NO_WORDS,
  NOTHING_CHOSEN,
  SITUATION_WORDS,
  SITUATIONS,
  SPINE_WAYS,
  TRAITS,
  type Chosen,
  type Situation,
} from '#core/catalogue';
import { PROP_KIND_NAMES } from '#core/props';
import { POSITIONS, TECHNIQUES } from '#library';
import { situationsOf } from '#library/situations';

const OPTIONS: { [group in keyof Chosen]: Chosen[group][number][] } = {
  approach: [...APPROACHES],
  family: [...FAMILIES],
  area: [...AREAS],
  line: [...ENERGY_LINES],
  tag: ['desk', 'Evening'],
  used: ['lately'],
  situation: [...SITUATIONS],
  spine: [...SPINE_WAYS],
  sides: ['together', 'sides'],
  props: [...PROP_KIND_NAMES, 'none'],
  wall: ['with', 'without'],
  where: ['bed', 'chair', 'outdoors'],
  length: ['short', 'middle', 'long'],
  leaveOut: [...TRAITS],
};
const GROUPS = Object.keys(OPTIONS) as (keyof Chosen)[];
const some = <T>(options: readonly T[]) => fc.subarray([...options], { maxLength: Math.min(3, options.length) });
const chosen = fc.record(
  Object.fromEntries(GROUPS.map((group) => [group, some(OPTIONS[group] as string[])])),
) as unknown as fc.Arbitrary<Chosen>;
const query = fc.constantFrom('', 'twist', 'hips', 'two blocks', 'savasana', 'nothing of the kind');
const find = (wanted: string, patch: Partial<Chosen> = {}) =>
  findPositions(POSITIONS, wanted, { ...NOTHING_CHOSEN, ...patch });

describe('filters', () => {
  test('within a group they widen, between groups they narrow', () => {
    fc.assert(
      fc.property(query, chosen, fc.constantFrom(...GROUPS), (wanted, all, group) => {
        const found = findPositions(POSITIONS, wanted, all);
        const without = findPositions(POSITIONS, wanted, { ...all, [group]: [] });
        for (const entry of found) expect(without).toContain(entry);
      }),
    );
  });

  test('the count beside an option is what choosing it alone in its group would leave', () => {
    fc.assert(
      fc.property(query, chosen, fc.constantFrom(...GROUPS), (wanted, all, group) => {
        const counts = countOptions(POSITIONS, wanted, all, group, OPTIONS[group] as never[]) as Map<string, number>;
        for (const option of OPTIONS[group]) {
          const left = findPositions(POSITIONS, wanted, { ...all, [group]: [option] });
          expect([group, option, counts.get(option)]).toEqual([group, option, left.length]);
        }
      }),
      { numRuns: 25 },
    );
  });

  test('by what they are good for, as a filter and in the search, and only entries that there are', () => {
    const words = { alsoCalled: () => [], tagsOf: () => [], situationsOf, byLines: false };
    const ids = (wanted: string, situation: Situation[] = []): string[] =>
      findPositions(POSITIONS, wanted, { ...NOTHING_CHOSEN, situation }, words).map(({ id }) => id);
    for (const situation of SITUATIONS) {
      const found = ids('', [situation]);
      expect([situation, found.length >= 8]).toEqual([situation, true]);
      expect(ids(SITUATION_WORDS[situation])).toEqual(expect.arrayContaining(found));
    }
    expect(ids('', ['desk'])).toContain('eagle-arms');
    expect(ids('', ['beforeSleep'])).not.toContain('camel');
    // As many as are written down: a misspelt id would be found nowhere.
    const written = readFileSync('library/situations.ts', 'utf8').match(/^ {4}'[\w-]+',$/gm) ?? [];
    const served = POSITIONS.reduce((sum, { id }) => sum + situationsOf(id).length, 0);
    expect(served).toBe(written.length);
  });

  test.each([
    ['seated-fold', ['rounded']],
    ['camel', ['arched']],
    ['fish-on-bolster', ['arched']],
    ['reclined-twist', ['turned']],
    ['lateral-bend-lying', ['leaning']],
    ['last-rest', ['long']],
    ['legs-up-wall', ['long']],
  ])('%s is found by the way the back goes: %j', (id, ways) => {
    for (const way of SPINE_WAYS) {
      const found = find('', { spine: [way] }).map((entry) => entry.id);
      expect([way, found.includes(id)]).toEqual([way, (ways as string[]).includes(way)]);
    }
  });

  test('by where they can be done', () => {
    const at = (where: Chosen['where']) => find('', { where }).map(({ id }) => id);
    expect(at(['bed'])).toEqual(expect.arrayContaining(['last-rest', 'left-side-nest']));
    expect(at(['bed'])).not.toContain('legs-up-wall');
    expect(at(['chair'])).toEqual(expect.arrayContaining(['chair-seat', 'chair-twist', 'chair-fold']));
    expect(at(['chair'])).not.toContain('calves-on-chair');
    expect(at(['outdoors'])).not.toContain('legs-up-wall');
  });

  test('by own tags, whatever their capitals, as a filter and in the search', () => {
    const words = {
      alsoCalled: () => [],
      tagsOf: (id: string) => (id === 'sleeping-swan' ? ['Long day at a desk'] : []),
      situationsOf: () => [],
      byLines: false,
    };
    const ids = (wanted: string, tag: string[] = []): string[] =>
      findPositions(POSITIONS, wanted, { ...NOTHING_CHOSEN, tag }, words).map(({ id }) => id);
    expect(ids('', ['long day at a DESK'])).toEqual(['sleeping-swan']);
    expect(ids('', ['nothing'])).toEqual([]);
    expect(ids('at a desk')).toContain('sleeping-swan');
    expect(find('at a desk').map(({ id }) => id)).not.toContain('sleeping-swan');
  });

  test('energy lines are searched only where they are shown', () => {
    const ids = (byLines: boolean): string[] =>
      findPositions(POSITIONS, 'gallbladder', NOTHING_CHOSEN, {
        alsoCalled: () => [],
        tagsOf: () => [],
        situationsOf: () => [],
        byLines,
      }).map(({ id }) => id);
    expect(ids(false)).toEqual([]);
    expect(ids(true)).toContain('sleeping-swan');
    expect(ids(true).every((id) => find('', { line: ['gallbladder'] }).some((entry) => entry.id === id))).toBe(true);
  });

  test('with a wall and without one', () => {
    const atWall = find('', { wall: ['with'] });
    expect(atWall.map(({ id }) => id)).toContain('legs-up-wall');
    expect(find('', { wall: ['without'] })).not.toContain(atWall.find(({ id }) => id === 'wide-legs-at-wall'));
    expect(find('', { wall: ['with', 'without'] })).toHaveLength(POSITIONS.length);
  });

  test('props at hand: no set-up may need another kind', () => {
    for (const { setUps } of find('', { props: ['block'] })) {
      const needs = setUps.map(({ items }) => items.filter(({ optional, kind }) => !optional && kind !== 'wall'));
      expect(needs.some((items) => items.length > 0 && items.every(({ kind }) => kind === 'block'))).toBe(true);
    }
  });

  test('what is left out is not there', () => {
    for (const { traits } of find('', { leaveOut: ['twist', 'inversion'] })) {
      expect(traits.filter((trait) => trait === 'twist' || trait === 'inversion')).toEqual([]);
    }
  });
});

describe('searching', () => {
  test('a name comes before a prop, and that before words from here and there', () => {
    expect(find('frog')[0]?.id).toBe('frog');
    expect(
      find('strap')
        .slice(0, 3)
        .map(({ names }) => names.english.toLowerCase()),
    ).toEqual(expect.arrayContaining([expect.stringContaining('strap')]));
    expect(find('hips bolster').length).toBeGreaterThan(0);
    for (const { areas, setUps } of find('hamstrings strap')) {
      expect(areas).toContain('hamstrings');
      expect(setUps.some(({ items }) => items.some(({ kind }) => kind === 'strap'))).toBe(true);
    }
  });

  test('nothing asked gives everything in its own order', () => {
    expect(find('  ')).toEqual(POSITIONS);
  });
});

describe('techniques', () => {
  const words = {
    ...NO_WORDS,
    tagsOf: (id: string) => (id === 'humming' ? ['Evening'] : []),
    usedLately: (id: string) => id === 'humming' || id === 'bellows',
  };
  const idsOf = (query: string, patch: Partial<Chosen> = {}) =>
    findTechniques(TECHNIQUES, query, { ...NOTHING_CHOSEN, ...patch }, words).map(({ id }) => id);

  test('are all there until something is asked for that they have not', () => {
    expect(idsOf('')).toEqual(TECHNIQUES.map(({ id }) => id));
    expect(idsOf('', { approach: ['pranayama', 'yin'] })).toHaveLength(TECHNIQUES.length);
    expect(idsOf('', { approach: ['yin'] })).toEqual([]);
    expect(idsOf('', { area: ['hamstrings'] })).toEqual([]);
  });

  test('are found by name, by own tag, and by what was used lately', () => {
    expect(idsOf('humming')).toContain('humming');
    expect(idsOf('evening')).toEqual(['humming']);
    expect(idsOf('', { tag: ['evening'] })).toEqual(['humming']);
    expect(idsOf('', { used: ['lately'] }).sort()).toEqual(['bellows', 'humming']);
    expect(idsOf('', { used: ['lately'], tag: ['evening'] })).toEqual(['humming']);
  });
});

test('positions are found by what was used lately', () => {
  const words = { ...NO_WORDS, usedLately: (id: string) => id === 'long-diamond' };
  const used = findPositions(POSITIONS, '', { ...NOTHING_CHOSEN, used: ['lately'] }, words);
  expect(used.map(({ id }) => id)).toEqual(['long-diamond']);
  expect(find('', { used: ['lately'] })).toEqual([]);
});
