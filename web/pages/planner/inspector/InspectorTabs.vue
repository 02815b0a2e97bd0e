<script setup lang="ts">
import { computed } from 'vue';
import CautionMark from '../../../widgets/cautions/CautionMark.vue';
import ViewTabs from '../../../ui/ViewTabs.vue';
import { useScreening } from '../../../state/screening';
import type { InspectorTab } from './inspector-tabs';

/** The parts of a step as tabs; what each holds is counted, and the cautions carry the mark of the worst. */
const {
  index,
  tabs,
  propRows = 0,
  cues = 0,
  breaths = 0,
} = defineProps<{
  index: number;
  tabs: readonly { value: InspectorTab; label: string }[];
  propRows?: number;
  cues?: number;
  breaths?: number;
}>();
const counts = computed((): Partial<Record<InspectorTab, number>> => ({ props: propRows, cues, breath: breaths }));
const tab = defineModel<InspectorTab>({ required: true });
const screening = useScreening();
const worst = computed(() => screening.matrix?.columns[index]);
</script>

<template>
  <ViewTabs v-model="tab" label="Parts of this step" :views="tabs" class="tabs">
    <template #tab="{ value, label }">
      {{ label }}
      <span v-if="counts[value]" class="small quiet">{{ counts[value] }}</span>
      <span v-if="value === 'cautions' && worst?.level" class="small worst"
        ><CautionMark :level="worst.level" />{{ worst.open }}</span
      >
    </template>
  </ViewTabs>
  <div class="panel" role="tabpanel" :aria-label="tabs.find(({ value }) => value === tab)?.label"><slot /></div>
</template>

<style scoped>
.tabs {
  margin-top: 6px;
}
.worst {
  display: inline-flex;
  gap: 3px;
  align-items: center;
}
.panel {
  padding-top: 4px;
}
/* The first part needs no line: the tabs have theirs. */
.panel > :deep(section:first-child) {
  border-top: 0;
}
</style>
