<script setup lang="ts">
import { useEventListener, useRafFn } from '@vueuse/core';
import InputText from 'primevue/inputtext';
import { computed, ref, useTemplateRef, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { findPositions, findTechniques, type Chosen } from '#core/catalogue';
import AppIcon from '../../ui/AppIcon.vue';
import { useLibrary } from '../../state/library';
import EntryCard from './EntryCard.vue';
import FilterPanel from './FilterPanel.vue';
import NewEntry from './NewEntry.vue';
import TechniqueRow from './TechniqueRow.vue';
import { useFilters } from './use-filters';
import { useSearchWords } from './use-search-words';
import { useSuited } from './use-suited';
import { chosenOf, GROUPS_OF_FILTERS, nothingChosen, type ChosenValues } from './words';
import { mayBeShortcut } from '../../ui/keys';

const library = useLibrary();
const route = useRoute();
const router = useRouter();
const query = ref(typeof route.query.search === 'string' ? route.query.search : '');
const chosen = ref<ChosenValues>(nothingChosen());
for (const group of GROUPS_OF_FILTERS) {
  const fromAddress = route.query[group];
  if (typeof fromAddress === 'string') chosen.value[group] = fromAddress.split(',').filter(Boolean);
}
const box = useTemplateRef<HTMLElement>('box');

const words = useSearchWords();
const filters = useFilters();
/** Whom it should suit: the id of a group; everyone, where it is empty. */
const group = ref(typeof route.query.group === 'string' ? route.query.group : '');
const { positions, techniques, groups, says } = useSuited(group);
const found = computed(() =>
  findPositions(positions.value, query.value, chosenOf(chosen.value, filters.value), words.value),
);
const breaths = computed(() =>
  findTechniques(techniques.value, query.value, chosenOf(chosen.value, filters.value), words.value),
);
const tags = computed(() =>
  filters.value.flatMap(({ group, title, options }) =>
    options
      .filter(({ value }) => chosen.value[group].includes(value))
      .map(({ value, label }) => ({
        group,
        value,
        label: group === 'leaveOut' ? `${title.toLowerCase()}: ${label}` : label,
      })),
  ),
);

/** The figures of the first screen are drawn at once, the others some with every frame. */
const FIRST_FIGURES = 12;
const MORE_FIGURES = 40;
const drawn = ref(FIRST_FIGURES);
const { pause } = useRafFn(() => {
  drawn.value += MORE_FIGURES;
  if (drawn.value >= library.positions.length) pause();
});

function dropTag({ group, value }: { group: keyof Chosen; value: string }): void {
  chosen.value[group] = chosen.value[group].filter((one) => one !== value);
}
function clear(): void {
  query.value = '';
  group.value = '';
  for (const group of GROUPS_OF_FILTERS) chosen.value[group] = [];
}

// The search is kept in the address, so that back and reload show the same results.
watch(
  [query, chosen, group],
  () => {
    const filters = Object.fromEntries(
      GROUPS_OF_FILTERS.filter((group) => chosen.value[group].length > 0).map((group) => [
        group,
        chosen.value[group].join(','),
      ]),
    );
    void router.replace({
      query: {
        ...(query.value ? { search: query.value } : {}),
        ...(group.value ? { group: group.value } : {}),
        ...filters,
      },
    });
  },
  { deep: true },
);

function onKey(event: KeyboardEvent): void {
  const typing = (event.target as HTMLElement).closest('input, textarea');
  if (event.key === '/' && !typing && mayBeShortcut(event)) {
    event.preventDefault();
    box.value?.querySelector('input')?.focus();
  }
}
useEventListener(window, 'keydown', onKey);

/** Arrow keys move through the grid: left and right by one, up and down by a row. */
function walk(event: KeyboardEvent): void {
  const cards = [...(event.currentTarget as HTMLElement).querySelectorAll<HTMLElement>('a')];
  const here = cards.indexOf(document.activeElement as HTMLElement);
  if (here < 0) return;
  const top = cards[0]?.getBoundingClientRect().top;
  const columns = Math.max(1, cards.filter((card) => card.getBoundingClientRect().top === top).length);
  const step = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -columns, ArrowDown: columns }[event.key];
  if (step === undefined) return;
  event.preventDefault();
  cards[Math.min(cards.length - 1, Math.max(0, here + step))]?.focus();
}
</script>

