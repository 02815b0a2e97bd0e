import { describe, expect, test } from '@jest/globals';
import { cycleOf, setOf } from '#core/breath';
import type { BreathMoves } from '#core/plan';
import { compileTimeline, moveCue, type BreathTimelinePhase } from '#core/timeline';
import { breathStep, noLibrary, planOf } from '../../tests/support/examples';

function series(moves: Partial<BreathMoves>, counts: [number, number, number, number], rounds: number) {
  const of: BreathMoves = { position: 'lift', into: 'out', outOf: 'in', sides: 'together', first: 'left', ...moves };
  const step = breathStep([setOf('a', [cycleOf(counts)], rounds)], { moves: of });
  const { phases, totals } = compileTimeline(planOf(step), noLibrary);
  const breaths = phases.filter((phase): phase is BreathTimelinePhase => 'round' in phase);
  const sequence = phases.map((phase) => {
    const cue = 'round' in phase ? moveCue(breaths, breaths.indexOf(phase), of) : '';
    return [phase.kind, phase.side, cue].filter(Boolean).join(' ');
  });
  return { sequence, totalMs: totals.totalMs };
}

describe('a counted series', () => {
  test('the first breath in has nothing to move out of; the last empty hold ends with the way out, one breath in long', () => {
    const { sequence, totalMs } = series({}, [4, 0, 6, 3], 2);
    expect(sequence).toEqual([
      'in both',
      'out both move in',
      'holdEmpty both stay',
      'in both move out',
      'out both move in',
      'holdEmpty both stay',
      'leave both',
    ]);
    expect(totalMs).toBe(26_000 + 4000);
  });

  test('a series that ends with the breath that moves out has no more to do', () => {
    const { sequence, totalMs } = series({ into: 'in', outOf: 'out' }, [4, 2, 6, 0], 1);
    expect(sequence).toEqual(['in both move in', 'holdFull both stay', 'out both move out']);
    expect(totalMs).toBe(12_000);
  });

  test('each side has a first breath and a way out of its own', () => {
    const { sequence } = series({ sides: 'each' }, [4, 0, 6, 0], 1);
    expect(sequence).toEqual([
      'in left',
      'out left move in',
      'leave left',
      'switch none',
      'in right',
      'out right move in',
      'leave right',
    ]);
  });

  test('sides in turn come out once, at the end', () => {
    const { sequence } = series({ sides: 'inTurn' }, [4, 0, 6, 0], 1);
    expect(sequence).toEqual(['in left', 'out left move in', 'in right move out', 'out right move in', 'leave right']);
  });
});

describe('a counted series as its teacher leads it', () => {
  test('comes out as it says, after the last hold of each side, and changes sides in the time it says', () => {
    const { sequence, totalMs } = series(
      { sides: 'each', switchSeconds: 0, exit: { seconds: 12, text: 'fall to the side' } },
      [4, 0, 6, 3],
      1,
    );
    expect(sequence).toEqual([
      'in left',
      'out left move in',
      'holdEmpty left stay',
      'leave left',
      'in right',
      'out right move in',
      'holdEmpty right stay',
      'leave right',
    ]);
    // (4 + 6 + 3 + 12) × 2
    expect(totalMs).toBe(50_000);
  });

  test('has no way out where that takes no time', () => {
    const { sequence } = series({ exit: { seconds: 0, text: '' } }, [4, 0, 6, 3], 1);
    expect(sequence.at(-1)).toBe('holdEmpty both stay');
  });

  test('says its own words for the moves, and the usual ones for those it leaves empty', () => {
    const says = { into: 'fall to the side', stay: '', outOf: 'come back' };
    const { sequence } = series({ says }, [4, 0, 6, 3], 2);
    expect(sequence.slice(1, 4)).toEqual(['out both fall to the side', 'holdEmpty both stay', 'in both come back']);
  });
});

test('an interrupted breath is led with its parts', () => {
  const part = cycleOf([6, 0, 6, 0], { inSteps: { parts: 3, pauseCounts: 2 } });
  const { phases } = compileTimeline(planOf(breathStep([setOf('a', [part], 1)])), noLibrary);
  expect(phases[0]).toMatchObject({ kind: 'in', endMs: 10_000, steps: { parts: 3, pauseMs: 2000 } });
});
