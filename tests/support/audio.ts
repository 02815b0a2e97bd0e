/** One oscillator: its shape, when it begins and ends on the audio clock, in seconds, and how high it begins. */
export interface Tone {
  type: string;
  hertz: number;
  from: number;
  until: number;
}

/**
 * Puts a stand-in for Web Audio in place of the global, whose clock is `seconds`. It asks for what the real one asks
 * for: nothing may be set to begin in the past, and no curve may go to nothing. Returns every tone that was set.
 */
export function fakeAudio(seconds: () => number): Tone[] {
  const tones: Tone[] = [];
  class Param {
    value = 0;
    readonly #late = (at: number): this => {
      if (at < seconds() - 1e-6) throw new RangeError(`set ${seconds() - at} s too late`);
      return this;
    };
    setValueAtTime(value: number, at: number): this {
      this.value = value;
      return this.#late(at);
    }
    linearRampToValueAtTime = (_value: number, at: number): this => this.#late(at);
    setTargetAtTime = (_value: number, at: number): this => this.#late(at);
    exponentialRampToValueAtTime(value: number, at: number): this {
      if (value <= 0) throw new RangeError('a curve cannot go to nothing');
      return this.#late(at);
    }
  }
  const node = { connect: <T>(to: T): T => to };
  class Context {
    state: 'suspended' | 'running' | 'closed' = 'suspended';
    readonly destination = node;
    get currentTime(): number {
      return seconds();
    }
    resume(): Promise<void> {
      this.state = 'running';
      return Promise.resolve();
    }
    close(): Promise<void> {
      this.state = 'closed';
      return Promise.resolve();
    }
    createGain() {
      return { ...node, gain: new Param() };
    }
    createOscillator() {
      const frequency = new Param();
      const tone: Tone = { type: 'sine', hertz: 0, from: NaN, until: Infinity };
      return {
        ...node,
        type: 'sine',
        frequency,
        start(at: number) {
          [tone.type, tone.from, tone.hertz] = [this.type, at, frequency.value];
          tones.push(tone);
        },
        stop(at = seconds()) {
          if (at <= tone.from) tones.splice(tones.indexOf(tone), 1);
          tone.until = Math.min(tone.until, at);
        },
      };
    }
  }
  Object.defineProperty(globalThis, 'AudioContext', { value: Context, configurable: true });
  return tones;
}
