<script setup lang="ts">
import { computed, ref } from 'vue';
import { linkedCounts, QUARTERS, ratioInWords, readCounts, type Quarter, type Ratio } from '#core/breath';
import NumberField from '../../ui/fields/NumberField.vue';
import TextField from '../../ui/fields/TextField.vue';
import WaveEditor from './WaveEditor.vue';
import CheckField from '../../ui/fields/CheckField.vue';

/** The counts of a breath: as a wave, as four fields that may keep their ratio, and typed as one. */
const { counts, accept } = defineProps<{
  counts: Ratio;
  accept: (counts: Ratio) => string | undefined;
}>();

const LABELS: Record<Quarter, string> = { in: 'in', holdFull: 'hold full', out: 'out', holdEmpty: 'hold empty' };
const linked = ref(false);
const confirming = ref<{ counts: Ratio; question: string }>();

const put = (next: Ratio): string | undefined => {
  confirming.value = undefined;
  return accept(next);
};
const setOne = (quarter: Quarter) => (value: number) => {
  if (!linked.value) return put({ ...counts, [quarter]: value });
  const result = linkedCounts(counts, quarter, value);
  return result.ok ? put(result.counts) : result.reason;
};
/** A corner that is pulled leads the others where the ratio is kept; what does not come out even is passed over. */
function pull(next: Ratio): string | undefined {
  const quarter = QUARTERS.find((one) => next[one] !== counts[one]);
  if (!linked.value || !quarter) return put(next);
  const result = linkedCounts(counts, quarter, next[quarter]);
  return result.ok ? put(result.counts) : undefined;
}
function setRatio(typed: string): string | undefined {
  const read = readCounts(typed, counts.in);
  if (read.ok) return put(read.counts);
  if (!read.ask) return read.reason;
  confirming.value = { counts: read.ask, question: read.reason };
  return undefined;
}
const ratio = computed(() => ratioInWords(counts).replaceAll(' : ', '-'));
</script>

<template>
  <div class="counts">
    <WaveEditor :counts="counts" :accept="pull" />
    <div class="fields">
      <NumberField
        v-for="quarter in QUARTERS"
        :key="quarter"
        :label="LABELS[quarter]"
        :model-value="counts[quarter]"
        :accept="setOne(quarter)"
      />
      <CheckField v-model="linked" class="link small" label="keep the ratio" />
      <TextField class="ratio" label="as a ratio" placeholder="1:4:2" :model-value="ratio" :accept="setRatio" />
    </div>
    <p v-if="confirming" class="ask" role="alert">
      {{ confirming.question }}
      <button type="button" class="link-button" @click="put(confirming.counts)">Yes</button>
      <button type="button" class="link-button" @click="confirming = undefined">No</button>
    </p>
  </div>
</template>

<style scoped>
.counts {
  width: 100%;
}
.fields {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  align-items: flex-end;
}
.link {
  display: flex;
  gap: 5px;
  align-items: center;
  min-height: 30px;
}
.fields :deep(input:not([type='checkbox'])) {
  width: 48px;
}
.fields .ratio {
  width: 92px;
}
.fields .ratio :deep(input) {
  width: 92px;
}
.ask {
  display: flex;
  gap: 12px;
  align-items: baseline;
  margin-top: 4px;
}
</style>
