<script setup lang="ts">
import { computed, ref } from 'vue';
import type { NamedSetUp, Position } from '#core/catalogue';
import { SetUp } from '#core/props';
import IconButton from '../../../ui/IconButton.vue';
import FieldGroup from '../../../ui/fields/FieldGroup.vue';
import SetUpRows from '../../../widgets/props/SetUpRows.vue';
import TextField from '../../../ui/fields/TextField.vue';
import { newId } from '../../../client/new-id';
import ShiftFields from './ShiftFields.vue';
import { useEntryField } from './use-entry';
import CheckField from '../../../ui/fields/CheckField.vue';

/** The set-ups of a position, one of them open: the first is the one that plans begin with. */
const { entry } = defineProps<{ entry: Position }>();
/** Which one is open, and drawn. */
const open = defineModel<number>('open', { required: true });

const { set, problem } = useEntryField();
const MOST = 12;
const trouble = ref('');
const at = computed(() => Math.min(open.value, entry.setUps.length - 1));
const NONE: NamedSetUp = { id: '', name: '', home: false, items: [] };
const setUp = computed(() => entry.setUps[at.value] ?? NONE);
const twoSided = computed(() => entry.sides === 'each' || entry.sides === 'crossing');

/** A set-up is looked at before it is taken, as in a plan. */
function setItems(items: SetUp): string | undefined {
  const parsed = SetUp.safeParse(items);
  if (!parsed.success) return parsed.error.issues[0]?.message;
  return set(`setUps.${at.value}.items`)(items);
}
function add(): void {
  set('setUps')([...entry.setUps, { ...setUp.value, id: newId(), name: `${setUp.value.name.slice(0, 70)}, another` }]);
  open.value = entry.setUps.length;
}
function remove(): void {
  const { id } = setUp.value;
  const shows = (['easier', 'stronger'] as const).find((name) => entry[name].setUp === id);
  trouble.value = shows ? `This set-up shows the ${shows} way. Choose another one there first.` : '';
  if (shows) return;
  set('setUps')(entry.setUps.filter((_, i) => i !== at.value));
  open.value = 0;
}
function makeFirst(): void {
  set('setUps')([setUp.value, ...entry.setUps.filter((_, i) => i !== at.value)]);
  open.value = 0;
}
</script>

<template>
  <FieldGroup
    title="Set-ups"
    :says="entry.setUps.length > 1 ? 'plans start with the first' : ''"
    :add="entry.setUps.length < MOST ? 'Add a set-up' : ''"
    @add="add"
  >
    <div class="tabs" role="group" aria-label="Set-ups">
      <button
        v-for="(one, i) in entry.setUps"
        :key="one.id"
        type="button"
        class="plain-button"
        :aria-pressed="i === at"
        @click="open = i"
      >
        {{ one.name || 'without a name' }}
      </button>
    </div>
    <div class="named">
      <TextField
        label="Name of the set-up"
        :model-value="setUp.name"
        :accept="set(`setUps.${at}.name`)"
        :problem="problem(`setUps.${at}.name`)"
      />
      <CheckField
        class="small"
        label="with things found at home"
        :model-value="setUp.home"
        @update:model-value="(home) => set(`setUps.${at}.home`)(home)"
      />
      <button v-if="at > 0" type="button" class="link-button small" @click="makeFirst">Make it the first</button>
      <IconButton v-if="entry.setUps.length > 1" icon="remove" label="Remove this set-up" :size="14" @click="remove" />
    </div>
    <p v-if="trouble" class="caution small" role="alert">{{ trouble }}</p>
  </FieldGroup>
  <SetUpRows title="Props" :set-up="setUp.items" :two-sided="twoSided" :position="entry" :accept="setItems" with-why />
  <ShiftFields :entry="entry" :items="setUp.items" />
</template>

<style scoped>
.tabs {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  margin-bottom: 4px;
}
.tabs button {
  min-height: 26px;
  border-bottom: 2px solid transparent;
  color: var(--ink-2);
}
.tabs [aria-pressed='true'] {
  border-color: var(--ink);
  color: var(--ink);
  font-weight: 600;
}
.named {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto 26px;
  gap: 6px 12px;
  align-items: end;
}
.named label {
  display: flex;
  gap: 5px;
  align-items: center;
  min-height: 30px;
}
.icon-button {
  width: 26px;
  height: 30px;
}
@media (width < 640px) {
  .named {
    grid-template-columns: 1fr;
  }
}
</style>
