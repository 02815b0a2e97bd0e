import { describe, expect, test } from '@jest/globals';
import { countsInWords, cycleOf, ownPaceOf, setOf, type BreathSet } from '#core/breath';
import { Plan, emptyPlan, holdNamed, talkStep, type Step } from '#core/plan';
import { builtInLibrary, POSITIONS, TECHNIQUES, TEMPLATES } from '#library';
import { rateInWords } from '../../widgets/breath/rate';
import { stepInWords } from './steps/words';
import { alsoCalled } from '#library/synonyms';
import { suggestSteps } from './steps/suggest';

const words = { alsoCalled, tagsOf: () => [], situationsOf: () => [], byLines: false };
const offer = { positions: POSITIONS, techniques: TECHNIQUES, isYours: () => false, words };
const make = (query: string): Step | undefined => suggestSteps(query, offer)[0]?.make('new', 'yin', null);
const names = (query: string): string[] => suggestSteps(query, offer).map(({ name }) => name);

describe('finding a step by what is typed', () => {
  test('everything while nothing is typed', () => {
    expect(suggestSteps('', offer)).toHaveLength(POSITIONS.length + TECHNIQUES.length + 3);
  });

  test('by English, Sanskrit without marks, yin name, and part of one; the best first', () => {
    expect(names('head to knee')[0]).toBe('Head to knee');
    expect(names('viparita')[0]).toBe('Legs up the wall');
    expect(names('dragonfly')[0]).toBe('Wide-legged fold');
    expect(names('reclined twist')[0]).toBe('Reclined twist');
    expect(names('ujjayi')[0]).toBe('Throat breath');
    expect(names('breath')).toEqual(expect.arrayContaining(TECHNIQUES.map(({ names: { english } }) => english)));
    expect(names('two blocks')).toContain('Head to knee');
    expect(names('outer hips')).toContain('Figure four on the back');
  });

  test('makes what fits: a hold with the defaults of the approach, a breath, the plain ones', () => {
    expect(make('caterpillar')).toMatchObject({
      kind: 'hold',
      position: 'seated-fold',
      sides: { kind: 'together', seconds: 240 },
      strength: 4,
    });
    expect(make('nadi')).toMatchObject({ kind: 'breath', technique: 'alternate-nostrils' });
    expect(make('rest')).toMatchObject({ kind: 'rest', seconds: 60 });
    expect(make('shake')).toMatchObject({ kind: 'move' });
    expect(make('arrive')).toMatchObject({ kind: 'talk' });
  });

  test('a name nobody knows can be a hold of one’s own; a known one is not offered twice', () => {
    expect(names('Harbour lean')).toEqual(['“Harbour lean”']);
    expect(make('Harbour lean')).toMatchObject({ kind: 'hold', name: 'Harbour lean', position: 'own-new' });
    expect(names('Head to knee')).not.toContain('“Head to knee”');
    expect(make('x'.repeat(500))?.name).toHaveLength(120);
  });

  test('whatever is found can be put into a plan', () => {
    for (const { make: makeStep } of suggestSteps('', offer)) {
      for (const approach of ['restorative', 'yin', 'pranayama', 'blended'] as const) {
        expect(Plan.safeParse({ ...emptyPlan('Try', approach), steps: [makeStep('a', approach, null)] }).success).toBe(
          true,
        );
      }
    }
  });
});

describe('a step in a line', () => {
  const yin = TEMPLATES.find(({ id }) => id === 'yin')?.plan.steps ?? [];
  const say = (index: number): string => (yin[index] ? stepInWords(yin[index], builtInLibrary) : '');

  test('set-up, stages, counts', () => {
    expect(say(3)).toBe('blanket, 2 blocks');
    expect(say(7)).toBe('bolster, blanket · upright 1:00, then folded');
    expect(say(1)).toBe('in 5, out 5 · 18 breaths, 6/min');
    expect(stepInWords({ ...talkStep('t'), note: 'Ask about hands' }, builtInLibrary)).toBe('Ask about hands');
    expect(stepInWords(holdNamed('Harbour lean', 'h'), builtInLibrary)).toBe('not in your library');
  });

  test('counts of more than one set, holds full and empty, own pace', () => {
    const set = setOf('a', [cycleOf([4, 2, 6, 1])], 3);
    const of = (...sets: BreathSet[]) => countsInWords({ countSeconds: 1, sets });
    expect(of(set)).toBe('in 4, full 2, out 6, empty 1');
    expect(of(set, set)).toBe('in 4, full 2, out 6, empty 1 and 1 more set');
    expect(of(set, set, set)).toBe('in 4, full 2, out 6, empty 1 and 2 more sets');
    expect(of({ ...set, parts: [ownPaceOf(5, 6)] })).toBe('5 breaths at one’s own pace');
    expect(rateInWords(60 / 28)).toBe('2.14');
  });
});

test('entries of one’s own are offered beside the others and told apart', () => {
  const mine = { ...POSITIONS[0]!, id: 'own-seat' };
  const found = suggestSteps(mine.names.english, {
    ...offer,
    positions: [...POSITIONS, mine],
    isYours: (id) => id === 'own-seat',
  });
  expect(found.slice(0, 2).map(({ name, yours }) => [name, yours])).toEqual([
    [mine.names.english, false],
    [mine.names.english, true],
  ]);
  expect(found[1]!.make('a', 'yin', null)).toMatchObject({ position: 'own-seat' });
});
