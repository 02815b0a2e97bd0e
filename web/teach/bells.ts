import type { BellKind } from '#core/timeline';

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

function strike(audio: AudioContext, out: AudioNode, hertz: number, loudness: number, at: number): OscillatorNode[] {
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

/** The bell of a session, made by Web Audio. It is silent until someone has touched the page. */
export function makeBells() {
  let audio: AudioContext | undefined;
  let master: GainNode | undefined;
  const scheduled = new Map<string, { at: number; tones: OscillatorNode[] }>();

  function context(): AudioContext | undefined {
    if (audio) return audio;
    if (typeof AudioContext === 'undefined') return undefined;
    audio = new AudioContext();
    master = audio.createGain();
    master.connect(audio.destination);
    return audio;
  }

  return {
    /** To be called from a touch or a key: browsers let no page sound before. */
    async wake(): Promise<boolean> {
      const here = context();
      if (here?.state === 'suspended') await here.resume().catch(() => undefined);
      return here?.state === 'running';
    },

    isAwake: (): boolean => audio?.state === 'running',

    setVolume(volume: number): void {
      context();
      if (audio && master) master.gain.setTargetAtTime(volume, audio.currentTime, 0.02);
    },

    /** Schedules a bell so many milliseconds ahead, once for its key. */
    schedule(key: string, kind: BellKind, inMs: number): void {
      if (!audio || !master || audio.state !== 'running' || scheduled.has(key)) return;
      const { hertz, strokes, loudness } = PATTERNS[kind];
      const at = audio.currentTime + Math.max(0, inMs) / 1000;
      const [here, out] = [audio, master];
      scheduled.set(key, { at, tones: strokes.flatMap((delay) => strike(here, out, hertz, loudness, at + delay)) });
    },

    /** Takes back every bell that has not begun to sound: the session was paused or changed. */
    cancelComing(): void {
      for (const [key, { at, tones }] of scheduled) {
        if (!audio || at <= audio.currentTime) continue;
        for (const tone of tones) tone.stop();
        scheduled.delete(key);
      }
    },

    close(): void {
      void audio?.close();
    },
  };
}

export type Bells = ReturnType<typeof makeBells>;
