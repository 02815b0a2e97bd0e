<script setup lang="ts">
import Button from 'primevue/button';
import { useToast } from 'primevue/usetoast';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { easyBreath, type MeasuredPart } from '#core/breath';
import type { KeptInMind } from '#core/people';
import { restore } from '../client/plans';
import { deletePerson } from '../client/people';
import BackLink from '../shared/BackLink.vue';
import { clockTime, dayOf } from '../shared/dates';
import IconButton from '../shared/IconButton.vue';
import TextField from '../shared/fields/TextField.vue';
import { useHouse } from '../stores/house';
import GrowthCheck from './GrowthCheck.vue';
import KeepInMind from './KeepInMind.vue';
import MeasureDialog from './MeasureDialog.vue';
import RatioTable from './RatioTable.vue';
import { usePerson } from './use-person';
import ValueDots from './ValueDots.vue';

/** One person: how they breathe when it is easy, and what every ratio of the house's ladder would mean for them. */
const { id } = defineProps<{ id: string }>();

const router = useRouter();
const toast = useToast();
const house = useHouse();
void house.ready();
const { stored, trouble, missing, load, change, addMeasure } = usePerson(id);
const measuring = ref(false);
const person = computed(() => stored.value?.document);
const history = computed(() => [...(person.value?.breaths ?? [])].reverse());
const last = computed(() => history.value[0]);
const easy = computed(() => last.value && easyBreath(last.value));
const PARTS: readonly { part: MeasuredPart; title: string }[] = [
  { part: 'in', title: 'In' },
  { part: 'out', title: 'Out' },
  { part: 'holdFull', title: 'Hold full' },
  { part: 'holdEmpty', title: 'Hold empty' },
];
const when = (measuredAt: string): string => {
  const ms = new Date(measuredAt).getTime();
  return `${dayOf(ms)}, ${clockTime(ms)}`;
};
const seconds = (value: number | undefined): string => (value === undefined ? '' : value.toFixed(1));
const rows = computed(() =>
  history.value.map((measure) => {
    const of = easyBreath(measure);
    return { id: measure.id, when: when(measure.measuredAt), values: PARTS.map(({ part }) => seconds(of[part])) };
  }),
);

const wrong = ref('');
/** A change at a field: what is refused for its content is told there; what goes wrong later is told above. */
function setName(name: string): string | undefined {
  if (name.trim() === '') return 'A name is needed.';
  void change((before) => ({ ...before, name: name.trim() })).then((refused) => (wrong.value = refused ?? ''));
  return undefined;
}
function setNote(note: string): string | undefined {
  void change((before) => ({ ...before, note })).then((refused) => (wrong.value = refused ?? ''));
  return undefined;
}
function setKept(keepInMind: KeptInMind[]): void {
  void change((before) => ({ ...before, keepInMind })).then((refused) => (wrong.value = refused ?? ''));
}
async function dropMeasure(measureId: string): Promise<void> {
  const dropped = person.value?.breaths.find((one) => one.id === measureId);
  wrong.value =
    (await change((before) => ({ ...before, breaths: before.breaths.filter((one) => one.id !== measureId) }))) ?? '';
  if (dropped && wrong.value === '') undo.value = () => addMeasure(dropped);
}
const undo = ref<() => Promise<string | undefined>>();
async function takeBack(): Promise<void> {
  wrong.value = (await undo.value?.()) ?? '';
  undo.value = undefined;
}
async function remove(): Promise<void> {
  try {
    await deletePerson(id);
    toast.add({ severity: 'secondary', summary: `${person.value?.name ?? ''} is in the bin for 30 days`, life: 8000 });
    await router.push('/people');
  } catch (error) {
    wrong.value = (error as Error).message;
  }
}
async function bringBack(): Promise<void> {
  await restore({ kind: 'person', id }).then(load, (error: Error) => (wrong.value = error.message));
}
</script>

<template>
  <main v-if="person" class="room">
    <BackLink to="/people" label="People" />
    <header>
      <TextField class="heading-field" hide-label label="Name" :model-value="person.name" :accept="setName" />
      <Button label="Measure the breath" @click="measuring = true" />
      <IconButton icon="remove" label="Delete" hint="Into the bin for 30 days" @click="remove" />
    </header>
    <p v-if="wrong" class="caution strong" role="alert">{{ wrong }}</p>
    <p v-if="undo" role="status">
      The measuring is taken out. <button type="button" class="link-button" @click="takeBack">Take it back</button>
    </p>
    <TextField hide-label label="Note" placeholder="A note" :rows="2" :model-value="person.note" :accept="setNote" />
    <KeepInMind :kept="person.keepInMind" @change="setKept" />

    <template v-if="last && easy">
      <section>
        <h2>
          Easy breath <span class="small quiet">measured {{ when(last.measuredAt) }}</span>
        </h2>
        <div class="values">
          <ValueDots v-for="{ part, title } in PARTS" :key="part" :part="part" :title="title" :values="last[part]" />
        </div>
      </section>
      <section>
        <h2>What each ratio would mean</h2>
        <p class="quiet small">
          The longest count at which every part stays within four fifths of what was easy. A count below 0.8 s is not
          offered. The ladder is the house’s. Not medical advice: with a condition no holding without a doctor’s word.
        </p>
        <RatioTable :measured="easy" :ladder="house.rules.breath.ladder" />
      </section>
      <GrowthCheck :rules="house.rules.breath.growth" />
      <section>
        <h2>All measurings</h2>
        <table class="figures">
          <thead>
            <tr>
              <th scope="col">When</th>
              <th v-for="{ part, title } in PARTS" :key="part" scope="col" class="number">{{ title }}, s</th>
              <th><span class="sr-only">Take out</span></th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in rows" :key="row.id">
              <th scope="row">{{ row.when }}</th>
              <td v-for="(value, i) in row.values" :key="i" class="number">{{ value }}</td>
              <td class="number">
                <IconButton icon="remove" :size="14" :label="`Take out ${row.when}`" @click="dropMeasure(row.id)" />
              </td>
            </tr>
          </tbody>
        </table>
      </section>
    </template>
    <p v-else class="empty">
      Not measured yet. It takes a minute: at least five easy breaths, and holds only if they are easy too.
    </p>
    <MeasureDialog v-model:visible="measuring" :name="person.name" :save="addMeasure" />
  </main>
  <main v-else class="room">
    <h1>{{ missing ? 'Not here' : 'People' }}</h1>
    <p v-if="missing">
      This person is not here any more.
      <button type="button" class="link-button" @click="bringBack">Take back from the bin</button> or
      <RouterLink to="/people">back to people</RouterLink>.
    </p>
    <p v-else-if="trouble" class="caution strong" role="alert">
      {{ trouble }} <button type="button" class="link-button" @click="load">Try again</button>
    </p>
  </main>
</template>

<style scoped>
.room {
  display: flex;
  flex-direction: column;
  gap: 10px;
  max-width: 980px;
  padding: 10px 32px 40px;
}
header {
  display: flex;
  gap: 12px;
  align-items: center;
}
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
.empty {
  padding: 16px 0;
}
td .icon-button {
  width: 28px;
  height: 28px;
}
@media (width < 640px) {
  .room {
    padding: 10px 16px 32px;
  }
  header {
    flex-wrap: wrap;
  }
}
</style>
