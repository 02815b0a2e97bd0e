import { expect, test } from '@jest/globals';
import { libraryOf } from '#core/catalogue';
import { breathFrom, Plan, seatBefore, withSeatBefore, type BreathStep } from '#core/plan';
import { compileTimeline } from '#core/timeline';
import { POSITIONS, TECHNIQUES } from '#library';
import { planOf, talk } from '../../tests/support/examples';

const library = libraryOf(POSITIONS, TECHNIQUES);
const chair = library.position('chair-seat')!;
const breath = (id: string): BreathStep => breathFrom(TECHNIQUES[0]!, id);
const onChair: BreathStep = { ...breath('a'), seat: chair.id, setUp: chair.setUps[0]!.items };

test('a new breath is practised in the seat of the breath before it, and nothing is carried for it', () => {
  const steps = [onChair, talk('t', 60)];
  const next = withSeatBefore(breath('b'), steps, 2);
  expect(next).toMatchObject({ seat: 'chair-seat', setUp: onChair.setUp });
  const { steps: spans } = compileTimeline(planOf(...steps, next), library);
  expect(spans.map(({ propMoves }) => propMoves)).toEqual([1, 0, 0]);
});

test('a breath before which none has a seat, or that has one, stays as it is', () => {
  expect(withSeatBefore(breath('b'), [breath('a')], 1)).toEqual(breath('b'));
  const kneeling = { ...breath('b'), seat: 'kneeling-seat' };
  expect(withSeatBefore(kneeling, [onChair], 1)).toBe(kneeling);
  expect(seatBefore([talk('t', 60), onChair], 1)).toBeUndefined();
});

test('some can sit otherwise, and the plan says where', () => {
  const plan = planOf({ ...onChair, otherSetUp: { people: 3, setUp: [], seat: 'kneeling-seat' } });
  expect(Plan.parse(plan).steps[0]).toMatchObject({ otherSetUp: { people: 3, seat: 'kneeling-seat' } });
});
