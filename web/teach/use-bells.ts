import { computed, ref, watch } from 'vue';
import type { Cue } from '#core/run';
import type { BellKind } from '#core/timeline';
import type { Bells } from './bells';
import type { Session } from './use-session';

/** Bells are scheduled this long before they sound, on the audio clock. */
const HORIZON_MS = 1500;
const PULSE_MS = 600;
/** A bell this long overdue is still rung: the tick that should have seen it came a little late. */
const TICK_SLACK_MS = 400;

/** Rings the bells of a session and pulses the light with them; a bell that was due long ago is not rung late. */
export function useBells(session: Session, bells: Bells) {
  const rungAt = ref(0);
  const awake = ref(false);
  const dueBells = (): Extract<Cue, { kind: 'bell' }>[] =>
    session
      .cuesFrom(session.now.value - TICK_SLACK_MS, HORIZON_MS + TICK_SLACK_MS)
      .filter((cue) => cue.kind === 'bell');

  watch(session.now, (now) => {
    awake.value = bells.isAwake();
    for (const cue of dueBells()) {
      bells.schedule(cue.key, cue.bell, cue.atMs - now);
      if (cue.atMs <= now) rungAt.value = Math.max(rungAt.value, cue.atMs);
    }
  });
  // Whatever changes the session changes when bells are due.
  watch(session.local, () => bells.cancelComing());

  const pulse = computed(() => session.now.value - rungAt.value < PULSE_MS);
  const silent = computed(() => !awake.value);
  function ring(kind: BellKind = 'start'): void {
    void bells.wake().then(() => {
      bells.schedule(`by hand ${Date.now()}`, kind, 0);
      rungAt.value = Date.now();
    });
  }
  return { pulse, silent, ring };
}
