import { describe, expect, test } from '@jest/globals';
import { measure, ORDINARY, settle, STIFF, SUPPLE, type Flexibility } from '#core/body';
import { HEIGHT_RULES, suggestedHeight, MEASURED_PLACES, type SuggestedHeight } from '#core/heights';
import { placedProps, stackFor, type PropPlace, type SetUp } from '#core/props';
import { POSITIONS } from '#library';
import { propRow } from '../../tests/support/examples';

const named = (id: string) => POSITIONS.find((position) => position.id === id)!;
const suggested = (
  id: string,
  place: PropPlace,
  statureCm = 165,
  flexibility: Flexibility = ORDINARY,
  setUp: SetUp = named(id).setUps[0]!.items,
  side: SuggestedHeight['side'] = 'centre',
) => suggestedHeight(named(id), setUp, place, side, { statureCm, flexibility });
const middle = ({ lowCm, highCm }: SuggestedHeight): number => (lowCm + highCm) / 2;

describe('how high', () => {
  test('the same fold for 152 and 188 cm: two heights, two stacks', () => {
    const cupboard = { flatBolster: 2, block: 4, blanket: 6 };
    const stacks = [152, 188].map((statureCm) => {
      const high = suggested('head-to-knee', 'forehead', statureCm, STIFF)!;
      const [best] = stackFor(middle(high), (high.highCm - high.lowCm) / 2, cupboard);
      expect(best!.heightCm).toBeGreaterThanOrEqual(high.lowCm - 0.05);
      expect(best!.heightCm).toBeLessThanOrEqual(high.highCm + 0.05);
      return { high, inWords: best!.pieces.map(({ kind, state }) => `${kind} ${state}`) };
    });
    const [small, tall] = stacks;
    expect(tall!.high.lowCm).toBeGreaterThan(small!.high.highCm - 0.5);
    expect(small!.inWords).not.toEqual(tall!.inWords);
  });

  test('flexibility matters more than stature', () => {
    const of = (flexibility: Flexibility, statureCm = 165) =>
      suggested('head-to-knee', 'forehead', statureCm, flexibility)!;
    expect(of(SUPPLE).highCm).toBe(0);
    const byFlexibility = of(STIFF).lowCm - of(ORDINARY).lowCm;
    const byStature = of(ORDINARY, 180).lowCm - of(ORDINARY, 155).lowCm;
    expect(byFlexibility).toBeGreaterThan(4 * byStature);
  });

  test('in a chest opener the head is 2 to 5 cm above the shoulders', () => {
    const high = suggested('fish-over-blankets', 'head')!;
    expect(high.rule).toBe('headInChestOpener');
    const others = placedProps(named('fish-over-blankets').setUps[0]!.items, 'left').filter(
      ({ place }) => place !== 'head',
    );
    const { levels } = measure(settle(named('fish-over-blankets').figure, others, 165, ORDINARY));
    const overShoulders = (cm: number) => levels.underHead + cm - levels.shouldersUnder;
    expect(overShoulders(high.lowCm)).toBeCloseTo(2, 0);
    expect(overShoulders(high.highCm)).toBeCloseTo(5, 0);
  });

  test.each([
    ['head-to-knee', STIFF],
    ['stacked-shins', ORDINARY],
    ['chair-seat', ORDINARY],
  ] as const)(
    '%s: at the proposed height the hips are no lower than the knees, and hardly higher than need be',
    (id, flexibility) => {
      const high = suggested(id, 'seat', 165, flexibility)!;
      expect(high.rule).toBe('hipsOverKnees');
      const at = (heightCm: number) => {
        const own = { shape: 'box' as const, widthCm: 40, depthCm: 30, heightCm, giveCm: 0 };
        const row = {
          ...propRow('block', 'seat', { lie: 'crosswise' }),
          kind: 'own:any' as const,
          state: 'as it is',
          size: own,
        };
        const others = named(id).setUps[0]!.items.filter(({ place }) => !['seat', 'knees', 'thighs'].includes(place));
        const { hips, knee, lowerKnee } = measure(
          settle(named(id).figure, placedProps([...others, row], 'left'), 165, flexibility),
        ).levels;
        return hips - (named(id).sides === 'crossing' ? lowerKnee : knee);
      };
      expect(at(high.lowCm)).toBeGreaterThan(-1.5);
      expect(at(Math.max(0.5, high.lowCm - 4))).toBeLessThan(0.5);
    },
  );

  test('in a gentle inversion the heart comes above the head by what the rule says', () => {
    const { lowCm, highCm, rule } = suggested('bridge-on-block', 'sacrum')!;
    expect(rule).toBe('heartOverHead');
    const at = (heightCm: number) => {
      const own = { shape: 'box' as const, widthCm: 40, depthCm: 30, heightCm, giveCm: 0 };
      const row = {
        ...named('bridge-on-block').setUps[0]!.items[0]!,
        kind: 'own:any' as const,
        state: 'as it is',
        size: own,
      };
      return -measure(settle(named('bridge-on-block').figure, placedProps([row], 'left'), 165, ORDINARY)).headOverHeart;
    };
    expect(at(lowCm)).toBeCloseTo(HEIGHT_RULES.heartOverHead.lowCm, 0);
    expect(at(highCm)).toBeCloseTo(HEIGHT_RULES.heartOverHead.highCm, 0);
  });

  test('on a chair that is too high for someone small the feet are held; nobody tall needs that', () => {
    const [small, tall] = [152, 188].map((statureCm) => suggested('chair-seat', 'underFeet', statureCm)!);
    expect(small!.rule).toBe('feetHeld');
    expect(small!.lowCm).toBeGreaterThan(2);
    expect(stackFor(middle(small!), 2, { block: 2, book: 2, blanket: 2 })[0]!.pieces).toHaveLength(1);
    expect(tall!.highCm).toBe(0);
  });

  test('what lies there now is told, one side of a pair for each side', () => {
    expect(suggested('reclined-bound-angle', 'thighs', 165, ORDINARY, undefined, 'left')!.nowCm).toBe(13);
    expect(suggested('head-to-knee', 'forehead', 165, ORDINARY, undefined, 'left')!.nowCm).toBe(15);
  });

  test('a strap, the wall or a place no rule speaks of has no height', () => {
    const strapped = named('constructive-rest').setUps.find(({ id }) => id === 'strap')!.items;
    expect(suggested('constructive-rest', 'thighs', 165, ORDINARY, strapped)).toBeUndefined();
    expect(suggested('wall-half-fold', 'hands')).toBeUndefined();
    expect(suggested('last-rest', 'eyes')).toBeUndefined();
  });

  test('every place of every position of the library has a range that makes sense', () => {
    for (const position of POSITIONS) {
      const { items } = position.setUps[0]!;
      for (const { place, side } of items) {
        if (!MEASURED_PLACES.includes(place)) continue;
        const high = suggested(position.id, place, 165, ORDINARY, items, side === 'each' ? 'left' : side);
        if (!high) continue;
        expect(high.lowCm).toBeGreaterThanOrEqual(0);
        expect(high.highCm).toBeGreaterThanOrEqual(high.lowCm);
        expect(high.highCm).toBeLessThan(60);
      }
    }
  });
});
