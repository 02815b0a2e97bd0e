import { describe, expect, test } from '@jest/globals';
import { SYNONYMS } from '../synonyms';
import { POSITIONS, TECHNIQUES } from '../index';
import { spokenEntries, spokenWords } from '#core/exchange';
import { countedBreaths } from '../../core/exchange/captions/counted-breaths';
import { markFinder, type Mark } from '../../core/exchange/captions/marks';
import { phraseFinder } from '../../core/exchange/captions/phrases';
import { sideEvidence } from '../../core/exchange/captions/spoken-sides';
import { ENGLISH } from './english';
import { ENGLISH_SAYINGS, spokenWaysIn } from './sayings';

const entries = spokenEntries({
  positions: POSITIONS,
  techniques: TECHNIQUES,
  alsoCalled: (id) => SYNONYMS[id] ?? [],
  spokenWaysIn,
});
const wordsOf = (text: string) => spokenWords([{ startMs: 0, endMs: 60_000, text }]).words;
const marks = (text: string): Mark[] => markFinder(ENGLISH, entries)(wordsOf(text));

describe('the phrases of English', () => {
  test.each(ENGLISH.phrases.map((row) => [row.kind, row.example, row] as const))('%s: “%s”', (_kind, example, row) => {
    const found = phraseFinder([row], ENGLISH)(wordsOf(example));
    expect(found.length).toBeGreaterThan(0);
    expect(row.reason).toMatch(/\.$/);
    expect(row.strength).toBeGreaterThan(0);
    expect(row.strength).toBeLessThanOrEqual(1);
  });

  test('all are written as words are compared: lower case, and without apostrophes', () => {
    const written = ENGLISH.phrases.flatMap(({ phrases }) => phrases);
    expect(written.filter((phrase) => !/^[a-z0-9 |()[\]<>*]+$/.test(phrase))).toEqual([]);
  });
});

describe('names, as they are said and as machines hear them', () => {
  const named = (text: string): [string, number] | undefined => {
    const found = marks(text)
      .filter((mark) => mark.kind === 'name')
      .sort((a, b) => b.weight - a.weight)[0];
    const [likeliest] = [...(found?.entries ?? [])].sort((a, b) => b.share - a.share);
    return found && likeliest ? [likeliest.id, found.weight] : undefined;
  };
  test.each([
    ['come into butterfly', 'butterfly-fold'],
    ['come into butter fly pose', 'butterfly-fold'],
    ['extend both legs out for cat a pillar', 'seated-fold'],
    ['for eye of the kneadle', 'figure-four'],
    ['okay so shavasna', 'last-rest'],
    ['into dragging pose', 'lunge-hands-inside'],
    ['melting hard pose', 'heart-melting'],
    ['down on the forearms for sfinx', 'sphinx'],
    ['legs up the wall', 'legs-up-wall'],
    ['janu sirsasana', 'head-to-knee'],
    ['we do ninety ninety', 'deer'],
    ['alternate nostril breathing', 'alternate-nostrils'],
  ])('%s', (text, id) => {
    expect(named(text)?.[0]).toBe(id);
  });

  test('everyday words, limbs and what is compared or denied are hardly names', () => {
    const texts = ['rock from side to side', 'bring your knees in', 'lie on your side', 'let both knees drop over'];
    for (const text of [...texts, 'cross the legs like in eagle', 'not happy baby today'])
      expect([text, (named(text)?.[1] ?? 0) <= 0.3]).toEqual([text, true]);
  });
});

test('a position that is offered, or passed through, is hardly a name', () => {
  const weight = (text: string): number =>
    Math.max(...marks(text).flatMap((mark) => (mark.kind === 'name' ? [mark.weight] : [])));
  expect(weight('step back to child’s pose for a breath')).toBeLessThan(0.5);
  expect(weight('child’s pose if you like')).toBeLessThan(0.5);
  expect(weight('child’s pose')).toBeGreaterThan(0.5);
  // What is said in another sentence offers something else.
  expect(weight('child’s pose. If you like, close your eyes')).toBeGreaterThan(0.5);
});

describe('lengths', () => {
  const lengths = (text: string): unknown[] =>
    marks(text).flatMap((mark): unknown[] =>
      mark.kind === 'length'
        ? [[mark.seconds.least, mark.seconds.most]]
        : mark.kind === 'breaths'
          ? [`${mark.most} breaths`]
          : mark.kind === 'rounds'
            ? [`${mark.count} rounds`]
            : [],
    );
  test.each<[string, readonly unknown[]]>([
    ['we hold this for four minutes', [[240, 240]]],
    ['for three to five minutes', [[180, 300]]],
    ['about four and a half minutes each side', [[270, 270]]],
    ['two minutes thirty seconds', [[150, 150]]],
    ['half a minute', [[30, 30]]],
    ['for minutes here', [[240, 240]]],
    ['ten slow breaths', ['10 breaths']],
    ['in for four, out for six. Five times.', ['5 rounds']],
    ['twenty five seconds', [[25, 25]]],
    ['we finish with humming, six of them', ['6 rounds']],
    ['down on a bolster maybe, another four minutes', [[240, 240]]],
    ['one more minute', []],
    ['just thirty more seconds', []],
  ])('%s', (text, expected) => {
    expect(lengths(text)).toEqual(expected);
  });
});

