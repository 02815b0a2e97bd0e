<script setup lang="ts">
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import { computed, ref } from 'vue';
import { taughtWeeks, weekName, type EditScope } from '#core/course';
import { useEditor } from '../../state/editor';
import { useLibrary } from '../../state/library';
import { useSettings } from '../../state/settings';
import WhatFollows from '../../widgets/courses/WhatFollows.vue';
import { useJob } from '../../widgets/jobs/use-job';
import { editInWords } from '../../widgets/plans/edit-words';

/** The last edit of a week of a course: how much further it could go, with what follows before it does, or what it changed. */
const editor = useEditor();
const library = useLibrary();
const settings = useSettings();
const week = computed(() => editor.week);
const course = computed(() => week.value?.course.value);
const last = computed(() => week.value?.lastEdit.value);
const name = computed(() => (course.value && week.value ? weekName(course.value, week.value.number) : ''));
const isLastWeek = computed(() => (course.value ? taughtWeeks(course.value).at(-1) === week.value?.number : true));
const edit = computed(() => (last.value ? editInWords(last.value.change, editor.plan) : ''));

/** How far the edit would go; `week` where only what it changed is shown. */
const reach = ref<EditScope>();
const job = useJob('courseFollows');
const further = computed(() =>
  reach.value === 'onward' || reach.value === 'course' ? week.value?.further(reach.value) : undefined,
);
const visible = computed({
  get: () => reach.value !== undefined,
  set: (is) => {
    if (!is) reach.value = undefined;
  },
});
function ask(): void {
  const record = week.value?.record.value;
  const [before, after] = further.value ? [course.value, further.value] : [last.value?.before, last.value?.after];
  if (!record || !before || !after) return;
  // What followed from another edit is no answer to this one.
  job.answer.value = undefined;
  const { ladder, growth } = settings.current.breath;
  void job.ask(before.base.plan, library.all, { course: before, record, rules: { ladder, growth }, changed: [after] });
}
function open(scope: EditScope): void {
  reach.value = scope;
  ask();
}
/** What follows in the other weeks: this one is in view. */
const others = computed(() => job.answer.value?.[0]?.filter((one) => one.week !== week.value?.number));
function take(): void {
  if (reach.value && further.value) week.value?.goFurther(reach.value);
  visible.value = false;
}
</script>

<template>
  <p v-if="last && course" class="small quiet last" role="status">
    <span
      >Last edit: {{ edit }}<template v-if="last.scope === 'week'">, in {{ name }} only</template>.</span
    >
    <template v-if="last.scope === 'week'">
      <button v-if="!isLastWeek" type="button" class="link-button small" @click="open('onward')">
        From here on as well
      </button>
      <button type="button" class="link-button small" @click="open('course')">In the whole course</button>
    </template>
    <button v-else type="button" class="link-button small" @click="open('week')">What follows</button>
  </p>
  <Dialog
    v-model:visible="visible"
    modal
    :header="reach === 'week' ? 'What follows' : reach === 'onward' ? 'From here on as well' : 'In the whole course'"
    :style="{ width: 'min(600px, 94vw)' }"
  >
    <p>{{ edit }}</p>
    <WhatFollows
      v-if="course"
      :course="course"
      :follows="others"
      :share="job.share.value"
      :trouble="job.trouble.value"
      @stop="job.stop"
      @again="ask"
    />
    <template #footer>
      <Button v-if="reach === 'week'" label="Done" @click="visible = false" />
      <template v-else>
        <Button :label="`Keep it to ${name}`" outlined @click="visible = false" />
        <Button :label="`Change these ${course?.unit}s too`" :disabled="!further || !others" @click="take" />
      </template>
    </template>
  </Dialog>
</template>

<style scoped>
.last {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  align-items: baseline;
}
</style>
