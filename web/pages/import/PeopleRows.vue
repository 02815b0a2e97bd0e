<script setup lang="ts">
import Button from 'primevue/button';
import { useToast } from 'primevue/usetoast';
import { computed, reactive, ref } from 'vue';
import { useRouter } from 'vue-router';
import {
  COLUMN_MEANINGS,
  KEEP_WORDS,
  LEAVE_OUT,
  peopleIn,
  takenAs,
  type AskedCondition,
  type ColumnMeaning,
  type PersonRow,
} from '#core/exchange';
import { CONDITIONS } from '#library/cautions';
import { today } from '../../state/days';
import { useIncoming } from '../../state/incoming';
import { usePeople } from '../../state/people';
import SelectField from '../../ui/fields/SelectField.vue';
import { readDay } from '../../ui/typed-dates';
import NotAdvice from '../../widgets/cautions/NotAdvice.vue';
import ImportHead from './ImportHead.vue';
import { putIntoGroup, takePerson, usually, type PersonBecomes } from './take-people';

/** The people of a table: what its columns hold, who is here already, and what each condition is taken as. */
const incoming = useIncoming();
const people = usePeople();
const router = useRouter();
const toast = useToast();
void people.ready();

const table = computed(() => (incoming.shown?.kind === 'people' ? incoming.shown.table : { columns: [], rows: [] }));
const meanings = ref<ColumnMeaning[]>(table.value.columns.map(({ likely }) => likely));
const MEANING_LABELS: Readonly<Record<ColumnMeaning, string>> = {
  name: 'name',
  firstName: 'first name',
  lastName: 'last name',
  birthDate: 'date of birth',
  contact: 'contact',
  emergency: 'emergency contact',
  conditions: 'conditions',
  note: 'a note',
  group: 'group',
  nothing: 'not used',
};
const meaningOptions = COLUMN_MEANINGS.map((value) => ({ value, label: MEANING_LABELS[value] }));
const setMeaning = (index: number, meaning: ColumnMeaning): void => {
  meanings.value = meanings.value.map((one, i) => (i === index ? meaning : one));
};

const rows = computed(() =>
  peopleIn(table.value, meanings.value, {
    conditions: CONDITIONS,
    here: (people.people ?? []).map(({ id, document }) => ({ id, name: document.name })),
    today: today(),
    readDay,
  }),
);
const becomes = reactive<Record<string, PersonBecomes>>({});
const wish = (row: PersonRow): PersonBecomes => becomes[row.id] ?? usually(row);
const wishesFor = ({ same }: PersonRow): { value: PersonBecomes; label: string }[] => [
  { value: 'new', label: same === null ? 'add' : 'add as somebody else' },
  ...(same?.kind === 'here' ? [{ value: 'fill' as const, label: 'fill in what is missing' }] : []),
  { value: 'skip', label: 'skip' },
];
const decided = reactive<Record<string, string>>({});
const nameOf = (id: string): string => CONDITIONS.find((one) => one.id === id)?.name ?? id;
const choicesFor = ({ choices, words }: AskedCondition): { value: string; label: string }[] => [
  ...choices.map((value) => ({ value, label: nameOf(value) })),
  { value: KEEP_WORDS, label: `“${words}”, in these words; no caution is shown for it` },
  { value: LEAVE_OUT, label: 'ignore it' },
];

const wanted = computed(() => rows.value.filter((row) => wish(row) !== 'skip'));
const toCheck = computed(
  () => wanted.value.flatMap(({ conditions }) => conditions).filter(({ id, sure }) => !sure && !(id in decided)).length,
);
const toCheckInWords = computed(() => {
  if (toCheck.value === 0) return '';
  return toCheck.value === 1 ? ', 1 condition to check' : `, ${toCheck.value} conditions to check`;
});

const busy = ref(false);
const trouble = ref('');
/** Whoever was taken already is not taken again after a failure. */
const taken = new Map<string, string>();
async function take(): Promise<void> {
  if (busy.value) return;
  busy.value = true;
  trouble.value = '';
  try {
    for (const row of wanted.value) {
      const as = wish(row);
      if (as !== 'skip' && !taken.has(row.id)) taken.set(row.id, await takePerson(row, as, decided));
    }
    for (const group of new Set(wanted.value.map((row) => row.group).filter(Boolean))) {
      const members = wanted.value.flatMap((row) => (row.group === group ? (taken.get(row.id) ?? []) : []));
      await putIntoGroup(group, members);
    }
    const summary = taken.size === 1 ? '1 person was taken' : `${taken.size} people were taken`;
    toast.add({ severity: 'secondary', summary, life: 8000 });
    people.changed();
    if (incoming.shown) incoming.drop(incoming.shown);
    await router.push(incoming.files.length > 0 ? '/import' : '/people');
  } catch (error) {
    trouble.value = `${(error as Error).message} ${taken.size} of them were taken; try again for the others.`;
    people.changed();
  } finally {
    busy.value = false;
  }
}
</script>

