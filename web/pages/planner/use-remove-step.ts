import { invertEdit, removeStep } from '#core/plan';
import { useEditor } from '../../state/editor';
import { useUndoToast } from '../../ui/use-undo-toast';

/**
 * Deletes a step and says so, with a button that brings it back to its place, whatever was changed since: undo would
 * take back the latest change instead.
 */
export function useRemoveStep(): (id: string) => void {
  const editor = useEditor();
  const undoable = useUndoToast();
  return (id) => {
    const { id: planId, plan } = editor;
    const step = plan?.steps.find((one) => one.id === id);
    if (!plan || !step) return;
    const edit = removeStep(id);
    if (editor.edit(edit).length > 0) return;
    const back = invertEdit(plan, edit);
    undoable(`“${step.name}” was deleted`, () => {
      // Another plan may have been opened meanwhile.
      if (editor.id === planId && editor.edit(back).length === 0) editor.selected = id;
    });
  };
}
