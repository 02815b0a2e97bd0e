import type { ClassSegment } from '#core/exchange';
import type { LedHold, SpokenClass } from './spoken-class';

/** How well a class was read, in counts that can be added up. */
export interface ClassFigures {
  holds: number;
  /** Holds that were found with the right name; of these those with the right side, and with the right end. */
  found: number;
  sides: number;
  ends: number;
  /** Holds that were read, those of them that have another name or are none, and those where nothing was held. */
  read: number;
  false: number;
  invented: number;
  announced: number;
  announcedRight: number;
  breaths: number;
  breathsRight: number;
  /** Holds that were read wrongly in any way, and those of them that are marked as doubtful. */
  wrong: number;
  wrongDoubtful: number;
  /** Holds that are marked as doubtful, right or wrong. */
  doubtful: number;
}

const END_MS = 20_000;
/** A hold is the one that was led if they have so much of it in common. */
const SHARED = 0.3;
const shared = (one: { startMs: number; endMs: number }, led: LedHold): number =>
  (Math.min(one.endMs, led.endMs) - Math.max(one.startMs, led.startMs)) / (led.endMs - led.startMs);
const isEnd = (one: ClassSegment, led: LedHold): boolean => Math.abs(one.endMs - led.endMs) <= END_MS;

/** Compares what was read with what was led, as its writer knows it. */
export function classFigures(
  { holds, breaths, announced }: SpokenClass,
  segments: readonly ClassSegment[],
): ClassFigures {
  const read = segments.filter(({ kind }) => kind === 'hold');
  const pairs = new Map<ClassSegment, LedHold>();
  for (const led of holds) {
    const own = read.filter((one) => one.id === led.id && shared(one, led) > SHARED && !pairs.has(one));
    const [best] = own.sort((a, b) => shared(b, led) - shared(a, led));
    if (best) pairs.set(best, led);
  }
  const found = [...pairs];
  const rights = found.filter(([one, led]) => one.side === led.side && isEnd(one, led)).map(([one]) => one);
  const wrong = read.filter((one) => !rights.includes(one));
  const practices = segments.filter(({ kind }) => kind === 'breath');
  return {
    holds: holds.length,
    found: found.length,
    sides: found.filter(([one, led]) => one.side === led.side).length,
    ends: found.filter(([one, led]) => isEnd(one, led)).length,
    read: read.length,
    false: read.length - found.length,
    invented: read.filter((one) => !holds.some((led) => shared(one, led) > SHARED)).length,
    announced: announced.length,
    announcedRight: announced.filter(({ id, seconds }) => {
      const length = read.find((one) => one.id === id)?.announced;
      return length && Math.abs((length.least + length.most) / 2 - seconds) < 1;
    }).length,
    breaths: breaths.length,
    breathsRight: breaths.filter(({ id, rounds, counts }) =>
      practices.some(
        (one) => one.id === id && one.breath?.rounds === rounds && one.breath.counts.join() === counts.join(),
      ),
    ).length,
    wrong: wrong.length,
    wrongDoubtful: wrong.filter(({ doubts }) => doubts.length > 0).length,
    doubtful: read.filter(({ doubts }) => doubts.length > 0).length,
  };
}

/** The figures of several classes, added up. */
export function inAll(figures: readonly ClassFigures[]): ClassFigures {
  const [first, ...others] = figures;
  if (!first) throw new Error('No class.');
  return others.reduce((sum, one) => {
    const added = { ...sum };
    for (const key of Object.keys(added) as (keyof ClassFigures)[]) added[key] += one[key];
    return added;
  }, first);
}
