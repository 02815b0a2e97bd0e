import type { Figure, SettleStep } from '#core/body';
import { FROM_FRONT_LEG, KNEES_DOWN } from './kneeling';
import { ARMS_DOWN, FEET_DOWN, HANDS_DOWN, ON_THE_FRONT, SITTING, TRUNK_ON_BACK } from './recipes';
import { CROSS_LEGGED, UPRIGHT } from './seated';
import {
  ankleAt,
  ARMS_BESIDE,
  figure,
  FLAT_FOOT,
  footTo,
  handTo,
  HANDS_ON_KNEES,
  kneel,
  legBy,
  lower,
  PALM_DOWN,
  pointed,
  put,
  straightLeg,
  TOES_TUCKED,
  TOES_UP,
  turn,
  wristAt,
  wristDown,
} from './shorthand';
import { ARMS_WIDE, LONG_LEG, LYING } from './supine';

const OTHER_LEG_DOWN = turn('hip', 60, -12, ['thighs', 'shanks', 'feet'], { of: 'right' });
/** Hands that come down on what may stand high. */
const HANDS_FROM_ABOVE: SettleStep[] = [
  turn('wristUp', 44, 4, ['hands', 'forearms'], { of: 'left' }),
  turn('wristUp', 44, 4, ['hands', 'forearms'], { of: 'right' }),
];
const LEGS = ['leftLeg', 'rightLeg'] as const;

