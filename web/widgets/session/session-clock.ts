import { readonly, ref, type Ref } from 'vue';

/** How fast a rehearsal can go. */
export const SPEEDS = [2, 10, 60] as const;

/** The clock a session is led by: that of the machine, or for a rehearsal one that goes faster. */
export interface SessionClock {
  /** Milliseconds since 1970 UTC, as the session counts them. */
  now: () => number;
  /** The same moment as the machine's clock shows it, which may have been set since. */
  wall: (ms: number) => number;
  /** Milliseconds of the clock for one of the machine's. */
  speed: Readonly<Ref<number>>;
  rehearsal: boolean;
  setSpeed: (speed: number) => void;
  /** To be asked at every tick: whether the machine's clock was set since, and by how many milliseconds. */
  setBy: () => number;
  /** How much of the machine's clock is left out of the session in total. */
  leaveOut: (inAllMs: number) => void;
  leftOutMs: () => number;
  /** Goes by what another device says the clock of the session shows now. */
  sync: (nowMs: number) => void;
}

/** Below this, what the clock is off is corrected in silence: clocks are kept in step over a network. */
const STEP_MS = 2000;
/** A gap from here on is taken for a clock that was set, not for a machine that slept. */
const TOO_LONG_A_SLEEP_MS = 45 * 60_000;

/**
 * The clock of the machine, held steady: between two ticks it goes by the time since the page was opened, which nobody
 * sets. A gap in which the machine slept is time that went by; a clock that was set back, or far ahead, is left out.
 * `leftOutMs` is what was left out of this session before.
 */
export function steadyClock(leftOutMs = 0): SessionClock {
  let [wallMs, sinceMs] = [Date.now(), performance.now()];
  let outMs = leftOutMs;
  const steady = (): number => Math.round(wallMs + performance.now() - sinceMs);
  return {
    now: () => steady() - outMs,
    wall: (ms) => ms + outMs,
    speed: readonly(ref(1)),
    rehearsal: false,
    setSpeed: () => undefined,
    setBy() {
      const offMs = Date.now() - steady();
      [wallMs, sinceMs] = [Date.now(), performance.now()];
      const wasSet = offMs <= -STEP_MS || offMs >= TOO_LONG_A_SLEEP_MS;
      if (wasSet) outMs += offMs;
      return wasSet ? offMs : 0;
    },
    leaveOut(inAllMs) {
      outMs = inAllMs;
    },
    leftOutMs: () => outMs,
    sync(nowMs) {
      const aheadMs = steady() - outMs - Math.round(nowMs);
      if (Math.abs(aheadMs) >= STEP_MS) outMs += aheadMs;
    },
  };
}

/** A clock that begins now and goes faster; at another speed it continues from where it is. */
export function rehearsalClock(atFirst: number): SessionClock {
  const speed = ref(atFirst);
  let [since, from] = [Date.now(), Date.now()];
  const now = (): number => Math.round(from + (Date.now() - since) * speed.value);
  function setSpeed(next: number): void {
    [from, since] = [now(), Date.now()];
    speed.value = next;
  }
  return {
    now,
    wall: (ms) => ms,
    speed: readonly(speed),
    rehearsal: true,
    setSpeed,
    setBy: () => 0,
    leaveOut: () => undefined,
    leftOutMs: () => 0,
    sync: () => undefined,
  };
}
