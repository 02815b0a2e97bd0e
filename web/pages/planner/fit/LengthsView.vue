<script setup lang="ts">
import { watchDebounced } from '@vueuse/core';
import { computed, ref } from 'vue';
import { exactGrid, fitInWords, targetLength, type FitOptions } from '#core/fit';
import { setStepCommon, type Plan, takeFit, withLengths } from '#core/plan';
import { clockOfMs } from '#core/time';
import { compileTimeline, type Timeline } from '#core/timeline';
import { useJob } from '../../../widgets/jobs/use-job';
import { useEditor } from '../../../state/editor';
import { useFitOptions } from '../../../state/fit-options';
import { useLibrary } from '../../../state/library';
import JobProgress from '../../../widgets/jobs/JobProgress.vue';
import FitOptionsForm from './FitOptionsForm.vue';
import FitTable from './FitTable.vue';
import FitWays from './FitWays.vue';
import { fitRows } from './rows';
import ProposalActions from '../ProposalActions.vue';
import TwoRibbons from '../TwoRibbons.vue';

/** Fit to a length: before and after as two ribbons, the difference of each length, then apply or discard. */
const { plan, timeline } = defineProps<{ plan: Plan; timeline: Timeline }>();
const editor = useEditor();
const library = useLibrary();
const fitOptions = useFitOptions();
const job = useJob('fit');
const chosen = ref<string>();

const options = computed(() => fitOptions.of(editor.id, plan));
const change = (next: FitOptions | null): void => fitOptions.set(editor.id, next);
const ask = (): void => void job.ask(plan, library.all, { options: options.value });
watchDebounced([() => plan, options], ask, { debounce: 60, immediate: true });

const fit = computed(() => job.answer.value);
/** What the class becomes: a length that was asked for is the class's own afterwards. */
const classSeconds = computed(() => {
  const length = targetLength(plan, options.value);
  return length.ok ? length.classSeconds : plan.classSeconds;
});
const before = computed(() => {
  if (classSeconds.value === plan.classSeconds) return { plan, timeline };
  const aimed = { ...plan, classSeconds: classSeconds.value };
  return { plan: aimed, timeline: compileTimeline(aimed, library.all) };
});
const fitted = computed(() => (fit.value && fit.value.kind !== 'refused' ? fit.value : undefined));
const after = computed(() => {
  if (!fitted.value) return undefined;
  const next = { ...withLengths(plan, fitted.value.lengths), classSeconds: classSeconds.value };
  return { plan: next, timeline: compileTimeline(next, library.all) };
});
const rows = computed(() => fitRows(plan, fitted.value?.lengths ?? []));
const changes = computed(
  () => (fitted.value?.lengths ?? []).some(({ from, to }) => from !== to) || classSeconds.value !== plan.classSeconds,
);
const edit = computed(() =>
  fitted.value && fitted.value.kind !== 'tooLong' && changes.value
    ? takeFit(fitted.value.lengths, classSeconds.value)
    : undefined,
);

/** The grid, finer than this one, on which the target is met exactly. */
const exact = computed(() => fit.value && exactGrid({ plan, library: library.all }, options.value, fit.value));

function lock(id: string): void {
  const step = plan.steps.find((one) => one.id === id);
  if (step) editor.edit(setStepCommon(id, { locked: !step.locked }));
}
</script>

<template>
  <FitOptionsForm :plan="plan" :options="options" @change="change" />
  <TwoRibbons locks :before="before" :after="after" :chosen="chosen" @choose="chosen = $event" @lock="lock" />
  <ProposalActions
    :edit="edit"
    :name="`Fitted to ${clockOfMs(after?.timeline.totals.totalMs ?? 0)}`"
    :after="after?.plan"
  >
    <p v-if="fit" role="status" :class="{ caution: fit.kind !== 'fits' }" class="strong">{{ fitInWords(fit) }}</p>
    <button v-if="exact" type="button" class="link-button" @click="change({ ...options, gridSeconds: exact })">
      {{ exact === 1 ? 'Fit to the second' : `Fit in steps of ${exact} seconds` }}, which meets it exactly
    </button>
    <JobProgress :share="job.share.value" :trouble="job.trouble.value" what="Fitting" @stop="job.stop" @again="ask" />
  </ProposalActions>
  <FitWays
    v-if="fit?.kind === 'tooLong' || fit?.kind === 'tooShort'"
    :plan="plan"
    :fit="fit"
    :options="options"
    @change="change"
  />
  <FitTable v-model:chosen="chosen" :rows="rows" :fitted="fitted !== undefined" />
</template>
