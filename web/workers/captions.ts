import { expose } from 'comlink';
import {
  classReader,
  ownCaptions,
  readCaptionsFile,
  spokenWords,
  type CaptionsProblem,
  type FixedSegment,
  type ReadClass,
  type SpokenEntry,
  type SpokenLine,
} from '#core/exchange';
import { ENGLISH } from '#library/captions';

/** What a captions file is read as. */
export type CaptionsRead =
  | { ok: false; problem: CaptionsProblem }
  | {
      ok: true;
      /** What was said, to read. */
      lines: SpokenLine[];
      /** How many cues could not be read. */
      unreadable: number;
      /** How many words were said by others than the teacher. */
      byOthers: number;
      read: ReadClass;
    };

const staysFixed = (one: FixedSegment, fixed: readonly FixedSegment[]): boolean =>
  (one.kind === 'hold' || one.kind === 'breath') &&
  !fixed.some((other) => one.startMs < other.endMs && other.startMs < one.endMs);

let known: { of: string; reader: ReturnType<typeof classReader> } | undefined;
/** The reader for some entries: the same one as before where they are the same. */
function readerOf(entries: readonly SpokenEntry[]): ReturnType<typeof classReader> {
  const of = JSON.stringify(entries);
  if (known?.of !== of) known = { of, reader: classReader(entries, ENGLISH) };
  return known.reader;
}

/** Reads captions away from the page: an hour takes some tenths of a second. */
const reader = {
  async read(text: string, entries: readonly SpokenEntry[], fixed: readonly FixedSegment[]): Promise<CaptionsRead> {
    const file = await readCaptionsFile(text);
    if (typeof file === 'string') return { ok: false, problem: file };
    const { words, lines, byOthers } = spokenWords(file.cues);
    if (words.length === 0) return { ok: false, problem: 'no words' };
    // What was written here says itself what it is; once it is corrected, the rest of it stays as it is as well.
    const own = ownCaptions(file.cues, entries);
    const read =
      own && fixed.length === 0
        ? { segments: own, named: own.length, unknown: [] }
        : readerOf(entries)(words, [...fixed, ...(own ?? []).filter((one) => staysFixed(one, fixed))]);
    return { ok: true, lines, unreadable: file.unreadable, byOthers, read };
  },
};
export type CaptionsReader = typeof reader;

expose(reader);
