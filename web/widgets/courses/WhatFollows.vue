<script setup lang="ts">
import { computed } from 'vue';
import type { Course, Follows } from '#core/course';
import JobProgress from '../jobs/JobProgress.vue';
import { followsInWords } from './follows-words';

/** What becomes of the weeks of a course when it is changed, or how far that is worked out. */
const { course, follows, share, trouble } = defineProps<{
  course: Course;
  /** Undefined until it is worked out. */
  follows: readonly Follows[] | undefined;
  /** How much of it is worked out, from 0 to 1; null where nothing is. */
  share: number | null;
  trouble: string;
}>();
const emit = defineEmits<{ stop: []; again: [] }>();
const lines = computed(() => follows && followsInWords(course, follows));
</script>

<template>
  <JobProgress
    :share="share"
    :trouble="trouble"
    what="Working out what follows"
    @stop="emit('stop')"
    @again="emit('again')"
  />
  <ul v-if="lines" class="small">
    <li v-for="line in lines" :key="line">{{ line }}</li>
    <li v-if="lines.length === 0">No {{ course.unit }} changes.</li>
  </ul>
</template>

<style scoped>
ul {
  display: grid;
  gap: 6px;
  padding-top: 8px;
}
</style>
