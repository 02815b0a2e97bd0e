/** Numbers: units of time, what whole numbers have in common, the middle of values, and the one source of chance. */
export { toMs, toSeconds, type Ms, type Seconds } from './units';
export { gcd } from './gcd';
export { median } from './median';
export { normals } from './normal';
export { seeded } from './seeded';
