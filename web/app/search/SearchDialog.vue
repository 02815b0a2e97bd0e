<script setup lang="ts">
import AutoComplete from 'primevue/autocomplete';
import Dialog from 'primevue/dialog';
import { nextTick, ref, shallowRef, watch } from 'vue';
import { useRouter } from 'vue-router';
import { findAnything, type Findable } from './find-anything';
import { useFindables } from './use-findables';
import { overlays } from '../../ui/overlays';

/** Finds a position, a breath, a plan, a person, a page or an action from anywhere, and goes there. */
const { actions } = defineProps<{ actions: readonly Findable[] }>();
const visible = defineModel<boolean>('visible', { required: true });

const router = useRouter();
const { all, load } = useFindables(actions);
const typed = ref<string | Findable>('');
const found = shallowRef<Findable[]>([]);
let loaded: Promise<void> = Promise.resolve();
/** What was made since the last search is waited for: the list does not open anew when it comes. */
async function find({ query }: { query: string }): Promise<void> {
  await loaded;
  if (typed.value === query) found.value = findAnything(query, all.value);
}
watch(
  visible,
  (is) => {
    if (!is) return;
    typed.value = '';
    loaded = load();
  },
  { immediate: true },
);

function take(one: Findable): void {
  visible.value = false;
  // The dialog gives the focus back as it closes; then the next page may have it.
  void nextTick(() => (typeof one.to === 'string' ? void router.push(one.to) : one.to()));
}
/** Enter before the list has opened takes what would have stood first in it. */
async function takeFirst(): Promise<void> {
  const query = typed.value;
  await loaded;
  const [first] = typeof query === 'string' ? findAnything(query, all.value) : [];
  if (first && visible.value && typed.value === query) take(first);
}
</script>

<template>
  <Dialog
    v-model:visible="visible"
    modal
    header="Search"
    position="top"
    dismissable-mask
    :style="{ width: '560px' }"
    @after-hide="typed = ''"
  >
    <div class="search" @keydown.enter="takeFirst">
      <AutoComplete
        v-model="typed"
        :append-to="overlays()"
        :suggestions="found"
        option-label="label"
        :delay="0"
        :min-length="1"
        autofocus
        fluid
        auto-option-focus
        placeholder="A position, a breath, a plan, a person, a page"
        empty-search-message="No matches"
        scroll-height="420px"
        :pt="{ pcInputText: { root: { 'aria-label': 'Search everything', autofocus: true } } }"
        @complete="find"
        @option-select="take($event.value as Findable)"
      >
        <template #option="{ option }">
          <span class="found">
            <span>{{ option.label }}</span>
            <span class="small quiet">{{ option.kind }}</span>
          </span>
        </template>
      </AutoComplete>
    </div>
  </Dialog>
</template>

<style scoped>
.search {
  min-height: 40px;
}
.found {
  display: flex;
  gap: 20px;
  justify-content: space-between;
  width: 100%;
}
</style>
