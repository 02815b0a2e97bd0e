<script setup lang="ts">
import Message from 'primevue/message';

/** Why a field does not take what was typed. A field links to it by its id. */
const { id, floating = false } = defineProps<{
  id: string;
  /** Over what follows, so that nothing moves. */
  floating?: boolean;
}>();
</script>

<template>
  <Message :id="id" severity="error" variant="simple" size="small" role="alert" :class="{ 'field-reason': floating }">
    <slot />
  </Message>
</template>
