<script setup lang="ts">
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import { ref, watch } from 'vue';
import { Plan } from '#core/plan';
import TagsField from '../../ui/fields/TagsField.vue';

/** The tags of one plan of the list. Nothing changes until they are saved. */
const { title, tags, known } = defineProps<{ title: string; tags: readonly string[]; known: readonly string[] }>();
const visible = defineModel<boolean>('visible', { required: true });
const emit = defineEmits<{ save: [tags: string[]] }>();

const chosen = ref<string[]>([]);
/** Whether the field holds a tag that was refused. */
const isRefused = ref(false);
watch(
  visible,
  (is) => {
    if (is) [chosen.value, isRefused.value] = [[...tags], false];
  },
  { immediate: true },
);
function accept(next: string[]): string | undefined {
  const read = Plan.shape.tags.safeParse(next);
  isRefused.value = !read.success;
  if (read.success) chosen.value = read.data;
  return read.error?.issues[0]?.message;
}
function save(): void {
  if (isRefused.value) return;
  emit('save', chosen.value);
  visible.value = false;
}
</script>

<template>
  <Dialog v-model:visible="visible" modal :header="`Tags of “${title}”`" :style="{ width: 'min(440px, 94vw)' }">
    <TagsField autofocus label="Tags" :model-value="chosen" :known="known" :accept="accept" />
    <p class="small quiet">A term, a theme, who comes: plans are searched and listed by their tags.</p>
    <template #footer>
      <Button label="Cancel" outlined @click="visible = false" />
      <Button label="Save tags" @click="save" />
    </template>
  </Dialog>
</template>

<style scoped>
p {
  margin-top: 6px;
}
</style>
