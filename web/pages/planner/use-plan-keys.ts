import { useEventListener } from '@vueuse/core';
import { duplicateStep, moveStepTo, setStepCommon } from '#core/plan';
import { newId } from '../../client/new-id';
import { belongsToControl, mayBeShortcut } from '../../ui/keys';
import { useUndoKeys } from '../../ui/use-undo-keys';
import { useEditor } from '../../state/editor';
import { useRemoveStep } from './use-remove-step';

interface Places {
  add: () => void;
  toFields: () => void;
  toList: () => void;
  inFields: (target: Node) => boolean;
  /** Whether that is the list of steps or the ribbon. */
  onSteps: (target: Node) => boolean;
}

/** The keys of the planner, as listed on `?`: those of the list and the ribbon. Controls and panels keep their own. */
export function usePlanKeys({ add, toFields, toList, inFields, onSteps }: Places): void {
  const editor = useEditor();
  const removeStep = useRemoveStep();

  function move(by: number): void {
    const [step, index] = [editor.selectedStep, editor.selectedIndex];
    if (!step || !editor.plan) return;
    const to = Math.max(0, Math.min(editor.plan.steps.length - 1, index + by));
    editor.edit(moveStepTo(step.id, to));
  }

  function remove(): void {
    if (editor.selectedStep) removeStep(editor.selectedStep.id);
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

  // What had the focus may be gone with the step.
  const keepFocus = (): void => void requestAnimationFrame(() => document.activeElement === document.body && toList());
  useUndoKeys(
    () => editor.undo(),
    () => editor.redo(),
    keepFocus,
  );

  useEventListener(window, 'keydown', (event: KeyboardEvent) => {
    if (event.defaultPrevented || !mayBeShortcut(event) || document.querySelector('[role="dialog"]')) return;
    const key = event.key.length === 1 ? event.key.toLowerCase() : event.key;
    if (key === 'Escape' && inFields(event.target as Node)) return toList();
    if (belongsToControl(event.target) || event.ctrlKey || event.metaKey) return;
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
    if (onSteps(event.target as Node) && onStep[key]) {
      event.preventDefault();
      onStep[key]();
      if (key !== 'Enter') requestAnimationFrame(toList);
    }
  });
}
