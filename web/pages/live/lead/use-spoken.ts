import { useEventListener } from '@vueuse/core';
import { ref, watch } from 'vue';
import type { Session } from '../use-session';

/** A prompt this long overdue is not spoken any more: it stands on the screen. */
const LATE_MS = 3000;

/** Whether this machine has a voice: known at once, or when its voices have been loaded. */
export function useVoice() {
  const voices = (): number => ('speechSynthesis' in globalThis ? speechSynthesis.getVoices().length : 0);
  const has = ref(voices() > 0);
  if ('speechSynthesis' in globalThis)
    useEventListener(globalThis.speechSynthesis, 'voiceschanged', () => (has.value = voices() > 0));
  return has;
}

/**
 * Speaks the prompts of a session as they are due, each once, where that is wanted; they stand on the screen all the
 * same.
 */
export function useSpoken(session: Session, wanted: () => boolean): void {
  const spoken = new Set<string>();
  watch(session.now, (now) => {
    if (!wanted() || !session.leading.value || !('speechSynthesis' in globalThis)) return;
    for (const cue of session.cuesFrom(now - LATE_MS, LATE_MS)) {
      if (cue.kind !== 'prompt' || spoken.has(cue.key)) continue;
      spoken.add(cue.key);
      globalThis.speechSynthesis.speak(new SpeechSynthesisUtterance(cue.text));
    }
  });
  // What was being said belongs to what was left.
  watch(session.local, (local) => {
    const last = local?.events.at(-1)?.kind ?? '';
    const isLeft = ['paused', 'jumped', 'cut', 'ended'].includes(last);
    if (isLeft && 'speechSynthesis' in globalThis) speechSynthesis.cancel();
  });
}
