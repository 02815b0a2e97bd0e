import { z } from 'zod';
import { words } from '#core/document';

export const MAX_SPOKEN = 60;
const MAX_PAUSE = 20;

/** A line to read aloud, with the weight of the pause after it against the other pauses; 1 if it has none. */
export const SpokenLine = z.strictObject({
  text: words('A line to read aloud', 240),
  pause: z.int('A pause is a whole number.').min(1, 'A pause is at least 1.').max(MAX_PAUSE).optional(),
});
export type SpokenLine = z.infer<typeof SpokenLine>;

/** A line with its moment, in seconds from the beginning. */
export interface SpokenAt {
  text: string;
  atSeconds: number;
}

/** Calm speech: about 120 words a minute, slower than the 150 of ordinary speech. Our own rule of thumb. */
const WORDS_A_SECOND = 2;

const spokenSeconds = (text: string): number => text.split(/\s+/).filter(Boolean).length / WORDS_A_SECOND;

/**
 * Spreads lines over a length in seconds: the first comes at once, and the pause after the last ends with the length. What is left beside
 * the speaking goes to the pauses by their weights; where the length is too short for the speaking, everything draws
 * together evenly and the pauses are gone. Whole seconds, never out of order.
 */
export function spokenOver(lines: readonly SpokenLine[], seconds: number): SpokenAt[] {
  const speaking = lines.map(({ text }) => spokenSeconds(text));
  const total = speaking.reduce((sum, one) => sum + one, 0);
  const weights = lines.map(({ pause = 1 }) => pause);
  const weight = weights.reduce((sum, one) => sum + one, 0);
  const left = Math.max(0, seconds - total);
  const shrink = total > seconds && total > 0 ? seconds / total : 1;
  let at = 0;
  return lines.map(({ text }, i) => {
    const line = { text, atSeconds: Math.floor(at) };
    at += (speaking[i] ?? 0) * shrink + (weight > 0 ? (left * (weights[i] ?? 0)) / weight : 0);
    return line;
  });
}

/**
 * Lines to read aloud as they are typed: a sentence on each, and every empty line after one makes its pause longer by as
 * much as a usual pause. Empty lines before the first say nothing.
 */
export function readSpoken(typed: string): SpokenLine[] {
  const lines: SpokenLine[] = [];
  for (const line of typed.trimEnd().split(/\r?\n/)) {
    const text = line.trim();
    const last = lines.at(-1);
    if (text !== '') lines.push({ text });
    else if (last) last.pause = Math.min(MAX_PAUSE, (last.pause ?? 1) + 1);
  }
  return lines;
}

/** Lines as `readSpoken` reads them. */
export const spokenAsTyped = (lines: readonly SpokenLine[]): string =>
  lines
    .map(({ text, pause = 1 }) => text + '\n'.repeat(pause))
    .join('')
    .trimEnd();
