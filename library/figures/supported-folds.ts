import type { Figure, SettleStep } from '#core/body';
import { FEET_DOWN, HANDS_DOWN, KNEES_OPEN, roundOn, SITTING, TRUNK_ON_BACK, ARMS_DOWN } from './recipes';
import { crossLegged, CROSS_LEGGED } from './seated';
import {
  ankleAt,
  armBy,
  figure,
  FLAT_FOOT,
  footTo,
  handTo,
  lower,
  put,
  straightLeg,
  turn,
  wristDown,
} from './shorthand';

const ROUND = { pitch: 10, lumbar: 22, thoracic: 24, neck: 10, head: 4 };
/** Forearms crossed on a seat of ordinary height, in front of the head. */
const ARMS_ON_SEAT = wristDown('shoulder', [14, 49, 2], [-0.4, 0.1, 1], handTo([0.6, 0, -0.8], [0, -1, 0]));
const WIDE_FOOT = footTo([0.1, 1, 0.12], [0.62, 0, 0.79]);
/** From where the back of a chair in front hides nothing. */
const PAST_THE_CHAIR = { azimuth: 12, elevation: 20 };
const LEGS = ['leftLeg', 'rightLeg'] as const;

/** Hands that come down on a seat or on what lies on it. */
export const ARMS_ON_TOP: SettleStep[] = [
  turn('wristUp', 84, 44, ['hands', 'forearms'], { of: 'left' }),
  turn('wristUp', 84, 44, ['hands', 'forearms'], { of: 'right' }),
];

/** Leaning on a chair in front: its seat where the arms and the head come down. */
const ONTO_A_CHAIR: SettleStep[] = [
  put('hands'),
  ...ARMS_ON_TOP,
  turn('pitch', -10, 60, ['forearms', 'head']),
  lower(['pelvis']),
  turn('neck', -20, 44, ['head'], { onto: ['leftArm', 'rightArm'] }),
];

/** Folds and reclined cross-legged rests in which a chair, a bolster or a stack carries the head. */
export const SUPPORTED_FOLD_FIGURES: Record<string, Figure> = {
  'cross-legged-on-chair': figure(
    { ...ROUND, ...CROSS_LEGGED, arm: ARMS_ON_SEAT },
    [...SITTING, ...KNEES_OPEN, ...ONTO_A_CHAIR],
    PAST_THE_CHAIR,
    { hands: [11, 0, 0] },
  ),
  'seated-fold-on-chair': figure(
    { ...ROUND, leg: straightLeg(4), arm: ARMS_ON_SEAT },
    [...SITTING, ...FEET_DOWN, ...ONTO_A_CHAIR],
    PAST_THE_CHAIR,
    { hands: [4, 0, 0] },
  ),
  'wide-leg-fold-on-chair': figure(
    { ...ROUND, leg: straightLeg(46, WIDE_FOOT), arm: ARMS_ON_SEAT },
    [...SITTING, ...FEET_DOWN, ...ONTO_A_CHAIR],
    PAST_THE_CHAIR,
    { hands: [4, 0, 0] },
  ),
  'cross-legged-fold': figure(
    {
      ...ROUND,
      ...CROSS_LEGGED,
      arm: wristDown('shoulder', [26, 3.2, 6], [-0.4, 0.5, 1], handTo([1, -0.1, -0.3], [0, -1, 0], 16)),
    },
    [
      ...SITTING,
      ...KNEES_OPEN,
      turn('pitch', -40, 44, ['ribs', 'head'], { onto: [...LEGS] }),
      lower(['pelvis']),
      put('forehead', 'chest', 'onThighs'),
      turn('pitch', -40, 44, ['ribs', 'head'], { onto: [...LEGS] }),
      roundOn(24),
      turn('neck', -30, 42, ['head']),
      ...HANDS_DOWN,
    ],
    'threeQuarterFront',
  ),
  'reclined-cross-legged': figure(
    {
      pitch: -58,
      head: 8,
      ...crossLegged(38, 27),
      arm: armBy([10, 40, 40], 25),
    },
    [...TRUNK_ON_BACK, put('knees'), turn('swivel', 36, 90, ['thighs', 'shanks']), ...ARMS_DOWN],
    'threeQuarterFront',
  ),
  'wide-standing-fold': figure(
    {
      pitch: 96,
      height: 79,
      lumbar: 20,
      thoracic: 14,
      neck: 10,
      leg: ankleAt([3, 6.2, 46], 6, FLAT_FOOT),
      arm: wristDown('shoulder', [2, 3.4, 6], [-0.6, 0, 1], handTo([1, 0, -0.1], [0, -1, 0])),
    },
    [put('forehead', 'head'), turn('pitch', 40, 122, ['head']), put('hands'), ...HANDS_DOWN],
    'threeQuarter',
  ),
};
