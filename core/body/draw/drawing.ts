import type { View } from '../figure';
import type { Settled } from '../settle/settle';
import type { Solid } from '../solids/solid';
import { cornersOf, rimsOf } from '../solids/solid';
import { toWorld, unit, type Mat3, type Vec3 } from '../vector';
import { hidingProps } from './behind-props';
import { cameraOf, isAbove, isLevel, towardsViewer } from './camera';
import type { Point2 } from './fit';
import { depthMap, type DepthMap } from './depth';
import { faceLines, type FaceLine } from './face';
import { groupOf, innerLines } from './inner-lines';
import { halved, outlineOf, type Grid } from './outline';
import { project, propShapes, type PropShape } from './prop-shapes';
import { farLimbs, FARTHER, toneOf, TONES, type Tone } from './tones';

/** A figure as shapes: SVG paths in millimetres of the room, y downward, the floor at 0 in level views. */
export interface Drawing {
  /** x, y, width, height of everything drawn. */
  box: [number, number, number, number];
  /** Looking level: the floor is a line and not an area. */
  level: boolean;
  above: boolean;
  body: string;
  tones: { tone: Tone; path: string }[];
  shade: string;
  lines: string[];
  face: FaceLine[];
  props: PropShape[];
  /** Straps, drawn over body and props. */
  bands: string[];
  mat: string;
  wall: string;
}

/** How finely a figure is drawn: the side of a cell in centimetres. */
export const FINE_CM = 0.5;
export const COARSE_CM = 1;

const OUTLINE_ERROR_MM = 1.1;
const LINE_HALF_MM = 2.4;
const LIGHT: Vec3 = unit([-0.25, 0.85, 0.45]);
const SHADE_BELOW = -0.12;
/** As often as four times over cells of half the size. */
const SHADE_PASSES = 1;

/** What is covered of each cell, by tone, and what is seen in its middle. */
interface Layers {
  body: Uint8Array;
  shade: Uint8Array;
  /** In the order of the tones. */
  byTone: readonly Uint8Array[];
  group: Int8Array;
  near: Float32Array;
  fromTrunk: Float32Array;
  which: Int16Array;
  groups: string[];
}

/** Sorts the depth map's cells (four to a cell of the picture) into tones, leaving out what props and floor hide. */
function layersOf(map: DepthMap, solids: readonly Solid[], camera: Mat3, view: View, settled: Settled): Layers {
  const columns = map.columns >> 1;
  const rows = map.rows >> 1;
  const cells = columns * rows;
  const fresh = () => new Uint8Array(cells);
  const byTone = TONES.map(fresh);
  const groups = [...new Set(map.seen.map(({ piece }) => groupOf(piece)))];
  const groupIndex = map.seen.map(({ piece }) => groups.indexOf(groupOf(piece)));
  const layers: Layers = {
    body: fresh(),
    shade: fresh(),
    byTone,
    group: new Int8Array(cells).fill(-1),
    near: new Float32Array(cells).fill(-1e9),
    fromTrunk: new Float32Array(cells).fill(9),
    which: new Int16Array(cells).fill(-1),
    groups,
  };
  const k = settled.body.k;
  const isFar =
    isAbove(view) || (view.azimuth > 80 && view.azimuth < 100)
      ? () => false
      : farLimbs(settled.flesh, towardsViewer(camera), k);
  const far = map.seen.map(({ piece }) => isFar(piece));
  const hiding = hidingProps(solids, camera);
  const level = isLevel(view);
  for (let j = 0; j < rows * 2; j++) {
    for (let i = 0; i < columns * 2; i++) {
      const from = j * map.columns + i;
      const index = map.which[from]!;
      if (index < 0) continue;
      const x = map.left + (i + 0.5) * map.cellCm;
      const y = map.bottom + (j + 0.5) * map.cellCm;
      if (level && y < 0) continue;
      const near = map.near[from]!;
      let hidden = false;
      for (const prop of hiding) {
        if (x < prop.left || x > prop.right || y < prop.bottom || y > prop.top) continue;
        if (prop.near(x, y) > near) {
          hidden = true;
          break;
        }
      }
      if (hidden) continue;
      const { piece, at, frame: f, form } = map.seen[index]!;
      const u = x - at[0];
      const v = y - at[1];
      const w = near - at[2];
      const tone = toneOf(piece, (f[0] * u + f[3] * v + f[6] * w) / k, (f[1] * u + f[4] * v + f[7] * w) / k);
      const cell = (j >> 1) * columns + (i >> 1);
      byTone[far[index] ? FARTHER[tone]! : tone]![cell]!++;
      layers.body[cell]!++;
      if (!((i | j) & 1)) {
        layers.group[cell] = groupIndex[index]!;
        layers.near[cell] = near;
        layers.which[cell] = index;
        if (piece.part === 'upperArm') layers.fromTrunk[cell] = piece.s;
        if (piece.part === 'thigh') layers.fromTrunk[cell] = piece.s * 2.2;
      }
      const nx = form[0]! * u + form[1]! * v + form[2]! * w;
      const ny = form[3]! * u + form[4]! * v + form[5]! * w;
      const nz = form[6]! * u + form[7]! * v + form[8]! * w;
      const lit = (nx * LIGHT[0] + ny * LIGHT[1] + nz * LIGHT[2]) / Math.sqrt(nx * nx + ny * ny + nz * nz);
      if (lit < SHADE_BELOW) layers.shade[cell]!++;
    }
  }
  return layers;
}

