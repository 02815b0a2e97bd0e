import { expect, test } from '@jest/globals';
import { lowestOf, ORDINARY, settle, STIFF, SUPPLE } from '#core/body';
import { placedProps } from '#core/props';
import { POSITIONS } from '#library';

const STATURES = [140, 155, 165, 180, 200];
const BODIES = [STIFF, ORDINARY, SUPPLE];

test.each(POSITIONS.map((entry) => [entry.id, entry] as const))(
  '%s is not in the floor by more than 1 cm, for five statures and three flexibilities',
  (_, { figure, setUps }) => {
    const props = placedProps(setUps[0]!.items, 'left');
    for (const stature of STATURES) {
      for (const body of BODIES) expect(lowestOf(settle(figure, props, stature, body))).toBeGreaterThan(-1);
    }
  },
);
