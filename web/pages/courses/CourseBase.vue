<script setup lang="ts">
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import { computed, ref, shallowRef, watch } from 'vue';
import type { Course, CourseRecord, CourseSettings } from '#core/course';
import { planChanges, type Plan } from '#core/plan';
import { ApiProblem } from '../../client/http';
import { planClient } from '../../client/documents';
import { useLibrary } from '../../state/library';
import { changeInWords } from '../../widgets/plans/change-words';
import WhatFollows from '../../widgets/courses/WhatFollows.vue';
import { useJob } from '../../widgets/jobs/use-job';

/** The plan a course began with, as it is now: the same, changed, or gone; and what it would do to the weeks to take it. */
const { course, record, rules } = defineProps<{
  course: Course;
  record: CourseRecord;
  rules: Pick<CourseSettings, 'ladder' | 'growth'>;
}>();
const emit = defineEmits<{ take: [course: Course] }>();

const library = useLibrary();
const found = shallowRef<Plan>();
const isGone = ref(false);
watch(
  () => course.base.planId,
  async (planId) => {
    [found.value, isGone.value] = [undefined, false];
    if (planId === null) return;
    try {
      found.value = (await planClient.at(planId).read()).document;
    } catch (error) {
      // What cannot be asked now changes nothing: the course has its own copy.
      isGone.value = error instanceof ApiProblem && error.status === 404;
    }
  },
  { immediate: true },
);
/** The plan as it is now, without its date: a course has its own. */
const now = computed(() => found.value && { ...found.value, startsAt: course.base.plan.startsAt });
const changes = computed(() => (now.value ? planChanges(course.base.plan, now.value) : []));
const after = computed((): Course | undefined => now.value && { ...course, base: { ...course.base, plan: now.value } });
const looking = ref(false);
const job = useJob('courseFollows');
function look(): void {
  looking.value = true;
  if (after.value) void job.ask(course.base.plan, library.all, { course, record, rules, changed: [after.value] });
}
function take(): void {
  if (after.value) emit('take', after.value);
  looking.value = false;
}
</script>

<template>
  <p v-if="isGone" class="small quiet screen-only">
    The plan it began with is no longer there. The course has its own copy, and stays as it is.
  </p>
  <p v-else-if="found" class="small quiet screen-only">
    It began with <RouterLink :to="`/plans/${course.base.planId}`">{{ found.title }}</RouterLink><template
      v-if="changes.length > 0"
      >, which was changed since.
      <button type="button" class="link-button small screen-only" @click="look">
        See what it would change
      </button></template
    >
  </p>
  <Dialog v-model:visible="looking" modal header="The first plan as it is now" :style="{ width: 'min(600px, 94vw)' }">
    <h3>Changed in the plan</h3>
    <ul class="small">
      <li v-for="(one, i) in changes.slice(0, 8)" :key="i">{{ changeInWords(one) }}</li>
    </ul>
    <h3>What follows</h3>
    <WhatFollows
      :course="course"
      :follows="job.answer.value?.[0]"
      :share="job.share.value"
      :trouble="job.trouble.value"
      @stop="job.stop"
      @again="look"
    />
    <template #footer>
      <Button label="Leave the course as it is" outlined @click="looking = false" />
      <Button label="Use the plan as it is now" @click="take" />
    </template>
  </Dialog>
</template>

<style scoped>
h3 {
  padding: 8px 0 4px;
  font-size: 15px;
  line-height: 20px;
}
</style>
