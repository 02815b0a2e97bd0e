<script setup lang="ts">
import { computed } from 'vue';
import type { Measures } from '#core/body';
import { lengthInWords } from '../../ui/lengths';
import { freeGaps, heightsInWords } from '../../widgets/figures/measured-words';

/** What the figure says about heights: gaps that a prop could fill, and head and hips against the heart. */
const { measures, mirrored } = defineProps<{ measures: Measures; mirrored: boolean }>();

const gaps = computed(() => freeGaps(measures, mirrored));
</script>

<template>
  <div class="measured">
    <p>{{ heightsInWords(measures) }}</p>
    <p v-if="gaps.length > 0" class="quiet">
      Free under
      <template v-for="({ place, cm }, i) in gaps" :key="place"
        >{{ i > 0 ? ', ' : '' }}{{ place }} <strong>{{ lengthInWords(cm) }}</strong></template
      >.
    </p>
    <p v-else class="quiet">Head, chest, hips, knees and hands are all supported.</p>
  </div>
</template>

<style scoped>
.measured {
  margin-top: 12px;
  padding-top: 10px;
  border-top: 1px solid var(--line);
}
</style>
