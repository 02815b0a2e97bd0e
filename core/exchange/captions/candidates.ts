import type { FixedSegment } from './class-state';
import type { Described } from './evidence';
import type { Mark } from './marks';
import { asVariant, atPlace, type PositionPlace, type Setting } from './setting';
import type { SpokenWord } from './words';

/** So many positions and techniques of a class are looked at closely: those that are named or described most. */
const MAX_ENTRIES = { hold: 30, breath: 8 } as const;
const MIN_WORTH = 0.2;
/** What is fixed is looked at in any case. */
const FIXED = 1e9;
const WINDOW_MS = 25_000;
/** Windows begin at every so many words. */
const EVERY_WORDS = 4;
const OF_EACH_WINDOW = 4;
const MIN_DESCRIBED = 3;

interface Entry extends PositionPlace {
  kind: 'hold' | 'breath';
}

/**
 * The entries that a class may have, as far as they are named, described or fixed.
 * @param places the positions in the order in which they are described
 */
export function candidates<E extends Entry>(
  entries: readonly E[],
  places: readonly PositionPlace[],
  words: readonly SpokenWord[],
  marks: readonly Mark[],
  described: Described,
  place: Setting,
  fixed: readonly FixedSegment[],
): { positions: E[]; techniques: E[] } {
  const worth = describedMost(places, words, described, place);
  for (const mark of marks)
    if (mark.kind === 'name')
      for (const { id, share } of mark.entries) worth.set(id, (worth.get(id) ?? 0) + share * mark.weight);
  for (const { id } of fixed) if (id !== null) worth.set(id, FIXED);
  const worthOf = ({ id }: Entry): number => worth.get(id) ?? 0;
  const most = (kind: Entry['kind']): E[] =>
    entries
      .filter((entry) => entry.kind === kind && worthOf(entry) > MIN_WORTH)
      .sort((a, b) => worthOf(b) - worthOf(a))
      .slice(0, MAX_ENTRIES[kind] + fixed.length);
  return { positions: most('hold'), techniques: most('breath') };
}

/** The positions that are described best somewhere, and how well. */
function describedMost(
  positions: readonly PositionPlace[],
  words: readonly SpokenWord[],
  described: Described,
  { familiesAt, propsAt }: Setting,
): Map<string, number> {
  const variants = positions.map(asVariant);
  const best = new Map<string, number>();
  /** How well each position is described in the window. */
  const sums = new Float64Array(positions.length);
  let from = 0;
  const change = (at: number, sign: 1 | -1): void => {
    for (const list of described[at] ?? [])
      for (const { entry, score } of list) sums[entry] = (sums[entry] ?? 0) + sign * score;
  };
  for (const [i, word] of words.entries()) {
    change(i, 1);
    for (let old = words[from]; old && old.startMs < word.startMs - WINDOW_MS; old = words[from]) {
      change(from, -1);
      from++;
    }
    if (i % EVERY_WORDS !== 0) continue;
    const families = familiesAt(word.startMs);
    const withProps = propsAt(word.startMs);
    const high: { id: string; score: number }[] = [];
    for (let entry = 0; entry < sums.length; entry++) {
      const [own, position] = [sums[entry] ?? 0, positions[entry]];
      if (!position || own < MIN_DESCRIBED) continue;
      const score = own + atPlace(position, families) + (variants[entry] ?? 0) + withProps(position);
      if (score > MIN_DESCRIBED) high.push({ id: position.id, score });
    }
    high.sort((a, b) => b.score - a.score);
    for (const { id, score } of high.slice(0, OF_EACH_WINDOW)) best.set(id, Math.max(best.get(id) ?? 0, score / 10));
  }
  return best;
}
