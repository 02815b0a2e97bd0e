import type { View } from '../figure';
import { cross, unit, Y_AXIS, type Mat3, type Vec3 } from '../vector';

/** Rows: right of the picture, up, and towards the viewer, as directions in the room. */
export function cameraOf({ azimuth, elevation }: View): Mat3 {
  if (elevation > 89) return [1, 0, 0, 0, 0, -1, 0, 1, 0];
  const round = (azimuth * Math.PI) / 180;
  const high = (elevation * Math.PI) / 180;
  const towards = unit([Math.sin(round) * Math.cos(high), Math.sin(high), Math.cos(round) * Math.cos(high)]);
  const right = unit(cross(Y_AXIS, towards));
  const up = cross(towards, right);
  return [...right, ...up, ...towards];
}

/** Looking level, where the floor is a line. */
export const isLevel = (view: View): boolean => Math.abs(view.elevation) < 1;
/** Looking straight down. */
export const isAbove = (view: View): boolean => view.elevation > 89;

/** The direction towards the viewer. */
export const towardsViewer = (camera: Mat3): Vec3 => [camera[6], camera[7], camera[8]];