<template>
  <main>
    <header>
      <h1>Library</h1>
      <div ref="box" class="search">
        <AppIcon name="find" />
        <InputText
          v-model="query"
          type="search"
          aria-label="Search the library"
          placeholder="A name, a body part, a prop: “hips”, “two blocks”"
        />
        <kbd>/</kbd>
      </div>
      <div class="tags">
        <button v-for="tag in tags" :key="tag.value" type="button" class="tag" @click="dropTag(tag)">
          {{ tag.label }} <span aria-hidden="true">×</span><span class="sr-only">, remove this filter</span>
        </button>
        <span class="quiet" aria-live="polite">{{ found.length }} of {{ library.positions.length }}</span>
      </div>
      <NewEntry />
    </header>
    <div class="room">
      <FilterPanel
        v-model="chosen"
        v-model:group="group"
        :query="query"
        :entries="positions"
        :words="words"
        :groups="groups"
        :group-says="says"
      />
      <div class="entries">
        <p v-if="found.length === 0 && breaths.length === 0" class="empty">
          No matches. <button type="button" class="link-button" @click="clear">Show everything</button>
        </p>
        <ul class="grid" aria-label="Positions" @keydown="walk">
          <EntryCard v-for="(entry, i) in found" :key="entry.id" :entry="entry" :drawn="i < drawn" />
        </ul>
        <section v-if="breaths.length > 0" class="breaths">
          <h2>Breath techniques</h2>
          <ul>
            <TechniqueRow v-for="technique in breaths" :key="technique.id" :technique="technique" />
          </ul>
        </section>
      </div>
    </div>
  </main>
</template>

<style scoped>
main {
  display: flex;
  flex-direction: column;
  min-height: calc(100vh - 42px);
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  align-items: center;
  min-height: 70px;
  padding: 8px 32px;
  border-bottom: 1px solid var(--line-strong);
}
h1 {
  width: 176px;
  font-size: 30px;
  line-height: 36px;
}
.search {
  display: flex;
  flex: 0 1 520px;
  gap: 8px;
  align-items: center;
  padding: 0 10px;
  border: 1px solid var(--line-strong);
  border-radius: 4px;
  background: var(--sheet);
}
.search:focus-within {
  outline: 2px solid var(--focus);
  outline-offset: 1px;
}
.search :deep(input) {
  flex: 1;
  min-width: 0;
  border: 0;
  outline: 0;
  background: none;
}
.tags {
  display: flex;
  flex: 1;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
}
.tag {
  padding: 2px 8px;
  border: 1px solid var(--line-strong);
  border-radius: 4px;
  background: none;
  cursor: pointer;
}
.room {
  display: grid;
  flex: 1;
  grid-template-columns: 220px minmax(0, 1fr);
}
.grid {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(240px, 1fr));
}
.empty {
  padding: 40px 32px;
}
.breaths h2 {
  padding: 22px 20px 8px;
}
@media (width < 1000px) {
  h1 {
    width: auto;
  }
  .tags > .quiet {
    white-space: nowrap;
  }
  .room {
    grid-template-columns: 1fr;
    align-content: start;
  }
}
@media (width < 640px) {
  header {
    flex-wrap: wrap;
    padding: 8px 16px;
  }
  h1 {
    width: 100%;
  }
  .search {
    flex: 1 1 100%;
  }
  .grid {
    grid-template-columns: repeat(auto-fill, minmax(160px, 1fr));
  }
}
</style>
