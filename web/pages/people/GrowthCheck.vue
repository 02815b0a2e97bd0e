<script setup lang="ts">
import { computed, ref } from 'vue';
import { growthRefusals, readCounts, ratioInWords, type GrowthRules, type Ratio } from '#core/breath';
import FieldGroup from '../../ui/fields/FieldGroup.vue';
import NumberField from '../../ui/fields/NumberField.vue';
import TextField from '../../ui/fields/TextField.vue';
import CheckField from '../../ui/fields/CheckField.vue';

/** Whether a breath may grow from what is practised now to what is wanted next week, by the settings. */
const { rules } = defineProps<{ rules: GrowthRules }>();

const plain = (inCounts: number, out: number): Ratio => ({ in: inCounts, holdFull: 0, out, holdEmpty: 0 });
const from = ref({ ratio: plain(4, 6), countSeconds: 1 });
const to = ref({ ratio: plain(4, 7), countSeconds: 1 });
const easy = ref(true);
const ROWS = [
  { what: from, title: 'Now' },
  { what: to, title: 'Next week' },
];
const setRatio = (what: typeof from) => (typed: string) => {
  const read = readCounts(typed, what.value.ratio.in);
  const counts = read.ok ? read.counts : read.ask;
  if (!counts) return read.ok ? undefined : read.reason;
  what.value = { ...what.value, ratio: counts };
  return undefined;
};
const setCount = (what: typeof from) => (countSeconds: number) => {
  if (countSeconds < 0.5 || countSeconds > 3) return 'A count lasts 0.5 to 3 s.';
  what.value = { ...what.value, countSeconds };
  return undefined;
};
const refusals = computed(() => growthRefusals(from.value, to.value, easy.value, rules));
</script>

<template>
  <FieldGroup title="Can it progress?">
    <div class="rows">
      <div v-for="{ what, title } in ROWS" :key="title" class="row">
        <span class="strong">{{ title }}</span>
        <TextField
          :label="`Counts ${title.toLowerCase()}`"
          placeholder="4-0-6"
          :model-value="ratioInWords(what.value.ratio).replaceAll(' : ', '-')"
          :accept="setRatio(what)"
        />
        <NumberField
          :label="`Seconds a count ${title.toLowerCase()}`"
          :step="0.1"
          :model-value="what.value.countSeconds"
          :accept="setCount(what)"
        />
      </div>
      <CheckField v-model="easy" class="small" label="in and out are comfortable as they are" />
    </div>
    <div role="status">
      <p v-if="refusals.length === 0">Yes, within your settings.</p>
      <p v-for="refusal in refusals" :key="refusal" class="caution">{{ refusal }}</p>
    </div>
  </FieldGroup>
</template>

<style scoped>
.rows {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 32px;
  align-items: flex-end;
  margin-bottom: 6px;
}
.row {
  display: flex;
  gap: 12px;
  align-items: flex-end;
}
.row .strong {
  padding-bottom: 6px;
}
label.small {
  display: flex;
  gap: 5px;
  align-items: center;
  min-height: 30px;
}
</style>
