import { useEventListener } from '@vueuse/core';
import { belongsToControl, mayBeShortcut } from '../../ui/keys';
import { useUndoKeys } from '../../ui/use-undo-keys';
import { useEditor } from '../../state/editor';
import { useStepClipboard } from '../../state/step-clipboard';
import { useStepActions } from './steps/use-step-actions';

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
  const clipboard = useStepClipboard();
  const steps = useStepActions();

  const onStep: Record<string, () => void> = {
    d: steps.duplicate,
    l: steps.toggleLock,
    Delete: steps.remove,
    Backspace: steps.remove,
    Enter: toFields,
  };

  // What had the focus may be gone with the step.
  const keepFocus = (): void => void requestAnimationFrame(() => document.activeElement === document.body && toList());
  useUndoKeys(
    () => editor.undo(),
    () => editor.redo(),
    keepFocus,
  );

  const isOverlaid = (): boolean => document.querySelector('[role="dialog"]') !== null;

  useEventListener(window, 'keydown', (event: KeyboardEvent) => {
    if (event.defaultPrevented || !mayBeShortcut(event) || isOverlaid()) return;
    const key = event.key.length === 1 ? event.key.toLowerCase() : event.key;
    if (key === 'Escape' && inFields(event.target as Node)) return toList();
    if (belongsToControl(event.target)) return;
    if ((event.ctrlKey || event.metaKey) && key === 'a' && onSteps(event.target as Node)) {
      event.preventDefault();
      return editor.select(editor.plan?.steps.map(({ id }) => id) ?? []);
    }
    if (event.ctrlKey || event.metaKey) return;
    if (event.altKey) {
      const by = ({ ArrowUp: -1, ArrowDown: 1 } as const)[key];
      if (by === undefined) return;
      event.preventDefault();
      steps.move(by);
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

  /** The steps are meant, and not some text that is selected or a field. */
  const meansSteps = (event: ClipboardEvent): boolean =>
    !event.defaultPrevented &&
    !isOverlaid() &&
    event.target instanceof Node &&
    onSteps(event.target) &&
    (document.getSelection()?.isCollapsed ?? true);
  for (const kind of ['copy', 'cut'] as const) {
    useEventListener(document, kind, (event) => {
      if (!event.clipboardData || !meansSteps(event) || editor.selection.length === 0) return;
      event.preventDefault();
      clipboard.write(event.clipboardData, steps.chosen());
      if (kind === 'copy') return;
      steps.remove();
      requestAnimationFrame(toList);
    });
  }
  useEventListener(document, 'paste', (event) => {
    if (!event.clipboardData || !meansSteps(event)) return;
    const pasted = clipboard.read(event.clipboardData);
    if (!pasted) return;
    event.preventDefault();
    steps.insert(pasted);
    requestAnimationFrame(toList);
  });
}
