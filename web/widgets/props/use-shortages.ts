import { computed } from 'vue';
import { useDemand } from '../../state/demand';
import { useEditor } from '../../state/editor';
import { stepTrouble, type StepTrouble } from './need-words';

/** What the plan's place lacks for each step that it lacks something for, in words; empty if no place is chosen. */
export function useShortages() {
  const editor = useEditor();
  const demand = useDemand();
  return computed(() => {
    const found = new Map<number, StepTrouble>();
    const { plan } = editor;
    if (!plan || !demand.place) return found;
    for (const [index, step] of plan.steps.entries()) {
      const trouble = stepTrouble(step, demand.momentsOfStep(index), demand.place);
      if (trouble) found.set(index, trouble);
    }
    return found;
  });
}
