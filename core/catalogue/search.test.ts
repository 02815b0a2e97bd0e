import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { editDistance, findPositions, nameLikeness, matchScore, NOTHING_CHOSEN, searchable } from '#core/catalogue';
import { POSITIONS, TECHNIQUES } from '#library';
import { alsoCalled, SYNONYMS } from '#library/synonyms';

const first = (query: string): string | undefined =>
  findPositions(POSITIONS, query, NOTHING_CHOSEN, {
    alsoCalled,
    tagsOf: () => [],
    situationsOf: () => [],
    byLines: false,
  })[0]?.id;

describe('what people call things', () => {
  test.each([
    ['pigeon', 'sleeping-swan'],
    ['puppy', 'heart-melting'],
    ['lizard', 'lunge-hands-inside'],
    ['cobbler', 'butterfly-fold'],
    ['corpse', 'last-rest'],
    ['shavasana', 'last-rest'],
    ['savasana', 'last-rest'],
    ['heart opener', 'heart-melting'],
    ['wide', 'wide-leg-fold'],
    ['wide leg', 'wide-leg-fold'],
    ['childs pose', 'child-on-bolster'],
    ['Child’s pose, supported', 'child-on-bolster'],
    ['upavishta konasana', 'wide-leg-fold'],
    ['paschimottanasana', 'seated-fold'],
    ['suptabaddha', undefined],
    ['supta badha konasana', 'reclined-bound-angle'],
    ['legs up the wal', 'legs-up-wall'],
    ['happy bady', 'happy-baby'],
    ['sphynx', 'sphinx'],
    ['catterpillar', 'seated-fold'],
    ['savasanna', 'last-rest'],
  ])('“%s” finds %s first', (query, id) => expect(first(query)).toBe(id));

  test.each([
    ['box breathing', ['box-breathing', 'equal-breath']],
    ['ocean breath', ['throat-breath']],
    ['bee', ['humming']],
    ['nadi shodhana', ['alternate-nostrils', 'alternate-with-hold']],
    ['breath of fire', ['belly-strokes']],
  ])('“%s” finds the breaths %j', (query, ids) => {
    const found = TECHNIQUES.map(({ id, names, short }) => ({
      id,
      score: matchScore(query, [names.english, names.sanskrit, short, ...alsoCalled(id)]),
    })).filter(({ score }) => score > 0);
    expect(found.map(({ id }) => id)).toEqual(expect.arrayContaining(ids));
    expect(ids).toContain(found.sort((a, b) => b.score - a.score)[0]?.id);
  });

  test('“bow” offers the bow, and nothing that only has these letters inside a word', () => {
    const found = findPositions(POSITIONS, 'bow', NOTHING_CHOSEN, {
      alsoCalled,
      tagsOf: () => [],
      situationsOf: () => [],
      byLines: false,
    });
    expect(found.map(({ id }) => id)).toEqual(['bow']);
    expect(matchScore('bow', ['Elbow'])).toBe(0);
  });

  test('every entry has other names, each of some entry; none is only a word that says nothing', () => {
    const ids = [...POSITIONS, ...TECHNIQUES].map(({ id }) => id);
    expect(ids.filter((id) => alsoCalled(id).length === 0)).toEqual([]);
    expect(Object.keys(SYNONYMS).filter((id) => !ids.includes(id))).toEqual([]);
    for (const [id, names] of Object.entries(SYNONYMS)) {
      for (const name of names) expect([id, name, matchScore(name, names)]).toEqual([id, name, 4]);
    }
  });
});

describe('spelling', () => {
  test.each([
    ['Upavista', 'Upaviṣṭa koṇāsana'],
    ['chakrasana', 'cakrāsana'],
    ['virabhadrasana pose', 'vīrabhadrāsana'],
    ['viparita karani', 'viparīta karaṇī'],
    ['happy baby variation', 'Happy baby'],
    ['seetali', 'śītalī'],
  ])('“%s” is the start of “%s”', (typed, name) => expect(matchScore(typed, [name])).toBeGreaterThanOrEqual(3));

  test('accents and apostrophes do not matter', () => {
    expect(searchable('Child’s pose – jānu')).toBe('childs pose janu');
  });

  test('a letter or two wrong: less than any right match; in a short word none is forgiven', () => {
    expect([matchScore('saddel', ['Saddle']), matchScore('saddle', ['Saddle'])]).toEqual([0.5, 4]);
    expect([matchScore('sael', ['Seal']), matchScore('sel', ['Seal'])]).toEqual([0.5, 0]);
    expect(matchScore('dangling', ['Dragonfly'])).toBe(0);
  });

  /** The distance by its definition: every way to edit, the shortest first. */
  const byDefinition = (a: string, b: string): number => {
    if (a === '' || b === '') return a.length + b.length;
    const [x, y] = [a.slice(1), b.slice(1)];
    const ways = [byDefinition(x, b) + 1, byDefinition(a, y) + 1, byDefinition(x, y) + (a[0] === b[0] ? 0 : 1)];
    if (a.length > 1 && b.length > 1 && a[0] === b[1] && a[1] === b[0]) {
      ways.push(byDefinition(a.slice(2), b.slice(2)) + 1);
    }
    return Math.min(...ways);
  };
  const word = fc.string({ unit: fc.constantFrom('a', 'b', 'c'), maxLength: 6 });
  test('the distance between words is that of its definition, and the same both ways', () => {
    fc.assert(
      fc.property(word, word, (a, b) => {
        expect(editDistance(a, b)).toBe(byDefinition(a, b));
        expect(editDistance(b, a)).toBe(editDistance(a, b));
      }),
      { numRuns: 300 },
    );
  });

  test('nameLikeness is 1 for the same, 0 for nothing alike, and in between for what is near', () => {
    expect([
      nameLikeness('saddle', ['Saddle pose']),
      nameLikeness('xyz', ['Saddle']),
      nameLikeness('', ['Saddle']),
    ]).toEqual([1, 0, 0]);
    expect(nameLikeness('sadle', ['Saddle'])).toBeGreaterThan(nameLikeness('sale', ['Saddle']));
  });
});
