import { useEventListener } from '@vueuse/core';
import { duplicateStep, moveStepTo, removeStep, setStepCommon } from '#core/plan';
import { newId } from '../stores/browser';
import { useEditor } from '../stores/editor';

interface Places {
  add: () => void;
  toFields: () => void;
  toList: () => void;
  inFields: (target: Node) => boolean;
}

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof Element && target.closest('input, textarea, select, [contenteditable]') !== null;

/** The keys of the planner, as listed on `?`. Single letters work where nothing is being typed. */
export function usePlanKeys({ add, toFields, toList, inFields }: Places): void {
  const editor = useEditor();

  function move(by: number): void {
    const [step, index] = [editor.selectedStep, editor.selectedIndex];
    if (!step || !editor.plan) return;
    const to = Math.max(0, Math.min(editor.plan.steps.length - 1, index + by));
    editor.edit(moveStepTo(step.id, to));
  }

  function remove(): void {
    const step = editor.selectedStep;
    if (!step) return;
    editor.edit(removeStep(step.id));
  }

  function duplicate(): void {
    if (!editor.selectedStep) return;
    const id = newId();
    if (editor.edit(duplicateStep(editor.selectedStep.id, id)).length === 0) editor.selected = id;
  }

  function lock(): void {
    const step = editor.selectedStep;
    if (step) editor.edit(setStepCommon(step.id, { locked: !step.locked }));
  }

  const onStep: Record<string, () => void> = {
    d: duplicate,
    l: lock,
    Delete: remove,
    Backspace: remove,
    Enter: toFields,
  };

  useEventListener(window, 'keydown', (event: KeyboardEvent) => {
    if (event.defaultPrevented || document.querySelector('[role="dialog"]')) return;
    const key = event.key.length === 1 ? event.key.toLowerCase() : event.key;
    if ((event.ctrlKey || event.metaKey) && (key === 'z' || key === 'y')) {
      // A field's own undo of what is being typed would fight with the plan's: the plan's wins.
      event.preventDefault();
      if (document.activeElement instanceof HTMLElement && isTyping(document.activeElement))
        document.activeElement.blur();
      if (key === 'y' || event.shiftKey) editor.redo();
      else editor.undo();
      // What had the focus may be gone with the step.
      requestAnimationFrame(() => document.activeElement === document.body && toList());
      return;
    }
    if (key === 'Escape' && inFields(event.target as Node)) return toList();
    if (isTyping(event.target) || event.ctrlKey || event.metaKey) return;
    if (event.altKey) {
      const by = { ArrowUp: -1, ArrowDown: 1 }[key];
      if (by === undefined) return;
      event.preventDefault();
      move(by);
      return toList();
    }
    if (key === 'a') {
      event.preventDefault();
      return add();
    }
    const inList = (event.target as Element).closest('[role="listbox"], [role="group"]') !== null;
    if (inList && onStep[key]) {
      event.preventDefault();
      onStep[key]();
      if (key !== 'Enter') requestAnimationFrame(toList);
    }
  });
}
