<script setup lang="ts">
import { computed } from 'vue';
import { breathCost } from '#core/breath';
import type { Technique } from '#core/catalogue';
import { clockOfMs } from '#core/time';
import { useLibrary } from '../../state/library';

const { technique } = defineProps<{ technique: Technique }>();
const library = useLibrary();
const usual = computed(() => clockOfMs(breathCost(technique.practice).lengthMs));
</script>

<template>
  <li>
    <RouterLink :to="`/library/breath/${technique.id}`" class="row">
      <strong
        >{{ technique.names.english }} <span v-if="library.ownEntry(technique.id)" class="yours">yours</span></strong
      >
      <span class="quiet">{{ technique.names.sanskrit }}</span>
      <span class="quiet round">{{ technique.round }}</span>
      <span>{{ usual }}</span>
    </RouterLink>
  </li>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: minmax(0, 240px) minmax(0, 180px) minmax(0, 1fr) 60px;
  gap: 16px;
  padding: 7px 20px;
  border-top: 1px solid var(--line);
  text-decoration: none;
}
.row:hover {
  background: var(--sheet);
}
@media (width < 800px) {
  .row {
    grid-template-columns: 1fr 60px;
  }
  .round,
  .quiet {
    display: none;
  }
}
</style>
