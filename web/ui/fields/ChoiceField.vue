<script setup lang="ts" generic="T extends string">
/** A few choices side by side, one of them chosen; arrow keys move between them. A slot draws them instead of words. */
const { options, label } = defineProps<{ options: readonly { value: T; label: string }[]; label: string }>();
defineSlots<{ default?: (props: { value: T }) => unknown }>();
const chosen = defineModel<T>({ required: true });

function step(by: number): void {
  const at = options.findIndex(({ value }) => value === chosen.value);
  const next = options[(at + by + options.length) % options.length];
  if (next) chosen.value = next.value;
}
function onKey(event: KeyboardEvent): void {
  const by = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key];
  if (by === undefined) return;
  event.preventDefault();
  step(by);
  const group = event.currentTarget as HTMLElement;
  requestAnimationFrame(() => group.querySelector<HTMLElement>('[aria-checked="true"]')?.focus());
}
</script>

<template>
  <span class="choices" :class="{ drawn: $slots.default }" role="radiogroup" :aria-label="label" @keydown="onKey">
    <button
      v-for="{ value, label: text } in options"
      :key="value"
      type="button"
      role="radio"
      :aria-checked="value === chosen"
      :aria-label="$slots.default ? text : undefined"
      :title="$slots.default ? text : undefined"
      :tabindex="value === chosen ? 0 : -1"
      @click="chosen = value"
    >
      <slot :value="value">{{ text }}</slot>
    </button>
  </span>
</template>

<style scoped>
.choices {
  display: inline-flex;
  border: 1px solid var(--line-strong);
  border-radius: 4px;
  overflow: hidden;
}
button {
  min-height: 26px;
  padding: 0 9px;
  border: 0;
  background: none;
  font-size: 14px;
  cursor: pointer;
}
button[aria-checked='true'] {
  background: var(--ink);
  color: var(--paper);
  font-weight: 600;
}
button:focus-visible {
  outline-offset: -2px;
}
.drawn {
  border-color: transparent;
  overflow: visible;
}
.drawn button {
  padding: 3px;
  border: 1px solid transparent;
  border-radius: 3px;
}
.drawn button[aria-checked='true'] {
  border-color: var(--ink);
  background: none;
}
@media (pointer: coarse) {
  button {
    min-height: 44px;
  }
}
</style>
