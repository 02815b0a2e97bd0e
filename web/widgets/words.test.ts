import { saidBetween, saidDuring } from '#core/script';
import { describe, expect, test } from '@jest/globals';
import { foldRun, runState, comingUp, type RunEvent } from '#core/run';
import { holdFrom, type HoldStep } from '#core/plan';
import { compileTimeline } from '#core/timeline';
import { builtInLibrary, POSITIONS, exitsOf } from '#library';
import { balanceInWords, classLength, groupAndApproach, people, spareInWords } from './session/words';
import { noLibrary, planOf, talk, workedHold } from '../../tests/support/examples';
import {
  comingDetail,
  comingTitle,
  countdown,
  lateInWords,
  litSide,
  sideInWords,
  stageWord,
} from '../pages/live/words';
import { localMoment } from '../state/days';

const document = planOf(workedHold, talk('end', 60));
const evening = compileTimeline(document, noLibrary);
const started: RunEvent = { id: 'event-started', atMs: 0, kind: 'started' };
const state = (seconds: number) => runState(evening, [started], seconds * 1000);

describe('about a plan', () => {
  test('people, class, what is to spare or over', () => {
    expect([people(1), people(12)]).toEqual(['1 person', '12 people']);
    expect([classLength(4_500_000), classLength(450_000), classLength(6_000_000)]).toEqual(['75', '7:30', '1:40:00']);
    expect(spareInWords(evening)).toBe('3:50 to spare');
    expect(spareInWords(compileTimeline({ ...document, classSeconds: 600 }, noLibrary))).toBe('1:10 over');
    expect(groupAndApproach({ ...document, group: 'Potters', approach: 'pranayama' })).toBe('Potters · Pranayama');
  });

  test('the balance of sides', () => {
    const uneven = {
      ...workedHold,
      sides: { kind: 'each', first: 'left', length: { kind: 'perSide', left: 200, right: 240 } },
    } as const;
    expect(balanceInWords(evening)).toBe('both sides equal');
    expect(balanceInWords(compileTimeline(planOf(uneven), noLibrary))).toBe('left side 0:40 shorter');
    expect(balanceInWords(compileTimeline(planOf(talk('a', 9)), noLibrary))).toBe('');
  });
});

describe('while teaching', () => {
  test('the side as a word and by place', () => {
    const words = [10, 50, 100, 290, 310, 400, 640].map((seconds) => {
      const now = state(seconds);
      return [now.phase && stageWord(now.phase), litSide(now)];
    });
    expect(words).toEqual([
      ['Set up', 'both'],
      ['Getting in', 'left'],
      ['Left', 'left'],
      ['Coming out', 'both'],
      ['Change sides', 'both'],
      ['Right', 'right'],
      ['Talk', 'both'],
    ]);
  });

  test('a time that runs out is rounded up; late and early are told from a quarter of a minute', () => {
    expect([countdown(59_001), countdown(60_000), countdown(1), countdown(0)]).toEqual([
      '1:00',
      '1:00',
      '0:01',
      '0:00',
    ]);
    expect([0, 14_000, 80_000, -40_000].map(lateInWords)).toEqual(['on time', 'on time', '1:20 late', '0:40 early']);
  });

  test('what comes next, by side in the same step and by name in another', () => {
    const [right, close] = comingUp(foldRun(evening, [started]), 2, 2);
    if (!right || !close) throw new Error('nothing is coming');
    expect(comingTitle(document, right, true)).toBe('Right, 3:40');
    expect(comingTitle(document, close, false)).toBe('Talk, 1:00');
    const [first] = comingUp(foldRun(evening, [started]), 0, 1);
    if (!first) throw new Error('nothing is coming');
    expect([comingTitle(document, first, false), comingDetail(document, first, false, noLibrary)]).toEqual([
      'Head to knee, 3:40',
      'left first',
    ]);
  });

  test('a release has its own name; a side and the way in and out are in the teacher’s words, for the side that is meant', () => {
    const janu = holdFrom(builtInLibrary.position('head-to-knee')!, 'yin', 'own');
    const written = { ...janu, loosen: { when: 'afterEach' as const, seconds: 20, text: 'Rock the pelvis' } };
    const phasesOf = (hold: HoldStep) => {
      const plan = planOf(hold);
      const { phases } = compileTimeline(plan, builtInLibrary);
      return { plan, of: (kind: string, side = 'none') => phases.find((p) => p.kind === kind && p.side === side)! };
    };
    const { plan, of } = phasesOf(written);
    expect(stageWord(of('loosen'), plan.steps[0])).toBe('Rock the pelvis');
    expect(stageWord(of('loosen'))).toBe('Release');
    // As the library has it: the left leg is straight on the left side.
    expect(sideInWords(plan, of('hold', 'right'), builtInLibrary)).toBe('the right leg is straight');
    expect(saidDuring(plan, of('enter', 'left'), builtInLibrary).length).toBeGreaterThan(0);
    expect(saidDuring(plan, of('hold', 'left'), builtInLibrary)).toEqual([]);
    const own = phasesOf({ ...written, leftMeans: 'left knee bent', waysOut: ['Left hand to the floor'], waysIn: [] });
    expect(sideInWords(own.plan, own.of('hold', 'right'), builtInLibrary)).toBe('right knee bent');
    expect(saidDuring(own.plan, own.of('leave', 'right'), builtInLibrary)).toEqual(['Right hand to the floor']);
    expect(saidDuring(own.plan, own.of('enter', 'right'), builtInLibrary)).toEqual([]);
  });
});

test('a moment of this place, each part with two digits', () => {
  expect(localMoment(new Date(2026, 0, 5, 7, 4))).toBe('2026-01-05T07:04');
  expect(localMoment(new Date(2026, 10, 26, 18, 30))).toBe('2026-11-26T18:30');
});

test('a stage in another position has that position’s side, and its way in while the change goes on', () => {
  const stage = (id: string, position: string | null) => ({
    id,
    name: id,
    length: { kind: 'share' as const, weight: 1 },
    breathSeconds: null,
    position,
    setUp: null,
  });
  const swan = holdFrom(builtInLibrary.position('swan-upright')!, 'yin', 'swan');
  const plan = planOf({ ...swan, stages: [stage('up', null), stage('down', 'head-to-knee'), stage('still', null)] });
  const held = compileTimeline(plan, builtInLibrary).phases.filter(
    ({ kind, side }) => kind === 'hold' && side === 'right',
  );
  expect(held.map((phase) => sideInWords(plan, phase, builtInLibrary)).slice(1)).toEqual([
    'the right leg is straight',
    'the right leg is straight',
  ]);
  expect(sideInWords(plan, held[0]!, builtInLibrary)).not.toBe('the right leg is straight');
  expect(held.map((phase) => saidBetween(plan, phase, builtInLibrary).length > 0)).toEqual([false, true, false]);
});

test('every position that is folded or lies down can be left in a usual way other than its own', () => {
  for (const position of POSITIONS) {
    const ways = exitsOf(position);
    expect(new Set(ways.map(({ id }) => id)).size).toBe(ways.length);
    for (const { lines } of ways) expect(lines.join('\n')).not.toBe(position.waysOut.join('\n'));
  }
  const names = (id: string) => exitsOf(builtInLibrary.position(id)!).map(({ name }) => name);
  expect(names('seated-fold')).toEqual(['Rolling up from the tailbone', 'Head first, with a long back']);
  expect(names('last-rest')).toContain('Over the side');
  expect(names('chair-seat')).toEqual([]);
});