describe('sides', () => {
  const evidence = (text: string, id: string): number => {
    const leftMeans = POSITIONS.find((one) => one.id === id)?.leftMeans ?? '';
    return marks(text).reduce((sum, mark) => {
      if (mark.kind !== 'side') return sum;
      return sum + sideEvidence(mark.side, leftMeans, ENGLISH) * (mark.side.side === 'left' ? 1 : -1);
    }, 0);
  };
  test.each([
    ['bring the left knee forward and slide the right leg back', 'sleeping-swan', 'left'],
    ['right foot forward', 'lunge-hands-inside', 'right'],
    ['fold the left foot in, so the right leg is the straight one', 'head-to-knee', 'right'],
    ['fold over the left leg', 'head-to-knee', 'left'],
    ['left ankle onto the right knee', 'figure-four', 'left'],
    ['right knee on top of the left knee', 'crossed-thighs', 'right'],
    ['let the knees go to the left', 'reclined-twist', 'left'],
    ['reach the right arm under the left', 'thread-the-needle', 'right'],
    ['left elbow underneath', 'eagle-arms', 'left'],
    ['turn to your right, one hand on the back of the chair', 'chair-twist', 'right'],
    ['roll onto your right side', 'side-lying', 'left'],
    ['lie on your right side over the bolster', 'side-bend-on-bolster', 'right'],
  ])('%s: %s on the %s', (text, id, side) => {
    expect(Math.sign(evidence(text, id))).toBe(side === 'left' ? 1 : -1);
  });

  test.each(['all right everybody', 'right then', 'a minute left', 'stay right here', 'sit right against the wall'])(
    '%s: no side',
    (text) => {
      expect(marks(text).filter(({ kind }) => kind === 'side')).toEqual([]);
    },
  );
});

describe('places in the room', () => {
  const families = (text: string): string[] =>
    marks(text).flatMap((mark) => (mark.kind === 'place' ? [mark.families[0] ?? ''] : []));
  test.each(ENGLISH.places.map((row) => [row.example, row] as const))('%s', (example, row) => {
    expect(families(example)).toContain(row.families[0]);
    expect(row.reason).toMatch(/\.$/);
  });
  test('hands on the belly, a hand on the back and the back of a chair are none', () => {
    for (const text of [
      'put your hands on your tummy',
      'one hand on your back',
      'your right side to the back of the chair',
    ])
      expect([text, families(text)]).toEqual([text, []]);
  });
});

describe('what only sounds like another side or a turn', () => {
  const tells = (text: string): string[] => marks(text).flatMap((mark) => (mark.kind === 'phrase' ? [mark.tells] : []));
  test.each([
    ['and look the other way', 'otherSide'],
    ['okay', 'yourTurn'],
    ['and breathe in', 'stay'],
  ])('%s is no %s', (text, kind) => {
    expect(tells(text)).not.toContain(kind);
  });
});

describe('counted breaths', () => {
  const phases = (text: string): unknown[] =>
    marks(text).flatMap((mark) =>
      mark.kind === 'phase' ? [[mark.phase.kind, mark.phase.counted, mark.phase.isDeclared]] : [],
    );
  test('a nostril may be named before the count; how far it is counted may only be said', () => {
    expect(phases('Out right, two, three, four.')).toEqual([['out', 4, false]]);
    expect(phases('In for four.')).toEqual([['in', 4, true]]);
  });
});

describe('breaths that are counted and not named', () => {
  const techniques = (text: string): string[] =>
    countedBreaths(marks(text), ENGLISH).flatMap((mark) =>
      mark.kind === 'name' ? mark.entries.map(({ id }) => id) : [],
    );
  test.each(ENGLISH.countedBreaths.map((row) => [row.technique, row.example, row] as const))(
    '%s: “%s”',
    (technique, example, { reason }) => {
      expect(techniques(`${example} ${example}`)).toEqual([technique]);
      expect(TECHNIQUES.map(({ id }) => id)).toContain(technique);
      expect(reason).toMatch(/\.$/);
    },
  );
  test('one count is none, nor is one that has a name, or one whose out-breath is the shorter', () => {
    const short = 'In, two, three, four, five, six. Out, two, three.';
    expect(techniques(`${short} ${short}`)).toEqual([]);
    expect(techniques('In, two, three, four. Out, two, three, four.')).toEqual([]);
    const even = 'In, two, three, four. Out, two, three, four.';
    expect(techniques(`Alternate nostril breathing. ${even} ${even}`)).toEqual([]);
  });
});

test('sayings are of positions that there are', () => {
  expect(Object.keys(ENGLISH_SAYINGS).filter((id) => !POSITIONS.some((one) => one.id === id))).toEqual([]);
});
