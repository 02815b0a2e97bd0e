import type { Ms } from '#core/numbers';
import type { CaptionCue } from './write';

/** A word that was said, with its moment. */
export interface SpokenWord {
  /** Lower case, without punctuation and accents. */
  word: string;
  /** As it stands in the captions. */
  shown: string;
  startMs: Ms;
  endMs: Ms;
  /** It is the last of a sentence, as far as the captions have punctuation. */
  ends: boolean;
}

/** Nobody takes longer over a word, however long its cue stands. A teacher’s quiet pace is about two words a second. */
const LONGEST_WORD_MS = 450;
/** Cues that repeat words of the one before begin where it ends, give or take. */
const TOUCHING_MS = 150;
/** Between two lines that roll up, the lower one stands alone for so long. */
const GLIMPSE_MS = 100;
/** So many words in a row are no coincidence. */
const REPEATED_WORDS = 3;
/** A word before a colon now and then is no speaker. */
const FEWEST_CHANGES = 3;

const INLINE_TIME = /<(?:(\d+):)?(\d{1,2}):(\d{2})[.,](\d{3})>/;
const ENTITIES: Readonly<Record<string, string>> = { amp: '&', lt: '<', gt: '>', nbsp: ' ', quot: '"', apos: "'" };
/** Text with its entities as the letters they stand for: `&amp;` as `&`. */
export const withoutEntities = (text: string): string =>
  text
    .replace(/&(amp|lt|gt|nbsp|quot|apos);/g, (_, name: string) => ENTITIES[name] ?? ' ')
    .replace(/&#(\d{1,6});/g, (_, code: string) => String.fromCodePoint(Math.min(Number(code), 0x10ffff)));
/** What is no speech: `[music]`, `(laughter)`, `♪ … ♪`, `*bell*`. */
const withoutSounds = (text: string): string =>
  text.replace(/\[[^\]\n]{0,60}\]|\([^)\n]{0,60}\)|♪[^♪\n]*♪?|\*[^*\n]{1,40}\*/g, ' ');

