import type { BellKind } from '#core/timeline';
import { USUAL_BELL, type BellSort, type BellSound } from '../../state/bell-sound';
import type { Sounding } from './sounds';

/** One partial: frequency over the ground tone, loudness, seconds until it has faded. */
type Partial = readonly [ratio: number, loudness: number, seconds: number];

/**
 * A small struck bowl, a wooden block, a soft tone: their partials, and how long each takes to begin. Measured typical.
 */
const SORTS: Record<BellSort, { partials: readonly Partial[]; attack: number; over: number }> = {
  bowl: {
    partials: [
      [1, 1, 5.5],
      [2.71, 0.5, 3.2],
      [5.15, 0.24, 1.7],
      [8.4, 0.1, 0.8],
    ],
    attack: 0.008,
    over: 1,
  },
  wood: {
    partials: [
      [1, 1, 0.22],
      [2.42, 0.45, 0.12],
      [4.1, 0.2, 0.07],
    ],
    attack: 0.002,
    over: 2,
  },
  soft: {
    partials: [
      [1, 1, 3.4],
      [2, 0.16, 2.2],
    ],
    attack: 0.18,
    over: 1,
  },
};

/** Each bell of a session: ground tone in hertz and, in seconds from the first stroke, when it is struck. */
const PATTERNS: Record<BellKind, { hertz: number; strokes: readonly number[]; loudness: number }> = {
  start: { hertz: 294, strokes: [0], loudness: 1 },
  half: { hertz: 440, strokes: [0], loudness: 0.45 },
  soon: { hertz: 392, strokes: [0], loudness: 0.35 },
  switch: { hertz: 330, strokes: [0, 0.9], loudness: 0.85 },
  end: { hertz: 220, strokes: [0], loudness: 1 },
  props: { hertz: 523, strokes: [0, 0.35, 0.7], loudness: 0.4 },
};

/** Rings a bell at a moment of the audio clock, in seconds. */
export function ringBell(
  audio: BaseAudioContext,
  out: AudioNode,
  kind: BellKind,
  at: number,
  sound: BellSound = USUAL_BELL,
): Sounding[] {
  const { hertz, strokes, loudness } = PATTERNS[kind];
  const { partials, attack, over } = SORTS[sound.sort];
  return strokes.flatMap((delay) =>
    partials.map(([ratio, part, seconds]) => {
      const from = at + delay;
      const tone = audio.createOscillator();
      const gain = audio.createGain();
      tone.frequency.value = hertz * over * sound.pitch * ratio;
      gain.gain.setValueAtTime(0, from);
      gain.gain.linearRampToValueAtTime(0.22 * part * loudness, from + attack);
      gain.gain.exponentialRampToValueAtTime(0.0001, from + attack + seconds * sound.length);
      tone.connect(gain).connect(out);
      tone.start(from);
      tone.stop(from + attack + seconds * sound.length);
      return tone;
    }),
  );
}
