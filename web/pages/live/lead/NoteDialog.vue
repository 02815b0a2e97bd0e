<script setup lang="ts">
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import Textarea from 'primevue/textarea';
import { ref } from 'vue';

const visible = defineModel<boolean>('visible', { required: true });
const emit = defineEmits<{ note: [text: string] }>();
const MOST = 2000;
const text = ref('');

function keep(): void {
  if (text.value.trim() !== '') emit('note', text.value.trim().slice(0, MOST));
  text.value = '';
  visible.value = false;
}
</script>

<template>
  <Dialog v-model:visible="visible" modal header="Note" dismissable-mask :style="{ width: '480px' }">
    <Textarea
      v-model="text"
      rows="3"
      :maxlength="MOST"
      fluid
      autofocus
      aria-label="Note"
      placeholder="Saved with the time it was written"
      @keydown.enter.exact.prevent="keep"
    />
    <template #footer><Button label="Save" @click="keep" /></template>
  </Dialog>
</template>
