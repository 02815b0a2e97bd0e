<script setup lang="ts">
import { computed } from 'vue';
import { useRouter } from 'vue-router';
import type { Plan } from '#core/plan';
import { isKnownKind, propKind, type PropKind } from '#core/props';
import type { Timeline } from '#core/timeline';
import RecordTable from '../../../ui/RecordTable.vue';
import AppIcon from '../../../ui/AppIcon.vue';
import PropGlyph from '../../../widgets/props/PropGlyph.vue';
import { insteadInWords, unmetInWords } from '../../../widgets/props/need-words';
import { useDemand } from '../../../state/demand';
import { useShortages } from '../../../widgets/props/use-shortages';
import { useEditor } from '../../../state/editor';
import PropSolutions from './PropSolutions.vue';
import { useSolutions } from './use-solutions';
import CarryingList from './CarryingList.vue';

/**
 * What each kind comes to for the group at its peak, against what the place has; and what to do where that is short.
 */
const { plan, timeline } = defineProps<{ plan: Plan; timeline: Timeline }>();

const editor = useEditor();
const demand = useDemand();
const shortages = useShortages();
const router = useRouter();

const firstState = (kind: PropKind): string => (isKnownKind(kind) ? (Object.keys(propKind(kind).states)[0] ?? '') : '');
const rows = computed(() =>
  demand.needs.map(({ kind, each, group, stepIndex }) => {
    const there = demand.available?.[kind];
    return {
      id: kind,
      kind,
      state: firstState(kind),
      label: propKind(kind).plural,
      each,
      group,
      there: demand.available ? (there ?? 0) : undefined,
      short: demand.available ? Math.max(0, group - (there ?? 0)) : 0,
      stepIndex,
      step: plan.steps[stepIndex]?.name ?? '',
    };
  }),
);
type Row = (typeof rows.value)[number];
const columns = computed(() => [
  { key: 'kind', label: 'Kind', of: ({ label }: Row) => label },
  { key: 'each', label: 'Each', number: true, of: ({ each }: Row) => each },
  { key: 'group', label: `For ${plan.groupSize}`, number: true, of: ({ group }: Row) => group },
  { key: 'there', label: 'Available', number: true, of: ({ there }: Row) => there ?? '' },
  { key: 'peak', label: 'Peak', of: ({ stepIndex }: Row) => stepIndex },
]);
/** Steps in which not everything is there as it is wished: met with something else, or not at all. */
const steps = computed(() =>
  demand.available
    ? plan.steps.flatMap((step, index) => {
        const moments = demand.momentsOfStep(index);
        const sentences = (lines: string[]): string[] => [...new Set(lines.filter(Boolean))];
        const instead = sentences(moments.flatMap(({ assignment }) => assignment.given.map(insteadInWords)));
        const unmet = sentences(moments.flatMap(({ assignment }) => assignment.unmet.map(unmetInWords)));
        const trouble = shortages.value.get(index);
        const wall = trouble?.wall ?? '';
        const short = trouble !== undefined;
        return instead.length + unmet.length > 0 || wall ? [{ step, index, instead, unmet, wall, short }] : [];
      })
    : [],
);
const { solutions, trouble } = useSolutions(() => steps.value.filter(({ short }) => short).map(({ step }) => step.id));
function goTo(index: number): void {
  editor.selected = plan.steps[index]?.id;
  void router.push(editor.path);
}
</script>

<template>
  <div class="columns">
    <section aria-label="Props needed">
      <h2>Props needed at the same time</h2>
      <p v-if="rows.length === 0" class="empty">This plan needs no props yet.</p>
      <RecordTable v-else name="needs" label="Props needed at the same time" :columns="columns" :rows="rows" unsearched>
        <template #kind="{ row }">
          <span class="kind"
            ><span class="glyph"><PropGlyph :piece="row" :scale="0.7" /></span>{{ row.label }}</span
          >
        </template>
        <template #group="{ row }"
          ><strong>{{ row.group }}</strong></template
        >
        <template #there="{ row }">
          <span v-if="row.short > 0" class="caution strong mark"
            ><AppIcon name="warn" :size="14" />{{ row.there }}</span
          >
          <template v-else>{{ row.there ?? '' }}</template>
        </template>
        <template #peak="{ row }">
          <button type="button" class="link-button small" @click="goTo(row.stepIndex)">
            {{ row.stepIndex + 1 }} {{ row.step }}
          </button>
        </template>
      </RecordTable>
      <CarryingList :plan="plan" :timeline="timeline" @choose="goTo" />
    </section>
    <section aria-label="Substitutes">
      <h2>Shortages</h2>
      <p v-if="!demand.available" class="empty">
        Choose a saved place above: its props are then shared out over the group, and shortages are shown here.
      </p>
      <p v-else-if="demand.trouble" class="caution" role="alert">{{ demand.trouble }}</p>
      <p v-else-if="!demand.isMet && steps.length === 0" class="empty">Working out how far the props go…</p>
      <p v-else-if="steps.length === 0" class="empty">
        {{ demand.place?.name }} has everything, as planned, at every moment.
      </p>
      <ol v-else>
        <li v-for="{ step, index, instead, unmet, wall, short } in steps" :key="step.id">
          <p class="head">
            <AppIcon v-if="short" name="warn" :size="16" class="caution" />
            <button type="button" class="plain-button strong" @click="goTo(index)">
              {{ index + 1 }} {{ step.name }}
            </button>
            <span class="small quiet">{{ short ? '' : 'works with what is available' }}</span>
          </p>
          <p v-for="line in unmet" :key="line" class="caution small">{{ line }}</p>
          <p v-if="wall" class="caution small">{{ wall }}</p>
          <p v-for="line in instead" :key="line" class="small">{{ line }}</p>
          <template v-if="short">
            <p class="small quiet ways">Solutions</p>
            <p v-if="trouble" class="small caution" role="alert">{{ trouble }}</p>
            <PropSolutions v-else :step="step" :solutions="solutions?.[step.id]" />
          </template>
        </li>
      </ol>
    </section>
  </div>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: minmax(0, 6fr) minmax(0, 5fr);
  gap: 40px;
}
h2 {
  font-size: 19px;
  line-height: 26px;
}
.empty {
  padding: 10px 0;
  color: var(--ink-2);
}
.kind {
  display: flex;
  gap: 8px;
  align-items: center;
}
.glyph {
  width: 48px;
}
.mark {
  display: inline-flex;
  gap: 4px;
  align-items: center;
}
li {
  padding: 6px 0 8px;
  border-top: 1px solid var(--line);
}
.head {
  display: flex;
  gap: 8px;
  align-items: center;
}
.ways {
  margin-top: 4px;
}
@media (width < 980px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
    gap: 16px;
  }
}
</style>
