<script setup lang="ts">
import { computed } from 'vue';
import { matsOnFloor, peopleAtWall, type Place } from '#core/cupboard';
import FieldGroup from '../../ui/fields/FieldGroup.vue';
import NumberField from '../../ui/fields/NumberField.vue';
import RoomPlan from './RoomPlan.vue';
import { capacityInWords } from './words';
import LengthField from '../../ui/fields/LengthField.vue';
import LargeLengthField from '../../ui/fields/LargeLengthField.vue';

/** The mats, the floor and the wall of a place, and how many people that makes. */
const { place, accept } = defineProps<{
  place: Place;
  accept: (name: string, patch: Partial<Place>) => string | undefined;
}>();

const setMats = (patch: Partial<Place['mats']>) => accept('change mats', { mats: { ...place.mats, ...patch } });
const setFloor = (floor: Place['floor']) => accept('change floor', { floor });
const fit = computed(() => matsOnFloor(place).length);
const atOnce = computed(() => peopleAtWall(place));
</script>

<template>
  <FieldGroup title="Mats" :says="capacityInWords(place)">
    <div class="fields">
      <NumberField label="mats" :model-value="place.mats.count" :accept="(count) => setMats({ count })" />
      <LengthField label="width" :model-value="place.mats.widthCm" :accept="(widthCm) => setMats({ widthCm })" />
      <LengthField
        label="length"
        :step="5"
        :model-value="place.mats.lengthCm"
        :accept="(lengthCm) => setMats({ lengthCm })"
      />
      <LengthField
        label="free between"
        :step="5"
        :model-value="place.mats.gapCm"
        :accept="(gapCm) => setMats({ gapCm })"
      />
    </div>
  </FieldGroup>
  <FieldGroup title="Wall" :says="place.wallCm > 0 ? 'clear of doors and radiators' : 'no usable wall'">
    <div class="fields">
      <LargeLengthField
        label="in total"
        :step="0.5"
        :model-value="place.wallCm"
        :accept="(wallCm) => accept('change wall', { wallCm })"
      />
      <p v-if="place.wallCm > 0" class="told">
        <strong>{{ atOnce }}</strong> at once, side by side.
        <span class="quiet small">Legs or soles at the wall: heads out into the room. Back or hands: heads in.</span>
      </p>
    </div>
  </FieldGroup>
  <FieldGroup
    title="Floor"
    :says="place.floor ? '' : 'not measured'"
    :add="place.floor ? '' : 'Measure the floor'"
    @add="setFloor({ widthCm: 800, lengthCm: 600 })"
  >
    <template v-if="place.floor">
      <div class="fields">
        <LargeLengthField
          label="along the wall"
          :step="0.1"
          :model-value="place.floor.widthCm"
          :accept="(widthCm) => setFloor({ ...place.floor!, widthCm })"
        />
        <LargeLengthField
          label="away from it"
          :step="0.1"
          :model-value="place.floor.lengthCm"
          :accept="(lengthCm) => setFloor({ ...place.floor!, lengthCm })"
        />
        <p class="told">
          Room for <strong>{{ fit }}</strong> mats.
          <button type="button" class="link-button small" @click="setFloor(null)">Remove the floor</button>
        </p>
      </div>
      <RoomPlan :place="place" />
    </template>
  </FieldGroup>
</template>

<style scoped>
.fields {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 20px;
  align-items: end;
  padding: 2px 0 6px;
}
.told {
  align-self: end;
  padding-bottom: 5px;
}
</style>
