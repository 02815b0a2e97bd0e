<script setup lang="ts">
import { computed } from 'vue';
import { matrixCounts } from '#core/caution';
import type { Plan } from '#core/plan';
import CautionMark from '../../widgets/cautions/CautionMark.vue';
import { useClass } from '../../state/use-class';
import { people } from '../../widgets/session/words';

/** Open and decided cautions for a plan's group; without names. */
const { planId, plan } = defineProps<{ planId: string; plan: Plan }>();

const { matrix } = useClass(
  () => planId,
  () => plan,
);
const care = computed(() => {
  if (!matrix.value) return '';
  const { people: who, open, instead } = matrixCounts(matrix.value);
  const decided = instead > 0 ? `${instead} done differently` : '';
  if (open === 0) return decided ? `Cautions looked at, ${decided}` : '';
  return `${open} ${open === 1 ? 'caution' : 'cautions'} to decide for ${people(who)}${decided ? `; ${decided}` : ''}`;
});
</script>

<template>
  <RouterLink v-if="care" class="care" :to="`/plans/${planId}/people`"
    ><CautionMark level="change" />{{ care }}</RouterLink
  >
</template>

<style scoped>
.care {
  display: flex;
  gap: 8px;
  align-items: center;
}
</style>
