<script setup lang="ts">
import { computed } from 'vue';
import { practisedAs, ratioInWords, ratioOffers, type MeasuredBreath, type Ratio, type Rung } from '#core/breath';
import { ladderGates, type Practised } from '#core/review';
import { useSettings } from '../../state/settings';
import RecordTable from '../../ui/RecordTable.vue';
import { gateInWords } from './gate-words';

/**
 * What every ratio of the ladder would mean for a person: count, cycle, breaths a minute, longest hold, offered or why
 * not, and whether they have had enough easy sessions for it.
 */
const { measured, ladder, sessions, personId } = defineProps<{
  measured: MeasuredBreath;
  ladder: readonly Rung[];
  /** What the gates are counted from; undefined where it has not loaded: then nothing is counted. */
  sessions: readonly Practised[] | undefined;
  personId: string;
}>();

const settings = useSettings();
void settings.ready();
const number = (value: number | undefined, digits = 1): string => (value === undefined ? '' : value.toFixed(digits));
const inWords = (ratio: Ratio, countSeconds: number): string => {
  const { counts, countSeconds: each } = practisedAs(ratio, countSeconds);
  return `${ratioInWords(counts).replaceAll(' : ', '-')} at ${each.toFixed(each * 10 === Math.round(each * 10) ? 1 : 2)} s`;
};
const gates = computed(() => ladderGates(ladder, sessions ?? [], personId));
const rows = computed(() =>
  ratioOffers(measured, ladder, settings.current.breath.offer).map((offer, i) => ({
    id: String(i),
    ratio: ratioInWords(offer.ratio),
    count: number(offer.countSeconds),
    practised: offer.offered && offer.countSeconds !== undefined ? inWords(offer.ratio, offer.countSeconds) : '',
    cycle: number(offer.cycleSeconds),
    rate: number(offer.breathsAMinute),
    hold: offer.longestHoldSeconds ? number(offer.longestHoldSeconds) : offer.longestHoldSeconds === 0 ? 'none' : '',
    offered: !offer.offered ? 'no' : !sessions || gates.value[i]?.open ? 'yes' : 'not yet',
    says: offer.offered ? (gates.value[i] ? gateInWords(gates.value[i], sessions !== undefined) : '') : offer.reason,
  })),
);
type Row = (typeof rows.value)[number];
/** The ratios stand in the order of the ladder. */
const COLUMNS = [
  { key: 'ratio', label: 'Ratio', of: ({ ratio }: Row) => ratio },
  { key: 'count', label: 'Count, s', number: true, of: ({ count }: Row) => count },
  { key: 'cycle', label: 'Cycle, s', number: true, of: ({ cycle }: Row) => cycle },
  { key: 'rate', label: 'Per minute', number: true, of: ({ rate }: Row) => rate },
  { key: 'hold', label: 'Longest hold, s', number: true, of: ({ hold }: Row) => hold },
  { key: 'offered', label: 'Offered', of: ({ offered }: Row) => offered },
  { key: 'practised', label: 'Practised as', of: ({ practised }: Row) => practised },
  { key: 'says', label: 'When, or why not' },
];
</script>

<template>
  <RecordTable
    name="ratios"
    label="Ratios"
    :columns="COLUMNS"
    :rows="rows"
    unsearched
    :is-quiet="({ offered }) => offered !== 'yes'"
  >
    <template #ratio="{ row }"
      ><span class="one-line">{{ row.ratio }}</span></template
    >
    <template #practised="{ row }"
      ><span class="one-line">{{ row.practised }}</span></template
    >
    <template #offered="{ row }"
      ><span class="one-line">{{ row.offered }}</span></template
    >
    <template #says="{ row }"
      ><span class="quiet">{{ row.says }}</span></template
    >
  </RecordTable>
</template>

<style scoped>
.one-line {
  white-space: nowrap;
}
</style>
