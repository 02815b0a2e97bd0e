import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { compileTimeline } from '#core/timeline';
import { plan } from '../../../tests/support/arbitraries';
import { noLibrary, planOf, talk, workedHold } from '../../../tests/support/examples';
import { ribbonBlocks, type HoldBlock, type WaveBlock } from '#core/timeline';
import { axisMinutes, axisTicks, laneLabels, shorterSides } from './labels';
import { blockShapes, dot, holdEdges, ribbonShapes, softEnd, waveFactor, type RibbonScale } from './shapes';

const scale: RibbonScale = { x0: 10, pxPerMs: 1 / 1000, height: 36, thread: 3 };
const blocksOf = (document: Parameters<typeof compileTimeline>[0]) =>
  ribbonBlocks(compileTimeline(document, noLibrary).phases, (i) => document.steps[i]);

describe('blocks', () => {
  test('a two-sided hold is two blocks that carry their ways in and out', () => {
    const holds = blocksOf(planOf(workedHold)).filter((block) => block.kind === 'hold');
    expect(holds.map(({ side, enterMs, startMs, endMs, leaveMs }) => [side, enterMs, startMs, endMs, leaveMs])).toEqual(
      [
        ['left', 40_000, 65_000, 285_000, 305_000],
        ['right', 320_000, 345_000, 565_000, 585_000],
      ],
    );
  });

  test('blocks with their shoulders cover the time without a gap', () => {
    fc.assert(
      fc.property(plan, (any) => {
        const timeline = compileTimeline(any, noLibrary);
        let at = 0;
        for (const block of ribbonBlocks(timeline.phases, (i) => any.steps[i])) {
          expect(block.kind === 'hold' ? block.enterMs : block.startMs).toBe(at);
          at = block.kind === 'hold' ? block.leaveMs : block.endMs;
        }
        expect(at).toBe(timeline.totals.totalMs);
      }),
    );
  });

  test('the shorter side is found with exactly what it misses', () => {
    const sides = {
      kind: 'each' as const,
      first: 'left' as const,
      length: { kind: 'perSide' as const, left: 270, right: 230 },
    };
    const holds = blocksOf(planOf({ ...workedHold, sides })).filter(
      (block): block is HoldBlock => block.kind === 'hold',
    );
    expect(shorterSides(holds).map(({ block, missingMs }) => [block.side, missingMs])).toEqual([['right', 40_000]]);
    expect(
      shorterSides(blocksOf(planOf(workedHold)).filter((block): block is HoldBlock => block.kind === 'hold')),
    ).toEqual([]);
  });
});

describe('shapes', () => {
  test('left rises, right hangs, both lies across, crossing leans', () => {
    expect(holdEdges({ side: 'left', crossing: false }, 36)).toEqual([-36, 0]);
    expect(holdEdges({ side: 'right', crossing: false }, 36)).toEqual([-0, 36]);
    expect(holdEdges({ side: 'both', crossing: false }, 36)).toEqual([-18, 18]);
    expect(holdEdges({ side: 'left', crossing: true }, 36)).toEqual([-27, 9]);
    expect(holdEdges({ side: 'right', crossing: true }, 36)).toEqual([-9, 27]);
  });

  test('every block of every plan has a shape with only numbers in it, within the ribbon', () => {
    fc.assert(
      fc.property(plan, (any) => {
        const blocks = blocksOf(any);
        const factor = waveFactor(blocks, scale.pxPerMs);
        for (const block of blocks) {
          for (const { d } of blockShapes(block, scale, factor)) {
            expect(d).toMatch(/^M[-\d. MCHVLqtaZ]+$/i);
            expect(d).not.toMatch(/NaN|Infinity/);
          }
        }
      }),
    );
  });

  test('dense breath is drawn several cycles to a wave, one factor for the ribbon', () => {
    const wave = {
      kind: 'wave',
      stepIndex: 0,
      startMs: 0,
      endMs: 100_000,
      side: 'both',
      rounds: [
        {
          startMs: 0,
          quarters: [
            { kind: 'in', ms: 5000 },
            { kind: 'out', ms: 5000 },
          ],
          cycles: 1,
        },
      ],
    } satisfies WaveBlock;
    const blocks = [wave];
    expect(waveFactor(blocks, 1 / 1000)).toBe(1);
    expect(waveFactor(blocks, 1 / 10_000)).toBe(3);
    expect(waveFactor(blocksOf(planOf(talk('a', 60))), 1)).toBe(1);
  });
});

test('labels: number and name, the number alone, or nothing', () => {
  const entries = [
    { x: 0, number: 1, names: ['Child’s pose on a long bolster, wide', 'Child’s pose'] },
    { x: 200, number: 2, names: ['Head to knee'] },
    { x: 230, number: 3, names: ['Rest'] },
    { x: 236, number: 4, names: ['Rest'] },
  ];
  expect(laneLabels(entries, 400).map(({ text }) => text)).toEqual(['1 Child’s pose', '2', '', '4 Rest']);
});

test('the axis is marked in round minutes', () => {
  expect(axisMinutes(1078 / (75 * 60_000))).toBe(5);
  expect(axisMinutes(1078 / (10 * 60_000))).toBe(1);
  expect(axisMinutes(300 / (90 * 60_000))).toBe(20);
});

test('marks lie at round minutes of the session, or of the clock', () => {
  const pxPerMs = 12 / 60_000;
  expect(axisTicks(pxPerMs, 12 * 60_000)).toEqual([0, 300_000, 600_000]);
  const at1802 = Date.UTC(2026, 10, 19, 18, 2);
  expect(axisTicks(pxPerMs, 12 * 60_000, at1802)).toEqual([180_000, 480_000]);
  expect(axisTicks(pxPerMs, 60_000, at1802)).toEqual([]);
});

test('a soft end is as high at each moment as the share of evenings that still go on', () => {
  const scale: RibbonScale = { x0: 0, pxPerMs: 1 / 1000, height: 40, thread: 3 };
  const path = softEnd({ earlyMs: 100_000, middleMs: 110_000, lateMs: 130_000 }, scale);
  expect(path).toBe('M100 -18L110 -10L130 -2V2L110 10L100 18Z');
});

describe('a ribbon as few paths', () => {
  test('has everything that its blocks have, each look once, the bands behind what is breathed in them', () => {
    fc.assert(
      fc.property(plan, (any) => {
        const blocks = blocksOf(any);
        const single = blocks.flatMap((block) => blockShapes(block, scale, waveFactor(blocks, scale.pxPerMs)));
        const joined = ribbonShapes(blocks, scale);
        const looks = joined.map(({ look }) => look);
        expect(new Set(looks).size).toBe(looks.length);
        for (const { look, d } of joined) {
          expect(d).toBe(
            single
              .filter((shape) => shape.look === look)
              .map((shape) => shape.d)
              .join(''),
          );
        }
        expect(new Set(looks)).toEqual(new Set(single.map(({ look }) => look)));
        const [band, breath] = [looks.indexOf('breath-band'), looks.indexOf('breath')];
        if (breath >= 0) expect(band).toBeLessThan(breath);
        if (looks.includes('cut')) expect(looks.at(-1)).toBe('cut');
      }),
    );
  });

  test('a dot is a circle about its middle', () => {
    expect(dot(10, -4, 1.5)).toBe('M8.5 -4a1.5 1.5 0 1 1 3 0a1.5 1.5 0 1 1 -3 0');
  });
});
