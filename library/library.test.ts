import { describe, expect, test } from '@jest/globals';
import { breathCost } from '#core/breath';
import { matchScore, Position, Technique } from '#core/catalogue';
import { breathFrom, emptyPlan, holdFrom, Plan } from '#core/plan';
import { compileTimeline } from '#core/timeline';
import { builtInLibrary, POSITIONS, TECHNIQUES } from '#library';
import { libraryProblems } from '#library/complete';

describe.each(POSITIONS.map((entry) => [entry.id, entry] as const))('position %s', (id, entry) => {
  test('fits the schema of the library', () => {
    expect(Position.parse(entry)).toEqual(entry);
  });

  test('can be put into a plan in every approach and compiles without a note', () => {
    for (const approach of ['restorative', 'yin', 'pranayama', 'blended'] as const) {
      const plan = Plan.parse({ ...emptyPlan('Try', approach), steps: [holdFrom(entry, approach, 'a')] });
      expect(compileTimeline(plan, builtInLibrary).notes).toEqual([]);
    }
    expect(builtInLibrary.position(id)).toBe(entry);
  });
});

describe.each(TECHNIQUES.map((entry) => [entry.id, entry] as const))('technique %s', (_, entry) => {
  test('fits the schema, costs time, and says what a round is', () => {
    expect(Technique.parse(entry)).toEqual(entry);
    expect(breathCost(entry.practice).lengthMs).toBeGreaterThan(60_000);
    expect(entry.round).toMatch(/^1 round = /);
    const plan = Plan.parse({ ...emptyPlan('Try'), steps: [breathFrom(entry, 'a')] });
    expect(compileTimeline(plan, builtInLibrary).notes).toEqual([]);
  });
});

describe('what ships', () => {
  const [first] = POSITIONS;
  const [breath] = TECHNIQUES;

  test('is complete: a hundred and seventeen positions and thirty-eight techniques at least', () => {
    expect(libraryProblems(POSITIONS, TECHNIQUES)).toEqual([]);
    expect(POSITIONS.length).toBeGreaterThanOrEqual(117);
    expect(TECHNIQUES.length).toBeGreaterThanOrEqual(38);
  });

  test.each([
    [{ names: { english: '', sanskrit: '', yin: '' } }, 'easy-seat: names.english: A name is needed.'],
    [{ areas: ['aura'] }, 'easy-seat: areas.0: An area is one of: feet'],
    [{ waysIn: ['Sit.'] }, 'easy-seat: waysIn: at least two sentences'],
    [{ aims: ' ' }, 'easy-seat: aims: needed'],
    [{ leftMeans: 'the left leg' }, 'easy-seat: leftMeans: needed where there are sides'],
    [{ setUps: first!.setUps.filter(({ home }) => !home) }, 'easy-seat: setUps: one made of things found at home'],
    [{ stronger: { words: 'Longer.' } }, 'easy-seat: stronger: shown by a set-up or by another position'],
    [{ easier: { words: 'Softer.', position: 'nowhere' } }, 'easy-seat: easier.position: no position “nowhere”'],
    [
      {
        figure: {
          ...first!.figure,
          pose: { ...first!.figure.pose, spine: { ...first!.figure.pose.spine, neck: [99, 0, 0] } },
        },
      },
      'easy-seat: figure.pose.spine.neck.0: Neck, forward goes from -70° to 75°, not to 99°.',
    ],
  ])('an entry that does not fit is told with its field: %#', (patch, expected) => {
    const problems = libraryProblems([{ ...first, ...patch }, ...POSITIONS.slice(1)], TECHNIQUES);
    expect(problems.join('\n')).toContain(expected);
  });

  test('a set-up without its reasons, an unknown prop, a technique without a round, an id twice', () => {
    const [setUp, ...others] = first!.setUps;
    const row = { ...setUp!.items[0]!, why: '' };
    const withRow = (patch: object) => [{ ...first, setUps: [{ ...setUp, items: [{ ...row, ...patch }] }, ...others] }];
    expect(libraryProblems(withRow({}), [])).toContainEqual('easy-seat: setUps.block.block-seat.why: needed');
    expect(libraryProblems(withRow({ kind: 'throne' }), []).join()).toContain(
      'setUps.0.items.0.kind: A prop is one of: flatBolster',
    );
    expect(libraryProblems([], [{ ...breath, round: 'a while' }])).toEqual([
      'breath-awareness: round: begins with “1 round = ”',
    ]);
    expect(libraryProblems([first, first], []).join()).toContain('easy-seat: id: there are two entries with this id');
    expect(libraryProblems([null], [])).toHaveLength(1);
  });
});

test('no two entries share a name of their own: English, short or yin', () => {
  const all = (names: readonly string[]) => names.filter(Boolean).map((name) => name.toLowerCase());
  for (const names of [
    POSITIONS.map((entry) => entry.names.english),
    POSITIONS.map((entry) => entry.names.yin),
    [...POSITIONS, ...TECHNIQUES].map((entry) => entry.short),
    TECHNIQUES.map((entry) => entry.names.english),
  ]) {
    const shared = all(names).filter((name, i, every) => every.indexOf(name) !== i);
    expect(shared).toEqual([]);
  }
});

test('nothing promises a cure', () => {
  const texts = JSON.stringify([POSITIONS, TECHNIQUES]).toLowerCase();
  for (const word of ['cure', 'heals', 'treats', 'detox']) expect(texts).not.toContain(word);
});

test('entries are found without accents, by any name and by part of one', () => {
  const found = (query: string) =>
    POSITIONS.filter(({ names }) => matchScore(query, Object.values(names)) > 0).map(({ id }) => id);
  expect(found('janu')).toEqual(['head-to-knee']);
  expect(found('half butterfly')).toEqual(['head-to-knee']);
  expect(found('SAVASANA')).toEqual(expect.arrayContaining(['knees-in-rest', 'last-rest', 'side-lying']));
  expect(found('wall')).toContain('legs-up-wall');
  expect(found('')).toEqual([]);
  expect(found('zzz')).toEqual([]);
});

test('what is not said for a side held names no side', () => {
  for (const { id, sides, aims, easier, stronger, loosen, answer, caution } of POSITIONS) {
    if (sides === 'together') continue;
    for (const text of [aims, easier.words, stronger.words, loosen, answer, caution]) {
      // In late pregnancy one lies on the left, whichever side is held.
      const named = /\b(left|right)\b(?! angle)/i.test(text) && !/pregnancy/.test(text);
      expect([id, text, named]).toEqual([id, text, false]);
    }
  }
});