export const plainWord = (shown: string): string =>
  shown
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '')
    .toLowerCase()
    .replace(/[’']/g, '')
    .replace(/[^\p{L}\p{N}]+/gu, '');

interface Line {
  speaker: string | undefined;
  words: Omit<SpokenWord, 'startMs' | 'endMs'>[];
}

const SPEAKER =
  /^(?:>>\s*|[-–—]\s+)?(?:<v(?:\.[\w.]+)?\s+([^>]+)>|(\p{Lu}[\p{L}\d.']*(?: [\p{Lu}\d][\p{L}\d.']*){0,2}):(?=\s))?/u;

function lineOf(raw: string): Line {
  const found = SPEAKER.exec(raw);
  const speaker = (found?.[1] ?? found?.[2])?.trim();
  const text = withoutSounds(withoutEntities(raw.slice(found?.[0].length ?? 0).replace(/<[^>\n]*>/g, ' ')));
  // A hyphen joins two words that are looked up one by one: `cross-legged`.
  const words = text
    .split(/[\s\-–—/]+/)
    .map((shown) => ({ shown, word: plainWord(shown), ends: /[.!?…]["”’)]*$/.test(shown) }))
    .filter(({ word }) => word !== '');
  return { speaker, words };
}

/** The parts of a cue between the moments that stand inside its text. */
function timedParts({ startMs, endMs, text }: CaptionCue): { startMs: Ms; endMs: Ms; text: string }[] {
  const pieces = text.split(/(<(?:\d+:)?\d{1,2}:\d{2}[.,]\d{3}>)/);
  const parts = [{ startMs, endMs, text: pieces[0] ?? '' }];
  for (let i = 1; i < pieces.length; i += 2) {
    const [, hours = '0', minutes = '0', seconds = '0', ms = '0'] = INLINE_TIME.exec(pieces[i] ?? '') ?? [];
    const atMs = ((Number(hours) * 60 + Number(minutes)) * 60 + Number(seconds)) * 1000 + Number(ms);
    const last = parts.at(-1);
    if (last) last.endMs = Math.max(last.startMs, Math.min(endMs, atMs));
    parts.push({ startMs: Math.max(startMs, Math.min(endMs, atMs)), endMs, text: pieces[i + 1] ?? '' });
  }
  return parts.filter((part) => part.text.trim() !== '');
}

/** Words in a row that were already said at the end of what stands so far are looked for back to here. */
const MAX_REPEATED = 80;
/** How many words at the beginning of a cue repeat the end of what was said before it. */
function repeatedWords(before: readonly string[], { words: now, lines }: Written): number {
  const most = Math.min(before.length, now.length, MAX_REPEATED);
  for (let n = most; n > 0; n--) {
    if (!now.slice(0, n).every((word, i) => word === before.at(i - n))) continue;
    let upTo = 0;
    const isWholeLines = lines.slice(0, -1).some(({ words }) => (upTo += words.length) === n);
    if (n >= REPEATED_WORDS || isWholeLines) return n;
  }
  return 0;
}

/** A cue with what is written in it. */
interface Written {
  parts: { startMs: Ms; endMs: Ms; lines: Line[] }[];
  lines: Line[];
  words: string[];
}
function writtenIn(cue: CaptionCue): Written {
  const parts = timedParts(cue).map(({ text, ...part }) => ({ ...part, lines: text.split('\n').map(lineOf) }));
  const lines = parts.flatMap((part) => part.lines).filter(({ words }) => words.length > 0);
  return { parts, lines, words: lines.flatMap(({ words }) => words.map(({ word }) => word)) };
}

/** A word, and who said it where the captions name them. */
interface Voiced {
  speaker: string | undefined;
  word: SpokenWord;
}

/** Words spread over the time of their part by their letters, no slower than anybody speaks. */
function spread(words: readonly Line['words'][number][], startMs: Ms, endMs: Ms): SpokenWord[] {
  const letters = words.reduce((sum, { word }) => sum + word.length + 1, 0);
  const spanMs = Math.min(endMs - startMs, words.length * LONGEST_WORD_MS);
  let past = 0;
  return words.map((word) => {
    const fromMs = Math.round(startMs + (past / letters) * spanMs);
    past += word.word.length + 1;
    return { ...word, startMs: fromMs, endMs: Math.round(startMs + (past / letters) * spanMs) };
  });
}

/** The words of a cue that were not said before it, with who says them: the speaker of a line speaks until the next. */
function freshIn({ parts }: Written, repeated: number, speakerBefore: string | undefined): Voiced[] {
  let [skip, speaker] = [repeated, speakerBefore];
  return parts.flatMap(({ startMs, endMs, lines }) => {
    const speakers = lines.flatMap((line) => {
      speaker = line.speaker ?? speaker;
      return line.words.map(() => speaker);
    });
    const words = lines.flatMap((line) => line.words);
    const skipped = Math.min(skip, words.length);
    skip -= skipped;
    const placed = spread(words.slice(skipped), startMs, endMs);
    return placed.map((word, i) => ({ word, speaker: speakers[skipped + i] }));
  });
}

/** What was said in one go. */
export interface SpokenLine {
  startMs: Ms;
  endMs: Ms;
  text: string;
}

/** Everything that was said. */
interface Spoken {
  words: SpokenWord[];
  /** All of it to read, questions of others too, each word once. */
  lines: SpokenLine[];
  /** How many words were said by others than the one who says most. */
  byOthers: number;
}

/**
 * The words of captions, each once, with their moments: cues that repeat what the one before said, words with moments
 * of their own, and cues that stand longer than they are spoken are all taken into account. Where the captions name who
 * speaks, only the one who says most is taken: questions from the room lead nobody.
 */
export function spokenWords(cues: readonly CaptionCue[]): Spoken {
  const all: Voiced[] = [];
  const lines: SpokenLine[] = [];
  let endedMs = -Infinity;
  for (const cue of cues) {
    const written = writtenIn(cue);
    if (written.words.length === 0) continue;
    const before = all.slice(-MAX_REPEATED).map(({ word }) => word.word);
    const touches = cue.startMs <= endedMs + TOUCHING_MS;
    const isGlimpse = cue.endMs - cue.startMs <= GLIMPSE_MS;
    const repeatsAll = written.words.every((word, i) => word === before.at(i - written.words.length));
    if (touches && isGlimpse && repeatsAll) continue;
    const fresh = freshIn(written, touches ? repeatedWords(before, written) : 0, all.at(-1)?.speaker);
    endedMs = Math.max(endedMs, cue.endMs);
    all.push(...fresh);
    lines.push(...lineOfWords(fresh.map(({ word }) => word)));
  }
  const words = ofMainSpeaker(all);
  return { words, lines, byOthers: all.length - words.length };
}

/** The words of the one who says most; all of them where the captions do not name who speaks. */
function ofMainSpeaker(all: readonly Voiced[]): SpokenWord[] {
  const changes = all.filter((one, i) => one.speaker !== all[i - 1]?.speaker).length;
  if (changes < FEWEST_CHANGES) return all.map(({ word }) => word);
  const counts = new Map<string | undefined, number>();
  for (const { speaker } of all) counts.set(speaker, (counts.get(speaker) ?? 0) + 1);
  const [main] = [...counts].sort(([, a], [, b]) => b - a)[0] ?? [undefined];
  return all.flatMap(({ speaker, word }) => (speaker === main || speaker === undefined ? [word] : []));
}

/** Words as a line to read; none where there are none. */
function lineOfWords(words: readonly SpokenWord[]): SpokenLine[] {
  const [first, last] = [words[0], words.at(-1)];
  if (!first || !last) return [];
  return [{ startMs: first.startMs, endMs: last.endMs, text: words.map(({ shown }) => shown).join(' ') }];
}

/** A pause of so long ends what was said, where the captions have no full stops. */
const PAUSE_MS = 700;
/** Whether something new is said from a word on: a sentence ended before it, or there was a pause. */
export function beginsAnew(words: readonly SpokenWord[], at: number): boolean {
  const [before, word] = [words[at - 1], words[at]];
  return !before || !word || before.ends || word.startMs - before.endMs > PAUSE_MS;
}
