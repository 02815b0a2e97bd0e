<script setup lang="ts">
import AutoComplete from 'primevue/autocomplete';
import { nextTick, ref, shallowRef, useId, useTemplateRef, watch } from 'vue';
import AppIcon from '../AppIcon.vue';
import { overlays } from '../overlays';
import FieldReason from './FieldReason.vue';

/**
 * A few words each, typed one after the other or chosen from those in use. Enter, Tab or leaving the field takes what
 * is typed; Backspace in the empty field removes the last. Shows the reason under the field if one is refused.
 */
const {
  modelValue,
  label,
  known,
  accept,
  autofocus = false,
} = defineProps<{
  modelValue: readonly string[];
  label: string;
  /** What is offered besides what is typed. */
  known: readonly string[];
  accept: (tags: string[]) => string | undefined;
  /** The field that a dialog puts the focus into when it opens. */
  autofocus?: boolean;
}>();

const id = useId();
const shown = ref<string[]>([...modelValue]);
watch(
  () => modelValue,
  (tags) => (shown.value = [...tags]),
);
const reason = ref('');
const found = shallowRef<string[]>([]);
const same = (a: string, b: string): boolean => a.toLowerCase() === b.toLowerCase();

const box = useTemplateRef<HTMLElement>('box');
const input = (): HTMLInputElement | null => box.value?.querySelector('input') ?? null;
function find({ query }: { query: string }): void {
  // It was taken meanwhile.
  if (input()?.value !== query) return;
  const typed = query.trim();
  const isChosen = shown.value.some((tag) => same(tag, typed));
  const begins = (tag: string): boolean => tag.toLowerCase().startsWith(typed.toLowerCase());
  const others = known.filter((tag) => begins(tag) && !shown.value.some((one) => same(one, tag)));
  const isNew = typed !== '' && !isChosen && !others.some((tag) => same(tag, typed));
  found.value = [...(isNew ? [typed] : []), ...others];
}
/** Shows at once what the document took of it; what it refused stands in the field again. */
function change(tags: readonly string[]): void {
  const before = shown.value.length;
  reason.value = accept([...tags]) ?? '';
  void nextTick(() => {
    shown.value = [...modelValue];
    const field = input();
    if (field) field.value = reason.value !== '' && tags.length > before ? (tags.at(-1) ?? '') : '';
  });
}
/** Takes what was typed and not chosen from the list. */
function takeTyped({ target }: Event): void {
  const typed = target instanceof HTMLInputElement ? target.value.trim() : '';
  if (typed !== '') change([...shown.value, typed]);
  // The refused one was deleted.
  else if (reason.value !== '') change(shown.value);
}
/** Enter is the list’s where one of it has the keyboard; before the list has opened, it takes what is typed. */
function enter(event: KeyboardEvent): void {
  if (event.key !== 'Enter' || input()?.hasAttribute('aria-activedescendant')) return;
  event.stopPropagation();
  takeTyped(event);
}
const remove = (tag: string): void => change(shown.value.filter((one) => one !== tag));
/** A list of what was chosen with the field at its end: as a list box it could hold no field. */
const PARTS = {
  inputMultiple: { role: 'list', 'aria-orientation': undefined },
  chipItem: { role: 'listitem', 'aria-selected': undefined, 'aria-label': undefined },
  inputChip: { role: 'listitem' },
};
</script>

<template>
  <div ref="box" class="labelled tags" @keydown.capture="enter">
    <label :for="id">{{ label }}</label>
    <AutoComplete
      :model-value="shown"
      multiple
      :input-id="id"
      :append-to="overlays()"
      :suggestions="found"
      :delay="0"
      :min-length="1"
      auto-option-focus
      empty-search-message="Already a tag"
      size="small"
      fluid
      :invalid="reason !== ''"
      :pt="{
        ...PARTS,
        input: { autofocus, 'aria-describedby': reason === '' ? undefined : `${id}-reason`, onBlur: takeTyped },
      }"
      @complete="find"
      @update:model-value="change"
    >
      <template #chip="{ value }: { value: string }">
        <span class="chip"
          >{{ value
          }}<button type="button" class="remove" :aria-label="`Remove ${value}`" @click.stop="remove(value)">
            <AppIcon name="remove" :size="14" /></button
        ></span>
      </template>
    </AutoComplete>
    <FieldReason v-if="reason !== ''" :id="`${id}-reason`">{{ reason }}</FieldReason>
  </div>
</template>

<style scoped>
.tags {
  display: flex;
}
.tags :deep(li) {
  max-width: 100%;
}
.chip {
  display: inline-flex;
  max-width: 100%;
  overflow-wrap: anywhere;
  align-items: center;
  min-height: 26px;
  padding-left: 8px;
  border-radius: 4px;
  background: var(--well);
}
.remove {
  display: grid;
  flex: none;
  place-items: center;
  width: 26px;
  height: 26px;
  border: 0;
  background: none;
  color: var(--ink-2);
}
</style>
