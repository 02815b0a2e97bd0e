import { describe, expect, test } from '@jest/globals';
import { emptyPlan, holdFrom, Plan, talkStep, withLengths } from '#core/plan';
import { forecastFinish, pacesOf } from '#core/review';
import { compileTimeline } from '#core/timeline';
import { fitToEndOnTime, usualFitOptions } from '#core/fit';
import { builtInLibrary, POSITIONS } from '#library';

const plan = Plan.parse({
  ...emptyPlan('Evening', 'yin'),
  steps: [talkStep('welcome', 'Welcome', 240), ...POSITIONS.slice(0, 8).map((one, i) => holdFrom(one, 'yin', `s${i}`))],
});
const timeline = compileTimeline(plan, builtInLibrary);
const sure = (classSeconds: number) => {
  const planned = { plan: { ...plan, classSeconds }, library: builtInLibrary };
  return fitToEndOnTime(
    planned,
    { ...usualFitOptions(planned.plan, builtInLibrary), gridSeconds: 15 },
    pacesOf([]),
    4,
    2000,
  );
};
const planned = timeline.totals.totalMs / 1000;

describe('to be nine in ten sure to end by the hour', () => {
  test('nothing where it is so already', () => {
    expect(sure(Math.min(21_600, planned * 1.5))).toEqual({ kind: 'already' });
  });

  test('what is shortened does it, and not by much more than it takes', () => {
    const found = sure(Math.round(planned));
    if (found.kind !== 'shorten') throw new Error(found.kind);
    expect(found.forecast.lateMs).toBeLessThanOrEqual(Math.round(planned) * 1000);
    expect(found.forecast.lateMs).toBeGreaterThan(Math.round(planned) * 1000 - 90_000);
    const fitted = { ...withLengths(plan, found.lengths), classSeconds: Math.round(planned) };
    expect(forecastFinish(compileTimeline(fitted, builtInLibrary), pacesOf([]), 4, 2000).lateMs).toBe(
      found.forecast.lateMs,
    );
  });

  test('where nothing does it, it is told how late it would be', () => {
    const found = sure(900);
    expect(found.kind === 'cannot' && found.lateMs > 900_000).toBe(true);
  });
});
