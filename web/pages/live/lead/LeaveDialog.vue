<script setup lang="ts">
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';

const visible = defineModel<boolean>('visible', { required: true });
const emit = defineEmits<{ end: []; leave: [] }>();
</script>

<template>
  <Dialog v-model:visible="visible" modal header="Leave the session?" :style="{ width: '520px' }">
    <p>
      The session is under way. If you leave without ending it, its clock keeps running, and you can come back to it
      from the plan.
    </p>
    <template #footer>
      <Button label="Keep it running" outlined @click="emit('leave')" />
      <Button label="End the session" outlined @click="emit('end')" />
      <Button label="Stay" autofocus @click="visible = false" />
    </template>
  </Dialog>
</template>
