<script setup lang="ts">
import { computed } from 'vue';
import { weekName } from '#core/course';
import { useCourses } from '../../state/courses';

/** The course whose week a plan is, as a way there; nothing where it is of none. */
const { planId, weeks = false } = defineProps<{
  planId: string;
  /** Goes to the week in the planner, and not to the course. */
  weeks?: boolean;
}>();
const store = useCourses();
void store.ready();
const found = computed(() => {
  for (const { id, document } of store.courses ?? []) {
    const made = document.plans.find((one) => one.planId === planId);
    if (!made) continue;
    const to = weeks ? `/courses/${id}/weeks/${made.week}` : `/courses/${id}`;
    return { to, words: `${weekName(document, made.week)} of ${document.title}` };
  }
  return undefined;
});
</script>

<template>
  <RouterLink v-if="found" :to="found.to" class="link-button">{{
    found.words.charAt(0).toUpperCase() + found.words.slice(1)
  }}</RouterLink>
</template>
