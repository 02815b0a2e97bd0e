<script setup lang="ts">
import { computed } from 'vue';
import { APPROACH_LABELS, APPROACHES, type Position } from '#core/catalogue';
import { clockOfSeconds } from '#core/time';
import WorksOn from '../../../widgets/positions/WorksOn.vue';

/** What the library says of a position: what it aims at, how long it is usually held, what it works on. */
const { position } = defineProps<{ position: Position }>();

const usual = computed(() =>
  APPROACHES.flatMap((approach) => {
    const usually = position.defaults[approach];
    if (!usually) return [];
    const { seconds, minSeconds, maxSeconds } = usually;
    return [
      {
        label: APPROACH_LABELS[approach],
        says: `${clockOfSeconds(seconds)}, from ${clockOfSeconds(minSeconds)} to ${clockOfSeconds(maxSeconds)}`,
      },
    ];
  }),
);
</script>

<template>
  <section>
    <p v-if="position.aims">{{ position.aims }}</p>
    <WorksOn :areas="position.areas" />
    <dl class="small">
      <template v-for="{ label, says } in usual" :key="label">
        <dt>{{ label }}</dt>
        <dd>{{ says }}</dd>
      </template>
    </dl>
    <p v-if="position.stronger.words" class="small"><strong>Stronger:</strong> {{ position.stronger.words }}</p>
    <RouterLink class="link-button small" :to="`/library/${position.id}`">Open in the library</RouterLink>
  </section>
</template>

<style scoped>
section {
  padding: 6px 0 8px;
}
dl {
  display: grid;
  grid-template-columns: max-content 1fr;
  gap: 0 14px;
  margin: 6px 0;
}
dt {
  font-weight: 600;
}
dd {
  margin: 0;
}
</style>
