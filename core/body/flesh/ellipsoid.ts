import type { Mat3, Vec3 } from '../vector';

/** The parts of a body that are drawn and touch. */
export type Part =
  'torso' | 'neck' | 'head' | 'ear' | 'hair' | 'thigh' | 'shank' | 'foot' | 'upperArm' | 'forearm' | 'hand';

/** Where the hair ends, as a function of the place inside the ellipsoid: positive is cut away. */
export type Cut = (x: number, y: number) => number;

/** One of the ellipsoids a body is made of. They serve contact, gaps and drawing alike. */
export interface Ellipsoid {
  part: Part;
  /** −1 left, 0 middle, 1 right. */
  side: -1 | 0 | 1;
  at: Vec3;
  frame: Mat3;
  /** Half-axes in centimetres along the frame's axes. */
  radii: Vec3;
  /** Along the trunk: body centimetres from the hips; along a limb's segment: a share from 0 to 1. */
  s: number;
  /** Lies over the others only so far (hair). Local centimetres of the tables' height. */
  cut?: Cut;
  /** The slope from neck to shoulder, which moves with the shoulder and is no place to stand on. */
  slope?: boolean;
}

/** Takes up the ellipsoids of a body as they are made. */
export type Add = (ellipsoid: Ellipsoid) => void;
