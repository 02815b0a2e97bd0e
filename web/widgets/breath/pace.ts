import {
  feltInWords,
  LOCK_WORDS,
  OUT_WORDS,
  soundInWords,
  stepOfBreath,
  THROUGH_WORDS,
  type BreathPart,
  type BreathPlace,
  type BreathPractice,
  type Quarter,
  type TonedPhase,
} from '#core/breath';
import type { Ms } from '#core/numbers';
import { clockOfMs } from '#core/time';

const QUARTER_TITLES: Record<Quarter, string> = {
  in: 'In',
  holdFull: 'Hold full',
  out: 'Out',
  holdEmpty: 'Hold empty',
};

/** A breath phase as one word or two: `In`, `Hold empty`, `Own pace`. */
export function breathWord(phase: TonedPhase): string {
  switch (phase.kind) {
    case 'ownPace':
      return 'Own pace';
    case 'strokes':
      return 'Pumps';
    case 'retention':
      return phase.held === 'full' ? 'Hold full' : 'Hold empty';
    case 'recover':
      return 'Recover';
    case 'quiet':
      return 'Quiet breathing';
    default:
      return QUARTER_TITLES[phase.kind];
  }
}

/** The word at a moment of a phase: as `breathWord`, but of an interrupted breath its part, or that it pauses. */
export function paceWord(phase: TonedPhase, intoMs: Ms): string {
  if (!('counts' in phase) || !phase.steps) return breathWord(phase);
  const { step, of, pausing } = stepOfBreath(phase, intoMs);
  return pausing ? 'Pause' : `${breathWord(phase)}, ${step} of ${of}`;
}

/** The nostril or the mouth of a counted in- or out-breath; empty for the nose, and for holds. */
export const throughWord = (phase: TonedPhase): string =>
  (phase.kind === 'in' || phase.kind === 'out') && phase.through !== 'nose' ? THROUGH_WORDS[phase.through] : '';

/**
 * The number that is shown at a moment of a phase: the count of a counted breath, the stroke, the seconds of a hold
 * that is as long as easy; of everything else the time that is still to come. Milliseconds in; text out.
 */
export function paceNumber(phase: TonedPhase, intoMs: Ms, lengthMs: Ms): string {
  const left = clockOfMs(Math.ceil(Math.max(0, lengthMs - intoMs) / 1000) * 1000);
  switch (phase.kind) {
    case 'ownPace':
    case 'recover':
    case 'quiet':
      return left;
    case 'strokes':
      return String(Math.min(phase.count, Math.floor((intoMs * phase.perMinute) / 60_000) + 1));
    case 'retention':
      return phase.asLongAsEasy ? clockOfMs(Math.floor(intoMs / 1000) * 1000) : left;
    default: {
      if (!phase.steps) return String(Math.min(Math.ceil(phase.counts), Math.floor(intoMs / phase.countMs) + 1));
      return String(Math.floor(stepOfBreath(phase, intoMs).intoMs / phase.countMs) + 1);
    }
  }
}

/** What is to be done in a phase besides breathing: its sound, its locks, its pulses, how it is paced. */
export function paceDetail(phase: TonedPhase, part: BreathPart | undefined): string {
  const sound = soundInWords(part);
  const locks = part && 'locks' in part ? part.locks.map((lock) => LOCK_WORDS[lock]).join(', ') : '';
  switch (phase.kind) {
    case 'in':
    case 'out': {
      const direction =
        phase.kind === 'out' && part?.kind === 'cycle' && part.outDirection ? OUT_WORDS[part.outDirection] : '';
      return [throughWord(phase), direction, sound].filter(Boolean).join(', ');
    }
    case 'holdFull':
    case 'holdEmpty':
      return locks;
    case 'ownPace':
      return [`${phase.cycles} ${phase.cycles === 1 ? 'breath' : 'breaths'}, as they come`, sound]
        .filter(Boolean)
        .join(', ');
    case 'strokes':
      return `${phase.count} at ${phase.perMinute} a minute`;
    case 'retention': {
      const pulses = phase.pulses > 0 ? `${phase.pulses} ${phase.pulses === 1 ? 'pulse' : 'pulses'}` : '';
      return [phase.asLongAsEasy ? 'as long as it is easy' : '', locks, pulses].filter(Boolean).join(', ');
    }
    case 'recover':
      return phase.cycles === null ? 'let it come and go' : `${phase.cycles} quiet breaths`;
    case 'quiet':
      return '';
  }
}

/**
 * The half in which a breath is on the stage: left and right by nostril and way; neither while the full hold crosses.
 */
export function paceHalf(phase: TonedPhase, direction: 1 | -1): 'left' | 'right' | 'none' {
  if (phase.kind === 'in') return direction === 1 ? 'left' : 'right';
  if (phase.kind === 'out' || phase.kind === 'holdEmpty') return direction === 1 ? 'right' : 'left';
  return 'none';
}

/** The part of a practice that a phase belongs to. */
export const partOf = (
  { sets }: BreathPractice,
  { set, part }: Pick<TonedPhase, 'set' | 'part'>,
): BreathPart | undefined => sets[set]?.parts[part];

/** Where a breath is felt, in words; empty if it is said nowhere. */
export const placeWord = feltInWords;

/**
 * Where a breath is felt at a moment: its place; of a wave the place it has come to, by the share from 0 to 1 of the
 * breath that has moved. The out-breath takes the wave back, unless it says where it begins.
 */
export function placeNow(part: BreathPart | undefined, phase: TonedPhase, moved: number): BreathPlace | null {
  if (part?.kind !== 'cycle' || !part.wave) return part && 'place' in part ? part.place : null;
  const { wave, outDirection } = part;
  const upwards = wave.indexOf('belly') <= wave.length / 2;
  const fromStart = outDirection === undefined ? false : (outDirection === 'fromBelow') === upwards;
  const back = phase.kind === 'out' && !fromStart;
  const way = back ? wave.toReversed() : wave;
  if (phase.kind === 'holdFull') return wave.at(-1) ?? null;
  if (phase.kind !== 'in' && phase.kind !== 'out') return null;
  return way[Math.min(way.length - 1, Math.floor(moved * way.length))] ?? null;
}
