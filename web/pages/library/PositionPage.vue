<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { familyLabel } from '#core/catalogue';
import BackLink from '../../ui/BackLink.vue';
import { useLibrary } from '../../state/library';
import EntryActions from './EntryActions.vue';
import PositionPreview from './PositionPreview.vue';
import PositionDetails from './PositionDetails.vue';
import { SIDES_WORDS } from './words';

/** One position: how it looks from all sides and for whom, how it is taught, and where it is used. */
const { id } = defineProps<{ id: string }>();

const library = useLibrary();
const entry = computed(() => library.all.position(id));
const setUpId = ref('');
const side = ref<'left' | 'right'>('left');
watch(
  entry,
  (now) => {
    setUpId.value = now?.setUps[0]?.id ?? '';
    side.value = 'left';
  },
  { immediate: true },
);
const setUp = computed(() => entry.value?.setUps.find((one) => one.id === setUpId.value) ?? entry.value?.setUps[0]);
const names = computed(() => [entry.value?.names.sanskrit, entry.value?.names.yin].filter(Boolean).join(' · '));
</script>

<template>
  <main v-if="entry && setUp">
    <header>
      <BackLink to="/library" label="Library" />
      <div class="title">
        <h1>{{ entry.names.english }}</h1>
        <EntryActions :entry="entry" />
      </div>
      <p class="quiet">
        {{ names }}<template v-if="names"> · </template>{{ familyLabel(entry.family) }}, {{ SIDES_WORDS[entry.sides] }}
        <template v-if="entry.leftMeans"> (left: {{ entry.leftMeans }})</template>
      </p>
    </header>
    <div class="page">
      <PositionPreview v-model:set-up-id="setUpId" v-model:side="side" :entry="entry" :set-up="setUp" />
      <PositionDetails :entry="entry" :set-up="setUp" :side="side" @set-up="setUpId = $event" />
    </div>
  </main>
  <main v-else class="missing">
    <h1>Not in the library</h1>
    <p>This entry could not be found. <RouterLink to="/library">Back to the library</RouterLink></p>
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
.page {
  display: grid;
  grid-template-columns: minmax(0, 1.35fr) minmax(0, 1fr);
}
.missing {
  padding: 40px 32px;
}
@media (width < 900px) {
  .page {
    grid-template-columns: 1fr;
  }
}
@media (width < 640px) {
  header {
    padding-right: 16px;
    padding-left: 16px;
  }
}
</style>
