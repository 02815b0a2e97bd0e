import type { ToastMessageOptions } from 'primevue/toast';
import { useToast } from 'primevue/usetoast';

/** A message at the foot of the page, with a button that takes back what it speaks of. */
export interface UndoableMessage extends ToastMessageOptions {
  undo?: () => unknown;
}

/** How long there is to press Undo: longer than the usual few seconds, for those who read or move slowly. */
const LIFE_MS = 12_000;

/** Says what was done, and offers to undo it. */
export function useUndoToast(): (summary: string, undo: () => unknown) => void {
  const toast = useToast();
  return (summary, undo) => {
    const message: UndoableMessage = { severity: 'secondary', summary, life: LIFE_MS, undo };
    toast.add(message);
  };
}
