<script setup lang="ts">
import { computed } from 'vue';
import { practiceMs, taughtStep } from '#core/breath';
import { breathFrom } from '#core/plan';
import { readAloud } from '#core/script';
import { clockOfMs, clockOfSeconds } from '#core/time';
import { taughtTechnique } from '#library/teaching';
import AppIcon from '../../ui/AppIcon.vue';
import BackLink from '../../ui/BackLink.vue';
import { usePageTitle } from '../../ui/page-title';
import GeneralCautions from '../../widgets/cautions/GeneralCautions.vue';
import NotAdvice from '../../widgets/cautions/NotAdvice.vue';
import ScriptLines from '../../widgets/script/ScriptLines.vue';
import { useLibrary } from '../../state/library';
import EntryActions from './EntryActions.vue';
import EntryTags from './EntryTags.vue';
import LadderPlace from './LadderPlace.vue';
import TechniquePreview from './TechniquePreview.vue';
import UsedIn from './UsedIn.vue';

/** One breath technique: how it looks, how it is taught, where it stands on the ladder, and who should take care. */
const { id } = defineProps<{ id: string }>();
const library = useLibrary();

const technique = computed(() => {
  const entry = library.all.technique(id);
  return entry && taughtTechnique(entry);
});
const step = computed(() => technique.value && breathFrom(technique.value, 'this'));
const usualMs = computed(() => (technique.value ? practiceMs(technique.value.practice) : 0));
const spoken = computed(() => (technique.value ? readAloud(technique.value) : []));
usePageTitle(() => [technique.value?.names.english, 'Library']);
</script>

<template>
  <main v-if="technique">
    <header>
      <BackLink to="/library" label="Library" />
      <div class="title">
        <h1>{{ technique.names.english }}</h1>
        <EntryActions :entry="technique" />
      </div>
      <p class="quiet">
        {{ [technique.names.sanskrit, technique.round].filter(Boolean).join(' · ') }}
      </p>
    </header>
    <div class="page">
      <TechniquePreview :technique="technique" />
      <section class="details" aria-label="Details">
        <p class="aims">
          Usually {{ clockOfSeconds(technique.range.minSeconds) }} to {{ clockOfSeconds(technique.range.maxSeconds) }}.
          <template v-if="technique.gates">First: {{ technique.gates }}</template>
        </p>
        <EntryTags :entry="technique.id" />
        <template v-if="technique.taught.length > 0">
          <h2>How it is taught</h2>
          <ol class="lines">
            <li v-for="{ name, says } in technique.taught.map(taughtStep)" :key="says">
              <strong v-if="name">{{ name }}. </strong>{{ says }}
            </li>
          </ol>
        </template>
        <template v-if="spoken.length > 0">
          <h2>To read aloud, in {{ clockOfMs(usualMs) }}</h2>
          <ScriptLines :lines="spoken" />
        </template>
        <template v-if="technique.mistakes">
          <h2>Common mistakes</h2>
          <p>{{ technique.mistakes }}</p>
        </template>
        <template v-if="technique.watch">
          <h2>What you see from outside</h2>
          <p>{{ technique.watch }}</p>
        </template>
        <LadderPlace :practice="technique.practice" />
        <h2>Who should take care</h2>
        <p v-if="technique.caution" class="warn">
          <AppIcon name="warn" :size="16" class="caution" /> {{ technique.caution }}
        </p>
        <GeneralCautions v-if="step" :step="step" open />
        <NotAdvice />
        <UsedIn :entry="technique.id" />
      </section>
    </div>
  </main>
  <main v-else class="missing">
    <h1>Not in the library</h1>
    <p>This technique could not be found. <RouterLink to="/library">Back to the library</RouterLink></p>
  </main>
</template>

<style scoped>
header {
  padding: 10px 32px 12px;
  border-bottom: 1px solid var(--line-strong);
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
  margin-top: 16px;
  font-size: 19px;
  line-height: 24px;
}
.page {
  display: grid;
  grid-template-columns: minmax(0, 1.35fr) minmax(0, 1fr);
}
.details {
  padding: 16px 32px 32px 28px;
}
.aims {
  font-size: 17px;
  line-height: 23px;
}
.lines {
  padding-left: 18px;
  list-style: decimal;
}
.warn {
  display: flex;
  gap: 8px;
  align-items: flex-start;
  padding-bottom: 6px;
}
.missing {
  padding: 40px 32px;
}
@media (width < 900px) {
  .page {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media (width < 640px) {
  header,
  .details {
    padding-right: 16px;
    padding-left: 16px;
  }
}
</style>