const MAT_HALF_LENGTH = 92;
const MAT_HALF_WIDTH = 31;
const WALL_HALF_WIDTH = 60;
const WALL_HEIGHT = 100;

const polygon = (points: readonly Point2[]): string =>
  `M${points.map(([x, y]) => `${Math.round(x)} ${Math.round(y)}`).join('L')}z`;

const lineOf = (points: readonly Point2[]): string =>
  `M${points.map(([x, y]) => `${Math.round(x)} ${Math.round(y)}`).join('L')}`;

/** The mat under the body, where the floor is an area. */
function matOf({ flesh, body }: Settled, camera: Mat3): Point2[] {
  const xs = flesh.map(({ at }) => at[0]);
  const middle = (Math.min(...xs) + Math.max(...xs)) / 2;
  const half = MAT_HALF_LENGTH * Math.max(1, body.k * 0.95);
  return (
    [
      [-half, -MAT_HALF_WIDTH],
      [half, -MAT_HALF_WIDTH],
      [half, MAT_HALF_WIDTH],
      [-half, MAT_HALF_WIDTH],
    ] as const
  ).map(([x, z]) => project(camera, [middle + x, 0, z]));
}

function wallOf(x: number, camera: Mat3, view: View, feetUp: number): Point2[] {
  const thick = x < 0 ? -5 : 5;
  const height = Math.max(WALL_HEIGHT, feetUp + 12);
  if (isLevel(view) && view.azimuth === 0) {
    return (
      [
        [x, 0],
        [x + thick, 0],
        [x + thick, height],
        [x, height],
      ] as const
    ).map(([at, up]) => project(camera, [at, up, 0]));
  }
  if (isAbove(view)) {
    return (
      [
        [x, -WALL_HALF_WIDTH],
        [x + thick, -WALL_HALF_WIDTH],
        [x + thick, WALL_HALF_WIDTH],
        [x, WALL_HALF_WIDTH],
      ] as const
    ).map(([at, z]) => project(camera, [at, 0, z]));
  }
  return (
    [
      [0, -WALL_HALF_WIDTH],
      [0, WALL_HALF_WIDTH],
      [height, WALL_HALF_WIDTH],
      [height, -WALL_HALF_WIDTH],
    ] as const
  ).map(([up, z]) => project(camera, [x, up, z]));
}

