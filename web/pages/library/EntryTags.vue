<script setup lang="ts">
import { computed } from 'vue';
import { Settings } from '#core/settings';
import { useSettings } from '../../state/settings';
import TagsField from '../../ui/fields/TagsField.vue';

/** The teacher's own tags on a position. They are part of the settings: the library itself stays as it is. */
const { entry } = defineProps<{ entry: string }>();

const settings = useSettings();
void settings.ready();
const tags = computed(() => settings.current.entryTags[entry] ?? []);
const known = computed(() => [...new Set(Object.values(settings.current.entryTags).flat())].sort());
function accept(next: string[]): string | undefined {
  const others = Object.entries(settings.current.entryTags).filter(([id]) => id !== entry);
  const entryTags = Object.fromEntries(next.length > 0 ? [...others, [entry, next]] : others);
  const read = Settings.shape.entryTags.safeParse(entryTags);
  if (!read.success) return read.error.issues[0]?.message;
  return settings.change('change the tags of a position', { ...settings.current, entryTags });
}
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
