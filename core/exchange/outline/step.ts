import type { Step } from '#core/plan';
import { takeCounts, takeCountSeconds } from './breath';
import { BREATH_WORDS, likeCounts, readBreath, readPlain } from './breath-and-plain';
import { promptIn, withPromptInLine } from './details';
import { readHold } from './hold';
import { takeLengths, type FoundLength } from './lengths';
import type { OpenLine } from './line';
import { takeMarks } from './marks';
import { clean, isTelling, knownAs, openWords, takeCalled, takeName, takeQuotedName } from './meaning';
import { wholeName } from './names';
import type { Questions, Reading } from './reading';

/** What a line or a piece of one was read as: a step, or words that are kept as a note. */
export interface ReadStep {
  step: Step | undefined;
  /** What is said about the reading beside what the step is: a name that is known under another. */
  also: string[];
}

const MIN_HOUR = 6;
/** `18:30 arrive, 5 min`: a line may begin with the hour at which its step does, where its length stands after it. */
function dropClock(lengths: FoundLength[]): void {
  const [first, second] = lengths;
  if (!first || !second || first.from > 3 || first.range || second.kind !== 'length') return;
  const hour = first.seconds / 60;
  if (hour >= MIN_HOUR && hour < 24) lengths.shift();
}

/** A prompt that stands at the end of a step’s own line: `– halfway: soften the knee`. */
function takePromptInLine(line: OpenLine, reading: Reading): ReturnType<typeof promptIn> {
  const match = /[\s,;–—(-]+((?:at\s+)?half[- ]?way(?:\s+through)?|midway|at half)\s*[:,–—-]?\s+(.+?)\)?\s*$/u.exec(
    line.text,
  );
  if (!match || match.index === 0) return undefined;
  const words = line.typed
    .slice(match.index)
    .replace(/^[\s,;–—(-]+/u, '')
    .replace(/\)\s*$/u, '');
  const prompt = promptIn(
    words.replace(/^((?:at\s+)?half[- ]?way(?:\s+through)?|midway|at half)\s*[:,–—-]?\s+/iu, 'halfway: '),
    reading.newId,
  );
  if (prompt) line.take(match.index, line.typed.length);
  return prompt;
}

/** A step with the words of its line that nobody understood as its note, and those words. */
export function withLeftovers(step: Step, line: OpenLine): { step: Step; kept: string } {
  const kept = line
    .leftover()
    .map(({ typed }) => typed)
    .filter(isTelling)
    .join('; ');
  if (kept === '') return { step, kept };
  const note = [step.note, kept].filter(Boolean).join('\n');
  return { step: { ...step, note }, kept };
}

/**
 * Reads a line, or a piece of one, as a step. Undefined as a step where nothing in it says that it is one: it is a note.
 * @param isListed it has a bullet or a number
 */
export function readStep(line: OpenLine, isListed: boolean, reading: Reading, questions: Questions): ReadStep {
  const marks = takeMarks(line);
  const quoted = takeQuotedName(line);
  const called = takeCalled(line);
  const prompt = takePromptInLine(line, reading);
  const countSeconds = takeCountSeconds(line);
  const lengths = takeLengths(line);
  dropClock(lengths);
  const early = BREATH_WORDS.test(line.text) || /\bin\s*\d/.test(line.text) ? takeCounts(line) : undefined;
  const hasLength =
    lengths.length > 0 || early !== undefined || /(?<![\p{L}\d.])\d{1,2}(?:[.,]5)?(?![\d\p{L}%])/u.test(line.text);
  const finish = (step: Step, also: string[] = []): ReadStep => {
    const named = called === undefined ? step : { ...step, name: called };
    const whole = prompt ? withPromptInLine(named, prompt) : named;
    const { step: noted, kept } = withLeftovers(whole, line);
    const usual = hasLength ? [] : ['length as usual'];
    return { step: noted, also: [...also, ...usual, ...(kept === '' ? [] : [`kept as a note: ${kept}`])] };
  };
  if (quoted !== undefined || marks.kind) {
    const typed = quoted ?? clean(openWords(line)?.typed ?? '');
    if (quoted === undefined) {
      const words = openWords(line);
      if (words) line.take(words.from, words.to);
    }
    const kind = marks.kind ?? 'custom';
    if (kind === 'custom')
      return finish(
        readHold(line, { entry: undefined, plain: 'custom', typed, isNote: false }, marks, lengths, reading, questions),
      );
    return finish(readPlain(line, kind, typed, marks, lengths, reading));
  }
  const whole = wholeName(line, reading.index);
  if (early && whole?.entries[0]?.kind !== 'hold' && !whole) {
    const technique = likeCounts(line, early.counts, reading, questions);
    if (technique) return finish(readBreath(line, technique, early.counts, countSeconds, marks, lengths, reading));
  }
  const meant = takeName(line, hasLength, isListed, reading, questions);
  if (meant.isNote) return { step: undefined, also: [] };
  if (meant.entry?.kind === 'breath') {
    const counts = early ?? takeCounts(line);
    const also = knownAs(meant);
    return finish(readBreath(line, meant.entry.entry, counts?.counts, countSeconds, marks, lengths, reading), also);
  }
  if (meant.plain && meant.plain !== 'custom')
    return finish(readPlain(line, meant.plain, meant.typed, marks, lengths, reading));
  return finish(readHold(line, meant, marks, lengths, reading, questions), knownAs(meant));
}
