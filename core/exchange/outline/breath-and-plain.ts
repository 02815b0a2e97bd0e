import { practiceMs } from '#core/breath';
import type { Technique } from '#core/catalogue';
import type { Seconds } from '#core/numbers';
import { breathFrom, moveStep, PLAN_LIMITS, restStep, talkStep, type PlainStep, type Step } from '#core/plan';
import { practiceWith, takeRounds, techniquesLike, type FoundCounts } from './breath';
import { limited, NO_PROPS } from './hold';
import { takeBareLength, type FoundLength } from './lengths';
import type { OpenLine } from './line';
import type { Marks } from './marks';
import { firstUpper } from './meaning';
import { takeProps } from './props';
import type { Questions, Reading } from './reading';

/** Reads the rest of a line as a practice of a technique. */
export function readBreath(
  line: OpenLine,
  technique: Technique,
  counts: FoundCounts | undefined,
  countSeconds: Seconds | undefined,
  marks: Marks,
  lengths: FoundLength[],
  reading: Reading,
): Step {
  const step = breathFrom(technique, reading.newId());
  const breaths = lengths.find(({ kind }) => kind === 'breaths');
  const rounds = takeRounds(line) ?? breaths?.seconds;
  const timed = lengths.find(({ kind }) => kind === 'length');
  const rows = takeProps(line, undefined, (n) => `row-${n}`);
  const bare = timed || rounds !== undefined ? undefined : takeBareLength(line);
  const seconds = timed?.seconds ?? bare?.seconds;
  const practice = practiceWith(technique, { counts, rounds, countSeconds, seconds });
  return {
    ...step,
    ...marks.common,
    practice: practiceMs(practice) / 1000 <= PLAN_LIMITS.maxPlain ? practice : step.practice,
    ...(rows.length > 0 && { setUp: rows.map(({ row }) => row) }),
  };
}

/** Reads the rest of a line as a talk, a rest or a release. */
export function readPlain(
  line: OpenLine,
  kind: PlainStep['kind'],
  typed: string,
  marks: Marks,
  lengths: FoundLength[],
  reading: Reading,
): Step {
  const make = { talk: talkStep, rest: restStep, move: moveStep }[kind];
  const id = reading.newId();
  const usual = make(id);
  const name = typed === '' ? usual.name : firstUpper(typed);
  const remaining = lengths.some((length) => length.kind === 'remaining');
  const timed = lengths.find((length) => length.kind === 'length');
  const length = timed ?? (remaining ? undefined : takeBareLength(line));
  const seconds = length && limited(length.seconds, PLAN_LIMITS.maxPlain);
  const step = {
    ...make(id, name, seconds ?? usual.seconds),
    ...marks.common,
    ...(remaining && { takesRemaining: true }),
  };
  if (step.kind !== 'rest') return step;
  const noProps = line.takeMatch(NO_PROPS);
  const rows = takeProps(line, undefined, (n) => `row-${n}`);
  return { ...step, setUp: rows.length > 0 ? rows.map(({ row }) => row) : noProps ? [] : null };
}

export const BREATH_WORDS = /\b(?:breath\w*|pranayama|inhale|exhale|counts?|ratio)\b/u;

/** A breath that is counted but has no name: which technique counts like that. */
export function likeCounts(
  line: OpenLine,
  counts: FoundCounts,
  reading: Reading,
  questions: Questions,
): Technique | undefined {
  line.takeMatch(/^[\uE000\s]*(?:count(?:ed|ing)?\s+)?(?:breath(?:ing|work)?|pranayama)\b\s*:?/u, false);
  const techniques = reading.index.entries.flatMap(({ entry }) => (entry.kind === 'breath' ? [entry.entry] : []));
  const like = techniquesLike(counts, techniques).slice(0, 4);
  const [only] = like;
  if (!only) return undefined;
  const chosen = questions.choose(
    'Which technique?',
    like.map(({ id, names }) => ({ value: id, label: names.english })),
  );
  return like.find(({ id }) => id === chosen);
}
