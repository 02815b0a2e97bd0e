import type { Block, HoldBlock, OwnPaceBlock, RetentionBlock, StrokesBlock, WaveBlock } from '#core/timeline';

/** How a ribbon lies on the page: x of its beginning, pixels a millisecond, height of a hold, width of the thread. */
export interface RibbonScale {
  x0: number;
  pxPerMs: number;
  height: number;
  thread: number;
}

/** What is drawn on a ribbon, from the back to the front. */
const LOOKS = [
  'thread',
  'talk',
  'loosen',
  'rest',
  'both',
  'left',
  'right',
  'breath-band',
  'breath',
  'own-pace',
  'strokes',
  'retention',
  'breath-inside',
  'cut',
] as const;

/** One drawn shape: a path and what it is, which the stylesheet colours. */
export interface Shape {
  look: (typeof LOOKS)[number];
  d: string;
}

const n = (value: number): string => String(Math.round(value * 100) / 100);

export const xOf = (scale: RibbonScale, ms: number): number => scale.x0 + ms * scale.pxPerMs;

/** A shoulder: one cubic from a point to a point, level at both ends. */
function shoulder(x0: number, y0: number, x1: number, y1: number): string {
  const middle = n((x0 + x1) / 2);
  return `C${middle} ${n(y0)} ${middle} ${n(y1)} ${n(x1)} ${n(y1)}`;
}

/** Upper and lower edge of a hold about the centre line: left above, right below, both across, crossing leaning. */
export function holdEdges({ side, crossing }: Pick<HoldBlock, 'side' | 'crossing'>, height: number): [number, number] {
  if (side !== 'left' && side !== 'right') return [-height / 2, height / 2];
  const [out, back] = crossing ? [0.75 * height, 0.25 * height] : [height, 0];
  return side === 'left' ? [-out, back] : [-back, out];
}

/** The outline of a hold with its shoulders; also used alone, for what was planned. */
export function holdOutline(block: HoldBlock, scale: RibbonScale): string {
  const [top, bottom] = holdEdges(block, scale.height);
  const half = scale.thread / 2;
  const [enter, start, end, leave] = [block.enterMs, block.startMs, block.endMs, block.leaveMs].map((ms) =>
    xOf(scale, ms),
  ) as [number, number, number, number];
  return (
    `M${n(enter)} ${n(-half)}${shoulder(enter, -half, start, top)}H${n(end)}${shoulder(end, top, leave, -half)}` +
    `V${n(half)}${shoulder(leave, half, end, bottom)}H${n(start)}${shoulder(start, bottom, enter, half)}Z`
  );
}

function rest(x0: number, x1: number, scale: RibbonScale): string {
  const half = scale.thread / 2;
  const reach = Math.max(half + 0.5, scale.height * 0.24);
  const edge = Math.min(4, (x1 - x0) / 3);
  return (
    `M${n(x0)} ${n(-half)}${shoulder(x0, -half, x0 + edge, -reach)}H${n(x1 - edge)}${shoulder(x1 - edge, -reach, x1, -half)}` +
    `V${n(half)}${shoulder(x1, half, x1 - edge, reach)}H${n(x0 + edge)}${shoulder(x0 + edge, reach, x0, half)}Z`
  );
}

function loosen(x0: number, x1: number, scale: RibbonScale): string {
  const waves = Math.max(2, Math.round((x1 - x0) / 7));
  const width = (x1 - x0) / waves;
  const rise = Math.min(6.4, scale.height * 0.18);
  return `M${n(x0)} 0` + `q${n(width / 4)} ${n(-rise)} ${n(width / 2)} 0t${n(width / 2)} 0`.repeat(waves);
}

function talk(x0: number, x1: number, scale: RibbonScale): string {
  const radius = Math.min(1.8, scale.height * 0.06 + 0.4);
  const dots = Math.max(1, Math.floor((x1 - x0) / (radius * 3.6)));
  const width = (x1 - x0) / dots;
  return Array.from({ length: dots }, (_, i) => dot(x0 + width * (i + 0.5), 0, radius)).join('');
}

/** Breath cycles drawn narrower than this many pixels are drawn several to a wave. */
const NARROWEST_WAVE = 3;
/** From this width on the slopes of a wave are curved. */
const CURVED_FROM = 10;

/** The mean length of a cycle in the round that has the shortest. */
const cycleMs = ({ rounds }: WaveBlock): number =>
  Math.min(...rounds.map(({ quarters, cycles }) => quarters.reduce((sum, { ms }) => sum + ms, 0) / cycles));

/** How many cycles one drawn wave stands for: one factor for a whole ribbon, so that densities can be compared. */
export function waveFactor(blocks: readonly Block[], pxPerMs: number): number {
  // A set that was left within its first breath says nothing about how long its breaths are.
  const telling = blocks
    .flatMap((block) => (block.kind === 'hold' ? block.inside : [block]))
    .filter((block): block is WaveBlock => block.kind === 'wave' && block.endMs - block.startMs > 1.5 * cycleMs(block));
  const widths = telling.map((block) => cycleMs(block) * pxPerMs);
  const narrowest = Math.min(...widths);
  return Number.isFinite(narrowest) && narrowest > 0 ? Math.max(1, Math.ceil(NARROWEST_WAVE / narrowest)) : 1;
}

