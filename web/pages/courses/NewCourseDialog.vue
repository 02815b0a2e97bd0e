<script setup lang="ts">
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import { computed, ref, shallowRef, watch } from 'vue';
import { z } from 'zod';
import { Course, daysOfSessions, newCourse } from '#core/course';
import { COURSE_TEMPLATES, type CourseTemplate } from '#library/course-templates';
import type { ListedPlan } from '#api';
import { planClient } from '../../client/documents';
import { listAllPlans } from '../../client/plans';
import NumberField from '../../ui/fields/NumberField.vue';
import SelectField from '../../ui/fields/SelectField.vue';
import DayField from '../../ui/fields/DayField.vue';
import FormText from '../../ui/forms/FormText.vue';
import FormValue from '../../ui/forms/FormValue.vue';
import SentForm from '../../ui/forms/SentForm.vue';
import { useCourses } from '../../state/courses';
import { today } from '../../state/days';

/** A new course: from one of the plans that are there, or from an example. */
const { planId = '', make } = defineProps<{
  /** The plan that is chosen when it opens. */
  planId?: string | undefined;
  /** Makes it and goes there. Rejects with why it cannot. */
  make: (course: Course) => Promise<void>;
}>();
const visible = defineModel<boolean>('visible', { required: true });

const plans = shallowRef<ListedPlan[]>([]);
const trouble = ref('');
const loaded = ref(false);
watch(
  visible,
  async (is) => {
    if (!is) return;
    try {
      plans.value = await listAllPlans();
      trouble.value = '';
    } catch (error) {
      trouble.value = (error as Error).message;
    }
    loaded.value = true;
  },
  { immediate: true },
);
const courses = useCourses();
/** A week of a course is no first plan of another. */
const ofWeeks = computed(
  () => new Set((courses.courses ?? []).flatMap(({ document }) => document.plans.map((made) => made.planId))),
);
const offered = computed(() => plans.value.filter(({ id }) => id === planId || !ofWeeks.value.has(id)));
const choices = computed(() => offered.value.map(({ id, summary }) => ({ value: id, label: summary.title })));
const USUAL_WEEKS = 6;
const initial = computed(() => ({
  title: '',
  planId: plans.value.some(({ id }) => id === planId) ? planId : (offered.value[0]?.id ?? ''),
  weeks: USUAL_WEEKS,
}));
const NewCourse = z.strictObject({
  title: z.string().transform((title) => title.trim()),
  planId: z.string().min(1, 'A course begins with a plan. Choose one, or start from an example.'),
  weeks: Course.shape.weeks,
});
async function fromPlan({ title, planId: chosen, weeks }: z.infer<typeof NewCourse>): Promise<void> {
  const { document } = await planClient.at(chosen).read();
  const called = title === '' ? document.title : Course.shape.title.parse(title);
  await make(newCourse(called, { ...document, startsAt: null }, chosen, weeks));
  visible.value = false;
}
/** The first day of an example whose sessions lie on days that follow each other. */
const firstDay = ref(today());
function setFirstDay(day: string): string | undefined {
  if (day === '') return 'A first day is needed.';
  firstDay.value = day;
  return undefined;
}
async function fromExample({ course, days }: CourseTemplate): Promise<void> {
  const dates = days
    ? { kind: 'given' as const, at: daysOfSessions(firstDay.value, days.count, days.times) }
    : course.dates;
  try {
    await make({ ...course, dates });
    visible.value = false;
  } catch (error) {
    trouble.value = (error as Error).message;
  }
}
</script>

<template>
  <Dialog v-model:visible="visible" modal header="New course" dismissable-mask :style="{ width: 'min(620px, 94vw)' }">
    <SentForm v-if="loaded" :key="initial.planId" :schema="NewCourse" :initial="initial" :send="fromPlan" class="form">
      <FormValue v-slot="{ value, set, problem }" name="planId">
        <span class="from">
          <SelectField
            above
            label="From the plan"
            placeholder="Choose a plan"
            :options="choices"
            :model-value="String(value || '') || null"
            @update:model-value="set"
          />
          <span v-if="problem" class="caution small" role="alert">{{ problem }}</span>
        </span>
      </FormValue>
      <FormText name="title" label="Title" placeholder="as the plan" />
      <FormValue v-slot="{ value, set, problem }" name="weeks">
        <NumberField
          label="weeks"
          :model-value="Number(value)"
          :problem="problem"
          :accept="(weeks) => void set(weeks)"
        />
      </FormValue>
      <Button type="submit" label="Create course" />
    </SentForm>
    <p v-if="trouble" class="caution" role="alert">{{ trouble }}</p>
    <h2>Or start from an example</h2>
    <ul>
      <li v-for="one in COURSE_TEMPLATES" :key="one.id">
        <button type="button" class="choice" @click="fromExample(one)">
          <strong>{{ one.course.title }}</strong>
          <span class="small quiet">{{ one.says }}</span>
        </button>
        <DayField v-if="one.days" label="First day" :model-value="firstDay" :accept="setFirstDay" />
      </li>
    </ul>
  </Dialog>
</template>

<style scoped>
.form {
  padding-bottom: 8px;
}
.from {
  display: grid;
  max-width: 260px;
}
h2 {
  padding: 12px 0 4px;
  font-size: 17px;
  line-height: 24px;
}
li {
  border-top: 1px solid var(--line);
}
li :deep(.field),
li > :last-child:not(.choice) {
  margin: 0 8px 8px;
}
.choice {
  display: grid;
  gap: 2px;
  width: 100%;
  padding: 10px 8px;
  border: 0;
  background: none;
  text-align: left;
  cursor: pointer;
}
.choice:hover {
  background: var(--well);
}
strong {
  font-weight: 600;
}
</style>
