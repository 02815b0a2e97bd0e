<script setup lang="ts">
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import {
  applyEdit,
  editedPlan,
  scaleHolds,
  setDetails,
  setLengthOfAll,
  setRangeOfAll,
  type Plan,
  type PlanEdit,
} from '#core/plan';
import type { Seconds } from '#core/numbers';
import { clockOfMs, clockOfSeconds } from '#core/time';
import { compileTimeline, remainingEdit } from '#core/timeline';
import { createPlan } from '../../client/plans';
import ChoiceField from '../../ui/fields/ChoiceField.vue';
import NumberField from '../../ui/fields/NumberField.vue';
import TimeField from '../../ui/fields/TimeField.vue';
import { useLibrary } from '../../state/library';
import { spareInWords } from '../../widgets/session/words';
import { useEdit } from './use-edit';

/** All holds of a plan at once: one length, longer or shorter by a share, or one range; here, or in a copy. */
const { plan } = defineProps<{ plan: Plan }>();
const visible = defineModel<boolean>('visible', { required: true });

const edit = useEdit();
const library = useLibrary();
const router = useRouter();
const WHAT = [
  { value: 'length', label: 'one length' },
  { value: 'scale', label: 'longer or shorter' },
  { value: 'range', label: 'one range' },
] as const;
const what = ref<(typeof WHAT)[number]['value']>('length');
const [seconds, percent] = [ref<Seconds>(300), ref(100)];
const range = ref<{ min: Seconds; max: Seconds }>({ min: 180, max: 300 });
const [MIN_PERCENT, MAX_PERCENT] = [10, 400];

const holds = computed(() => plan.steps.filter(({ kind }) => kind === 'hold'));
/** Those that are changed: a locked hold keeps its length, and so does one that takes what is left. */
const ids = computed(() =>
  holds.value.flatMap(({ id, locked, takesRemaining }) => (locked || takesRemaining ? [] : [id])),
);
const kept = computed(() => holds.value.length - ids.value.length);
const change = computed((): PlanEdit => {
  switch (what.value) {
    case 'length':
      return setLengthOfAll(plan, ids.value, seconds.value);
    case 'scale':
      return scaleHolds(plan, ids.value, percent.value / 100);
    case 'range':
      return setRangeOfAll(plan, ids.value, range.value);
  }
});
const result = computed(() => {
  const changed = applyEdit(plan, change.value);
  const remaining = changed.ok ? remainingEdit(changed.plan, library.all) : undefined;
  return changed.ok && remaining ? applyEdit(changed.plan, remaining) : changed;
});
const problem = computed(() => (result.value.ok ? '' : (result.value.issues[0]?.reason ?? '')));
const after = computed(() => (result.value.ok ? compileTimeline(result.value.plan, library.all) : undefined));
/** What a copy made so is called by: `5:00 each`. */
const called = computed(
  () =>
    ({
      length: `${clockOfSeconds(seconds.value)} each`,
      scale: `holds at ${percent.value} %`,
      range: `holds ${clockOfSeconds(range.value.min)} to ${clockOfSeconds(range.value.max)}`,
    })[what.value],
);

const setSeconds = (next: Seconds | null): string | undefined => {
  seconds.value = next ?? seconds.value;
  return problem.value || undefined;
};
function setPercent(next: number): string | undefined {
  if (next < MIN_PERCENT || next > MAX_PERCENT) return `Between ${MIN_PERCENT} and ${MAX_PERCENT} per cent.`;
  percent.value = next;
  return undefined;
}
const setRange =
  (end: 'min' | 'max') =>
  (next: Seconds | null): string | undefined => {
    if (next === null) return 'A range has two ends.';
    range.value = { ...range.value, [end]: next };
    return undefined;
  };

function apply(): void {
  if (edit(change.value) === undefined) visible.value = false;
}
const trouble = ref('');
async function copy(): Promise<void> {
  if (!result.value.ok) return;
  const title = `${plan.title.slice(0, 160)} (${called.value})`;
  try {
    const made = await createPlan(editedPlan(result.value.plan, setDetails({ title, startsAt: null })), []);
    visible.value = false;
    await router.push(`/plans/${made.id}`);
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : String(error);
  }
}
</script>

<template>
  <Dialog v-model:visible="visible" modal header="All holds" class="dialog" :style="{ width: 'min(520px, 94vw)' }">
    <div class="all">
      <p v-if="ids.length === 0">No hold in this plan can change its length.</p>
      <template v-else>
        <ChoiceField v-model="what" label="What to change" :options="WHAT" />
        <TimeField
          v-if="what === 'length'"
          label="Each hold, a side"
          bare="minutes"
          :model-value="seconds"
          :accept="setSeconds"
        />
        <NumberField
          v-else-if="what === 'scale'"
          label="Scale each to"
          unit="%"
          :step="5"
          :model-value="percent"
          :accept="setPercent"
        />
        <div v-else class="range">
          <TimeField label="from" bare="minutes" :model-value="range.min" :accept="setRange('min')" />
          <TimeField label="to" bare="minutes" :model-value="range.max" :accept="setRange('max')" />
        </div>
        <p v-if="problem" class="caution small" role="alert">{{ problem }}</p>
        <p v-else-if="after" class="small quiet" role="status">
          {{ ids.length === 1 ? 'One hold' : `${ids.length} holds` }}; {{ clockOfMs(after.totals.holdMs) }} in holds,
          {{ clockOfMs(after.totals.totalMs) }} total, {{ spareInWords(after) }}.
          <template v-if="kept > 0">
            {{ kept === 1 ? 'One is' : `${kept} are` }} locked, or {{ kept === 1 ? 'takes' : 'take' }} what is left, and
            {{ kept === 1 ? 'keeps its' : 'keep their' }} length.
          </template>
        </p>
      </template>
      <p v-if="trouble" class="caution small" role="alert">{{ trouble }}</p>
      <p class="end">
        <Button label="Cancel" outlined @click="visible = false" />
        <Button :disabled="ids.length === 0 || problem !== ''" outlined label="Make a copy" @click="copy" />
        <Button :disabled="ids.length === 0 || problem !== ''" label="Change this plan" @click="apply" />
      </p>
    </div>
  </Dialog>
</template>

<style scoped>
.all {
  display: flex;
  flex-direction: column;
  gap: 12px;
}
.range {
  display: flex;
  gap: 20px;
}
.end {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  justify-content: flex-end;
}
</style>
