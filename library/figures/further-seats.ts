import type { Figure, SettleStep } from '#core/body';
import { FEET_DOWN, HANDS_DOWN, KNEES_OPEN, SHINS_DOWN, SITTING } from './recipes';
import { CROSS_LEGGED, UPRIGHT } from './seated';
import {
  ankleAt,
  figure,
  FLAT_FOOT,
  footTo,
  handTo,
  HANDS_ON_BELLY,
  HANDS_ON_KNEES,
  kneel,
  lower,
  put,
  turn,
  wristAt,
} from './shorthand';

const ON_HEELS: SettleStep[] = [...SHINS_DOWN, put('seat', 'calves'), lower(['pelvis']), ...HANDS_DOWN];
/** From in front and above, where it is seen which foot lies where. */
const FEET_SEEN = { azimuth: 92, elevation: 34 };
const SOLE_UP = footTo([0.3, 0.1, -1], [-0.6, 0.5, -0.35]);

/** Seats for breath and stillness, beside the first ones. */
export const FURTHER_SEAT_FIGURES: Record<string, Figure> = {
  'accomplished-seat': figure(
    {
      ...UPRIGHT,
      right: ankleAt([16, 5.4, -4], 84, footTo([0.5, 0, -1], [-0.6, -0.3, -0.4])),
      left: ankleAt([20, 8.4, -3], 82, footTo([0.5, 0, -1], [-0.6, -0.3, -0.4])),
      arm: HANDS_ON_KNEES,
    },
    [...SITTING, turn('swivel', 30, 90, ['thighs', 'shanks']), ...HANDS_DOWN],
    FEET_SEEN,
  ),
  'auspicious-seat': figure(
    {
      ...UPRIGHT,
      right: ankleAt([22, 6.2, -9], 84, footTo([0.3, 0.1, -1], [-0.7, -0.2, -0.4])),
      left: ankleAt([19, 9, -10], 82, footTo([0.3, 0.2, -1], [-0.7, 0, -0.4])),
      arm: HANDS_ON_KNEES,
    },
    [...SITTING, turn('swivel', 30, 90, ['thighs', 'shanks']), ...HANDS_DOWN],
    FEET_SEEN,
  ),
  'half-lotus': figure(
    {
      ...UPRIGHT,
      right: ankleAt([20, 6.2, -10], 84, footTo([0.35, -0.1, -1], [-0.7, -0.35, -0.35])),
      left: ankleAt([15, 14, -13], 80, SOLE_UP),
      arm: HANDS_ON_KNEES,
    },
    [...SITTING, turn('swivel', 30, 90, ['thighs', 'shanks']), ...HANDS_DOWN],
    FEET_SEEN,
  ),
  'hero-seat': figure({ ...UPRIGHT, leg: kneel(9, 22), arm: HANDS_ON_KNEES }, ON_HEELS, 'threeQuarterBack'),
  'seat-at-wall': figure(
    { ...UPRIGHT, pitch: 0, lumbar: -4, ...CROSS_LEGGED, arm: HANDS_ON_BELLY },
    [...SITTING, ...KNEES_OPEN, put('behind')],
    'threeQuarter',
  ),
  'chair-seat-feet-raised': figure(
    {
      ...UPRIGHT,
      leg: ankleAt([39, 13, 9], 4, FLAT_FOOT),
      arm: wristAt('knee', [-14, 8, 0], [-0.6, -0.4, 0.5], handTo([1, -0.1, -0.1], [0, -1, 0], 18)),
    },
    [...SITTING, put('underFeet'), ...FEET_DOWN],
    'threeQuarter',
  ),
};
