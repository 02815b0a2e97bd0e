<script setup lang="ts">
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import { watchDebounced } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import { fitInWords, makeUpInWords, targetLength, usualFitOptions, wayInWords } from '#core/fit';
import { editedPlan, setDetails, type Plan, withLengths } from '#core/plan';
import { compileTimeline, ribbonBlocks } from '#core/timeline';
import type { Seconds } from '#core/numbers';
import type { ListedPlan } from '#api';
import { useJob } from '../../widgets/jobs/use-job';
import JobProgress from '../../widgets/jobs/JobProgress.vue';
import SelectField from '../../ui/fields/SelectField.vue';
import TimeField from '../../ui/fields/TimeField.vue';
import { classLength } from '../../widgets/session/words';
import RibbonThumb from '../../widgets/ribbon/RibbonThumb.vue';
import { useChosenPlan } from '../../state/chosen-plan';
import { useLibrary } from '../../state/library';

/** Fits a copy of a plan to today's time, with a preview. The plan itself does not change. */
const { plans, first } = defineProps<{
  plans: readonly ListedPlan[];
  /** Id of the plan that is chosen when it opens. */
  first: string | undefined;
}>();
const visible = defineModel<boolean>('visible', { required: true });
const emit = defineEmits<{ make: [plan: Plan, toFit: boolean] }>();
const library = useLibrary();
void library.ready();
const job = useJob('fit');

const TODAY: Seconds = 2700;
const seconds = ref(TODAY);
const planId = ref('');
watch(
  visible,
  (open) => {
    if (open) planId.value = first ?? plans[0]?.id ?? '';
  },
  { immediate: true },
);
const choices = computed(() => plans.map(({ id, summary }) => ({ value: id, label: summary.title })));
const { plan, trouble } = useChosenPlan(planId);

const options = computed(() => {
  if (!plan.value) return undefined;
  return { ...usualFitOptions(plan.value, library.all), target: { kind: 'length' as const, seconds: seconds.value } };
});
const ask = (): void => {
  if (visible.value && plan.value && options.value) void job.ask(plan.value, library.all, { options: options.value });
};
watchDebounced([visible, plan, options], ask, { debounce: 60 });
function setSeconds(next: Seconds | null): string | undefined {
  if (!plan.value) return undefined;
  const target = { kind: 'length' as const, seconds: next ?? 0 };
  const length = targetLength(plan.value, { ...usualFitOptions(plan.value, library.all), target });
  if (!length.ok) return length.issues[0]?.reason;
  seconds.value = target.seconds;
  return undefined;
}

const fit = computed(() => job.answer.value);
const fitted = computed(() => (fit.value && fit.value.kind !== 'refused' ? fit.value : undefined));
const copy = computed(() => {
  if (!plan.value || !fitted.value) return undefined;
  const title = `${plan.value.title.slice(0, 180)} (${classLength(seconds.value * 1000)} min)`;
  return editedPlan(
    withLengths(plan.value, fitted.value.lengths),
    setDetails({ title, startsAt: null, classSeconds: seconds.value }),
  );
});
const before = computed(() => plan.value && compileTimeline(plan.value, library.all));
const after = computed(() => copy.value && compileTimeline(copy.value, library.all));
const pxPerMs = computed(() => {
  const lengths = [before.value, after.value].flatMap((one) => (one ? [one.totals.totalMs, one.totals.targetMs] : []));
  return 470 / Math.max(60_000, ...lengths);
});
const tooLong = computed(() => fit.value?.kind === 'tooLong');

function make(): void {
  if (!copy.value) return;
  emit('make', copy.value, tooLong.value);
  visible.value = false;
}
</script>

<template>
  <Dialog
    v-model:visible="visible"
    modal
    header="Time available today"
    class="dialog"
    :style="{ width: 'min(560px, 94vw)' }"
  >
    <div class="today">
      <p class="line">
        <TimeField label="I have" bare="classMinutes" :model-value="seconds" :accept="setSeconds" /> today, for
        <SelectField v-model="planId" label="Plan" hide-label :options="choices" />
      </p>
      <p v-if="trouble" class="caution" role="alert">{{ trouble }}</p>
      <dl v-if="before">
        <dt class="small quiet">the plan</dt>
        <dd>
          <RibbonThumb
            :ribbon="ribbonBlocks(before.phases)"
            :totals="before.totals"
            :px-per-ms="pxPerMs"
            :width="474"
          />
        </dd>
        <dt class="small quiet">the copy</dt>
        <dd>
          <RibbonThumb
            v-if="after"
            :ribbon="ribbonBlocks(after.phases)"
            :totals="after.totals"
            :px-per-ms="pxPerMs"
            :width="474"
          />
        </dd>
      </dl>
      <p v-if="fit" role="status" class="strong" :class="{ caution: fit.kind !== 'fits' }">{{ fitInWords(fit) }}</p>
      <template v-if="fit?.kind === 'tooLong' || fit?.kind === 'tooShort'">
        <p class="small quiet">{{ makeUpInWords(fit.madeUpOf, fit.kind === 'tooLong' ? 'shortest' : 'longest') }}</p>
        <ul v-if="fit.ways.length > 0" class="small">
          <li v-for="(way, i) in fit.ways.slice(0, 3)" :key="i">{{ wayInWords(way) }}</li>
        </ul>
      </template>
      <JobProgress :share="job.share.value" :trouble="job.trouble.value" what="Fitting" @stop="job.stop" @again="ask" />
      <p class="end">
        <Button label="Cancel" outlined @click="visible = false" />
        <Button
          :disabled="!copy"
          :label="tooLong ? 'Copy at minimum length, then edit' : 'Make the copy'"
          @click="make"
        />
      </p>
    </div>
  </Dialog>
</template>

<style scoped>
.today {
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}
.line :deep(select) {
  max-width: 280px;
}
dl,
dd {
  margin: 0;
}
dd {
  min-height: 50px;
  overflow: hidden;
}
dd :deep(svg) {
  max-width: 100%;
}
ul {
  margin: 0;
  padding-left: 18px;
}
.end {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  justify-content: flex-end;
}
</style>
