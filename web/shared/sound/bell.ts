import type { BellKind } from '#core/timeline';
import type { Sounding } from './sounds';

/** Partials of a small struck bowl: frequency over the ground tone, loudness, seconds until it has faded. */
const PARTIALS = [
  [1, 1, 5.5],
  [2.71, 0.5, 3.2],
  [5.15, 0.24, 1.7],
  [8.4, 0.1, 0.8],
] as const;

/** Each bell of a session: ground tone in hertz and, in seconds from the first stroke, when it is struck. */
const PATTERNS: Record<BellKind, { hertz: number; strokes: readonly number[]; loudness: number }> = {
  start: { hertz: 294, strokes: [0], loudness: 1 },
  half: { hertz: 440, strokes: [0], loudness: 0.45 },
  switch: { hertz: 330, strokes: [0, 0.9], loudness: 0.85 },
  end: { hertz: 220, strokes: [0], loudness: 1 },
};

function strike(audio: BaseAudioContext, out: AudioNode, hertz: number, loudness: number, at: number): Sounding[] {
  return PARTIALS.map(([ratio, part, seconds]) => {
    const tone = audio.createOscillator();
    const gain = audio.createGain();
    tone.frequency.value = hertz * ratio;
    gain.gain.setValueAtTime(0, at);
    gain.gain.linearRampToValueAtTime(0.22 * part * loudness, at + 0.008);
    gain.gain.exponentialRampToValueAtTime(0.0001, at + seconds);
    tone.connect(gain).connect(out);
    tone.start(at);
    tone.stop(at + seconds);
    return tone;
  });
}

/** Rings a bell at a moment of the audio clock, in seconds. */
export function ringBell(audio: BaseAudioContext, out: AudioNode, kind: BellKind, at: number): Sounding[] {
  const { hertz, strokes, loudness } = PATTERNS[kind];
  return strokes.flatMap((delay) => strike(audio, out, hertz, loudness, at + delay));
}
