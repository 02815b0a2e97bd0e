import type { Ellipsoid } from '../flesh';
import { multiply, toWorld, type Mat3, type Vec3 } from '../vector';

/** An ellipsoid as the camera sees it. */
interface Seen {
  piece: Ellipsoid;
  /** Its middle: right, up, towards the viewer. */
  at: Vec3;
  /** Its frame as the camera sees it. */
  frame: Mat3;
  halfWidth: number;
  halfHeight: number;
  /** The quadratic form of its surface. */
  form: Float64Array;
}

/** Per cell the nearest surface: how near (cm towards the viewer) and which ellipsoid (−1: none). */
export interface DepthMap {
  columns: number;
  rows: number;
  left: number;
  bottom: number;
  cellCm: number;
  near: Float32Array;
  which: Int16Array;
  seen: readonly Seen[];
}

const NOTHING = -1e9;

function seenBy(camera: Mat3, piece: Ellipsoid): Seen {
  const frame = multiply(camera, piece.frame);
  const [a, b, c] = [piece.radii[0] ** 2, piece.radii[1] ** 2, piece.radii[2] ** 2];
  const form = new Float64Array(9);
  for (let i = 0; i < 3; i++) {
    for (let j = 0; j < 3; j++) {
      form[i * 3 + j] =
        (frame[i * 3]! * frame[j * 3]!) / a +
        (frame[i * 3 + 1]! * frame[j * 3 + 1]!) / b +
        (frame[i * 3 + 2]! * frame[j * 3 + 2]!) / c;
    }
  }
  return {
    piece,
    at: toWorld(camera, piece.at),
    frame,
    halfWidth: Math.sqrt(frame[0] ** 2 * a + frame[1] ** 2 * b + frame[2] ** 2 * c),
    halfHeight: Math.sqrt(frame[3] ** 2 * a + frame[4] ** 2 * b + frame[5] ** 2 * c),
    form,
  };
}

/** The nearest surfaces of a body on a grid of cells of `cellCm`. `k` is the body's scale, for the cuts of the hair. */
export function depthMap(flesh: readonly Ellipsoid[], camera: Mat3, cellCm: number, k: number): DepthMap {
  const seen = flesh.map((piece) => seenBy(camera, piece));
  let [left, right, bottom, top] = [Infinity, -Infinity, Infinity, -Infinity];
  for (const { at, halfWidth, halfHeight } of seen) {
    left = Math.min(left, at[0] - halfWidth);
    right = Math.max(right, at[0] + halfWidth);
    bottom = Math.min(bottom, at[1] - halfHeight);
    top = Math.max(top, at[1] + halfHeight);
  }
  const margin = 10 * cellCm;
  left -= margin;
  bottom -= margin;
  const columns = Math.ceil((right + margin - left) / cellCm / 2) * 2;
  const rows = Math.ceil((top + margin - bottom) / cellCm / 2) * 2;
  const near = new Float32Array(columns * rows).fill(NOTHING);
  const which = new Int16Array(columns * rows).fill(-1);
  const map: DepthMap = { columns, rows, left, bottom, cellCm, near, which, seen };
  for (const [index, one] of seen.entries()) paint(map, one, index, k);
  return map;
}

function paint(map: DepthMap, { at, form, frame, piece, halfWidth, halfHeight }: Seen, index: number, k: number): void {
  const { columns, rows, left, bottom, cellCm, near, which } = map;
  const [x, y, z] = at;
  const i0 = Math.max(0, Math.floor((x - halfWidth - left) / cellCm));
  const i1 = Math.min(columns - 1, Math.ceil((x + halfWidth - left) / cellCm));
  const j0 = Math.max(0, Math.floor((y - halfHeight - bottom) / cellCm));
  const j1 = Math.min(rows - 1, Math.ceil((y + halfHeight - bottom) / cellCm));
  const xx = form[0]!;
  const xy = 2 * form[1]!;
  const yy = form[4]!;
  const zz = form[8]!;
  const xz = form[2]!;
  const yz = form[5]!;
  const perZ = 1 / zz;
  const cut = piece.cut;
  // The root under the surface is a quadratic in u along each row; outside its zeros the row misses the ellipsoid.
  const p = xz * xz - zz * xx;
  for (let j = j0; j <= j1; j++) {
    const v = bottom + (j + 0.5) * cellCm - y;
    const q = xz * yz * v - (zz * xy * v) / 2;
    const r = yz * yz * v * v - zz * (yy * v * v - 1);
    const inside = q * q - p * r;
    if (inside <= 0) continue;
    const spread = Math.sqrt(inside) / -p;
    const centre = q / -p;
    const from = Math.max(i0, Math.ceil((centre - spread + x - left) / cellCm - 0.5));
    const to = Math.min(i1, Math.floor((centre + spread + x - left) / cellCm - 0.5));
    for (let i = from, cell = j * columns + from; i <= to; i++, cell++) {
      const u = left + (i + 0.5) * cellCm - x;
      const w = (Math.sqrt(Math.max(0, p * u * u + 2 * q * u + r)) - xz * u - yz * v) * perZ;
      const depth = z + w;
      if (depth <= near[cell]!) continue;
      if (cut) {
        const lx = (frame[0] * u + frame[3] * v + frame[6] * w) / k;
        const ly = (frame[1] * u + frame[4] * v + frame[7] * w) / k;
        if (cut(lx, ly) > 0) continue;
      }
      near[cell] = depth;
      which[cell] = index;
    }
  }
}
