import { useEventListener } from '@vueuse/core';

/** Ctrl Z takes back, Ctrl Shift Z does again; while the page is open. */
export function useUndoKeys(undo: () => void, redo: () => void): void {
  useEventListener(window, 'keydown', (event: KeyboardEvent) => {
    if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z') return;
    event.preventDefault();
    if (event.shiftKey) redo();
    else undo();
  });
}
