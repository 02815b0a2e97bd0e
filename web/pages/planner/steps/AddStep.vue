<script setup lang="ts">
import AutoComplete from 'primevue/autocomplete';
import { nextTick, ref, shallowRef, useTemplateRef } from 'vue';
import { useEditor } from '../../../state/editor';
import { useEntryWords } from '../../../state/entry-words';
import { useLibrary } from '../../../state/library';
import PositionFigure from '../../../widgets/figures/PositionFigure.vue';
import AppIcon from '../../../ui/AppIcon.vue';
import { suggestSteps, type Suggestion } from './suggest';
import { useAddStep } from './use-add-step';
import { overlays } from '../../../ui/overlays';

const emit = defineEmits<{ added: [] }>();
const editor = useEditor();
const library = useLibrary();
const words = useEntryWords();
const addStep = useAddStep();
const typed = ref<string | Suggestion>('');
const found = shallowRef<Suggestion[]>([]);
const box = useTemplateRef<HTMLElement>('box');
const list = useTemplateRef('list');
const trouble = ref('');
/** Whether the last choice of the list was pressed and not typed. */
const byMouse = ref(false);

const suggest = (query: string): Suggestion[] =>
  suggestSteps(query, {
    positions: library.positions,
    techniques: library.techniques,
    isYours: (id) => library.ownEntry(id) !== undefined,
    words: words.value,
  });
function find({ query }: { query: string }): void {
  // A search that was still waiting when its words were taken is no longer asked for.
  if (typed.value === query) found.value = suggest(query);
}
/** Enter before the list has opened takes what would have stood first in it. */
async function takeFirst(): Promise<void> {
  const query = typed.value;
  await nextTick();
  const [first] = typeof query === 'string' && query.trim() !== '' && typed.value === query ? suggest(query) : [];
  if (first) add(first);
}
function add(suggestion: Suggestion): void {
  if (!editor.plan) return;
  trouble.value = addStep(suggestion.make);
  if (trouble.value) return;
  typed.value = '';
  // With the mouse the next step can be typed at once; the list gives the focus back to the field as it closes.
  // With Enter it moves on to the new step, where the keys of the list are.
  void nextTick(() => setTimeout(() => (byMouse.value ? focus() : emit('added'))));
}
/** Tab goes past the field and adds nothing. */
function passBy(event: KeyboardEvent): void {
  (list.value as { hide?: () => void } | null)?.hide?.();
  // The list would take what stands first in it.
  event.stopPropagation();
}
const focus = (): void => box.value?.querySelector('input')?.focus();
defineExpose({ focus });
</script>

<template>
  <div
    ref="box"
    class="add"
    @keydown.capture="byMouse = false"
    @keydown.enter="takeFirst"
    @keydown.tab.capture="passBy"
  >
    <AppIcon name="plus" />
    <AutoComplete
      ref="list"
      v-model="typed"
      :append-to="overlays()"
      :suggestions="found"
      option-label="name"
      :min-length="0"
      :delay="0"
      auto-option-focus
      complete-on-focus
      placeholder="Add a step: a position, a breath, rest, talk"
      :input-props="{ 'aria-label': 'Add a step' }"
      :pt="{ overlay: { onPointerdown: () => (byMouse = true) } }"
      fluid
      scroll-height="420px"
      @complete="find"
      @option-select="add($event.value)"
    >
      <template #option="{ option }: { option: Suggestion }">
        <span class="option">
          <span class="picture"
            ><PositionFigure
              v-if="option.position"
              :position="option.position"
              :set-up="option.position.setUps[0]?.items ?? []"
              label=""
              :least="1500"
          /></span>
          <span class="words">
            <span class="strong">{{ option.name }} <span v-if="option.yours" class="yours">yours</span></span>
            <span class="small quiet">{{ option.says }}</span>
          </span>
        </span>
      </template>
      <template #empty>No matches.</template>
    </AutoComplete>
    <kbd>A</kbd>
    <p v-if="trouble" class="caution small" role="alert">{{ trouble }}</p>
  </div>
</template>

<style scoped>
.add {
  display: flex;
  position: relative;
  gap: 8px;
  align-items: center;
  margin: 3px 24px 7px 32px;
  padding: 0 8px 0 10px;
  border: 1px solid var(--line-strong);
  border-radius: 4px;
  background: var(--sheet);
}
.add:focus-within {
  outline: 2px solid var(--focus);
  outline-offset: 1px;
}
.add :deep(.p-autocomplete) {
  flex: 1;
}
.add :deep(input) {
  border: 0;
  outline: 0;
  background: none;
}
.add p {
  position: absolute;
  bottom: 100%;
  left: 8px;
  background: var(--paper);
}
.option {
  display: grid;
  grid-template-columns: 84px minmax(0, 1fr);
  gap: 12px;
  align-items: center;
}
.picture {
  height: 46px;
}
.words {
  display: flex;
  flex-direction: column;
  min-width: 0;
}
@media (width < 640px) {
  .add {
    margin: 8px 12px;
  }
}
</style>
