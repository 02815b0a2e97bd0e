import { expose } from 'comlink';
import {
  readCaptionsFile,
  readClass,
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

/** Reads captions away from the page: an hour takes some tenths of a second. */
const reader = {
  async read(text: string, entries: readonly SpokenEntry[], fixed: readonly FixedSegment[]): Promise<CaptionsRead> {
    const file = await readCaptionsFile(text);
    if (typeof file === 'string') return { ok: false, problem: file };
    const { words, lines, byOthers } = spokenWords(file.cues);
    if (words.length === 0) return { ok: false, problem: 'no words' };
    return { ok: true, lines, unreadable: file.unreadable, byOthers, read: readClass(words, entries, ENGLISH, fixed) };
  },
};
export type CaptionsReader = typeof reader;

expose(reader);
