import { computed, ref, watch } from 'vue';
import type { ToneKind } from '#core/breath';
import type { Cue } from '#core/run';
import type { BellKind } from '#core/timeline';
import { ringBell } from '../../../widgets/sound/bell';
import { USUAL_BELL, type BellSound } from '../../../state/bell-sound';
import { playTone } from '../../../widgets/sound/breath-tone';
import type { Sounds } from '../../../widgets/sound/sounds';
import type { Session } from '../use-session';

/** Sounds are scheduled this long before they are due, on the audio clock. */
const HORIZON_MS = 2500;
const PULSE_MS = 600;
const SHAKE_MS = 300;
/** In a rehearsal faster than this a breath is no more than a flutter: only its bells are rung. */
const FASTEST_TONES = 2;
const TONE = 'tone ';
const LEAVES_A_BREATH: ReadonlySet<string> = new Set(['paused', 'jumped', 'cut', 'ended']);
/** A bell this long overdue is still rung: the tick that should have seen it came a little late. */
const TICK_SLACK_MS = 400;

/**
 * Rings the bells of a session and sounds its breath, and pulses the light with the bells; what was due long ago is not
 * sounded late. `wanted` says which tones of the breath are on, `bell` how a bell sounds and whether a phone shakes
 * with it.
 */
export function useSounds(
  session: Session,
  sounds: Sounds,
  wanted: (kind: ToneKind) => boolean,
  bell: () => { sound: BellSound; shakes: boolean } = () => ({ sound: USUAL_BELL, shakes: false }),
) {
  const { clock } = session;
  const rungAt = ref(0);
  const awake = ref(false);
  /** Only the window that leads is heard. */
  const due = (): Exclude<Cue, { kind: 'prompt' }>[] =>
    !session.leading.value
      ? []
      : session
          .cuesFrom(session.now.value - TICK_SLACK_MS, HORIZON_MS * clock.speed.value + TICK_SLACK_MS)
          .filter((cue) => cue.kind !== 'prompt');

  watch(session.now, () => {
    awake.value = sounds.isAwake();
    for (const cue of due()) {
      const inMs = (cue.atMs - clock.now()) / clock.speed.value;
      if (cue.kind === 'bell') {
        sounds.schedule(cue.key, inMs, (audio, out, at) => ringBell(audio, out, cue.bell, at, bell().sound));
        if (inMs <= 0 && cue.atMs > rungAt.value) {
          rungAt.value = cue.atMs;
          if (bell().shakes && 'vibrate' in navigator) navigator.vibrate(SHAKE_MS);
        }
      } else if (wanted(cue.tone) && clock.speed.value <= FASTEST_TONES) {
        // A tone that has begun is shorter by what was missed of it, and ends when its phase does.
        const seconds = (cue.lengthMs / clock.speed.value + Math.min(0, inMs)) / 1000;
        sounds.schedule(`${TONE}${cue.key}`, inMs, (audio, out, at) => playTone(audio, out, cue.tone, at, seconds));
      }
    }
  });
  watch([clock.speed, session.leading], () => sounds.cancelComing());
  // Whatever changes the session changes when sounds are due; a breath that is paused or left falls silent, a bell fades.
  watch(session.local, (local) => {
    sounds.cancelComing();
    if (LEAVES_A_BREATH.has(local?.events.at(-1)?.kind ?? '')) sounds.silence((key) => key.startsWith(TONE));
  });

  const pulse = computed(() => session.now.value - rungAt.value < PULSE_MS * clock.speed.value);
  const silent = computed(() => !awake.value);
  function ring(kind: BellKind = 'start'): void {
    void sounds.wake().then(() => {
      sounds.schedule(`by hand ${Date.now()}`, 0, (audio, out, at) => ringBell(audio, out, kind, at, bell().sound));
      rungAt.value = clock.now();
    });
  }
  return { pulse, silent, ring };
}
