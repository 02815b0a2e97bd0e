/** A point of a picture. */
export type Point2 = [x: number, y: number];

/** A cubic curve: its two ends and the two points between that shape it. */
export type Cubic = readonly [Point2, Point2, Point2, Point2];

export const tangent = (from: Point2, to: Point2): Point2 => {
  const x = to[0] - from[0];
  const y = to[1] - from[1];
  const far = Math.sqrt(x * x + y * y) || 1;
  return [x / far, y / far];
};

const NEWTON_ROUNDS = 3;

/**
 * Fits cubic curves to points, no further than `error` from any of them, leaving along `start` and arriving against
 * `end` (unit vectors, both pointing into the line). P. J. Schneider, "An algorithm for automatically fitting digitized
 * curves", Graphics Gems (1990): least squares for the two inner points, better parameters by Newton's rule, and where
 * that is not enough a split at the worst point. Written for the figure's many short lines: no allocation per point.
 */
export function fitCubics(points: readonly Point2[], start: Point2, end: Point2, error: number): Cubic[] {
  const curves: Cubic[] = [];
  fitRange(points, 0, points.length - 1, start, end, error * error, curves);
  return curves;
}

function fitRange(
  points: readonly Point2[],
  from: number,
  to: number,
  start: Point2,
  end: Point2,
  square: number,
  curves: Cubic[],
): void {
  const first = points[from]!;
  const last = points[to]!;
  if (to - from < 2) {
    const third = Math.hypot(last[0] - first[0], last[1] - first[1]) / 3;
    curves.push([
      first,
      [first[0] + start[0] * third, first[1] + start[1] * third],
      [last[0] + end[0] * third, last[1] + end[1] * third],
      last,
    ]);
    return;
  }
  const at = lengthsAlong(points, from, to);
  let curve = bestCubic(points, from, to, at, start, end);
  let worst = worstPoint(points, from, to, at, curve);
  for (let round = 0; round < NEWTON_ROUNDS && worst.square >= square && worst.square < square * 16; round++) {
    improve(points, from, at, curve);
    curve = bestCubic(points, from, to, at, start, end);
    worst = worstPoint(points, from, to, at, curve);
  }
  if (worst.square < square) {
    curves.push(curve);
    return;
  }
  const split = worst.index;
  const reach = Math.min(3, split - from, to - split);
  const through = tangent(points[split + reach]!, points[split - reach]!);
  fitRange(points, from, split, start, through, square, curves);
  fitRange(points, split, to, [-through[0], -through[1]], end, square, curves);
}

/** How far along the line each point is, from 0 to 1. */
function lengthsAlong(points: readonly Point2[], from: number, to: number): Float64Array {
  const at = new Float64Array(to - from + 1);
  for (let i = from + 1; i <= to; i++) {
    const dx = points[i]![0] - points[i - 1]![0];
    const dy = points[i]![1] - points[i - 1]![1];
    at[i - from] = at[i - from - 1]! + Math.sqrt(dx * dx + dy * dy);
  }
  const total = at[to - from]! || 1;
  for (let i = 0; i < at.length; i++) at[i]! /= total;
  return at;
}

function bestCubic(
  points: readonly Point2[],
  from: number,
  to: number,
  at: Float64Array,
  start: Point2,
  end: Point2,
): Cubic {
  const first = points[from]!;
  const last = points[to]!;
  let [c00, c01, c11, x0, x1] = [0, 0, 0, 0, 0];
  for (let i = from; i <= to; i++) {
    const u = at[i - from]!;
    const v = 1 - u;
    const b1 = 3 * u * v * v;
    const b2 = 3 * u * u * v;
    const nearFirst = v * v * v + b1;
    const nearLast = u * u * u + b2;
    const point = points[i]!;
    const ax = start[0] * b1;
    const ay = start[1] * b1;
    const bx = end[0] * b2;
    const by = end[1] * b2;
    const tx = point[0] - (first[0] * nearFirst + last[0] * nearLast);
    const ty = point[1] - (first[1] * nearFirst + last[1] * nearLast);
    c00 += ax * ax + ay * ay;
    c01 += ax * bx + ay * by;
    c11 += bx * bx + by * by;
    x0 += ax * tx + ay * ty;
    x1 += bx * tx + by * ty;
  }
  const determinant = c00 * c11 - c01 * c01;
  const chord = Math.hypot(last[0] - first[0], last[1] - first[1]);
  let one = determinant ? (x0 * c11 - x1 * c01) / determinant : 0;
  let two = determinant ? (c00 * x1 - c01 * x0) / determinant : 0;
  if (one < 1e-4 * chord || two < 1e-4 * chord || one > 3 * chord || two > 3 * chord) one = two = chord / 3;
  return [
    first,
    [first[0] + start[0] * one, first[1] + start[1] * one],
    [last[0] + end[0] * two, last[1] + end[1] * two],
    last,
  ];
}

function worstPoint(
  points: readonly Point2[],
  from: number,
  to: number,
  at: Float64Array,
  [p, q, r, s]: Cubic,
): { square: number; index: number } {
  let square = 0;
  let index = (from + to) >> 1;
  for (let i = from + 1; i < to; i++) {
    const u = at[i - from]!;
    const v = 1 - u;
    const b0 = v * v * v;
    const b1 = 3 * u * v * v;
    const b2 = 3 * u * u * v;
    const b3 = u * u * u;
    const dx = p[0] * b0 + q[0] * b1 + r[0] * b2 + s[0] * b3 - points[i]![0];
    const dy = p[1] * b0 + q[1] * b1 + r[1] * b2 + s[1] * b3 - points[i]![1];
    const here = dx * dx + dy * dy;
    if (here > square) {
      square = here;
      index = i;
    }
  }
  return { square, index };
}

/** One step of Newton's rule for every point: the parameter at which the curve is nearest to it. */
function improve(points: readonly Point2[], from: number, at: Float64Array, [p, q, r, s]: Cubic): void {
  for (let i = 0; i < at.length; i++) {
    const u = at[i]!;
    const v = 1 - u;
    const point = points[from + i]!;
    let along = 0;
    let slope = 0;
    for (const axis of [0, 1] as const) {
      const value = p[axis] * v * v * v + 3 * q[axis] * u * v * v + 3 * r[axis] * u * u * v + s[axis] * u * u * u;
      const first = 3 * (v * v * (q[axis] - p[axis]) + 2 * u * v * (r[axis] - q[axis]) + u * u * (s[axis] - r[axis]));
      const second = 6 * (v * (r[axis] - 2 * q[axis] + p[axis]) + u * (s[axis] - 2 * r[axis] + q[axis]));
      along += (value - point[axis]) * first;
      slope += first * first + (value - point[axis]) * second;
    }
    if (Math.abs(slope) > 1e-9) at[i] = Math.min(1, Math.max(0, u - along / slope));
  }
}
