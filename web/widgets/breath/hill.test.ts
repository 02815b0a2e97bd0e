import { describe, expect, test } from '@jest/globals';
import { breathProgram, cycleOf, setOf, type CountedPhase } from '#core/breath';
import { compileTimeline, type CountedBreathPhase } from '#core/timeline';
import { breathFrom } from '#core/plan';
import { builtInLibrary, TECHNIQUES } from '#library';
import { planOf } from '../../../tests/support/examples';
import { breathHill } from './hill';

const frame = { width: 1200, height: 220 };
const alternate = TECHNIQUES.find(({ id }) => id === 'alternate-nostrils');
if (!alternate) throw new Error('no technique');
const phases = compileTimeline(planOf(breathFrom(alternate, 'a')), builtInLibrary).phases.filter(
  (phase): phase is CountedBreathPhase => 'counts' in phase,
);
const cycle = (n: number) => phases.filter((phase) => phase.cycle === n);

describe('the hill', () => {
  test('a breath in through the left climbs from the left, the next one walks back', () => {
    const there = breathHill(cycle(1), frame);
    const back = breathHill(cycle(2), frame);
    expect([there.direction, back.direction]).toEqual([1, -1]);
    expect(there.xAt(0)).toBeLessThan(600);
    expect(there.xAt(there.totalMs)).toBeCloseTo(back.xAt(0));
    expect(back.xAt(back.totalMs)).toBeCloseTo(there.xAt(0));
  });

  test('one stone a count, lit at its count, along the path; the top is in the middle', () => {
    const { stones, xAt, totalMs } = breathHill(cycle(1), frame);
    expect(stones.map(({ atMs }) => atMs)).toEqual([0, 1000, 2000, 3000, 4000, 5000, 6000, 7000]);
    expect(stones[4]).toMatchObject({ x: 600, y: 0 });
    expect(stones.every(({ x, atMs }) => Math.abs(x - xAt(atMs)) < 0.01)).toBe(true);
    expect(totalMs).toBe(8000);
  });

  test('a long cycle is drawn closer together, within the frame', () => {
    const long = cycle(1).map((phase) => ({ ...phase, counts: 40, endMs: phase.startMs + 40_000 }));
    const { stones } = breathHill(long, frame);
    expect(Math.min(...stones.map(({ x }) => x))).toBeGreaterThan(0);
    expect(Math.max(...stones.map(({ x }) => x))).toBeLessThan(1200);
  });
});

test('an interrupted breath goes up in stairs: level while it pauses, a stone for every count and every beat of a pause', () => {
  const part = cycleOf([6, 0, 6, 0], { inSteps: { parts: 3, pauseCounts: 2 } });
  const quarters = breathProgram({ countSeconds: 1, sets: [setOf('a', [part], 1)] }) as CountedPhase[];
  const hill = breathHill(quarters, frame);
  const heightAt = (second: number) => hill.stones.find(({ atMs }) => atMs === second * 1000)!.y;
  expect(hill.stones).toHaveLength(16);
  expect([2, 3, 4].map(heightAt)).toEqual(Array(3).fill(heightAt(2)));
  expect([0, 2, 6, 10].map(heightAt).map((y) => Math.round(y))).toEqual([220, 147, 73, 0]);
  for (const { x } of hill.stones) {
    expect(x).toBeGreaterThan(0);
    expect(x).toBeLessThan(frame.width);
  }
});
