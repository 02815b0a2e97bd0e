import { fitCubics, tangent, type Cubic, type Point2 } from './fit';

const back = (way: Point2): Point2 => [-way[0], -way[1]];

function written(curves: readonly Cubic[], closed: boolean): string {
  const first = curves[0]![0];
  let x = Math.round(first[0]);
  let y = Math.round(first[1]);
  let path = `M${x} ${y}`;
  for (const curve of curves) {
    path += 'c';
    for (let i = 1; i <= 3; i++) {
      const dx = Math.round(curve[i]![0]) - x;
      const dy = Math.round(curve[i]![1]) - y;
      path += `${i === 1 || dx < 0 ? dx : ` ${dx}`}${dy < 0 ? dy : ` ${dy}`}`;
    }
    x = Math.round(curve[3][0]);
    y = Math.round(curve[3][1]);
  }
  return closed ? `${path}z` : path;
}

/**
 * A closed line of points (millimetres) as a smooth SVG path in whole millimetres, no further than `errorMm` from them.
 * Fitted in two halves with one tangent at each seam.
 */
export function closedPath(points: readonly Point2[], errorMm: number): string {
  const n = points.length;
  if (n < 6) return '';
  const half = n >> 1;
  const start = tangent(points[n - 2]!, points[2]!);
  const middle = tangent(points[half - 2]!, points[half + 2]!);
  const one = fitCubics(points.slice(0, half + 1), start, back(middle), errorMm);
  const two = fitCubics([...points.slice(half), points[0]!], middle, back(start), errorMm);
  return written([...one, ...two], true);
}

/** An open line of points as a smooth SVG path. */
export function openPath(points: readonly Point2[], errorMm: number): string {
  if (points.length < 3) return '';
  const far = Math.min(3, points.length - 1);
  const start = tangent(points[0]!, points[far]!);
  const end = tangent(points.at(-1)!, points.at(-1 - far)!);
  return written(fitCubics(points, start, end, errorMm), false);
}
