/** How bodies come to rest: the movements that many positions share. */
import type { SettleStep } from '#core/body';
import { lower, put, turn } from './shorthand';

const BOTH_LEGS = ['leftLeg', 'rightLeg'] as const;

/** Trunk on the back, on the floor or over whatever lies along the spine; then the head. */
export const TRUNK_ON_BACK: SettleStep[] = [
  put('sacrum', 'lowBack', 'waist', 'hip', 'seat', 'upperBack', 'shoulders', 'spine'),
  lower(['lowerTrunk']),
  turn('pitch', -30, -104, ['ribs']),
  lower(['lowerTrunk']),
  turn('lumbar', 30, -34, ['ribs']),
  turn('thoracic', 30, -26, ['shoulders']),
  put('neck', 'head'),
  turn('neck', 55, -25, ['head']),
];

/** Hands and forearms that lie on the floor or on a prop there, each for itself. */
export const HANDS_DOWN: SettleStep[] = [
  put('arms', 'hands', 'alongSides'),
  turn('wristUp', 6, -34, ['hands', 'forearms'], { of: 'left' }),
  turn('wristUp', 6, -34, ['hands', 'forearms'], { of: 'right' }),
];

/** Feet that lie on the floor or on a prop there, each for itself. */
export const FEET_DOWN: SettleStep[] = [
  put('ankles'),
  turn('ankleUp', 14, -20, ['feet', 'shanks'], { of: 'left' }),
  turn('ankleUp', 14, -20, ['feet', 'shanks'], { of: 'right' }),
];

/** Knees and shins of someone who kneels, on the floor or on what lies under them. */
export const SHINS_DOWN: SettleStep[] = [
  put('knees', 'shins', 'ankles'),
  turn('kneeUp', 16, 0, ['knees']),
  turn('ankleUp', 20, -8, ['feet', 'shanks']),
];

/** Legs held by their joints, let down on the floor or on what lies under them. */
export const LEGS_DOWN: SettleStep[] = [
  // Lifted no more than a support asks, so that it lies under the knees and not under the seat.
  turn('hip', 40, 34, ['feet']),
  put('thighs', 'knees', 'calves', 'ankles', 'shins'),
  turn('hip', 85, -12, ['thighs', 'shanks', 'feet']),
  turn('knee', 0, 110, ['shanks', 'feet']),
];

/** Arms let down beside the body. */
export const ARMS_DOWN: SettleStep[] = [
  put('arms', 'hands', 'alongSides'),
  turn('shoulder', 60, -60, ['upperArms']),
  turn('elbow', 70, 2, ['forearms', 'hands']),
];

/** Knees opened to the side until the thighs rest on something or go no further. */
export const KNEES_OPEN: SettleStep[] = [put('thighs', 'knees'), turn('swivel', 0, 90, ['thighs', 'shanks'])];

export const ON_THE_BACK: SettleStep[] = [...TRUNK_ON_BACK, ...LEGS_DOWN, ...ARMS_DOWN];

/** Sitting: the sitting bones on the floor or on what lies there. */
export const SITTING: SettleStep[] = [put('seat', 'hip'), lower(['pelvis'])];

/** So many degrees the upper back rounds further than it does by itself before the head hangs free. */
const FURTHER_ROUND = 26;
/** Rounds the upper back on from so many degrees, until the head comes down to what lies under it. */
export const roundOn = (from: number): SettleStep =>
  turn('thoracic', from, from + FURTHER_ROUND, ['head'], { onlyWith: ['forehead', 'head'] });

/**
 * A seated fold as deep as the hips go or until chest or head rest on something. Where the hips go no further, the upper
 * back rounds on from `rounded` degrees until the head comes down to what lies under it.
 */
export const seatedFold = (deepest = 78, rounded?: number): SettleStep[] => [
  ...SITTING,
  ...FEET_DOWN,
  turn('pitch', -45, deepest, ['ribs', 'head'], { onto: [...BOTH_LEGS] }),
  lower(['pelvis']),
  put('knees', 'thighs', 'onThighs', 'chest', 'forehead'),
  turn('pitch', -45, deepest, ['ribs', 'head'], { onto: [...BOTH_LEGS] }),
  lower(['pelvis']),
  ...(rounded === undefined ? [] : [roundOn(rounded)]),
  turn('neck', -20, 42, ['head'], { onto: [...BOTH_LEGS] }),
  ...HANDS_DOWN,
];

/** Kneeling and folded forward: hips on the heels, then the trunk down on thighs, props or floor. */
export const kneelingFold = (pitchTo = 112, ...then: SettleStep[]): SettleStep[] => [
  ...SHINS_DOWN,
  put('seat', 'calves'),
  lower(['pelvis'], [...BOTH_LEGS]),
  put('chest', 'chestToCollarbones', 'belly'),
  ...then,
  turn('pitch', 20, pitchTo, ['ribs', 'head']),
  turn('thoracic', -20, 30, ['upperTrunk', 'head']),
  put('forehead', 'head'),
  turn('neck', -45, 40, ['head']),
  ...HANDS_DOWN,
];

/** Face down: trunk, then head, then legs. */
export const ON_THE_FRONT: SettleStep[] = [
  put('hip', 'belly', 'chest', 'chestToCollarbones', 'sacrum'),
  lower(['lowerTrunk']),
  turn('pitch', 60, 100, ['ribs']),
  lower(['lowerTrunk']),
  put('thighs', 'knees', 'ankles', 'shins'),
  turn('hip', -30, 40, ['thighs', 'shanks', 'feet']),
  put('forehead', 'head'),
  turn('thoracic', -45, 10, ['shoulders', 'head']),
  turn('neck', -15, 45, ['head']),
  ...HANDS_DOWN,
];
