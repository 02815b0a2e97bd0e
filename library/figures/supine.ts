import type { Figure, SettleStep } from '#core/body';
import { ARMS_DOWN, HANDS_DOWN, KNEES_OPEN, LEGS_DOWN, ON_THE_BACK, TRUNK_ON_BACK } from './recipes';
import {
  ankleAt,
  ARMS_BESIDE,
  armBy,
  figure,
  FLAT_FOOT,
  footTo,
  hand,
  handTo,
  HANDS_ON_BELLY,
  kneel,
  legBy,
  lower,
  pointed,
  put,
  turn,
  wristAt,
  wristDown,
} from './shorthand';

/** Flat on the back. */
export const LYING = { pitch: -88, lumbar: 4, thoracic: 4, neck: 10, head: 4 };
/** A leg let down long. */
export const LONG_LEG = legBy([60, 9, 14], 0, pointed(28, 12));
const SOLES = footTo([1, 0.02, 0.1], [0, 0.12, -1]);
/** Soles together in front of the pelvis. */
const SOLES_TOGETHER = ankleAt([30, 3.4, 3.6], 60, SOLES);
const KNEES_UP = ankleAt([44, 6.2, 9], 0, FLAT_FOOT);
export const ARMS_WIDE = wristDown('shoulder', [-4, 3, 52], [1, 0.12, 0], handTo([-0.12, -0.02, 1], [0, 1, 0], 34));
const CACTUS = wristDown('shoulder', [-23, 3, 28], [0.5, 0.05, 1], handTo([-1, -0.02, 0.1], [0, 1, 0], 34));
export const OPEN_ARMS = armBy([10, 60, 50], 14, hand(70, 45));
/** On the side with the trunk turned back to the ceiling. */
const TWISTED_TRUNK = {
  pitch: -84,
  roll: 76,
  lumbar: [4, 0, -16],
  thoracic: [2, 0, -52],
  neck: [6, 0, 16],
  head: [2, 0, 10],
} as const;
const twisted = () => ({
  ...TWISTED_TRUNK,
  lumbar: [...TWISTED_TRUNK.lumbar] as [number, number, number],
  thoracic: [...TWISTED_TRUNK.thoracic] as [number, number, number],
  neck: [...TWISTED_TRUNK.neck] as [number, number, number],
  head: [...TWISTED_TRUNK.head] as [number, number, number],
  arm: ARMS_WIDE,
});
const TWIST_DOWN: SettleStep[] = [
  put('hip', 'sacrum'),
  lower(['lowerTrunk']),
  turn('pitch', -78, -104, ['ribs']),
  lower(['lowerTrunk']),
  put('neck', 'head', 'upperBack', 'shoulders'),
  turn('neck', 30, -25, ['head']),
  ...HANDS_DOWN,
];
const ON_SIDE_LEGS: SettleStep[] = [
  put('knees', 'thighs'),
  turn('hipOpen', -40, 60, ['thighs', 'shanks', 'feet'], { of: 'left' }),
  put('betweenKnees'),
  turn('hipOpen', 30, -60, ['thighs', 'shanks', 'feet'], { of: 'right', onto: ['leftLeg'] }),
];

