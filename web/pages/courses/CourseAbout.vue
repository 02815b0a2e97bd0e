<script setup lang="ts">
import { computed } from 'vue';
import type { Course, CourseClass, CourseRecord, CourseSettings } from '#core/course';
import { people } from '../../widgets/session/words';
import CourseBase from './CourseBase.vue';
import { datesInWords, weeksInWords } from './words';

/** What a course is about, under its title: when, for whom and where; how far it has come; and the plan it began with. */
const { course, classes, taught, record, rules } = defineProps<{
  course: Course;
  classes: readonly CourseClass[];
  taught: ReadonlySet<number>;
  record: CourseRecord | undefined;
  rules: Pick<CourseSettings, 'ladder' | 'growth'>;
}>();
const emit = defineEmits<{ details: []; take: [course: Course] }>();

const about = computed(() => {
  const { group, groupSize, place } = course.base.plan;
  return [datesInWords(course), group && `${group}, ${people(groupSize)}`, place].filter(Boolean).join(' · ');
});
const soFar = computed(() => {
  const missed = classes.filter((one) => one.missed).length;
  return [weeksInWords(course), taught.size > 0 ? `${taught.size} taught` : '', missed > 0 ? `${missed} missed` : '']
    .filter(Boolean)
    .join(', ');
});
</script>

<template>
  <div class="about">
    <p class="quiet">{{ about }}</p>
    <p class="small quiet line">
      {{ soFar }}
      <button type="button" class="link-button small screen-only" @click="emit('details')">Dates and details</button>
    </p>
    <p v-if="course.aim" class="strong screen-only">{{ course.aim.words }}</p>
    <p v-if="course.note" class="note">{{ course.note }}</p>
    <CourseBase v-if="record" :course="course" :record="record" :rules="rules" @take="(to) => emit('take', to)" />
  </div>
</template>

<style scoped>
.about {
  padding-bottom: 8px;
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 0 12px;
  align-items: baseline;
}
.note {
  max-width: 720px;
}
</style>
