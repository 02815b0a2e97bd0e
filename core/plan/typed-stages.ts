import type { Seconds } from '#core/numbers';
import { clockOfSeconds, inBreaths, parseBreaths, parseDuration } from '#core/time';
import type { HoldStep, Stage } from './step';

/** Stages as they were typed, or why they could not be read. */
export type ReadStages = { ok: true; stages: Stage[] } | { ok: false; reason: string };

const USUAL_BREATH = 6;
const EXAMPLE = 'upright 1:00, folded 3:00, turned 3 breaths';
/** A comma between two digits belongs to a number: 4,5 min. */
const BETWEEN = /\s*(?:;|→|\n|,(?!\d))\s*/;

type Length = Pick<Stage, 'length' | 'breathSeconds'>;

/** A length as it may stand after the name of a stage; undefined if it is none. */
function lengthIn(typed: string, breathSeconds: Seconds): Length | undefined {
  if (!/\d/.test(typed)) return undefined;
  const breaths = /breath|\bbr\b/i.test(typed) ? parseBreaths(typed, breathSeconds) : undefined;
  if (breaths !== undefined && breaths > 0) return { length: { kind: 'fixed', seconds: breaths }, breathSeconds };
  const read = parseDuration(typed, 'minutes');
  return read.ok && read.seconds > 0
    ? { length: { kind: 'fixed', seconds: read.seconds }, breathSeconds: null }
    : undefined;
}

const SHARES: Length = { length: { kind: 'share', weight: 1 }, breathSeconds: null };
/** Stands after the name of a stage that shares what is left, where the name itself ends like a length. */
const OPEN = /\s*(?:…|\.\.\.)$/;

/** The name of a stage, and its length where one stands after it. */
function stageIn(piece: string, breathSeconds: Seconds): { name: string; length: Length } {
  if (OPEN.test(piece)) return { name: piece.replace(OPEN, ''), length: SHARES };
  const words = piece.split(/\s+/);
  for (let at = 1; at < words.length; at++) {
    const length = lengthIn(words.slice(at).join(' '), breathSeconds);
    if (length) return { name: words.slice(0, at).join(' ').replace(/:$/, ''), length };
  }
  return { name: piece, length: SHARES };
}

/**
 * Reads the stages of a hold from one line: `upright 1:00, folded 3:00, turned 3 breaths`. A stage without a length
 * shares what is left. One that keeps its place and name keeps its props and its position. `newId` gives ids for new ones.
 */
export function readStages(
  typed: string,
  { stages, breathSeconds }: Pick<HoldStep, 'stages' | 'breathSeconds'>,
  newId: () => string,
): ReadStages {
  const pieces = typed
    .trim()
    .split(BETWEEN)
    .filter((piece) => piece !== '');
  const read: Stage[] = [];
  for (const [i, piece] of pieces.entries()) {
    if (lengthIn(piece, USUAL_BREATH)) return { ok: false, reason: `“${piece}” needs a name: ${EXAMPLE}.` };
    const before = stages[i];
    const { name, length } = stageIn(piece, before?.breathSeconds ?? breathSeconds ?? USUAL_BREATH);
    const kept = before?.name === name ? before : { id: newId(), position: null, setUp: null };
    read.push({ ...kept, name, ...length });
  }
  return { ok: true, stages: read };
}

/** The stages of a hold in one line, as they are typed. */
export function stagesAsTyped(stages: readonly Stage[]): string {
  return stages
    .map(({ name, length, breathSeconds }) => {
      if (length.kind === 'share') return stageIn(name, USUAL_BREATH).length === SHARES ? name : `${name} …`;
      const breaths = breathSeconds === null ? undefined : inBreaths(length.seconds, breathSeconds);
      return `${name} ${breaths ?? clockOfSeconds(length.seconds)}`;
    })
    .join(', ');
}
