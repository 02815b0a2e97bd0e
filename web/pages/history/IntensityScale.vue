<script setup lang="ts">
import { computed } from 'vue';

/** How strong a hold was, from 0 to 10: marks that grow away from the middle, to the side that was held. */
const { label, side } = defineProps<{ label: string; side: 'left' | 'right' | 'both' }>();
const strength = defineModel<number | null>({ required: true });

const MOST = 10;
const marks = computed(() => {
  const up = Array.from({ length: MOST + 1 }, (_, n) => n);
  return side === 'left' ? up.reverse() : up;
});
const towards = computed(() => (side === 'left' ? -1 : 1));
/** Pressed again, a mark takes itself away. */
const take = (n: number): void => {
  strength.value = strength.value === n ? null : n;
};
const by = (step: number): void => {
  strength.value = Math.min(MOST, Math.max(0, (strength.value ?? (step > 0 ? -1 : 0)) + step));
};
const KEYS: Record<string, () => void> = {
  ArrowUp: () => by(1),
  ArrowDown: () => by(-1),
  ArrowRight: () => by(towards.value),
  ArrowLeft: () => by(-towards.value),
  Home: () => (strength.value = 0),
  End: () => (strength.value = MOST),
  Delete: () => (strength.value = null),
  Backspace: () => (strength.value = null),
};
function onKey(event: KeyboardEvent): void {
  const act = KEYS[event.key] ?? (/^\d$/.test(event.key) ? () => (strength.value = Number(event.key)) : undefined);
  if (!act || event.ctrlKey || event.metaKey || event.altKey) return;
  event.preventDefault();
  act();
}
</script>

<template>
  <span
    class="scale"
    :class="side"
    role="slider"
    tabindex="0"
    :aria-label="label"
    aria-valuemin="0"
    :aria-valuemax="MOST"
    :aria-valuenow="strength ?? undefined"
    :aria-valuetext="strength === null ? 'not rated' : `${strength} of 10`"
    @keydown="onKey"
  >
    <span
      v-for="n in marks"
      :key="n"
      class="mark"
      :class="{ on: strength !== null && n <= strength, here: n === strength }"
      :title="`${n} of 10`"
      @click="take(n)"
      ><i :style="{ height: `${6 + n * 1.4}px` }" /><b>{{
        n === strength || (strength === null && n % 5 === 0) ? n : ''
      }}</b></span
    >
  </span>
</template>

<style scoped>
.scale {
  display: inline-flex;
  border-radius: 3px;
  touch-action: manipulation;
}
.mark {
  display: flex;
  flex-direction: column;
  align-items: center;
  justify-content: flex-end;
  width: 24px;
  height: 38px;
  cursor: pointer;
}
i {
  width: 16px;
  border: 1px solid var(--line-strong);
  border-radius: 2px;
}
b {
  height: 16px;
  color: var(--ink-2);
  font: 400 12px/16px var(--text);
}
.here b {
  color: var(--ink);
  font-weight: 600;
}
.left .on i {
  border-color: var(--left);
  background: var(--left);
}
.right .on i {
  border-color: var(--right);
  background: var(--right);
}
.both .on i {
  border-color: var(--both);
  background: var(--both);
}
.mark:hover i {
  border-color: var(--ink);
}
</style>
