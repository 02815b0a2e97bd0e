import { mirrorFigure, type Figure } from '#core/body';
import { ARMS_DOWN, HANDS_DOWN, LEGS_DOWN, ON_THE_BACK, TRUNK_ON_BACK } from './recipes';
import {
  ARMS_BESIDE,
  armBy,
  figure,
  FLAT_FOOT,
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
import { LONG_LEG, LYING, OPEN_ARMS, SUPINE_FIGURES } from './supine';

/** A figure of those lying that another set-up is shown with. Throws a RangeError where there is none. */
function lying(id: string): Figure {
  const found = SUPINE_FIGURES[id];
  if (!found) throw new RangeError(`There is no figure “${id}”.`);
  return found;
}

/** From the side that someone on the left side looks to. */
const FACING_LEFT = { azimuth: 140, elevation: 24 };

/** Rests that take more props than the first ones: over rolls and stacks, on a chair, on the side. */
export const REST_FIGURES: Record<string, Figure> = {
  'side-bend-on-bolster': figure(
    {
      pitch: -66,
      roll: 88,
      lumbar: [4, -6, 0],
      thoracic: [4, 0, 0],
      left: legBy([46, 0, 0], 62, pointed(30)),
      right: legBy([12, 0, 0], 14, pointed(30)),
      leftArm: wristDown('shoulder', [-30, 4, 30], [0.2, 0.2, 1], handTo([-0.6, 0, 0.8], [0, 1, 0], 20)),
      rightArm: armBy([30, 150, 0], 20, hand(0, 20)),
    },
    [
      lower(['pelvis', 'thighs']),
      put('waist'),
      turn('pitch', -54, -104, ['lowerTrunk', 'ribs']),
      turn('lumbarLean', 0, -24, ['ribs', 'shoulders']),
      turn('thoracicLean', 0, -34, ['shoulders', 'upperArms']),
      put('head'),
      turn('neckLean', 36, -30, ['head']),
      turn('hipOpen', -40, 60, ['thighs', 'shanks', 'feet'], { of: 'left' }),
      turn('hipOpen', 40, -60, ['thighs', 'shanks', 'feet'], { of: 'right', onto: ['leftLeg'] }),
      ...HANDS_DOWN,
    ],
    FACING_LEFT,
    { waist: [-13, 0, 0] },
  ),
  'over-three-rolls': figure({ ...LYING, pitch: -70, leg: LONG_LEG, arm: OPEN_ARMS }, ON_THE_BACK),
  'bridge-on-two-bolsters': figure(
    { pitch: -88, lumbar: -4, thoracic: -10, neck: 24, head: 8, leg: LONG_LEG, arm: OPEN_ARMS },
    [
      put('sacrum'),
      lower(['lowerTrunk']),
      turn('thoracic', 10, -48, ['shoulders']),
      put('neck', 'head'),
      turn('neck', 60, -25, ['head']),
      put('calves'),
      ...LEGS_DOWN,
      ...ARMS_DOWN,
    ],
    'threeQuarter',
    { sacrum: [-4, 0, 0] },
  ),
  'weighted-rest': figure({ ...LYING, leg: LONG_LEG, arm: ARMS_BESIDE }, ON_THE_BACK),
  'left-side-nest': { ...mirrorFigure(lying('side-lying')), view: FACING_LEFT },
  'reclined-kneeling-raised': figure(
    { pitch: -58, lumbar: -6, head: 8, leg: kneel(12, 21), arm: armBy([10, 40, 40], 25) },
    [put('seat'), lower(['pelvis']), ...TRUNK_ON_BACK, ...ARMS_DOWN],
    'threeQuarter',
    { spine: [-12, 0, 0], upperBack: [-12, 0, 0] },
  ),
  'twist-legs-on-bolster': {
    ...lying('reclined-twist'),
    shifts: { knees: [6, 0, 0] },
    view: { azimuth: 60, elevation: 40 },
  },
  'legs-over-bolsters': figure(
    { ...LYING, leg: legBy([52, 7, 10], 50, pointed(14, 8)), arm: HANDS_ON_BELLY },
    [
      ...TRUNK_ON_BACK,
      put('calves'),
      turn('hip', 90, 30, ['shanks', 'thighs']),
      turn('knee', 0, 90, ['shanks', 'feet']),
    ],
    'threeQuarter',
    { calves: [3, 0, 0] },
  ),
  'prone-on-two-bolsters': figure(
    {
      pitch: 90,
      lumbar: 4,
      thoracic: 4,
      neck: 10,
      leg: legBy([0, 9, 0], 14, pointed(70, -10)),
      arm: wristDown('shoulder', [20, 3, 14], [-0.3, 0.3, 1], handTo([0.8, -0.05, -0.6], [0, -1, 0])),
    },
    [
      put('chestToCollarbones'),
      lower(['lowerTrunk']),
      turn('pitch', 70, 100, ['ribs']),
      put('shins'),
      turn('hip', -30, 40, ['thighs']),
      turn('knee', 60, 0, ['shanks', 'feet']),
      put('forehead', 'head'),
      turn('thoracic', -30, 24, ['shoulders', 'head']),
      turn('neck', -15, 60, ['head']),
      ...HANDS_DOWN,
    ],
  ),
  'calves-on-chair-raised': figure(
    {
      pitch: -100,
      lumbar: -4,
      thoracic: 4,
      neck: 20,
      head: 6,
      leg: legBy([62, 7, 10], 60, pointed(12, 8)),
      arm: ARMS_BESIDE,
    },
    [...TRUNK_ON_BACK, put('calves'), turn('hip', 100, 30, ['shanks', 'thighs']), ...ARMS_DOWN],
    'threeQuarter',
    { calves: [14, 0, 0] },
  ),
  'half-plough-on-chair': figure(
    {
      pitch: -168,
      height: 64,
      lumbar: 14,
      thoracic: 26,
      neck: 62,
      head: 22,
      leg: legBy([88, 4, 0], 2, pointed(10)),
      arm: wristDown('head', [10, 4, 40], [0.3, 0, 1], handTo([-0.6, 0, 0.8], [0, 1, 0], 40)),
    },
    [
      put('shoulders'),
      lower(['shoulders']),
      turn('neck', 66, 40, ['head']),
      put('thighs'),
      turn('hip', 60, 130, ['thighs']),
      ...HANDS_DOWN,
    ],
    'threeQuarter',
    { thighs: [-14, 0, 0] },
  ),
  'back-bend-on-chair': figure(
    {
      pitch: -84,
      height: 60,
      lumbar: -14,
      thoracic: -30,
      neck: -10,
      leg: legBy([2, 8, 0], 84, FLAT_FOOT),
      arm: wristAt('head', [-16, 2, 16], [0, -0.4, 1], handTo([-0.9, -0.3, -0.4], [0, 1, 0], 30)),
    },
    [
      put('seat'),
      lower(['pelvis', 'thighs']),
      turn('pitch', -60, -104, ['lowerTrunk', 'ribs']),
      turn('thoracic', 0, -44, ['ribs']),
      turn('hip', 30, -20, ['thighs', 'feet']),
      turn('knee', 40, 120, ['feet']),
      put('head'),
      turn('neck', 10, -60, ['head']),
    ],
  ),
};
