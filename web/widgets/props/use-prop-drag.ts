import { onScopeDispose, shallowRef } from 'vue';
import type { CustomFace, PropKind } from '#core/props';

/** A kind of prop as it is taken in hand: its kind and, for a custom kind, how it lies. */
export interface HeldProp {
  kind: PropKind;
  face?: CustomFace | undefined;
}

/** A prop on its way from the tray, where the pointer is. */
export interface LiftedProp extends HeldProp {
  x: number;
  y: number;
}

const MOVED_PX = 4;

/**
 * Lifts a prop with the pointer and carries it: `over` hears where it is, `drop` that it is let go, `press` that it was
 * only pressed. Escape, or a pointer that is taken away, puts it back.
 */
export function usePropDrag(on: {
  over: (lifted: LiftedProp) => void;
  drop: (held: HeldProp) => void;
  press: (held: HeldProp) => void;
  back: () => void;
}) {
  const lifted = shallowRef<LiftedProp>();
  let stop = (): void => undefined;

  function lift(held: HeldProp, event: PointerEvent): void {
    if (event.button !== 0) return;
    // Without this a finger would scroll the page, and text would be marked.
    event.preventDefault();
    const [x0, y0] = [event.clientX, event.clientY];
    const abort = new AbortController();
    const listen = <K extends keyof WindowEventMap>(type: K, heard: (event: WindowEventMap[K]) => void) =>
      window.addEventListener(type, heard, { signal: abort.signal, capture: true });
    stop = () => {
      abort.abort();
      lifted.value = undefined;
    };
    listen('pointermove', ({ clientX: x, clientY: y }) => {
      if (!lifted.value && Math.hypot(x - x0, y - y0) < MOVED_PX) return;
      lifted.value = { ...held, x, y };
      on.over(lifted.value);
    });
    listen('pointerup', () => {
      const moved = lifted.value !== undefined;
      stop();
      if (moved) on.drop(held);
      else on.press(held);
    });
    const back = (): void => {
      stop();
      on.back();
    };
    listen('pointercancel', back);
    listen('keydown', (pressed) => {
      if (pressed.key !== 'Escape') return;
      pressed.stopPropagation();
      back();
    });
  }
  onScopeDispose(() => stop());
  return { lifted, lift };
}
