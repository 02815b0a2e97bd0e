import { isCustomKind, type KnownKind, type PropKind } from '#core/props';
import type { View } from '../figure';
import { cornersOf, rimsOf, type Box, type Roll, type Solid } from '../solids/solid';
import { add, dot, toWorld, type Mat3, type Vec3 } from '../vector';
import { isAbove, isLevel, towardsViewer } from './camera';
import type { Point2 } from './fit';

/** What a prop is made of, which decides its colours. */
export type Material = 'bolster' | 'block' | 'blanket' | 'chair' | 'strap';

const MATERIALS: Record<KnownKind, Material> = {
  flatBolster: 'bolster',
  roundBolster: 'bolster',
  block: 'block',
  blanket: 'blanket',
  halfMoon: 'bolster',
  cushion: 'bolster',
  pillow: 'blanket',
  strap: 'strap',
  chair: 'chair',
  sandbag: 'block',
  eyePillow: 'bolster',
  headRing: 'bolster',
  weightedBlanket: 'blanket',
  towel: 'blanket',
  stick: 'chair',
  book: 'block',
  belt: 'strap',
  scarf: 'blanket',
  wall: 'chair',
};
/** What a kind of prop is made of; a custom kind is drawn as cloth. */
export const materialOf = (kind: PropKind): Material => (isCustomKind(kind) ? 'blanket' : MATERIALS[kind]);

/** A prop in the picture: its outline, lines on it, and faces that catch or lose the light. Paths in millimetres. */
export interface PropShape {
  material: Material;
  outline: string;
  lines: string[];
  lit: string;
  dim: string;
}

export const project = (camera: Mat3, at: Vec3): Point2 => {
  const seen = toWorld(camera, at);
  return [seen[0] * 10, -seen[1] * 10];
};

const turn = (o: Point2, a: Point2, b: Point2) => (a[0] - o[0]) * (b[1] - o[1]) - (a[1] - o[1]) * (b[0] - o[0]);

/** The convex hull of points (A. M. Andrew's monotone chain, 1979). */
export function hullOf(points: readonly Point2[]): Point2[] {
  const sorted = points
    .map(([x, y]): Point2 => [Math.round(x), Math.round(y)])
    .sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  const half = (list: Point2[]): Point2[] => {
    const chain: Point2[] = [];
    for (const point of list) {
      while (chain.length > 1 && turn(chain.at(-2)!, chain.at(-1)!, point) <= 0) chain.pop();
      chain.push(point);
    }
    chain.pop();
    return chain;
  };
  return [...half(sorted), ...half([...sorted].reverse())];
}

const straight = (points: readonly Point2[]): string =>
  `M${points.map(([x, y]) => `${Math.round(x)} ${Math.round(y)}`).join('L')}z`;

/** A polygon with its corners rounded by a radius in millimetres. */
function roundedPolygon(points: readonly Point2[], radius: number): string {
  const n = points.length;
  let path = '';
  for (const [i, at] of points.entries()) {
    const before = points[(i + n - 1) % n]!;
    const after = points[(i + 1) % n]!;
    const toBefore = Math.hypot(before[0] - at[0], before[1] - at[1]) || 1;
    const toAfter = Math.hypot(after[0] - at[0], after[1] - at[1]) || 1;
    const cut = Math.min(radius, toBefore * 0.48, toAfter * 0.48);
    const from = [at[0] + ((before[0] - at[0]) / toBefore) * cut, at[1] + ((before[1] - at[1]) / toBefore) * cut];
    const to = [at[0] + ((after[0] - at[0]) / toAfter) * cut, at[1] + ((after[1] - at[1]) / toAfter) * cut];
    const round = (v: number | undefined) => Math.round(v ?? 0);
    path += `${i ? 'L' : 'M'}${round(from[0])} ${round(from[1])}Q${round(at[0])} ${round(at[1])} ${round(to[0])} ${round(to[1])}`;
  }
  return `${path}z`;
}

