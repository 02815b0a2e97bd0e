<script setup lang="ts">
import { computed } from 'vue';
import { APPROACH_LABELS, APPROACHES } from '#core/catalogue';
import type { Settings } from '#core/settings';
import { useDeviceSettings } from '../../state/device-settings';
import { usePlaces } from '../../state/places';
import { useSettings } from '../../state/settings';
import ChoiceField from '../../ui/fields/ChoiceField.vue';
import SelectField from '../../ui/fields/SelectField.vue';
import TimeField from '../../ui/fields/TimeField.vue';

/** What a new plan begins with: approach, length, first side, place; and in which units lengths are shown. */
const settings = useSettings();
const device = useDeviceSettings();
const places = usePlaces();
void settings.ready();
void places.ready();

const usual = computed(() => settings.current.usual);
const put = (patch: Partial<Settings['usual']>): string | undefined =>
  settings.change('usual', { ...settings.current, usual: { ...usual.value, ...patch } });
/** What is chosen waits for the settings, where the page is so new that they are not there yet. */
async function choose(patch: Partial<Settings['usual']>): Promise<void> {
  await settings.ready();
  put(patch);
}
function chooseLength(classSeconds: number): string | undefined {
  if (settings.isLoaded) return put({ classSeconds });
  void choose({ classSeconds });
  return undefined;
}
const AN_HOUR = 3600;

const APPROACH_OPTIONS = APPROACHES.map((value) => ({ value, label: APPROACH_LABELS[value] }));
const SIDES = [
  { value: 'left', label: 'left' },
  { value: 'right', label: 'right' },
  { value: 'byDate', label: 'in turn, by date' },
] as const;
const NO_PLACE = '';
const placeOptions = computed(() => [
  { value: NO_PLACE, label: 'none' },
  ...(places.places ?? []).map(({ id, document }) => ({ value: id, label: document.name })),
]);
const LENGTHS = [
  { value: 'device', label: 'as this device' },
  { value: 'cm', label: 'centimetres' },
  { value: 'in', label: 'feet and inches' },
] as const;
</script>

<template>
  <div class="usual">
    <SelectField
      above
      label="Approach"
      :options="APPROACH_OPTIONS"
      :model-value="usual.approach"
      @update:model-value="choose({ approach: $event })"
    />
    <TimeField
      label="Class length"
      bare="classMinutes"
      :model-value="usual.classSeconds"
      :accept="(classSeconds) => chooseLength(classSeconds ?? AN_HOUR)"
    />
    <span class="side">
      <span class="small quiet" aria-hidden="true">First side</span>
      <ChoiceField
        label="First side"
        :options="SIDES"
        :model-value="usual.firstSide"
        @update:model-value="choose({ firstSide: $event })"
      />
    </span>
    <SelectField
      above
      label="Place"
      :options="placeOptions"
      :model-value="usual.place ?? NO_PLACE"
      @update:model-value="choose({ place: $event === NO_PLACE ? null : $event })"
    />
    <SelectField v-model="device.lengths" above label="Units" :options="LENGTHS" />
  </div>
</template>

<style scoped>
.usual {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 20px;
  align-items: end;
}
.usual :deep(.field) {
  flex-direction: column;
  gap: 2px;
  align-items: start;
}
.usual :deep(.field label) {
  font-size: 12.5px;
  line-height: 16px;
}
.side {
  display: flex;
  flex-direction: column;
  gap: 2px;
}
</style>
