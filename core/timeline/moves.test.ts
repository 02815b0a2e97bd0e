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