/** The face of a box that looks at the viewer along one of its axes. */
function faceOf(box: Box, axis: 0 | 1 | 2, camera: Mat3): Point2[] {
  const normal: [number, number, number] = [0, 0, 0];
  normal[axis] = 1;
  const sign = dot(towardsViewer(camera), toWorld(box.frame, normal)) > 0 ? 1 : -1;
  const [b, c] = [(axis + 1) % 3, (axis + 2) % 3] as [0 | 1 | 2, 0 | 1 | 2];
  return [
    [1, 1],
    [1, -1],
    [-1, -1],
    [-1, 1],
  ].map(([p = 0, q = 0]) => {
    const corner: [number, number, number] = [0, 0, 0];
    corner[axis] = sign * box.half[axis];
    corner[b] = p * box.half[b];
    corner[c] = q * box.half[c];
    return project(camera, add(box.at, toWorld(box.frame, corner)));
  });
}

function boxShape(box: Box, camera: Mat3, view: View): PropShape {
  const outline = roundedPolygon(hullOf(cornersOf(box).map((corner) => project(camera, corner))), box.roundCm * 10);
  const shape: PropShape = { material: materialOf(box.prop), outline, lines: [], lit: '', dim: '' };
  const level = isLevel(view);
  // Layers show on the faces that stand upright: every fold of a blanket, the seam of a bolster.
  if (!isAbove(view)) {
    for (let i = 1; i < box.layers; i++) {
      const height = -1 + (2 * i) / box.layers;
      for (const axis of [0, 2] as const) {
        const normal: Vec3 = axis === 0 ? [1, 0, 0] : [0, 0, 1];
        const facing = dot(towardsViewer(camera), toWorld(box.frame, normal));
        if (Math.abs(facing) < 0.15) continue;
        const other = axis === 0 ? 2 : 0;
        const ends = [-1, 1].map((end) => {
          const local: [number, number, number] = [0, height * box.half[1], 0];
          local[axis] = Math.sign(facing) * box.half[axis];
          local[other] = end * (box.half[other] - Math.min(box.roundCm * 0.5, box.half[other] * 0.3));
          return project(camera, add(box.at, toWorld(box.frame, local)));
        });
        shape.lines.push(`M${ends.map(([x, y]) => `${Math.round(x)} ${Math.round(y)}`).join('L')}`);
      }
    }
  }
  if (!level && !isAbove(view)) {
    shape.lit = roundedPolygon(faceOf(box, 1, camera), box.roundCm * 6);
    shape.dim = roundedPolygon(faceOf(box, 0, camera), box.roundCm * 6);
  }
  return shape;
}

function rollShape(roll: Roll, camera: Mat3): PropShape {
  const axis = dot(towardsViewer(camera), [roll.frame[2], roll.frame[5], roll.frame[8]]);
  const shape: PropShape = {
    material: materialOf(roll.prop),
    outline: straight(hullOf(rimsOf(roll).map((point) => project(camera, point)))),
    lines: [],
    lit: '',
    dim: '',
  };
  if (Math.abs(axis) > 0.2) {
    const end = Math.sign(axis) * (roll.lengthCm / 2);
    const ring = (share: number) =>
      Array.from({ length: 28 }, (_, i) => {
        const angle = (i / 28) * 2 * Math.PI;
        const local: Vec3 = [roll.radius * share * Math.cos(angle), roll.radius * share * Math.sin(angle), end];
        return project(camera, add(roll.at, toWorld(roll.frame, local)));
      });
    shape.lines.push(straight(ring(0.74)), straight(ring(0.06)));
    if (Math.abs(axis) < 0.95) shape.dim = straight(ring(1));
  }
  return shape;
}

/** The props in painting order, the farthest first. Walls are drawn with the floor. */
export function propShapes(solids: readonly Solid[], camera: Mat3, view: View): PropShape[] {
  const towards = towardsViewer(camera);
  return solids
    .filter((solid): solid is Box | Roll => solid.shape === 'box' || solid.shape === 'roll')
    .map((solid) => ({ solid, near: dot(towards, solid.at) }))
    .sort((a, b) => a.near - b.near)
    .map(({ solid }) => (solid.shape === 'box' ? boxShape(solid, camera, view) : rollShape(solid, camera)));
}
