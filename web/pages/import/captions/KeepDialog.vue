<script setup lang="ts">
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import { isAfter, parseISO } from 'date-fns';
import { ref } from 'vue';
import type { Ms } from '#core/numbers';
import { PLAN_LIMITS } from '#core/plan';
import { clockOfMs } from '#core/time';
import DayField from '../../../ui/fields/DayField.vue';
import TextField from '../../../ui/fields/TextField.vue';

/** Asks when a class was, so that it can be kept as a session. */
const { title, lengthMs, trouble, busy } = defineProps<{
  title: string;
  lengthMs: Ms;
  /** Why it could not be kept; it can be tried again. */
  trouble: string;
  busy: boolean;
}>();
const visible = defineModel<boolean>('visible', { required: true });
const emit = defineEmits<{ keep: [title: string, startedAtMs: Ms] }>();

const called = ref(title);
const startedAt = ref('');
const problem = ref('');

function takeTitle(text: string): string | undefined {
  if (text.trim() === '') return 'The session needs a title.';
  if (text.length > PLAN_LIMITS.maxTitle) return `A title has at most ${PLAN_LIMITS.maxTitle} characters.`;
  called.value = text.trim();
  return undefined;
}
function takeStart(when: string): string | undefined {
  problem.value = '';
  if (when !== '' && isAfter(parseISO(when).getTime() + lengthMs, new Date()))
    return 'This class has already been: choose a time before now.';
  startedAt.value = when;
  return undefined;
}
function keep(): void {
  if (startedAt.value === '') problem.value = 'When did the class begin?';
  else emit('keep', called.value, parseISO(startedAt.value).getTime());
}
</script>

<template>
  <Dialog v-model:visible="visible" modal header="Keep as a session" dismissable-mask :style="{ width: '460px' }">
    <form @submit.prevent="keep">
      <TextField label="Title" autofocus :model-value="called" :accept="takeTitle" />
      <DayField time label="The class began" :model-value="startedAt" :accept="takeStart" :problem="problem" />
      <p class="small quiet">
        History shows it as a session of {{ clockOfMs(lengthMs) }}, read from captions, and its plan is saved with it. A
        length that was announced is the planned one; everything else counts as going to plan. The words of the captions
        are not kept.
      </p>
      <p v-if="trouble" class="caution" role="alert">{{ trouble }}</p>
      <div class="actions">
        <Button type="button" label="Cancel" outlined @click="visible = false" />
        <Button type="submit" label="Keep" :loading="busy" />
      </div>
    </form>
  </Dialog>
</template>

<style scoped>
form {
  display: grid;
  gap: 12px;
}
.actions {
  display: flex;
  gap: 8px;
  justify-content: flex-end;
}
</style>
