import type { Ellipsoid } from '../flesh';
import { closedPath } from './curves';
import type { Point2 } from './fit';
import { toMm, type Grid } from './outline';

/** What the viewer sees per cell: a group of parts (−1 nothing) and how near it is. */
export interface Visible {
  group: Int8Array;
  near: Float32Array;
  /** How far from the trunk along a limb; small near shoulder and hip. */
  fromTrunk: Float32Array;
  groups: readonly string[];
}

/** Parts that flow into each other count as one. */
export function groupOf({ part, side }: Ellipsoid): string {
  if (part === 'head' || part === 'hair' || part === 'ear') return 'head';
  if (part === 'upperArm' || part === 'forearm' || part === 'hand') return `arm${side}`;
  if (part === 'torso' || part === 'neck') return part;
  return `${part}${side}`;
}

/** Depth steps of the same part, between parts that flow into each other, and between others: body centimetres. */
const STEP_SAME = 3.4;
const STEP_SOFT = 3.5;
const STEP_PARTS = 1.1;
const SHORTEST_LINE = 5;

const isSoft = (a: string, b: string): boolean => {
  const pair = [a, b].sort().join('|');
  return pair === 'head|neck' || pair === 'neck|torso' || /^foot(.+)\|shank\1$/.test(pair);
};

/** The least step in depth that is drawn as a line, per pair of groups. */
function steps(groups: readonly string[], k: number, cellCm: number): Float32Array {
  const table = new Float32Array(groups.length ** 2);
  const coarse = Math.sqrt(cellCm / 0.25);
  for (const [i, a] of groups.entries()) {
    for (const [j, b] of groups.entries()) {
      const step = a === b ? STEP_SAME : isSoft(a, b) ? STEP_SOFT : STEP_PARTS;
      table[i * groups.length + j] = step * k * coarse;
    }
  }
  return table;
}

/** Edges between cells where the depth jumps, as a graph over the corners of cells. */
function edges(visible: Visible, grid: Grid, k: number): Map<number, number[]> {
  const { group, near, fromTrunk, groups } = visible;
  const { columns, rows } = grid;
  const least = steps(groups, k, grid.cellCm);
  const isTrunk = groups.map((name) => name === 'torso' || name === 'neck');
  const isLimb = groups.map((name) => name.startsWith('arm') || name.startsWith('thigh'));
  const across = (a: number, b: number): boolean => {
    const one = group[a]!;
    const two = group[b]!;
    if (one < 0 || two < 0) return false;
    // Never at the top of the shoulder or in the crease of the hip: lines there make a doll.
    if (isTrunk[one] && isLimb[two] && fromTrunk[b]! < 0.3) return false;
    if (isTrunk[two] && isLimb[one] && fromTrunk[a]! < 0.3) return false;
    return Math.abs(near[a]! - near[b]!) > least[one * groups.length + two]!;
  };
  const graph = new Map<number, number[]>();
  const join = (a: number, b: number) => {
    for (const [from, to] of [
      [a, b],
      [b, a],
    ] as const) {
      const known = graph.get(from);
      if (known) known.push(to);
      else graph.set(from, [to]);
    }
  };
  const wide = columns + 1;
  for (let j = 0; j < rows; j++) {
    for (let i = 0; i < columns; i++) {
      const cell = j * columns + i;
      if (group[cell]! < 0) continue;
      if (i < columns - 1 && across(cell, cell + 1)) join(j * wide + i + 1, (j + 1) * wide + i + 1);
      if (j < rows - 1 && across(cell, cell + columns)) join((j + 1) * wide + i, (j + 1) * wide + i + 1);
    }
  }
  return graph;
}

/** Walks the graph into chains, straight on where it forks. */
function chains(graph: Map<number, number[]>, wide: number): number[][] {
  const used = new Set<number>();
  const key = (a: number, b: number) => (a < b ? a * 4e6 + b : b * 4e6 + a);
  const found: number[][] = [];
  const starts = [...graph.keys()].sort((a, b) => graph.get(a)!.length - graph.get(b)!.length);
  for (const start of starts) {
    for (const second of graph.get(start)!) {
      if (used.has(key(start, second))) continue;
      used.add(key(start, second));
      const chain = [start, second];
      for (;;) {
        const here = chain.at(-1)!;
        const before = chain.at(-2)!;
        const dx = (here % wide) - (before % wide);
        const dy = Math.floor(here / wide) - Math.floor(before / wide);
        const ahead = (node: number) =>
          ((node % wide) - (here % wide)) * dx + (Math.floor(node / wide) - Math.floor(here / wide)) * dy;
        const next = graph
          .get(here)!
          .filter((node) => !used.has(key(here, node)))
          .sort((a, b) => ahead(b) - ahead(a))[0];
        if (next === undefined) break;
        used.add(key(here, next));
        chain.push(next);
      }
      found.push(chain);
    }
  }
  return found;
}

function smoothedChain(points: Point2[], reach: number): Point2[] {
  let line = points;
  for (let round = 0; round < 3; round++) {
    line = line.map((point, i) => {
      const far = Math.min(reach, i, line.length - 1 - i);
      if (far === 0) return point;
      let [x, y, sum] = [0, 0, 0];
      for (let z = -far; z <= far; z++) {
        const weight = Math.exp((-z * z) / (reach * reach * 0.36));
        x += line[i + z]![0] * weight;
        y += line[i + z]![1] * weight;
        sum += weight;
      }
      return [x / sum, y / sum];
    });
  }
  return line;
}

/** A line as a shape that thins out towards both ends. */
function tapered(line: readonly Point2[], halfMm: number): string {
  const along = [0];
  for (let i = 1; i < line.length; i++) {
    along.push(along[i - 1]! + Math.hypot(line[i]![0] - line[i - 1]![0], line[i]![1] - line[i - 1]![1]));
  }
  const total = along.at(-1)!;
  const every = Math.max(1, Math.floor(line.length / 40));
  const left: Point2[] = [];
  const right: Point2[] = [];
  for (const [i, [x, y]] of line.entries()) {
    if (i % every !== 0 && i !== line.length - 1) continue;
    const from = line[Math.max(0, i - 3)]!;
    const to = line[Math.min(line.length - 1, i + 3)]!;
    const far = Math.hypot(to[0] - from[0], to[1] - from[1]) || 1;
    const end = Math.min(1, Math.min(along[i]!, total - along[i]!) / Math.min(60, total * 0.4));
    const half = halfMm * (0.1 + 0.9 * Math.sqrt(Math.max(0, end)));
    const nx = (-(to[1] - from[1]) / far) * half;
    const ny = ((to[0] - from[0]) / far) * half;
    left.push([x + nx, y + ny]);
    right.push([x - nx, y - ny]);
  }
  return closedPath([...left, ...right.reverse()], 0.8);
}

/** Lines inside the outline, where one part of the body lies before another. One SVG path each, millimetres. */
export function innerLines(visible: Visible, grid: Grid, k: number, halfMm: number): string[] {
  const wide = grid.columns + 1;
  const reach = Math.max(1, Math.round(1.3 / grid.cellCm));
  return chains(edges(visible, grid, k), wide)
    .filter((chain) => chain.length * grid.cellCm >= SHORTEST_LINE * k)
    .map((chain) => {
      const points = chain.map((node): Point2 => [node % wide, Math.floor(node / wide)]);
      const line = smoothedChain(points, reach).map(([i, j]) => toMm(grid, i, j));
      return tapered(line, halfMm);
    })
    .filter((path) => path !== '');
}
