<script setup lang="ts">
import { computed } from 'vue';
import { useSettings } from '../../state/settings';
import TagsField from '../../ui/fields/TagsField.vue';
import { useOwnTags } from './use-own-tags';

/** The teacher's own tags on an entry. */
const { entry } = defineProps<{ entry: string }>();

const settings = useSettings();
const { tags, accept } = useOwnTags(() => entry);
const known = computed(() => [...new Set(Object.values(settings.current.entryTags).flat())].sort());
</script>

<template>
  <div class="tags">
    <TagsField label="Your tags" :model-value="tags" :known="known" :accept="accept" />
    <p v-if="settings.trouble" class="small caution" role="alert">{{ settings.trouble }}</p>
  </div>
</template>

<style scoped>
.tags {
  max-width: 420px;
  margin-top: 8px;
}
</style>
