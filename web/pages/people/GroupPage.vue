<script setup lang="ts">
import InputText from 'primevue/inputtext';
import { computed, ref, shallowRef } from 'vue';
import { stateInWords, stateOn } from '#core/caution';
import { searchable } from '#core/catalogue';
import type { Group } from '#core/people';
import { MAX_MEMBERS, newGroup, readGroup, type PersonCondition } from '#core/people';
import type { ListedPlan } from '#api';
import { groupClient } from '../../client/documents';
import { listAllPlans } from '../../client/plans';
import GroupLadder from './GroupLadder.vue';
import NotAdvice from '../../widgets/cautions/NotAdvice.vue';
import IconButton from '../../ui/IconButton.vue';
import DocumentPage from '../../widgets/documents/DocumentPage.vue';
import TextField from '../../ui/fields/TextField.vue';
import { startInWords } from '../../ui/dates';
import { today } from '../../state/days';
import { sourceOf, useSyncedDocument } from '../../sync/source';
import { useKnowledge } from '../../state/knowledge';
import { usePeople } from '../../state/people';
import { useBinning } from '../../widgets/documents/use-binning';

/** A group: who is in it, and the plans that are made for it. */
const { id } = defineProps<{ id: string }>();

const people = usePeople();
const cautions = useKnowledge();
void people.load();
const synced = useSyncedDocument<Group, Group>({
  ...sourceOf(`group.${id}`, readGroup, groupClient.at(id)),
  initial: newGroup(''),
  onSaved: people.changed,
});
const { document, change } = synced;
void synced.ready();

const query = ref('');
const refused = ref('');
const members = computed(() => people.of(document.value.members));
const gone = computed(() => document.value.members.length - members.value.length);
const others = computed(() => {
  const wanted = searchable(query.value);
  return (people.people ?? []).filter(
    (one) => !document.value.members.includes(one.id) && searchable(one.document.name).includes(wanted),
  );
});
const put = (name: string, patch: Partial<Group>): string | undefined => change(name, { ...document.value, ...patch });
const setMembers = (name: string, ids: string[]): void => {
  refused.value = people.people ? (put(name, { members: ids }) ?? '') : 'People have not loaded yet.';
};
const add = (...ids: string[]): void => setMembers('add', [...document.value.members, ...ids]);
const takeOut = (personId: string): void =>
  setMembers(
    'remove',
    document.value.members.filter((one) => one !== personId),
  );
const dropGone = (): void =>
  setMembers(
    'remove',
    members.value.map((one) => one.id),
  );
/** A condition as it is today, in one line. */
const toldOf = (conditions: readonly PersonCondition[]): string =>
  conditions
    .map((kept) => {
      const known = cautions.knowledge.conditions.find(({ id: of }) => of === kept.condition);
      return known
        ? stateInWords(stateOn(kept, known, today()), known)
        : `${kept.words || kept.condition} (not screened)`;
    })
    .join('; ');

const plans = shallowRef<ListedPlan[]>([]);
listAllPlans({ groupId: id }).then(
  (found) => (plans.value = found),
  () => (plans.value = []),
);
const { remove, bringBack } = useBinning(
  { kind: 'group', id },
  {
    synced,
    remove: groupClient.remove,
    name: () => document.value.name,
    changed: people.changed,
    listPath: '/people?view=groups',
  },
);
</script>

<template>
  <DocumentPage
    :synced="synced"
    :name="document.name"
    :rename="(name) => put('rename', { name: name.trim() })"
    back-to="/people?view=groups"
    back-label="Groups"
    noun="group"
    @remove="remove"
    @bring-back="bringBack"
  >
    <TextField
      hide-label
      label="Note"
      placeholder="A note"
      :model-value="document.note"
      :accept="(note) => put('change note', { note })"
    />
    <p v-if="plans.length > 0" class="small">
      Plans for them:
      <template v-for="(plan, i) in plans" :key="plan.id">
        <template v-if="i > 0">, </template>
        <RouterLink :to="`/plans/${plan.id}/people`">{{ plan.summary.title }}</RouterLink>
        <span v-if="plan.summary.startsAt" class="quiet starts">{{ startInWords(plan.summary.startsAt) }}</span>
      </template>
    </p>
    <p v-if="refused" class="caution" role="alert">{{ refused }}</p>
    <div class="columns">
      <section aria-label="In the group">
        <h2>
          In the group <span class="small quiet">{{ document.members.length }} of at most {{ MAX_MEMBERS }}</span>
        </h2>
        <p v-if="document.members.length === 0" class="quiet">Nobody yet. Choose a name from the list to add them.</p>
        <ul>
          <li v-for="one in members" :key="one.id">
            <RouterLink :to="`/people/${one.id}`">{{ one.person.name }}</RouterLink>
            <span class="quiet small">{{ toldOf(one.person.conditions) }}</span>
            <IconButton icon="remove" :size="14" :label="`Remove ${one.person.name}`" @click="takeOut(one.id)" />
          </li>
        </ul>
        <p v-if="people.people && gone > 0" class="small quiet">
          and {{ gone }} who {{ gone === 1 ? 'is' : 'are' }} could not be found
          <button type="button" class="link-button small" @click="dropGone">remove</button>
        </p>
      </section>
      <section aria-label="Others">
        <h2>Others</h2>
        <InputText
          v-model="query"
          class="find"
          size="small"
          placeholder="Search"
          aria-label="Search for someone to add"
        />
        <div class="chips">
          <button v-for="one in others" :key="one.id" type="button" @click="add(one.id)">
            {{ one.document.name }}
          </button>
        </div>
        <p v-if="others.length === 0" class="quiet small">
          Everyone is in the group. <RouterLink to="/people">Add people</RouterLink>
        </p>
      </section>
    </div>
    <GroupLadder :group="id" />
    <NotAdvice />
  </DocumentPage>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: minmax(0, 3fr) minmax(0, 2fr);
  gap: 40px;
  margin-top: 6px;
}
h2 {
  font-size: 19px;
  line-height: 26px;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr) auto;
  gap: 12px;
  align-items: center;
  min-height: 34px;
  border-top: 1px solid var(--line);
}
li a {
  overflow-wrap: anywhere;
}
.starts {
  margin-left: 6px;
}
.find {
  width: 100%;
  margin: 4px 0 8px;
}
@media (width < 820px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
    gap: 12px;
  }
}
</style>
