import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  breathSeats,
  ENTRY_VERSION,
  familyLabel,
  HoldDefaults,
  libraryOf,
  matchScore,
  upgradedEntry,
  Position,
  readEntry,
  searchable,
  seatOf,
  StageLength,
  techniqueDocument,
} from '#core/catalogue';
import { POSITIONS, TECHNIQUES } from '#library';

const [first] = POSITIONS;
if (!first) throw new Error('an empty library');
const refused = (patch: object): string =>
  (Position.safeParse({ ...first, ...patch }).error?.issues ?? [])
    .map(({ path, message }) => `${path.join('.')}: ${message}`)
    .join(' ');

describe('an entry that does not fit is refused at its field', () => {
  test.each([
    [{ names: { english: ' ', sanskrit: '', yin: '' } }, 'names.english'],
    [{ sides: 'upside down' }, 'sides'],
    [{ areas: ['aura'] }, 'areas.0'],
    [{ areas: [] }, 'areas'],
    [{ setUps: [] }, 'setUps'],
    [{ waysIn: ['1', '2', '3', '4', '5', '6'] }, 'waysIn'],
    [{ waysIn: [' '] }, 'waysIn.0'],
    [{ defaults: {} }, 'defaults'],
    [{ easier: { words: '', setUp: 'nowhere' } }, 'easier.setUp'],
    [{ setUps: [first.setUps[0], first.setUps[0]] }, 'setUps.1.id'],
    [{ traits: ['levitation'] }, 'traits.0'],
    [{ enterSeconds: -1 }, 'enterSeconds'],
    [{ colour: 'red' }, ''],
  ])('%j', (patch, field) => {
    expect(refused(patch)).toContain(field);
    expect(refused(patch)).not.toBe('');
  });

  test('a length outside its range', () => {
    const parsed = HoldDefaults.safeParse({ seconds: 30, minSeconds: 60, maxSeconds: 120, strength: 2 });
    expect(parsed.error?.issues[0]?.message).toBe('The length must lie within its range.');
  });

  test('a range upside down', () => {
    const parsed = HoldDefaults.safeParse({ seconds: 90, minSeconds: 120, maxSeconds: 60, strength: 2 });
    expect(parsed.error?.issues.map(({ path, message }) => [path.join(), message])).toEqual([
      ['maxSeconds', 'The longest is shorter than the shortest.'],
    ]);
  });

  test('a stage of no length', () => {
    expect(StageLength.safeParse({ kind: 'fixed', seconds: 0 }).success).toBe(false);
    expect(StageLength.safeParse({ kind: 'share', weight: 0 }).success).toBe(false);
  });
});

describe('finding by name', () => {
  test('accents, case and punctuation do not matter', () => {
    expect(searchable('Jānu Śīrṣāsana – half')).toBe('janu sirsasana half');
    expect(matchScore('JANU', ['Head to knee', 'jānu śīrṣāsana'])).toBe(3);
  });

  test('a whole name beats its beginning, that beats a word, that beats words in any order; letters inside a word do not count', () => {
    const name = ['Legs up the wall'];
    expect(
      ['legs up the wall', 'legs up', 'wall', 'wall legs', 'all egs'].map((wanted) => matchScore(wanted, name)),
    ).toEqual([4, 3, 2, 1, 0]);
    expect(matchScore('walls', name)).toBe(0.5);
    expect(matchScore('  ', name)).toBe(0);
  });

  test('every name of every entry finds that entry, and nothing typed throws', () => {
    for (const { names } of POSITIONS) {
      for (const name of Object.values(names).filter(Boolean)) expect(matchScore(name, Object.values(names))).toBe(4);
    }
    fc.assert(
      fc.property(fc.string(), (typed) => expect(matchScore(typed, ['Head to knee'])).toBeGreaterThanOrEqual(0)),
    );
  });
});

test('of two entries with one id the later counts; an unknown id is undefined', () => {
  const own = { ...first, short: 'Mine' };
  expect(libraryOf([first, own], []).position(first.id)).toBe(own);
  expect(libraryOf([], []).position(first.id)).toBeUndefined();
});

test('families in words', () => {
  expect([familyLabel('supine'), familyLabel('sideLying'), familyLabel('wall')]).toEqual([
    'supine',
    'side lying',
    'at the wall',
  ]);
});

describe('an entry of the first version', () => {
  const now = techniqueDocument(TECHNIQUES.find(({ id }) => id === 'equal-breath')!);
  const without = (one: object, ...keys: string[]) =>
    Object.fromEntries(Object.entries(one).filter(([key]) => !keys.includes(key)));
  const old = (entry: object) => {
    const { practice } = now.entry as { practice: { sets: { parts: object[] }[] } };
    const sets = practice.sets.map((set) => ({
      ...without(set, 'ramp', 'says'),
      parts: set.parts.map((part) => without(part, 'sound', 'place', 'locks')),
    }));
    return { ...now, version: 1, entry: { ...now.entry, ...entry, practice: { ...practice, sets } } };
  };

  test('is read as one of the newest', () => {
    expect(readEntry(old({}))).toEqual({ ok: true, value: now });
  });

  test('that is not finished is brought up as well, and nothing of it is lost', () => {
    expect(upgradedEntry(old({ short: '' }))).toMatchObject({ version: ENTRY_VERSION, entry: { short: '' } });
    fc.assert(fc.property(fc.jsonValue(), (any) => expect(() => upgradedEntry(any)).not.toThrow()));
    expect(upgradedEntry({ version: 99 })).toEqual({ version: 99 });
  });
});

describe('seats for a breath', () => {
  const setUpOf = (id: string, index = 0) => POSITIONS.find((position) => position.id === id)!.setUps[index]!.items;
  test('are positions that open the breath and are taught with it, on no side', () => {
    const seats = breathSeats(POSITIONS);
    expect(seats.map(({ id }) => id)).toEqual(expect.arrayContaining(['easy-seat', 'chair-seat']));
    for (const { sides, areas } of seats) expect([sides, areas.includes('breath')]).toEqual(['together', true]);
  });

  test('the figure of a breath is that of the seat with the same props in the same places; none where nothing is alike', () => {
    expect(seatOf(setUpOf('easy-seat'), POSITIONS)?.id).toBe('easy-seat');
    expect(seatOf(setUpOf('chair-seat'), POSITIONS)?.id).toBe('chair-seat');
    expect(seatOf([], POSITIONS)).toBeUndefined();
    expect(
      seatOf(
        setUpOf('easy-seat').map((row) => ({ ...row, place: 'shins' as const })),
        POSITIONS,
      ),
    ).toBeUndefined();
  });
});
