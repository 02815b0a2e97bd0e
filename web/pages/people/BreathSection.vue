<script setup lang="ts">
import { computed } from 'vue';
import { easyBreath, isOutdated, type BreathMeasure, type MeasuredPart } from '#core/breath';
import type { Practised } from '#core/review';
import { clockTime, dayOf, shortDayOf } from '../../ui/dates';
import IconButton from '../../ui/IconButton.vue';
import RecordTable from '../../ui/RecordTable.vue';
import ChartView from '../../widgets/charts/ChartView.vue';
import { useSettings } from '../../state/settings';
import { breathOverTime, breathOverTimeInWords } from './breath-over-time';
import GrowthCheck from './GrowthCheck.vue';
import RatioTable from './RatioTable.vue';
import ValueDots from './ValueDots.vue';

/** How somebody breathes when it is easy: now, over time, and what every ratio on the ladder would mean. */
const { breaths, sessions, personId } = defineProps<{
  breaths: readonly BreathMeasure[];
  /** What they attended: easy sessions open the next ratio. Undefined until it has loaded. */
  sessions: readonly Practised[] | undefined;
  personId: string;
}>();
const emit = defineEmits<{ drop: [measureId: string] }>();

const settings = useSettings();
void settings.ready();
const PARTS: readonly { part: MeasuredPart; title: string }[] = [
  { part: 'in', title: 'In' },
  { part: 'out', title: 'Out' },
  { part: 'holdFull', title: 'Hold full' },
  { part: 'holdEmpty', title: 'Hold empty' },
];
const offer = computed(() => settings.current.breath.offer);
const history = computed(() => [...breaths].reverse());
const last = computed(() => history.value[0]);
const easy = computed(() => last.value && easyBreath(last.value));
const old = computed(() => last.value !== undefined && isOutdated(last.value.measuredAt, Date.now()));
const when = (measuredAt: string): string => {
  const ms = new Date(measuredAt).getTime();
  return `${dayOf(ms)}, ${clockTime(ms)}`;
};
const seconds = (value: number | undefined): string => (value === undefined ? '' : value.toFixed(1));
const rows = computed(() =>
  history.value.map((measure) => ({
    id: measure.id,
    atMs: new Date(measure.measuredAt).getTime(),
    when: when(measure.measuredAt),
    easy: easyBreath(measure),
  })),
);
type Row = (typeof rows.value)[number];
const COLUMNS = [
  { key: 'when', label: 'When', of: ({ atMs }: Row) => atMs },
  ...PARTS.map(({ part, title }) => ({
    key: part,
    label: `${title}, s`,
    number: true,
    of: ({ easy: of }: Row) => of[part] ?? '',
  })),
  { key: 'remove', label: 'Remove', number: true, hideLabel: true },
];
const over = computed(() =>
  breaths.map((measure) => ({ day: shortDayOf(new Date(measure.measuredAt).getTime()), easy: easyBreath(measure) })),
);
</script>

<template>
  <template v-if="last && easy">
    <section>
      <h2>
        Easy breath <span class="small quiet">measured {{ when(last.measuredAt) }}</span>
      </h2>
      <p v-if="old" class="caution small" role="status">More than six weeks old: measure again before relying on it.</p>
      <div class="values">
        <ValueDots v-for="{ part, title } in PARTS" :key="part" :part="part" :title="title" :values="last[part]" />
      </div>
    </section>
    <section v-if="over.length > 1">
      <h2>Over time</h2>
      <p>{{ breathOverTimeInWords(over) }}</p>
      <ChartView
        type="line"
        :data="(tone) => breathOverTime(over, tone)"
        :options="{ scales: { y: { title: { text: 'seconds' }, beginAtZero: true } } } as never"
        :says="breathOverTimeInWords(over)"
      />
    </section>
    <section>
      <h2>What each ratio would mean</h2>
      <p class="quiet small">
        The shortest count that keeps in- and out-breath close to what was measured ({{ offer.shortest }} to
        {{ offer.longest }} %), keeps every hold within {{ offer.hold }} % of the easy one, and makes nobody breathe
        faster than they do on their own. A ratio opens after enough easy sessions at the one before, counted from
        reviews of sessions they were at. The ladder and its gates are in the settings. Not medical advice: with a
        condition, no breath holding unless a doctor agrees.
      </p>
      <RatioTable
        :measured="easy"
        :ladder="settings.current.breath.ladder"
        :sessions="sessions"
        :person-id="personId"
      />
    </section>
    <GrowthCheck :rules="settings.current.breath.growth" />
    <section>
      <h2>All measurements</h2>
      <RecordTable name="measurements" label="All measurements" :columns="COLUMNS" :rows="rows" unsearched>
        <template #when="{ row }">{{ row.when }}</template>
        <template v-for="{ part } in PARTS" :key="part" #[part]="{ row }">{{ seconds(row.easy[part]) }}</template>
        <template #remove="{ row }">
          <IconButton icon="remove" :size="14" :label="`Remove ${row.when}`" @click="emit('drop', row.id)" />
        </template>
      </RecordTable>
    </section>
  </template>
  <section v-else>
    <h2>Easy breath</h2>
    <p class="small quiet">
      Not measured yet. It takes a minute: at least five easy breaths, and breath holding only if that is easy too.
    </p>
  </section>
</template>

<style scoped>
section {
  margin-top: 12px;
}
h2 {
  margin-bottom: 4px;
  font-size: 19px;
  line-height: 24px;
}
.values {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 36px;
}
</style>
