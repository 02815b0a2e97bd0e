import { ref, shallowRef, watch, type Ref } from 'vue';
import type { Plan } from '#core/plan';
import { planClient } from '../client/documents';

/**
 * The document of the plan selected in a list; undefined until it has loaded, or if none is selected.
 */
export function useChosenPlan(id: Ref<string>) {
  const plan = shallowRef<Plan>();
  const trouble = ref('');
  watch(
    id,
    async (chosen) => {
      [plan.value, trouble.value] = [undefined, ''];
      if (chosen === '') return;
      try {
        const { document } = await planClient.at(chosen).read();
        // Another one was selected meanwhile.
        if (id.value === chosen) plan.value = document;
      } catch (error) {
        if (id.value === chosen) trouble.value = (error as Error).message;
      }
    },
    { immediate: true },
  );
  return { plan, trouble };
}
