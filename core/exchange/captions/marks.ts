import type { Ms } from '#core/numbers';
import { spokenPhases, type SpokenPhase } from './spoken-phases';
import type { CaptionLanguage, PhraseKind, PhraseRow } from './language';
import { lengthFinder } from './spoken-lengths';
import { nameFinder, type CalledEntry, type SpokenName } from './spoken-names';
import { phraseFinder, type FoundPhrase } from './phrases';
import { sideFinder, type SpokenSide } from './spoken-sides';
import type { SpokenWord } from './words';

interface At {
  /** The words it stands in: from one until before another. */
  from: number;
  to: number;
  atMs: Ms;
  /** How much it counts, from 0 to 1: less where it is only offered, compared or denied. */
  weight: number;
}
/** Something that was said and tells about the class. */
export type Mark =
  | (At & { kind: 'phrase'; tells: PhraseKind })
  | (At & { kind: 'name'; entries: SpokenName['entries'] })
  | (At & { kind: 'side'; side: SpokenSide })
  | (At & { kind: 'place'; families: readonly string[] })
  | (At & { kind: 'length'; seconds: { least: number; most: number } })
  | (At & { kind: 'breaths'; least: number; most: number })
  | (At & { kind: 'rounds'; count: number })
  | (At & { kind: 'phase'; phase: SpokenPhase });

/** So many words after `if` and its like belong to it, where no sentence ends before. */
const MAYBE_WORDS = 9;
const NOT_WORDS = 4;
const LIKE_WORDS = 6;
/** So many words before `if you like` belong to it. */
const OFFERED_WORDS = 5;
const MAYBE = 0.3;
const NOT = 0.15;
/** A breath in a position, as teachers count them: our own rule of thumb. */
const BREATH_SECONDS = 7;
/** What a phrase that ends a hold, or that a second side follows, is never weakened by: `whenever you are ready`. */
const FIRM: ReadonlySet<PhraseKind> = new Set(['more', 'otherSide', 'show', 'yourTurn', 'breatheFreely']);
const SILENT: ReadonlySet<PhraseKind> = new Set([
  'maybe',
  'offered',
  'not',
  'like',
  'naming',
  'breatheIn',
  'breatheOut',
  'holdBreath',
]);

/** Finds the marks in what was said, in order of time. */
export function markFinder(language: CaptionLanguage, entries: readonly CalledEntry[]) {
  const phrasesIn = phraseFinder(language.phrases, language);
  const placesIn = phraseFinder(language.places, language);
  const namesIn = nameFinder(entries, language);
  const sidesIn = sideFinder(language);
  const lengthsIn = lengthFinder(language);
  return (words: readonly SpokenWord[]): Mark[] => {
    const phrases = phrasesIn(words);
    const weakened = new Float32Array(words.length).fill(1);
    const weightAt = (i: number): number => weakened[i] ?? 1;
    const weaken = (phrase: FoundPhrase<PhraseRow>, most: number, by: number): void => {
      for (let i = phrase.to; i < Math.min(words.length, phrase.to + most); i++) {
        weakened[i] = Math.min(weightAt(i), by);
        if (words[i]?.ends) break;
      }
    };
    for (const phrase of phrases) {
      if (phrase.row.kind === 'maybe') weaken(phrase, MAYBE_WORDS, MAYBE);
      if (phrase.row.kind === 'like') weaken(phrase, LIKE_WORDS, NOT);
      if (phrase.row.kind === 'not') weaken(phrase, NOT_WORDS, NOT);
    }
    const isOffered = (to: number): boolean =>
      phrases.some(
        ({ row, from }) =>
          row.kind === 'offered' &&
          from >= to &&
          from < to + OFFERED_WORDS &&
          !words.slice(to - 1, from).some((word) => word.ends),
      );
    const deniedAfter = (to: number): boolean =>
      phrases.some(
        ({ row, from }) => row.kind === 'not' && from >= to && from < to + 3 && words[to - 1]?.ends === false,
      );
    const moment = (from: number): Ms => words[from]?.startMs ?? 0;

    const marks: Mark[] = [];
    for (const { row, from, to } of phrases) {
      if (SILENT.has(row.kind)) continue;
      const weight = row.strength * (FIRM.has(row.kind) ? 1 : weightAt(from));
      marks.push({ kind: 'phrase', tells: row.kind, from, to, atMs: moment(from), weight });
    }
    const naming = new Set(phrases.flatMap(({ row, to }) => (row.kind === 'naming' ? [to, to + 1] : [])));
    for (const { from, to, entries: meant, likeness } of namesIn(words, (i) => naming.has(i))) {
      const weight = likeness * weightAt(from) * (deniedAfter(to) ? NOT : isOffered(to) ? MAYBE : 1);
      marks.push({ kind: 'name', from, to, atMs: moment(from), weight, entries: meant });
    }
    for (const side of sidesIn(words))
      marks.push({
        kind: 'side',
        side,
        from: side.at,
        to: side.at + 1,
        atMs: moment(side.at),
        weight: weightAt(side.at),
      });

    for (const { row, from, to } of placesIn(words))
      marks.push({ kind: 'place', families: row.families, from, to, atMs: moment(from), weight: weightAt(from) });

    const left = phrases.filter(({ row }) => row.kind === 'more');
    for (const { from, to, unit, least, most } of lengthsIn(words)) {
      // What is left of a hold is not how long it is.
      if (left.some((phrase) => phrase.from < to && from < phrase.to)) continue;
      const at = { from, to, atMs: moment(from), weight: weightAt(from) };
      if (unit === 'round') marks.push({ ...at, kind: 'rounds', count: most });
      else if (unit === 'breath') marks.push({ ...at, kind: 'breaths', least, most });
      else {
        const factor = unit === 'minute' ? 60 : 1;
        marks.push({ ...at, kind: 'length', seconds: { least: least * factor, most: most * factor } });
      }
    }
    for (const phase of spokenPhases(words, phrases, language))
      marks.push({ kind: 'phase', phase, from: phase.at, to: phase.at + 1, atMs: phase.atMs, weight: 1 });
    return marks.sort((a, b) => a.from - b.from || a.to - b.to);
  };
}

/** How long so many breaths are, as a rule of thumb. */
export const breathsSeconds = (breaths: number): number => breaths * BREATH_SECONDS;
