import { watchDebounced } from '@vueuse/core';
import { computed, type Ref } from 'vue';
import { FORECAST } from '#core/jobs';
import type { Plan } from '#core/plan';
import { useLibrary } from '../../state/library';
import { usePaces } from '../../state/paces';
import { useJob } from './use-job';

const AFTER_MS = 350;

/** When the open plan would end, worked out anew a moment after it was changed. */
export function useForecast(plan: Ref<Plan | undefined>) {
  const library = useLibrary();
  const paces = usePaces();
  const job = useJob('forecast');
  // A run that was led meanwhile is learned from as well.
  void paces.load();

  watchDebounced(
    [plan, () => paces.runs],
    () => {
      const [now, runs] = [plan.value, paces.runs];
      if (now && runs && now.steps.length > 0) void job.ask(now, library.all, { runs, ...FORECAST });
    },
    { debounce: AFTER_MS, immediate: true },
  );
  const forecast = computed(() => (plan.value?.steps.length ? job.answer.value?.forecast : undefined));
  return {
    forecast,
    paces: computed(() => job.answer.value?.paces),
    trouble: computed(() => paces.trouble || job.trouble.value),
  };
}
