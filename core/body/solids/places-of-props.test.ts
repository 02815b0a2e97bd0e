import { describe, expect, test } from '@jest/globals';
import { ORDINARY, settle, type Settled } from '#core/body';
import { placedProps, type SetUpRow } from '#core/props';
import { POSITIONS } from '#library';
import { propRow } from '../../../tests/support/examples';

const lying = (id: string, ...rows: SetUpRow[]): Settled => {
  const { figure } = POSITIONS.find((position) => position.id === id)!;
  return settle(figure, placedProps(rows, 'left'), 165, ORDINARY);
};
const wallOf = ({ solids }: Settled) => solids.flatMap((solid) => (solid.shape === 'wall' ? [solid.x] : []))[0]!;
/** How far towards the wall the pieces of a part reach, as balls of their middle radius. */
const reach = ({ flesh }: Settled, parts: readonly string[]) =>
  Math.max(...flesh.filter(({ part }) => parts.includes(part)).map(({ at, radii }) => at[0] + Math.min(...radii)));
const boxAt = ({ solids }: Settled, prop: string) => {
  const solid = solids.find((one) => one.shape !== 'wall' && one.prop === prop);
  if (!solid || !('at' in solid)) throw new Error(`No ${prop}`);
  return solid;
};

describe('the wall', () => {
  test.each([10, 20, 30])('%i cm from the wall, the seat is so far away and the legs lean on it', (wallCm) => {
    const body = lying('legs-up-wall', propRow('wall', 'legs', { wallCm }));
    expect(wallOf(body) - reach(body, ['torso'])).toBeGreaterThan(wallCm - 3);
    expect(wallOf(body) - reach(body, ['torso'])).toBeLessThan(wallCm + 3);
    expect(wallOf(body) - reach(body, ['shank', 'foot'])).toBeLessThan(1.5);
  });

  test('the farther away, the more the legs slope', () => {
    const foot = (wallCm: number) => {
      const { body } = lying('legs-up-wall', propRow('wall', 'legs', { wallCm }));
      return body.legs.left.end[1] - body.legs.left.root[1];
    };
    expect(foot(10)).toBeGreaterThan(foot(40) + 5);
  });
});

describe('places of props', () => {
  test('under the chest, up to the collarbones: the forehead is free to come down before it', () => {
    const bolster = propRow('flatBolster', 'chestToCollarbones', { lie: 'crosswise' });
    const body = lying('child-wide', bolster);
    const { at, half } = boxAt(body, 'flatBolster') as { at: readonly number[]; half: readonly number[] };
    const head = body.body.spine.skull;
    expect(head[0] - (at[0]! + half[2]!)).toBeGreaterThan(6);
  });

  test('along both sides: one on each side, beside the trunk, under no part of it', () => {
    const body = lying('last-rest', propRow('roundBolster', 'alongSides', { side: 'each' }));
    const rolls = body.solids.flatMap((solid) => (solid.shape === 'roll' ? [solid] : []));
    expect(rolls.map(({ at }) => Math.sign(at[2])).sort()).toEqual([-1, 1]);
    for (const { at, radius } of rolls) {
      expect(at[1]).toBeCloseTo(radius, 0);
      expect(Math.abs(at[2]) - radius).toBeGreaterThan(13);
    }
  });

  test('between thighs and heels a block lies between both, no nearer to one than to the other', () => {
    const body = lying(
      'last-rest',
      propRow('block', 'betweenThighs', { state: 'edge' }),
      propRow('book', 'betweenHeels'),
    );
    const { left, right } = body.body.legs;
    for (const prop of ['block', 'book']) {
      const { at } = boxAt(body, prop);
      expect(Math.abs(at[2] - (left.middle[2] + right.middle[2]) / 2)).toBeLessThan(0.5);
    }
    expect(Math.abs(boxAt(body, 'book').at[0] - left.end[0])).toBeLessThan(6);
    expect(Math.abs(boxAt(body, 'block').at[0] - left.root[0])).toBeLessThan(30);
  });

  test('a strap round waist, shins or soles is drawn from one side of the body to the other', () => {
    for (const place of ['waist', 'shins', 'soles'] as const) {
      const body = lying('last-rest', propRow('strap', place, { state: 'loop' }));
      const band = body.solids.flatMap((solid) => (solid.shape === 'band' ? [solid.points] : []))[0]!;
      expect(band[0]![2] * band.at(-1)![2]).toBeLessThan(0);
    }
  });
});
