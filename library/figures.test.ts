import { describe, expect, test } from '@jest/globals';
import {
  clearanceOf,
  draw,
  jointsPastLimits,
  measure,
  mirrorFigure,
  ORDINARY,
  poseByJoints,
  settle,
  STIFF,
  SUPPLE,
  svgOf,
} from '#core/body';
import { mirrorSetUp, placedProps } from '#core/props';
import { builtInLibrary, POSITIONS } from '#library';
import { standardFigures } from '#library/standard';
import { propRow } from '../tests/support/examples';

const BODIES = [
  ['stiff', STIFF],
  ['ordinary', ORDINARY],
  ['supple', SUPPLE],
] as const;
const propsOf = (id: string, without: readonly string[] = []) =>
  placedProps(builtInLibrary.position(id)!.setUps[0]!.items, 'left').filter(({ place }) => !without.includes(place));
const figureOf = (id: string) => builtInLibrary.position(id)!.figure;

describe.each(POSITIONS.map((entry) => [entry.id, entry] as const))('the figure of %s', (id, entry) => {
  test('every set-up lets it come to rest, and nobody sinks into a prop', () => {
    for (const { items } of entry.setUps) {
      const settled = settle(entry.figure, placedProps(items, 'left'), 165, ORDINARY);
      expect(settled.log.filter(({ how }) => how === 'stuck')).toEqual([]);
      // Measured beyond what flesh and prop give; the edges of soft props are not modelled finer than this.
      expect(clearanceOf(settled)).toBeGreaterThan(-5);
    }
  });

  test('reaches what it is to reach', () => {
    const { body } = settle(entry.figure, propsOf(id), 165, ORDINARY);
    for (const limb of [body.legs.left, body.legs.right]) expect(limb.shortCm).toBeLessThan(2);
  });

  test('asks no joint for more than a body has', () => {
    for (const [, body] of BODIES) {
      const settled = settle(entry.figure, propsOf(id), 165, body);
      const past = jointsPastLimits(poseByJoints(settled.pose, settled.body));
      expect(past.map(({ side, reason }) => `${side}: ${reason}`)).toEqual([]);
    }
  });

  test('mirrored with its props it is the mirror image', () => {
    const twice = mirrorFigure(mirrorFigure(entry.figure));
    expect(twice).toEqual(entry.figure);
    const items = entry.setUps[0]!.items.map((row) => ({ ...row, mirror: true }));
    const left = settle(entry.figure, placedProps(items, 'left'), 165, ORDINARY);
    const right = settle(mirrorFigure(entry.figure), placedProps(mirrorSetUp(items), 'left'), 165, ORDINARY);
    expect(right.body.spine.skull[0]).toBeCloseTo(left.body.spine.skull[0], 1);
    expect(right.body.spine.skull[1]).toBeCloseTo(left.body.spine.skull[1], 1);
    expect(right.body.spine.skull[2]).toBeCloseTo(-left.body.spine.skull[2], 1);
    expect(right.body.legs.right.end[1]).toBeCloseTo(left.body.legs.left.end[1], 1);
    expect(measure(right).gaps.leftHand).toBeCloseTo(measure(left).gaps.rightHand, 0);
  });
});

