import type { HoldBlock } from '#core/timeline';

export interface Label {
  x: number;
  text: string;
}

/** Room a letter of 12.5 px takes on average, in pixels. */
const LETTER = 6.1;

interface LaneEntry {
  x: number;
  number: number;
  /** Ways to say its name, the fullest first. */
  names: readonly string[];
}

/**
 * The names above a ribbon: number and the fullest name that fits before the next one, the number alone where only that
 * fits, nothing where not even that. `end` is the right edge in pixels.
 */
export function laneLabels(entries: readonly LaneEntry[], end: number): Label[] {
  return entries.map(({ x, number, names }, i) => {
    const room = (entries[i + 1]?.x ?? end) - x - 8;
    const full = names.map((name) => `${number} ${name}`).find((text) => text.length * LETTER <= room);
    if (full) return { x, text: full };
    return { x, text: String(number).length * LETTER + 4 <= room ? String(number) : '' };
  });
}

/** Round steps of a time axis, in minutes: the smallest that keeps marks at least `apart` pixels from each other. */
export function axisMinutes(pxPerMs: number, apart = 56): number {
  return [1, 2, 5, 10, 15, 20, 30, 60].find((minutes) => minutes * 60_000 * pxPerMs >= apart) ?? 120;
}

/** For holds with two sides of unequal length: the shorter side's block and how much it misses, in milliseconds. */
export function shorterSides(blocks: readonly HoldBlock[]): { block: HoldBlock; missingMs: number }[] {
  const byStep = new Map<number, HoldBlock[]>();
  for (const block of blocks) byStep.set(block.stepIndex, [...(byStep.get(block.stepIndex) ?? []), block]);
  return [...byStep.values()].flatMap((sides) => {
    const [a, b] = sides;
    if (!a || !b || sides.length !== 2) return [];
    const [lengthA, lengthB] = [a.endMs - a.startMs, b.endMs - b.startMs];
    if (lengthA === lengthB) return [];
    return [{ block: lengthA < lengthB ? a : b, missingMs: Math.abs(lengthA - lengthB) }];
  });
}

/**
 * The marks of a time axis from 0 to `endMs`: milliseconds at round minutes, at least `apart` pixels from each other.
 * With `startMs`, the clock at 0 in milliseconds since 1970, they lie at round minutes of the clock.
 */
export function axisTicks(pxPerMs: number, endMs: number, startMs = 0, apart?: number): number[] {
  const step = axisMinutes(pxPerMs, apart) * 60_000;
  const first = (step - (startMs % step)) % step;
  return Array.from({ length: Math.max(0, Math.floor((endMs - first) / step) + 1) }, (_, i) => first + i * step);
}
