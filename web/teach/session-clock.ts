import { readonly, ref, type Ref } from 'vue';

/** How fast a rehearsal can go. */
export const SPEEDS = [2, 10, 60] as const;

/** The clock a session is led by: that of the machine, or for a rehearsal one that goes faster. */
export interface SessionClock {
  /** Milliseconds since 1970 UTC. */
  now: () => number;
  /** Milliseconds of the clock for one of the machine's. */
  speed: Readonly<Ref<number>>;
  rehearsal: boolean;
  setSpeed: (speed: number) => void;
}

export const realClock: SessionClock = {
  now: () => Date.now(),
  speed: readonly(ref(1)),
  rehearsal: false,
  setSpeed: () => undefined,
};

/** A clock that begins now and goes faster; at another speed it goes on from where it is. */
export function rehearsalClock(atFirst: number): SessionClock {
  const speed = ref(atFirst);
  let [since, from] = [Date.now(), Date.now()];
  const now = (): number => Math.round(from + (Date.now() - since) * speed.value);
  function setSpeed(next: number): void {
    [from, since] = [now(), Date.now()];
    speed.value = next;
  }
  return { now, speed: readonly(speed), rehearsal: true, setSpeed };
}
