import type { Figure, SettleStep } from '#core/body';
import { KNEES_DOWN } from './kneeling';
import { ARMS_DOWN, FEET_DOWN, HANDS_DOWN, KNEES_OPEN, SITTING, TRUNK_ON_BACK } from './recipes';
import { CROSS_LEGGED, UPRIGHT } from './seated';
import {
  ankleAt,
  ARMS_BESIDE,
  armBy,
  figure,
  FLAT_FOOT,
  hand,
  handTo,
  HANDS_ON_KNEES,
  kneel,
  legBy,
  lower,
  PALM_DOWN,
  pointed,
  put,
  wristAt,
  wristDown,
} from './shorthand';
import { LYING } from './supine';

const STANDING = { height: 87, lumbar: -6, thoracic: 6, neck: -4, head: 4, leg: ankleAt([0, 6.2, 9], 6, FLAT_FOOT) };
const ON_ALL_FOURS: SettleStep[] = [...KNEES_DOWN, put('hands'), ...HANDS_DOWN];
const ALL_FOURS = { pitch: 90, height: 45, leg: kneel(9, 9, { kneeUp: 0 }) };
const UNDER_SHOULDERS = wristDown('shoulder', [3, 3.2, 2], [-1, 0, 0.4], PALM_DOWN);
const HUGGING = wristAt('knee', [12, 6, -4], [0.2, -0.2, 1], handTo([0.3, -0.3, -1], [-0.6, -0.6, 0], 50));
const CHEST_LIFTED: SettleStep[] = [put('hip', 'belly'), lower(['lowerTrunk'])];

/** Small movements that warm up, loosen and wake, each drawn at the moment a teacher would know it by. */
export const MOVE_FIGURES: Record<string, Figure> = {
  cat: figure(
    { ...ALL_FOURS, pitch: 68, lumbar: 34, thoracic: 40, neck: 30, head: 14, arm: UNDER_SHOULDERS },
    ON_ALL_FOURS,
    'side',
  ),
  cow: figure(
    { ...ALL_FOURS, pitch: 104, lumbar: -24, thoracic: -12, neck: -30, head: -10, arm: UNDER_SHOULDERS },
    ON_ALL_FOURS,
    'side',
  ),
  'curled-ball': figure(
    {
      pitch: -104,
      lumbar: 34,
      thoracic: 44,
      neck: 44,
      head: 20,
      leg: legBy([142, 8, 0], 148, pointed(34)),
      arm: HUGGING,
    },
    [lower(['lowerTrunk', 'ribs'])],
    'side',
  ),
  'rocking-on-the-back': figure(
    {
      pitch: -122,
      lumbar: 36,
      thoracic: 40,
      neck: 46,
      head: 14,
      leg: legBy([128, 8, 0], 120, pointed(30)),
      arm: wristAt('knee', [2, -8, 0], [0.2, -0.4, 1], handTo([0.3, 0.2, -1], [0.2, 0.8, 0], 60)),
    },
    [lower(['lowerTrunk', 'ribs', 'shoulders'])],
    'side',
  ),
  'boat-supported': figure(
    {
      pitch: -34,
      lumbar: 8,
      thoracic: 10,
      neck: 6,
      leg: legBy([104, 4, 0], 62, pointed(26)),
      arm: wristAt('knee', [-4, -8, 2], [-0.4, -0.6, 0.8], handTo([0.8, 0.3, -0.4], [0.2, 0.8, 0], 60)),
    },
    [put('seat', 'hip'), lower(['pelvis'])],
    'threeQuarter',
  ),
  locust: figure(
    {
      pitch: 82,
      lumbar: -24,
      thoracic: -24,
      neck: -8,
      leg: legBy([-16, 5, 0], 0, pointed(78)),
      arm: armBy([-22, 14, 20], 4, hand(40, 20)),
    },
    CHEST_LIFTED,
    'side',
    { chest: [10, 0, 0] },
  ),
  bow: figure(
    {
      pitch: 78,
      lumbar: -36,
      thoracic: -34,
      neck: -16,
      leg: legBy([-26, 10, 0], 104, pointed(40)),
      arm: wristAt('ankle', [3, 5, 2], [-0.2, 1, 0.5], handTo([-0.4, 0.8, -0.3], [0.4, 0, -1], 70)),
    },
    CHEST_LIFTED,
    'side',
  ),
  'pelvic-tilt': figure(
    {
      pitch: -92,
      lumbar: 14,
      thoracic: 4,
      neck: 10,
      head: 4,
      leg: ankleAt([42, 6.2, 10], 0, FLAT_FOOT),
      arm: ARMS_BESIDE,
    },
    [...TRUNK_ON_BACK, ...ARMS_DOWN],
    'side',
  ),
  'windscreen-wipers': figure(
    {
      pitch: -26,
      lumbar: 8,
      thoracic: 6,
      neck: 10,
      left: legBy([104, 50, 20], 96, pointed(20)),
      right: legBy([104, -26, -40], 96, pointed(20)),
      arm: wristDown('hip', [-30, 3.2, 14], [-1, 0.2, 0.4], handTo([-1, 0, 0.5], [0, -1, 0])),
    },
    [put('seat'), lower(['pelvis']), put('hands'), ...HANDS_DOWN],
    'threeQuarterFront',
  ),
  'knee-circles': figure(
    {
      ...LYING,
      leg: legBy([104, 16, 0], 112, pointed(30)),
      arm: wristAt('knee', [2, 6, -1], [-0.4, -0.4, 1], handTo([1, 0.2, -0.2], [0, -1, 0], 40)),
    },
    [...TRUNK_ON_BACK],
    'threeQuarter',
  ),
  'ankle-circles': figure(
    {
      ...LYING,
      left: legBy([96, 4, 0], 30, pointed(10, 20)),
      right: ankleAt([42, 6.2, 10], 0, FLAT_FOOT),
      leftArm: wristAt('knee', [-12, -6, 2], [-0.3, -0.4, 1], handTo([0.4, 0.3, -1], [0.3, 0.6, 0], 60)),
      rightArm: wristAt('otherKnee', [-12, -6, -2], [-0.3, -0.4, 1], handTo([0.4, 0.3, -1], [0.3, 0.6, 0], 60)),
    },
    [...TRUNK_ON_BACK],
    'side',
  ),
  'seated-circles': figure(
    {
      ...UPRIGHT,
      pitch: 12,
      lumbar: [6, 14, 0],
      thoracic: [6, 10, 0],
      neck: [0, -8, 0],
      ...CROSS_LEGGED,
      arm: HANDS_ON_KNEES,
    },
    [...SITTING, ...KNEES_OPEN, ...HANDS_DOWN],
    'threeQuarterFront',
  ),
  'standing-reach': figure({ ...STANDING, arm: armBy([172, 8, 0], 6, hand(0, 10)) }, FEET_DOWN, 'threeQuarterFront'),
  mountain: figure({ ...STANDING, arm: armBy([2, 10, 20], 8, hand(60, 25)) }, FEET_DOWN, 'threeQuarterFront'),
};
