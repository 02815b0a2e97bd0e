<script setup lang="ts">
import { APPROACH_LABELS, APPROACHES, type Approach, type Position } from '#core/catalogue';
import FieldGroup from '../../../ui/fields/FieldGroup.vue';
import NumberField from '../../../ui/fields/NumberField.vue';
import TimeField from '../../../ui/fields/TimeField.vue';
import { useEntryField } from './use-entry';
import CheckField from '../../../ui/fields/CheckField.vue';

/** How long and how strong it is held in each approach, and the time of ways in, out and across. */
const { entry } = defineProps<{ entry: Position }>();

const { set, problem } = useEntryField();
const USUAL = { seconds: 180, minSeconds: 60, maxSeconds: 300, strength: 2 };
const LENGTHS = [
  { key: 'seconds', label: 'usually' },
  { key: 'minSeconds', label: 'from' },
  { key: 'maxSeconds', label: 'to' },
] as const;
const WAYS = [
  { key: 'enterSeconds', label: 'Getting in' },
  { key: 'leaveSeconds', label: 'Coming out' },
  { key: 'switchSeconds', label: 'Changing sides' },
] as const;

function toggle(approach: Approach): void {
  const { [approach]: had, ...others } = entry.defaults;
  set('defaults')(had ? others : { ...others, [approach]: Object.values(others)[0] ?? USUAL });
}
/** A whole range is looked at together: what was wrong with it before may be right now. */
const setLength = (approach: Approach, key: string) => (value: number | null) =>
  set(`defaults.${approach}.${key}`)(value ?? 0);
</script>

<template>
  <FieldGroup title="How long" says="a side">
    <ul>
      <li v-for="approach in APPROACHES" :key="approach">
        <CheckField
          :label="APPROACH_LABELS[approach]"
          :model-value="entry.defaults[approach] !== undefined"
          @update:model-value="toggle(approach)"
        />
        <template v-if="entry.defaults[approach]">
          <TimeField
            v-for="{ key, label } in LENGTHS"
            :key="key"
            bare="minutes"
            :label="label"
            :model-value="entry.defaults[approach]![key]"
            :accept="setLength(approach, key)"
            :problem="problem(`defaults.${approach}.${key}`)"
          />
          <NumberField
            class="strength"
            label="intensity"
            hide-label
            unit="of 10"
            :model-value="entry.defaults[approach]!.strength"
            :accept="set(`defaults.${approach}.strength`)"
            :problem="problem(`defaults.${approach}.strength`)"
          />
        </template>
      </li>
    </ul>
    <p v-if="problem('defaults')" class="caution small" role="alert">{{ problem('defaults') }}</p>
  </FieldGroup>
  <FieldGroup title="Around the hold">
    <div class="ways">
      <TimeField
        v-for="{ key, label } in WAYS"
        :key="key"
        :label="label"
        :model-value="entry[key]"
        :accept="(seconds) => set(key)(seconds ?? 0)"
        :problem="problem(key)"
      />
    </div>
  </FieldGroup>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 110px repeat(3, auto) auto;
  gap: 4px 12px;
  align-items: center;
  justify-content: start;
  min-height: 32px;
}
label {
  display: flex;
  gap: 6px;
  align-items: center;
  min-height: 26px;
}
li :deep(input:not([type='checkbox'])) {
  width: 56px;
}
.strength :deep(input) {
  width: 40px;
  height: 28px;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
}
@media (width < 640px) {
  li {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
