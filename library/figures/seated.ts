import type { Figure, SettleStep } from '#core/body';
import { FEET_DOWN, HANDS_DOWN, KNEES_OPEN, seatedFold, SHINS_DOWN, SITTING } from './recipes';
import {
  ankleAt,
  armBy,
  figure,
  FLAT_FOOT,
  footTo,
  hand,
  handTo,
  HANDS_ON_KNEES,
  kneel,
  lower,
  PALM_DOWN,
  put,
  straightLeg,
  TOES_TUCKED,
  TOES_UP,
  turn,
  wristAt,
  wristDown,
} from './shorthand';

/** Sitting or kneeling upright. */
export const UPRIGHT = { pitch: 3, lumbar: -8, thoracic: 6, neck: -6, head: 4 };
const ROUND = { pitch: 10, lumbar: 26, thoracic: 34, neck: 14, head: 6 };
const HANDS_AHEAD = wristDown('shoulder', [24, 3.2, 4], [-0.4, 0.6, 1], handTo([1, -0.1, -0.2], [0, -1, 0], 16));
const CROSSED_FOOT = footTo([0.35, -0.1, -1], [-0.7, -0.35, -0.35]);
/** Shins crossed, the near foot so far ahead of the hips and the far one nearer to them. */
export const crossLegged = (right = 27, left = 16) => ({
  right: ankleAt([right, 6.2, -11], 84, CROSSED_FOOT),
  left: ankleAt([left, 6.2, -12], 84, CROSSED_FOOT),
});
export const CROSS_LEGGED = crossLegged();
const SOLES_IN = footTo([1, 0.02, 0.1], [0, 0.12, -1]);
const soles = (along: number) => ankleAt([along, 3.4, 3.6], 60, SOLES_IN);
const HANDS_ON_FEET = wristAt('ankle', [3, 7.6, 2.5], [-0.4, 0.1, 1], handTo([0.9, -0.4, -0.5], [0, -0.6, -1], 40));
const SIT_CROSS: SettleStep[] = [...SITTING, ...KNEES_OPEN, ...HANDS_DOWN];
const HEELS = ['leftLeg', 'rightLeg'] as const;
/** Hips down on the heels or on what stands between them. */
const ON_HEELS: SettleStep[] = [
  ...SHINS_DOWN,
  put('seat', 'calves'),
  // The heels go as far apart as what stands between them.
  turn('ankleOut', 6, 5.5, ['feet', 'shanks']),
  lower(['pelvis'], [...HEELS]),
  ...HANDS_DOWN,
];
const FLEXED_FOOT = footTo([1, 0.05, -0.35], [-0.3, 0, -1]);

