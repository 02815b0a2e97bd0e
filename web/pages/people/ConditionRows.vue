<script setup lang="ts">
import InputText from 'primevue/inputtext';
import { computed, onMounted, ref, useTemplateRef, watch } from 'vue';
import { AREA_WORDS, conditionsLike, nearestConditions, screeningQuestions } from '#core/caution';
import { searchable } from '#core/catalogue';
import { IN_WORDS, personCondition, type PersonCondition } from '#core/people';
import { newId } from '../../client/new-id';
import { useKnowledge } from '../../state/knowledge';
import ConditionRow from './ConditionRow.vue';
import FieldReason from '../../ui/fields/FieldReason.vue';

/** Someone's conditions, typed in plain words or by the usual term; unknown ones are kept as typed. */
const { conditions, isNew = false } = defineProps<{
  conditions: readonly PersonCondition[];
  /** Somebody who was just added: their conditions are asked for first. */
  isNew?: boolean;
}>();
const emit = defineEmits<{ change: [conditions: PersonCondition[]] }>();

/** Whoever was just added has nothing yet: the first thing to do is ask. */
const field = useTemplateRef<{ $el: HTMLInputElement }>('field');
onMounted(() => {
  if (isNew) field.value?.$el.focus();
});
const known = useKnowledge();
const typed = ref('');
const refused = ref('');
const knownOf = (id: string) => known.knowledge.conditions.find((one) => one.id === id);
const form = computed(() => screeningQuestions(known.knowledge));
/** What fits what was typed, as far as they do not have it already; by area where nothing was typed. */
const groups = computed(() => {
  const taken = new Set(conditions.map(({ condition }) => condition));
  const left = form.value.map(({ area, questions }) => ({
    title: AREA_WORDS[area],
    questions: questions.filter(({ id }) => !taken.has(id)),
  }));
  const all =
    typed.value.trim() === ''
      ? left
      : [
          {
            title: '',
            questions: conditionsLike(
              typed.value,
              left.flatMap(({ questions }) => questions),
            ),
          },
        ];
  return all.filter(({ questions }) => questions.length > 0);
});
const open = ref(false);
/** Nothing fits: the nearest are offered first, and only then it is kept as it was typed. */
const isAsking = ref(false);
const nearest = computed(() =>
  nearestConditions(
    typed.value,
    form.value.flatMap(({ questions }) => questions),
  ),
);
watch(typed, () => (isAsking.value = false));
function add(condition: string, words = ''): void {
  emit('change', [...conditions, personCondition(newId(), condition, words)]);
  [typed.value, refused.value, open.value, isAsking.value] = ['', '', false, false];
}
/** The one that fits what was typed; else what is nearest is offered first. */
function addTyped(): void {
  const words = typed.value.trim();
  const fitting = groups.value.flatMap(({ questions }) => questions);
  refused.value = '';
  if (words === '') open.value = !open.value;
  else if (fitting.length === 1 && fitting[0]) add(fitting[0].id);
  else if (fitting.length > 1) open.value = true;
  else if (
    conditionsLike(
      words,
      form.value.flatMap(({ questions }) => questions),
    ).length > 0
  )
    refused.value = 'That has been added already.';
  else if (words.length > 120) refused.value = 'At most 120 characters.';
  else if (conditions.some((one) => searchable(one.words) === searchable(words) && one.words !== ''))
    refused.value = 'That has been added already.';
  else isAsking.value = true;
}
const change = (id: string, patch: Partial<PersonCondition>): void =>
  emit(
    'change',
    conditions.map((one) => (one.id === id ? { ...one, ...patch } : one)),
  );
const remove = (id: string): void =>
  emit(
    'change',
    conditions.filter((one) => one.id !== id),
  );
</script>

<template>
  <section aria-label="Conditions">
    <h2>Conditions</h2>
    <p v-if="conditions.length === 0" class="quiet small">No conditions are known.</p>
    <ul>
      <ConditionRow
        v-for="one in conditions"
        :key="one.id"
        :kept="one"
        :known="knownOf(one.condition)"
        :is-twice="
          conditions.filter(({ condition }) => condition === one.condition && condition !== IN_WORDS).length > 1
        "
        @change="(patch) => change(one.id, patch)"
        @remove="remove(one.id)"
      />
    </ul>
    <form class="add" @submit.prevent="addTyped">
      <InputText
        ref="field"
        v-model="typed"
        size="small"
        placeholder="Add: knee, glaucoma, pregnancy …"
        aria-label="Add a condition"
        :invalid="refused !== ''"
        :aria-describedby="refused === '' ? undefined : 'condition-reason'"
        @focus="open = true"
        @keydown.esc="open = false"
      />
      <button type="submit" class="link-button">Add</button>
      <button type="button" class="link-button quiet" :aria-expanded="open" @click="open = !open">
        {{ open ? 'Hide the list' : 'Show the list' }}
      </button>
    </form>
    <FieldReason v-if="refused" id="condition-reason">{{ refused }}</FieldReason>
    <div v-if="isAsking" class="asking small" role="status">
      <p>“{{ typed.trim() }}” is not a name we know. Did you mean:</p>
      <p class="near">
        <button v-for="one in nearest" :key="one.id" type="button" :title="one.terms" @click="add(one.id)">
          {{ one.name }}
        </button>
      </p>
      <p class="quiet">
        There is no guidance for other words:
        <button type="button" class="link-button" @click="add(IN_WORDS, typed.trim())">
          Keep “{{ typed.trim() }}”, not screened
        </button>
      </p>
    </div>
    <div v-if="open && groups.length > 0" class="list">
      <div v-for="{ title, questions } in groups" :key="title">
        <p v-if="title" class="small quiet">{{ title }}</p>
        <button v-for="one in questions" :key="one.id" type="button" :title="one.terms" @click="add(one.id)">
          {{ one.name }}
        </button>
      </div>
    </div>
  </section>
</template>

<style scoped>
h2 {
  font-size: 19px;
  line-height: 24px;
}
.add {
  display: flex;
  gap: 10px;
  align-items: center;
  padding: 8px 0 2px;
  border-top: 1px solid var(--line);
}
.add input {
  flex: 1;
  min-width: 0;
}
.list {
  max-height: 300px;
  overflow: auto;
  padding: 4px 10px 10px;
  border: 1px solid var(--line-strong);
  border-radius: 4px;
  background: var(--sheet);
}
.list p {
  margin: 6px 0 3px;
}
.list button {
  margin: 0 6px 4px 0;
}
.near button,
.list button {
  min-height: 28px;
  padding: 0 9px;
  border: 1px solid var(--line-strong);
  border-radius: 4px;
  background: none;
  font-size: 14px;
  cursor: pointer;
}
.near {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 6px;
  padding: 4px 0;
}
@media (pointer: coarse) {
  .near button,
  .list button {
    min-height: 44px;
  }
}
</style>
