import type { PropPlace } from '#core/props';
import type { Figure } from './figure';
import { type Angles, type Pose } from './pose';
import type { JointName } from './joints';
import type { OwnLimb, SettleStep } from './settle/steps';

const minus = (value: number): number => (value === 0 ? 0 : -value);
const mirroredAngles = ([fold, lean, turn]: Angles): Angles => [fold, minus(lean), minus(turn)];

/** A pose with left and right exchanged. Mirrored twice is the same. */
export function mirrorPose(pose: Pose): Pose {
  const { root, spine, legs, arms } = pose;
  return {
    root: { ...root, roll: minus(root.roll), yaw: minus(root.yaw) },
    spine: {
      lumbar: mirroredAngles(spine.lumbar),
      thoracic: mirroredAngles(spine.thoracic),
      neck: mirroredAngles(spine.neck),
      head: mirroredAngles(spine.head),
    },
    legs: { left: legs.right, right: legs.left },
    arms: { left: arms.right, right: arms.left },
  };
}

/** Joints whose angle has a side of its own, and so changes its sign; those of limbs count outward on both sides. */
const SIDED = new Set<JointName>([
  'roll',
  'yaw',
  'lumbarLean',
  'lumbarTurn',
  'thoracicLean',
  'thoracicTurn',
  'neckLean',
  'neckTurn',
  'headLean',
  'headTurn',
]);
const OTHER = { left: 'right', right: 'left', both: 'both' } as const;
const OTHER_LIMB: Record<OwnLimb, OwnLimb> = {
  leftLeg: 'rightLeg',
  rightLeg: 'leftLeg',
  leftArm: 'rightArm',
  rightArm: 'leftArm',
};

function mirrorStep(step: SettleStep): SettleStep {
  if (step.do === 'put') return step;
  const onto = step.onto.map((limb) => OTHER_LIMB[limb]);
  if (step.do === 'lower') return { ...step, of: OTHER[step.of], onto };
  const [from, to] = SIDED.has(step.joint) ? [minus(step.from), minus(step.to)] : [step.from, step.to];
  return { ...step, of: OTHER[step.of], from, to, onto };
}

/** A figure with left and right exchanged: for the second side of a position. Mirrored twice is the same. */
export function mirrorFigure(figure: Figure): Figure {
  const shifts: Figure['shifts'] = {};
  for (const [place, [x, y, z]] of Object.entries(figure.shifts)) shifts[place as PropPlace] = [x, y, minus(z)];
  return { ...figure, pose: mirrorPose(figure.pose), settle: figure.settle.map(mirrorStep), shifts };
}
