/** A point or direction in centimetres: X along the mat, Y up, Z towards the person's right while they face +X. */
export type Vec3 = readonly [x: number, y: number, z: number];

/** A rotation, row by row; its columns are the local axes (forward, up the segment, right) in the world. */
export type Mat3 = readonly [number, number, number, number, number, number, number, number, number];

const RADIANS = Math.PI / 180;

export const X_AXIS: Vec3 = [1, 0, 0];
export const Y_AXIS: Vec3 = [0, 1, 0];
export const Z_AXIS: Vec3 = [0, 0, 1];
export const IDENTITY: Mat3 = [1, 0, 0, 0, 1, 0, 0, 0, 1];

export const add = (a: Vec3, b: Vec3): Vec3 => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
export const subtract = (a: Vec3, b: Vec3): Vec3 => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
export const scale = (a: Vec3, by: number): Vec3 => [a[0] * by, a[1] * by, a[2] * by];
/** `a` moved along `direction` by so many centimetres. */
export const along = (a: Vec3, direction: Vec3, by: number): Vec3 => [
  a[0] + direction[0] * by,
  a[1] + direction[1] * by,
  a[2] + direction[2] * by,
];
export const dot = (a: Vec3, b: Vec3): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
export const cross = (a: Vec3, b: Vec3): Vec3 => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
export const length = (a: Vec3): number => Math.sqrt(a[0] * a[0] + a[1] * a[1] + a[2] * a[2]);
export const distance = (a: Vec3, b: Vec3): number => length(subtract(a, b));
/** The direction of `a`; a vector of no length stays as it is. */
export const unit = (a: Vec3): Vec3 => scale(a, 1 / (length(a) || 1));
export const between = (a: Vec3, b: Vec3, share: number): Vec3 => [
  a[0] + (b[0] - a[0]) * share,
  a[1] + (b[1] - a[1]) * share,
  a[2] + (b[2] - a[2]) * share,
];
/** What of `a` is across `direction` (a unit vector). */
export const across = (a: Vec3, direction: Vec3): Vec3 => along(a, direction, -dot(a, direction));

export const multiply = (a: Mat3, b: Mat3): Mat3 => [
  a[0] * b[0] + a[1] * b[3] + a[2] * b[6],
  a[0] * b[1] + a[1] * b[4] + a[2] * b[7],
  a[0] * b[2] + a[1] * b[5] + a[2] * b[8],
  a[3] * b[0] + a[4] * b[3] + a[5] * b[6],
  a[3] * b[1] + a[4] * b[4] + a[5] * b[7],
  a[3] * b[2] + a[4] * b[5] + a[5] * b[8],
  a[6] * b[0] + a[7] * b[3] + a[8] * b[6],
  a[6] * b[1] + a[7] * b[4] + a[8] * b[7],
  a[6] * b[2] + a[7] * b[5] + a[8] * b[8],
];
/** A local vector in the world. */
export const toWorld = (m: Mat3, v: Vec3): Vec3 => [
  m[0] * v[0] + m[1] * v[1] + m[2] * v[2],
  m[3] * v[0] + m[4] * v[1] + m[5] * v[2],
  m[6] * v[0] + m[7] * v[1] + m[8] * v[2],
];
/** A world vector in the local frame. */
export const toLocal = (m: Mat3, v: Vec3): Vec3 => [
  m[0] * v[0] + m[3] * v[1] + m[6] * v[2],
  m[1] * v[0] + m[4] * v[1] + m[7] * v[2],
  m[2] * v[0] + m[5] * v[1] + m[8] * v[2],
];
export const transpose = (m: Mat3): Mat3 => [m[0], m[3], m[6], m[1], m[4], m[7], m[2], m[5], m[8]];
export const forwardOf = (m: Mat3): Vec3 => [m[0], m[3], m[6]];
export const upOf = (m: Mat3): Vec3 => [m[1], m[4], m[7]];
export const rightOf = (m: Mat3): Vec3 => [m[2], m[5], m[8]];
export const frameOf = (forward: Vec3, up: Vec3, right: Vec3): Mat3 => [
  forward[0],
  up[0],
  right[0],
  forward[1],
  up[1],
  right[1],
  forward[2],
  up[2],
  right[2],
];

/** Rotations about one axis, in degrees. */
export const aboutX = (degrees: number): Mat3 => {
  const c = Math.cos(degrees * RADIANS);
  const s = Math.sin(degrees * RADIANS);
  return [1, 0, 0, 0, c, -s, 0, s, c];
};
export const aboutY = (degrees: number): Mat3 => {
  const c = Math.cos(degrees * RADIANS);
  const s = Math.sin(degrees * RADIANS);
  return [c, 0, s, 0, 1, 0, -s, 0, c];
};
export const aboutZ = (degrees: number): Mat3 => {
  const c = Math.cos(degrees * RADIANS);
  const s = Math.sin(degrees * RADIANS);
  return [c, -s, 0, s, c, 0, 0, 0, 1];
};
export const turned = (m: Mat3, ...by: readonly Mat3[]): Mat3 => by.reduce((done, next) => multiply(done, next), m);

/** An angle in degrees whose sine is given; a little outside −1…1 counts as the end. */
export const arcSine = (sine: number): number => Math.asin(Math.max(-1, Math.min(1, sine))) / RADIANS;
export const arcTangent = (y: number, x: number): number => Math.atan2(y, x) / RADIANS;
export const clamp = (value: number, least: number, most: number): number => Math.min(most, Math.max(least, value));
