<script setup lang="ts">
/** Whether a prop lies along the mat or across it, chosen by two small drawings of a mat from above. */
const { lie } = defineProps<{ lie: 'lengthwise' | 'crosswise' }>();
const emit = defineEmits<{ choose: ['lengthwise' | 'crosswise'] }>();

const LIES = ['lengthwise', 'crosswise'] as const;
function onKey(event: KeyboardEvent): void {
  if (!event.key.startsWith('Arrow')) return;
  event.preventDefault();
  emit('choose', lie === 'lengthwise' ? 'crosswise' : 'lengthwise');
  const group = event.currentTarget as HTMLElement;
  requestAnimationFrame(() => group.querySelector<HTMLElement>('[aria-checked="true"]')?.focus());
}
</script>

<template>
  <span class="lies" role="radiogroup" aria-label="Lie" @keydown="onKey">
    <button
      v-for="name in LIES"
      :key="name"
      type="button"
      role="radio"
      :aria-checked="name === lie"
      :aria-label="name"
      :title="name"
      :tabindex="name === lie ? 0 : -1"
      @click="emit('choose', name)"
    >
      <svg width="26" height="16" viewBox="0 0 26 16" aria-hidden="true">
        <rect class="mat" x=".5" y="2.5" width="25" height="11" rx="1.5" />
        <rect v-if="name === 'lengthwise'" class="prop" x="6" y="5.5" width="14" height="5" rx="1" />
        <rect v-else class="prop" x="10.5" y="1" width="5" height="14" rx="1" />
      </svg>
    </button>
  </span>
</template>

<style scoped>
.lies {
  display: inline-flex;
}
button {
  padding: 4px 2px;
  border: 1px solid transparent;
  border-radius: 3px;
  background: none;
  cursor: pointer;
}
button[aria-checked='true'] {
  border-color: var(--ink);
}
.mat {
  fill: none;
  stroke: var(--line-strong);
}
.prop {
  fill: var(--p-bolster);
  stroke: var(--p-bolster-e);
}
@media (pointer: coarse) {
  button {
    min-width: 44px;
    min-height: 44px;
  }
}
</style>
