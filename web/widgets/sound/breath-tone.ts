import type { ToneKind } from '#core/breath';
import type { Sounding } from './sounds';

/** How a tone of the breath sounds: where it begins and ends in hertz, how loud, and how long at most, in seconds. */
interface Voice {
  fromHertz: number;
  toHertz: number;
  loudness: number;
  most?: number;
}

/** In rises by a fifth and out falls by it; a hold is hardly there, full above and empty below. */
const VOICES: Record<ToneKind, Voice> = {
  in: { fromHertz: 196, toHertz: 294, loudness: 0.16 },
  out: { fromHertz: 294, toHertz: 196, loudness: 0.16 },
  holdFull: { fromHertz: 294, toHertz: 294, loudness: 0.035 },
  holdEmpty: { fromHertz: 147, toHertz: 147, loudness: 0.045 },
  stroke: { fromHertz: 520, toHertz: 390, loudness: 0.2 },
  pulse: { fromHertz: 390, toHertz: 330, loudness: 0.14 },
  count: { fromHertz: 880, toHertz: 840, loudness: 0.06 },
  ease: { fromHertz: 247, toHertz: 247, loudness: 0.1, most: 0.6 },
};

const ATTACK = 0.03;
/** A tone has faded this long before its phase ends, so that the next one is heard to begin. */
const GAP = 0.06;

/** Sounds a tone of the breath from a moment of the audio clock on; both in seconds. */
export function playTone(
  audio: BaseAudioContext,
  out: AudioNode,
  kind: ToneKind,
  at: number,
  seconds: number,
): Sounding[] {
  const { fromHertz, toHertz, loudness, most = seconds } = VOICES[kind];
  const end = at + Math.max(0.05, Math.min(seconds, most));
  const attack = Math.min(ATTACK, (end - at) / 4);
  const fade = Math.max(at + attack, end - Math.max(GAP, Math.min(0.5, (end - at) / 3)));
  const silent = Math.max(fade + 0.005, end - Math.min(GAP, (end - at) / 4));
  const tone = audio.createOscillator();
  const gain = audio.createGain();
  tone.type = 'triangle';
  tone.frequency.setValueAtTime(fromHertz, at);
  tone.frequency.linearRampToValueAtTime(toHertz, end);
  gain.gain.setValueAtTime(0, at);
  gain.gain.linearRampToValueAtTime(loudness, at + attack);
  gain.gain.setValueAtTime(loudness, fade);
  gain.gain.linearRampToValueAtTime(0, silent);
  tone.connect(gain).connect(out);
  tone.start(at);
  tone.stop(end);
  return [tone];
}
