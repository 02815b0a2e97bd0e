import type { Figure, SettleStep } from '#core/body';
import { FEET_DOWN, HANDS_DOWN, kneelingFold, ON_THE_FRONT } from './recipes';
import {
  ankleAt,
  figure,
  FLAT_FOOT,
  footTo,
  handTo,
  kneel,
  legBy,
  lower,
  PALM_DOWN,
  pointed,
  put,
  turn,
  wristAt,
  wristDown,
} from './shorthand';

const HANDS_AHEAD = wristDown('shoulder', [22, 3.2, 8], [-0.7, 0.5, 0.9], handTo([1, -0.08, -0.35], [0, -1, 0], 14));
const ARMS_LONG = wristDown('shoulder', [60, 3, 2], [0, 0.2, 1], PALM_DOWN);
const FOREHEAD_DOWN = { neck: -10, head: 0 };
const CHEEK_DOWN = { neck: [-10, 0, -36], head: [0, 0, -44] } as const;
/** The back leg of the lunges: knee and top of the foot on the floor. */
const BACK_KNEE = kneel(9, 9, { knee: 'behind' });
const LONG_BACK_LEG = ankleAt([-150, 3.8, 10], 180, footTo([-1, -0.1, 0], [-0.1, 1, 0]));
/** The front leg of the hip pose: shin across the mat. */
const FOLDED_FRONT = kneel(20, -8, { kneeUp: 5.6, ankleUp: 4.4, foot: pointed(50, 0, 12) });

/** Knees and feet on the floor or the blanket, hips over the knees. */
export const KNEES_DOWN: SettleStep[] = [
  put('knees', 'shins'),
  turn('height', 80, 30, ['knees']),
  turn('ankleUp', 24, 3, ['feet', 'shanks']),
];
const BACK_KNEE_DOWN: SettleStep[] = [put('knees', 'shins'), turn('kneeUp', 20, 3, ['knees'], { of: 'right' })];

/** The side of the front leg, by which a lunge is named. */
export const FROM_FRONT_LEG = { azimuth: 156, elevation: 20 };

/** Hips over the knees: the thighs hang straight down. */
const allFours = { pitch: 90, height: 45, leg: kneel(9, 9, { kneeUp: 0 }) };

