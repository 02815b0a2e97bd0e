/** A stretch of a line that was understood, by its characters; `sure` is false where it was a guess. */
export interface Mark {
  from: number;
  to: number;
  sure: boolean;
}

const EMOJI =
  /\p{Extended_Pictographic}|\p{Regional_Indicator}|\p{Emoji_Modifier}|\u200B|\u200C|\u200D|\u2060|\uFE0E|\uFE0F|\u20E3|\uE000/gu;
/** Stands for a character that was understood already; no pattern matches it. */
const TAKEN = '\uE000';

/** In small letters, where that changes no length. */
const sameLength = (letters: string): string => {
  const small = letters.toLowerCase();
  return small.length === letters.length ? small : letters;
};

/** What is read of a text without a change of length, so that every place in it is the place in what was typed. */
function plain(typed: string): string {
  return typed
    .replace(EMOJI, (mark) => ' '.repeat(mark.length))
    .replace(/[\s\u00A0]/g, ' ')
    .replace(/[’‘`´]/g, "'")
    .replace(/×/g, 'x')
    .replace(/\p{Lu}+/gu, (letters) => sameLength(letters));
}

/**
 * A line while it is read: each reader takes what it understands, and the next one sees what is still open. Case, emoji
 * and fancy quotation marks do not matter.
 */
export class OpenLine {
  readonly typed: string;
  readonly marks: Mark[] = [];
  private open: string;

  constructor(typed: string) {
    this.typed = typed;
    this.open = plain(typed);
  }

  /** The line in small letters; what was understood already is a sign that no pattern matches. */
  get text(): string {
    return this.open;
  }

  /** Takes a stretch as understood, by its first character and the one after its last. */
  take(from: number, to: number, sure = true): void {
    this.open = this.open.slice(0, from) + TAKEN.repeat(to - from) + this.open.slice(to);
    this.marks.push({ from, to, sure });
  }

  /** Takes a stretch without marking it: bullets, brackets, and words that say nothing. */
  drop(from: number, to: number): void {
    this.open = this.open.slice(0, from) + TAKEN.repeat(to - from) + this.open.slice(to);
  }

  /** Takes what a pattern matches, once, and gives the match; undefined if there is none. */
  takeMatch(pattern: RegExp, sure = true): RegExpExecArray | undefined {
    const match = pattern.exec(this.open);
    if (!match || match[0] === '') return undefined;
    this.take(match.index, match.index + match[0].length, sure);
    return match;
  }

  /** The stretches that are still open and have a letter or a number in them, as they were typed. */
  leftover(): { from: number; to: number; typed: string }[] {
    const found: { from: number; to: number; typed: string }[] = [];
    for (const { index, 0: piece } of this.open.matchAll(/[^\uE000]+/g)) {
      const start = piece.search(/[\p{L}\p{N}]/u);
      if (start < 0) continue;
      const trimmed = piece.slice(start).replace(/[^\p{L}\p{N})!?”"']+$/u, '');
      const from = index + start;
      found.push({ from, to: from + trimmed.length, typed: this.typed.slice(from, from + trimmed.length) });
    }
    return found;
  }
}
