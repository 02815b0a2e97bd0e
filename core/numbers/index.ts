/** Numbers: units of time, greatest common divisor, median, normal distribution, and seeded random numbers. */
export { toMs, toSeconds, type Ms, type Seconds } from './units';
export { gcd } from './gcd';
export { median } from './median';
export { normals } from './normal';
export { seeded } from './seeded';
