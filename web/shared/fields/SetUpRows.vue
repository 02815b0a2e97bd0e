<script setup lang="ts">
import { ref } from 'vue';
import type { NamedSetUp } from '#core/catalogue';
import {
  PROP_KIND_NAMES,
  PROP_PLACES,
  propKind,
  stackHeightCm,
  type PropKind,
  type PropPlace,
  type SetUp,
  type SetUpRow,
} from '#core/props';
import AppIcon from '../AppIcon.vue';
import IconButton from '../IconButton.vue';
import { newId } from '../../stores/browser';
import FieldGroup from './FieldGroup.vue';
import TextField from './TextField.vue';

/** A set-up as rows: which prop, in which fold, how it lies, where, on which side, how many. */
const {
  title,
  says = '',
  setUp,
  twoSided,
  ready,
  accept,
  withWhy = false,
} = defineProps<{
  title: string;
  says?: string;
  setUp: SetUp;
  twoSided: boolean;
  /** The set-ups the library has for this position. */
  ready: readonly NamedSetUp[];
  accept: (setUp: SetUp) => string | undefined;
  /** Its reason, and whether it can be left out, are asked for too. */
  withWhy?: boolean;
}>();

const trouble = ref('');
const put = (rows: SetUp): void => {
  trouble.value = accept(rows) ?? '';
};
const change = (row: SetUpRow, patch: Partial<SetUpRow>): void =>
  put(setUp.map((other) => (other === row ? { ...row, ...patch } : other)));
const firstState = (kind: PropKind): string => Object.keys(propKind(kind).states)[0] ?? '';
const height = (row: SetUpRow): string => {
  const cm = stackHeightCm(row, row.count);
  return cm >= 3 ? `${Math.round(cm)} cm` : '';
};
const changeKind = (row: SetUpRow, kind: PropKind): void => change(row, { kind, state: firstState(kind) });
const hasOneState = (row: SetUpRow): boolean => Object.keys(propKind(row.kind).states).length === 1;
function addRow(): void {
  put([
    ...setUp,
    {
      id: newId(),
      kind: 'blanket',
      state: 'basic',
      lie: 'lengthwise',
      place: 'head',
      side: 'centre',
      count: 1,
      mirror: true,
      optional: false,
      why: '',
    },
  ]);
}
function take(event: Event): void {
  const select = event.target as HTMLSelectElement;
  const chosen = ready.find(({ id }) => id === select.value);
  if (chosen) put(chosen.items.map((row) => ({ ...row })));
  select.value = '';
}
const value = (event: Event): string => (event.target as HTMLSelectElement).value;
</script>

<template>
  <FieldGroup :title="title" :says="says" add="Add a prop" @add="addRow">
    <template v-if="ready.length > 0" #head>
      <select class="ready small" aria-label="Take a set-up from the library" @change="take">
        <option value="">from the library…</option>
        <option v-for="named in ready" :key="named.id" :value="named.id">{{ named.name }}</option>
      </select>
    </template>
    <p v-if="setUp.length === 0" class="small quiet">No props.</p>
    <ul>
      <li v-for="row in setUp" :key="row.id" :title="row.why">
        <input
          class="count"
          type="number"
          min="1"
          max="12"
          :value="row.count"
          :aria-label="`How many, ${propKind(row.kind).label}`"
          @change="change(row, { count: Number(value($event)) })"
        />
        <select :value="row.kind" aria-label="Prop" class="kind" @change="changeKind(row, value($event) as PropKind)">
          <option v-for="kind in PROP_KIND_NAMES" :key="kind" :value="kind">{{ propKind(kind).label }}</option>
        </select>
        <select
          :value="row.state"
          aria-label="Fold or face"
          :disabled="hasOneState(row)"
          @change="change(row, { state: value($event) })"
        >
          <option v-for="(state, name) in propKind(row.kind).states" :key="name" :value="name">
            {{ state.label }}
          </option>
        </select>
        <span class="small quiet cm">{{ height(row) }}</span>
        <IconButton
          icon="remove"
          :label="`Remove ${propKind(row.kind).label}`"
          :size="14"
          @click="put(setUp.filter((other) => other !== row))"
        />
        <select
          class="place"
          :value="row.place"
          aria-label="Place"
          @change="change(row, { place: value($event) as PropPlace })"
        >
          <option v-for="(words, place) in PROP_PLACES" :key="place" :value="place">{{ words }}</option>
        </select>
        <span class="lying">
          <select :value="row.lie" aria-label="Lie" @change="change(row, { lie: value($event) as SetUpRow['lie'] })">
            <option value="lengthwise">lengthwise</option>
            <option value="crosswise">crosswise</option>
          </select>
          <select
            :value="row.side"
            :aria-label="twoSided ? 'Side while the left side is held' : 'Side'"
            @change="change(row, { side: value($event) as SetUpRow['side'] })"
          >
            <option value="centre">middle</option>
            <option value="left">left</option>
            <option value="right">right</option>
            <option value="each">each side</option>
          </select>
          <label
            v-if="twoSided && (row.side === 'left' || row.side === 'right')"
            class="small quiet mirror"
            title="Moves to the other side at the change"
          >
            <input
              type="checkbox"
              :checked="row.mirror"
              aria-label="Moves to the other side at the change"
              @change="change(row, { mirror: ($event.target as HTMLInputElement).checked })"
            />
            <AppIcon name="swap" :size="14" /> changes sides
          </label>
        </span>
        <span v-if="withWhy" class="why">
          <TextField
            hide-label
            :label="`Why, ${propKind(row.kind).label}`"
            placeholder="Why it lies there"
            :model-value="row.why"
            :accept="(why) => accept(setUp.map((other) => (other === row ? { ...row, why } : other)))"
          />
          <label class="small quiet mirror">
            <input
              type="checkbox"
              :checked="row.optional"
              :aria-label="`${propKind(row.kind).label} if wished`"
              @change="change(row, { optional: !row.optional })"
            />
            if wished
          </label>
        </span>
      </li>
    </ul>
    <p v-if="trouble" class="caution small" role="alert">{{ trouble }}</p>
  </FieldGroup>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 40px minmax(0, 1fr) minmax(0, 1.3fr) 44px 26px;
  gap: 0 8px;
  align-items: center;
  padding: 3px 0;
}
.place {
  grid-column: 2;
}
.lying {
  display: flex;
  grid-column: 3 / -1;
  gap: 6px;
}
.why {
  display: grid;
  grid-column: 2 / -1;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 8px;
  padding: 2px 0 6px;
}
.why :deep(input[type='text']) {
  min-height: 26px;
}
select,
.count {
  min-width: 0;
}
.kind {
  font-weight: 600;
}
.ready {
  max-width: 180px;
}
.cm {
  text-align: right;
}
.icon-button {
  width: 26px;
  height: 26px;
}
.mirror {
  display: flex;
  gap: 4px;
  align-items: center;
  white-space: nowrap;
}
.count {
  height: 26px;
  padding: 0 4px;
  border: 1px solid transparent;
  border-bottom-color: var(--line-strong);
  border-radius: 3px;
  background: none;
  color: var(--ink);
  font: inherit;
}
</style>
