import { contours } from 'd3-contour';
import { closedPath } from './curves';
import type { Point2 } from './fit';

/** A grid of cells over the picture: left and bottom in centimetres, y upward. */
export interface Grid {
  columns: number;
  rows: number;
  left: number;
  bottom: number;
  cellCm: number;
}

/** How much of a cell is covered, from 0 to 4 (four samples a cell). */
export type Coverage = Uint8Array;

interface Field {
  values: Float32Array;
  columns: number;
  rows: number;
  i0: number;
  j0: number;
}

const REACH = 2;

/** One pass of the binomial weights 1 4 6 4 1 (a Gaussian of one cell) along rows (step 1) or columns. */
function pass(from: Float32Array, to: Float32Array, step: number, scale: number): void {
  const w0 = 0.375 * scale;
  const w1 = 0.25 * scale;
  const w2 = 0.0625 * scale;
  const end = from.length - 2 * step;
  for (let cell = 2 * step; cell < end; cell++) {
    to[cell] =
      from[cell]! * w0 +
      (from[cell - step]! + from[cell + step]!) * w1 +
      (from[cell - 2 * step]! + from[cell + 2 * step]!) * w2;
  }
}

/** The coverage smoothed `passes` times, on the part of the grid where anything is. */
function smoothed(covered: Coverage, { columns, rows }: Grid, passes: number): Field | undefined {
  let [i0, i1, j0, j1] = [columns, -1, rows, -1];
  for (let j = 0; j < rows; j++) {
    const row = covered.subarray(j * columns, (j + 1) * columns);
    let first = 0;
    while (first < columns && row[first] === 0) first++;
    if (first === columns) continue;
    let last = columns - 1;
    while (row[last] === 0) last--;
    if (first < i0) i0 = first;
    if (last > i1) i1 = last;
    if (j < j0) j0 = j;
    j1 = j;
  }
  if (i1 < 0) return undefined;
  // A margin as wide as the weights reach keeps the passes from carrying one row's end into the next.
  const margin = REACH * passes + 2;
  const wide = i1 - i0 + 1 + 2 * margin;
  const high = j1 - j0 + 1 + 2 * margin;
  const values = new Float32Array(wide * high);
  for (let j = j0; j <= j1; j++) {
    values.set(covered.subarray(j * columns + i0, j * columns + i1 + 1), (j - j0 + margin) * wide + margin);
  }
  const across = new Float32Array(wide * high);
  for (let i = 0; i < passes; i++) {
    pass(values, across, 1, i === 0 ? 0.25 : 1);
    pass(across, values, wide, 1);
  }
  return { values, columns: wide, rows: high, i0: i0 - margin, j0: j0 - margin };
}

/** The same coverage on a grid of cells twice as large, for what is soft anyway. */
export function halved(covered: Coverage, grid: Grid): { covered: Coverage; grid: Grid } {
  const columns = Math.ceil(grid.columns / 2);
  const rows = Math.ceil(grid.rows / 2);
  const sums = new Uint8Array(columns * rows);
  for (let j = 0; j < grid.rows; j++) {
    for (let i = 0; i < grid.columns; i++) {
      const amount = covered[j * grid.columns + i]!;
      if (amount > 0) sums[(j >> 1) * columns + (i >> 1)]! += amount;
    }
  }
  for (let cell = 0; cell < sums.length; cell++) sums[cell] = sums[cell]! / 4;
  return { covered: sums, grid: { ...grid, columns, rows, cellCm: grid.cellCm * 2 } };
}

/** Millimetres of the picture (y downward) from a place on the grid. */
export const toMm = (grid: Grid, i: number, j: number): Point2 => [
  (grid.left + i * grid.cellCm) * 10,
  -(grid.bottom + j * grid.cellCm) * 10,
];

const SMALLEST_RING = 8;

/**
 * The smooth outline of what is covered, as one SVG path in millimetres: smoothed, cut at one half (marching squares),
 * fitted with cubic curves no further than `errorMm` away. Empty if nothing is covered. `passes` is how often it is
 * smoothed by about a cell.
 */
export function outlineOf(covered: Coverage, grid: Grid, errorMm: number, passes = 1): string {
  const field = smoothed(covered, grid, passes);
  if (!field) return '';
  const rings = contours().size([field.columns, field.rows]).contour(Array.from(field.values), 0.5).coordinates.flat();
  return rings
    .filter((ring) => ring.length > SMALLEST_RING)
    .map((ring) => {
      // The package closes rings by repeating the first point.
      const points = ring.slice(0, -1).map(([x, y]) => toMm(grid, x! + field.i0, y! + field.j0));
      return closedPath(points, errorMm);
    })
    .join('');
}
