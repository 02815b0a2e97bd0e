import { watch } from 'vue';
import { useDemand } from '../../../state/demand';
import { useEditor } from '../../../state/editor';
import { useLibrary } from '../../../state/library';
import { useJob } from '../../../widgets/jobs/use-job';

/** Solutions for the steps of the open plan that need more props than its place has, by step id; in one thread for all. */
export function useSolutions(stepIds: () => readonly string[]) {
  const [editor, demand, library] = [useEditor(), useDemand(), useLibrary()];
  const { answer: solutions, trouble, ask } = useJob('propSolutions');
  watch(
    [() => editor.plan, () => demand.available, () => stepIds().join()],
    () => {
      const [{ plan }, { available, atWall }, ids] = [editor, demand, stepIds()];
      if (!plan || !available || ids.length === 0) return;
      void ask(plan, library.all, { stepIds: ids, candidates: library.positions, available, atWall });
    },
    { immediate: true },
  );
  return { solutions, trouble };
}
