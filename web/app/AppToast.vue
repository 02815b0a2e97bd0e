<script setup lang="ts">
import Button from 'primevue/button';
import Toast from 'primevue/toast';
import IconButton from '../ui/IconButton.vue';
import type { UndoableMessage } from '../ui/use-undo-toast';

/** The messages at the foot of the page; one that can be undone has a button for it. */
/** On a narrow screen a message takes its width. */
const NARROW = { '640px': { width: 'calc(100vw - 24px)' } };

function undo(message: UndoableMessage, close: () => void): void {
  close();
  void message.undo?.();
}
</script>

<template>
  <Toast position="bottom-center" :breakpoints="NARROW">
    <template #container="{ message, closeCallback }: { message: UndoableMessage; closeCallback: () => void }">
      <div class="message">
        <p>
          <strong>{{ message.summary }}</strong><br v-if="message.detail" />{{ message.detail }}
        </p>
        <Button v-if="message.undo" label="Undo" size="small" outlined @click="undo(message, closeCallback)" />
        <IconButton icon="remove" label="Close this message" :size="16" @click="closeCallback" />
      </div>
    </template>
  </Toast>
</template>

<style scoped>
.message {
  display: flex;
  gap: 12px;
  align-items: center;
  padding: 8px 8px 8px 16px;
}
p {
  flex: 1;
  color: var(--ink);
}
strong {
  font-weight: 600;
}
</style>
