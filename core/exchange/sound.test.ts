import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { cycleOf, setOf } from '#core/breath';
import { cuesAhead, foldRun } from '#core/run';
import { compileTimeline, DEFAULT_RULES } from '#core/timeline';
import { builtInLibrary } from '#library';
import { plan as anyPlan } from '../../tests/support/arbitraries';
import { breathStep, noLibrary, planOf } from '../../tests/support/examples';
import { mixed, soundKey, soundsOf, stretchesOf } from './sound';

const ALL = { bells: true, tones: true, counts: true };

describe('the sounds of a plan', () => {
  test('are those that are heard when it is led without a change', () => {
    fc.assert(
      fc.property(anyPlan, (plan) => {
        const timeline = compileTimeline(plan, builtInLibrary);
        const run = foldRun(timeline, [{ id: 'event-start', atMs: 0, kind: 'started' }]);
        const heard = cuesAhead(DEFAULT_RULES, run, 0, timeline.totals.totalMs).flatMap((cue) =>
          cue.kind === 'prompt'
            ? []
            : [`${cue.atMs} ${cue.kind === 'bell' ? cue.bell : `${cue.tone} ${cue.lengthMs}`}`],
        );
        const sounds = soundsOf(timeline, ALL).map(({ atMs, sound }) => `${atMs} ${soundKey(sound)}`);
        expect([...sounds].sort()).toEqual([...heard].sort());
      }),
      { numRuns: 200 },
    );
  });

  test('are only those that are wanted', () => {
    const plan = planOf(breathStep([setOf('s', [cycleOf([3, 0, 4, 0])], 2)]));
    const timeline = compileTimeline(plan, noLibrary);
    const keys = (wanted: Partial<typeof ALL>): string[] =>
      soundsOf(timeline, { bells: false, tones: false, counts: false, ...wanted }).map(({ sound }) => soundKey(sound));
    expect(keys({})).toEqual([]);
    expect(keys({ counts: true })).toEqual(Array.from({ length: 14 }, () => 'count 60'));
    expect(keys({ tones: true })).toEqual(['in 3000', 'out 4000', 'in 3000', 'out 4000']);
    expect(keys({ bells: true })).toEqual(timeline.bells.map(({ kind }) => kind));
  });
});

describe('the stretches of a recording', () => {
  const PACKET = 4;
  const clips = fc.array(
    fc.array(
      fc.integer({ min: -50, max: 50 }).map((n) => n / 100),
      { minLength: 1, maxLength: 14 },
    ),
    { minLength: 1, maxLength: 4 },
  );
  const recording = clips.chain((all) =>
    fc.record({
      clips: fc.constant(all.map((samples) => Float32Array.from(samples))),
      sounds: fc.array(
        fc.record({ clip: fc.integer({ min: 0, max: all.length - 1 }), at: fc.integer({ min: 0, max: 200 }) }),
        { maxLength: 12 },
      ),
    }),
  );

  test('put together they are what comes out when everything is mixed sample by sample', () => {
    fc.assert(
      fc.property(recording, ({ clips: samples, sounds }) => {
        const whole = Array.from({ length: 260 }, (_, at) => {
          const sum = sounds.reduce(
            (all, { clip, at: from }) => Math.fround(all + (samples[clip]![at - from] ?? 0)),
            0,
          );
          return Math.max(-1, Math.min(1, sum));
        });
        const lengths = samples.map(({ length }) => length);
        const together = new Float32Array(260);
        let end = -1;
        const byKey = new Map<string, string>();
        for (const stretch of stretchesOf(sounds, lengths, PACKET)) {
          // Silence lies between them, at least what the encoder looks back on.
          expect(stretch.firstPacket).toBeGreaterThan(end);
          end = stretch.firstPacket + stretch.packets;
          const own = mixed(stretch, samples, PACKET);
          together.set(own, stretch.firstPacket * PACKET);
          expect([...own.subarray(-PACKET)].every((sample) => sample === 0)).toBe(true);
          expect(byKey.get(stretch.key) ?? String(own)).toBe(String(own));
          byKey.set(stretch.key, String(own));
        }
        for (const [at, sample] of whole.entries()) expect(together[at]).toBeCloseTo(sample, 5);
      }),
    );
  });
});
