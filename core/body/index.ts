/**
 * The figure: how a position is held, how it comes to rest with its props, what can be measured on it, how it looks.
 */
export { Figure, View, VIEWS, type ViewName } from './figure';
export { Arm, Foot, Hand, Leg, Pose, type Angles } from './pose';
export { SettleStep } from './settle/steps';
export { settle, type Settled } from './settle/settle';
export { bakePose, isAsSet, LET_DOWN, letsDown, withJoint, withLetDown, type LetDown } from './settle/as-set';
export { Flexibility, ORDINARY, STIFF, SUPPLE } from './flexibility';
export { MAX_HEIGHT_CM, MIN_HEIGHT_CM, segmentsOf, REFERENCE_HEIGHT_CM } from './proportions';
export { COARSE_CM, draw, FINE_CM } from './draw/drawing';
export { bodyPlaces, type BodyPlace } from './draw/body-places';
export { ID_MARK, svgOf } from './draw/svg';
export { materialOf } from './draw/prop-shapes';
export { mirrorFigure } from './mirror';
export { clearanceOf, lowestOf, measure, type Measures } from './measure';
export { STRAIN_NAMES, strainsOf, strainsOfRow, type Strains } from './strains';
export { poseByJoints } from './by-joints';
export { JOINT_LIMITS, jointRefusal, jointsPastLimits } from './joint-limits';
export { jointOf, type JointName } from './joints';
