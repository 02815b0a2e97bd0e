<script setup lang="ts" generic="T extends string">
import SelectButton from 'primevue/selectbutton';
import { computed, nextTick, useId, useTemplateRef } from 'vue';

/**
 * A few choices side by side, one of them chosen: a group of radio buttons, in which arrow keys move the choice. A slot
 * draws them instead of words.
 */
const { options, label } = defineProps<{ options: readonly { value: T; label: string }[]; label: string }>();
defineSlots<{ default?: (props: { value: T }) => unknown }>();
const chosen = defineModel<T>({ required: true });
const id = useId();
const group = useTemplateRef<HTMLElement>('group');

const at = computed(() => options.findIndex(({ value }) => value === chosen.value));
interface Drawn {
  context: { active: boolean };
}
/** One stop of the Tab key for the whole group, as people expect of radio buttons. */
const radios = computed(() => ({
  root: { role: 'radiogroup' },
  pcToggleButton: {
    root: ({ context: { active } }: Drawn) => ({
      role: 'radio',
      'aria-checked': active,
      'aria-pressed': null,
      tabindex: active || at.value < 0 ? 0 : -1,
    }),
  },
}));

const STEPS: Readonly<Record<string, number>> = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 };
async function onKey(event: KeyboardEvent): Promise<void> {
  const by = STEPS[event.key];
  if (by === undefined) return;
  event.preventDefault();
  const next = options[(at.value + by + options.length) % options.length];
  if (next) chosen.value = next.value;
  await nextTick();
  group.value?.querySelector<HTMLElement>('[aria-checked="true"]')?.focus();
}
</script>

<template>
  <span ref="group" class="choices" :class="{ drawn: $slots.default }" @keydown="onKey">
    <span :id="id" class="sr-only">{{ label }}</span>
    <SelectButton
      v-model="chosen"
      :options="[...options]"
      option-value="value"
      option-label="label"
      data-key="value"
      size="small"
      :allow-empty="false"
      :aria-labelledby="id"
      :pt="radios"
    >
      <template v-if="$slots.default" #option="{ option }">
        <span class="sr-only">{{ option.label }}</span>
        <span aria-hidden="true" :title="option.label"><slot :value="option.value" /></span>
      </template>
    </SelectButton>
  </span>
</template>

<style scoped>
.choices {
  display: inline-flex;
  min-width: 0;
}
.choices :deep(.p-selectbutton) {
  flex-wrap: wrap;
}
/* What is drawn keeps its own colours: the chosen one has a frame. */
.drawn :deep(.p-togglebutton) {
  border-color: transparent;
  border-radius: 3px;
  background: none;
  color: inherit;
}
.drawn :deep(.p-togglebutton[aria-checked='true']) {
  border-color: var(--ink);
  box-shadow: inset 0 0 0 1px var(--ink);
}
.drawn :deep(.p-togglebutton-content) {
  padding: 3px;
}
</style>
