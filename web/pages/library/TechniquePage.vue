<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import { breathCost, roundInWords } from '#core/breath';
import type { Technique } from '#core/catalogue';
import { clockOfMs, clockOfSeconds } from '#core/time';
import AppIcon from '../../ui/AppIcon.vue';
import BackLink from '../../ui/BackLink.vue';
import RoundView from '../../widgets/breath/RoundView.vue';
import TryIt from '../../widgets/breath/TryIt.vue';
import EntryActions from './EntryActions.vue';
import UsedIn from './UsedIn.vue';
import { useLibrary } from '../../state/library';

/** One breath technique: what a round of it is, how it is taught, and what it asks of whom. */
const { id } = defineProps<{ id: string }>();
const library = useLibrary();

const trying = ref(false);
const technique = computed(() => library.all.technique(id));
const usual = computed(() => {
  if (!technique.value) return '';
  const { practice } = technique.value;
  const rounds = practice.sets.reduce((sum, set) => sum + set.rounds, 0);
  return `${rounds} ${rounds === 1 ? 'round' : 'rounds'}, ${clockOfMs(breathCost(practice).lengthMs)}`;
});
const rangeOfTechnique = ({ range }: Technique): string =>
  `${clockOfSeconds(range.minSeconds)} to ${clockOfSeconds(range.maxSeconds)}`;
const details = computed(() =>
  technique.value
    ? [
        { what: 'Range', says: rangeOfTechnique(technique.value) },
        { what: 'Seat', says: technique.value.seat },
        { what: 'First', says: technique.value.gates },
      ].filter(({ says }) => says !== '')
    : [],
);
</script>

<template>
  <main v-if="technique">
    <BackLink to="/library" label="Library" />
    <div class="title">
      <h1>{{ technique.names.english }}</h1>
      <EntryActions :entry="technique" />
    </div>
    <p class="quiet">{{ technique.names.sanskrit }}</p>
    <p class="aims">{{ technique.round }}</p>
    <dl>
      <dt>Usually</dt>
      <dd>{{ usual }}</dd>
      <template v-for="{ what, says } in details" :key="what">
        <dt>{{ what }}</dt>
        <dd>{{ says }}</dd>
      </template>
    </dl>
    <ol class="sets">
      <li v-for="set in technique.practice.sets" :key="set.id">
        <RoundView :set="set" :count-seconds="technique.practice.countSeconds" />
        <p class="small quiet">
          {{ [set.label, roundInWords(set), set.rounds > 1 ? `${set.rounds} rounds` : ''].filter(Boolean).join(' · ') }}
        </p>
      </li>
    </ol>
    <Button label="Try it" outlined @click="trying = true" />
    <TryIt v-model:visible="trying" :practice="technique.practice" :name="technique.names.english" />
    <template v-if="technique.taught.length > 0">
      <h2>How it is taught</h2>
      <ol>
        <li v-for="step in technique.taught" :key="step">{{ step }}</li>
      </ol>
    </template>
    <template v-if="technique.mistakes">
      <h2>Common mistakes</h2>
      <p>{{ technique.mistakes }}</p>
    </template>
    <div class="cautions">
      <AppIcon name="warn" :size="16" class="caution" />
      <div>
        <p v-if="technique.caution">{{ technique.caution }}</p>
        <p class="small quiet">
          Usual cautions, not medical advice. With a condition, ask a doctor or licensed practitioner.
        </p>
      </div>
    </div>
    <UsedIn :entry="technique.id" />
  </main>
  <main v-else>
    <h1>Not in the library</h1>
    <p>This technique could not be found. <RouterLink to="/library">Back to the library</RouterLink></p>
  </main>
</template>

<style scoped>
main {
  max-width: 760px;
  padding: 10px 32px 32px;
}
.title {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: center;
}
h1 {
  font-size: 30px;
  line-height: 36px;
}
h2 {
  margin-top: 18px;
  font-size: 19px;
  line-height: 24px;
}
.aims {
  margin-top: 8px;
  font-size: 17px;
  line-height: 23px;
}
dl {
  display: grid;
  grid-template-columns: max-content 1fr;
  gap: 2px 14px;
  margin: 10px 0 0;
}
dt {
  font-weight: 600;
}
dd {
  margin: 0;
}
ol {
  padding-left: 18px;
  list-style: decimal;
}
.sets {
  padding: 0;
  margin: 10px 0;
  list-style: none;
}
li {
  padding: 2px 0;
}
.cautions {
  display: flex;
  gap: 10px;
  margin-top: 16px;
  padding-top: 12px;
  border-top: 1px solid var(--line);
}
</style>
