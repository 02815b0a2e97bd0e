import type { Ms } from '#core/numbers';
import { strokesMs } from './lengths';
import type { BreathPhase } from './program';
import { partOfBreathMs } from './steps';

/**
 * A sound of the breath: the in-breath rises, the out-breath falls, a hold is quiet; pumps and pulses are short ticks;
 * quiet breathing begins with one soft touch. A count is one tick of the metronome.
 */
export type ToneKind = 'in' | 'out' | 'holdFull' | 'holdEmpty' | 'stroke' | 'pulse' | 'ease' | 'count';

/** A tone: when it begins, from the beginning of its phase, and how long it is. Milliseconds. */
export interface Tone {
  kind: ToneKind;
  atMs: Ms;
  lengthMs: Ms;
}

type Untimed<T> = T extends unknown ? Omit<T, 'startMs' | 'endMs'> : never;
/** The part of a phase that decides how it sounds. */
export type TonedPhase = Untimed<BreathPhase>;

const TICK_MS = 60;
const EASE_MS = 600;

/** So many ticks spread evenly over a length, the first at its beginning. */
const spread = (kind: ToneKind, count: number, lengthMs: Ms): Tone[] =>
  Array.from({ length: count }, (_, i) => ({ kind, atMs: Math.round((i * lengthMs) / count), lengthMs: TICK_MS }));

/**
 * The tones of one phase that lasts `lengthMs` milliseconds, which is its own length unless a session made it another.
 * Strokes keep their pace; pulses are spread over the hold.
 */
export function tonesOf(phase: TonedPhase, lengthMs: Ms): Tone[] {
  switch (phase.kind) {
    case 'in':
    case 'out': {
      const { steps } = phase;
      if (!steps) return [{ kind: phase.kind, atMs: 0, lengthMs }];
      const partMs = partOfBreathMs(phase);
      return Array.from({ length: steps.parts }, (_, i): Tone => {
        return { kind: phase.kind, atMs: Math.round(i * (partMs + steps.pauseMs)), lengthMs: Math.round(partMs) };
      }).filter(({ atMs }) => atMs < lengthMs);
    }
    case 'holdFull':
    case 'holdEmpty':
      return [{ kind: phase.kind, atMs: 0, lengthMs }];
    case 'retention': {
      const hold: Tone = { kind: phase.held === 'full' ? 'holdFull' : 'holdEmpty', atMs: 0, lengthMs };
      return phase.pulses > 0 ? spread('pulse', phase.pulses, lengthMs) : [hold];
    }
    case 'strokes': {
      const strokes = Array.from({ length: phase.count }, (_, i): Tone => {
        return { kind: 'stroke', atMs: strokesMs(i, phase.perMinute), lengthMs: TICK_MS };
      });
      return strokes.filter(({ atMs }) => atMs < lengthMs);
    }
    case 'ownPace':
    case 'recover':
    case 'quiet':
      return [{ kind: 'ease', atMs: 0, lengthMs: Math.min(EASE_MS, lengthMs) }];
  }
}

/**
 * The ticks of a metronome in one phase that lasts `lengthMs` milliseconds: one at the beginning of each count. A phase
 * that is not counted has none.
 */
export function ticksOf(phase: TonedPhase, lengthMs: Ms): Tone[] {
  if (!('countMs' in phase)) return [];
  const { countMs } = phase;
  return Array.from({ length: Math.ceil(lengthMs / countMs) }, (_, i) => {
    return { kind: 'count', atMs: i * countMs, lengthMs: TICK_MS };
  });
}