export const SUPINE_FIGURES: Record<string, Figure> = {
  'last-rest': figure({ ...LYING, leg: LONG_LEG, arm: ARMS_BESIDE }, ON_THE_BACK),
  'knees-in-rest': figure({ ...LYING, pitch: -58, leg: LONG_LEG, arm: ARMS_BESIDE }, ON_THE_BACK),
  'propped-rest': figure({ ...LYING, pitch: -58, leg: LONG_LEG, arm: ARMS_BESIDE }, ON_THE_BACK),
  'constructive-rest': figure(
    { ...LYING, leg: ankleAt([40, 6.2, 15], -22, footTo([1, 0, -0.2], [0, -1, 0])), arm: HANDS_ON_BELLY },
    TRUNK_ON_BACK,
  ),
  'knees-to-chest': figure(
    {
      ...LYING,
      leg: legBy([138, 8, 0], 146, pointed(34)),
      arm: wristAt('knee', [7, 4, -2], [0.2, -0.2, 1], handTo([0.3, -0.3, -1], [-0.6, -0.6, 0], 50)),
    },
    TRUNK_ON_BACK,
    'side',
  ),
  'reclined-bound-angle': figure(
    { pitch: -58, head: 8, leg: SOLES_TOGETHER, arm: armBy([10, 40, 40], 25) },
    [...TRUNK_ON_BACK, ...KNEES_OPEN, ...ARMS_DOWN],
    'threeQuarterFront',
  ),
  'bound-angle-flat': figure(
    { ...LYING, leg: SOLES_TOGETHER, arm: ARMS_BESIDE },
    [...TRUNK_ON_BACK, ...KNEES_OPEN, ...ARMS_DOWN],
    'threeQuarterFront',
  ),
  'bound-angle-pillows': figure(
    { pitch: -58, head: 8, leg: SOLES_TOGETHER, arm: HANDS_ON_BELLY },
    [...TRUNK_ON_BACK, ...KNEES_OPEN],
    'threeQuarterFront',
  ),
  'reclined-kneeling': figure(
    { pitch: -58, lumbar: -8, head: 8, leg: kneel(9, 19), arm: armBy([10, 40, 40], 25) },
    [...TRUNK_ON_BACK, ...ARMS_DOWN],
    'threeQuarter',
    { spine: [-9, 0, 0] },
  ),
  'reclined-half-kneeling': figure(
    {
      pitch: -58,
      lumbar: -8,
      head: 8,
      left: kneel(9, 19),
      right: ankleAt([42, 6.2, 9], 0, FLAT_FOOT),
      arm: armBy([10, 40, 40], 25),
    },
    [...TRUNK_ON_BACK, ...ARMS_DOWN],
    'threeQuarter',
    { spine: [-9, 0, 0] },
  ),
  'bridge-on-bolster': figure(
    {
      pitch: -100,
      lumbar: -10,
      thoracic: 4,
      neck: 20,
      head: 8,
      leg: KNEES_UP,
      arm: armBy([10, 64, 60], 14, hand(70, 45)),
    },
    [...TRUNK_ON_BACK, ...ARMS_DOWN],
  ),
  'bridge-on-block': figure(
    { pitch: -100, lumbar: -10, thoracic: 4, neck: 20, head: 8, leg: KNEES_UP, arm: ARMS_BESIDE },
    [...TRUNK_ON_BACK, ...ARMS_DOWN],
    'side',
  ),
  'legs-up-from-bolster': figure(
    {
      pitch: -100,
      lumbar: -6,
      thoracic: 4,
      neck: 20,
      head: 8,
      leg: legBy([84, 2, 4], 3, pointed(6)),
      arm: ARMS_BESIDE,
    },
    [...TRUNK_ON_BACK, ...ARMS_DOWN],
    'side',
  ),
  'fish-on-bolster': figure({ pitch: -58, leg: LONG_LEG, arm: OPEN_ARMS, lumbar: 0, neck: 4 }, ON_THE_BACK),
  'fish-over-blankets': figure({ ...LYING, leg: LONG_LEG, arm: OPEN_ARMS }, ON_THE_BACK),
  'reclined-twist': figure(
    { ...twisted(), left: legBy([84, 0, 0], 88, pointed(30)), right: legBy([92, 0, 0], 96, pointed(30)) },
    [...TWIST_DOWN, ...ON_SIDE_LEGS],
    'above',
  ),
  'crossed-twist': figure(
    { ...twisted(), left: legBy([70, -6, 0], 78, pointed(30)), right: legBy([84, -22, 0], 100, pointed(40)) },
    [
      ...TWIST_DOWN,
      put('knees'),
      turn('hipOpen', -40, 60, ['thighs', 'shanks', 'feet'], { of: 'left' }),
      turn('hipOpen', 20, -60, ['feet', 'shanks'], { of: 'right' }),
    ],
    'above',
  ),
  'wide-feet-twist': figure(
    {
      ...LYING,
      roll: 24,
      lumbar: [4, 0, -6],
      thoracic: [2, 0, -18],
      left: legBy([52, 50, 20], 84, pointed(20)),
      right: legBy([52, -26, -40], 84, pointed(20)),
      arm: ARMS_WIDE,
    },
    TWIST_DOWN,
    'above',
  ),
  'lateral-bend-lying': figure(
    {
      ...LYING,
      lumbar: [4, -22, 0],
      thoracic: [4, -30, 0],
      neck: [10, -8, 0],
      left: legBy([0, 26, 8], 0, pointed(24)),
      right: legBy([0, -18, 0], 0, pointed(24)),
      arm: wristDown('head', [-28, 3, 4], [0, 0.1, 1], handTo([-0.6, -0.05, -0.9], [0, 1, 0], 30)),
    },
    [
      ...TRUNK_ON_BACK,
      turn('hip', 40, -12, ['thighs', 'shanks', 'feet'], { of: 'left' }),
      turn('hip', 40, -12, ['thighs', 'shanks', 'feet'], { of: 'right' }),
      ...HANDS_DOWN,
    ],
    'above',
  ),
  'happy-baby': figure(
    {
      ...LYING,
      leg: legBy([142, 30, 26], 104, pointed(0)),
      arm: wristAt('ankle', [2, 4, -3], [0.4, 0, 1], handTo([0.2, 0.9, -0.5], [0.4, 0, 1], 60)),
    },
    TRUNK_ON_BACK,
    { azimuth: 75, elevation: 30 },
  ),
  'leg-with-strap': figure(
    {
      ...LYING,
      left: legBy([92, 4, 0], 3, pointed(0)),
      right: LONG_LEG,
      arm: armBy([62, 4, -10], 44, handTo([0.5, 0.8, 0], [0, 0, -1], 80)),
    },
    [
      ...TRUNK_ON_BACK,
      turn('hip', 60, -12, ['thighs', 'shanks', 'feet'], { of: 'right' }),
      turn('hip', 60, 100, ['head'], { of: 'left' }),
    ],
    'side',
  ),
  'figure-four': figure(
    {
      ...LYING,
      right: legBy([98, 4, 0], 92, pointed(10)),
      left: legBy([84, 42, 70], 100, pointed(0)),
      arm: wristAt('otherKnee', [-12, -4, 4], [0, -0.2, 1], handTo([0.3, 0.1, -1], [-0.5, -0.5, 0], 50)),
    },
    TRUNK_ON_BACK,
    { azimuth: 122, elevation: 24 },
  ),
  'legs-parallel-held': figure({ ...LYING, leg: LONG_LEG, arm: ARMS_BESIDE }, ON_THE_BACK),
  'half-lying-twist': figure(
    {
      ...twisted(),
      left: legBy([62, 0, 0], 74, pointed(30)),
      right: legBy([70, 0, 0], 82, pointed(30)),
    },
    [...TWIST_DOWN, ...ON_SIDE_LEGS],
    { azimuth: 150, elevation: 30 },
  ),
  'bolster-twist': figure(
    {
      pitch: 72,
      roll: -88,
      height: 16,
      lumbar: [0, 10, 24],
      thoracic: [2, 0, 34],
      neck: [0, 0, 20],
      head: [0, 0, 20],
      left: legBy([78, 0, 0], 96, pointed(30)),
      right: legBy([84, 0, 0], 96, pointed(30)),
      arm: wristDown('shoulder', [16, 3, 12], [-0.4, 0.3, 1], handTo([1, -0.05, -0.2], [0, -1, 0])),
    },
    [
      lower(['pelvis', 'thighs']),
      put('belly', 'chest'),
      turn('pitch', 20, 92, ['ribs', 'head']),
      turn('neck', -30, 30, ['head']),
      turn('hipOpen', -40, 40, ['thighs', 'shanks', 'feet'], { of: 'left' }),
      put('betweenKnees'),
      turn('hipOpen', 50, -40, ['thighs', 'shanks', 'feet'], { of: 'right', onto: ['leftLeg'] }),
      ...HANDS_DOWN,
    ],
    'threeQuarterFront',
    { belly: [12, 0, 0] },
  ),
  'side-lying': figure(
    {
      pitch: -90,
      roll: -88,
      lumbar: [6, 0, 0],
      thoracic: [8, 0, 0],
      neck: [4, 0, 0],
      right: legBy([24, 0, 0], 34, pointed(30)),
      left: legBy([66, 0, 0], 76, pointed(30)),
      rightArm: armBy([70, 0, 0], 96, hand(0, 40)),
      leftArm: armBy([46, 0, 0], 84, hand(0, 40)),
    },
    [
      lower(['lowerTrunk']),
      turn('pitch', -76, -96, ['ribs', 'upperArms']),
      lower(['lowerTrunk']),
      put('head', 'behind'),
      turn('neckLean', -40, 40, ['head']),
      turn('hipOpen', -40, 60, ['thighs', 'shanks', 'feet'], { of: 'right' }),
      put('betweenKnees', 'knees'),
      turn('hipOpen', 40, -60, ['thighs', 'shanks', 'feet'], { of: 'left', onto: ['rightLeg'] }),
      turn('shoulderOpen', -70, 40, ['upperArms', 'forearms', 'hands'], { of: 'right' }),
      turn('shoulderOpen', 40, -50, ['forearms', 'hands'], { of: 'left', onto: ['rightArm'] }),
    ],
    'threeQuarter',
  ),
  'supported-cactus': figure(
    { ...LYING, leg: LONG_LEG, arm: CACTUS },
    [...TRUNK_ON_BACK, ...LEGS_DOWN, ...HANDS_DOWN],
    'above',
  ),
};
