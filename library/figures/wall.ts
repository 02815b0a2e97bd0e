import type { Figure } from '#core/body';
import { ARMS_DOWN, FEET_DOWN, TRUNK_ON_BACK } from './recipes';
import { ARMS_ON_TOP } from './supported-folds';
import {
  ankleAt,
  ARMS_BESIDE,
  armBy,
  figure,
  FLAT_FOOT,
  footTo,
  hand,
  handTo,
  legBy,
  pointed,
  put,
  turn,
  wristAt,
  wristDown,
} from './shorthand';

const AT_WALL = { pitch: -97, thoracic: 6, neck: 10, head: 6 };
const UP_THE_WALL = { ...AT_WALL, leg: legBy([86, 3, 4], 1.5, pointed(8)), arm: armBy([10, 38, 30], 20, hand(70, 45)) };
const LEGS_TO_WALL = turn('hip', 112, 60, ['shanks', 'feet']);

export const WALL_FIGURES: Record<string, Figure> = {
  'legs-up-wall': figure(UP_THE_WALL, [put('legs'), ...TRUNK_ON_BACK, LEGS_TO_WALL, ...ARMS_DOWN], 'threeQuarterBack'),
  'legs-up-wall-blankets': figure(
    UP_THE_WALL,
    [put('legs'), ...TRUNK_ON_BACK, LEGS_TO_WALL, ...ARMS_DOWN],
    'threeQuarterBack',
  ),
  'legs-up-wall-belly': figure(
    UP_THE_WALL,
    [put('legs'), ...TRUNK_ON_BACK, LEGS_TO_WALL, ...ARMS_DOWN],
    'threeQuarterBack',
  ),
  'diamond-at-wall': figure(
    { ...AT_WALL, leg: legBy([96, 46, 56], 98, footTo([0.1, 1, 0.1], [0, 0.1, -1])), arm: ARMS_BESIDE },
    [put('legs'), ...TRUNK_ON_BACK, turn('hip', 125, 70, ['feet', 'shanks']), ...ARMS_DOWN],
    'threeQuarterBack',
  ),
  'wide-legs-at-wall': figure(
    { ...AT_WALL, leg: legBy([86, 42, 4], 1.5, pointed(8)), arm: ARMS_BESIDE },
    [put('legs'), ...TRUNK_ON_BACK, LEGS_TO_WALL, ...ARMS_DOWN],
    { azimuth: -62, elevation: 26 },
  ),
  'calves-on-chair': figure(
    {
      pitch: -90,
      lumbar: 4,
      thoracic: 4,
      neck: 10,
      head: 4,
      leg: legBy([94, 7, 10], 92, pointed(12, 8)),
      arm: armBy([10, 36, 30], 12, hand(60, 45)),
    },
    [...TRUNK_ON_BACK, put('calves'), turn('knee', 60, 112, ['shanks']), ...ARMS_DOWN],
    'threeQuarter',
    { calves: [11, 0, 0] },
  ),
  'hanging-fold': figure(
    {
      pitch: 96,
      height: 84,
      lumbar: 34,
      thoracic: 26,
      neck: 20,
      leg: ankleAt([3, 6.2, 9], 8, FLAT_FOOT),
      arm: wristAt('shoulder', [6, -26, -12], [0.1, -0.4, 1], handTo([0, -0.2, -1], [-1, 0, 0], 50)),
    },
    [
      put('forehead'),
      turn('pitch', 30, 108, ['head']),
      put('hands'),
      turn('pitch', 30, 108, ['head', 'hands', 'forearms']),
    ],
    'side',
  ),
  squat: figure(
    {
      pitch: 26,
      height: 24,
      lumbar: 16,
      thoracic: 14,
      neck: -6,
      leg: ankleAt([10, 6.2, 16], 34, footTo([1, 0, 0.5], [0, -1, 0])),
      arm: wristAt('shoulder', [20, -18, -13], [0, -0.5, 1], handTo([0.7, 0.7, -0.2], [0, 0, -1], 8)),
    },
    [...FEET_DOWN, put('seat', 'feet'), turn('height', 50, 24, ['pelvis']), turn('pitch', 0, 26, ['head'])],
    'threeQuarterFront',
  ),
  'wall-half-fold': figure(
    {
      pitch: 92,
      height: 86.6,
      lumbar: -4,
      thoracic: 0,
      neck: -2,
      leg: ankleAt([-3, 6.2, 9], 6, FLAT_FOOT),
      arm: wristAt('shoulder', [54, 8, 0], [0, -1, 0.3], handTo([0.3, 1, 0], [1, 0, 0], 6)),
    },
    [],
    'side',
  ),
  'chair-half-fold': figure(
    {
      pitch: 88,
      height: 85,
      lumbar: 8,
      thoracic: 10,
      neck: 10,
      leg: ankleAt([-3, 6.2, 10], 6, FLAT_FOOT),
      arm: wristDown('shoulder', [10, 48.5, 2], [-0.6, 0, 1], handTo([0.6, 0, -0.8], [0, -1, 0])),
    },
    [put('hands'), ...ARMS_ON_TOP, turn('pitch', 60, 118, ['head']), turn('neck', -20, 40, ['head'])],
    'side',
    { hands: [-6, 0, 0] },
  ),
};
