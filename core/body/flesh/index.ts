import { outward, SIDES, type Pose } from '../pose';
import type { Skeleton } from '../skeleton';
import { addForearm, addHand, addUpperArm } from './arm';
import type { Ellipsoid, Part } from './ellipsoid';
import { addHead, type Hair } from './head';
import { addFoot, addShank, addThigh } from './leg';
import { addNeck, addSlope, addTorso } from './torso';

export { onHead, type Hair } from './head';
export { MID_SOLE } from './leg';
export { topOfParts } from './top';
export { type Ellipsoid, type Part } from './ellipsoid';

/**
 * The flesh on a skeleton: about 600 ellipsoids along the segments, or only those of the parts asked for (settling
 * moves a limb many times and needs no more than that limb). The pose gives the curl of the fingers.
 */
export function fleshOf(body: Skeleton, pose: Pose, wanted?: ReadonlySet<Part>, hair: Hair = 'bun'): Ellipsoid[] {
  const flesh: Ellipsoid[] = [];
  const put = (piece: Ellipsoid) => flesh.push(piece);
  const isWanted = (part: Part) => !wanted || wanted.has(part);
  if (isWanted('torso')) {
    addTorso(body, put);
    if (!wanted) addSlope(body, put);
  }
  if (isWanted('neck')) addNeck(body, put);
  if (isWanted('head') || isWanted('hair') || isWanted('ear')) addHead(body, put, hair);
  for (const name of SIDES) {
    const side = outward(name);
    const leg = body.legs[name];
    const arm = body.arms[name];
    if (isWanted('thigh')) addThigh(body, leg, side, put);
    if (isWanted('shank')) addShank(body, leg, side, put);
    if (isWanted('foot')) addFoot(body, leg, side, put);
    if (isWanted('upperArm')) addUpperArm(body, arm, side, put);
    if (isWanted('forearm')) addForearm(body, arm, side, put);
    if (isWanted('hand')) addHand(body, arm, pose.arms[name].hand, side, put);
  }
  return flesh;
}
