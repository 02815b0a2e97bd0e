/** Something that was scheduled and can be stopped. */
export type Sounding = Pick<OscillatorNode, 'stop'>;

/** Puts a sound on the audio clock at a moment in seconds. */
export type Play = (audio: BaseAudioContext, out: AudioNode, at: number) => Sounding[];

/**
 * Sounds made by Web Audio, scheduled ahead on its own clock so that no timer can delay them. Silent until someone has
 * touched the page.
 */
export function makeSounds() {
  let audio: AudioContext | undefined;
  let master: GainNode | undefined;
  const scheduled = new Map<string, { at: number; soundings: Sounding[] }>();

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

    /** Schedules a sound so many milliseconds ahead, once for its key. */
    schedule(key: string, inMs: number, play: Play): void {
      if (!audio || !master || audio.state !== 'running' || scheduled.has(key)) return;
      const at = audio.currentTime + Math.max(0, inMs) / 1000;
      scheduled.set(key, { at, soundings: play(audio, master, at) });
    },

    /** Takes back every sound that has not begun: what it was for was paused or changed. */
    cancelComing(): void {
      for (const [key, { at, soundings }] of scheduled) {
        if (!audio || at <= audio.currentTime) continue;
        for (const sounding of soundings) sounding.stop();
        scheduled.delete(key);
      }
    },

    /** Ends what sounds or was going to: all of it, or what was scheduled under keys that are meant. */
    silence(meant: (key: string) => boolean = () => true): void {
      for (const [key, { soundings }] of scheduled) {
        if (!meant(key)) continue;
        for (const sounding of soundings) sounding.stop();
        scheduled.delete(key);
      }
    },

    close(): void {
      void audio?.close();
    },
  };
}

export type Sounds = ReturnType<typeof makeSounds>;