type Edges = readonly [top: number, bottom: number];

/** The outline of counted breath from its first in-breath on, without its ground line. */
function wave(block: WaveBlock, scale: RibbonScale, factor: number, [top, bottom]: Edges): string {
  const end = xOf(scale, block.endMs);
  const curved = cycleMs(block) * scale.pxPerMs * factor > CURVED_FROM;
  let x = xOf(scale, block.startMs);
  let d = `M${n(x)} ${n(bottom)}`;
  while (x < end - 0.01) {
    const atMs = (x - scale.x0) / scale.pxPerMs + 1;
    const round = block.rounds.findLast(({ startMs }) => startMs <= atMs) ?? block.rounds[0];
    if (!round) break;
    const { quarters } = round;
    for (const { kind, ms } of quarters) {
      const next = Math.min(end, x + ms * scale.pxPerMs * factor);
      if (kind === 'holdFull' || kind === 'holdEmpty') d += `H${n(next)}`;
      else {
        const [from, to] = kind === 'in' ? [bottom, top] : [top, bottom];
        d += curved ? shoulder(x, from, next, to) : `L${n(next)} ${n(to)}`;
      }
      x = next;
      if (x >= end) break;
    }
  }
  return d;
}

function ownPace(x0: number, x1: number, cycles: number, [top, bottom]: Edges): string {
  const waves = Math.max(1, Math.min(cycles, Math.floor((x1 - x0) / NARROWEST_WAVE)));
  const width = (x1 - x0) / waves;
  let d = `M${n(x0)} ${n(bottom)}`;
  for (let i = 0; i < waves; i++) {
    const x = x0 + i * width;
    d += shoulder(x, bottom, x + width / 2, top) + shoulder(x + width / 2, top, x + width, bottom);
  }
  return d;
}

/** Strokes closer than this many pixels are drawn several to a tooth. */
const NARROWEST_TOOTH = 2.5;

/** A comb: one tooth a stroke where there is room. */
function strokes(x0: number, x1: number, count: number, [top, bottom]: Edges): string {
  const teeth = Math.max(1, Math.min(count, Math.floor((x1 - x0) / NARROWEST_TOOTH)));
  const width = (x1 - x0) / teeth;
  const comb = Array.from({ length: teeth }, (_, i) => `M${n(x0 + (i + 0.5) * width)} ${n(bottom)}V${n(top)}`);
  return `M${n(x0)} ${n(bottom)}H${n(x1)}${comb.join('')}`;
}

/** A flat hold at the top (full) or at the bottom (empty) of its edges. */
function retention(x0: number, x1: number, held: 'full' | 'empty', [top, bottom]: Edges): string {
  const thick = (bottom - top) * 0.16;
  const from = held === 'full' ? top : bottom - thick;
  return `M${n(x0)} ${n(from)}H${n(x1)}V${n(from + thick)}H${n(x0)}Z`;
}

const band = (x0: number, x1: number, [top, bottom]: Edges): string =>
  `M${n(x0)} ${n(top)}H${n(x1)}V${n(bottom)}H${n(x0)}Z`;

type Breathed = WaveBlock | OwnPaceBlock | StrokesBlock | RetentionBlock;

const inset = ([top, bottom]: Edges, by: number): Edges => [top + by, bottom - by];

/** The shapes of a breath that stands for itself: a soft band with what is breathed in it. */
function breathShapes(block: Breathed, x0: number, x1: number, scale: RibbonScale, factor: number): Shape[] {
  const edges = holdEdges({ side: block.side, crossing: false }, scale.height);
  const drawn = (): Shape => {
    switch (block.kind) {
      case 'wave':
        return { look: 'breath', d: `${wave(block, scale, factor, edges)}V${n(edges[1])}Z` };
      case 'ownPace':
        return { look: 'own-pace', d: ownPace(x0, x1, block.cycles, inset(edges, 1)) };
      case 'strokes':
        return { look: 'strokes', d: strokes(x0, x1, block.count, inset(edges, scale.height * 0.12)) };
      case 'retention':
        return { look: 'retention', d: retention(x0, x1, block.held, edges) };
    }
  };
  return [{ look: 'breath-band', d: band(x0, x1, edges) }, drawn()];
}

/** Below this height of a hold no breath can be seen inside it. */
const LOWEST_INSIDE = 20;

