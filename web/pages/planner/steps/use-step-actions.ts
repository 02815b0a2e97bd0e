import {
  chosenSteps,
  duplicateSteps,
  insertSteps,
  invertEdit,
  removeSteps,
  shiftSteps,
  toggleLocks,
  type Step,
} from '#core/plan';
import type { FieldIssue } from '#core/document';
import { newId } from '../../../client/new-id';
import { useEditor } from '../../../state/editor';
import { useStepClipboard } from '../../../state/step-clipboard';
import { useUndoToast } from '../../../ui/use-undo-toast';

export type StepActions = ReturnType<typeof useStepActions>;

/** What can be done with the chosen steps of the open plan: each is one step of undo. */
export function useStepActions() {
  const editor = useEditor();
  const clipboard = useStepClipboard();
  const undoable = useUndoToast();
  const chosen = (): Step[] => chosenSteps(editor.plan?.steps ?? [], editor.selection);

  /**
   * Deletes them and says so, with a button that brings them back to their places, whatever was changed since: undo
   * would take back the latest change instead.
   */
  function remove(): void {
    const { id: planId, plan, selection } = editor;
    const [first, ...others] = chosen();
    if (!plan || !first) return;
    const edit = removeSteps(selection);
    if (editor.edit(edit).length > 0) return;
    const back = invertEdit(plan, edit);
    undoable(others.length > 0 ? `${others.length + 1} steps were deleted` : `“${first.name}” was deleted`, () => {
      // Another plan may have been opened meanwhile.
      if (editor.id === planId && editor.edit(back).length === 0) editor.select(selection);
    });
  }

  /** Copies of them stand right after them, and are chosen in their place. */
  function duplicate(): void {
    const { plan, selection } = editor;
    if (!plan || selection.length === 0) return;
    const newIds = selection.map(() => newId());
    if (editor.edit(duplicateSteps(plan, selection, newIds)).length === 0) editor.select(newIds);
  }

  function toggleLock(): void {
    const { plan, selection } = editor;
    if (plan && selection.length > 0) editor.edit(toggleLocks(plan, selection));
  }

  function move(by: -1 | 1): void {
    const { plan, selection } = editor;
    if (plan && selection.length > 0) editor.edit(shiftSteps(plan, selection, by));
  }

  /** Puts steps in after the one that is shown, or at the end, under ids of their own. */
  const insert = (steps: readonly Step[]): unknown =>
    insertAt(steps, editor.selectedIndex < 0 ? (editor.plan?.steps.length ?? 0) : editor.selectedIndex + 1);
  /** Puts steps in at a place, under ids of their own; what is wrong where they do not fit. */
  function insertAt(steps: readonly Step[], at: number): readonly FieldIssue[] {
    const fresh = steps.map((step) => ({ ...step, id: newId() }));
    if (fresh.length === 0) return [];
    const issues = editor.edit(insertSteps(fresh, at));
    if (issues.length === 0) editor.select(fresh.map(({ id }) => id));
    return issues;
  }

  /** Copies them without a key: from a menu. */
  function copy(): void {
    const write = (event: ClipboardEvent): void => {
      event.preventDefault();
      if (event.clipboardData) clipboard.write(event.clipboardData, chosen());
    };
    // The modern clipboard asks before it takes a custom type; a copy command does not.
    document.addEventListener('copy', write, { once: true, capture: true });
    document.execCommand('copy');
    document.removeEventListener('copy', write, { capture: true });
  }

  return { chosen, remove, duplicate, toggleLock, move, insert, insertAt, copy, paste: () => insert(clipboard.last) };
}
