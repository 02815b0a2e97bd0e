<script setup lang="ts" generic="T extends string">
/** Several of a closed list, each on or off. */
const {
  label,
  options,
  chosen,
  problem = '',
} = defineProps<{
  label: string;
  options: readonly { value: T; label: string }[];
  chosen: readonly T[];
  problem?: string;
}>();
const emit = defineEmits<{ choose: [chosen: T[]] }>();

function toggle(value: T): void {
  const on = chosen.includes(value);
  // In the order of the list, whatever the order of choosing.
  emit(
    'choose',
    options.map((option) => option.value).filter((one) => (one === value ? !on : chosen.includes(one))),
  );
}
</script>

<template>
  <div class="chips" role="group" :aria-label="label">
    <button
      v-for="{ value, label: words } in options"
      :key="value"
      type="button"
      :aria-pressed="chosen.includes(value)"
      @click="toggle(value)"
    >
      {{ words }}
    </button>
    <p v-if="problem" class="caution small" role="alert">{{ problem }}</p>
  </div>
</template>

<style scoped>
p {
  flex-basis: 100%;
}
</style>
