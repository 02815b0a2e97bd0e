<script setup lang="ts">
import { computed } from 'vue';
import { linesOfAreas, type Position } from '#core/catalogue';
import { useSettings } from '../../state/settings';

/** What a position works on, as the settings have it: parts of the body, energy lines, or both. */
const { areas } = defineProps<{ areas: Position['areas'] }>();

const settings = useSettings();
void settings.ready();
const map = computed(() => settings.current.school.bodyMap);
const lines = computed(() => (map.value === 'areas' ? [] : linesOfAreas(areas)));
</script>

<template>
  <p v-if="map !== 'lines' || lines.length === 0" class="small quiet">Works on {{ areas.join(', ') }}.</p>
  <p
    v-if="lines.length > 0"
    class="small quiet"
    title="As the channels are described in Chinese tradition: a traditional map, not anatomy"
  >
    Energy lines: {{ lines.join(', ') }}.
  </p>
</template>