/** The breath inside a hold, as one line along its inner edge, where its number stays free. */
function insideShape(block: HoldBlock, scale: RibbonScale, factor: number): Shape[] {
  if (block.inside.length === 0 || scale.height < LOWEST_INSIDE) return [];
  const [top, bottom] = holdEdges(block, scale.height);
  const inner = block.side === 'right' ? top : bottom;
  const way = block.side === 'right' ? 1 : -1;
  const edges = [inner + way * scale.height * 0.08, inner + way * scale.height * 0.34].sort((a, b) => a - b);
  const [high = 0, low = 0] = edges;
  const line = block.inside.map((one): string => {
    const [x0, x1] = [xOf(scale, one.startMs), xOf(scale, one.endMs)];
    switch (one.kind) {
      case 'wave':
        return wave(one, scale, factor, [high, low]);
      case 'ownPace':
        return ownPace(x0, x1, one.cycles, [high, low]);
      case 'strokes':
        return strokes(x0, x1, one.count, [high, low]);
      case 'retention':
        return `M${n(x0)} ${n(one.held === 'full' ? high : low)}H${n(x1)}`;
      default:
        return `M${n(x0)} ${n(low)}H${n(x1)}`;
    }
  });
  return [{ look: 'breath-inside', d: line.join('') }];
}

const LOOK_OF_SIDE = { left: 'left', right: 'right', both: 'both', none: 'both' } as const;

/** The shapes of one block, back to front, about a centre line at y = 0. Nothing is narrower than a pixel. */
export function blockShapes(block: Block, scale: RibbonScale, factor: number): Shape[] {
  const x0 = xOf(scale, block.startMs);
  const x1 = Math.max(x0 + 1, xOf(scale, block.endMs));
  switch (block.kind) {
    case 'hold': {
      const [top, bottom] = holdEdges(block, scale.height);
      const cuts = block.cutsMs.map((ms) => xOf(scale, ms));
      return [
        { look: LOOK_OF_SIDE[block.side], d: holdOutline(block, scale) },
        ...insideShape(block, scale, factor),
        ...cuts.map((x): Shape => ({ look: 'cut', d: `M${n(x)} ${n(top)}V${n(bottom)}` })),
      ];
    }
    case 'wave':
    case 'ownPace':
    case 'strokes':
    case 'retention':
      return breathShapes(block, x0, x1, scale, factor);
    case 'thread':
      return [{ look: 'thread', d: band(x0, x1, [-scale.thread / 2, scale.thread / 2]) }];
    case 'rest':
      return [{ look: 'rest', d: rest(x0, x1, scale) }];
    case 'loosen':
      return [{ look: 'loosen', d: loosen(x0, x1, scale) }];
    case 'talk':
      return [{ look: 'talk', d: talk(x0, x1, scale) }];
  }
}

/**
 * The shapes of all blocks with one path for each look, back to front: an edit that shifts everything after it changes a
 * dozen elements and not hundreds.
 */
export function ribbonShapes(blocks: readonly Block[], scale: RibbonScale): Shape[] {
  const factor = waveFactor(blocks, scale.pxPerMs);
  const paths = new Map<Shape['look'], string>();
  for (const block of blocks) {
    for (const { look, d } of blockShapes(block, scale, factor)) paths.set(look, (paths.get(look) ?? '') + d);
  }
  return LOOKS.flatMap((look) => {
    const d = paths.get(look);
    return d === undefined ? [] : [{ look, d }];
  });
}

/** A dot of two arcs, so that many are one path. */
export function dot(x: number, y: number, radius: number): string {
  const arc = `a${n(radius)} ${n(radius)} 0 1 1`;
  return `M${n(x - radius)} ${n(y)}${arc} ${n(2 * radius)} 0${arc} ${n(-2 * radius)} 0`;
}

/** The dashed end of a shorter side: exactly what is missing of it, from its end, against the longer one. */
export function missingEnd(block: HoldBlock, missingMs: number, scale: RibbonScale): string {
  const [top, bottom] = holdEdges(block, scale.height);
  const outer = block.side === 'left' ? top + 0.75 : bottom - 0.75;
  const inner = block.side === 'left' ? -2.5 : 2.5;
  return `M${n(xOf(scale, block.endMs))} ${n(outer)}H${n(xOf(scale, block.endMs + missingMs))}V${n(inner)}`;
}

/**
 * When a session would really end: one evening in ten before `earlyMs`, half before `middleMs`, nine in ten before
 * `lateMs`.
 */
export interface SoftEnd {
  earlyMs: number;
  middleMs: number;
  lateMs: number;
}

/** An end that thins out: at each moment as high as the share of evenings that still go on. About y = 0. */
export function softEnd({ earlyMs, middleMs, lateMs }: SoftEnd, scale: RibbonScale): string {
  const [early, middle, late] = [earlyMs, middleMs, lateMs].map((ms) => xOf(scale, ms)) as [number, number, number];
  const at = (share: number): number => Math.round(share * scale.height * 5) / 10;
  const [much, half, little] = [at(0.9), at(0.5), at(0.1)];
  return `M${early} ${-much}L${middle} ${-half}L${late} ${-little}V${little}L${middle} ${half}L${early} ${much}Z`;
}
