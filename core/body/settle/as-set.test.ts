import { describe, expect, test } from '@jest/globals';
import {
  bakePose,
  Figure,
  isAsSet,
  jointOf,
  LET_DOWN,
  letsDown,
  lowestOf,
  ORDINARY,
  settle,
  withJoint,
  withLetDown,
} from '#core/body';
import { placedProps } from '#core/props';
import { builtInLibrary, POSITIONS } from '#library';

const entry = (id: string) => builtInLibrary.position(id)!;
const propsOf = (id: string) => placedProps(entry(id).setUps[0]!.items, 'left');
const known = new Map<string, Figure>();
function lying(id: string): Figure {
  const figure = known.get(id) ?? bakePose(entry(id).figure, settle(entry(id).figure, propsOf(id), 165, ORDINARY));
  known.set(id, figure);
  return figure;
}
const settled = (figure: Figure, id: string) => settle(figure, propsOf(id), 165, ORDINARY);

describe('a figure taken as it lies', () => {
  test('of every position is a figure whose joints can all be set, and lies on the floor or a prop', () => {
    for (const { id } of POSITIONS) {
      const figure = lying(id);
      expect([id, Figure.safeParse(figure).success]).toEqual([id, true]);
      expect([id, isAsSet(entry(id).figure), isAsSet(figure)]).toEqual([id, false, true]);
      expect(letsDown(figure)).toEqual([]);
      for (const joint of ['hip', 'knee', 'shoulder', 'elbow'] as const) {
        for (const side of ['left', 'right'] as const) expect(jointOf(figure.pose, joint, side)).toBeDefined();
      }
      expect(lowestOf(settled(figure, id))).toBeGreaterThan(-1);
    }
  });

  test.each(['head-to-knee', 'sphinx', 'last-rest', 'fish-on-bolster', 'chair-seat', 'child-wide', 'legs-up-wall'])(
    'is held as it was: %s',
    (id) => {
      const before = settled(entry(id).figure, id).body;
      const after = settled(lying(id), id).body;
      for (const axis of [0, 1, 2] as const) {
        expect(Math.abs(after.spine.skull[axis] - before.spine.skull[axis])).toBeLessThan(3);
        expect(Math.abs(after.legs.left.end[axis] - before.legs.left.end[axis])).toBeLessThan(3);
        expect(Math.abs(after.arms.right.end[axis] - before.arms.right.end[axis])).toBeLessThan(3);
      }
    },
  );
});

describe('setting a joint', () => {
  test('sets that joint, on one side or both, and leaves the others', () => {
    const start = lying('last-rest');
    const one = withJoint(start, 'knee', 'left', 60);
    expect([jointOf(one.pose, 'knee', 'left'), jointOf(one.pose, 'knee', 'right')]).toEqual([
      60,
      jointOf(start.pose, 'knee', 'right'),
    ]);
    const both = withJoint(start, 'hip', 'both', 70);
    expect([jointOf(both.pose, 'hip', 'left'), jointOf(both.pose, 'hip', 'right')]).toEqual([70, 70]);
    expect(jointOf(both.pose, 'elbow', 'left')).toBe(jointOf(start.pose, 'elbow', 'left'));
  });

  test('a body turned from lying to upright still comes to rest on the floor', () => {
    for (const pitch of [-60, -30, 0, 30, 60, 90]) {
      const body = settle(withJoint(lying('last-rest'), 'pitch', 'both', pitch), [], 165, ORDINARY);
      expect(body.log.map(({ how }) => how)).not.toContain('stuck');
      expect(Math.abs(lowestOf(body))).toBeLessThan(2);
    }
  });

  test('past what a joint allows the figure does not fit its schema, and says which joint', () => {
    const issues = Figure.safeParse(withJoint(lying('last-rest'), 'knee', 'left', 175)).error?.issues ?? [];
    expect(issues.map(({ path, message }) => [path.join('.'), message])).toEqual([
      ['pose.legs.left.knee', 'Knee, bend goes from -2° to 172°, not to 175°.'],
    ]);
  });
});

describe('letting down', () => {
  test('is remembered, in any combination, and can be taken back', () => {
    const start = lying('last-rest');
    for (const parts of [[], ['head'], ['arms', 'legs'], [...LET_DOWN]] as const) {
      const down = withLetDown(start, parts);
      expect(letsDown(down)).toEqual(parts);
      expect(letsDown(withJoint(down, 'knee', 'both', 20))).toEqual(parts);
      expect(withLetDown(down, [])).toEqual(start);
    }
  });

  test('an arm held up comes down to the floor, and not through it', () => {
    const raised = withJoint(lying('last-rest'), 'shoulder', 'both', 40);
    const up = settled(raised, 'last-rest');
    const down = settled(withLetDown(raised, ['arms']), 'last-rest');
    expect(up.body.arms.left.end[1]).toBeGreaterThan(20);
    expect(down.body.arms.left.end[1]).toBeLessThan(8);
    expect(lowestOf(down)).toBeGreaterThan(-1);
  });

  test('a leg held up comes down, whether one lies on the back or on the front', () => {
    for (const [id, hip] of [
      ['last-rest', 40],
      ['prone-rest', -30],
    ] as const) {
      const raised = withJoint(lying(id), 'hip', 'both', hip);
      const up = settled(raised, id).body.legs.left.end[1];
      expect(settled(withLetDown(raised, ['legs']), id).body.legs.left.end[1]).toBeLessThan(up - 10);
    }
  });
});
