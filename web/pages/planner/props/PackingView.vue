<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { availableIn } from '#core/cupboard';
import type { Plan } from '#core/plan';
import { propKind } from '#core/props';
import PickField from '../../../ui/fields/PickField.vue';
import { classInWords } from '../../../widgets/session/words';
import { insteadInWords, unmetInWords } from '../../../widgets/props/need-words';
import { useJob } from '../../../widgets/jobs/use-job';
import { useDemand } from '../../../state/demand';
import { useLibrary } from '../../../state/library';
import { usePlaces } from '../../../state/places';

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
      <h1>Packing list: {{ plan.title }}</h1>
      <p class="quiet">{{ classInWords(plan) }}</p>
    </header>
    <p v-if="stores.length === 0" class="empty">
      Nothing to pack from yet. <RouterLink to="/cupboard">Add what you keep yourself</RouterLink> as a place of its
      own.
    </p>
    <template v-else>
      <p class="screen-only from">
        <PickField
          v-model="fromId"
          label="packed from"
          :options="stores.map(({ id, document }) => ({ value: id, label: document.name }))"
        />
        <span class="small quiet">{{
          demand.place ? `what ${demand.place.name} has stays there` : 'no place is chosen: all of it is brought'
        }}</span>
      </p>
      <p v-if="trouble" class="caution" role="alert">{{ trouble }}</p>
      <p v-else-if="!list" class="empty">Working out what to bring…</p>
      <div v-else class="columns">
        <section aria-label="To bring">
          <h2>
            Bring <span class="small quiet print-only">from {{ from?.name }}</span>
          </h2>
          <p v-if="kinds.length === 0 && mats === 0" class="empty">Nothing: the place has all of it.</p>
          <ul class="ticks">
            <li v-for="{ kind, bring, use, there } in kinds" :key="kind">
              <span class="box" aria-hidden="true" />
              <strong class="numeral">{{ bring }}</strong>
              <span>{{ bring === 1 ? propKind(kind).label : propKind(kind).plural }}</span>
              <span class="small quiet">{{ there > 0 ? `${use} in use, ${there} there` : '' }}</span>
            </li>
            <li v-if="mats > 0">
              <span class="box" aria-hidden="true" />
              <strong class="numeral">{{ mats }}</strong>
              <span>{{ mats === 1 ? 'mat' : 'mats' }}</span>
              <span class="small quiet">{{ demand.place ? `${demand.place.mats.count} there` : '' }}</span>
            </li>
          </ul>
          <template v-if="stays.length > 0">
            <h2>Take from the cupboard there</h2>
            <ul class="ticks">
              <li v-for="{ kind, there } in stays" :key="kind">
                <span class="box" aria-hidden="true" />
                <strong class="numeral">{{ there }}</strong>
                <span>{{ there === 1 ? propKind(kind).label : propKind(kind).plural }}</span>
              </li>
            </ul>
          </template>
        </section>
        <section aria-label="In place of something">
          <h2>What lies in place of what</h2>
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
