<script setup lang="ts">
import Button from 'primevue/button';
import { ref } from 'vue';
import AppIcon from '../../ui/AppIcon.vue';
import { useOwnTags } from './use-own-tags';

/** Makes an entry a favourite, or one no more: a tag of its own, by which the library finds it. */
const { entry } = defineProps<{ entry: string }>();

const { isFavourite, changeFavourite } = useOwnTags(() => entry);
const trouble = ref('');
async function change(): Promise<void> {
  trouble.value = (await changeFavourite()) ?? '';
}
</script>

<template>
  <Button
    outlined
    size="small"
    :aria-pressed="isFavourite"
    title="Favourites are found under “Your tags”"
    @click="change"
  >
    <AppIcon name="favourite" :size="16" :fill="isFavourite ? 'currentColor' : 'none'" />
    Favourite
  </Button>
  <p v-if="trouble" class="caution small" role="alert">{{ trouble }}</p>
</template>
