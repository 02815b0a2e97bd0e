<script setup lang="ts">
import { watchDebounced } from '@vueuse/core';
import { computed } from 'vue';
import { priceInWords, type Price } from '#core/fit';
import { takeFit, type HoldStep, type RestStep } from '#core/plan';
import { useJob } from '../../../widgets/jobs/use-job';
import { useEditor } from '../../../state/editor';
import { useFitOptions } from '../../../state/fit-options';
import { useLibrary } from '../../../state/library';

/**
 * What a minute more of a step costs in others, and what a minute less gives them; each can be done as one step of
 * undo.
 */
const { step } = defineProps<{ step: HoldStep | RestStep }>();
const editor = useEditor();
const library = useLibrary();
const fitOptions = useFitOptions();
const job = useJob('price');

const MINUTE = 60;
watchDebounced(
  [() => editor.plan, () => step.id],
  () => {
    if (!editor.plan) return;
    const options = fitOptions.of(editor.id, editor.plan);
    void job.ask(editor.plan, library.all, { stepId: step.id, by: [MINUTE, -MINUTE], options });
  },
  { debounce: 200, immediate: true },
);
const offers = computed(() =>
  (job.answer.value ?? []).map((price, i) => {
    const by = i === 0 ? MINUTE : -MINUTE;
    return { by, price, says: editor.plan ? priceInWords(editor.plan, price, by) : '' };
  }),
);
function take(price: Price): void {
  if (price.kind !== 'costs') return;
  editor.seal();
  editor.edit(takeFit([...price.own, ...price.others]));
  editor.seal();
}
</script>

<template>
  <section class="give small" aria-label="Effect on other steps">
    <p v-for="{ by, price, says } in offers" :key="by">
      <span :class="{ quiet: price.kind === 'none' }">{{ says }}</span>
      <button
        v-if="price.kind === 'costs'"
        type="button"
        class="link-button"
        :aria-label="`Do this: ${says}`"
        @click="take(price)"
      >
        Do this
      </button>
    </p>
  </section>
</template>

<style scoped>
.give {
  min-height: 44px;
  padding: 4px 0;
  border-bottom: 1px solid var(--line);
}
p {
  display: flex;
  gap: 12px;
  justify-content: space-between;
  align-items: baseline;
}
button {
  flex: none;
  min-height: 24px;
}
</style>