/** Long holds for hips, back, shoulders, wrists and feet. */
export const LONG_HOLD_FIGURES: Record<string, Figure> = {
  camel: figure(
    {
      pitch: -22,
      height: 45,
      lumbar: -36,
      thoracic: -40,
      neck: -20,
      leg: kneel(9, 9, { kneeUp: 0, knee: 'ahead' }),
      arm: wristAt('ankle', [6, 7, 3], [-1, 0.2, 0.4], handTo([-0.6, -0.8, 0], [0, -0.4, -1], 50)),
    },
    KNEES_DOWN,
    'side',
  ),
  snail: figure(
    {
      pitch: -178,
      height: 56,
      lumbar: 36,
      thoracic: 30,
      neck: 58,
      head: 22,
      leg: legBy([126, 5, 0], 20, pointed(0)),
      arm: wristDown('shoulder', [46, 3, 8], [0.2, 0, 1], handTo([1, 0, 0], [0, -1, 0])),
    },
    [
      put('shoulders', 'sacrum'),
      lower(['shoulders']),
      turn('neck', 66, 20, ['head']),
      turn('hip', 90, 150, ['feet', 'shanks']),
    ],
    'side',
  ),
  'dragon-splits': figure(
    {
      pitch: 20,
      height: 22,
      lumbar: 4,
      thoracic: 6,
      neck: -4,
      left: straightLeg(4, TOES_UP),
      right: ankleAt([-150, 3.8, 10], 180, footTo([-1, -0.1, 0], [-0.1, 1, 0])),
      arm: wristDown('shoulder', [4, 18, 8], [-1, 0.1, 0.4], PALM_DOWN),
    },
    [
      put('thighs', 'hip'),
      turn('height', 40, 8, ['pelvis', 'thighs']),
      ...FEET_DOWN,
      put('hands'),
      ...HANDS_FROM_ABOVE,
    ],
    FROM_FRONT_LEG,
  ),
  'shoulder-opener-prone': figure(
    {
      pitch: 90,
      roll: -52,
      thoracic: [4, 0, 0],
      neck: [4, 0, 0],
      left: legBy([4, 4, 0], 4, pointed(60)),
      right: ankleAt([-40, 6.2, -14], 4, footTo([-1, 0, -0.2], [0, -1, 0])),
      leftArm: wristDown('shoulder', [0, 3, 56], [1, 0, 0.2], handTo([0, 0, 1], [0, -1, 0], 10)),
      rightArm: wristDown('shoulder', [2, 3, 10], [-0.8, 0.4, 0.6], PALM_DOWN),
    },
    [
      lower(['lowerTrunk', 'thighs']),
      turn('pitch', 70, 100, ['ribs', 'shoulders']),
      put('head', 'forehead'),
      turn('neckLean', 40, -40, ['head']),
      ...HANDS_DOWN,
    ],
    { azimuth: 38, elevation: 34 },
  ),
  'cat-pulling-tail': figure(
    {
      pitch: -84,
      roll: 60,
      lumbar: [-6, 0, -10],
      thoracic: [0, 0, -36],
      neck: [6, 0, 10],
      left: legBy([-12, 4, 0], 112, pointed(20)),
      right: legBy([74, -14, 0], 8, pointed(10)),
      leftArm: ARMS_WIDE,
      rightArm: wristAt('otherAnkle', [-2, 4, 0], [0, 0.4, 1], handTo([0.6, 0, -0.8], [0, -1, 0], 70)),
    },
    [
      put('hip', 'sacrum'),
      lower(['lowerTrunk']),
      turn('pitch', -78, -104, ['ribs']),
      lower(['lowerTrunk']),
      put('neck', 'head'),
      turn('neck', 30, -25, ['head']),
      put('knees', 'thighs'),
      turn('hipOpen', -40, 60, ['thighs', 'shanks', 'feet'], { of: 'left' }),
      turn('hipOpen', 20, -60, ['feet', 'shanks'], { of: 'right' }),
    ],
    'above',
  ),
  'half-happy-baby': figure(
    {
      ...LYING,
      left: legBy([142, 30, 26], 104, pointed(0)),
      right: LONG_LEG,
      leftArm: wristAt('ankle', [2, 4, -3], [0.4, 0, 1], handTo([0.2, 0.9, -0.5], [0.4, 0, 1], 60)),
      rightArm: ARMS_BESIDE,
    },
    [...TRUNK_ON_BACK, OTHER_LEG_DOWN, turn('shoulder', 60, -60, ['upperArms'], { of: 'right' })],
    { azimuth: 118, elevation: 30 },
  ),
  'half-frog': figure(
    {
      pitch: 90,
      thoracic: 6,
      neck: [-10, 0, 36],
      head: [0, 0, 44],
      left: legBy([20, 76, 84], 88, pointed(40)),
      right: legBy([0, 4, 0], 0, pointed(78)),
      arm: wristDown('shoulder', [22, 3, 6], [-0.2, 0, 1], handTo([0.6, -0.05, -1], [0, -1, 0])),
    },
    ON_THE_FRONT,
    'above',
  ),
  'leg-to-side-with-strap': figure(
    {
      ...LYING,
      left: legBy([50, 68, 60], 2, pointed(0)),
      right: LONG_LEG,
      leftArm: wristDown('shoulder', [14, 6, 44], [-0.6, 0.2, 1], handTo([0.6, 0, 0.8], [0, 1, 0], 80)),
      rightArm: ARMS_WIDE,
    },
    [
      ...TRUNK_ON_BACK,
      OTHER_LEG_DOWN,
      put('calves'),
      turn('hip', 110, -20, ['thighs', 'shanks', 'feet'], { of: 'left' }),
      ...HANDS_DOWN,
    ],
    'above',
  ),
  'eagle-arms': figure(
    {
      ...UPRIGHT,
      ...CROSS_LEGGED,
      leftArm: wristAt('chest', [30, 20, -4], [0.2, -1, -0.5], handTo([0, 1, 0], [0, 0, -1], 10)),
      rightArm: wristAt('chest', [26, 24, -5], [0.3, -1, -0.4], handTo([0, 1, 0], [0, 0, -1], 10)),
    },
    [...SITTING, turn('swivel', 0, 90, ['thighs', 'shanks'])],
    'threeQuarterFront',
  ),
  'wrist-stretch': figure(
    {
      pitch: 78,
      height: 45,
      lumbar: 10,
      thoracic: 10,
      neck: -4,
      leg: kneel(9, 9, { kneeUp: 0 }),
      arm: wristDown('shoulder', [10, 3.2, 3], [-0.4, 0, 1], handTo([-1, -0.05, 0.15], [0, -1, 0])),
    },
    [...KNEES_DOWN, ...HANDS_DOWN],
    'threeQuarter',
  ),
  'figure-four-at-wall': figure(
    {
      ...LYING,
      pitch: -92,
      right: legBy([96, 4, 0], 88, pointed(0)),
      left: legBy([84, 44, 70], 100, pointed(0)),
      arm: ARMS_BESIDE,
    },
    [...TRUNK_ON_BACK, put('legs', 'soles'), ...ARMS_DOWN],
    { azimuth: 132, elevation: 24 },
  ),
  'straight-leg-twist': figure(
    {
      ...UPRIGHT,
      lumbar: [-4, 0, 14],
      thoracic: [4, 0, 40],
      neck: [-4, 0, 20],
      head: [2, 0, 8],
      right: straightLeg(0, TOES_UP),
      left: ankleAt([34, 6.2, -4], -6, FLAT_FOOT),
      leftArm: wristDown('floor', [-14, 3.2, 18], [-0.8, 0.3, 0.6], handTo([-0.8, -0.1, 0.4], [0, -1, 0])),
      rightArm: wristAt('otherKnee', [2, 0, 9], [0.6, -0.6, 0.6], handTo([-0.4, 0.4, -0.8], [-0.8, 0, -0.4], 40)),
    },
    [...SITTING, ...FEET_DOWN, turn('pitch', -30, 3, ['head']), ...HANDS_DOWN],
    { azimuth: 120, elevation: 22 },
  ),
  'toes-tucked-leaning': figure(
    {
      pitch: 80,
      height: 45,
      lumbar: 10,
      thoracic: 10,
      neck: -8,
      leg: kneel(8, 7, { kneeUp: 0, ankleUp: 13.5, foot: TOES_TUCKED }),
      arm: wristDown('shoulder', [0, 3.2, 5], [-0.8, 0, 0.6], PALM_DOWN),
    },
    [
      put('knees', 'shins'),
      turn('height', 80, 30, ['knees']),
      turn('ankleUp', 26, 6, ['feet', 'shanks']),
      put('hands'),
      ...HANDS_DOWN,
    ],
    'side',
  ),
  'one-ankle-lifted': figure(
    {
      ...UPRIGHT,
      pitch: -10,
      left: kneel(8, 6, { kneeUp: 24 }),
      right: kneel(8, 6),
      leftArm: wristAt('knee', [-8, 8, 0], [-0.6, -0.2, 0.7], handTo([1, 0.2, 0.3], [-0.2, -1, 0], 30)),
      rightArm: HANDS_ON_KNEES,
    },
    [
      put('shins', 'knees', 'seat'),
      turn('ankleUp', 20, -8, ['feet', 'shanks']),
      lower(['pelvis'], [...LEGS]),
      ...HANDS_DOWN,
    ],
    { azimuth: 152, elevation: 18 },
  ),
};
