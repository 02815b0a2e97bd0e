import { nextTick, onMounted } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { breathFrom, holdFrom } from '#core/plan';
import { useEditor } from '../../../state/editor';
import { useIncomingSteps } from '../../../state/incoming-steps';
import { useLibrary } from '../../../state/library';
import { useSettings } from '../../../state/settings';
import { useUndoToast } from '../../../ui/use-undo-toast';
import { useAddStep } from './use-add-step';
import { useStepActions } from './use-step-actions';

/**
 * Adds what was sent to this plan from elsewhere: steps that were imported, at the end and as one step of undo; or the
 * library entry that an address asks for, at the place it names: `?add=legs-up-wall&at=3`. The address is plain again
 * afterwards, so that a reload adds nothing.
 */
export function useArrivingStep(onTrouble: (reason: string) => void, onAdded: () => void): void {
  const route = useRoute();
  const router = useRouter();
  const library = useLibrary();
  const settings = useSettings();
  const add = useAddStep();
  const editor = useEditor();
  const incoming = useIncomingSteps();
  const actions = useStepActions();
  const undoable = useUndoToast();

  onMounted(async () => {
    const imported = incoming.take(editor.id);
    if (imported.length > 0) {
      const [issue] = actions.insertAt(imported, editor.plan?.steps.length ?? 0);
      if (issue) return onTrouble(issue.reason);
      undoable(imported.length === 1 ? 'One step was added' : `${imported.length} steps were added`, () =>
        editor.undo(),
      );
      await nextTick();
      return onAdded();
    }
    const { add: wanted, at } = route.query;
    if (typeof wanted !== 'string') return;
    await router.replace({ path: route.path });
    // A custom entry, and how steps are taught here, may still be on their way.
    await Promise.all([library.ready(), settings.ready()]);
    const position = library.all.position(wanted);
    const technique = library.all.technique(wanted);
    const place = typeof at === 'string' && /^\d{1,3}$/.test(at) ? Number(at) : undefined;
    const trouble = position
      ? add((id, approach, where) => holdFrom(position, approach, id, where), place)
      : technique
        ? add((id) => breathFrom(technique, id), place)
        : 'The entry that was to be added is not in the library.';
    if (trouble) return onTrouble(trouble);
    await nextTick();
    onAdded();
  });
}
