<script setup lang="ts">
/** What became of a document that is saved as it is changed: trouble with the server, or a change in another window. */
defineProps<{ trouble: string; conflict: boolean; what: string }>();
const emit = defineEmits<{ save: []; settle: [mine: boolean] }>();
</script>

<template>
  <p v-if="trouble" class="caution strong" role="alert">
    {{ trouble }} What you changed is still here.
    <button type="button" class="link-button" @click="emit('save')">Save again</button>
  </p>
  <p v-if="conflict" class="caution strong" role="alert">
    {{ what }} changed in another window.
    <button type="button" class="link-button" @click="emit('settle', true)">Keep mine</button>
    <button type="button" class="link-button" @click="emit('settle', false)">Take the others</button>
  </p>
</template>
