import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  breathProgram,
  cycleOf,
  ownPaceOf,
  recoverOf,
  retentionOf,
  setOf,
  strokesOf,
  type BreathPart,
  type CyclePart,
} from '#core/breath';
import { practice } from '../../../tests/support/arbitraries';
import { breathHill, breathWay } from './hill';
import { breathWord, paceDetail, paceHalf, paceNumber, paceWord, partOf, placeNow, throughWord } from './pace';

const practised = (...parts: BreathPart[]) => ({ countSeconds: 1, sets: [setOf('a', parts, 1)] });
const phases = (...parts: BreathPart[]) => breathProgram(practised(...parts));

describe('the number that is shown', () => {
  test('counts of a counted breath, from one on', () => {
    const [breathIn] = phases(cycleOf([4, 0, 4, 0]));
    expect([0, 999, 1000, 3999, 4000].map((ms) => paceNumber(breathIn!, ms, 4000))).toEqual(['1', '1', '2', '4', '4']);
  });

  test('strokes as they come; seconds up in a hold as long as easy, down in one that is not', () => {
    const [strokes, easy, still] = phases(
      strokesOf(30, 60),
      retentionOf('full', 20, { asLongAsEasy: true }),
      retentionOf('empty', 10),
    );
    expect(paceNumber(strokes!, 9500, 30_000)).toBe('10');
    expect(paceNumber(easy!, 7200, 20_000)).toBe('0:07');
    expect(paceNumber(still!, 3500, 10_000)).toBe('0:07');
  });
});

describe('what is said', () => {
  const parts = [
    cycleOf([4, 4, 6, 0], { inThrough: 'left', outThrough: 'right', sound: 'throat', locks: ['root', 'chin'] }),
    ownPaceOf(1, 8, { sound: 'hum' }),
    retentionOf('empty', 12, { asLongAsEasy: true, pulses: 1, locks: ['belly'] }),
    recoverOf(15),
  ];
  const program = phases(...parts);

  test('word and detail of every phase', () => {
    expect(program.map((phase) => [breathWord(phase), paceDetail(phase, partOf(practised(...parts), phase))])).toEqual([
      ['In', 'left nostril, throat sound'],
      ['Hold full', 'root lock, chin lock'],
      ['Out', 'right nostril, throat sound'],
      ['Own pace', '1 breath, as they come, humming'],
      ['Hold empty', 'as long as it is easy, belly lock, 1 pulse'],
      ['Recover', 'let it come and go'],
    ]);
    expect(throughWord(program[1]!)).toBe('');
  });

  test('the half is the nostril’s: by place in, across, and down the other side', () => {
    expect(program.slice(0, 3).map((phase) => paceHalf(phase, 1))).toEqual(['left', 'none', 'right']);
    expect(program.slice(0, 3).map((phase) => paceHalf(phase, -1))).toEqual(['right', 'none', 'left']);
    expect(paceHalf(program[3]!, 1)).toBe('none');
  });
});

test('every phase of every practice has a way of numbers within its frame, with marks at their moments', () => {
  const frame = { width: 600, height: 120 };
  fc.assert(
    fc.property(practice, (any) => {
      for (const phase of breathProgram(any).slice(0, 12)) {
        const lengthMs = phase.endMs - phase.startMs;
        const hill = 'counts' in phase ? breathHill([phase], frame) : breathWay(phase, lengthMs, frame);
        expect(hill.path).toMatch(/^M[-\d.]+ [-\d.]+(L[-\d.]+ [-\d.]+)+$/);
        expect(hill.totalMs).toBe(lengthMs);
        for (const { x, y, atMs } of hill.stones) {
          expect(x).toBeGreaterThanOrEqual(0);
          expect(x).toBeLessThanOrEqual(frame.width);
          expect(y).toBeLessThanOrEqual(frame.height);
          expect(atMs).toBeLessThanOrEqual(lengthMs);
        }
        expect(paceNumber(phase, lengthMs / 2, lengthMs)).toMatch(/^\d+(:\d\d)?$/);
      }
    }),
  );
});

describe('an interrupted breath', () => {
  const part = cycleOf([6, 0, 6, 0], { inSteps: { parts: 3, pauseCounts: 2 } });
  const [phase] = breathProgram({ countSeconds: 1, sets: [setOf('a', [part], 1)] });
  const at = (ms: number) => [paceWord(phase!, ms), paceNumber(phase!, ms, 10_000)];

  test('says which part it is in, counts it from one, and says when it pauses', () => {
    expect([0, 1500, 2500, 3500, 4500, 9000].map(at)).toEqual([
      ['In, 1 of 3', '1'],
      ['In, 1 of 3', '2'],
      ['Pause', '1'],
      ['Pause', '2'],
      ['In, 2 of 3', '1'],
      ['In, 3 of 3', '2'],
    ]);
  });
});

describe('a wave', () => {
  const places = (rest: Partial<CyclePart>) => {
    const part = cycleOf([6, 1, 6, 1], { wave: ['belly', 'sideRibs', 'upperChest'], ...rest });
    const phases = breathProgram({ countSeconds: 1, sets: [setOf('a', [part], 1)] });
    const along = [0, 0.5, 0.99];
    return phases.map((phase) => along.map((moved) => placeNow(part, phase, moved)));
  };
  const [belly, ribs, chest] = ['belly', 'sideRibs', 'upperChest'];

  test('fills from the belly up and empties from above, place by place', () => {
    expect(places({})).toEqual([
      [belly, ribs, chest],
      [chest, chest, chest],
      [chest, ribs, belly],
      [null, null, null],
    ]);
  });

  test('empties from below where that is said, and from above when it filled from above', () => {
    expect(places({ outDirection: 'fromBelow' })[2]).toEqual([belly, ribs, chest]);
    expect(places({ outDirection: 'fromAbove' })[2]).toEqual([chest, ribs, belly]);
    const down = { wave: ['upperChest', 'sideRibs', 'belly'] } as const satisfies Partial<CyclePart>;
    expect(places({ wave: [...down.wave], outDirection: 'fromAbove' })[2]).toEqual([chest, ribs, belly]);
    expect(places({ wave: [...down.wave] })[2]).toEqual([belly, ribs, chest]);
  });
});
