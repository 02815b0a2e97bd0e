import type { PlanEdit } from '#core/plan';
import { useEditor } from '../../state/editor';

/** Makes an edit from a field: undefined when it was accepted, else the reason to show beside the field. */
export function useEdit(): (edit: PlanEdit) => string | undefined {
  const editor = useEditor();
  return (edit) => editor.edit(edit)[0]?.reason;
}
