import { SAMPLES_A_MS, soundKey, type Sound, type SoundEvent } from '#core/exchange';
import type { BellSound } from '../../state/bell-sound';
import { ringBell } from './bell';
import { playTone } from './breath-tone';

const SAMPLE_RATE = SAMPLES_A_MS * 1000;
/** A bell has faded after so many seconds, however long it is made to ring. */
const BELL_SECONDS = 14;
/** Nobody hears what is below this. */
const SILENT = 0.0005;

/** Without what is too soft to be heard at its end. */
function trimmed(samples: Float32Array): Float32Array {
  let end = samples.length;
  while (end > 0 && Math.abs(samples[end - 1] ?? 0) < SILENT) end--;
  return samples.slice(0, end);
}

async function rendered(sound: Sound, bell: BellSound): Promise<Float32Array> {
  const seconds = sound.kind === 'bell' ? BELL_SECONDS : sound.lengthMs / 1000 + 0.1;
  const audio = new OfflineAudioContext(1, Math.ceil(seconds * SAMPLE_RATE), SAMPLE_RATE);
  if (sound.kind === 'bell') ringBell(audio, audio.destination, sound.bell, 0, bell);
  else playTone(audio, audio.destination, sound.tone, 0, sound.lengthMs / 1000);
  return trimmed((await audio.startRendering()).getChannelData(0));
}

/** Sounds as samples: each different one once, and where each of them begins, counted in samples. */
export interface Clips {
  clips: Float32Array[];
  sounds: { clip: number; at: number }[];
  /** Until the last of them has faded. */
  endSample: number;
}

/** Renders the sounds of a class, each different one once. */
export async function clipsOf(events: readonly SoundEvent[], bell: BellSound): Promise<Clips> {
  const indices = new Map<string, number>();
  const different: Sound[] = [];
  const sounds = events.map(({ atMs, sound }) => {
    const key = soundKey(sound);
    const clip = indices.get(key) ?? different.push(sound) - 1;
    indices.set(key, clip);
    return { clip, at: Math.round(atMs * SAMPLES_A_MS) };
  });
  const clips: Float32Array[] = [];
  for (const sound of different) clips.push(await rendered(sound, bell));
  const endSample = sounds.reduce((end, { clip, at }) => Math.max(end, at + (clips[clip]?.length ?? 0)), 0);
  return { clips, sounds, endSample };
}
