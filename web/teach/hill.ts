import type { CountedBreathPhase } from '#core/timeline';

/** A point on the stage in pixels, y downwards from the top of the hill's frame. */
export interface Point {
  x: number;
  y: number;
}

export interface HillFrame {
  width: number;
  /** Height of the hill over its ground line. */
  height: number;
}

export interface Stone extends Point {
  /** When it lights, in milliseconds from the beginning of the cycle. */
  atMs: number;
}

export interface Hill {
  path: string;
  stones: Stone[];
  /** x at a moment of the cycle, in milliseconds from its beginning. */
  xAt: (ms: number) => number;
  totalMs: number;
  /** +1 when it climbs from the left, −1 from the right. */
  direction: 1 | -1;
  labels: { x: number; kind: CountedBreathPhase['kind']; counts: number }[];
}

const MOST_PX_A_COUNT = 58;
const POINTS_A_QUARTER = 24;

/** Height of the path over the ground, from 0 to 1, a share `u` of the way through a quarter. */
function rise(kind: CountedBreathPhase['kind'], u: number): number {
  if (kind === 'holdFull') return 1;
  if (kind === 'holdEmpty') return 0;
  const up = (1 - Math.cos(Math.PI * u)) / 2;
  return kind === 'in' ? up : 1 - up;
}

/**
 * The hill of one breath cycle: in climbs from one side, the full hold crosses the middle, out goes down the other side,
 * the empty hold goes on along the ground. The top lies in the middle of the frame; time runs evenly along x. A breath
 * that comes in through the right nostril climbs from the right; one through both climbs from the left, and every second
 * one walks back.
 */
export function breathHill(quarters: readonly CountedBreathPhase[], { width, height }: HillFrame): Hill {
  const ms = (phase: CountedBreathPhase): number => phase.endMs - phase.startMs;
  const totalMs = quarters.reduce((sum, phase) => sum + ms(phase), 0);
  const counts = (kind: CountedBreathPhase['kind']): number =>
    quarters.find((phase) => phase.kind === kind)?.counts ?? 0;
  const before = counts('in') + counts('holdFull') / 2;
  const behind = counts('holdFull') / 2 + counts('out') + counts('holdEmpty');
  const pxPerCount = Math.min(MOST_PX_A_COUNT, (width / 2 - 24) / Math.max(before, behind, 1));
  const first = quarters[0];
  const walksBack = first?.through === 'right' || (first?.through !== 'left' && (first?.cycle ?? 1) % 2 === 0);
  const direction = walksBack ? -1 : 1;
  const pxPerMs = first ? pxPerCount / first.countMs : 0;
  const startX = width / 2 - direction * before * pxPerCount;
  const xAt = (at: number): number => startX + direction * at * pxPerMs;

  const points: Point[] = [];
  const stones: Stone[] = [];
  const labels: Hill['labels'] = [];
  let at = 0;
  for (const phase of quarters) {
    const point = (u: number): Point => ({ x: xAt(at + u * ms(phase)), y: height * (1 - rise(phase.kind, u)) });
    for (let i = 0; i <= POINTS_A_QUARTER; i++) points.push(point(i / POINTS_A_QUARTER));
    for (let i = 1; i <= phase.counts; i++)
      stones.push({ ...point((i - 1) / phase.counts), atMs: at + (i - 1) * phase.countMs });
    labels.push({ x: xAt(at + ms(phase) / 2), kind: phase.kind, counts: phase.counts });
    at += ms(phase);
  }
  const path = points.map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`).join('');
  return { path, stones, xAt, totalMs, direction, labels };
}
