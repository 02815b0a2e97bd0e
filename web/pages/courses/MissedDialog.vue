<script setup lang="ts">
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import RadioButton from 'primevue/radiobutton';
import { computed, ref, useId, watch } from 'vue';
import {
  withMissed,
  type Course,
  type CourseClass,
  type CourseRecord,
  type CourseSettings,
  type Missed,
} from '#core/course';
import { useLibrary } from '../../state/library';
import TextField from '../../ui/fields/TextField.vue';
import { useJob } from '../../widgets/jobs/use-job';
import JobProgress from '../../widgets/jobs/JobProgress.vue';
import { followsInWords } from '../../widgets/courses/follows-words';
import { classDay, WAY_LABELS } from './words';

/** A class that was not held: the ways to go on, each with what it does to the weeks after it, before one is taken. */
const { course, held, record, rules } = defineProps<{
  course: Course;
  held: CourseClass;
  record: CourseRecord;
  rules: Pick<CourseSettings, 'ladder' | 'growth'>;
}>();
const visible = defineModel<boolean>('visible', { required: true });
const emit = defineEmits<{ take: [course: Course] }>();

const library = useLibrary();
const id = useId();
const why = ref('');
const how = ref<Missed['how']>('shift');
const HOWS = ['shift', 'drop', 'join'] as const;
const ways = computed(() =>
  HOWS.map((one) => ({ how: one, course: withMissed(course, held.number, { how: one, why: why.value.trim() }) })),
);
const job = useJob('courseFollows');
const ask = (): void =>
  void job.ask(course.base.plan, library.all, {
    course,
    record,
    rules,
    changed: HOWS.map((one) => withMissed(course, held.number, { how: one, why: '' })),
  });
watch(
  visible,
  (is) => {
    if (!is) return;
    [why.value, how.value] = [held.missed?.why ?? '', held.missed?.how ?? 'shift'];
    ask();
  },
  { immediate: true },
);
const follows = computed(() =>
  HOWS.map((one, i) => ({ how: one, lines: followsInWords(course, job.answer.value?.[i] ?? []) })),
);
const MAX_WHY = 200;
function setWhy(typed: string): string | undefined {
  if (typed.length > MAX_WHY) return `At most ${MAX_WHY} characters.`;
  why.value = typed;
  return undefined;
}
function take(): void {
  const way = ways.value.find((one) => one.how === how.value);
  if (way) emit('take', way.course);
  visible.value = false;
}
</script>

<template>
  <Dialog
    v-model:visible="visible"
    modal
    :header="`Not held: ${classDay(course, held)}`"
    :style="{ width: 'min(640px, 94vw)' }"
  >
    <TextField
      label="Why, if you like"
      autofocus
      placeholder="The hall was closed"
      :model-value="why"
      :accept="setWhy"
    />
    <fieldset>
      <legend class="strong">How does the course go on?</legend>
      <div v-for="one in follows" :key="one.how" class="way">
        <RadioButton v-model="how" :input-id="`${id}-${one.how}`" :name="id" :value="one.how" />
        <div>
          <label :for="`${id}-${one.how}`" class="strong">{{ WAY_LABELS[one.how] }}</label>
          <template v-if="job.answer.value">
            <p v-if="one.lines.length === 0" class="small quiet">No {{ course.unit }} changes.</p>
            <ul v-else class="small quiet">
              <li v-for="line in one.lines.slice(0, 6)" :key="line">{{ line }}</li>
              <li v-if="one.lines.length > 6">and {{ one.lines.length - 6 }} more</li>
            </ul>
          </template>
        </div>
      </div>
    </fieldset>
    <JobProgress
      :share="job.share.value"
      :trouble="job.trouble.value"
      what="Working out what follows"
      @stop="job.stop"
      @again="ask"
    />
    <template #footer>
      <Button label="Cancel" outlined @click="visible = false" />
      <Button label="Go on like this" @click="take" />
    </template>
  </Dialog>
</template>

<style scoped>
fieldset {
  display: grid;
  gap: 12px;
  margin: 14px 0 0;
  padding: 0;
  border: 0;
}
legend {
  padding: 0 0 8px;
}
.way {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 10px;
}
</style>