/** Draws a settled figure from a view. `cellCm` is how finely. Deterministic. */
export function draw(settled: Settled, view: View, cellCm: number = FINE_CM): Drawing {
  const { body, flesh, solids } = settled;
  const camera = cameraOf(view);
  const map = depthMap(flesh, camera, cellCm / 2, body.k);
  const grid: Grid = {
    columns: map.columns >> 1,
    rows: map.rows >> 1,
    left: map.left,
    bottom: map.bottom,
    cellCm,
  };
  const layers = layersOf(map, solids, camera, view, settled);
  const error = OUTLINE_ERROR_MM * Math.max(1, cellCm / FINE_CM);
  const isSeen = (at: Vec3): boolean => {
    const i = Math.floor((at[0] - grid.left) / cellCm);
    const j = Math.floor((at[1] - grid.bottom) / cellCm);
    if (i < 0 || j < 0 || i >= grid.columns || j >= grid.rows) return false;
    const cell = j * grid.columns + i;
    if (layers.group[cell]! < 0 || layers.near[cell]! - at[2] > 0.9 * body.k) return false;
    const { part } = map.seen[layers.which[cell]!]!.piece;
    return part === 'head' || part === 'ear';
  };
  const walls = solids.flatMap((solid) => (solid.shape === 'wall' ? [solid.x] : []));
  const feetUp = Math.max(...flesh.map(({ at }) => at[1]));
  const wallPoints = walls.map((x) => wallOf(x, camera, view, feetUp));
  const mat = isLevel(view) ? [] : matOf(settled, camera);
  const shade = halved(layers.shade, grid);
  return {
    box: boxOf(settled, camera, wallPoints.flat()),
    level: isLevel(view),
    above: isAbove(view),
    body: outlineOf(layers.body, grid, error),
    tones: TONES.map((tone, i) => ({ tone, path: outlineOf(layers.byTone[i]!, grid, error) })).filter(
      ({ path }) => path !== '',
    ),
    shade: outlineOf(shade.covered, shade.grid, error * 1.6, SHADE_PASSES),
    lines: innerLines(layers, grid, body.k, LINE_HALF_MM),
    face: faceLines(body, camera, isSeen),
    props: propShapes(solids, camera, view),
    bands: solids.flatMap((solid) =>
      solid.shape === 'band' ? [lineOf(solid.points.map((at) => project(camera, at)))] : [],
    ),
    mat: mat.length > 0 ? polygon(mat) : '',
    wall: wallPoints.map(polygon).join(''),
  };
}

/** The box round body and props (the mat may reach over it), with a small margin, in millimetres. */
function boxOf({ flesh, solids }: Settled, camera: Mat3, walls: readonly Point2[]): Drawing['box'] {
  let [left, right, top, bottom] = [Infinity, -Infinity, Infinity, -Infinity];
  const take = ([x, y]: Point2, reach: number) => {
    left = Math.min(left, x - reach);
    right = Math.max(right, x + reach);
    top = Math.min(top, y - reach);
    bottom = Math.max(bottom, y + reach);
  };
  for (const piece of flesh) {
    const [a, b, c] = [piece.radii[0] ** 2, piece.radii[1] ** 2, piece.radii[2] ** 2];
    const wide = [0, 1].map((row) => {
      const r: Vec3 = [camera[row * 3]!, camera[row * 3 + 1]!, camera[row * 3 + 2]!];
      const f = piece.frame;
      const l = [
        f[0] * r[0] + f[3] * r[1] + f[6] * r[2],
        f[1] * r[0] + f[4] * r[1] + f[7] * r[2],
        f[2] * r[0] + f[5] * r[1] + f[8] * r[2],
      ];
      return Math.sqrt(l[0]! ** 2 * a + l[1]! ** 2 * b + l[2]! ** 2 * c) * 10;
    });
    const seen = toWorld(camera, piece.at);
    const [x, y] = [seen[0] * 10, -seen[1] * 10];
    left = Math.min(left, x - wide[0]!);
    right = Math.max(right, x + wide[0]!);
    top = Math.min(top, y - wide[1]!);
    bottom = Math.max(bottom, y + wide[1]!);
  }
  for (const solid of solids) {
    if (solid.shape === 'box') for (const corner of cornersOf(solid)) take(project(camera, corner), 0);
    if (solid.shape === 'roll') for (const point of rimsOf(solid, 8)) take(project(camera, point), 0);
  }
  for (const point of walls) take(point, 0);
  const margin = 20;
  return [
    Math.floor(left - margin),
    Math.floor(top - margin),
    Math.ceil(right - left + 2 * margin),
    Math.ceil(bottom - top + 2 * margin),
  ];
}
