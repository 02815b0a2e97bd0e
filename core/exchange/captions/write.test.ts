import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { cycleOf, setOf } from '#core/breath';
import { holdNamed, type HoldStep } from '#core/plan';
import { compileTimeline } from '#core/timeline';
import { builtInLibrary } from '#library';
import { plan as anyPlan } from '../../../tests/support/arbitraries';
import { breathStep, noLibrary, planOf, talk, workedHold } from '../../../tests/support/examples';
import { breathCountsOf, captionsOf, chaptersOf, webVtt, type CaptionCue } from './index';

const TIME = /^(\d{2,}):([0-5]\d):([0-5]\d)\.(\d{3}) --> (\d{2,}):([0-5]\d):([0-5]\d)\.(\d{3})$/;
const ENTITIES: Readonly<Record<string, string>> = { '&amp;': '&', '&lt;': '<', '&gt;': '>' };

/** A strict reader of WebVTT files: blocks between empty lines, a line of times and then text, without mark-up. */
function readVtt(file: string): { header: string; cues: CaptionCue[] } {
  const [header = '', ...blocks] = file.trimEnd().split(/\n{2,}/);
  expect(header).toMatch(/^WEBVTT( [^\n]*)?$/);
  expect(header).not.toContain('-->');
  const cues = blocks.map((block) => {
    const [times = '', ...lines] = block.split('\n');
    const parts = TIME.exec(times);
    expect([times, parts !== null, lines.length > 0]).toEqual([times, true, true]);
    const [h, m, s, ms, toH, toM, toS, toMs] = (parts ?? []).slice(1).map(Number) as number[];
    expect(lines.join('\n')).not.toMatch(/-->|[<>]|&(?!amp;|lt;|gt;)/);
    return {
      startMs: ((h! * 60 + m!) * 60 + s!) * 1000 + ms!,
      endMs: ((toH! * 60 + toM!) * 60 + toS!) * 1000 + toMs!,
      text: lines.join('\n').replace(/&(amp|lt|gt);/g, (entity) => ENTITIES[entity] ?? entity),
    };
  });
  return { header, cues };
}

describe('captions of a plan', () => {
  const hold: HoldStep = {
    ...workedHold,
    name: 'Twist',
    note: 'Not for the film.',
    waysIn: ['Lie down.', 'Knees over.'],
    waysOut: ['Come up.'],
    prompts: [{ id: 'p', at: { kind: 'half' }, text: 'Soften', on: 'every' }],
  };
  const plan = planOf(hold, talk('close', 60));
  const timeline = compileTimeline(plan, noLibrary);

  test('by hand: each stands until it is read or the next comes; notes stay with the teacher', () => {
    const cues = captionsOf(plan, timeline, noLibrary).map(({ startMs, endMs, text }) => [startMs, endMs, text]);
    expect(cues.slice(0, 5)).toEqual([
      // Eleven words: 1.5 s and 5.5 s.
      [0, 7000, 'Twist, 3 minutes 40 seconds on each side. First the left.'],
      [40_000, 42_500, 'Lie down.'],
      [52_000, 54_500, 'Knees over.'],
      [175_000, 177_000, 'Soften.'],
      [285_000, 287_500, 'Come up.'],
    ]);
    expect(JSON.stringify(cues)).not.toContain('Not for the film');
    expect(cues.at(-1)).toEqual([610_000, 613_000, 'Talk, 1 minute.']);
  });

  test('a film that began before the class has them later; of one that began after it, what is over is left out', () => {
    const first = (offsetMs: number) => captionsOf(plan, timeline, noLibrary, offsetMs)[0];
    expect(first(90_000)).toMatchObject({ startMs: 90_000, endMs: 97_000 });
    expect(first(-5000)).toMatchObject({ startMs: 0, endMs: 2000 });
    expect(first(-8000)).toMatchObject({ startMs: 32_000, text: 'Lie down.' });
  });

  test('a chapter for each step, from its beginning to its end', () => {
    expect(chaptersOf(plan, timeline)).toEqual([
      { startMs: 0, endMs: 610_000, text: 'Twist' },
      { startMs: 610_000, endMs: 670_000, text: 'Talk' },
    ]);
  });

  test('any plan: in order, never over one another, within the class; and read back from the file as they were', () => {
    fc.assert(
      fc.property(anyPlan, fc.integer({ min: -600_000, max: 600_000 }), (any, offsetMs) => {
        const compiled = compileTimeline(any, builtInLibrary);
        const cues = captionsOf(any, compiled, builtInLibrary, offsetMs);
        for (const [i, { startMs, endMs }] of cues.entries()) {
          expect(startMs).toBeGreaterThanOrEqual(cues[i - 1]?.endMs ?? 0);
          expect(endMs).toBeGreaterThan(startMs);
          expect(endMs).toBeLessThanOrEqual(compiled.totals.totalMs + Math.max(0, offsetMs));
        }
        const clean = (text: string) =>
          text
            .split(/\r\n|\r|\n/)
            .filter((line) => line.trim() !== '')
            .join('\n');
        expect(readVtt(webVtt(any.title, cues)).cues).toEqual(
          cues.map((cue) => ({ ...cue, text: clean(cue.text) })).filter(({ text }) => text !== ''),
        );
      }),
      { numRuns: 60 },
    );
  });
});

describe('counts of the breath', () => {
  test('one cue for each count, of a practice and of a breath inside a hold', () => {
    const practice = { countSeconds: 1.5, sets: [setOf('a', [cycleOf([2, 1, 3, 0])], 1)] };
    const step = { ...breathStep(practice.sets), practice };
    const lying: HoldStep = {
      ...holdNamed('Lie', 'lie'),
      sides: { kind: 'together', seconds: 60 },
      setupSeconds: 0,
      enterSeconds: 0,
      leaveSeconds: 0,
      breath: { technique: 'even', name: 'Even', practice, settleSeconds: 30, fill: false },
    };
    const counts = breathCountsOf(compileTimeline(planOf(step, lying), noLibrary));
    const once = ['In 1', 'In 2', 'Hold 1', 'Out 1', 'Out 2', 'Out 3'];
    expect(counts.map(({ text }) => text)).toEqual([...once, ...once]);
    expect(counts.map(({ startMs }) => startMs)).toEqual([
      ...[0, 1500, 3000, 4500, 6000, 7500],
      ...[0, 1500, 3000, 4500, 6000, 7500].map((ms) => 9000 + 30_000 + ms),
    ]);
    expect(counts.every(({ startMs, endMs }) => endMs - startMs === 1500)).toBe(true);
  });
});

test('a file holds no mark-up, no arrow and no empty line of its own', () => {
  const file = webVtt('Evening --> <b>\nnight', [
    { startMs: 3_723_004, endMs: 3_725_000, text: '1 < 2 & 3 --> 4\n\n<i>soft</i>' },
    { startMs: 0, endMs: 1, text: '  \n' },
  ]);
  const { header, cues } = readVtt(file);
  expect(header).toBe('WEBVTT Evening → <b> night');
  expect(cues).toEqual([{ startMs: 3_723_004, endMs: 3_725_000, text: '1 < 2 & 3 --> 4\n<i>soft</i>' }]);
});
