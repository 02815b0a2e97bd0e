import { computed } from 'vue';
import { compileTimeline } from '#core/timeline';
import { TEMPLATES } from '#library';
import { useLibrary } from '../../state/library';

/** The timeline of an example that has everything: both sides, breath, rest. It shows how a class is drawn. */
export function useExample() {
  const library = useLibrary();
  return computed(() => {
    const plan = TEMPLATES.find(({ id }) => id === 'yin')?.plan;
    return plan && compileTimeline(plan, library.all);
  });
}