describe('what is measured', () => {
  test.each(['head-to-knee', 'seated-fold', 'wide-leg-fold', 'butterfly-fold'])(
    'the gap under the head grows as the hip fold shrinks: %s',
    (id) => {
      const gaps = [130, 120, 110, 100, 90].map(
        (hipFold) =>
          measure(
            settle(figureOf(id), propsOf(id, ['forehead', 'chest', 'onThighs', 'knees']), 165, {
              ...ORDINARY,
              hipFold,
            }),
          ).gaps.head,
      );
      for (const [i, gap] of gaps.slice(1).entries()) expect(gap).toBeGreaterThanOrEqual(gaps[i]! - 0.5);
      expect(gaps.at(-1)!).toBeGreaterThan(gaps[0]! + 2);
    },
  );

  test('flexibility matters more than stature', () => {
    const gap = (stature: number, hipFold: number) =>
      measure(settle(figureOf('head-to-knee'), [], stature, { ...ORDINARY, hipFold })).gaps.head;
    const byStature = Math.abs(gap(180, 112) - gap(155, 112));
    const byFlexibility = Math.abs(gap(165, 98) - gap(165, 126));
    expect(byFlexibility).toBeGreaterThan(3 * byStature);
  });

  test('who lies flat lies on everything: head, chest, sacrum', () => {
    const { gaps, headOverHeart, pelvisOverHeart } = measure(settle(figureOf('last-rest'), [], 165, ORDINARY));
    for (const gap of [gaps.head, gaps.chest, gaps.sacrum]) expect(gap).toBeLessThan(0.5);
    expect(Math.abs(headOverHeart)).toBeLessThan(4);
    expect(Math.abs(pelvisOverHeart)).toBeLessThan(4);
  });

  test.each([
    ['bridge-on-bolster', 8],
    ['legs-up-wall-blankets', 6],
    ['legs-up-from-bolster', 6],
  ])('the pelvis is higher than the heart in %s', (id, least) => {
    expect(measure(settle(figureOf(id), propsOf(id), 165, ORDINARY)).pelvisOverHeart).toBeGreaterThan(least);
  });

  test.each(['downward-dog-held', 'hanging-fold'])('the head is well below the heart in %s', (id) => {
    expect(measure(settle(figureOf(id), propsOf(id), 165, ORDINARY)).headOverHeart).toBeLessThan(-10);
  });

  test.each(['fish-on-bolster', 'propped-rest', 'reclined-bound-angle', 'easy-seat', 'chair-seat'])(
    'the head is above the heart in %s',
    (id) => {
      expect(measure(settle(figureOf(id), propsOf(id), 165, ORDINARY)).headOverHeart).toBeGreaterThan(2);
    },
  );

  test('both knees of the deer are bent to right angles, as its way in says', () => {
    const { body } = settle(figureOf('deer'), propsOf('deer'), 165, ORDINARY);
    for (const { root, middle, end } of [body.legs.left, body.legs.right]) {
      const [thigh, shin] = [root.map((at, i) => at - middle[i]!), end.map((at, i) => at - middle[i]!)];
      const dot = thigh.reduce((sum, at, i) => sum + at * shin[i]!, 0);
      const inside = (Math.acos(dot / (Math.hypot(...thigh) * Math.hypot(...shin))) * 180) / Math.PI;
      expect(inside).toBeGreaterThan(80);
      expect(inside).toBeLessThan(100);
    }
  });

  test.each([
    ['chair', 45],
    ['home', 45],
    // Two bolsters of 15 cm and two blankets in quarters of 8 cm on the seat.
    ['high', 45 + 2 * 15 + 2 * 8],
  ])('in the half fold over a chair (%s) hands and head rest on what lies on the seat, at %i cm', (id, topCm) => {
    const { setUps, figure } = builtInLibrary.position('chair-half-fold')!;
    const { items } = setUps.find((one) => one.id === id)!;
    const settled = settle(figure, placedProps(items, 'left'), 165, ORDINARY);
    const [hand, head] = [settled.body.arms.left.end[1], settled.body.spine.skull[1]];
    // A wrist is a few centimetres over what the hand lies on, which gives; the skull's root is higher than the forehead.
    expect(hand).toBeGreaterThan(topCm - 4);
    expect(hand).toBeLessThan(topCm + 8);
    expect(head).toBeGreaterThan(topCm);
    expect(head).toBeLessThan(topCm + 25);
    expect(settled.body.arms.left.shortCm).toBeLessThan(2);
  });

  test('a slope on two blocks lies on both, the standing one under its middle and the other nearer to its foot', () => {
    for (const id of ['propped-rest', 'knees-in-rest', 'reclined-kneeling-raised']) {
      const { setUps, figure } = builtInLibrary.position(id)!;
      const { items } = setUps.find((one) => one.items.filter(({ place }) => place === 'upperBack').length === 2)!;
      const boxes = settle(figure, placedProps(items, 'left'), 165, ORDINARY).solids.filter(
        (solid) => solid.shape === 'box',
      );
      const blocks = boxes.filter(({ prop }) => prop === 'block').sort((a, b) => b.half[1] - a.half[1]);
      const slope = boxes.find(({ prop }) => prop === 'flatBolster')!;
      const [standing, edge] = blocks as [(typeof blocks)[0], (typeof blocks)[0]];
      expect(standing.half[1] * 2).toBeCloseTo(23, 0);
      expect(edge.half[1] * 2).toBeCloseTo(15, 0);
      for (const block of [standing, edge]) expect(block.at[1] - block.half[1]).toBeCloseTo(0, 0);
      expect(slope.frame[4]).toBeLessThan(0.95);
      expect(Math.abs(standing.at[0])).toBeGreaterThan(Math.abs(edge.at[0]) + 7);
      // How far an upper edge of a block, which lies crosswise, is from the underside of the slope.
      const gap = ({ at, half }: typeof standing): number =>
        Math.min(
          ...[-half[2], half[2]].map((by) => {
            const [dx, dy] = [at[0] + by - slope.at[0], at[1] + half[1] - slope.at[1]];
            return -slope.half[1] - (dx * slope.frame[1] + dy * slope.frame[4]);
          }),
        );
      for (const block of [standing, edge])
        expect([id, Math.abs(gap(block)) < 1.5, gap(block)]).toEqual([id, true, expect.anything()]);
    }
  });

  test('a soft head rest that gets lower stays under the head in a seated fold', () => {
    const on = (kind: 'flatBolster' | 'blanket', state: string, count = 1) =>
      propRow(kind, 'forehead', { state, count, lie: 'crosswise' });
    const stages = [
      [on('flatBolster', 'whole'), { ...on('blanket', 'quarter'), id: 'blanket-on-top' }],
      [on('flatBolster', 'whole')],
      [on('blanket', 'quarter', 2)],
      [on('blanket', 'quarter')],
    ];
    for (const id of ['seated-fold', 'wide-leg-fold', 'cross-legged-fold', 'head-to-knee', 'butterfly-fold']) {
      for (const rows of stages) {
        const { gaps } = measure(settle(figureOf(id), placedProps(rows, 'left'), 165, ORDINARY));
        expect([id, rows.map(({ kind }) => kind), gaps.head < 1, gaps.head]).toEqual([
          id,
          expect.anything(),
          true,
          expect.anything(),
        ]);
      }
    }
  });

  test('the chair carries the seat at its own height', () => {
    const seated = settle(figureOf('chair-seat'), propsOf('chair-seat'), 165, ORDINARY);
    expect(seated.body.spine.root[1]).toBeGreaterThan(50);
    expect(seated.body.spine.root[1]).toBeLessThan(62);
  });
});

test('a drawing is the same every time, small, and uses the colours of the page', () => {
  const settled = settle(figureOf('sleeping-swan'), propsOf('sleeping-swan'), 165, ORDINARY);
  const once = svgOf(draw(settled, figureOf('sleeping-swan').view), 'a');
  expect(svgOf(draw(settled, figureOf('sleeping-swan').view), 'a')).toBe(once);
  expect(once.length).toBeLessThan(24_000);
  expect(once).toContain('var(--f-skin)');
  expect(once).not.toMatch(/#[0-9a-f]{6}/);
  expect(once).not.toMatch(/NaN|undefined|Infinity/);
});

test('the standard figures are those of every position, drawn as they are here', () => {
  const figures = standardFigures();
  expect(Object.keys(figures)).toEqual(POSITIONS.map(({ id }) => id));
  for (const [id, { svg, box }] of Object.entries(figures)) {
    expect([id, svg.includes('<path')]).toEqual([id, true]);
    expect(box[2]).toBeGreaterThan(400);
    expect(box[3]).toBeGreaterThan(150);
  }
  // All of them are one file that is sent compressed.
  expect(JSON.stringify(figures).length).toBeLessThan(1_500_000);
});
