<script setup lang="ts">
import { computed } from 'vue';
import { median } from '#core/numbers';
import { steadiness, type MeasuredPart } from '#core/breath';

/** The single values of one part as columns, their median as a line, and how steady they are in words. */
const {
  part,
  title,
  values,
  isLeftOut = () => false,
  canToggle = false,
} = defineProps<{
  part: MeasuredPart;
  title: string;
  /** All values in seconds, also those left out. */
  values: readonly number[];
  isLeftOut?: (part: MeasuredPart, index: number) => boolean;
  canToggle?: boolean;
}>();
const emit = defineEmits<{ toggle: [index: number] }>();

const HEIGHT = 46;
const included = computed(() => values.filter((_, i) => !isLeftOut(part, i)));
const most = computed(() => Math.max(1, ...values));
const middle = computed(() => median(included.value) ?? 0);
const word = computed(() => (included.value.length > 1 ? steadiness(included.value).word : 'once'));
const y = (seconds: number): number => HEIGHT - (seconds / most.value) * HEIGHT;
const inWords = (seconds: number): string => seconds.toFixed(1);
</script>

<template>
  <section v-if="values.length > 0" :aria-label="title">
    <h3>{{ title }}</h3>
    <p>
      <span class="numeral">{{ inWords(middle) }}</span> s <span class="small quiet">{{ word }}</span>
    </p>
    <div class="columns">
      <span class="median" :style="{ top: `${y(middle)}px` }" />
      <button
        v-for="(seconds, i) in values"
        :key="i"
        type="button"
        :disabled="!canToggle"
        :class="{ out: isLeftOut(part, i) }"
        :aria-pressed="!isLeftOut(part, i)"
        :aria-label="`${title} ${i + 1}: ${inWords(seconds)} seconds${isLeftOut(part, i) ? ', left out' : ''}`"
        :title="canToggle ? 'Leave out or include again' : undefined"
        @click="emit('toggle', i)"
      >
        <span class="column" :style="{ height: `${HEIGHT - y(seconds)}px` }" />
        <span class="small">{{ inWords(seconds) }}</span>
      </button>
    </div>
  </section>
</template>

<style scoped>
h3 {
  font: 600 14.5px/20px var(--text);
}
.numeral {
  font-size: 26px;
  line-height: 30px;
}
.columns {
  display: flex;
  position: relative;
  gap: 2px;
  align-items: flex-end;
}
button {
  display: flex;
  flex-direction: column;
  align-items: center;
  justify-content: flex-end;
  width: 34px;
  height: 64px;
  padding: 0;
  border: 0;
  background: none;
  cursor: pointer;
}
button:disabled {
  color: inherit;
  cursor: default;
}
.column {
  width: 14px;
  background: var(--breath);
}
.out .column {
  background: none;
  outline: 1px dashed var(--ink-3);
}
.out .small {
  text-decoration: line-through;
}
.median {
  position: absolute;
  right: 0;
  left: 0;
  border-top: 1.5px dashed var(--ink-2);
  pointer-events: none;
}
</style>
