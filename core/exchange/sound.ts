import { ticksOf, tonesOf, type ToneKind, type TonedPhase } from '#core/breath';
import type { Ms } from '#core/numbers';
import type { BellKind, Timeline } from '#core/timeline';

/** Samples in a millisecond of a sound file: a whole number, so that every moment is one of them. */
export const SAMPLES_A_MS = 48;

/** What is heard: a bell, or a tone of the breath of some length. */
export type Sound = { kind: 'bell'; bell: BellKind } | { kind: 'tone'; tone: ToneKind; lengthMs: Ms };

/** A sound at a moment of a class, in milliseconds from its beginning. */
export interface SoundEvent {
  atMs: Ms;
  sound: Sound;
}

/** Which sounds are wanted. */
export interface WantedSounds {
  bells: boolean;
  /** The tones that go with the breath. */
  tones: boolean;
  /** A tick for every count. */
  counts: boolean;
}

/** Every sound of a plan that is led without a change, in order of time. */
export function soundsOf(timeline: Timeline, wanted: WantedSounds): SoundEvent[] {
  const ofPhase = (phase: TonedPhase, startMs: Ms, lengthMs: Ms): SoundEvent[] =>
    [...(wanted.tones ? tonesOf(phase, lengthMs) : []), ...(wanted.counts ? ticksOf(phase, lengthMs) : [])].map(
      ({ kind, atMs, lengthMs: soundsMs }) => ({
        atMs: startMs + atMs,
        sound: { kind: 'tone', tone: kind, lengthMs: soundsMs },
      }),
    );
  const bells = wanted.bells ? timeline.bells : [];
  return [
    ...bells.map(({ atMs, kind }): SoundEvent => ({ atMs, sound: { kind: 'bell', bell: kind } })),
    ...timeline.phases.flatMap((phase) =>
      'round' in phase ? ofPhase(phase, phase.startMs, phase.endMs - phase.startMs) : [],
    ),
    ...timeline.breaths.flatMap(({ startMs, phases }) =>
      phases.flatMap((phase) => ofPhase(phase, startMs + phase.startMs, phase.endMs - phase.startMs)),
    ),
  ].sort((one, other) => one.atMs - other.atMs);
}

/** Gives each different sound a key: what has the same key sounds the same. */
export const soundKey = (sound: Sound): string =>
  sound.kind === 'bell' ? sound.bell : `${sound.tone} ${sound.lengthMs}`;

/** A clip that begins so many samples after something. */
interface Placed {
  clip: number;
  at: number;
}
/** Packets without silence between them: where they lie in the file, and the clips in them, from their first sample. */
export interface Stretch {
  firstPacket: number;
  packets: number;
  clips: Placed[];
  /** Stretches with the same key have the same samples. */
  key: string;
}

/**
 * Divides a recording into stretches that sound, with silence between them, so that silence is written without being
 * computed, and what is heard twice is computed once.
 * @param sounds clips by their index, and the sample each begins at, in any order
 * @param lengths the samples of each clip
 * @param packetSamples how many samples a packet of the encoder has
 * @param tailPackets how many packets a sound may spill over behind its last one
 */
export function stretchesOf(
  sounds: readonly Placed[],
  lengths: readonly number[],
  packetSamples: number,
  tailPackets = 1,
): Stretch[] {
  const stretches: Stretch[] = [];
  let [first, end, clips]: [number, number, Placed[]] = [0, 0, []];
  const close = (): void => {
    if (clips.length === 0) return;
    const from = first * packetSamples;
    const placed = clips.map(({ clip, at }) => ({ clip, at: at - from }));
    const key = `${end - first}: ${placed.map(({ clip, at }) => `${clip}@${at}`).join(' ')}`;
    stretches.push({ firstPacket: first, packets: end - first, clips: placed, key });
  };
  for (const { clip, at } of [...sounds].sort((one, other) => one.at - other.at || one.clip - other.clip)) {
    const begins = Math.floor(at / packetSamples);
    const ends = Math.ceil((at + (lengths[clip] ?? 0)) / packetSamples) + tailPackets;
    if (begins > end || clips.length === 0) {
      close();
      [first, end, clips] = [begins, ends, []];
    }
    clips.push({ clip, at });
    end = Math.max(end, ends);
  }
  close();
  return stretches;
}

/** Mixes the clips of a stretch into its samples, from −1 to 1; what would be louder is cut. */
export function mixed(
  { packets, clips }: Stretch,
  samples: readonly Float32Array[],
  packetSamples: number,
): Float32Array {
  const out = new Float32Array(packets * packetSamples);
  for (const { clip, at } of clips) {
    const from = samples[clip] ?? new Float32Array();
    const until = Math.min(from.length, out.length - at);
    for (let i = 0; i < until; i++) out[at + i] = (out[at + i] ?? 0) + (from[i] ?? 0);
  }
  for (let i = 0; i < out.length; i++) out[i] = Math.max(-1, Math.min(1, out[i] ?? 0));
  return out;
}
