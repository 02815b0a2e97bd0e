import { stepOfBreath, strokesMs, type CountedPhase, type Quarter, type TonedPhase } from '#core/breath';
import type { Ms } from '#core/numbers';

/** A point on the stage in pixels, y downwards from the top of the hill's frame. */
interface Point {
  x: number;
  y: number;
}

export interface HillFrame {
  width: number;
  /** Height of the hill over its ground line. */
  height: number;
}

interface Stone extends Point {
  /** When it lights, in milliseconds from the beginning of the way. */
  atMs: Ms;
}

/** The way of a breath across the stage. */
export interface Hill {
  path: string;
  stones: Stone[];
  /** Stones lie on the path; ticks stand on the ground. */
  marks: 'stones' | 'ticks';
  /** x at a moment, in milliseconds from the beginning of the way. */
  xAt: (ms: Ms) => number;
  totalMs: Ms;
  /** +1 when it begins at the left, −1 at the right. */
  direction: 1 | -1;
  labels: { x: number; kind: Quarter; counts: number }[];
}

const MAX_PX_A_COUNT = 58;
const POINTS_A_QUARTER = 24;
const POINTS_A_STAIR = 12;
/** Where a way along the ground begins and ends. */
const EDGE = 24;

/** A quarter of a counted cycle, wherever it comes from. */
export type QuarterPhase = Pick<
  CountedPhase,
  'kind' | 'counts' | 'countMs' | 'cycle' | 'through' | 'startMs' | 'endMs' | 'steps'
>;

/**
 * Height of the path over the ground, from 0 to 1, a share `u` of the way through a quarter: an interrupted breath goes
 * up or down in stairs.
 */
function rise(phase: QuarterPhase, u: number): number {
  if (phase.kind === 'holdFull') return 1;
  if (phase.kind === 'holdEmpty') return 0;
  const { step, of, moved } = stepOfBreath(phase, u * (phase.endMs - phase.startMs));
  const within = moved * of - (step - 1);
  const up = (step - 1 + (1 - Math.cos(Math.PI * within)) / 2) / of;
  return phase.kind === 'in' ? up : 1 - up;
}

const pathThrough = (points: readonly Point[]): string =>
  points.map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`).join('');

/**
 * The hill of one breath cycle: in climbs from one side, the full hold crosses the middle, out goes down the other
 * side, the empty hold goes on along the ground. The top lies in the middle of the frame; time runs evenly along x. A
 * breath that comes in through the right nostril climbs from the right; one through both climbs from the left, and
 * every second one walks back.
 */
export function breathHill(quarters: readonly QuarterPhase[], { width, height }: HillFrame): Hill {
  const ms = (phase: QuarterPhase): Ms => phase.endMs - phase.startMs;
  const totalMs = quarters.reduce((sum, phase) => sum + ms(phase), 0);
  // With the pauses of an interrupted breath, which have their counts too.
  const lengthInCounts = (phase: QuarterPhase): number => (phase.steps ? ms(phase) / phase.countMs : phase.counts);
  const counts = (kind: Quarter): number => {
    const quarter = quarters.find((phase) => phase.kind === kind);
    return quarter ? lengthInCounts(quarter) : 0;
  };
  const before = counts('in') + counts('holdFull') / 2;
  const behind = counts('holdFull') / 2 + counts('out') + counts('holdEmpty');
  const pxPerCount = Math.min(MAX_PX_A_COUNT, (width / 2 - EDGE) / Math.max(before, behind, 1));
  const first = quarters[0];
  const walksBack = first?.through === 'right' || (first?.through !== 'left' && (first?.cycle ?? 1) % 2 === 0);
  const direction = walksBack ? -1 : 1;
  const pxPerMs = first ? pxPerCount / first.countMs : 0;
  const startX = width / 2 - direction * before * pxPerCount;
  const xAt = (at: Ms): number => startX + direction * at * pxPerMs;

  const points: Point[] = [];
  const stones: Stone[] = [];
  const labels: Hill['labels'] = [];
  let at = 0;
  for (const phase of quarters) {
    const point = (u: number): Point => ({ x: xAt(at + u * ms(phase)), y: height * (1 - rise(phase, u)) });
    const pieces = phase.steps ? 2 * phase.steps.parts * POINTS_A_STAIR : POINTS_A_QUARTER;
    for (let i = 0; i <= pieces; i++) points.push(point(i / pieces));
    // A stone a count; what is over of a count in tenths has one too.
    const beats = lengthInCounts(phase);
    for (let i = 0; i < beats; i++) stones.push({ ...point(i / beats), atMs: at + i * phase.countMs });
    labels.push({ x: xAt(at + ms(phase) / 2), kind: phase.kind, counts: phase.counts });
    at += ms(phase);
  }
  return { path: pathThrough(points), stones, marks: 'stones', xAt, totalMs, direction, labels };
}

const MAX_WAVES = 12;

/**
 * The way of what is not counted, from the left to the right: strokes as ticks on the ground, a hold as a plateau
 * (full) or along the ground (empty) with a stone a pulse, breaths at their own pace as small hills, quiet breathing
 * along the ground. `lengthMs` is how long it lasts.
 */
export function breathWay(phase: TonedPhase, lengthMs: Ms, { width, height }: HillFrame): Hill {
  const xAt = (ms: Ms): number => EDGE + ((width - 2 * EDGE) * ms) / Math.max(1, lengthMs);
  const level = (y: number): Point[] => [
    { x: xAt(0), y },
    { x: xAt(lengthMs), y },
  ];
  const way = (points: readonly Point[], stones: Stone[] = [], marks: Hill['marks'] = 'stones'): Hill => ({
    path: pathThrough(points),
    stones,
    marks,
    xAt,
    totalMs: lengthMs,
    direction: 1,
    labels: [],
  });
  const stonesAt = (moments: readonly Ms[], y: number): Stone[] => moments.map((atMs) => ({ x: xAt(atMs), y, atMs }));
  const evenly = (count: number): Ms[] => Array.from({ length: count }, (_, i) => (i * lengthMs) / count);
  switch (phase.kind) {
    case 'strokes': {
      const moments = Array.from({ length: phase.count }, (_, i) => strokesMs(i, phase.perMinute));
      return way(level(height), stonesAt(moments, height), 'ticks');
    }
    case 'retention': {
      const y = phase.held === 'full' ? 0 : height;
      return way(level(y), stonesAt(evenly(phase.pulses), y));
    }
    case 'ownPace': {
      const waves = Math.min(MAX_WAVES, phase.cycles);
      const points = Array.from({ length: waves * POINTS_A_QUARTER + 1 }, (_, i): Point => {
        const u = i / POINTS_A_QUARTER;
        return { x: xAt((u * lengthMs) / waves), y: height * (1 - 0.7 * ((1 - Math.cos(2 * Math.PI * u)) / 2)) };
      });
      return way(points);
    }
    default:
      return way(level(height));
  }
}
