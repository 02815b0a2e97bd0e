import { addStep, withSeatBefore, type Step } from '#core/plan';
import type { Approach, ClassWhere } from '#core/catalogue';
import { asTaughtHere } from '#core/settings';
import { USUAL_SENTENCES } from '#library/usual-sentences';
import { newId } from '../../../client/new-id';
import { useEditor } from '../../../state/editor';
import { useLibrary } from '../../../state/library';
import { useSettings } from '../../../state/settings';
import { beginningWith } from './suggest';

type MakeStep = (id: string, approach: Approach, where: ClassWhere | null) => Step;

/** Adds new steps to the open plan, as they are taught here. */
export function useAddStep() {
  const editor = useEditor();
  const library = useLibrary();
  const settings = useSettings();
  void settings.ready();

  /**
   * Puts a new step in at a place counted from 0, after the selected one if none is given, and selects it. The reason
   * why it could not be added; empty if it was.
   */
  return function add(make: MakeStep, place?: number): string {
    const { plan } = editor;
    if (!plan) return '';
    const { approach, where, steps } = plan;
    const { school, usual } = settings.current;
    const afterSelected = editor.selectedIndex < 0 ? steps.length : editor.selectedIndex + 1;
    const at = Math.min(place ?? afterSelected, steps.length);
    const id = newId();
    const made = asTaughtHere(make(id, approach, where), library.all, school, USUAL_SENTENCES);
    // A plan that has rules of its own begins with the side they name.
    const fresh = plan.rules || usual.firstSide === 'byDate' ? made : beginningWith(made, usual.firstSide);
    const [issue] = editor.edit(addStep(withSeatBefore(fresh, steps, at), at));
    if (issue) return issue.reason;
    editor.selected = id;
    return '';
  };
}
