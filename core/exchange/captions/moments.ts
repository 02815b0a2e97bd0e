import type { Ms } from '#core/numbers';
import type { FixedSegment } from './class-state';
import type { Mark } from './marks';
import type { SpokenWord } from './words';

/** A silence of so long is more than a pause between two sentences. */
export const PAUSE_MS = 4000;
/** More moments than this tell nothing more of a class. */
const MAX_MOMENTS = 500;
const MIN_APART_MS = 1000;
/** Words that follow each other sooner are said in one go. */
const IN_ONE_GO_MS = 600;
const MAX_WORDS_BACK = 5;

/** The moments a segment may begin or end at: at marks, around silences, and where something is fixed. */
export function momentsOf(
  words: readonly SpokenWord[],
  marks: readonly Mark[],
  endMs: Ms,
  fixed: readonly FixedSegment[],
): Ms[] {
  const wanted = new Set<Ms>([0, endMs]);
  for (const mark of marks) {
    if (mark.kind === 'place') continue;
    const from = sentenceStart(words, mark.from);
    wanted.add(words[from]?.startMs ?? mark.atMs);
    wanted.add(mark.atMs);
  }
  for (const [i, word] of words.entries()) {
    const gap = word.startMs - (words[i - 1]?.endMs ?? 0);
    if (gap > PAUSE_MS) {
      wanted.add(word.startMs);
      wanted.add(words[i - 1]?.endMs ?? 0);
    }
  }
  const apartMs = Math.max(MIN_APART_MS, endMs / MAX_MOMENTS);
  const needed = new Set<Ms>([0, endMs, ...fixed.flatMap(({ startMs, endMs: fixedEndMs }) => [startMs, fixedEndMs])]);
  const kept: Ms[] = [...needed].sort((a, b) => a - b);
  const near = (ms: Ms): boolean => kept.some((one) => Math.abs(one - ms) < apartMs);
  for (const ms of [...wanted].sort((a, b) => a - b)) if (ms < endMs && !near(ms)) kept.push(ms);
  return kept.sort((a, b) => a - b);
}

/** Where the sentence, or what is spoken in one go, of a word begins. */
function sentenceStart(words: readonly SpokenWord[], at: number): number {
  const isOneGo = (i: number): boolean => {
    const [before, word] = [words[i - 1], words[i]];
    return before !== undefined && word !== undefined && !before.ends && word.startMs - before.endMs < IN_ONE_GO_MS;
  };
  let i = at;
  while (at - i < MAX_WORDS_BACK && isOneGo(i)) i--;
  return i;
}
