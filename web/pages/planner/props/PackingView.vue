<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { availableIn } from '#core/cupboard';
import type { Plan } from '#core/plan';
import { propKind, type PropKind } from '#core/props';
import SelectField from '../../../ui/fields/SelectField.vue';
import { classInWords } from '../../../widgets/session/words';
import { insteadInWords, unmetInWords } from '../../../widgets/props/need-words';
import { useJob } from '../../../widgets/jobs/use-job';
import { useDemand } from '../../../state/demand';
import { useLibrary } from '../../../state/library';
import { usePlaces } from '../../../state/places';
import RecordTable from '../../../ui/RecordTable.vue';

/** What to bring to a class held elsewhere, kind by kind, with what lies in place of what. */
const { plan } = defineProps<{ plan: Plan }>();

const demand = useDemand();
const places = usePlaces();
const library = useLibrary();

/** Props can be packed from any other place; one at home comes first. */
const stores = computed(() =>
  (places.places ?? [])
    .filter(({ id }) => id !== plan.cupboard)
    .sort((a, b) => Number(b.document.setting === 'home') - Number(a.document.setting === 'home')),
);
const chosen = ref<string>();
const fromId = computed({
  get: () => chosen.value ?? stores.value[0]?.id ?? '',
  set: (id) => (chosen.value = id),
});
const from = computed(() => places.place(fromId.value));
const { answer: list, trouble, ask } = useJob('packing');
watch(
  [() => plan, () => demand.available, from],
  () => {
    if (from.value) void ask(plan, library.all, { there: demand.available ?? {}, own: availableIn(from.value) });
  },
  { immediate: true },
);
const kinds = computed(() => list.value?.kinds.filter(({ bring }) => bring > 0) ?? []);
const stays = computed(() => list.value?.kinds.filter(({ there }) => there > 0) ?? []);
const mats = computed(() => Math.max(0, plan.groupSize - (demand.place?.mats.count ?? 0)));
/** Each kind to bring, and mats where the place has too few. */
const bring = computed(() => {
  const named = (kind: PropKind, count: number): string => (count === 1 ? propKind(kind).label : propKind(kind).plural);
  const props = kinds.value.map(({ kind, bring: count, use, there }) => ({
    id: kind as string,
    count,
    name: named(kind, count),
    use,
    there,
  }));
  const mat = { id: 'mat', count: mats.value, name: mats.value === 1 ? 'mat' : 'mats' };
  const there = demand.place?.mats.count ?? 0;
  return mats.value > 0 ? [...props, { ...mat, use: plan.groupSize, there }] : props;
});
type Row = (typeof bring.value)[number];
const COLUMNS = [
  { key: 'count', label: 'Bring', of: ({ count }: Row) => count },
  { key: 'name', label: 'Prop', of: ({ name }: Row) => name },
  { key: 'use', label: 'In use', number: true, of: ({ use }: Row) => use },
  { key: 'there', label: 'Available there', number: true, of: ({ there }: Row) => there },
];
/** What to know while setting out: substitutes, and what is missing. */
const steps = computed(() =>
  plan.steps.flatMap((step, index) => {
    const moments = list.value?.moments.filter(({ stepIndex }) => stepIndex === index) ?? [];
    const instead = moments.flatMap(({ assignment }) => assignment.given.map(insteadInWords));
    const unmet = moments.flatMap(({ assignment }) => assignment.unmet.map(unmetInWords));
    const lines = [
      ...[...new Set(unmet)].map((says) => ({ says, short: true })),
      ...[...new Set(instead)].filter(Boolean).map((says) => ({ says, short: false })),
    ];
    return lines.length > 0 ? [{ index, name: step.name, lines }] : [];
  }),
);
</script>

<template>
  <article class="sheet">
    <header>
      <h2 class="sheet-title">Packing list: {{ plan.title }}</h2>
      <p class="quiet">{{ classInWords(plan) }}</p>
    </header>
    <p v-if="stores.length === 0" class="empty">
      There is no other place to pack from yet. <RouterLink to="/places">Add what you keep yourself</RouterLink> as a
      separate place.
    </p>
    <template v-else>
      <p class="screen-only from">
        <SelectField
          v-model="fromId"
          label="pack from"
          :options="stores.map(({ id, document }) => ({ value: id, label: document.name }))"
        />
        <span class="small quiet">{{
          demand.place
            ? `what ${demand.place.name} has stays there`
            : 'no saved place is chosen: everything has to be brought'
        }}</span>
      </p>
      <p v-if="trouble" class="caution" role="alert">{{ trouble }}</p>
      <p v-else-if="!list" class="empty">Working out what to bring…</p>
      <div v-else class="columns">
        <section aria-label="To bring">
          <h2>
            Bring <span class="small quiet print-only">from {{ from?.name }}</span>
          </h2>
          <RecordTable name="packing" label="What to bring" :columns="COLUMNS" :rows="bring" unsearched>
            <template #empty><p class="empty">Nothing: the place has everything.</p></template>
            <template #count="{ row }">
              <span class="tick"
                ><span class="box" aria-hidden="true" /><strong class="numeral">{{ row.count }}</strong></span
              >
            </template>
            <template #there="{ row }">{{ row.there > 0 ? row.there : '' }}</template>
          </RecordTable>
          <template v-if="stays.length > 0">
            <h2>Use from the place</h2>
            <ul class="ticks">
              <li v-for="{ kind, there } in stays" :key="kind">
                <span class="box" aria-hidden="true" />
                <strong class="numeral">{{ there }}</strong>
                <span>{{ there === 1 ? propKind(kind).label : propKind(kind).plural }}</span>
              </li>
            </ul>
          </template>
        </section>
        <section aria-label="Substitutes">
          <h2>What replaces what</h2>
          <p v-if="steps.length === 0" class="empty">Nothing: everyone has the props as planned.</p>
          <ol>
            <li v-for="{ index, name, lines } in steps" :key="index">
              <p class="strong">{{ index + 1 }} {{ name }}</p>
              <p v-for="{ says, short } in lines" :key="says" class="small" :class="{ caution: short }">{{ says }}</p>
            </li>
          </ol>
        </section>
      </div>
    </template>
  </article>
</template>

<style scoped>
h2 {
  margin-top: 10px;
  font-size: 19px;
  line-height: 26px;
}
.from {
  display: flex;
  gap: 14px;
  align-items: center;
  margin-top: 8px;
}
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 40px;
}
.ticks li {
  display: grid;
  grid-template-columns: 16px 34px minmax(0, auto) 1fr;
  gap: 8px;
  align-items: center;
  min-height: 28px;
  border-bottom: 1px solid var(--line);
}
.numeral {
  font-size: 19px;
  text-align: right;
}
.tick {
  display: flex;
  gap: 10px;
  align-items: center;
}
.box {
  width: 14px;
  height: 14px;
  border: 1.5px solid var(--ink-2);
  border-radius: 2px;
}
ol li {
  padding: 4px 0 6px;
  border-top: 1px solid var(--line);
}
.empty {
  padding: 10px 0;
  color: var(--ink-2);
}
@media screen and (width < 820px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
    gap: 12px;
  }
}
@media print {
  .columns {
    gap: 24px;
  }
}
</style>