<template>
  <ImportHead title="People from a table" :status="`${rows.length} people${toCheckInWords}`">
    <Button label="Discard" outlined @click="incoming.discard()" />
    <Button
      :label="wanted.length === 1 ? 'Take 1 person' : `Take ${wanted.length} people`"
      :disabled="wanted.length === 0"
      :loading="busy"
      @click="take"
    />
  </ImportHead>
  <p v-if="trouble" class="caution" role="alert">{{ trouble }}</p>
  <section aria-labelledby="columns">
    <h2 id="columns">Columns</h2>
    <ul class="columns">
      <li v-for="(column, i) in table.columns" :key="i">
        <span class="heading">{{ column.heading }}</span>
        <span class="small quiet">{{ column.sample || 'empty' }}</span>
        <SelectField
          hide-label
          :label="`“${column.heading}” holds`"
          :options="meaningOptions"
          :model-value="meanings[i] ?? 'nothing'"
          @update:model-value="(meaning) => setMeaning(i, meaning)"
        />
      </li>
    </ul>
  </section>
  <section aria-labelledby="people">
    <h2 id="people">People</h2>
    <p class="small quiet">
      Health notes belong to the person: keep only what they have agreed to. A guess is shown with the words of the
      table, which stay beside it as a note.
    </p>
    <p v-if="rows.length === 0" class="empty">No column holds names. Choose one above.</p>
    <ol>
      <li v-for="row in rows" :key="row.id" :class="{ skipped: wish(row) === 'skip' }">
        <div class="who">
          <strong>{{ row.person.name }}</strong>
          <span class="small quiet">
            {{
              [row.person.birthDate, row.person.contact, row.person.emergency, row.person.note, row.group]
                .filter(Boolean)
                .join(' · ')
            }}
          </span>
          <span v-for="issue in row.issues" :key="issue.field" class="small caution"
            >{{ issue.reason }} It is left empty.</span
          >
          <span v-if="row.same?.kind === 'here'" class="small caution">Somebody of this name is here already.</span>
          <span v-else-if="row.same" class="small caution">The same name is in row {{ row.same.line }}.</span>
        </div>
        <div class="conditions">
          <span v-for="condition in row.conditions" :key="condition.id" class="condition">
            <span class="small" :class="condition.sure ? 'quiet' : 'caution'"
              >“{{ condition.words }}”{{ condition.sure ? '' : ' may be' }}</span
            >
            <SelectField
              hide-label
              :label="`${row.person.name}: “${condition.words}” is`"
              :options="choicesFor(condition)"
              :model-value="decided[condition.id] ?? takenAs(condition)"
              @update:model-value="(as) => (decided[condition.id] = as)"
            />
          </span>
        </div>
        <SelectField
          hide-label
          :label="`What becomes of ${row.person.name}`"
          :options="wishesFor(row)"
          :model-value="wish(row)"
          @update:model-value="(as) => (becomes[row.id] = as)"
        />
      </li>
    </ol>
    <NotAdvice />
  </section>
</template>

<style scoped>
h2 {
  margin-top: 10px;
  font-size: 19px;
  line-height: 24px;
}
.columns {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 18px;
  margin: 4px 0;
  padding: 0;
  list-style: none;
}
.columns li {
  display: grid;
  max-width: 180px;
}
.heading {
  font-weight: 600;
}
.columns .small {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
ol {
  margin: 6px 0 10px;
  padding: 0;
  border-top: 1px solid var(--line);
  list-style: none;
}
ol li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.2fr) 200px;
  gap: 4px 16px;
  align-items: start;
  padding: 8px 0;
  border-bottom: 1px solid var(--line);
}
.who,
.conditions {
  display: grid;
  gap: 2px;
  overflow-wrap: anywhere;
}
.condition {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 8px;
  align-items: center;
}
.condition :deep(.p-select) {
  max-width: 300px;
}
.skipped .who,
.skipped .conditions {
  opacity: 0.6;
}
@media (width < 700px) {
  ol li {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