export const SEATED_FIGURES: Record<string, Figure> = {
  'easy-seat': figure({ ...UPRIGHT, ...CROSS_LEGGED, arm: HANDS_ON_KNEES }, SIT_CROSS, 'threeQuarterFront'),
  'chair-seat': figure(
    {
      ...UPRIGHT,
      leg: ankleAt([39, 6.2, 9], 4, FLAT_FOOT),
      arm: wristAt('knee', [-14, 8, 0], [-0.6, -0.4, 0.5], handTo([1, -0.1, -0.1], [0, -1, 0], 18)),
    },
    SITTING,
    'threeQuarter',
  ),
  'straight-seat': figure(
    { ...UPRIGHT, leg: straightLeg(3), arm: wristDown('floor', [-8, 3.2, 22], [-1, 0.1, 0.4], PALM_DOWN) },
    [...SITTING, ...FEET_DOWN, turn('pitch', -40, 3, ['head']), ...HANDS_DOWN],
  ),
  'seated-fold': figure(
    { ...ROUND, leg: straightLeg(2), arm: HANDS_AHEAD },
    // Knees bend over what lies under them.
    [...SITTING, ...FEET_DOWN, put('knees'), turn('ankleAlong', 72, 150, ['thighs', 'shanks']), ...seatedFold(78, 34)],
    'threeQuarter',
    { onThighs: [8, 0, 0] },
  ),
  'head-to-knee': figure(
    {
      ...ROUND,
      // The breastbone turns to the straight leg, so that the head comes over it.
      lumbar: [26, -10, 4],
      thoracic: [34, -12, 6],
      left: straightLeg(4, TOES_UP),
      right: ankleAt([17, 4.2, 2], 80, footTo([0.75, 0, -0.66], [-0.5, 0.35, -0.8])),
      arm: HANDS_AHEAD,
    },
    seatedFold(),
  ),
  'butterfly-upright': figure({ ...UPRIGHT, leg: soles(25), arm: HANDS_ON_FEET }, SIT_CROSS, 'threeQuarterFront'),
  'butterfly-fold': figure(
    { ...ROUND, thoracic: 40, leg: soles(30), arm: HANDS_ON_FEET },
    [...SITTING, ...KNEES_OPEN, ...seatedFold(60)],
    'threeQuarterFront',
  ),
  'long-diamond': figure(
    { ...ROUND, thoracic: 42, lumbar: 34, leg: soles(50), arm: wristDown('shoulder', [22, 3.2, 4], [-0.3, 0.4, 1]) },
    [...SITTING, ...KNEES_OPEN, ...seatedFold(70)],
    'threeQuarter',
  ),
  'wide-leg-fold': figure(
    {
      pitch: 20,
      lumbar: 30,
      thoracic: 30,
      leg: straightLeg(52, footTo([0.1, 1, 0.12], [0.62, 0, 0.79])),
      arm: HANDS_AHEAD,
    },
    seatedFold(78, 30),
    'threeQuarterFront',
    { chest: [12, 0, 0] },
  ),
  'wide-leg-side': figure(
    {
      ...UPRIGHT,
      lumbar: [6, -24, 0],
      thoracic: [4, -34, 0],
      neck: [0, -16, 0],
      leg: straightLeg(52, footTo([0.1, 1, 0.12], [0.62, 0, 0.79])),
      leftArm: wristDown('knee', [4, 3.4, -4], [-0.4, 0.5, 0.3], handTo([0.5, -0.1, 1], [0, -1, 0])),
      rightArm: armBy([8, 168, 0], 18, hand(0, 20)),
    },
    [...SITTING, ...FEET_DOWN, ...HANDS_DOWN],
    'front',
  ),
  'stacked-shins': figure(
    {
      ...ROUND,
      lumbar: 14,
      thoracic: 16,
      right: ankleAt([27, 4.4, -20], 86, FLEXED_FOOT),
      left: ankleAt([28, 13.6, -20], 78, FLEXED_FOOT),
      arm: wristDown('shoulder', [40, 3.2, 2], [-0.3, 0.5, 1]),
    },
    [
      ...SITTING,
      turn('pitch', -40, 26, ['ribs', 'head'], { onto: [...HEELS] }),
      lower(['pelvis']),
      put('forehead', 'chest', 'knees'),
      turn('neck', -30, 30, ['head']),
      ...HANDS_DOWN,
    ],
    'threeQuarterFront',
  ),
  'crossed-thighs': figure(
    {
      ...ROUND,
      lumbar: 34,
      thoracic: 40,
      right: ankleAt([6, 4.2, -25], 84, footTo([-0.7, 0, -0.8], [-0.1, 0.9, -0.3])),
      left: ankleAt([6, 4.4, -26], 58, footTo([-0.7, 0, -0.8], [-0.1, 0.9, -0.3])),
      arm: wristDown('shoulder', [34, 3.2, 4], [-0.3, 0.5, 1]),
    },
    [
      ...SITTING,
      turn('pitch', -40, 30, ['ribs', 'head'], { onto: [...HEELS] }),
      lower(['pelvis']),
      put('forehead', 'chest', 'onThighs'),
      turn('pitch', -40, 30, ['ribs', 'head'], { onto: [...HEELS] }),
      turn('neck', -30, 42, ['head']),
      ...HANDS_DOWN,
    ],
    'threeQuarterFront',
  ),
  deer: figure(
    {
      ...UPRIGHT,
      left: ankleAt([54, 4.2, 6], 86, footTo([0.8, 0, -0.6], [-0.3, 0.3, -0.9])),
      right: kneel(48, 52, { foot: footTo([-1, -0.06, 0.3], [-0.05, 1, 0.2]) }),
      arm: wristDown('floor', [14, 3.2, 32], [-0.6, 0.2, 0.8], handTo([0.6, -0.1, 0.8], [0, -1, 0])),
    },
    [...SITTING, ...HANDS_DOWN],
    'threeQuarterFront',
  ),
  'seated-side-bend': figure(
    {
      ...UPRIGHT,
      ...CROSS_LEGGED,
      lumbar: [-4, -16, 0],
      thoracic: [4, -28, 0],
      neck: [0, -10, 0],
      leftArm: wristDown('floor', [6, 3, 42], [-0.2, 0.5, 1], handTo([0.1, -0.1, 1], [0, -1, 0])),
      rightArm: armBy([6, 166, 0], 24, hand(0, 20)),
    },
    SIT_CROSS,
    'front',
  ),
  'seated-twist': figure(
    {
      ...UPRIGHT,
      ...CROSS_LEGGED,
      lumbar: [-6, 0, 14],
      thoracic: [4, 0, 36],
      neck: [-4, 0, 20],
      head: [2, 0, 10],
      leftArm: wristDown('floor', [-24, 3.2, 6], [-0.8, 0.3, 0.6], handTo([-0.8, -0.1, 0.4], [0, -1, 0])),
      rightArm: wristAt('otherKnee', [-4, 7.5, 6], [0.2, -0.3, 1], handTo([0.3, -0.5, -1], [-0.3, -1, 0], 26)),
    },
    SIT_CROSS,
    'threeQuarterFront',
  ),
  'chair-twist': figure(
    {
      ...UPRIGHT,
      leg: ankleAt([39, 6.2, 9], 4, FLAT_FOOT),
      lumbar: [-6, 0, 14],
      thoracic: [4, 0, 38],
      neck: [-4, 0, 20],
      leftArm: armBy([-34, 24, -10], 40, hand(0, 60)),
      rightArm: wristAt('otherKnee', [-8, 8, 4], [0.4, -0.4, 1], handTo([0.3, -0.5, -1], [0, -1, 0], 26)),
    },
    SITTING,
    'threeQuarterFront',
  ),
  'chair-fold': figure(
    {
      pitch: 20,
      lumbar: 30,
      thoracic: 30,
      neck: 10,
      leg: ankleAt([39, 6.2, 15], 14, FLAT_FOOT),
      arm: wristDown('ankle', [8, 3.4, 16], [0, 0.4, 1], handTo([1, -0.1, -0.4], [0, -1, 0])),
    },
    [
      ...SITTING,
      put('chest', 'onThighs', 'forehead'),
      turn('pitch', -10, 78, ['ribs', 'head'], { onto: [...HEELS] }),
      turn('neck', -20, 40, ['head'], { onto: [...HEELS] }),
    ],
    'threeQuarter',
    { onThighs: [17, 0, 0] },
  ),
  'kneeling-seat': figure({ ...UPRIGHT, leg: kneel(8, 6), arm: HANDS_ON_KNEES }, ON_HEELS),
  'toes-tucked': figure(
    { ...UPRIGHT, leg: kneel(7, 6, { ankleUp: 13.5, foot: TOES_TUCKED }), arm: HANDS_ON_KNEES },
    ON_HEELS,
    'side',
  ),
  'ankle-stretch': figure(
    {
      ...UPRIGHT,
      pitch: -14,
      leg: kneel(7, 6, { kneeUp: 13 }),
      arm: wristDown('hip', [-16, 3.2, 14], [-1, 0.1, 0.4], handTo([-0.7, 0, 0.5], [0, -1, 0])),
    },
    [put('shins', 'knees'), turn('ankleUp', 20, -8, ['feet', 'shanks']), lower(['pelvis'], [...HEELS]), ...HANDS_DOWN],
    'side',
  ),
  'cow-face-arms': figure(
    {
      ...UPRIGHT,
      leg: kneel(8, 6),
      leftArm: wristAt('shoulder', [-11, 3, -9], [0.25, 1, 0.15], handTo([-0.1, -1, -0.25], [0.9, 0, 0], 10)),
      rightArm: wristAt('shoulder', [-14, -27, -11], [-0.3, -0.8, 0.8], handTo([-0.1, 1, -0.35], [-0.9, 0, 0], 10)),
    },
    ON_HEELS,
    { azimuth: -52, elevation: 14 },
  ),
};
