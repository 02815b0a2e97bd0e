import { useEventListener } from '@vueuse/core';
import { nextTick } from 'vue';

const COMMITTING = new Set(['Enter', 'ArrowUp', 'ArrowDown']);

type TextBox = HTMLInputElement | HTMLTextAreaElement;
const textBoxOf = (target: EventTarget | null): TextBox | undefined =>
  target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement ? target : undefined;

/**
 * Ctrl Z undoes, Ctrl Shift Z and Ctrl Y redo, while the page is open and no dialog lies over it. In a field whose text
 * is not part of the document yet, or was refused, these keys are the field's own, so that no field shows what the
 * document does not have. `after` is called once a step was undone or redone.
 */
export function useUndoKeys(undo: () => void, redo: () => void, after: () => void = () => undefined): void {
  /** What each field held when it was last the same as the document. */
  const committed = new WeakMap<TextBox, string>();
  function settle(event: Event): void {
    const box = textBoxOf(event.target);
    if (box) void nextTick(() => box.getAttribute('aria-invalid') !== 'true' && committed.set(box, box.value));
  }
  useEventListener(window, 'focusin', settle);
  useEventListener(window, 'change', settle);
  useEventListener(window, 'keydown', (event: KeyboardEvent) => {
    if (COMMITTING.has(event.key)) settle(event);
    if (event.defaultPrevented || !(event.ctrlKey || event.metaKey) || event.altKey) return;
    const key = event.key.toLowerCase();
    if ((key !== 'z' && key !== 'y') || document.querySelector('[role="dialog"]')) return;
    const box = textBoxOf(event.target);
    if (box && (committed.get(box) ?? box.value) !== box.value) return;
    event.preventDefault();
    if (key === 'y' || event.shiftKey) redo();
    else undo();
    if (box) void nextTick(() => committed.set(box, box.value));
    after();
  });
}
