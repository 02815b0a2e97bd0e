import { WHERE_NAMES, WHERE_WORDS, type Where } from '#core/catalogue';
import type { Step } from '#core/plan';
import type { OpenLine } from './line';

const MARKS: Readonly<Record<string, Partial<Pick<Step, 'locked' | 'pinned' | 'weight'>>>> = {
  locked: { locked: true },
  pinned: { pinned: true },
  'keep length': { weight: 'keep' },
  'shorten first': { weight: 'givesWay' },
};
const KIND_MARKS = { talk: 'talk', rest: 'rest', release: 'move', 'custom hold': 'custom' } as const;
type KindMark = (typeof KIND_MARKS)[keyof typeof KIND_MARKS];
const WHERE_MARKS = new Map<string, Where>(WHERE_NAMES.map((where) => [WHERE_WORDS[where], where]));

/** What stands in brackets at the end: `(locked, at the wall)`. */
export interface Marks {
  common: Partial<Pick<Step, 'locked' | 'pinned' | 'weight' | 'where'>>;
  kind: KindMark | undefined;
}

export function takeMarks(line: OpenLine): Marks {
  const marks: Marks = { common: {}, kind: undefined };
  const match = /\(([^()]+)\)\s*$/u.exec(line.text);
  if (!match) return marks;
  const words = (match[1] ?? '').split(',').map((word) => word.trim());
  const isKnown = (word: string): boolean => word in MARKS || word in KIND_MARKS || WHERE_MARKS.has(word);
  if (!words.every(isKnown)) return marks;
  line.take(match.index, match.index + match[0].length);
  for (const word of words) {
    Object.assign(marks.common, MARKS[word] ?? {});
    const where = WHERE_MARKS.get(word);
    if (where) marks.common.where = where;
    if (word in KIND_MARKS) marks.kind = KIND_MARKS[word as keyof typeof KIND_MARKS];
  }
  return marks;
}

const BULLET =
  /^\s*(?:(?:\d{1,3}[.)](?=\s|[\p{L}“"])|\d{1,2}\s+[-–]\s+(?=[\p{L}“"])|[-–—*•·+>o](?=\s)|\[[ x]?\])\s*)+/u;
/** Drops what stands before a line to make a list of it; whether there was something. */
export function dropBullet(line: OpenLine): boolean {
  const match = BULLET.exec(line.text);
  if (!match) return false;
  line.drop(0, match[0].length);
  return true;
}
