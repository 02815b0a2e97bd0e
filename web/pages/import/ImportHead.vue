<script setup lang="ts">
/** The head of what was read: what it is, what is to be checked, and what can be done with it. */
defineProps<{ title: string; status?: string }>();
defineSlots<{ default: () => unknown }>();
</script>

<template>
  <header>
    <h1 tabindex="-1">{{ title }}</h1>
    <p v-if="status" class="quiet" role="status">{{ status }}</p>
    <span class="actions"><slot /></span>
  </header>
</template>

<style scoped>
header {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: center;
  padding-bottom: 8px;
}
h1 {
  font-size: 27px;
  line-height: 34px;
}
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-left: auto;
}
@media (width < 700px) {
  .actions {
    margin-left: 0;
  }
}
</style>
