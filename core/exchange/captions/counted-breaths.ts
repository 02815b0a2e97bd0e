import type { CaptionLanguage } from './language';
import type { Mark } from './marks';
import type { SpokenPhase } from './spoken-phases';
import { BREATH_NAMED_MS } from './worth';

type PhaseMark = Extract<Mark, { kind: 'phase' }>;
interface Round {
  first: PhaseMark;
  in: number;
  out: number;
  holdsFull: boolean;
  holdsEmpty: boolean;
}

/** A single count may be anything; from the second on it is a breath that is led. */
const MIN_ROUNDS = 2;
/** Less than a name. */
const WEIGHT = 0.7;
const MIN_NAME_WEIGHT = 0.4;

/** The rounds that were counted: from an in-breath to the next one, each with how far it was counted. */
function countedRounds(marks: readonly Mark[]): Round[] {
  const rounds: Round[] = [];
  let before: SpokenPhase['kind'] = 'out';
  for (const mark of marks) {
    if (mark.kind !== 'phase') continue;
    const { kind, counted } = mark.phase;
    const round = rounds.at(-1);
    if (kind === 'in') rounds.push({ first: mark, in: counted, out: 0, holdsFull: false, holdsEmpty: false });
    else if (kind === 'out' && round) round.out ||= counted;
    else if (round && before === 'in') round.holdsFull = true;
    else if (round) round.holdsEmpty = true;
    if (kind !== 'hold') before = kind;
  }
  return rounds.filter((round) => round.in > 0 && round.out > 0);
}

/**
 * Breaths that are led by their counts alone, as marks that may be added to the others: where two rounds are counted
 * and no technique was named before them, the one that is counted so.
 */
export function countedBreaths(marks: readonly Mark[], { countedBreaths: rows }: CaptionLanguage): Mark[] {
  const namedMs = marks.flatMap((mark) =>
    mark.kind === 'name' && mark.weight > MIN_NAME_WEIGHT && mark.entries.some(({ kind }) => kind === 'breath')
      ? [mark.atMs]
      : [],
  );
  const found: Mark[] = [];
  const rounds = countedRounds(marks);
  for (const [i, { first }] of rounds.entries()) {
    const known = [...namedMs, ...found.map(({ atMs }) => atMs)];
    if (known.some((ms) => Math.abs(first.atMs - ms) < BREATH_NAMED_MS)) continue;
    const led = rounds.slice(i, i + MIN_ROUNDS);
    if (led.length < MIN_ROUNDS || led.some((round) => round.first.atMs - first.atMs > BREATH_NAMED_MS)) continue;
    const [holdsFull, holdsEmpty] = [led.some((round) => round.holdsFull), led.some((round) => round.holdsEmpty)];
    const held = holdsFull ? (holdsEmpty ? 'both' : 'full') : holdsEmpty ? 'empty' : 'never';
    const isSame = led.every((round) => round.out === round.in);
    const isLonger = led.every((round) => round.out > round.in);
    const row = rows.find(
      (one) => one.held === held && (one.out === undefined || (one.out === 'same' ? isSame : isLonger)),
    );
    if (!row) continue;
    const { from, to, atMs } = first;
    found.push({
      ...{ kind: 'name', from, to, atMs, weight: WEIGHT },
      entries: [{ id: row.technique, kind: 'breath', share: 1 }],
    });
  }
  return found;
}
