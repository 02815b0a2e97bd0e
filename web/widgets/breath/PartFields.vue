<script setup lang="ts">
import { computed, ref } from 'vue';
import type { BreathLock, BreathPart, BreathPlace, RecoverPart } from '#core/breath';
import IconButton from '../../ui/IconButton.vue';
import NumberField from '../../ui/fields/NumberField.vue';
import SelectField from '../../ui/fields/SelectField.vue';
import CycleFields from './CycleFields.vue';
import { LOCK_OPTIONS, PART_TITLES, PLACE_OPTIONS, SOUND_OPTIONS, THROUGH_OPTIONS } from './options';
import CheckField from '../../ui/fields/CheckField.vue';

/** One part of a round besides its counts: where the breath passes, its sound, its place, its locks, its pace. */
const { part, number, only, accept } = defineProps<{
  part: BreathPart;
  number: number;
  only: boolean;
  /** Takes the changed part, or null to remove it; returns the reason if it is refused. */
  accept: (part: BreathPart | null) => string | undefined;
}>();

const title = computed(() => `${number} ${PART_TITLES[part.kind]}`);
const put = (patch: object): string | undefined => accept({ ...part, ...patch } as BreathPart);
const reason = ref('');
/** A choice has no field of its own to say why it is refused. */
function pick(patch: object): void {
  reason.value = put(patch) ?? '';
}
const place = computed({
  get: (): BreathPlace | 'none' => ('place' in part ? (part.place ?? 'none') : 'none'),
  set: (value) => pick({ place: value === 'none' ? null : value }),
});
const toggleLock = (lock: BreathLock): void => {
  if (!('locks' in part)) return;
  const { locks } = part;
  pick({ locks: locks.includes(lock) ? locks.filter((other) => other !== lock) : [...locks, lock] });
};
function setRecover(patch: Partial<Record<'seconds' | 'cycles' | 'secondsPerCycle', number>>): string | undefined {
  return part.kind === 'recover' ? put({ for: { ...part.for, ...patch } }) : undefined;
}
const RECOVER: Record<'seconds' | 'cycles', RecoverPart['for']> = {
  seconds: { kind: 'seconds', seconds: 15 },
  cycles: { kind: 'cycles', cycles: 3, secondsPerCycle: 5 },
};
</script>

<template>
  <div class="part" role="group" :aria-label="title">
    <span class="title small">{{ title }}</span>
    <CycleFields v-if="part.kind === 'cycle'" :part="part" :put="put" @refused="reason = $event" />
    <template v-else-if="part.kind === 'ownPace'">
      <NumberField label="breaths" :model-value="part.cycles" :accept="(cycles) => put({ cycles })" />
      <NumberField
        label="seconds each"
        :model-value="part.secondsPerCycle"
        :accept="(secondsPerCycle) => put({ secondsPerCycle })"
      />
      <SelectField
        :model-value="part.through"
        label="by"
        :options="THROUGH_OPTIONS"
        @update:model-value="pick({ through: $event })"
      />
    </template>
    <template v-else-if="part.kind === 'strokes'">
      <NumberField label="pumps" :model-value="part.count" :accept="(count) => put({ count })" />
      <NumberField
        label="a minute"
        :step="5"
        :model-value="part.perMinute"
        :accept="(perMinute) => put({ perMinute })"
      />
      <SelectField
        :model-value="part.active"
        label="strong"
        :options="[
          { value: 'out', label: 'out only' },
          { value: 'both', label: 'in and out' },
        ]"
        @update:model-value="pick({ active: $event })"
      />
      <SelectField
        :model-value="part.through"
        label="by"
        :options="THROUGH_OPTIONS"
        @update:model-value="pick({ through: $event })"
      />
    </template>
    <template v-else-if="part.kind === 'retention'">
      <SelectField
        :model-value="part.held"
        label="held"
        :options="[
          { value: 'full', label: 'full' },
          { value: 'empty', label: 'empty' },
        ]"
        @update:model-value="pick({ held: $event })"
      />
      <NumberField
        :label="part.asLongAsEasy ? 'about, seconds' : 'seconds'"
        :model-value="part.seconds"
        :accept="(seconds) => put({ seconds })"
      />
      <NumberField label="pulses" :model-value="part.pulses" :accept="(pulses) => put({ pulses })" />
      <CheckField
        class="small"
        label="as long as easy"
        :model-value="part.asLongAsEasy"
        @update:model-value="(asLongAsEasy) => pick({ asLongAsEasy })"
      />
    </template>
    <template v-else>
      <SelectField
        :model-value="part.for.kind"
        label="for"
        :options="[
          { value: 'seconds', label: 'seconds' },
          { value: 'cycles', label: 'breaths' },
        ]"
        @update:model-value="pick({ for: RECOVER[$event] })"
      />
      <NumberField
        v-if="part.for.kind === 'seconds'"
        label="seconds"
        :model-value="part.for.seconds"
        :accept="(seconds) => setRecover({ seconds })"
      />
      <template v-else>
        <NumberField label="breaths" :model-value="part.for.cycles" :accept="(cycles) => setRecover({ cycles })" />
        <NumberField
          label="seconds each"
          :model-value="part.for.secondsPerCycle"
          :accept="(secondsPerCycle) => setRecover({ secondsPerCycle })"
        />
      </template>
    </template>
    <template v-if="part.kind === 'ownPace'">
      <SelectField
        :model-value="part.sound"
        label="sound"
        :options="SOUND_OPTIONS"
        @update:model-value="pick({ sound: $event })"
      />
      <SelectField v-model="place" label="felt" :options="PLACE_OPTIONS" />
    </template>
    <span v-if="'locks' in part" class="locks">
      <CheckField
        v-for="{ value, label } in LOCK_OPTIONS"
        :key="value"
        class="small"
        :label="label"
        :model-value="part.locks.includes(value)"
        @update:model-value="toggleLock(value)"
      />
    </span>
    <p v-if="reason" class="small caution" role="alert">{{ reason }}</p>
    <IconButton v-if="!only" icon="remove" :label="`Remove part ${number}`" :size="14" @click="accept(null)" />
  </div>
</template>

<style scoped>
.part {
  display: flex;
  position: relative;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: flex-end;
  padding: 4px 30px 6px 0;
}
.part + .part {
  border-top: 1px dashed var(--line-strong);
}
.title {
  flex-basis: 100%;
  font-weight: 600;
}
.locks {
  display: flex;
  gap: 10px;
}
.check {
  display: flex;
  gap: 5px;
  align-items: center;
  min-height: 30px;
}
.icon-button {
  position: absolute;
  top: 0;
  right: 0;
  width: 26px;
  height: 26px;
}
</style>
