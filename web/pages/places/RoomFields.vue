<script setup lang="ts">
import { computed } from 'vue';
import { matsOnFloor, peopleAtWall, type Place } from '#core/cupboard';
import FieldGroup from '../../ui/fields/FieldGroup.vue';
import NumberField from '../../ui/fields/NumberField.vue';
import RoomPlan from './RoomPlan.vue';
import { capacityInWords } from './words';

/** The mats, the floor and the wall of a place, and how many people that makes. */
const { place, accept } = defineProps<{
  place: Place;
  accept: (name: string, patch: Partial<Place>) => string | undefined;
}>();

const setMats = (patch: Partial<Place['mats']>) => accept('change mats', { mats: { ...place.mats, ...patch } });
const setFloor = (floor: Place['floor']) => accept('change floor', { floor });
const toCm = (metres: number): number => Math.round(metres * 100);
const fit = computed(() => matsOnFloor(place).length);
const atOnce = computed(() => peopleAtWall(place));
</script>

<template>
  <FieldGroup title="Mats" :says="capacityInWords(place)">
    <div class="fields">
      <NumberField label="mats there" :model-value="place.mats.count" :accept="(count) => setMats({ count })" />
      <NumberField
        label="width"
        unit="cm"
        :model-value="place.mats.widthCm"
        :accept="(widthCm) => setMats({ widthCm })"
      />
      <NumberField
        label="length"
        unit="cm"
        :step="5"
        :model-value="place.mats.lengthCm"
        :accept="(lengthCm) => setMats({ lengthCm })"
      />
      <NumberField
        label="free between"
        unit="cm"
        :step="5"
        :model-value="place.mats.gapCm"
        :accept="(gapCm) => setMats({ gapCm })"
      />
    </div>
  </FieldGroup>
  <FieldGroup title="Wall" :says="place.wallCm > 0 ? 'free of doors and radiators' : 'none to lie or sit against'">
    <div class="fields">
      <NumberField
        label="in all"
        unit="m"
        :step="0.5"
        :model-value="place.wallCm / 100"
        :accept="(metres) => accept('change wall', { wallCm: toCm(metres) })"
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
        <NumberField
          label="along the wall"
          unit="m"
          :step="0.1"
          :model-value="place.floor.widthCm / 100"
          :accept="(metres) => setFloor({ ...place.floor!, widthCm: toCm(metres) })"
        />
        <NumberField
          label="away from it"
          unit="m"
          :step="0.1"
          :model-value="place.floor.lengthCm / 100"
          :accept="(metres) => setFloor({ ...place.floor!, lengthCm: toCm(metres) })"
        />
        <p class="told">
          Room for <strong>{{ fit }}</strong> mats.
          <button type="button" class="link-button small" @click="setFloor(null)">Forget the floor</button>
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