export const KNEELING_FIGURES: Record<string, Figure> = {
  'child-narrow': figure(
    {
      pitch: 58,
      lumbar: 26,
      thoracic: 26,
      ...FOREHEAD_DOWN,
      leg: kneel(8, 6),
      arm: wristDown('hip', [-8, 3, 12], [0.3, 0.4, 1], handTo([-1, -0.05, 0.1], [0, 1, 0], 30)),
    },
    kneelingFold(125),
  ),
  'child-wide': figure(
    { pitch: 58, lumbar: 14, thoracic: 10, ...FOREHEAD_DOWN, leg: kneel(27, 7), arm: ARMS_LONG },
    kneelingFold(118),
  ),
  'child-on-bolster': figure(
    {
      pitch: 58,
      lumbar: 18,
      thoracic: -4,
      neck: [...CHEEK_DOWN.neck],
      head: [...CHEEK_DOWN.head],
      leg: kneel(20, 8),
      arm: HANDS_AHEAD,
    },
    // The knees go as wide as what lies between them.
    kneelingFold(112, turn('kneeOut', 20, 19.5, ['thighs', 'shanks']), turn('ankleOut', 8, 7.5, ['feet', 'shanks'])),
  ),
  'heart-melting': figure(
    { ...allFours, pitch: 100, lumbar: -14, thoracic: -16, neck: -20, arm: ARMS_LONG },
    [
      ...KNEES_DOWN,
      turn('pitch', 70, 140, ['ribs', 'head']),
      put('chest', 'forehead', 'head'),
      turn('pitch', 70, 140, ['ribs', 'head']),
      turn('neck', -45, 30, ['head']),
      ...HANDS_DOWN,
    ],
    'side',
    { chest: [20, 0, 0] },
  ),
  'thread-the-needle': figure(
    {
      ...allFours,
      pitch: 104,
      lumbar: [6, 0, -14],
      thoracic: [10, 0, -48],
      neck: [0, 10, -10],
      leftArm: wristDown('shoulder', [6, 3, -50], [0.6, 0.2, 0.4], handTo([0.1, -0.02, -1], [0, 1, 0], 24)),
      rightArm: wristDown('shoulder', [26, 3, 12], [-0.2, 0.6, 1], PALM_DOWN),
    },
    [
      ...KNEES_DOWN,
      turn('pitch', 80, 142, ['upperTrunk', 'head']),
      put('chest', 'shoulders', 'head', 'forehead'),
      turn('pitch', 80, 142, ['upperTrunk', 'head']),
      turn('neck', -30, 30, ['head']),
      ...HANDS_DOWN,
    ],
    'threeQuarter',
  ),
  frog: figure(
    {
      pitch: 80,
      height: 20,
      lumbar: -6,
      thoracic: 4,
      neck: -10,
      leg: kneel(46, 42, { foot: footTo([-0.5, -0.05, 1], [-0.9, 0.2, -0.4]) }),
      arm: wristDown('shoulder', [16, 3.4, 10], [-0.6, 0.2, 1], PALM_DOWN),
    },
    [
      put('knees'),
      turn('kneeUp', 16, 0, ['knees']),
      turn('ankleUp', 14, -8, ['feet', 'shanks']),
      turn('height', 34, 12, ['thighs', 'pelvis']),
      put('chest', 'belly'),
      turn('pitch', 60, 108, ['ribs', 'head']),
      put('forehead'),
      turn('neck', -40, 30, ['head']),
      ...HANDS_DOWN,
    ],
    'above',
    { chest: [16, 0, 0] },
  ),
  'lunge-hands-inside': figure(
    {
      pitch: 38,
      height: 31,
      lumbar: 30,
      thoracic: 30,
      neck: -6,
      left: ankleAt([34, 6.2, 18], 12, FLAT_FOOT),
      right: BACK_KNEE,
      arm: wristDown('shoulder', [0, 3.2, -4], [-0.6, 0, 1], PALM_DOWN),
    },
    [...BACK_KNEE_DOWN, put('chest'), ...HANDS_DOWN, ...FEET_DOWN.slice(0, 2)],
    FROM_FRONT_LEG,
  ),
  'lunge-outside': figure(
    {
      pitch: 40,
      height: 30,
      lumbar: 32,
      thoracic: 30,
      neck: -6,
      left: ankleAt([34, 6.2, 20], 48, footTo([1, 0, 0.5], [0, -0.9, -0.45])),
      right: BACK_KNEE,
      arm: wristDown('shoulder', [2, 3.2, -6], [-0.6, 0, 1], PALM_DOWN),
    },
    [...BACK_KNEE_DOWN, put('chest'), ...HANDS_DOWN, ...FEET_DOWN.slice(0, 2)],
    FROM_FRONT_LEG,
  ),
  'lunge-forearms': figure(
    {
      pitch: 38,
      height: 28,
      lumbar: 52,
      thoracic: 36,
      neck: -14,
      left: ankleAt([32, 6.2, 24], 26, FLAT_FOOT),
      right: BACK_KNEE,
      arm: wristDown('shoulder', [18, 3.4, -7], [-1, 0.1, 0.3], PALM_DOWN),
    },
    [...BACK_KNEE_DOWN, put('chest'), ...HANDS_DOWN, turn('neck', -34, 20, ['head'])],
    FROM_FRONT_LEG,
  ),
  'swan-upright': figure(
    {
      pitch: 16,
      height: 15,
      lumbar: -22,
      thoracic: -6,
      neck: -4,
      left: FOLDED_FRONT,
      right: LONG_BACK_LEG,
      arm: wristDown('shoulder', [7, 3.2, 17], [-1, 0.1, 0.4], PALM_DOWN),
    },
    [
      put('hip', 'knees'),
      turn('height', 26, 5, ['pelvis', 'thighs']),
      turn('ankleUp', 14, -10, ['feet'], { of: 'left' }),
      ...HANDS_DOWN,
    ],
    'threeQuarter',
  ),
  'sleeping-swan': figure(
    {
      pitch: 50,
      height: 14.5,
      lumbar: 24,
      thoracic: 30,
      neck: 6,
      left: FOLDED_FRONT,
      right: LONG_BACK_LEG,
      arm: HANDS_AHEAD,
    },
    [
      put('hip', 'knees'),
      turn('height', 26, 5, ['pelvis', 'thighs']),
      turn('ankleUp', 14, -10, ['feet'], { of: 'left' }),
      put('chest'),
      turn('pitch', 10, 66, ['ribs', 'head'], { onto: ['leftLeg'] }),
      put('forehead', 'head'),
      turn('neck', -30, 45, ['head'], { onto: ['leftLeg'] }),
      ...HANDS_DOWN,
    ],
    'threeQuarter',
    { chest: [26, 0, 0] },
  ),
  'swan-twisted': figure(
    {
      pitch: 16,
      height: 15,
      lumbar: [-6, 0, 20],
      thoracic: [4, 0, 46],
      neck: [-4, 0, 20],
      left: FOLDED_FRONT,
      right: LONG_BACK_LEG,
      rightArm: wristDown('otherKnee', [6, 3.2, 2], [0.2, 0.3, 1], handTo([0.6, -0.05, -0.8], [0, -1, 0], 20)),
      leftArm: wristAt('hip', [-6, 12, 4], [-0.7, 0.4, 1], handTo([0.3, -0.5, -1], [-1, 0, 0], 30)),
    },
    [
      put('hip', 'knees'),
      turn('height', 26, 5, ['pelvis', 'thighs']),
      turn('ankleUp', 14, -10, ['feet'], { of: 'left' }),
      ...HANDS_DOWN,
    ],
    'threeQuarterFront',
  ),
  sphinx: figure(
    {
      pitch: 84,
      lumbar: -26,
      thoracic: -18,
      neck: -6,
      leg: legBy([4, 6, 0], 0, pointed(78)),
      arm: wristDown('shoulder', [22, 3, 2], [-0.6, -1, 0.1], PALM_DOWN),
    },
    [
      put('hip', 'belly', 'sacrum'),
      lower(['lowerTrunk']),
      turn('hip', -40, 40, ['thighs', 'shanks']),
      put('chest'),
      turn('lumbar', -40, -4, ['upperArms', 'forearms']),
    ],
    'side',
    { chest: [9, 0, 0] },
  ),
  seal: figure(
    {
      pitch: 80,
      lumbar: -44,
      thoracic: -26,
      neck: -4,
      leg: legBy([4, 9, 0], 0, pointed(78)),
      arm: wristDown('shoulder', [10, 3.2, 8], [-1, 0, 0.5], handTo([0.9, -0.05, 0.3], [0, -1, 0])),
    },
    [
      put('hip', 'belly', 'sacrum'),
      lower(['lowerTrunk']),
      turn('hip', -40, 40, ['thighs', 'shanks']),
      put('chest'),
      ...HANDS_DOWN,
    ],
    'side',
  ),
  'prone-thigh-strap': figure(
    {
      pitch: 90,
      lumbar: -4,
      thoracic: 2,
      neck: [-10, 0, 30],
      head: [0, 0, 40],
      left: legBy([-4, 4, 0], 118, pointed(20)),
      right: legBy([0, 6, 0], 0, pointed(78)),
      leftArm: wristAt('ankle', [-8, 3, 6], [0.2, 0.6, 1], handTo([-0.8, 0.3, 0], [0, 0, 1], 80)),
      rightArm: wristDown('shoulder', [16, 3, 10], [-0.3, 0, 1], PALM_DOWN),
    },
    ON_THE_FRONT,
    'side',
  ),
  'crossed-arms-prone': figure(
    {
      pitch: 90,
      thoracic: 8,
      neck: 12,
      head: 6,
      leg: legBy([0, 8, 0], 0, pointed(78)),
      leftArm: wristDown('shoulder', [4, 3, -48], [1, -0.2, 0.6], handTo([0.1, 0, -1], [0, -1, 0], 10)),
      rightArm: wristDown('shoulder', [-3, 5, -48], [1, -0.2, 0.6], handTo([0.1, 0, -1], [0, -1, 0], 10)),
    },
    ON_THE_FRONT,
    'threeQuarterFront',
  ),
  'prone-rest': figure(
    {
      pitch: 90,
      thoracic: 4,
      neck: [-10, 0, 36],
      head: [0, 0, 44],
      leg: legBy([0, 10, 0], 0, pointed(70, -20)),
      arm: wristDown('shoulder', [20, 3, 6], [-0.2, 0, 1], handTo([0.6, -0.05, -1], [0, -1, 0])),
    },
    ON_THE_FRONT,
    'threeQuarter',
  ),
  'prone-on-bolster': figure(
    {
      pitch: 84,
      lumbar: 6,
      thoracic: 6,
      neck: [-10, 0, 36],
      head: [0, 0, 44],
      leg: legBy([10, 12, 0], 10, pointed(70, -10)),
      arm: wristDown('shoulder', [14, 3, 14], [-0.3, 0.3, 1], handTo([1, -0.05, -0.3], [0, -1, 0])),
    },
    ON_THE_FRONT,
    'threeQuarter',
  ),
  'downward-dog-held': figure(
    {
      pitch: 124,
      height: 69,
      lumbar: -8,
      thoracic: 2,
      neck: 6,
      leg: ankleAt([-50, 6.2, 10], 176, FLAT_FOOT),
      arm: wristDown('shoulder', [80, 3.2, 4], [0, 0.4, 1], PALM_DOWN),
    },
    // The support stands where the head will come down to it.
    [turn('pitch', 112, 122, ['head']), put('forehead', 'head'), turn('pitch', 112, 136, ['head']), ...HANDS_DOWN],
    'side',
  ),
};
