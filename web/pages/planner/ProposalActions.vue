<script setup lang="ts">
import Button from 'primevue/button';
import { ref } from 'vue';
import { useRouter } from 'vue-router';
import type { Plan, PlanEdit } from '#core/plan';
import { useEditor } from '../../state/editor';
import { useVariants } from './variants/use-variants';

/**
 * A proposal in words (the slot), with its actions: apply as one step of undo, keep as a variant, or discard.
 */
const { edit, name, after } = defineProps<{
  /** Applies it; undefined if there is nothing to apply. */
  edit: PlanEdit | undefined;
  /** Its name as a variant, and the plan it leads to. */
  name: string;
  after: Plan | undefined;
}>();
const editor = useEditor();
const router = useRouter();
const variants = useVariants(editor.id);
const message = ref('');

function take(): void {
  if (!edit) return;
  editor.seal();
  editor.edit(edit);
  editor.seal();
  message.value = 'Applied. Undo brings back the plan as it was.';
}
async function keep(): Promise<void> {
  if (after) message.value = await variants.keep(name, after);
}
</script>

<template>
  <div class="verdict">
    <slot />
    <span class="end">
      <span class="small quiet" role="status">{{ message }}</span>
      <Button v-if="edit && after" label="Save as a variant" outlined size="small" @click="keep" />
      <Button label="Discard" outlined size="small" @click="router.push(`/plans/${editor.id}`)" />
      <Button label="Apply" size="small" :disabled="!edit" @click="take" />
    </span>
  </div>
</template>

<style scoped>
.verdict {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  align-items: center;
  min-height: 34px;
}
.end {
  display: flex;
  gap: 8px;
  align-items: center;
  margin-left: auto;
}
</style>
