<script setup lang="ts">
import { computed } from 'vue';
import type { Position, Variation } from '#core/catalogue';
import PositionFigure from '../../widgets/figures/PositionFigure.vue';
import { useLibrary } from '../../state/library';

/** Another way to hold a position, with the set-up or the position that shows it. */
const { variation, entry } = defineProps<{ title: string; variation: Variation; entry: Position }>();
const library = useLibrary();
const emit = defineEmits<{ setUp: [id: string] }>();

const other = computed(() => (variation.position ? library.all.position(variation.position) : undefined));
const setUp = computed(() => entry.setUps.find(({ id }) => id === variation.setUp));
</script>

<template>
  <section>
    <p class="strong">{{ title }}</p>
    <RouterLink v-if="other" :to="`/library/${other.id}`" class="shown">
      <PositionFigure :position="other" :set-up="other.setUps[0]?.items ?? []" :label="other.names.english" />
    </RouterLink>
    <button
      v-else-if="setUp"
      type="button"
      class="plain-button shown"
      :aria-label="`Show: ${setUp.name}`"
      @click="emit('setUp', setUp.id)"
    >
      <PositionFigure :position="entry" :set-up="setUp.items" label="" />
    </button>
    <p>{{ variation.words }}</p>
    <RouterLink v-if="other" :to="`/library/${other.id}`" class="small">{{ other.names.english }}</RouterLink>
  </section>
</template>

<style scoped>
section {
  padding-top: 8px;
  border-top: 1px solid var(--line);
}
.shown {
  display: block;
  width: 100%;
  height: 96px;
  margin: 4px 0 6px;
}
</style>
