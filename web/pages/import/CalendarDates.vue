<script setup lang="ts">
import Button from 'primevue/button';
import Column from 'primevue/column';
import DataTable from 'primevue/datatable';
import { computed, reactive, ref, shallowRef } from 'vue';
import { useToast } from 'primevue/usetoast';
import { useRouter } from 'vue-router';
import { readCalendar, type CalendarDate } from '#core/exchange';
import type { ListedPlan } from '#api';
import { listAllPlans } from '../../client/plans';
import { today } from '../../state/days';
import { useIncoming } from '../../state/incoming';
import { usePlaces } from '../../state/places';
import { useSettings } from '../../state/settings';
import { dayInWords, momentInWords } from '../../ui/dates';
import SelectField from '../../ui/fields/SelectField.vue';
import ImportHead from './ImportHead.vue';
import { isThere, likely, takeDate, type Becomes } from './take-dates';

/** The dates of a calendar file: which are taken, and what each becomes. Nothing is saved before they are chosen. */
const incoming = useIncoming();
const settings = useSettings();
const places = usePlaces();
const router = useRouter();
const toast = useToast();
void settings.ready();
void places.ready();

const read = computed(() => {
  const found = incoming.shown;
  if (found?.kind !== 'calendar') return { dates: [], more: false };
  const calendar = readCalendar(found.text, Intl.DateTimeFormat().resolvedOptions().timeZone);
  return calendar.ok ? calendar : { dates: [], more: false };
});
const plans = shallowRef<readonly ListedPlan[]>([]);
const trouble = ref('');
const becomes = reactive<Record<string, Becomes>>({});
const chosen = shallowRef<CalendarDate[]>([]);
const loaded = ref(false);

listAllPlans()
  .then((found) => (plans.value = found))
  .catch((error: Error) => (trouble.value = error.message))
  .finally(() => {
    for (const date of read.value.dates) becomes[date.id] = likely(date, plans.value);
    chosen.value = read.value.dates.filter((date) => whyNot(date) === '' && date.day >= today());
    loaded.value = true;
  });
const asWished = (date: CalendarDate): Becomes => becomes[date.id] ?? 'new';

/** Why a date is not chosen by itself; empty if nothing speaks against it. */
function whyNot(date: CalendarDate): string {
  if (date.startsAt === null) return 'a whole day, without a time';
  if (isThere(date, asWished(date), plans.value)) return 'the plan has this date already';
  return date.cancelled ? 'cancelled' : '';
}
const choices = computed(() => [
  { value: 'new' as Becomes, label: 'a new plan' },
  ...plans.value.flatMap(({ id, summary }) => [
    { value: `copy ${id}` as Becomes, label: `a copy of “${summary.title}”` },
    { value: `date ${id}` as Becomes, label: `the date of “${summary.title}”` },
  ]),
]);
/** A plan has one date: of several that would become the date of one plan, the last would stay. */
const twice = computed(() => {
  const dates = chosen.value.map(asWished).filter((wish) => wish.startsWith('date '));
  return dates.length !== new Set(dates).size;
});
const takable = computed(() => chosen.value.filter(({ startsAt }) => startsAt !== null));

const busy = ref(false);
async function take(): Promise<void> {
  if (busy.value) return;
  busy.value = true;
  trouble.value = '';
  let count = 0;
  try {
    for (const date of takable.value) {
      await takeDate(date, asWished(date), settings.current);
      count++;
      chosen.value = chosen.value.filter((one) => one !== date);
    }
    const summary = count === 1 ? '1 date was taken' : `${count} dates were taken`;
    toast.add({ severity: 'secondary', summary, life: 8000 });
    if (incoming.shown) incoming.drop(incoming.shown);
    await router.push(incoming.files.length > 0 ? '/import' : '/');
  } catch (error) {
    trouble.value = `${(error as Error).message} ${count} of the dates were taken; the others are still chosen.`;
  } finally {
    busy.value = false;
  }
}
const whenOf = ({ startsAt, day }: CalendarDate): string =>
  startsAt === null ? dayInWords(day) : momentInWords(new Date(startsAt).getTime());
const detailsOf = (date: CalendarDate): string =>
  [whenOf(date), date.seconds > 0 ? `${Math.round(date.seconds / 60)} min` : '', date.place]
    .filter(Boolean)
    .join(' · ');
</script>

<template>
  <ImportHead title="Dates from a calendar" :status="`${read.dates.length} dates, ${chosen.length} chosen`">
    <Button label="Discard" outlined @click="incoming.discard()" />
    <Button
      :label="takable.length === 1 ? 'Take 1 date' : `Take ${takable.length} dates`"
      :disabled="takable.length === 0 || twice"
      :loading="busy"
      @click="take"
    />
  </ImportHead>
  <p v-if="trouble" class="caution" role="alert">{{ trouble }}</p>
  <p v-if="twice" class="caution" role="alert">Two of the chosen dates would be the date of the same plan.</p>
  <p v-if="read.more" class="quiet">Only the first {{ read.dates.length }} dates of this calendar are shown.</p>
  <DataTable
    v-model:selection="chosen"
    :value="read.dates"
    :loading="!loaded"
    data-key="id"
    size="small"
    :pt="{ table: { 'aria-label': 'Dates in the calendar' } }"
  >
    <Column selection-mode="multiple" />
    <Column header="Date" :pt="{ bodyCell: { role: 'rowheader' } }">
      <template #body="{ data }: { data: CalendarDate }">
        <span class="date">
          <strong>{{ data.title || 'no title' }}</strong>
          <span class="small quiet">{{ detailsOf(data) }}</span>
        </span>
      </template>
    </Column>
    <Column header="Becomes">
      <template #body="{ data }: { data: CalendarDate }">
        <span v-if="data.startsAt === null" class="quiet">{{ whyNot(data) }}</span>
        <span v-else class="becomes">
          <SelectField v-model="becomes[data.id]!" hide-label :label="`${whenOf(data)} becomes`" :options="choices" />
          <span v-if="whyNot(data)" class="small quiet">{{ whyNot(data) }}</span>
        </span>
      </template>
    </Column>
  </DataTable>
</template>

<style scoped>
.date {
  display: grid;
  overflow-wrap: anywhere;
}
.becomes {
  display: inline-flex;
  flex-wrap: wrap;
  gap: 2px 10px;
  align-items: center;
}
@media (width < 700px) {
  .becomes :deep(.p-select) {
    max-width: 150px;
  }
}
</style>
