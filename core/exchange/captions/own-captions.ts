import type { Ms } from '#core/numbers';
import type { SegmentKind } from './class-state';
import type { SpokenEntry } from './entries';
import type { ClassSegment } from './read-class';
import { withoutEntities } from './words';
import type { CaptionCue } from './write';

const LENGTH = '(\\d+ hours?)?(?: ?(\\d+) minutes?)?(?: ?(\\d+) seconds?)?';
const SIDE = '(left|right)';
/** A name is part of one sentence. */
const NAME = '((?:(?!\\. ).)+)';
/** How a step is announced in the captions that are written here (`core/script`), in each of its ways. */
const TOGETHER = new RegExp(`^${NAME}, ${LENGTH}\\.$`, 'u');
const EACH = new RegExp(`^${NAME}, ${LENGTH} on each side\\. First the ${SIDE}(?::.*)?\\.$`, 'u');
const UNEVEN = new RegExp(
  `^${NAME}, ${LENGTH} on the ${SIDE}, ${LENGTH} on the ${SIDE}\\. First the ${SIDE}(?::.*)?\\.$`,
  'u',
);
const ONE = new RegExp(`^${NAME}, ${LENGTH}\\. Only the ${SIDE}(?::.*)?\\.$`, 'u');
const CHANGE = 'Change sides.';

type Side = ClassSegment['side'];
interface Announced {
  atMs: Ms;
  name: string;
  turns: { side: Side; ms: Ms }[];
}

function msOf(hours = '', minutes = '', seconds = ''): Ms {
  return ((Number.parseInt(hours || '0', 10) * 60 + Number(minutes)) * 60 + Number(seconds)) * 1000;
}
const other = (side: string): Side => (side === 'left' ? 'right' : 'left');
const sideOf = (word = ''): Side => (word === 'left' ? 'left' : 'right');

/** A step as a line announces it; undefined for any other line. */
function announcedIn(line: string): Omit<Announced, 'atMs'> | undefined {
  const each = EACH.exec(line);
  if (each) {
    const [, name = '', hours, minutes, seconds, first = ''] = each;
    const ms = msOf(hours, minutes, seconds);
    return { name, turns: [sideOf(first), other(first)].map((side) => ({ side, ms })) };
  }
  const uneven = UNEVEN.exec(line);
  if (uneven) {
    const [, name = '', h1, m1, s1, side1, h2, m2, s2, side2] = uneven;
    const turns = [
      { side: sideOf(side1), ms: msOf(h1, m1, s1) },
      { side: sideOf(side2), ms: msOf(h2, m2, s2) },
    ];
    return { name, turns };
  }
  const one = ONE.exec(line);
  if (one) {
    const [, name = '', hours, minutes, seconds, side] = one;
    return { name, turns: [{ side: sideOf(side), ms: msOf(hours, minutes, seconds) }] };
  }
  const [match, name = '', hours, minutes, seconds] = TOGETHER.exec(line) ?? [];
  const hasLength = [hours, minutes, seconds].some((part) => part !== undefined);
  return match && hasLength ? { name, turns: [{ side: 'both', ms: msOf(hours, minutes, seconds) }] } : undefined;
}

/**
 * The class of captions that were written here, where every step is announced by its name, its length and its sides:
 * these are exact. A hold ends where the sides change, or where the next step begins.
 * @returns undefined for captions of any other kind
 */
export function ownCaptions(cues: readonly CaptionCue[], entries: readonly SpokenEntry[]): ClassSegment[] | undefined {
  const lines = cues.flatMap(({ startMs, text }) =>
    withoutEntities(text)
      .split('\n')
      .map((line) => ({ atMs: startMs, line })),
  );
  const steps = lines.flatMap(({ atMs, line }): Announced[] => {
    const announced = announcedIn(line);
    return announced ? [{ atMs, ...announced }] : [];
  });
  const [first] = steps;
  if (!first || first.atMs !== cues[0]?.startMs) return undefined;
  const entryOf = new Map(entries.map((entry) => [entry.names[0]?.toLowerCase() ?? '', entry]));
  const lastMs = Math.max(...cues.map(({ endMs }) => endMs));

  const segments: ClassSegment[] = [];
  for (const [i, { atMs, name, turns }] of steps.entries()) {
    const entry = entryOf.get(name.toLowerCase());
    const because = [{ atMs, kind: 'name' as const, words: name }];
    const add = (kind: SegmentKind, side: Side, turn: 1 | 2, startMs: Ms, endMs: Ms): void => {
      const segment = { kind, id: entry?.id ?? null, side, turn, startMs, endMs };
      if (endMs > startMs) segments.push({ ...segment, because, doubts: [], announced: null, breath: null });
    };
    const heldMs = turns.reduce((sum, { ms }) => sum + ms, 0);
    const endMs = Math.max(atMs + heldMs, steps[i + 1]?.atMs ?? lastMs);
    const changeMs = lines.find((line) => line.line === CHANGE && line.atMs > atMs && line.atMs < endMs)?.atMs;
    let fromMs = atMs;
    for (const [at, { side, ms }] of turns.entries()) {
      const turn = at === 0 ? 1 : 2;
      const toMs = Math.max(fromMs + ms, at < turns.length - 1 ? (changeMs ?? 0) : endMs);
      if (entry?.kind === 'hold') {
        add('in', side, turn, fromMs, toMs - ms);
        add('hold', side, turn, toMs - ms, toMs);
      } else add(entry ? 'breath' : 'talk', 'both', 1, fromMs, toMs);
      fromMs = toMs;
    }
  }
  return segments;
}
